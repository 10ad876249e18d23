import { formatPosition, positionOf } from '../base/index.js';
import { printValue, winnerOf, type ComputedStyle, type Explained } from '../cascade/index.js';
import { cssName, longhandsOf, PROPERTIES, propertyIndex, PROPERTY_KEYS, unpack } from '../css/index.js';
import { placeOf } from '../checks/index.js';
import type { Place } from '../findings/index.js';
import { selectorOf, type ElementNode } from '../html/index.js';
import { rungsAt, rungsOf, type Rung } from '../ladder/index.js';
import { poseAfter, setting, type Move, type Page, type Setting } from '../scene/index.js';
import { resolvedStyle } from './measure.js';

/** One declaration of the property, and what became of it. */
export interface WhyEntry {
  readonly fate: Explained['fate'];
  readonly text: string;
  readonly important: boolean;
  readonly selector: string | null;
  /** ids, classes, types. */
  readonly specificity: readonly [number, number, number];
  readonly layer: string | null;
  /** `file:line:column`; null for the browser's own sheet. */
  readonly place: string | null;
  readonly conditions: readonly string[];
  /** Why it does not count, in a few words; empty for the winner. */
  readonly because: string;
}

/** A custom property a value leans on, and where that was set. */
export interface WhyVariable {
  readonly name: string;
  readonly value: string | null;
  readonly place: string | null;
  readonly on: string | null;
}

export interface WhyBand {
  readonly from: number;
  readonly to: number;
  /** As a browser would give it: the used value where layout resolves it. */
  readonly value: string;
  /** `declared` here, `inherited` from the element named, or nobody set it: `initial`. */
  readonly source: 'declared' | 'inherited' | 'initial';
  readonly inheritedFrom: Place | null;
  readonly entries: readonly WhyEntry[];
  readonly variables: readonly WhyVariable[];
}

export interface WhyResult {
  readonly page: string;
  readonly element: Place;
  readonly property: string;
  readonly pose: string;
  readonly bands: readonly WhyBand[];
}

export interface WhyOptions {
  readonly from: number;
  readonly to: number;
  readonly at: readonly number[] | null;
  readonly height: number;
  readonly moves: readonly Move[];
  readonly poseText: string;
}

/** The longhands a name stands for, for choosing one. Empty if there is no such property. */
export const longhandsNamed = (name: string): readonly string[] => longhandsOf(name);

/**
 * Which declaration decides a property of an element at each rung, and why the others do not.
 * @param property a longhand's CSS name the engine knows
 */
export function why(page: Page, element: ElementNode, property: string, options: WhyOptions): WhyResult {
  const index = propertyIndex(property)!;
  const all = rungsOf(page.thresholds, options);
  const rungs = options.at ? rungsAt(all, options.at) : all;
  const bands = rungs.map((rung) => bandOf(page, element, index, rung, options));
  return {
    page: page.name,
    element: placeOf(element, page.glance),
    property,
    pose: options.poseText,
    bands: joinEqual(bands),
  };
}

/** Neighbouring bands with the same story become one. */
function joinEqual(bands: readonly WhyBand[]): WhyBand[] {
  const out: { -readonly [K in keyof WhyBand]: WhyBand[K] }[] = [];
  const story = ({ from: _from, to: _to, ...rest }: WhyBand) => JSON.stringify(rest);
  for (const band of bands) {
    const last = out[out.length - 1];
    if (last && last.to + 1 === band.from && story(last) === story(band)) last.to = band.to;
    else out.push({ ...band });
  }
  return out;
}

function bandOf(page: Page, element: ElementNode, index: number, rung: Rung, options: WhyOptions): WhyBand {
  const at = setting(rung.from, { height: options.height });
  const s = { ...at, pose: poseAfter(page, options.moves, at) };
  const scene = page.scene(s);
  const key = PROPERTY_KEYS[index]!;
  const style = scene.style(element);
  const own = page.explain(element, index, s);
  const source = ownerOf(element, page, index, s);
  const entries = source && source.element !== element ? page.explain(source.element, index, s) : own;
  const value =
    rung.from === rung.to || !isResolved(key) ? resolvedStyle(element, scene)[cssName(key)]! : printValue(style, index);
  const winner = entries.find((e) => e.fate === 'wins');
  return {
    from: rung.from,
    to: rung.to,
    value,
    source: source === null ? 'initial' : source.element === element ? 'declared' : 'inherited',
    inheritedFrom: source && source.element !== element ? placeOf(source.element, page.glance) : null,
    entries: [...(entries === own ? [] : own), ...entries].map(entryOf),
    variables: winner ? variablesOf(winner.declaration.text, source!.element, page, s, new Set()) : [],
  };
}

/** Properties whose given value changes with the width even where the same declaration wins. */
const isResolved = (key: string): boolean => /^(width|height|top|right|bottom|left|margin|padding|transform)/.test(key);

/** The element whose declaration an inherited value comes from. */
function ownerOf(element: ElementNode, page: Page, index: number, s: Setting): { element: ElementNode } | null {
  const { inherited } = PROPERTIES[PROPERTY_KEYS[index]!];
  for (let e: ElementNode | null = element; e; e = inherited ? e.parent : null) {
    const winner = winnerOf(page.scene(s).style(e), PROPERTY_KEYS[index]!);
    if (winner && !(inherited && (winner.value === 'inherit' || winner.value === 'unset') && e.parent))
      return { element: e };
  }
  return null;
}

const BECAUSE: Readonly<Record<string, string>> = {
  importance: 'the winner is !important',
  origin: 'it is weaker than any rule of the page',
  'style-attribute': 'a style attribute is stronger',
  layer: 'its cascade layer is weaker',
  specificity: 'the winning selector is more specific',
  scope: 'the winner’s @scope is nearer',
  order: 'the winner comes later',
  animation: 'an animation keeps its last frame',
};

function entryOf(explained: Explained): WhyEntry {
  const { declaration, match } = explained;
  const author = match.origin === 'author';
  return {
    fate: explained.fate,
    text: `${declaration.name}: ${declaration.text}`,
    important: declaration.important,
    selector:
      match.selector?.text ??
      (match.rank === 'inline' ? 'style attribute' : match.rank === 'hint' ? 'attribute' : null),
    specificity: unpack(match.specificity),
    layer: match.layer ? layerName(match.layer) : null,
    place: author ? formatPosition(positionOf(declaration.span)) : null,
    conditions: match.conditions.map((c) => c.text),
    because: becauseOf(explained),
  };
}

function layerName(layer: NonNullable<Explained['match']['layer']>): string {
  const names: string[] = [];
  for (let l: typeof layer | null = layer; l && l.parent; l = l.parent)
    names.unshift(l.name.startsWith('#') ? '(anonymous)' : l.name);
  return names.join('.');
}

function becauseOf(explained: Explained): string {
  switch (explained.fate) {
    case 'wins':
      return '';
    case 'loses':
      return BECAUSE[explained.by]!;
    case 'yields':
      return explained.to === 'origin'
        ? 'it hands the decision back: revert leaves it to the browser’s own sheet'
        : 'it hands the decision on: revert-layer leaves it to the next weaker layer';
    case 'passed':
      return 'a stronger declaration handed the decision past it';
    case 'invalid':
      return 'it is not a value of this property, so browsers drop it';
    case 'idle': {
      const { why: kind, text } = explained.idle;
      if (kind === 'media') return `@media ${text} does not hold here`;
      return kind === 'container' ? `@container ${text} does not hold here` : `it waits for ${text}`;
    }
  }
}

const DEPTH = 12;

/** The custom properties a value refers to, followed to where they were set. */
function variablesOf(text: string, element: ElementNode, page: Page, s: Setting, seen: Set<string>): WhyVariable[] {
  const names = [...text.matchAll(/var\(\s*(--[^\s,)]+)/g)].map((m) => m[1]!);
  return names.flatMap((name): WhyVariable[] => {
    if (seen.has(name) || seen.size > DEPTH) return [];
    seen.add(name);
    const scene = page.scene(s);
    const value = scene.style(element).custom.get(name) ?? null;
    for (let e: ElementNode | null = element; e; e = e.parent) {
      const style: ComputedStyle = scene.style(e);
      const entry = style.block.custom.get(name);
      if (!entry) continue;
      const place = formatPosition(positionOf(entry.declaration.span));
      return [{ name, value, place, on: selectorOf(e) }, ...variablesOf(entry.declaration.text, e, page, s, seen)];
    }
    return [{ name, value, place: null, on: null }];
  });
}
