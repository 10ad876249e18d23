/**
 * Rope Ladder as a library: pages are opened once and looked at as often as wanted. Lengths are CSS px; results are
 * plain frozen data. Wrong arguments throw ArgumentError, pages that cannot be read SourceError; both have a `remedy`.
 */
import { AUDIT, checkForm, DRAW, VIEW, WHY } from './arguments.js';
import { shippedOutlines } from './sources/index.js';
import { drawSheet, type MarkName } from './formats/index.js';
import {
  moveName,
  ArgumentError,
  auditPage,
  checkView,
  checkWidth,
  deepFreeze,
  DEFAULTS,
  menusOf,
  framesOf,
  ladderOf,
  longhandsNamed,
  measurePage,
  why as whyOf,
  type AuditOptions,
  type AuditResult,
  type ElementNode,
  type LadderResult,
  type Measured,
  type MenuModel,
  type Move,
  type Page,
  type WhyResult,
} from './core/index.js';

export { loadFile as openFile, loadText as openText, SourceError, type FileOptions } from './sources/index.js';
export {
  ArgumentError,
  CHECKS,
  openPage,
  openPageNow,
  type AuditedMenu,
  type MenuModel,
  type AuditOptions,
  type AuditResult,
  type Check,
  type Finding,
  type LadderResult,
  type Measured,
  type Move,
  type OpenOptions,
  type Page,
  type PageText,
  type Reader,
  type WhyResult,
} from './core/index.js';

/** Narrowest and widest width that is looked at, and the height of the screen. */
export interface View {
  readonly from?: number;
  readonly to?: number;
  /** These widths only. */
  readonly at?: readonly number[];
  readonly height?: number;
}

function viewOf({ from = DEFAULTS.from, to = DEFAULTS.to, height = DEFAULTS.height, at }: View) {
  const view = { from, to, height, at: at ?? null };
  checkView(view);
  return view;
}

/** Everything an audit finds: at every rung, in every pose and state the checks ask for. */
export function audit(page: Page, options: Partial<AuditOptions> = {}): AuditResult {
  checkForm(AUDIT, options, 'audit');
  return deepFreeze(auditPage(page, options));
}

/** The engine's raw model of a page at some widths: boxes, computed styles, names, roles, keyboard order. */
export function measure(page: Page, widths: readonly number[], height = DEFAULTS.height): Measured {
  if (widths.length === 0) throw new ArgumentError('widths names no width', 'Name at least one, such as 375.');
  for (const width of [...widths, height]) checkWidth('widths', width);
  return deepFreeze(measurePage(page, widths, height));
}

/** The menus of a page: items, toggles, forms by width, what opens their parts, and who gets there. */
export function menus(page: Page, view: View = {}): readonly MenuModel[] {
  checkForm(VIEW, view, 'menus');
  return deepFreeze(menusOf(page, viewOf(view)).menus);
}

/** The width bands of a page, what begins each, and the form every menu takes in it. */
export function rungs(page: Page, view: View = {}): LadderResult {
  checkForm(VIEW, view, 'rungs');
  return deepFreeze(ladderOf(page, viewOf(view)));
}

/** One element by a selector. Throws ArgumentError where nothing matches. */
function oneOf(page: Page, selector: string): ElementNode {
  const [found] = page.find(selector);
  if (!found) throw new ArgumentError(`nothing on ${page.name} matches “${selector}”`, 'Check the selector.');
  return found;
}

/** A move by selector: `{ by: 'hover', on: '#fares' }`; with a key other than Enter `{ by: 'key', on: '#fares', key: 'ArrowDown' }`. */
export interface MoveOn {
  readonly by: Move['by'];
  readonly on: string;
  readonly key?: string;
}

const movesOf = (page: Page, moves: readonly MoveOn[]) =>
  moves.map(({ by, on, key }): Move => ({ by, element: oneOf(page, on), ...(key === undefined ? {} : { key }) }));

const nameOf = (moves: readonly MoveOn[]): string => moves.map((move) => `${moveName(move)}:${move.on}`).join(' ');

/** Which declaration decides a longhand of an element at each width, and why the others do not. */
export function why(
  page: Page,
  selector: string,
  property: string,
  view: View & { readonly moves?: readonly MoveOn[] } = {},
): WhyResult {
  checkForm(WHY, view, 'why');
  const [longhand, ...more] = longhandsNamed(property);
  if (longhand !== property || more.length > 0)
    throw new ArgumentError(
      longhand === undefined ? `there is no property “${property}”` : `“${property}” stands for several properties`,
      longhand === undefined ? 'Check its spelling.' : `Ask for one of ${[longhand, ...more].join(', ')}.`,
    );
  const { moves = [] } = view;
  const poseText = nameOf(moves) || 'closed';
  return deepFreeze(
    whyOf(page, oneOf(page, selector), property, { ...viewOf(view), moves: movesOf(page, moves), poseText }),
  );
}

/** A drawing of a page's menus, as SVG. */
export interface Drawn {
  readonly svg: string;
  readonly width: number;
  readonly height: number;
}

/** Draws the menus as visitors see them: a contact sheet of every look, or single widths and poses. */
export async function draw(
  page: Page,
  view: View & { readonly moves?: readonly MoveOn[]; readonly marks?: readonly MarkName[] } = {},
): Promise<Drawn> {
  checkForm(DRAW, view, 'draw');
  const { at, ...rest } = viewOf(view);
  const { moves = [], marks = [] } = view;
  const name = nameOf(moves);
  const frames = framesOf(page, {
    ...rest,
    region: 'menu',
    ...(at ? { widths: at } : {}),
    ...(moves.length > 0 ? { pose: { moves: movesOf(page, moves), name } } : {}),
  });
  const { svg, width, height } = drawSheet(
    page,
    frames,
    { marks, pins: () => [], legend: [] },
    await shippedOutlines(),
  );
  return Object.freeze({ svg, width, height });
}
