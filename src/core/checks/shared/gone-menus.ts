import { closest, type ElementNode } from '../../html/index.js';
import type { Menu } from '../../menus/index.js';
import type { Subject } from '../subject.js';
import { addressOf, leadsOn, mayOpenFilled, reachedAddresses } from './destinations.js';
import { menuSeams } from './seams.js';

/** Of its destinations this share must be elsewhere for a menu not to be missed. */
const ELSEWHERE = 0.5;

const HOME = /^\/?(index\.\w+)?$/;

/** What opens something inside the page's content opens no menu of the site. */
const inContent = (element: ElementNode): boolean => closest(element, ({ tag }) => tag === 'main') !== null;

/** Whether a main menu is out of view, nothing shows that would open it, and its destinations stand nowhere else. */
export function isGone(menu: Menu, subject: Subject): boolean {
  const { scene, routes, page } = subject;
  if (menu.kind !== 'main') return false;
  const shows = [...menu.items, ...menu.toggles].some(({ element }) => scene.reach(element) !== null);
  const opens = subject.menus.some(({ toggles }) =>
    toggles.some(({ element }) => !inContent(element) && scene.reach(element) !== null),
  );
  // Another one in view, be it with fewer entries, is a menu.
  const others = subject.menus.some(
    (other) =>
      other !== menu && other.kind === 'main' && other.items.filter(({ element }) => scene.reach(element)).length > 1,
  );
  if (shows || opens || others || menu.items.some(({ element }) => routes.some((o) => o.shows.has(element))))
    return false;
  const reached = reachedAddresses(scene, routes, page);
  const addressesOf = (items: Menu['items']) =>
    items.flatMap(({ href }) => (leadsOn(href) ? [addressOf(href, page)] : []));
  // The way home is on every page, by the name of the site.
  const far = addressesOf(menu.items).filter((address) => !HOME.test(address));
  const addresses = far.length > 0 ? far : addressesOf(menu.items);
  const top = menu.items.filter(({ level }) => level === 1);
  const first = addressesOf(top).filter((address) => addresses.includes(address));
  // Entries that only open something lead nowhere by themselves.
  const shut = top.filter(({ href, submenu }) => submenu !== null && !leadsOn(href)).length;
  const standElsewhere = (some: readonly string[], besides = 0) =>
    some.filter((address) => reached.has(address)).length >= (some.length + besides) * ELSEWHERE;
  // Between queries that do not meet, the seam is the fault.
  if (menuSeams(page, subject.menus).some(({ from, to }) => subject.parts.width >= from && subject.parts.width <= to))
    return false;
  const held = standElsewhere(addresses) || (first.length > 0 && standElsewhere(first, shut));
  return addresses.length > 0 && !held && !mayOpenFilled(subject);
}
