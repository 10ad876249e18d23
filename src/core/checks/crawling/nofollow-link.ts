import { resolveUrl } from '../../sheets/index.js';
import { defineCheck, onElement, type Observation } from '../define.js';
import type { Subject } from '../subject.js';

/** Links of the site's own menu that crawlers are asked not to follow. */
export const nofollowLink = defineCheck(
  {
    id: 'nofollow-link',
    title: 'Crawlers may follow the links of the menu',
    weight: 'polish',
    scope: 'menu',
    asks: { visitors: ['mouse'], poses: 'rest', widths: 'bands' },
    leansOn: [],
    explains: {
      means: 'A link to a page of one’s own site that says nofollow keeps that page out of search results.',
      rule: [
        'No item that leads to the same site has nofollow among its rel values.',
        'Links to other hosts may have it.',
      ],
      faulty: '<a href="/members/" rel="nofollow">Members</a>',
      mended: '<a href="/members/">Members</a>',
    },
    worse: null,
    messages: {
      nofollow: {
        says: '{subject} leads to a page of this site and has rel="{rel}": search engines are asked not to go there.',
        mends: 'Take nofollow away.',
        criteria: [],
      },
    },
  },
  inspect,
);

function inspect({ menus, page }: Subject): readonly Observation[] {
  const host = hostOf(page.url);
  return menus.flatMap((menu) =>
    menu.items.flatMap((item): Observation[] => {
      const rel = item.element.attributes.get('rel') ?? '';
      if (!/(^|\s)nofollow(\s|$)/i.test(rel) || item.href === null) return [];
      const address = resolveUrl(item.href, page.url);
      if (address === null || hostOf(address) !== host || !/^(https?|file):/.test(address)) return [];
      return [
        {
          at: onElement(item.element),
          menus: [menu],
          state: 'normal',
          message: 'nofollow',
          data: { subject: `“${item.label}”`, rel },
          common: `rel=${rel}`,
        },
      ];
    }),
  );
}

const hostOf = (url: string): string => /^\w+:\/\/([^/]*)/.exec(url)?.[1]?.toLowerCase() ?? '';
