import type { Limit, Range } from '../base/index.js';
import { rungsOf, spread } from '../ladder/index.js';
import {
  findMenus,
  formOf,
  lastMove,
  openingsAt,
  unseenMenus,
  type Menu,
  type MenuForm,
  type MenuItem,
  type MenuKind,
  type Opening,
} from '../menus/index.js';
import { setting, type Page, type Scene } from '../scene/index.js';
import { describeMenu, type AuditedMenu } from './audit.js';

/** A way in which a part of a menu comes into view, by style, markup or script. */
export interface MenuRoute {
  /** Path of what is acted on. */
  readonly handle: string;
  readonly move: 'hover' | 'focus' | 'press' | 'key';
  /** How many items it brings into view, and at which of the widths looked at, px. */
  readonly shows: number;
  readonly at: readonly number[];
}

/** How many items of a menu each visitor gets to at a width. */
export interface MenuReach {
  readonly width: number;
  readonly mouse: number;
  readonly touch: number;
  readonly keyboard: number;
}

export interface MenuModel extends AuditedMenu {
  /** Bands of widths in which the menu shows itself in one form. */
  readonly forms: readonly (Range & { readonly form: MenuForm })[];
  readonly routes: readonly MenuRoute[];
  readonly reach: readonly MenuReach[];
  /** Paths of items that can be got to, at some width looked at, while nothing brings what they own into view. */
  readonly shut: readonly string[];
  /** Items with an address in the markup: what a crawler gets. */
  readonly crawlable: number;
  /** Id of an earlier menu with the same destinations: one menu, shown in two ways. */
  readonly sameAs: string | null;
}

export interface MenusResult {
  readonly page: string;
  readonly widths: Range;
  readonly menus: readonly MenuModel[];
  readonly limits: readonly Limit[];
}

/** The widths openings are looked at: those of a phone and of a desk, as far as they lie in the range. */
const LOOKED_AT = [375, 1280];

/** The menus of a page as they are, how they open and who gets to what. */
export function menusOf(page: Page, options: Range & { readonly height: number }): MenusResult {
  const { from, to, height } = options;
  const menus = findMenus(page);
  const rungs = rungsOf(page.thresholds, { from, to });
  const scenes = new Map<number, Scene>();
  const sceneAt = (width: number): Scene => {
    let scene = scenes.get(width);
    if (!scene) scenes.set(width, (scene = page.scene(setting(width, { height }))));
    return scene;
  };
  const widths = LOOKED_AT.filter((width) => width >= from && width <= to);
  const looks = (widths.length > 0 ? widths : [to]).map((width) => ({
    width,
    scene: sceneAt(width),
    openings: openingsAt(menus, page, setting(width, { height })),
    byTouch: openingsAt(menus, page, setting(width, { height, visitor: 'touch' })),
  }));
  return {
    page: page.name,
    widths: { from, to },
    menus: menus.map((menu, i) => ({
      ...describeMenu(menu, page),
      forms: formsOver(rungs, (width) => formOf(menu, sceneAt(width))),
      routes: routesOf(menu, looks),
      reach: looks.map((look) => reachOf(menu, look)),
      shut: menu.items
        .filter((item) => looks.some((look) => isShut(item, menu, look)))
        .map(({ element }) => element.path),
      crawlable: menu.items.filter(({ href }) => leads(href)).length,
      sameAs: menus.slice(0, i).find((other) => sameDestinations(other, menu))?.id ?? null,
    })),
    limits: [...page.limits, ...unseenMenus(page, menus)],
  };
}

/** The bands of widths in which a menu takes one form, ascending; inside a rung it changes at most once. */
function formsOver(rungs: readonly Range[], formAt: (width: number) => MenuForm): MenuModel['forms'] {
  const runs = rungs.map(({ from, to }) => [from, to]);
  const forms = [...new Set(runs.flat().map(formAt))];
  return forms
    .flatMap((form) => spread(runs, (width) => formAt(width) === form).map((range) => ({ ...range, form })))
    .sort((one, other) => one.from - other.from);
}

interface Look {
  readonly width: number;
  readonly scene: Scene;
  readonly openings: readonly Opening[];
  /** Those of a visitor who has nothing but fingers. */
  readonly byTouch: readonly Opening[];
}

function routesOf(menu: Menu, looks: readonly Look[]): readonly MenuRoute[] {
  const own = new Set(menu.items.map((item) => item.element));
  const routes = new Map<string, { handle: string; move: MenuRoute['move']; shows: number; at: number[] }>();
  for (const { width, openings } of looks)
    for (const { moves, shows } of openings) {
      const { by, element } = lastMove(moves);
      const count = [...shows].filter((e) => own.has(e)).length;
      if (count === 0 || by === 'scroll') continue;
      const key = `${by} ${element.path}`;
      const known = routes.get(key);
      if (!known) routes.set(key, { handle: element.path, move: by, shows: count, at: [width] });
      else if (!known.at.includes(width)) known.at.push(width);
    }
  return [...routes.values()];
}

const leads = (href: string | null): boolean => href !== null && !/^\s*(#|javascript:|$)/i.test(href);

function reachOf(menu: Menu, { width, scene, openings, byTouch }: Look): MenuReach {
  const count = (usable: (opening: Opening) => boolean, among = openings): number =>
    menu.items.filter(
      ({ element }) => scene.reach(element) !== null || among.some((o) => o.shows.has(element) && usable(o)),
    ).length;
  const every = (o: Opening, test: (move: Opening['moves'][number]) => boolean) => o.moves.every(test);
  return {
    width,
    mouse: count((o) => every(o, ({ by }) => by === 'hover' || by === 'press')),
    touch: count((o) => every(o, ({ by }) => by === 'press'), byTouch),
    keyboard: count((o) => every(o, ({ by }) => by === 'focus' || by === 'key')),
  };
}

function isShut(item: MenuItem, menu: Menu, { scene, openings }: Look): boolean {
  const got = ({ element }: MenuItem) => scene.reach(element) !== null || openings.some((o) => o.shows.has(element));
  const own = menu.items.filter(({ parent }) => parent === item);
  return own.length > 0 && got(item) && !own.some(got);
}

/** What stands for itself, whatever it leads to. */
const APART: ReadonlySet<MenuKind> = new Set(['footer', 'breadcrumb', 'pager', 'contents', 'languages']);

/** Most destinations of the smaller menu stand in the other one too. */
function sameDestinations(a: Menu, b: Menu): boolean {
  const [one, two] = [a, b].map(({ items }) => new Set(items.flatMap(({ href }) => (leads(href) ? [href!] : []))));
  if (APART.has(a.kind) || APART.has(b.kind)) return false;
  const least = Math.min(one!.size, two!.size);
  return (
    least >= 2 &&
    [...one!].filter((href) => two!.has(href)).length >= least * 0.8 &&
    Math.max(one!.size, two!.size) <= least * 2
  );
}
