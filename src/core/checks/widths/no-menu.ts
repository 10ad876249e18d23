import { selectorOf } from '../../html/index.js';
import { defineCheck, onElement, type Observation } from '../define.js';
import { isGone } from '../shared/gone-menus.js';

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
  (subject) =>
    subject.menus
      .filter((menu) => isGone(menu, subject))
      .map((menu): Observation => ({
        at: onElement(menu.root),
        menus: [menu],
        state: 'normal',
        message: 'none',
        data: { menu: menu.label || selectorOf(menu.root) },
      })),
);
