import { canTakeFocus, subjectOf, tabIndexOf } from '../../naming/index.js';
import { positionOf } from '../../base/index.js';
import { defineCheck, onElement, type Observation } from '../define.js';

/** Positive tabindex. @spec html §6.6.3, WCAG 2.2 SC 2.4.3 */
export const forcedTabOrder = defineCheck(
  {
    id: 'forced-tab-order',
    title: 'The order of Tab is that of the page',
    weight: 'polish',
    scope: 'page',
    asks: { visitors: ['keyboard'], poses: 'opened', widths: 'ends' },
    leansOn: [],
    explains: {
      means:
        'An element with a tabindex above 0 is visited before everything else on the page, wherever it stands. Sooner or later the order is wrong somewhere.',
      rule: ['No element that takes focus has a tabindex above 0.', 'tabindex="0" and negative ones are left out.'],
      faulty: '<a href="fares.html" tabindex="3">Fares</a>',
      mended: '<a href="fares.html">Fares</a>',
    },
    worse: null,
    messages: {
      positive: {
        says: '{subject} has tabindex="{value}": Tab goes there before everything without one, wherever it stands.',
        mends: 'Take the tabindex away, or set it to 0; order the markup instead.',
        criteria: [{ number: '2.4.3', level: 'A' }],
      },
    },
  },
  ({ scene, menus }) =>
    scene.document.elements.flatMap((element): Observation[] => {
      const value = tabIndexOf(element, scene);
      if (value === null || value <= 0 || !canTakeFocus(element, scene)) return [];
      const span = element.attributeSpan('tabindex');
      return [
        {
          at: onElement(element),
          menus: menus.filter((m) => m.items.some((i) => i.element === element)),
          state: 'normal',
          message: 'positive',
          data: { subject: subjectOf(element, scene), value },
          cause: span
            ? { selector: null, text: span.source.text.slice(span.start, span.end), at: positionOf(span) }
            : null,
          common: 'tabindex',
        },
      ];
    }),
);
