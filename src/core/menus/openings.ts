import { bottom, right, type Rect } from '../base/index.js';
import type { StyleTree } from '../cascade/index.js';
import { AFFECTS } from '../css/index.js';
import { closest, descendants, isAncestorOrSelf, sameChanges, selectorOf, type ElementNode } from '../html/index.js';
import { canTakeFocus } from '../naming/index.js';
import { poseAfter, type Move, type Page, type Scene, type Setting } from '../scene/index.js';
import { discloses } from './disclosure.js';
import { switchedBy } from './references.js';
import type { Menu, MenuItem } from './types.js';

/** A way to open something, as moves one after the other, and what it brought into view. */
export interface Opening {
  readonly moves: readonly Move[];
  /** `press:.menu-button hover:#fares` */
  readonly text: string;
  /** Controls that can be reached then and could not be before. */
  readonly shows: ReadonlySet<ElementNode>;
}

/** The move that brings something about. */
export const lastMove = (moves: readonly Move[]): Move => moves[moves.length - 1]!;

const ROUTES = ['hover', 'focus', 'press', 'key'] as const;
/** Those who have neither pointer nor keys. */
const BY_TOUCH: ReadonlySet<string> = new Set(['press']);
/** Panels in panels are looked at this deep. */
const DEPTH = 3;

/** A move as poses write it, without its element: `press`, `key(ArrowDown)`. */
export const moveName = ({ by, key }: Pick<Move, 'by' | 'key'>): string => (key === undefined ? by : `${by}(${key})`);

const textOf = (moves: readonly Move[]): string =>
  moves.map((move) => `${moveName(move)}:${selectorOf(move.element)}`).join(' ');

/** Keys beside Enter and Space that open panels where scripts listen to keys. @see WAI-ARIA Authoring Practices, menu button pattern */
const ARROWS = ['ArrowDown', 'ArrowRight'] as const;

/** The moves of a route; those by keys in the order people try them. */
function movesBy(route: Move['by'], element: ElementNode, { hearing }: Page): readonly Move[] {
  const plain: Move = { by: route, element };
  if (route !== 'key' || !hearing.of(element, ['keydown', 'keyup'])) return [plain];
  return [plain, ...ARROWS.map((key): Move => ({ by: route, element, key }))];
}

/**
 * What the menus of a page open at a setting, by every route: toggles first, then submenus, then submenus in those.
 * What lies deeper is looked at once for those with a pointer and once for those without.
 */
export function openingsAt(menus: readonly Menu[], page: Page, at: Setting): readonly Opening[] {
  const out: Opening[] = [];
  const all = controls(menus);
  const handles = handlesOf(menus);
  // Breadth first: what opens from the page at rest is not looked for behind something else.
  let stages: readonly (readonly Move[])[] = [[]];
  for (let depth = 1; depth <= DEPTH && stages.length > 0; depth++) {
    const next: (readonly Move[])[] = [];
    for (const before of stages) next.push(...opened(before));
    stages = next;
  }
  return out;

  /** Opens what can be opened after some moves. @returns chains of moves behind which more may lie */
  function opened(before: readonly Move[]): readonly (readonly Move[])[] {
    const from = page.scene(posed(page, at, before));
    const earlier = before.length > 0 ? page.scene(posed(page, at, before.slice(0, -1))) : null;
    const hidden = all.filter((e) => from.reach(e) === null);
    const further: (readonly Move[])[] = [];
    if (hidden.length === 0) return further;
    for (const { handle, by, inside } of handles) {
      if (from.reach(handle) === null || (earlier && earlier.reach(handle) !== null)) continue;
      const wanted = hidden.filter(inside);
      if (wanted.length === 0) continue;
      const followed = new Set<boolean>();
      for (const route of at.visitor === 'touch' ? by.filter((one) => BY_TOUCH.has(one)) : by) {
        for (const move of movesBy(route, handle, page)) {
          const moves = [...before, move];
          const shows = shownBy(moves, from, wanted);
          if (shows.size === 0) continue;
          out.push({ moves, text: textOf(moves), shows });
          const pointer = route === 'hover' || route === 'press';
          if (!followed.has(pointer) && handles.some((one) => shows.has(one.handle))) further.push(moves);
          followed.add(pointer);
          break;
        }
      }
    }
    return further;
  }

  /** What the last of some moves brings into view of what is wanted. */
  function shownBy(moves: readonly Move[], from: Scene, wanted: readonly ElementNode[]): ReadonlySet<ElementNode> {
    const { by, element } = lastMove(moves);
    if (!mayOpen(page, at, moves) || (by === 'key' && !takesKeys(element, from))) return NONE;
    // What a press shows on its way to another page is no opening.
    if (poseAfter(page, moves, at).left) return NONE;
    const stood = posed(page, at, moves);
    if (!mayShow(wanted, from, page.preview(stood, from).styles)) return NONE;
    const scene = page.scene(stood, from);
    return new Set(wanted.filter((e) => scene.reach(e) !== null));
  }
}

const NONE: ReadonlySet<ElementNode> = new Set();

/** Of the routes to one panel the first, which stands for all; what lies deeper behind those alone. */
export function firstRoutes(openings: readonly Opening[]): readonly Opening[] {
  const kept: Opening[] = [];
  const ways = new Set(['']);
  const handles = new Set<string>();
  for (const opening of openings) {
    const { moves, shows } = opening;
    const before = textOf(moves.slice(0, -1));
    const handle = `${before} ${lastMove(moves).element.index}`;
    if (!ways.has(before) || handles.has(handle)) continue;
    if ([...shows].every((e) => kept.some((one) => one.shows.has(e)))) continue;
    handles.add(handle);
    ways.add(opening.text);
    kept.push(opening);
  }
  return kept;
}

const posed = (page: Page, at: Setting, moves: readonly Move[]): Setting => ({
  ...at,
  pose: moves.length === 0 ? at.pose : poseAfter(page, moves, at),
});

/** Whether a key can press something: itself, or the box a label switches. */
const takesKeys = (handle: ElementNode, scene: Scene): boolean =>
  canTakeFocus(switchedBy(handle, scene.document) ?? handle, scene);

const PAINT = AFFECTS.indexOf('paint');

/** Whether the last move can change what shows at all: some rule, native behaviour or script answers to it. */
export function mayOpen(page: Page, at: Setting, moves: readonly Move[]): boolean {
  const { by, element } = lastMove(moves);
  const touches = (state: 'hover' | 'focus') => AFFECTS.indexOf(page.touchedBy(state, element)) >= PAINT;
  if ((by === 'hover' || by === 'focus') && touches(by)) return true;
  const after = poseAfter(page, moves, at);
  const before = poseAfter(page, moves.slice(0, -1), at);
  return (
    after.target !== before.target ||
    !sameToggles(after.toggled, before.toggled ?? page.restingPose(at).toggled) ||
    !sameChanges(after.changed, before.changed ?? page.restingPose(at).changed) ||
    ((by === 'press' || by === 'key') && touches('focus'))
  );
}

/** The page after one move from rest; null where nothing answers to it, and where it leads to another page. */
export function sceneAfter(move: Move, page: Page, at: Setting): Scene | null {
  if (!mayOpen(page, at, [move])) return null;
  const pose = poseAfter(page, [move], at);
  return pose.left ? null : page.scene({ ...at, pose }, page.scene(at));
}

/** Whether a move lays an element out where people look, be it cut off there: before it was invisible, or off the page. */
export const laysOut = (element: ElementNode, before: Scene, after: Scene): boolean =>
  after.isVisible(element) &&
  (!before.isVisible(element) || (isOff(before.rect(element)) && !isOff(after.rect(element))));

const UNFOLDING = ['hover', 'press', 'focus'] as const;

/** The page after each move on a handle that lays some elements out, whether they come into view or not. */
export function* unfolded(
  handle: ElementNode,
  elements: readonly ElementNode[],
  page: Page,
  at: Setting,
): Generator<Scene> {
  const rest = page.scene(at);
  for (const by of UNFOLDING) {
    const after = sceneAfter({ by, element: handle }, page, at);
    if (after && elements.some((e) => laysOut(e, rest, after))) yield after;
  }
}

/** Whether something lies above or left of all that can be scrolled to. */
const isOff = (rect: Rect | null): boolean => rect === null || right(rect) <= 0 || bottom(rect) <= 0;

/** Whether any of some elements out of reach may come into it by other styles: told before anything is laid out. */
function mayShow(wanted: readonly ElementNode[], from: Scene, { changed, view }: StyleTree): boolean {
  const restyled = new Set(changed);
  return wanted.some((e) => from.isVisible(e) || closest(e, (a) => restyled.has(a) || view.changes.has(a)) !== null);
}

type Toggles = Setting['pose']['toggled'];

const sameToggles = (a: Toggles, b: Toggles): boolean =>
  a?.size === b?.size && [...(a ?? [])].every(([element, on]) => b!.get(element) === on);

const controls = (menus: readonly Menu[]): readonly ElementNode[] => [
  ...new Set(menus.flatMap((menu) => [...menu.items.map((i) => i.element), ...menu.toggles.map((t) => t.element)])),
];

interface Handle {
  readonly handle: ElementNode;
  readonly by: readonly Move['by'][];
  readonly inside: (element: ElementNode) => boolean;
}

function handlesOf(menus: readonly Menu[]): readonly Handle[] {
  return menus.flatMap((menu): Handle[] => {
    const own = new Set(menu.items.map((item) => item.element));
    return [
      ...menu.toggles.map(({ element }): Handle => ({
        handle: element,
        by: ['press', 'key'],
        inside: (e) => own.has(e),
      })),
      ...menu.items.flatMap((item) =>
        item.submenu ? [handleOf(item, item.submenu), ...companions(item, item.submenu)] : [],
      ),
    ];
  });
}

/** Buttons that stand in the entry of an item beside it: they may open its panel too. */
function companions(item: MenuItem, submenu: ElementNode): readonly Handle[] {
  const entry = submenu.parent;
  if (!entry || !isAncestorOrSelf(entry, item.element)) return [];
  const within = new Set(descendants(submenu));
  return [...descendants(entry)]
    .filter((e) => e !== item.element && e !== submenu && !within.has(e))
    .filter(
      (e) => ['button', 'label', 'summary'].includes(e.tag) || e.attributes.get('role') === 'button' || discloses(e),
    )
    .map((handle) => ({ handle, by: ['press', 'key'], inside: (e) => within.has(e) }));
}

function handleOf(item: MenuItem, submenu: ElementNode): Handle {
  const within = new Set(descendants(submenu));
  return { handle: item.element, by: ROUTES, inside: (e) => within.has(e) };
}
