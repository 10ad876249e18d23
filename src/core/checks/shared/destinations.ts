import { closest, type ElementNode } from '../../html/index.js';
import {
  copiedByScripts,
  drawersFilled,
  isOuterButton,
  openingsAt,
  type Menu,
  type Opening,
} from '../../menus/index.js';
import { addressFrom, setting, type Page, type Scene } from '../../scene/index.js';
import type { Subject } from '../subject.js';
import { isUndrawn } from './undrawn.js';

/** Whether scripts put a copy of a menu elsewhere, or one of their own making: what it shows and opens is not known. */
export const standsElsewhere = (page: Page, menus: readonly Menu[]): boolean =>
  copiedByScripts(page, menus).length > 0 || page.hearing.marks.furnished.length > 0;

/**
 * Whether scripts put a copy of a menu elsewhere or one of their own making, may draw a button that is not seen
 * without, or a button shows that may open a part which they fill: what is in there then is not known.
 */
export const mayOpenFilled = (subject: Subject): boolean => {
  const { page, menus, scene } = subject;
  const outside = (e: ElementNode) => closest(e, ({ tag }) => tag === 'main') === null;
  return (
    standsElsewhere(page, menus) ||
    (drawersFilled(page, menus).length > 0 &&
      scene.document.elements.some((e) => isOuterButton(e, page) && scene.reach(e) !== null)) ||
    scene.document.elements.some((e) => isUndrawn(e, subject) && outside(e))
  );
};

/** Whether an address leads somewhere: not to the top of the page and not to a script. */
export const leadsOn = (href: string | null): href is string =>
  href !== null && /^(?!\s*(#|javascript:|$))/i.test(href);

/** The address an item leads to, for comparison. */
export const addressOf = (href: string, page: Page): string => addressFrom(href, page) ?? href.trim();

/** Whether an element shows or can be opened. */
export const gotTo =
  (scene: Scene, routes: readonly Pick<Opening, 'shows'>[]) =>
  (element: ElementNode): boolean =>
    scene.reach(element) !== null || routes.some(({ shows }) => shows.has(element));

/** Addresses that can be got to from what shows and from what opens. */
export function reachedAddresses(
  scene: Scene,
  routes: readonly Pick<Opening, 'shows'>[],
  page: Page,
): ReadonlySet<string> {
  const isReached = gotTo(scene, routes);
  const out = new Set<string>();
  for (const element of scene.document.elements) {
    const href = element.tag === 'a' ? (element.attributes.get('href') ?? null) : null;
    if (!leadsOn(href)) continue;
    if (isReached(element)) out.add(addressOf(href, page));
  }
  return out;
}

const WIDE = 1920;
const wide = new WeakMap<Page, ReadonlyMap<Menu, readonly ElementNode[]>>();

/** Items of each menu that can be got to on a wide screen. */
export function wideItems({ page, menus }: Subject): ReadonlyMap<Menu, readonly ElementNode[]> {
  let known = wide.get(page);
  if (!known) {
    const at = setting(WIDE);
    const scene = page.scene(at);
    const reached = gotTo(scene, openingsAt(menus, page, at));
    known = new Map(menus.map((menu) => [menu, menu.items.map(({ element }) => element).filter(reached)]));
    wide.set(page, known);
  }
  return known;
}
