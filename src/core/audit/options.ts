import { ArgumentError, nearest } from '../base/index.js';
import { CHECKS, isPageCheck, type Check, type PageCheck, type SiteCheck } from '../checks/index.js';
import { LEVELS, type Level, type Weight } from '../findings/index.js';

export interface AuditOptions {
  /** Narrowest and widest width, px. */
  readonly from: number;
  readonly to: number;
  /** Look at these widths only, px. */
  readonly at: readonly number[] | null;
  /** Height of the viewport, px. */
  readonly height: number;
  /** Further heights to look at, px: what only they show is told of them. */
  readonly otherHeights: readonly number[];
  readonly level: Level;
  /** Ids of checks: these only, or all but these. */
  readonly only: readonly string[] | null;
  readonly skip: readonly string[];
  /** Weights of checks that are not to have their own. */
  readonly weights: Readonly<Record<string, Weight>>;
  /** Figures of checks that are not to be their own, by check and name. */
  readonly figures: Readonly<Record<string, Readonly<Record<string, number>>>>;
  /** Told before each check begins or goes on, with how many such steps are done and how many there are; for progress. */
  readonly onCheck?: (id: string, index: number, count: number) => void;
}

export const DEFAULTS: AuditOptions = Object.freeze({
  from: 320,
  to: 1920,
  at: null,
  height: 800,
  otherHeights: [],
  level: 'AA',
  only: null,
  skip: [],
  weights: {},
  figures: {},
});

/** The widest a page is looked at, px. */
export const WIDEST = 10_000;

/** The options of an audit, made whole. Throws ArgumentError where one cannot be meant so. */
export function auditOptions(given: Partial<AuditOptions>): AuditOptions {
  const options = { ...DEFAULTS, ...given };
  const { level, only, skip, weights, figures } = options;
  checkView(options);
  for (const height of options.otherHeights) checkWidth('otherHeights', height);
  if (!LEVELS.includes(level)) throw new ArgumentError(`there is no level ${level}`, `Levels: ${LEVELS.join(', ')}.`);
  for (const id of [...(only ?? []), ...skip, ...Object.keys(weights), ...Object.keys(figures)]) checkId(id);
  for (const [id, set] of Object.entries(figures))
    for (const [name, value] of Object.entries(set)) checkFigure(id, name, value);
  return options;
}

/** Throws ArgumentError where widths or the height cannot be meant so. */
export function checkView({ from, to, at, height }: Pick<AuditOptions, 'from' | 'to' | 'at' | 'height'>): void {
  checkWidth('from', from);
  checkWidth('to', to);
  checkWidth('height', height);
  if (from > to) throw new ArgumentError(`from ${from} is wider than to ${to}`, 'Swap the two.');
  if (at?.length === 0) throw new ArgumentError('at names no width', 'Name at least one width in px, such as 375.');
  for (const width of at ?? []) checkWidth('at', width);
}

/** Throws ArgumentError where a figure is no width or height in whole px. */
export function checkWidth(name: string, value: number): void {
  if (!Number.isInteger(value) || value < 1 || value > WIDEST)
    throw new ArgumentError(`${name} takes whole px from 1 to ${WIDEST}, not ${value}`, `For example ${name}: 375.`);
}

/** Throws ArgumentError where no check has that id. */
export function checkId(id: string): void {
  const known = CHECKS.map((check) => check.meta.id);
  if (known.includes(id)) return;
  const [near] = nearest(id, known);
  throw new ArgumentError(
    `there is no check “${id}”`,
    near ? `Did you mean ${near}?` : `Known checks: ${known.join(', ')}.`,
  );
}

/** Throws ArgumentError where a check has no such figure, or it cannot be meant so. */
export function checkFigure(id: string, name: string, value: number): void {
  const figures = CHECKS.find((check) => check.meta.id === id)?.meta.figures ?? {};
  const known = Object.keys(figures);
  const figure = figures[name];
  if (!figure)
    throw new ArgumentError(
      `${id} has no figure “${name}”`,
      known.length > 0 ? `It has: ${known.join(', ')}.` : 'None of its figures can be set.',
    );
  if (!Number.isFinite(value) || value < figure.least || value > figure.most)
    throw new ArgumentError(
      `the figure “${name}” of ${id} goes from ${figure.least} to ${figure.most} ${figure.unit}, not ${value}`,
      `Its own is ${figure.value} ${figure.unit}.`,
    );
}

/** Checks asked for that have something to say at the level asked for. */
export const chooseChecks = (options: Choice): readonly PageCheck[] => chosen(options).filter(isPageCheck);

/** The same of checks across pages. */
export const chooseSiteChecks = (options: Choice): readonly SiteCheck[] =>
  chosen(options).filter((check): check is SiteCheck => !isPageCheck(check));

type Choice = Pick<AuditOptions, 'only' | 'skip' | 'level'>;

function chosen({ only, skip, level }: Choice): readonly Check[] {
  return CHECKS.filter(
    ({ meta }) =>
      (only === null || only.includes(meta.id)) &&
      !skip.includes(meta.id) &&
      Object.keys(meta.messages).some((message) => isSaid(meta, message, level)),
  );
}

/** Whether a message belongs to a level: it cites nothing, or a criterion of that level or a lower one. */
export function isSaid({ messages }: Check['meta'], message: string, level: Level): boolean {
  const { criteria } = messages[message]!;
  return criteria.length === 0 || criteria.some((c) => LEVELS.indexOf(c.level) <= LEVELS.indexOf(level));
}
