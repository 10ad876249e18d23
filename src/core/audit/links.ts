import { grouped, positionOf, type Limit, type Position, type Range } from '../base/index.js';
import type { ElementNode } from '../html/index.js';
import { unseenMenus, type MenuItem, type Opening } from '../menus/index.js';
import { tabOrder } from '../naming/index.js';
import {
  addressFrom,
  isOwnAddress,
  leadsSomewhere,
  poseAfter,
  isOfSite,
  siteAddress,
  urlOf,
  withoutFragment,
  type Page,
} from '../scene/index.js';
import { auditOptions, type AuditOptions } from './options.js';
import { bandEnds, Plan } from './plan.js';

/** How a destination stands in a band: in view, in something that opens, or nowhere. */
export type LinkForm = 'shown' | 'opens' | 'none';

/** A destination in one band of widths. */
export interface LinkBand extends Range {
  readonly form: LinkForm;
  readonly keyboard: boolean;
  readonly touch: boolean;
}

/** A page or part of one that items of menus lead to. */
export interface LinkRow {
  /** From the root of the site where it is known; else as it is resolved. */
  readonly address: string;
  /** What items that lead there are called, each once. */
  readonly names: readonly string[];
  /** Ids of the menus that have it. */
  readonly menus: readonly string[];
  readonly places: readonly { readonly path: string; readonly at: Position | null }[];
  readonly bands: readonly LinkBand[];
  /** Whether it is got to with scripts off, in the widest band. */
  readonly scriptsOff: boolean;
  /** Whether crawlers that read the markup alone follow it: a real address without nofollow. */
  readonly crawler: boolean;
  readonly rel: readonly string[];
  /** Whether the part it names is on the page; null where it names none of this page. */
  readonly fragment: 'there' | 'missing' | null;
  /** Whether a file answers; `unknown` where only a server can tell. */
  readonly target: 'there' | 'missing' | 'unknown' | 'other-site';
}

/** Items that look like links and lead nowhere a crawler goes. */
export interface LinkLess {
  readonly name: string;
  readonly path: string;
  readonly href: string | null;
  readonly at: Position | null;
}

export interface LinksResult {
  readonly page: string;
  readonly widths: Range;
  readonly bands: readonly Range[];
  readonly links: readonly LinkRow[];
  readonly without: readonly LinkLess[];
  readonly limits: readonly Limit[];
}

/** Every destination of a page's menus, and who gets to it at which widths. Bands that are alike throughout are one. */
export function linksOf(page: Page, given: Partial<AuditOptions>): LinksResult {
  const plan = new Plan(page, auditOptions(given));
  const items = plan.menus.flatMap((menu) => menu.items.map((item) => ({ menu: menu.id, item })));
  const rows = grouped(items, ({ item }) => addressFrom(item.href, page));
  rows.delete(null);
  const looks = plan.bands.map((band) => ({ band: joined(band), looks: bandEnds(band).map((w) => lookAt(plan, w)) }));
  const widest = plan.rungs[plan.rungs.length - 1]!.to;
  const bare = lookAt(plan, widest, true);
  const all = [...rows.values()].map((own) => ({
    row: describe(urlOf(own[0]!.item.href, page)!, own, page, bare),
    cells: looks.map((one) => cellOf(own, one)),
  }));
  const bands = joinAlike(
    looks.map(({ band }) => band),
    all.map(({ cells }) => cells),
  );
  return {
    page: page.name,
    widths: { from: plan.rungs[0]!.from, to: widest },
    bands,
    links: all.map(({ row, cells }) => ({
      ...row,
      bands: bands.map(({ from, to }) => ({ ...cells.find((cell) => cell.from === from)!, from, to })),
    })),
    without: items.filter(({ item }) => urlOf(item.href, page) === null && item.submenu === null).map(lessOf),
    limits: [...page.limits, ...unseenMenus(page, plan.menus)],
  };
}

const joined = (band: readonly Range[]): Range => ({ from: band[0]!.from, to: band[band.length - 1]!.to });

interface Look {
  readonly shown: (element: ElementNode) => boolean;
  readonly opened: (element: ElementNode) => boolean;
  readonly keyboard: (element: ElementNode) => boolean;
  readonly touch: (element: ElementNode) => boolean;
}

const byKeys = ({ moves }: Opening): boolean => moves.every(({ by }) => by === 'focus' || by === 'key');
const byPresses = ({ moves }: Opening): boolean => moves.every(({ by }) => by === 'press');
const byPointer = ({ moves }: Opening): boolean => moves.every(({ by }) => by === 'hover' || by === 'press');

/** Who gets to what at a width. Elements of a page read without scripts are known by their path. */
function lookAt(plan: Plan, width: number, scriptsOff = false): Look {
  const usual = plan.rest(width, scriptsOff ? 'crawler' : 'mouse');
  const touched = scriptsOff ? usual : plan.rest(width, 'touch');
  const own = (element: ElementNode) =>
    usual.page === plan.page ? element : (usual.page.document.elements.find((e) => e.path === element.path) ?? null);
  const { routes, scene, page, setting } = usual;
  const stops = new Map<string, ReadonlySet<ElementNode>>();
  const stopsAfter = (opening: Opening) => {
    let known = stops.get(opening.text);
    if (!known) {
      const pose = poseAfter(page, opening.moves, setting);
      stops.set(opening.text, (known = new Set(tabOrder(page.scene({ ...setting, pose })))));
    }
    return known;
  };
  const atRest = new Set(tabOrder(scene));
  const on = (test: (element: ElementNode) => boolean) => (element: ElementNode) => {
    const there = own(element);
    return there !== null && test(there);
  };
  return {
    shown: on((e) => scene.reach(e) !== null),
    opened: on((e) => routes.some((o) => o.shows.has(e) && byPointer(o))),
    keyboard: on((e) => atRest.has(e) || routes.some((o) => byKeys(o) && o.shows.has(e) && stopsAfter(o).has(e))),
    touch: on((e) => touched.scene.reach(e) !== null || touched.routes.some((o) => o.shows.has(e) && byPresses(o))),
  };
}

/** What holds at both ends of a band, through whichever of the items that lead there serves best. */
function cellOf(
  own: readonly { readonly item: MenuItem }[],
  { band, looks }: { readonly band: Range; readonly looks: readonly Look[] },
): LinkBand {
  const some = (by: keyof Look) => looks.every((look) => own.some(({ item }) => look[by](item.element)));
  const form = some('shown') ? 'shown' : some('opened') || anyWay(own, looks) ? 'opens' : 'none';
  return { ...band, form, keyboard: some('keyboard'), touch: some('touch') };
}

const anyWay = (own: readonly { readonly item: MenuItem }[], looks: readonly Look[]): boolean =>
  looks.every((look) => own.some(({ item: { element } }) => look.shown(element) || look.opened(element)));

/** Neighbouring bands in which every destination stands alike, as one. */
function joinAlike(bands: readonly Range[], rows: readonly (readonly LinkBand[])[]): readonly Range[] {
  const text = (i: number) => rows.map((row) => `${row[i]!.form}${row[i]!.keyboard}${row[i]!.touch}`).join();
  const out: { from: number; to: number }[] = [];
  bands.forEach(({ from, to }, i) => {
    const last = out[out.length - 1];
    if (last && last.to === from - 1 && text(i) === text(i - 1)) last.to = to;
    else out.push({ from, to });
  });
  return out;
}

function describe(
  url: string,
  own: readonly { readonly menu: string; readonly item: MenuItem }[],
  page: Page,
  bare: Look,
): Omit<LinkRow, 'bands'> {
  const rels = own.map(({ item }) => (item.element.attributes.get('rel') ?? '').toLowerCase().split(/\s+/));
  const [where, fragment] = [withoutFragment(url), /#(.+)$/s.exec(url)?.[1]];
  const here = isOwnAddress(url, page);
  const answer = page.answers.get(where);
  return {
    address: siteAddress(url, page),
    names: [...new Set(own.map(({ item }) => item.label))],
    menus: [...new Set(own.map(({ menu }) => menu))],
    places: own.map(({ item: { element } }) => ({ path: element.path, at: positionAt(element) })),
    scriptsOff: own.some(({ item: { element } }) => bare.shown(element) || bare.opened(element)),
    crawler: rels.some((rel) => !rel.includes('nofollow')),
    rel: [...new Set(rels.flat())].filter((word) => word !== ''),
    fragment: !here || !fragment ? null : leadsSomewhere(page, fragment) ? 'there' : 'missing',
    target: here
      ? 'there'
      : !isOfSite(url, page.url)
        ? 'other-site'
        : answer === true
          ? 'there'
          : answer === false
            ? 'missing'
            : 'unknown',
  };
}

const positionAt = ({ startTag }: ElementNode): Position | null => (startTag ? positionOf(startTag) : null);

const lessOf = ({ item: { label, element, href } }: { readonly item: MenuItem }): LinkLess => ({
  name: label,
  path: element.path,
  href,
  at: positionAt(element),
});
