import { isAncestorOrSelf, type ElementNode } from '../../html/index.js';
import type { Menu } from '../../menus/index.js';
import type { Scene } from '../../scene/index.js';
import type { Subject } from '../subject.js';
import { contestOf } from './layers.js';
import { pressedInstead } from './presses.js';

/** So many items beneath the page are no accident. */
const FEW = 3;
/** Of those in view; over one or the other a link to the same page may lie. */
const MOST = 0.7;
const known = new WeakMap<Scene, ReadonlySet<Menu>>();

/**
 * Menus that lie under the page as a whole until it moves aside: what lies over its items is what a menu button in
 * reach stands in.
 */
export function menusBeneath({ scene, menus }: Subject): ReadonlySet<Menu> {
  let found = known.get(scene);
  if (!found) {
    const buttons = menus.flatMap(({ toggles }) => toggles.map(({ element }) => element));
    const inReach = buttons.filter((e) => scene.reach(e) !== null);
    const liesUnder = (element: ElementNode): boolean => {
      const cover = pressedInstead(element, scene);
      const page = cover && contestOf(cover, element, scene)?.above.element;
      return !!page && inReach.some((button) => isAncestorOrSelf(page, button));
    };
    const isBeneath = ({ items }: Menu): boolean => {
      const shown = items.filter(({ element }) => scene.reach(element) !== null);
      const under = shown.filter(({ element }) => liesUnder(element)).length;
      return under >= FEW && under >= shown.length * MOST;
    };
    known.set(scene, (found = new Set(inReach.length > 0 ? menus.filter(isBeneath) : [])));
  }
  return found;
}
