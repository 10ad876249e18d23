import { defineSiteCheck, type Difference, type SiteEntry } from '../define.js';
import { namedPages, sharedMenus, type SharedMenu } from '../shared/same-menus.js';

/** Items and toggles of one menu that are called otherwise on some pages. @spec WCAG 2.2 SC 3.2.4 */
export const nameDiffers = defineSiteCheck(
  {
    id: 'name-differs',
    title: 'An item has the same name on every page',
    weight: 'polish',
    explains: {
      means:
        'Whoever has found the way once looks or listens for the same words again, and takes other words for another page.',
      rule: [
        'An item of a menu that leads to one address, and the toggle of a menu, have the same name on all pages of one run.',
        'Words that one name adds to the other (“Fares, current page”, “Basket (2)”), and pages in other languages, are no fault.',
      ],
      faulty: 'a.html: <a href="/fares/">Fares</a>   b.html: <a href="/fares/">Prices</a>',
      mended: 'a.html: <a href="/fares/">Fares</a>   b.html: <a href="/fares/">Fares</a>',
    },
    messages: {
      item: {
        says: 'The item of “{label}” that leads to {address} is called “{name}” on {pages} and “{usual}” on {others}.',
        mends: 'Call it the same on every page.',
        criteria: [{ number: '3.2.4', level: 'AA' }],
      },
      toggle: {
        says: 'The toggle of “{label}” is called “{name}” on {pages} and “{usual}” on {others}.',
        mends: 'Call it the same on every page.',
        criteria: [{ number: '3.2.4', level: 'AA' }],
      },
    },
  },
  (pages) => sharedMenus(pages).flatMap((menu) => [...itemsOf(menu), ...togglesOf(menu)]),
);

interface Named {
  readonly page: string;
  readonly language: string;
  readonly entry: SiteEntry;
}

function itemsOf({ label, members }: SharedMenu): readonly Difference[] {
  const byAddress = new Map<string, Named[]>();
  for (const { page, menu } of members) {
    const counted = new Map<string, number>();
    for (const { address } of menu.items) if (address) counted.set(address, (counted.get(address) ?? 0) + 1);
    for (const entry of menu.items) {
      if (!entry.address || counted.get(entry.address) !== 1) continue;
      const named = { page: page.page, language: page.language, entry };
      byAddress.set(entry.address, [...(byAddress.get(entry.address) ?? []), named]);
    }
  }
  return [...byAddress].flatMap(([address, all]) => differing('item', all, { label, address }));
}

function togglesOf({ label, members }: SharedMenu): readonly Difference[] {
  const all = members.flatMap(({ page, menu }): Named[] =>
    menu.toggles.length === 1 ? [{ page: page.page, language: page.language, entry: menu.toggles[0]! }] : [],
  );
  return differing('toggle', all, { label });
}

/** Names without what does not make another name: case, counts, marks of the current page. */
const plain = (label: string): string =>
  label
    .toLowerCase()
    .replace(/[\d\p{P}\p{S}\s]+/gu, ' ')
    .trim();

const alike = (one: string, other: string): boolean => one.includes(other) || other.includes(one);

function differing(
  message: string,
  all: readonly Named[],
  data: Readonly<Record<string, string>>,
): readonly Difference[] {
  return [...new Set(all.map(({ language }) => language))].flatMap((language): Difference[] => {
    const own = all.filter((one) => one.language === language && plain(one.entry.label) !== '');
    const names = own.map(({ entry }) => plain(entry.label));
    const count = (name: string) => names.filter((other) => other === name).length;
    const usual = names.reduce((best, name) => (count(name) > count(best) ? name : best), names[0] ?? '');
    const others = own.filter((_, i) => !alike(names[i]!, usual));
    const [first] = others;
    if (!first) return [];
    const called = own.filter((_, i) => names[i] === usual);
    return [
      {
        message,
        data: {
          ...data,
          name: first.entry.label,
          usual: called[0]!.entry.label,
          pages: namedPages(others.map(({ page }) => page)),
          others: namedPages(called.map(({ page }) => page)),
        },
        places: others.map(({ entry }) => entry),
        key: `${data.label} ${data.address ?? 'toggle'}`,
      },
    ];
  });
}
