import { bottom, type Range, type Rect } from '../base/index.js';
import {
  findMenus,
  firstRoutes,
  formOf,
  lastMove,
  openingsAt,
  type Menu,
  type MenuForm,
  type Opening,
} from '../menus/index.js';
import { labelOf } from '../naming/index.js';
import {
  destinationOf,
  poseAfter,
  scrollEnd,
  setting,
  type Move,
  type Page,
  type Scene,
  type Setting,
} from '../scene/index.js';
import { rungsTouching } from './rungs.js';

/** One picture of a page's menus: where, how they stand, and which part of the page shows them. */
export interface Frame {
  /** The band of widths in which the menus look alike, px. */
  readonly band: Range;
  readonly setting: Setting;
  /** `closed`, or the move that opened something, with the name of the item. */
  readonly pose: string;
  /** How far the page is scrolled, in words; null at its top. */
  readonly scrolled: string | null;
  /** Forms of the menus that show, main one first. */
  readonly forms: readonly { readonly menu: string; readonly form: MenuForm }[];
  /** Part of the page that is drawn, document px. */
  readonly region: Rect;
}

export interface FrameOptions extends Range {
  readonly height: number;
  /** Widths to draw; one a band if left out. */
  readonly widths?: readonly number[];
  /** A pose to draw instead of the closed and the opened one. */
  readonly pose?: { readonly moves: readonly Move[]; readonly name: string };
  /** How far the page is scrolled, px, or a part of it that is jumped to, such as `#fares`. */
  readonly scroll?: number | string;
  readonly region: 'menu' | 'screen';
}

/** Widths people know their devices by: bands are drawn at one of them where they hold it, px. */
const FAMILIAR = [375, 768, 1024, 1280, 1440];
/** Room around the menus, px. */
const AROUND = 16;

/** What a contact sheet of a page shows: every band in which some menu looks its own way, closed and opened. */
export function framesOf(page: Page, options: FrameOptions): readonly Frame[] {
  const menus = findMenus(page);
  const bands = bandsOf(page, menus, options);
  const places = options.widths
    ? options.widths.map((width) => ({
        width,
        band: bands.find((b) => width >= b.from && width <= b.to) ?? { from: width, to: width },
      }))
    : bands.map((band) => ({ width: familiar(band), band }));
  return places.flatMap(({ width, band }) => {
    const at = (pose: Setting['pose'], name: string): Frame => {
      const where = scrolledTo(page, setting(width, { height: options.height, pose }), options.scroll);
      const scene = page.scene(where);
      const forms = menus.map((menu) => ({ menu: menu.label, form: formOf(menu, scene) }));
      return {
        band,
        setting: where,
        pose: name,
        scrolled: options.scroll === undefined ? null : scrolledBy(where, options.scroll),
        forms: forms.filter(({ form }) => form !== 'none'),
        region: options.region === 'screen' ? screenOf(scene) : regionOf(menus, scene),
      };
    };
    if (options.pose)
      return [at(poseAfter(page, options.pose.moves, setting(width, { height: options.height })), options.pose.name)];
    const opened = openedAt(menus, page, width, options.height);
    return [at({}, 'closed'), ...opened.map(({ pose, name }) => at(pose, name))];
  });
}

function scrolledTo(page: Page, s: Setting, scroll: number | string = 0): Setting {
  if (typeof scroll === 'string') return destinationOf(page, s, scroll).setting;
  const scene = page.scene(s);
  return { ...s, scroll: { x: 0, y: Math.min(scroll, scrollEnd(scene)) } };
}

const scrolledBy = ({ scroll: { y } }: Setting, asked: number | string): string =>
  typeof asked === 'string' ? `${Math.round(y)} px down at ${asked}` : `${Math.round(y)} px down`;

/** Rungs joined where what lies between them touches no menu. */
function bandsOf(page: Page, menus: readonly Menu[], range: Range): readonly Range[] {
  const bands: { from: number; to: number }[] = [];
  for (const { from, to, touched } of rungsTouching(page, menus, range)) {
    const last = bands[bands.length - 1];
    if (last && !touched) last.to = to;
    else bands.push({ from, to });
  }
  return bands;
}

const familiar = ({ from, to }: Range): number =>
  FAMILIAR.find((width) => width >= from && width <= to) ?? Math.round(Math.min((from + to) / 2, from + 100));

interface Opened {
  readonly pose: Setting['pose'];
  readonly name: string;
}

/** What opens most of a menu by its toggle, and the first submenu that opens by itself: the looks people ask about. */
function openedAt(menus: readonly Menu[], page: Page, width: number, height: number): readonly Opened[] {
  const at = setting(width, { height });
  const rest = page.scene(at);
  const single = firstRoutes(openingsAt(menus, page, at)).filter(({ moves }) => moves.length === 1);
  const handle = ({ moves }: Opening) => lastMove(moves).element;
  const toggles = new Set(menus.flatMap((menu) => menu.toggles.map(({ element }) => element)));
  const panels = single.filter((one) => toggles.has(handle(one))).sort((a, b) => b.shows.size - a.shows.size);
  const submenus = single.filter((one) => !toggles.has(handle(one)));
  return [panels[0], submenus[0]].flatMap((one): Opened[] => {
    if (!one) return [];
    const { by, element } = lastMove(one.moves);
    const label = labelOf(element, rest);
    const name = `${by} on ${label === '' ? 'a control without a name' : `“${label}”`}`;
    return [{ pose: poseAfter(page, one.moves, at), name }];
  });
}

const screenOf = ({ medium, setting: { scroll } }: Scene): Rect => ({
  x: scroll.x,
  y: scroll.y,
  width: medium.width,
  height: medium.height,
});

/** From the top of the screen down to the end of the menus; all of it where one is held at the lower edge. */
function regionOf(menus: readonly Menu[], scene: Scene): Rect {
  const screen = screenOf(scene);
  const parts = menus
    .flatMap((menu) => [...menu.items.map((i) => i.element), ...menu.toggles.map((t) => t.element)])
    .flatMap((element) => {
      const rect = scene.seen(element);
      return rect && rect.y < screen.y + screen.height
        ? [{ rect, fixed: scene.nodes(element)[0]?.fixed ?? false }]
        : [];
    });
  if (parts.length === 0) return screen;
  const upper = parts.filter(({ rect, fixed }) => fixed || rect.y < screen.y + screen.height / 2);
  const low = Math.max(0, ...(upper.length > 0 ? upper : parts).map(({ rect }) => bottom(rect))) - screen.y + AROUND;
  return { ...screen, height: Math.min(screen.height, Math.max(low, 48)) };
}
