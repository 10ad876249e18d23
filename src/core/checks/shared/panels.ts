import { descendants, type ElementNode } from '../../html/index.js';
import { lastMove, type Menu, type MenuItem, type Opening, type Toggle } from '../../menus/index.js';
import { poseAfter, type Move, type Scene } from '../../scene/index.js';
import type { Subject } from '../subject.js';

/** A part of a menu that is out of view at rest, and the ways in which it comes into view. */
export interface Panel {
  /** What opens it: an item that owns it, or a toggle of the menu. */
  readonly handle: ElementNode;
  readonly menu: Menu;
  readonly item: MenuItem | null;
  readonly toggle: Toggle | null;
  /** Controls in it that cannot be brought into view at rest. */
  readonly hidden: readonly ElementNode[];
  /** Moves that show some of them, by whatever they are made. */
  readonly openings: readonly Opening[];
}

const known = new WeakMap<Scene, readonly Panel[]>();

/** The panels of all menus at a subject's width and for its visitor. */
export function panelsOf(subject: Subject): readonly Panel[] {
  let panels = known.get(subject.scene);
  if (!panels) known.set(subject.scene, (panels = found(subject)));
  return panels;
}

function found({ menus, scene, routes }: Subject): readonly Panel[] {
  const panel = (
    menu: Menu,
    handle: ElementNode,
    members: readonly ElementNode[],
    own: Pick<Panel, 'item' | 'toggle'>,
  ): Panel[] => {
    const hidden = members.filter((e) => scene.reach(e) === null);
    if (hidden.length === 0) return [];
    const openings = routes.filter(({ shows }) => hidden.some((e) => shows.has(e)));
    return [{ handle, menu, hidden, openings, ...own }];
  };
  return menus.flatMap((menu) => [
    ...menu.toggles.flatMap((toggle) =>
      panel(
        menu,
        toggle.element,
        menu.items.map((i) => i.element),
        { item: null, toggle },
      ),
    ),
    ...menu.items.flatMap((item) => {
      if (!item.submenu) return [];
      const within = new Set(descendants(item.submenu));
      return panel(
        menu,
        item.element,
        menu.items.map((i) => i.element).filter((e) => within.has(e)),
        { item, toggle: null },
      );
    }),
  ]);
}

const POINTER: ReadonlySet<Move['by']> = new Set(['hover', 'press']);
const KEYS: ReadonlySet<Move['by']> = new Set(['focus', 'key']);
const isBy =
  (set: ReadonlySet<Move['by']>) =>
  ({ moves }: Opening) =>
    moves.every(({ by }) => set.has(by));

export const byPointer = isBy(POINTER);
export const byKeys = isBy(KEYS);
/** The last move of an opening. */
export const lastBy = ({ moves }: Opening): Move['by'] => lastMove(moves).by;

/** Whether an opening ends with a move of a kind on an element. */
export const endsOn = ({ moves }: Opening, element: ElementNode, ...by: readonly Move['by'][]): boolean =>
  lastMove(moves).element === element && by.includes(lastMove(moves).by);

/** The opening of a panel by one move on its handle. */
export const atOnce = ({ openings, handle }: Panel, by: Move['by']): Opening | undefined =>
  openings.find((o) => o.moves.length === 1 && endsOn(o, handle, by));

/** Whether the handle of a panel can be got to: at rest, or once something else is opened. */
export const handleShows = ({ handle }: Panel, { scene, routes }: Subject): boolean =>
  scene.reach(handle) !== null || routes.some(({ shows }) => shows.has(handle));

/** Panels that only a hover opens: what is in them is told with their handle. */
export const isHoverOnly = (panel: Panel, subject: Subject): boolean =>
  panel.toggle === null &&
  panel.openings.length > 0 &&
  panel.openings.every((opening) => opening.moves.some(({ by }) => by === 'hover') || !stays(opening, panel, subject));

const staying = new WeakMap<Opening, boolean>();

/** Whether what a press opened is still there when the pointer goes away: otherwise only its hovering opened it. */
export function stays(opening: Opening, { hidden }: Panel, { page, setting: at, scene }: Subject): boolean {
  if (lastBy(opening) !== 'press') return true;
  let known = staying.get(opening);
  if (known === undefined) {
    const moves: readonly Move[] = [...opening.moves, { by: 'hover', element: scene.document.root }];
    const away = page.scene({ ...at, pose: { ...poseAfter(page, moves, at), focused: null } }, scene);
    known = hidden.some((e) => opening.shows.has(e) && away.reach(e) !== null);
    staying.set(opening, known);
  }
  return known;
}

/** The opening by a press on the handle of a panel itself that does not hang on the pointer staying there. */
export const pressOf = (panel: Panel, subject: Subject): Opening | undefined =>
  panel.openings.find((o) => endsOn(o, panel.handle, 'press') && stays(o, panel, subject));

export const holds = (panel: Panel, element: ElementNode): boolean => panel.hidden.includes(element);
