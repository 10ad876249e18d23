import { decoded } from '../../html/index.js';
import { resolveUrl } from '../../sheets/index.js';
import { leadsSomewhere } from '../../scene/index.js';
import { defineCheck, onElement, type Observation } from '../define.js';
import { endsOn } from '../shared/panels.js';
import type { Subject } from '../subject.js';

/** Items that lead to a part of the page that is not there. @spec html §7.4.6.4 */
export const brokenFragment = defineCheck(
  {
    id: 'broken-fragment',
    title: 'In-page links lead to a part that exists',
    weight: 'hinders',
    scope: 'menu',
    asks: { visitors: ['mouse'], poses: 'rest', widths: 'ends' },
    leansOn: [],
    explains: {
      means: 'Whoever follows the link stays where they are and believes it is broken. It is.',
      rule: [
        'An item whose address is a part of the same page (#fares) finds an element with that id or name.',
        'Left out: # and #top, what opens a panel, and addresses a script reads as routes (#/fares, #!fares). Where a script writes parts of the page, a person has to look.',
      ],
      faulty: '<a href="#fares">Fares</a> … <section id="prices">',
      mended: '<a href="#fares">Fares</a> … <section id="fares">',
    },
    worse: null,
    messages: {
      broken: {
        says: '{subject} leads to #{fragment}, and the page has no part of that name.',
        mends: 'Give the part that is meant id="{fragment}", or mend the address.',
        criteria: [],
      },
    },
  },
  inspect,
);

function inspect({ menus, page, routes }: Subject): readonly Observation[] {
  const own = page.url.replace(/#.*$/, '');
  return menus.flatMap((menu) =>
    menu.items.flatMap((item): Observation[] => {
      const { element, href } = item;
      const address = href === null ? null : resolveUrl(href.trim(), page.url);
      const [where, fragment] = address?.split(/#(.*)/s) ?? [];
      if (where !== own || !fragment || /^[!/]/.test(fragment) || leadsSomewhere(page, fragment)) return [];
      if (item.submenu !== null || routes.some((o) => endsOn(o, element, 'press', 'key'))) return [];
      return [
        {
          at: onElement(element),
          menus: [menu],
          state: 'normal',
          message: 'broken',
          ...(page.hearing.written.length > 0 ? { verdict: 'look' as const } : {}),
          data: { subject: `“${item.label}”`, fragment: decoded(fragment) },
        },
      ];
    }),
  );
}
