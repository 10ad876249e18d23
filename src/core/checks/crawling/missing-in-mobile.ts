import { firstRoutes, type Menu } from '../../menus/index.js';
import { poseAfter } from '../../scene/index.js';
import { defineCheck, onElement, type Observation } from '../define.js';
import { addressOf, gotTo, leadsOn, mayOpenFilled, reachedAddresses, wideItems } from '../shared/destinations.js';
import { isGone } from '../shared/gone-menus.js';
import { menuSeams } from '../shared/seams.js';
import type { Subject } from '../subject.js';

/** Destinations of the wide menu that narrow screens do not have. */
export const missingInMobile = defineCheck(
  {
    id: 'missing-in-mobile',
    title: 'The narrow menu leads wherever the wide one does',
    weight: 'hinders',
    scope: 'menu',
    asks: { visitors: ['mouse'], poses: 'rest', widths: 'bands' },
    leansOn: ['sheets', 'scripts'],
    explains: {
      means:
        'Most visitors come by phone, and search engines read the page as phones show it. What is missing there is missing for them.',
      rule: [
        'Every address of the main menu on a wide screen can be got to at this width too: in view, or in something that opens.',
        'Under other words, in another menu or elsewhere on the page counts. What an opened panel holds and cuts off is a fault of the panel.',
      ],
      faulty: '@media (max-width: 48em) { .menu .extra { display: none } }',
      mended: '@media (max-width: 48em) { .menu .extra { display: block } }',
    },
    worse: null,
    messages: {
      missing: {
        says: '{subject} is in the wide menu and nowhere at these widths: whoever comes by phone does not get to {address}.',
        mends: 'Show it in the narrow menu as well.',
        criteria: [],
      },
    },
  },
  inspect,
);

/** Where nearly everything is gone the menu as a whole is the fault. */
const MOST = 0.8;

function inspect(subject: Subject): readonly Observation[] {
  const { scene, routes, page, menus, parts } = subject;
  // Between queries that do not meet, the seam is the fault.
  if (menuSeams(page, menus).some(({ from, to }) => parts.width >= from && parts.width <= to)) return [];
  if (mayOpenFilled(subject)) return [];
  const wide = wideItems(subject);
  const reached = reachedAddresses(scene, routes, page);
  return menus
    .filter(({ kind }) => kind === 'main')
    .flatMap((menu): Observation[] => {
      const items = menu.items.filter(({ element, href }) => leadsOn(href) && (wide.get(menu) ?? []).includes(element));
      const missing = items.filter(({ href }) => !reached.has(addressOf(href!, page)));
      if (missing.length === 0 || missing.length > items.length * MOST || isShut(menu, subject)) return [];
      // Where the whole menu is gone, that is the fault.
      if (isGone(menu, subject)) return [];
      // What is laid out in a panel and cut off there is a fault of the panel.
      const cut = addressesCut(subject);
      return missing
        .filter(({ href }) => !cut.has(addressOf(href!, page)))
        .map(({ element, label, href }) => ({
          at: onElement(element),
          menus: [menu],
          state: 'normal',
          message: 'missing',
          data: { subject: `“${label}”`, address: href! },
          common: menu.root.path,
        }));
    });
}

/** Addresses of links that opened panels hold and cut off. */
function addressesCut({ scene, routes, page, menus, setting: at }: Subject): ReadonlySet<string> {
  const out = new Set<string>();
  for (const { moves, shows } of firstRoutes(routes)) {
    const opened = page.scene({ ...at, pose: poseAfter(page, moves, at) }, scene);
    for (const { items } of menus)
      if (items.some(({ element }) => shows.has(element)))
        for (const { element, href } of items)
          if (leadsOn(href) && opened.isVisible(element) && opened.reach(element) === null)
            out.add(addressOf(href, page));
  }
  return out;
}

/** Whether a menu is behind a button of which nothing comes: that button is the fault. */
function isShut({ items, toggles }: Menu, { scene, routes }: Subject): boolean {
  const isReached = gotTo(scene, routes);
  return (
    toggles.some(({ element }) => scene.reach(element) !== null) && !items.some(({ element }) => isReached(element))
  );
}
