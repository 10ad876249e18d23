import { filledByScripts, type Menu } from '../../menus/index.js';
import { defineCheck, onElement, type Observation } from '../define.js';
import { addressOf, leadsOn, mayOpenFilled, reachedAddresses } from '../shared/destinations.js';
import type { Subject } from '../subject.js';

/** Menus nobody gets to where scripts do not run. */
export const needsScript = defineCheck(
  {
    id: 'needs-script',
    title: 'The links can be reached without scripts',
    weight: 'hinders',
    scope: 'menu',
    asks: { visitors: ['no-script'], poses: 'rest', widths: 'bands' },
    explains: {
      means:
        'Scripts fail: on slow lines, behind filters, with old browsers, or because of a mistake elsewhere. A menu that hides until a script opens it is gone then.',
      rule: [
        'With scripts off, the links of every menu are in view or can be opened by style or markup, or stand elsewhere on the page in view.',
        'A menu that a script folds away, so that it stands open without it, is no fault; nor is a toggle that shows only with scripts.',
      ],
      faulty: '.menu { display: none } .menu.is-open { display: block }',
      mended: '.js .menu { display: none } .js .menu.is-open { display: block }',
    },
    worse: null,
    messages: {
      hidden: {
        says: 'With scripts off, {links} of {menu} {are} out of view and nothing opens {them}.',
        mends:
          'Show the menu as it is shipped and let the script fold it away (a class set by the script), or open it by details, popover or a checkbox.',
        criteria: [],
      },
      empty: {
        says: '{menu} is empty in the markup and filled by {by}: with scripts off it has no links at all.',
        mends: 'Ship the links in the markup and let the script add to them.',
        criteria: [],
      },
    },
  },
  inspect,
);

/** Of a menu's links this share must be out of reach before it is a fault of the menu. */
const MOST = 0.5;

function share(lost: number, all: number): Readonly<Record<'links' | 'are' | 'them', string>> {
  const links = lost < all ? `${lost} of the ${all} links` : all > 1 ? `all ${all} links` : 'the one link';
  return lost > 1 ? { links, are: 'are', them: 'them' } : { links, are: 'is', them: 'it' };
}

function inspect(subject: Subject): readonly Observation[] {
  const { scene, menus, routes, page } = subject;
  const reached = reachedAddresses(scene, routes, page);
  const usual = subject.parts.usual();
  const withScripts = reachedAddresses(usual.scene, usual.routes, usual.page);
  // What scripts put into a drawer is most likely the menu that is hidden there.
  const filled = mayOpenFilled(usual);
  const hidden = (menu: Menu) =>
    menu.items.filter(({ href }) => {
      if (!leadsOn(href)) return false;
      const address = addressOf(href, page);
      return (filled || withScripts.has(address)) && !reached.has(address);
    });
  const out = menus.flatMap((menu): Observation[] => {
    const links = menu.items.filter(({ href }) => leadsOn(href));
    const lost = hidden(menu);
    if (lost.length === 0 || lost.length < links.length * MOST) return [];
    const toggle = menu.toggles.find(({ element }) => scene.reach(element) !== null);
    return [
      {
        at: onElement(toggle?.element ?? menu.root),
        menus: [menu],
        state: 'normal',
        message: 'hidden',
        data: { ...share(lost.length, links.length), menu: menu.label || 'the menu' },
      },
    ];
  });
  const empty = filledByScripts(page, menus).map(({ element, by }): Observation => ({
    at: onElement(element),
    menus: [],
    state: 'normal',
    message: 'empty',
    data: { menu: `the ${element.tag} element`, by },
  }));
  return [...out, ...empty];
}
