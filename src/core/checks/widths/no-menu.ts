import { closest, selectorOf, type ElementNode } from '../../html/index.js';
import type { Menu } from '../../menus/index.js';
import { defineCheck, onElement, type Observation } from '../define.js';
import { addressOf, leadsOn, mayOpenFilled, reachedAddresses } from '../shared/destinations.js';
import { menuSeams } from '../shared/seams.js';
import type { Subject } from '../subject.js';

/** Widths at which there is neither menu nor toggle. @spec WCAG 2.2 SC 2.4.5 */
export const noMenu = defineCheck(
  {
    id: 'no-menu',
    title: 'There is a menu at every width',
    weight: 'blocks',
    scope: 'menu',
    asks: { visitors: ['mouse'], poses: 'rest', widths: 'ends' },
    leansOn: ['sheets', 'scripts'],
    explains: {
      means:
        'Between two breakpoints the wide menu is gone and the narrow one is not there yet: on such screens nobody gets anywhere.',
      rule: [
        'At every width some item of the main menu is in view, or a toggle is, or half of its destinations, or of those on its first level, stand elsewhere in view.',
        'A toggle that shows and opens nothing is told as a dead one.',
        'Where a script copies the menu to another place or puts one of its own making into the page, nothing is said: what that shows is told as a limit.',
      ],
      faulty:
        '@media (max-width: 900px) { .menu { display: none } } @media (max-width: 600px) { .toggle { display: block } }',
      mended: '@media (max-width: 900px) { .menu { display: none } .toggle { display: block } }',
    },
    worse: null,
    messages: {
      none: {
        says: '{menu} is out of view at these widths, and no button shows that would open it.',
        mends: 'Let the two queries meet: the toggle begins to show where the menu goes.',
        criteria: [{ number: '2.4.5', level: 'AA' }],
      },
    },
  },
  (subject) => subject.menus.flatMap((menu) => observe(menu, subject)),
);

/** Of its destinations this share must be elsewhere for a menu not to be missed. */
const ELSEWHERE = 0.5;

const HOME = /^\/?(index\.\w+)?$/;

/** What opens something inside the page's content opens no menu of the site. */
const inContent = (element: ElementNode): boolean => closest(element, ({ tag }) => tag === 'main') !== null;

function observe(menu: Menu, subject: Subject): Observation[] {
  const { scene, routes, page } = subject;
  if (menu.kind !== 'main') return [];
  const shows = [...menu.items, ...menu.toggles].some(({ element }) => scene.reach(element) !== null);
  const opens = subject.menus.some(({ toggles }) =>
    toggles.some(({ element }) => !inContent(element) && scene.reach(element) !== null),
  );
  if (shows || opens || menu.items.some(({ element }) => routes.some((o) => o.shows.has(element)))) return [];
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
    return [];
  const held = standElsewhere(addresses) || (first.length > 0 && standElsewhere(first, shut));
  if (addresses.length === 0 || held || mayOpenFilled(subject)) return [];
  return [
    {
      at: onElement(menu.root),
      menus: [menu],
      state: 'normal',
      message: 'none',
      data: { menu: menu.label || selectorOf(menu.root) },
    },
  ];
}
