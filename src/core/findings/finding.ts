import type { Position, Range } from '../base/index.js';

export const WEIGHTS = ['blocks', 'hinders', 'polish'] as const;
/** `blocks`: someone cannot get there; `hinders`: they get there with trouble; `polish`: worth mending. */
export type Weight = (typeof WEIGHTS)[number];
/** The words findings are sorted and counted by: the weights, and `look` where a person has to judge. */
export const WORDS = [...WEIGHTS, 'look'] as const;
export type Word = (typeof WORDS)[number];
/** `fault`: certain; `look`: a person must judge. */
export type Verdict = 'fault' | 'look';
export const STATES = ['normal', 'hover', 'focus', 'current'] as const;
export type State = (typeof STATES)[number];
export const LEVELS = ['A', 'AA', 'AAA'] as const;
export type Level = (typeof LEVELS)[number];

/** A success criterion of WCAG 2.2. */
export interface Criterion {
  readonly number: string;
  readonly level: Level;
}

/** What a finding points at. */
export type PlaceKind = 'element' | 'rule' | 'query' | 'page';

/** Where something stands: readable as a selector, exact by path and line. */
export interface Place {
  readonly kind: PlaceKind;
  /** Of an element or a rule; of a query its condition; `html` for the page. */
  readonly selector: string;
  /** Of an element; `html` where no single one is meant. */
  readonly path: string;
  /** What it says to a reader: its text or name. */
  readonly label: string;
  readonly at: Position | null;
  /** Where it holds, if not at all widths of the finding. */
  readonly widths: readonly Range[] | null;
}

/** The declaration behind a finding. */
export interface Cause {
  readonly selector: string | null;
  readonly text: string;
  readonly at: Position;
}

/** A figure with its unit: `px`, or `:1` for contrast. */
export interface Figure {
  readonly value: number;
  readonly unit: string;
}

/** One fault, at one place or at several with one cause. */
export interface Finding {
  /** Stable over runs: check, message, cause or place. */
  readonly key: string;
  readonly check: string;
  readonly message: string;
  readonly verdict: Verdict;
  readonly weight: Weight;
  readonly criteria: readonly Criterion[];
  /** Menus it stands in, by id; empty for what concerns the page. */
  readonly menus: readonly string[];
  readonly states: readonly State[];
  /** `closed`, or the moves that lead there: `hover:nav > a`; where it holds in several, in the order they were looked at. */
  readonly poses: readonly string[];
  /** Visitors who meet it, if not all of them do. */
  readonly visitors: readonly string[];
  readonly widths: readonly Range[];
  /** The worst first. */
  readonly places: readonly Place[];
  readonly cause: Cause | null;
  readonly measured: Figure | null;
  readonly needed: Figure | null;
  /** What is wrong and for whom. */
  readonly says: string;
  /** What would mend it. */
  readonly mends: string;
}

export const figure = (value: number, unit: string): Figure => ({ value: Math.round(value * 100) / 100, unit });
export const printFigure = (f: Figure): string => (f.unit === ':1' ? `${f.value}:1` : `${f.value} ${f.unit}`);

/** `320–575, 992–1920`: widths in px as a reader would write them. */
export function printWidths(ranges: readonly Range[]): string {
  return ranges.map(({ from, to }) => (from === to ? String(from) : `${from}–${to}`)).join(', ');
}

/** `hinders`, or `look` where a person has to judge. */
export const wordOf = ({ verdict, weight }: Pick<Finding, 'verdict' | 'weight'>): Word =>
  verdict === 'look' ? 'look' : weight;

/** Whether some finding is a fault of at least a weight. */
export const weighsEnough = (findings: readonly Finding[], least: Weight | 'never'): boolean =>
  findings.some((one) => {
    const word = wordOf(one);
    return least !== 'never' && word !== 'look' && WEIGHTS.indexOf(word) <= WEIGHTS.indexOf(least);
  });

/** Whether ranges of widths hold one, px. */
export const holdsAt = (ranges: readonly Range[], width: number): boolean =>
  ranges.some(({ from, to }) => width >= from && width <= to);

/** Fills `{name}` in a text; a name without a value is a mistake of the check. */
export function fill(template: string, data: Readonly<Record<string, string | number>>): string {
  return template.replace(/\{(\w+)\}/g, (_, name: string) => {
    const value = data[name];
    if (value === undefined) throw new Error(`no value for {${name}}`);
    return String(value);
  });
}
