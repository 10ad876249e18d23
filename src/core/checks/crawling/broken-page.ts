import { isOwnAddress, urlOf, withoutFragment, type Page } from '../../scene/index.js';
import { defineCheck, onElement, type Observation } from '../define.js';
import type { Subject } from '../subject.js';

/** Items that lead to a page of the site that is not there. */
export const brokenPage = defineCheck(
  {
    id: 'broken-page',
    title: 'Items lead to pages that exist',
    weight: 'hinders',
    scope: 'menu',
    asks: { visitors: ['mouse'], poses: 'rest', widths: 'bands' },
    leansOn: [],
    explains: {
      means: 'Whoever follows the link ends at an error page, and a crawler counts the way as lost.',
      rule: [
        'An address inside the site finds a file: itself, the first page of a folder (/fares/ is fares/index.html), or the page of that name (/fares is fares.html).',
        'Left out: other sites, addresses with a query, those only a server answers (.php and the like), and absolute ones (/fares/) unless the site’s root folder is named.',
        'Where most of the pages the links lead to are missing, the page was kept alone, and nothing is said.',
      ],
      faulty: '<a href="/fars/">Fares</a>',
      mended: '<a href="/fares/">Fares</a>',
    },
    worse: null,
    messages: {
      missing: {
        says: '{subject} leads to {address}, and the site has no such page.',
        mends: 'Mend the address, or build the page that is meant.',
        criteria: [],
      },
    },
  },
  inspect,
);

function inspect({ menus, page }: Subject): readonly Observation[] {
  if (!isWholeSite(page)) return [];
  return menus.flatMap((menu) =>
    menu.items.flatMap(({ element, label, href }): Observation[] => {
      const url = urlOf(href, page);
      const address = url && withoutFragment(url);
      if (address === null || page.answers.get(address) !== false) return [];
      return [
        {
          at: onElement(element),
          menus: [menu],
          state: 'normal',
          message: 'missing',
          data: { subject: `“${label}”`, address: href!.trim() },
          common: address,
        },
      ];
    }),
  );
}

/** Whether other pages of the site lie there too, no fewer than are missing. */
function isWholeSite(page: Page): boolean {
  const others = [...page.answers].filter(([address]) => !isOwnAddress(address, page));
  const count = (answer: boolean) => others.filter(([, found]) => found === answer).length;
  return count(true) > 0 && count(true) >= count(false);
}
