import { isAncestorOrSelf, type ElementNode } from '../../html/index.js';
import { subjectOf } from '../../naming/index.js';
import { defineCheck, onElement, type Observation } from '../define.js';
import { isExposed } from '../shared/landmarks.js';
import type { Subject } from '../subject.js';

const isHeading = (e: ElementNode): boolean => /^h[1-6]$/.test(e.tag) || e.attributes.get('role') === 'heading';

/** Headings that only name a menu. @spec WCAG 2.2 SC 1.3.1 */
export const headingAsLabel = defineCheck(
  {
    id: 'heading-as-label',
    title: 'Headings head content, not menus',
    weight: 'polish',
    scope: 'menu',
    asks: { visitors: ['mouse'], poses: 'rest', widths: 'bands' },
    leansOn: [],
    explains: {
      means:
        'People who listen to a page go from heading to heading to get an overview. Headings in a menu that stand before the title of the page lead them astray.',
      rule: [
        'A visible heading in a menu before the first h1 is looked at: does it head content, or does it only name the menu?',
        'Headings in the foot and beside the content, and visually hidden ones, are left out.',
      ],
      faulty: '<nav><h4>Departments</h4><ul>…</ul></nav><main><h1>…',
      mended: '<nav aria-labelledby="departments"><p id="departments">Departments</p><ul>…</ul></nav>',
    },
    worse: null,
    messages: {
      before: {
        says: '{subject} is a heading ({tag}) in a menu, before the title of the page. Whoever goes from heading to heading meets the menu first.',
        mends: 'If it only names the menu, make it plain text and refer to it with aria-labelledby.',
        criteria: [{ number: '1.3.1', level: 'A' }],
      },
    },
  },
  inspect,
);

function inspect({ scene, menus }: Subject): readonly Observation[] {
  const title = scene.document.elements.find((e) => e.tag === 'h1' && isExposed(e, scene));
  if (!title) return [];
  return menus.flatMap((menu) =>
    scene.document.elements.flatMap((element): Observation[] => {
      if (
        !isHeading(element) ||
        element === title ||
        !isAncestorOrSelf(menu.root, element) ||
        element.index > title.index
      )
        return [];
      const rect = scene.seen(element);
      if (!rect || rect.width * rect.height < 16 || !isExposed(element, scene)) return [];
      if (element.elements.some((e) => e.tag === 'a')) return [];
      return [
        {
          at: onElement(element),
          menus: [menu],
          state: 'normal',
          message: 'before',
          data: { subject: subjectOf(element, scene), tag: element.tag },
          verdict: 'look',
          common: `heading ${menu.id}`,
        },
      ];
    }),
  );
}
