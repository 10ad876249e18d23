import type { SiteMenu, SitePage } from '../define.js';

/** One menu as several pages have it. */
export interface SharedMenu {
  /** As the first of the pages names it. */
  readonly label: string;
  readonly kind: string;
  readonly members: readonly { readonly page: SitePage; readonly menu: SiteMenu }[];
}

/** Kinds of menus that sites repeat from page to page; others belong to their page. */
const REPEATED = new Set(['main', 'utility', 'footer', 'bottom-bar']);
/** Share of all their destinations that menus on two pages have in common when they are one. */
const ALIKE = 0.5;
/** The same where their markup is the same: a section that is open on one page adds to its menu. */
const HELD = 0.8;
const LEAST = 2;

const addressesOf = ({ items }: SiteMenu): ReadonlySet<string> =>
  new Set(items.flatMap(({ address }) => (address === null ? [] : [address])));

/** How much two menus are one, by where they lead and by their markup; 0 where they are not. */
function likeness(one: SiteMenu, other: SiteMenu): number {
  if (one.kind !== other.kind) return 0;
  const [a, b] = [addressesOf(one), addressesOf(other)];
  const common = [...a].filter((address) => b.has(address)).length;
  const ofAll = common / Math.max(1, a.size + b.size - common);
  const ofSmaller = common / Math.max(1, Math.min(a.size, b.size));
  const marked = one.selector === other.selector;
  if (common < LEAST || !(ofAll >= ALIKE || (marked && ofSmaller >= HELD))) return 0;
  return ofAll + (marked ? 0.5 : 0) + (one.label === other.label ? 0.25 : 0);
}

/** The menus that more than one page has, recognised by where they lead. */
export function sharedMenus(pages: readonly SitePage[]): readonly SharedMenu[] {
  const groups: { page: SitePage; menu: SiteMenu }[][] = [];
  for (const page of pages)
    for (const menu of page.menus) {
      if (!REPEATED.has(menu.kind)) continue;
      const open = groups.filter((group) => !group.some((one) => one.page === page));
      const ranked = open
        .map((group) => ({ group, score: likeness(group[0]!.menu, menu) }))
        .sort((a, b) => b.score - a.score);
      const best = ranked[0];
      if (best && best.score > 0) best.group.push({ page, menu });
      else groups.push([{ page, menu }]);
    }
  return groups
    .filter((members) => members.length > 1)
    .map((members) => ({ label: members[0]!.menu.label, kind: members[0]!.menu.kind, members }));
}

const MOST_NAMED = 4;

/** Names of pages for a sentence: all of a few, or the first and how many more. */
export function namedPages(pages: readonly string[]): string {
  const shown = pages.slice(0, MOST_NAMED);
  const more = pages.length - shown.length;
  const list = more > 0 ? [...shown, `${more} more`] : shown;
  return list.length > 1 ? `${list.slice(0, -1).join(', ')} and ${list[list.length - 1]}` : list[0]!;
}
