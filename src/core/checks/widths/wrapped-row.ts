import { bottom, grouped, intersect, unite, type Rect } from '../../base/index.js';
import { figure } from '../../findings/index.js';
import { closest, selectorOf, type ElementNode } from '../../html/index.js';
import type { Menu } from '../../menus/index.js';
import { labelOf } from '../../naming/index.js';
import { boundsOf, contentOf } from '../../paint/index.js';
import { setting, type Page, type Scene } from '../../scene/index.js';
import { defineCheck, onElement, type Observation } from '../define.js';
import { causeOf } from '../shared/causes.js';
import { textsIn } from '../shared/texts.js';
import type { Subject } from '../subject.js';

/** Rows of items that break into several lines. */
export const wrappedRow = defineCheck(
  {
    id: 'wrapped-row',
    title: 'A row of items stays one row',
    weight: 'polish',
    scope: 'menu',
    asks: { visitors: ['mouse'], poses: 'rest', widths: 'inside' },
    explains: {
      means:
        'A bar made for one row that breaks in two pushes the page down, hangs over what comes next, and looks broken.',
      rule: [
        'The items of a menu that stand in one row on a wide screen stay in one row for as long as the menu is a row.',
        'Nor do the words of one run into those of the next.',
        'Meant to wrap, and no fault: grids, lists in a footer or beside text, rows with a gap between lines or with centred lines, and lines that entries of one width share out to the last px.',
      ],
      faulty: '.menu li { display: inline-block } /* seven items, too wide between 768 and 831 px */',
      mended: '@media (max-width: 52em) { .menu { display: none } .menu-button { display: block } }',
    },
    textWidth: true,
    worse: 'higher',
    messages: {
      wrapped: {
        says: 'The {all} items of {menu} need {needed} px and have {room} px: they stand in {lines} lines, {last} in the last one.',
        mends:
          'Move the query at which the narrow menu begins to where one row fits, or shrink gaps and padding there.',
        criteria: [],
      },
      collide: {
        says: 'The items of {menu} have too little room: “{one}” runs {px} px into “{other}”.',
        mends:
          'Let the items keep the width of their words (no min-width: 0, no fixed width), or begin the narrow menu earlier.',
        criteria: [],
      },
    },
  },
  (subject) =>
    subject.menus.flatMap((menu) =>
      ROWS.has(menu.kind)
        ? listsOf(menu).flatMap((row) => [...observe(row, subject), ...collisions(row, subject)])
        : [],
    ),
);

const WIDE = 1920;
/** A space between two inline items is no wider than this, px. */
const SPACE = 8;
const ROWS: ReadonlySet<Menu['kind']> = new Set(['main', 'utility', 'tabs', 'bottom-bar', 'languages', 'other']);

/** Items of a menu’s first level that stand in one list. */
interface Row {
  readonly menu: Menu;
  readonly items: readonly ElementNode[];
}

const rows = new WeakMap<Menu, readonly Row[]>();

function listsOf(menu: Menu): readonly Row[] {
  let known = rows.get(menu);
  if (!known) {
    const top = menu.items.flatMap(({ element, level }) => (level === 1 ? [element] : []));
    const lists = grouped(top, (e) => closest(e, ({ tag }) => tag === 'ul' || tag === 'ol') ?? menu.root);
    rows.set(menu, (known = [...lists.values()].map((items) => ({ menu, items }))));
  }
  return known;
}

interface Line {
  readonly items: readonly ElementNode[];
}

/** Items in view, line by line. */
function linesOf(row: Row, scene: Scene): readonly Line[] {
  const lines: { items: ElementNode[]; low: number }[] = [];
  for (const element of row.items) {
    const rect = scene.seen(element);
    const whole = rect && scene.rect(element);
    if (!rect || !whole) continue;
    const line = lines[lines.length - 1];
    // The next one begins below the middle of the line.
    if (line && whole.y < line.low - whole.height / 2) {
      line.items.push(element);
      line.low = Math.max(line.low, bottom(whole));
    } else lines.push({ items: [element], low: bottom(whole) });
  }
  return lines;
}

function observe(row: Row, subject: Subject): Observation[] {
  const { menu } = row;
  const { scene, page } = subject;
  const lines = linesOf(row, scene);
  const [first, ...rest] = lines;
  const last = rest[rest.length - 1];
  if (!first || !last || first.items.length < 2) return [];
  const list = listOf(first.items[0]!, last.items[0]!);
  if (!list || isMeant(list, scene) || !isOneRow(row, page) || isShared(lines, list, scene)) return [];
  const room = scene.rect(list)?.width ?? 0;
  const count = lines.reduce((sum, { items }) => sum + items.length, 0);
  const needed = neededBy(lines, list, scene);
  // Lines that would fit beside one another were not broken for want of room.
  if (needed < room - 1) return [];
  return [
    {
      at: onElement(list),
      menus: [menu],
      state: 'normal',
      message: 'wrapped',
      data: {
        all: count,
        menu: menu.label || selectorOf(menu.root),
        needed: Math.ceil(needed),
        room: Math.round(room),
        lines: lines.length,
        last: last.items.length,
      },
      measured: figure(lines.length, 'lines'),
      needed: figure(1, 'lines'),
      cause: causeOf(scene.style(list), 'display') ?? causeOf(scene.style(first.items[0]!), 'paddingLeft'),
    },
  ];
}

/** Less is letters touching, px. */
const TOUCH = 0.5;

/** Where the words of one item run into those of the next one of its row. */
function collisions(row: Row, { scene, page }: Subject): Observation[] {
  const { menu } = row;
  if (!isOneRow(row, page)) return [];
  const [clash] = clashesIn(row, scene);
  if (!clash || clashesIn(row, page.scene(setting(WIDE))).length > 0) return [];
  const list = listOf(clash.one, clash.other);
  if (!list) return [];
  const px = Math.round(clash.px);
  return [
    {
      at: onElement(list),
      menus: [menu],
      state: 'normal',
      message: 'collide',
      data: {
        menu: menu.label || selectorOf(menu.root),
        one: labelOf(clash.one, scene),
        other: labelOf(clash.other, scene),
        px,
      },
      measured: figure(px, 'px'),
      needed: figure(0, 'px'),
      cause: causeOf(scene.style(entryOf(clash.one, list)), 'minWidth') ?? causeOf(scene.style(list), 'display'),
    },
  ];
}

interface Clash {
  readonly one: ElementNode;
  readonly other: ElementNode;
  readonly px: number;
}

/** Neighbours in a row whose words lie over one another, the worst first. */
function clashesIn(row: Row, scene: Scene): readonly Clash[] {
  return linesOf(row, scene)
    .flatMap(({ items }) => {
      const words = items
        .flatMap((element) => wordsOf(element, scene) ?? [])
        .sort((a, b) => a.rect.x - b.rect.x || a.element.index - b.element.index);
      return words.slice(1).flatMap((other, i): Clash[] => {
        const one = words[i]!;
        const shared = intersect(one.rect, other.rect);
        const level = shared !== null && shared.height > Math.min(one.rect.height, other.rect.height) / 2;
        return level && shared.width >= TOUCH ? [{ one: one.element, other: other.element, px: shared.width }] : [];
      });
    })
    .sort((a, b) => b.px - a.px);
}

/** Where the words of an item stand; null where there are none, or something cuts them off. */
function wordsOf(element: ElementNode, scene: Scene): { readonly element: ElementNode; readonly rect: Rect } | null {
  const rects = textsIn(element, scene).map(({ node }) => boundsOf(node.matrix, node.rect));
  return isCutOff(element, scene) || rects.length === 0 ? null : { element, rect: rects.reduce(unite) };
}

const isCutOff = (element: ElementNode, scene: Scene): boolean =>
  [element, element.parent].some((e) => e !== null && scene.style(e).overflowX !== 'visible');

/** What the entries of a list need beside one another, px: their boxes, margins and what lies between two of a line. */
function neededBy(lines: readonly Line[], list: ElementNode, scene: Scene): number {
  const rows = lines.map(({ items }) => items.map((item) => entryOf(item, list)));
  const side = (value: { readonly px: number } | 'auto') => (value === 'auto' ? 0 : value.px);
  const widths = rows.flat().map((entry) => {
    const { marginLeft, marginRight } = scene.style(entry);
    return (scene.rect(entry)?.width ?? 0) + side(marginLeft) + side(marginRight);
  });
  const apart = rows.flatMap((row) =>
    row.slice(1).map((entry, i) => {
      const [one, other] = [scene.rect(row[i]!), scene.rect(entry)];
      if (!one || !other) return 0;
      const margins = side(scene.style(row[i]!).marginRight) + side(scene.style(entry).marginLeft);
      return Math.max(other.x - (one.x + one.width), one.x - (other.x + other.width)) - margins;
    }),
  );
  // Lines may be stretched: the least room between two is what they need.
  const between = Math.max(0, Math.min(SPACE, ...apart), columnGap(scene.style(list)));
  return widths.reduce((sum, width) => sum + width, 0) + between * (widths.length - 1);
}

/** What of a list holds an item. */
function entryOf(item: ElementNode, list: ElementNode): ElementNode {
  let entry = item;
  while (entry.parent && entry.parent !== list) entry = entry.parent;
  return entry;
}

const columnGap = ({ display, columnGap: gap }: ReturnType<Scene['style']>): number =>
  /flex|grid/.test(display) && gap !== 'normal' && 'px' in gap ? gap.px : 0;

/** The element both items stand in. */
function listOf(one: ElementNode, other: ElementNode): ElementNode | null {
  const around = new Set<ElementNode>();
  for (let e = one.parent; e; e = e.parent) around.add(e);
  for (let e = other.parent; e; e = e.parent) if (around.has(e)) return e;
  return null;
}

/** Whether a list is made to stand in several lines. */
function isMeant(list: ElementNode, scene: Scene): boolean {
  const style = scene.style(list);
  if (/grid|table/.test(style.display)) return true;
  if (!/flex/.test(style.display)) return style.textAlign === 'center' || style.columnCount !== 'auto';
  if (/column/.test(style.flexDirection)) return true;
  const gap = style.rowGap;
  const gapped = gap !== 'normal' && 'px' in gap && (gap.px > 0 || gap.percent > 0);
  return gapped || /center|evenly|around/.test(String(style.justifyContent));
}

/** Whether lines of equal length are shared out among entries of one width, to the last px. */
function isShared(lines: readonly Line[], list: ElementNode, scene: Scene): boolean {
  const [first] = lines;
  const width = (item: ElementNode) => scene.rect(entryOf(item, list))?.width ?? 0;
  const own = lines.flatMap(({ items }) => items.map(width));
  const [node] = scene.nodes(list);
  const room = node ? contentOf(node.fragment, node.rect).width : 0;
  return (
    lines.every(({ items }) => items.length === first!.items.length) &&
    own.every((one) => Math.abs(one - own[0]!) < 1) &&
    Math.abs(own[0]! * first!.items.length - room) < 2
  );
}

const inOneRow = new WeakMap<Row, boolean>();

/** Whether its items stand in one row on a wide screen. */
function isOneRow(row: Row, page: Page): boolean {
  let one = inOneRow.get(row);
  if (one === undefined) {
    const lines = linesOf(row, page.scene(setting(WIDE)));
    inOneRow.set(row, (one = lines.length === 1 && lines[0]!.items.length > 2));
  }
  return one;
}
