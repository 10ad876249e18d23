import type { ElementNode } from '../../html/index.js';
import { tabOrder } from '../../naming/index.js';
import type { Subject } from '../subject.js';

/** A skip link is among the first stops. */
const FIRST = 4;

/** Links among the first stops of the Tab key that lead to a part of the page and are no items. */
export const skipLinks = ({ scene, menus }: Subject): readonly ElementNode[] =>
  tabOrder(scene)
    .slice(0, FIRST)
    .filter(
      (e) =>
        /^#./.test(e.attributes.get('href')?.trim() ?? '') &&
        !menus.some((menu) => [...menu.items, ...menu.toggles].some(({ element }) => element === e)),
    );
