import { isAncestorOrSelf, type ElementNode } from '../../html/index.js';
import { endsOn } from '../shared/panels.js';
import { subjectOf } from '../../naming/index.js';
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
    asks: { visitors: ['mouse'], poses: 'rest', widths: 'ends' },
    leansOn: ['sheets', 'scripts'],
    explains: {
      means: 'The button is there, one presses it, and nothing happens. The menu behind it is lost at these widths.',
      rule: [
        'A toggle that shows while the items of its menu do not brings some of them into view when it is pressed.',
        'Where a script that could not be followed listens to it, or one stops with an error, a person has to look.',
      ],
      faulty: '<button class="menu-button">Menu</button> <!-- the script listens to .menu-btn -->',
      mended: '<button class="menu-btn">Menu</button>',
    },
    worse: null,
    messages: {
      dead: {
        says: '{subject} shows and opens nothing: a press on it changes nothing of its menu, whose {count} links are out of view.',
        mends: 'Look whether the script or rule that should answer to it names it rightly.',
        criteria: [],
      },
    },
  },
  inspect,
);

const PRESSES = ['click', 'pointerdown', 'pointerup', 'mousedown', 'mouseup', 'touchstart', 'touchend', 'change'];

/** Whether something of the scripts could not be followed that may be what opens the menu. */
const isUnclear = ({ limits, hearing }: Page, toggle: ElementNode): boolean => {
  const unread = limits.filter(({ kind }) => kind === 'unread');
  return (
    (unread.length > 0 && hearing.of(toggle, PRESSES)) ||
    unread.some(({ consequence }) => consequence.startsWith(STOPS))
  );
};

function inspect({ menus, scene, routes, page }: Subject): readonly Observation[] {
  return menus.flatMap((menu): Observation[] => {
    const items = menu.items.filter(({ element }) => !menu.toggles.some((toggle) => toggle.element === element));
    if (items.length === 0 || items.some(({ element }) => scene.reach(element) !== null)) return [];
    return menu.toggles.flatMap((toggle): Observation[] => {
      const { element } = toggle;
      if (scene.reach(element) === null) return [];
      if (
        routes.some((o) => o.moves.some((move) => move.element === element || isAncestorOrSelf(element, move.element)))
      )
        return [];
      if (routes.some((o) => endsOn(o, element, 'press', 'key', 'hover', 'focus'))) return [];
      return [
        {
          at: onElement(element),
          menus: [menu],
          state: 'normal',
          message: 'dead',
          ...(isUnclear(page, element) ? { verdict: 'look' as const } : {}),
          data: { subject: subjectOf(element, scene), count: items.length },
        },
      ];
    });
  });
}
