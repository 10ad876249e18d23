import { defineSiteCheck, type Difference, type SiteItem, type SiteMenu } from '../define.js';
import { namedPages, sharedMenus, type SharedMenu } from '../shared/same-menus.js';

/** Menus whose items stand in another order on some pages. @spec WCAG 2.2 SC 3.2.3 */
export const orderDiffers = defineSiteCheck(
  {
    id: 'order-differs',
    title: 'A menu has the same order on every page',
    weight: 'polish',
    explains: {
      means:
        'People who cannot see the whole page, or who remember places better than words, find an item where it stood on the last page.',
      rule: [
        'The items that a menu has on several pages of one run follow each other in the same order on all of them.',
        'Items that are added or missing on some pages, such as those of a section that is open, are no fault.',
        'Main, utility and footer menus and bottom bars are compared; trails, pagers and lists of contents belong to their page.',
      ],
      faulty: 'a.html: Home, Fares, Contact   b.html: Home, Contact, Fares',
      mended: 'a.html: Home, Fares, Contact   b.html: Home, Fares, Contact',
    },
    messages: {
      order: {
        says: '“{label}” stands in another order on {pages}: there “{first}” comes before “{second}”, on {others} after it.',
        mends: 'Keep the order of the other pages.',
        criteria: [{ number: '3.2.3', level: 'AA' }],
      },
    },
  },
  (pages) => sharedMenus(pages).flatMap(differences),
);

/** The items of a menu by address, each where it first stands. */
function sequence({ items }: SiteMenu): ReadonlyMap<string, SiteItem> {
  const out = new Map<string, SiteItem>();
  for (const item of items) if (item.address !== null && !out.has(item.address)) out.set(item.address, item);
  return out;
}

/** Where two orders of what both have part: the address that comes too early in the second, and the one expected. */
function parting(
  one: ReadonlyMap<string, SiteItem>,
  other: ReadonlyMap<string, SiteItem>,
): { readonly early: string; readonly expected: string } | null {
  const a = [...one.keys()].filter((address) => other.has(address));
  const b = [...other.keys()].filter((address) => one.has(address));
  const i = a.findIndex((address, at) => address !== b[at]);
  return i < 0 ? null : { early: b[i]!, expected: a[i]! };
}

function differences({ label, members }: SharedMenu): readonly Difference[] {
  const orders = members.map(({ page, menu }) => ({ page, order: sequence(menu) }));
  const agreeing = orders.map(({ order }) => orders.filter((o) => parting(order, o.order) === null).length);
  const usual = orders[agreeing.indexOf(Math.max(...agreeing))]!;
  const parted = orders.flatMap(({ page, order }) => {
    const where = parting(usual.order, order);
    return where === null ? [] : [{ page, order, ...where }];
  });
  const [first] = parted;
  if (!first) return [];
  const others = orders.filter(({ page }) => !parted.some((one) => one.page === page)).map(({ page }) => page.page);
  return [
    {
      message: 'order',
      data: {
        label,
        pages: namedPages(parted.map(({ page }) => page.page)),
        others: namedPages(others),
        first: first.order.get(first.early)!.label,
        second: first.order.get(first.expected)!.label,
      },
      places: parted.map(({ order, early }) => order.get(early)!),
      key: `${label} ${first.early}`,
    },
  ];
}
