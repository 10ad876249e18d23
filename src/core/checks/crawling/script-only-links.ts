import { filledByScripts } from '../../menus/index.js';
import { defineCheck, onElement, type Observation } from '../define.js';
import type { Subject } from '../subject.js';

/** Menus whose links scripts alone bring in. */
export const scriptOnlyLinks = defineCheck(
  {
    id: 'script-only-links',
    title: 'The links of menus are in the markup',
    weight: 'hinders',
    scope: 'page',
    asks: { visitors: ['mouse'], poses: 'rest', widths: 'ends' },
    leansOn: [],
    explains: {
      means: 'Crawlers that read the markup alone find no way from page to page, and preview tools show an empty menu.',
      rule: [
        'A part that is marked or named as a menu holds its links in the markup; it is not empty until a script writes them.',
        'Numbers, marks and search results that a script adds to links already there are no fault.',
      ],
      faulty: '<nav><ul id="menu"></ul></nav> <script src="menu.js"></script>',
      mended: '<nav><ul id="menu"><li><a href="/fares/">Fares</a></li></ul></nav>',
    },
    worse: null,
    messages: {
      filled: {
        says: 'This {element} is empty in the markup, and {by} writes its links. Crawlers that do not run scripts find none of them.',
        mends: 'Put the links into the markup, on the server or when the site is built.',
        criteria: [],
      },
    },
  },
  ({ page, menus }: Subject): readonly Observation[] =>
    filledByScripts(page, menus).map(({ element, by }) => ({
      at: onElement(element),
      menus: [],
      state: 'normal',
      message: 'filled',
      data: { element: element.tag === 'nav' ? 'navigation' : `part (${element.tag})`, by },
    })),
);
