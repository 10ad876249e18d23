import { decoded } from '../../html/index.js';
import { resolveUrl } from '../../sheets/index.js';
import { leadsSomewhere } from '../../scene/index.js';
import { defineCheck, onElement, type Observation } from '../define.js';
import { labelOf } from '../../naming/index.js';
import { endsOn } from '../shared/panels.js';
import { skipLinks } from '../shared/skip-links.js';
import type { Subject } from '../subject.js';

/** Items that lead to a part of the page that is not there. @spec html §7.4.6.4 */
export const brokenFragment = defineCheck(
  {
    id: 'broken-fragment',
    title: 'In-page links lead to a part that exists',
    weight: 'hinders',
    scope: 'menu',
    asks: { visitors: ['mouse'], poses: 'rest', widths: 'bands' },
    leansOn: [],
    explains: {
      means: 'Whoever follows the link stays where they are and believes it is broken. It is.',
      rule: [
        'An item or skip link whose address is a part of the same page (#fares) finds an element with that id or name.',
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

function inspect(subject: Subject): readonly Observation[] {
  const { menus, page, scene } = subject;
  const own = page.url.replace(/#.*$/, '');
  const items = menus.flatMap((menu) => menu.items.map((item) => ({ ...item, menus: [menu] })));
  const skips = skipLinks(subject).map((element) => ({
    element,
    href: element.attributes.get('href')!,
    label: labelOf(element, scene),
    submenu: null,
    menus: [],
  }));
  return [...skips, ...items].flatMap((link): Observation[] => {
    const { element, href } = link;
    const address = href === null ? null : resolveUrl(href.trim(), page.url);
    const [where, fragment] = address?.split(/#(.*)/s) ?? [];
    if (where !== own || !fragment || /^[!/]/.test(fragment) || leadsSomewhere(page, fragment)) return [];
    if (link.submenu !== null || subject.routes.some((o) => endsOn(o, element, 'press', 'key'))) return [];
    return [
      {
        at: onElement(element),
        menus: link.menus,
        state: 'normal',
        message: 'broken',
        ...(page.hearing.marks.written.length > 0 ? { verdict: 'look' as const } : {}),
        data: { subject: `“${link.label}”`, fragment: decoded(fragment) },
      },
    ];
  });
}
