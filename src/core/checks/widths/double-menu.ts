import { isAncestorOrSelf } from '../../html/index.js';
import type { Menu } from '../../menus/index.js';
import { defineCheck, onElement, type Observation } from '../define.js';
import { addressOf, leadsOn } from '../shared/destinations.js';
import type { Subject } from '../subject.js';

/** One menu shown twice at once. */
export const doubleMenu = defineCheck(
  {
    id: 'double-menu',
    title: 'A menu shows once at a time',
    weight: 'polish',
    scope: 'page',
    asks: { visitors: ['mouse'], poses: 'rest', widths: 'ends' },
    explains: {
      means:
        'Sites ship one menu for wide screens and one for narrow ones. Where a query goes wrong both show: twice the links, twice the Tab stops.',
      rule: [
        'Two menus at the head of the page do not show most of the same links at once.',
        'Left out: footers, breadcrumbs, contents, side columns, bars along the foot, and lists of one or two links.',
      ],
      faulty: '.wide-only { display: none } /* loses against */ #strip { display: block }',
      mended: '@media (max-width: 47.99em) { #strip { display: none } }',
    },
    worse: 'higher',
    messages: {
      double: {
        says: '{count} links show twice at once: in {menu} and in {other}.',
        mends:
          'Hide one of the two at these widths (display: none), and see which rule wins over the one that was meant to.',
        criteria: [],
      },
    },
  },
  inspect,
);

const KINDS: ReadonlySet<Menu['kind']> = new Set(['main', 'utility', 'tabs', 'other', 'sidebar']);
const LEAST = 3;
const SHARE = 0.7;

function inspect({ scene, menus, page }: Subject): readonly Observation[] {
  // What repeats at the end of the page is there for those who have read to it.
  const atHead = (menu: Menu) => {
    const tops = menu.items.flatMap(({ element }) => scene.seen(element)?.y ?? []);
    return tops.length > 0 && Math.min(...tops) < scene.medium.height;
  };
  const shown = menus
    .filter((menu) => KINDS.has(menu.kind) && atHead(menu))
    .map((menu) => ({
      menu,
      addresses: new Set(
        menu.items.flatMap(({ element, href }) =>
          leadsOn(href) && scene.seen(element) !== null ? [addressOf(href, page)] : [],
        ),
      ),
    }))
    .filter(({ addresses }) => addresses.size >= LEAST);
  return shown.flatMap((one, i): Observation[] => {
    const other = shown.slice(0, i).find((before) => {
      if (isAncestorOrSelf(before.menu.root, one.menu.root)) return false;
      const shared = [...one.addresses].filter((address) => before.addresses.has(address)).length;
      return shared >= LEAST && shared >= Math.min(one.addresses.size, before.addresses.size) * SHARE;
    });
    if (!other || [one, other].every(({ menu }) => menu.kind === 'sidebar')) return [];
    const shared = [...one.addresses].filter((address) => other.addresses.has(address)).length;
    return [
      {
        at: onElement(one.menu.root),
        menus: [other.menu, one.menu],
        state: 'normal',
        message: 'double',
        data: { count: shared, menu: other.menu.label || other.menu.id, other: one.menu.label || one.menu.id },
      },
    ];
  });
}
