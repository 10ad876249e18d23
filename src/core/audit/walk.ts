import type { ComputedStyle } from '../cascade/index.js';
import { positionOf, type Limit, type Position, type Rect } from '../base/index.js';
import { changedLooks, markContrast, PLAIN_MARK } from '../checks/index.js';
import { isSuperseded, selectorOf, type ElementNode } from '../html/index.js';
import { effectOf, mayOpen } from '../menus/index.js';
import { isFocusable, nameOf, roleOf, subjectOf, tabOrder } from '../naming/index.js';
import { poseAfter, setting, type Move, type Page, type Scene, type Setting } from '../scene/index.js';

/** One stop of the Tab key. */
export interface Stop {
  readonly path: string;
  readonly selector: string;
  readonly at: Position | null;
  readonly role: string;
  readonly name: string;
  /** What is told of it besides, such as `expanded` or `current page`. */
  readonly states: readonly string[];
  /** Border box in document px while it has focus; null without a box. */
  readonly box: Rect | null;
  /** Whether some of it shows on the screen or can be scrolled to while it has focus. */
  readonly seen: boolean;
  /** What focus changes on it that can be seen; empty where nothing does. */
  readonly mark: readonly string[];
  /** How far that stands out, as a ratio to one; null where there is no mark or it cannot be measured. */
  readonly contrast: number | null;
  /** What keys do there, where they do anything beside moving on. */
  readonly keys: readonly KeyAnswer[];
}

/** Whether a stop's mark of focus is there and hardly stands out. */
export const isFaintlyMarked = ({ contrast }: Stop): boolean => contrast !== null && contrast < PLAIN_MARK;

/** What a key does at a stop: `goes to fares.html`, `opens 4 controls`, `moves to “Sula Rock”`. */
export interface KeyAnswer {
  readonly key: string;
  readonly does: string;
}

export interface WalkResult {
  readonly page: string;
  readonly width: number;
  readonly pose: string;
  readonly stops: readonly Stop[];
  /** How many presses of Tab lead to the stop asked for; null where none was, or none is it. */
  readonly presses: number | null;
  readonly limits: readonly Limit[];
}

export interface WalkOptions {
  readonly width: number;
  readonly height: number;
  readonly moves: readonly Move[];
  readonly poseText: string;
  /** Words in the name of the stop to end at. */
  readonly until: string | null;
}

/** The keyboard's way through a page in a pose, stop by stop. @spec html §6.6.4, accname-1.2 @param most stops to follow */
export function walkOf(
  page: Page,
  { width, height, moves, poseText, until }: WalkOptions,
  most = Infinity,
): WalkResult {
  const from = setting(width, { height });
  const at = { ...from, pose: poseAfter(page, moves, from) };
  const rest = page.scene(at);
  const wanted = until?.toLowerCase() ?? null;
  const stops: Stop[] = [];
  let presses: number | null = null;
  for (const element of tabOrder(rest)) {
    if (stops.length >= most) break;
    const focused = page.scene({ ...at, pose: poseAfter(page, [{ by: 'focus', element }], at) }, rest);
    const stop = { ...stopAt(element, rest, focused), keys: keysAt(element, page, at) };
    stops.push(stop);
    if (wanted === null || !stop.name.toLowerCase().includes(wanted)) continue;
    presses = stops.length;
    break;
  }
  return { page: page.name, width, pose: poseText, stops, presses, limits: page.limits };
}

const KEYS = ['Enter', ' ', 'ArrowDown', 'ArrowRight', 'Escape'] as const;

/** What each key does at a stop, where it does anything. */
function keysAt(element: ElementNode, page: Page, at: Setting): readonly KeyAnswer[] {
  const before = poseAfter(page, [{ by: 'focus', element }], at);
  return KEYS.flatMap((key): KeyAnswer[] => {
    const moves = [
      { by: 'focus', element },
      { by: 'key', element, key },
    ] as const;
    const after = poseAfter(page, moves, at);
    if (after.left) return [{ key, does: `goes to ${element.attributes.get('href') ?? 'another page'}` }];
    if (after.focused && after.focused !== before.focused)
      return [{ key, does: `moves to ${subjectOf(after.focused, page.glance)}` }];
    if (!mayOpen(page, at, moves)) return [];
    const { shows, hides } = effectOf(page, at, moves);
    const of = (list: readonly ElementNode[]) => list.filter((e) => isFocusable(e)).length;
    const [opened, closed] = [of(shows.map((one) => one.element)), of(hides)];
    if (opened + closed === 0) return [];
    const [does, count] = opened >= closed ? ['opens', opened] : ['closes', closed];
    return [{ key, does: `${does} ${count} ${count === 1 ? 'control' : 'controls'}` }];
  });
}

function stopAt(element: ElementNode, rest: Scene, focused: Scene): Omit<Stop, 'keys'> {
  const mark = markOf(element, rest, focused);
  const contrast = mark.length > 0 ? markContrast(element, rest, focused) : null;
  return {
    path: element.path,
    selector: selectorOf(element),
    at: element.startTag ? positionOf(element.startTag) : null,
    role: roleOf(element, focused),
    name: nameOf(element, focused),
    states: statesOf(element, focused),
    box: focused.rect(element),
    seen: focused.reach(element) !== null,
    mark,
    contrast: contrast && Math.floor(contrast * 100) / 100,
  };
}

/** States that are told with a role. @spec wai-aria-1.2 §6.7 */
function statesOf(element: ElementNode, scene: Scene): readonly string[] {
  const value = (name: string) => scene.attribute(element, name)?.trim().toLowerCase();
  const out: string[] = [];
  const expanded = value('aria-expanded');
  if (expanded === 'true' || expanded === 'false') out.push(expanded === 'true' ? 'expanded' : 'collapsed');
  else if (element.tag === 'summary' && element.parent)
    out.push(scene.attribute(element.parent, 'open') === undefined ? 'collapsed' : 'expanded');
  const current = value('aria-current');
  if (current && current !== 'false') out.push(current === 'true' ? 'current' : `current ${current}`);
  if (value('aria-pressed') === 'true') out.push('pressed');
  if (
    value('aria-checked') === 'true' ||
    (element.tag === 'input' && value('checked') !== undefined && !isSuperseded(element))
  )
    out.push('checked');
  if (value('aria-selected') === 'true') out.push('selected');
  const popup = value('aria-haspopup');
  if (popup && popup !== 'false') out.push(popup === 'true' ? 'opens a menu' : `opens a ${popup}`);
  if (value('aria-disabled') === 'true') out.push('disabled');
  return out;
}

/** What of an element's looks may tell of focus, and how a sentence calls it. */
const LOOKS = {
  boxShadow: 'shadow',
  backgroundColor: 'ground',
  color: 'text colour',
  textDecorationLine: 'line on the text',
  borderTopColor: 'border',
  borderTopWidth: 'border',
  borderBottomColor: 'border',
  borderBottomWidth: 'border',
  opacity: 'opacity',
  fontWeight: 'weight',
} as const;

/** A border without width shows no colour. */
const hasBorder = (style: ComputedStyle, key: string): boolean =>
  (key.startsWith('borderTop') ? style.borderTopWidth : style.borderBottomWidth) > 0;

function markOf(element: ElementNode, rest: Scene, focused: Scene): readonly string[] {
  const [before, after] = [rest.style(element), focused.style(element)];
  const marks = new Set<string>();
  const ring = after.outlineStyle !== 'none' && after.outlineWidth > 0;
  if (ring && (before.outlineStyle === 'none' || before.outlineWidth === 0)) marks.add('outline');
  for (const [property, word] of Object.entries(LOOKS)) {
    const key = property as keyof typeof LOOKS;
    if (word === 'border' && !hasBorder(before, key) && !hasBorder(after, key)) continue;
    if (JSON.stringify(before[key]) !== JSON.stringify(after[key])) marks.add(word);
  }
  // What stands around it may show the focus instead.
  if (marks.size === 0 && changedLooks(rest.styles, focused.styles).length > 0) marks.add('a change beside it');
  return [...marks];
}
