import { descendants, isAncestorOrSelf, type ElementNode } from '../../html/index.js';
import { discloses, unfolded, type Menu } from '../../menus/index.js';
import { addressOf } from '../shared/addresses.js';
import { standsElsewhere } from '../shared/destinations.js';
import { leadsSomewhere, lostMenus, membersOf } from '../shared/lost-menus.js';
import { PRESSES } from '../shared/presses.js';
import { roleOf, subjectOf } from '../../naming/index.js';
import { defineCheck, onElement, type Observation } from '../define.js';
import type { Page } from '../../scene/index.js';
import { STOPS } from '../../scripts/index.js';
import type { Subject } from '../subject.js';

/** Menu buttons that open nothing. */
export const toggleDead = defineCheck(
  {
    id: 'toggle-dead',
    title: 'A menu button opens its menu',
    weight: 'blocks',
    scope: 'menu',
    asks: { visitors: ['mouse'], poses: 'rest', widths: 'bands' },
    leansOn: ['sheets', 'scripts'],
    explains: {
      means: 'The button is there, one presses it, and nothing happens. The menu behind it is lost at these widths.',
      rule: [
        'A toggle that shows while the items of its menu do not brings some of them into view when it is pressed.',
        'The same holds for a button of an item whose submenu nothing else opens either.',
        'What a press lays out and something cuts off is a fault of what cuts it.',
        'Where a script that could not be followed listens to it, or one stops with an error, a person has to look.',
        'A button that a script answers to is passed over where scripts copied the menu or made one of their own: it may open that.',
      ],
      faulty: '<button class="menu-button">Menu</button> <!-- the script listens to .menu-btn -->',
      mended: '<button class="menu-btn">Menu</button>',
    },
    worse: null,
    messages: {
      dead: {
        says: '{subject} shows and opens nothing: a press on it changes nothing of its menu, of which {count} links stay out of view.',
        mends: 'Look whether the script or rule that should answer to it names it rightly.',
        criteria: [],
      },
    },
  },
  inspect,
);

/** Whether something of the scripts could not be followed that may be what opens the menu. */
const isUnclear = ({ limits, hearing }: Page, toggle: ElementNode): boolean => {
  const unread = limits.filter(({ kind }) => kind === 'unread');
  return (
    (unread.length > 0 && hearing.of(toggle, [...PRESSES, 'change'])) ||
    unread.some(({ consequence }) => consequence.startsWith(STOPS))
  );
};

function inspect(subject: Subject): readonly Observation[] {
  return subject.menus.flatMap((menu) => [...deadToggles(menu, subject), ...deadDisclosures(menu, subject)]);
}

function deadToggles(menu: Menu, subject: Subject): Observation[] {
  const { scene, page, menus } = subject;
  const members = membersOf(menu);
  if (members.length === 0 || members.some((e) => scene.reach(e) !== null)) return [];
  return menu.toggles.flatMap(({ element }): Observation[] => {
    if (scene.reach(element) === null) return [];
    // It may open what scripts made of the menu.
    if (standsElsewhere(page, menus) && page.hearing.of(element, [...PRESSES, 'change'])) return [];
    if (leadsSomewhere(element, subject)) return [];
    // Where something cuts off what opens, that is the fault.
    if (lostMenus(subject).some(({ toggle }) => toggle === element)) return [];
    return [observation(element, menu, members.length, { scene, page })];
  });
}

/** Buttons of items whose submenu nothing at all brings into view. */
function deadDisclosures(menu: Menu, subject: Subject): Observation[] {
  const { scene, routes, page } = subject;
  return menu.items.flatMap(({ element, submenu }): Observation[] => {
    if (!submenu) return [];
    const members = menu.items.filter((one) => isAncestorOrSelf(submenu, one.element)).map((one) => one.element);
    if (members.length === 0 || members.some((e) => scene.reach(e) !== null)) return [];
    if (routes.some(({ shows }) => members.some((e) => shows.has(e)))) return [];
    // Where something cuts off what opens, that is the fault.
    if (!unfolded(element, members, subject.page, subject.setting).next().done) return [];
    const button = buttonOf(element, submenu, scene);
    return button && scene.reach(button) !== null ? [observation(button, menu, members.length, { scene, page })] : [];
  });
}

/** What an item shows for its submenu: itself, or a control of its own beside it; not a link to another page. */
function buttonOf(item: ElementNode, submenu: ElementNode, scene: Subject['scene']): ElementNode | null {
  const entry = item.parent?.tag === 'li' ? item.parent : item;
  const own = [item, ...descendants(entry)].filter((e) => !isAncestorOrSelf(submenu, e));
  return own.find((e) => addressOf(e).kind !== 'page' && (roleOf(e, scene) === 'button' || discloses(e))) ?? null;
}

const observation = (
  element: ElementNode,
  menu: Menu,
  count: number,
  { scene, page }: Pick<Subject, 'scene' | 'page'>,
): Observation => ({
  at: onElement(element),
  menus: [menu],
  state: 'normal',
  message: 'dead',
  ...(isUnclear(page, element) ? { verdict: 'look' as const } : {}),
  data: { subject: subjectOf(element, scene), count },
  common: `dead ${element.tag}.${element.classes.join('.')}`,
});
