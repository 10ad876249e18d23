import { isAncestorOrSelf, type ElementNode } from '../../html/index.js';
import { unfolded, type Menu } from '../../menus/index.js';
import type { Scene } from '../../scene/index.js';
import type { Subject } from '../subject.js';
import { endsOn } from './panels.js';

/** A menu that a press on its toggle lays out and that stays out of reach all the same. */
export interface LostMenu {
  readonly menu: Menu;
  readonly toggle: ElementNode;
  /** Its items. */
  readonly members: readonly ElementNode[];
  /** The page after the press. */
  readonly after: Scene;
}

/** Whether any way that comes into view begins or ends on a toggle. */
export const leadsSomewhere = (toggle: ElementNode, { routes }: Subject): boolean =>
  routes.some(
    (o) =>
      o.moves.some((move) => move.element === toggle || isAncestorOrSelf(toggle, move.element)) ||
      endsOn(o, toggle, 'press', 'key', 'hover', 'focus'),
  );

/** Items of a menu, its toggles left out. */
export const membersOf = ({ items, toggles }: Menu): readonly ElementNode[] =>
  items.map(({ element }) => element).filter((element) => !toggles.some((toggle) => toggle.element === element));

const known = new WeakMap<Subject, readonly LostMenu[]>();

/** From the page at rest. */
export function lostMenus(subject: Subject): readonly LostMenu[] {
  let lost = known.get(subject);
  if (!lost) known.set(subject, (lost = subject.parts.opened === null ? found(subject) : []));
  return lost;
}

function found(subject: Subject): readonly LostMenu[] {
  const { menus, scene, page, setting } = subject;
  return menus.flatMap((menu) => {
    const members = membersOf(menu);
    if (members.length === 0 || members.some((e) => scene.reach(e) !== null)) return [];
    return menu.toggles.flatMap(({ element: toggle }): LostMenu[] => {
      if (scene.reach(toggle) === null || leadsSomewhere(toggle, subject)) return [];
      const [after] = unfolded(toggle, members, page, setting);
      return after ? [{ menu, toggle, members, after }] : [];
    });
  });
}
