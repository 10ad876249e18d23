import type { Rect } from '../../base/index.js';
import { isLengthPercentage, resolveLength, type TrackSize } from '../../css/index.js';
import { containsAbsolute, containsFixed, isInFlow, isOutOfFlow, type Box } from '../box.js';
import {
  horizontal,
  makeFragment,
  snap,
  vertical,
  type Edges,
  type Fragment,
  type OutOfFlow,
  type Placed,
} from '../fragment.js';
import type { Intrinsic, Layout, Space } from '../layout.js';
import { containedHeight } from '../used/containment.js';
import { usedMargins } from '../used/edges.js';
import { relativeOffset } from '../used/relative.js';
import { clampHeight, frameHeight, frameWidth, heightFor, widthFor, type Frame } from '../used/sizes.js';
import { standingOf } from './baselines.js';
import { distribute } from './distribute.js';
import { frameOf, specifiedHeight } from './flow.js';
import { placeInArea, rowBaselines, type RowBaselines } from './grid-items.js';
import {
  absoluteSlot,
  expandTracks,
  placeItems,
  spanOf,
  type Axis,
  type LineAxis,
  type Lines,
  type PlacedItem,
  type Slot,
} from './grid-place.js';
import { sizeTracks, type Demand } from './grid-tracks.js';
import { adoptOutOfFlow } from './positioned.js';
import { alignedIn } from './static-position.js';

interface Grid {
  readonly items: readonly PlacedItem[];
  readonly rows: readonly TrackSize[];
  readonly columns: readonly TrackSize[];
  readonly emptyRows: readonly boolean[];
  readonly emptyColumns: readonly boolean[];
  /** Named lines and where the explicit grid begins, for absolute children. */
  readonly rowAxis: LineAxis;
  readonly columnAxis: LineAxis;
}

const gapOf = (value: Box['style']['rowGap'], basis: number): number =>
  value === 'normal' ? 0 : snap(resolveLength(value, basis) || 0);

const NO_CONTENT: Intrinsic = Object.freeze({ min: 0, max: 0 });

/** Builds the grid: explicit tracks, items in their slots, implicit tracks around. @spec css-grid-2 §7, §8 */
function buildGrid(box: Box, width: number, height: number): Grid {
  const { style } = box;
  const frame = frameOf(box, 0);
  const content = (outer: number | null, extra: number) => (outer === null ? NaN : Math.max(0, outer - extra));
  const definite = (size: typeof style.minWidth) =>
    box.anonymous || typeof size === 'string' || !isLengthPercentage(size)
      ? NaN
      : content(
          widthFor(box, size, NaN, NaN, frame, () => NO_CONTENT),
          frameWidth(frame),
        );
  const definiteY = (size: typeof style.minHeight) =>
    box.anonymous ? NaN : content(heightFor(box, size, NaN, frame), frameHeight(frame));
  const least = { x: definite(style.minWidth), y: definiteY(style.minHeight) };
  const most = { x: definite(style.maxWidth), y: definiteY(style.maxHeight) };
  // Where the size is not known, a maximum counts as it; a minimum is to be filled.
  const repeats =
    (known: number, gap: number, low: number, high: number) =>
    (repeat: readonly TrackSize[], others: readonly TrackSize[]): number => {
      const filling = Number.isNaN(known) && Number.isNaN(high) && low > 0;
      const available = !Number.isNaN(known) ? known : !Number.isNaN(high) ? high : low;
      if (Number.isNaN(available) || repeat.length === 0) return 1;
      const size = (t: TrackSize) =>
        [t.max, t.min]
          .map((b) => (typeof b !== 'string' && !('fr' in b) ? resolveLength(b, available) : NaN))
          .find((v) => !Number.isNaN(v)) ?? 0;
      const one = repeat.reduce((sum, t) => sum + Math.max(1, size(t)) + gap, 0);
      const rest = others.reduce((sum, t) => sum + size(t) + gap, 0);
      const times = (available + gap - rest) / one;
      return Math.max(1, filling ? Math.ceil(times - 1e-6) : Math.floor(times + 1e-6));
    };
  const columns = expandTracks(
    style.gridTemplateColumns,
    style.gridTemplateAreas,
    'columns',
    repeats(width, gapOf(style.columnGap, width), least.x, most.x),
  );
  const rows = expandTracks(
    style.gridTemplateRows,
    style.gridTemplateAreas,
    'rows',
    repeats(height, gapOf(style.rowGap, height), least.y, most.y),
  );
  const boxes = box.children.filter(isInFlow).sort((a, b) => orderOf(a) - orderOf(b));
  const { items, rowOffset, columnOffset } = placeItems(boxes, rows, columns, style.gridAutoFlow);
  const moved = items.map((item): PlacedItem => ({
    box: item.box,
    rows: shift(item.rows, -rowOffset),
    columns: shift(item.columns, -columnOffset),
  }));
  const count = (axis: Axis, offset: number, of: (i: PlacedItem) => Slot) =>
    Math.max(axis.explicit.length - offset, ...moved.map((i) => of(i).end), 0);
  const all = (axis: Axis, offset: number, autos: readonly TrackSize[], n: number): TrackSize[] =>
    Array.from({ length: n }, (_, i) => {
      const at = i + offset;
      if (at >= 0 && at < axis.explicit.length) return axis.explicit[at]!;
      const k = at < 0 ? autos.length - 1 - ((-at - 1) % autos.length) : (at - axis.explicit.length) % autos.length;
      return autos[k]!;
    });
  const empty = (axis: Axis, offset: number, n: number, of: (i: PlacedItem) => Slot): boolean[] =>
    Array.from({ length: n }, (_, i) => {
      const at = i + offset;
      return (
        axis.fitted !== null &&
        at >= axis.fitted[0] &&
        at < axis.fitted[1] &&
        !moved.some((item) => of(item).start <= i && of(item).end > i)
      );
    });
  const nRows = count(rows, rowOffset, (i) => i.rows);
  const nColumns = count(columns, columnOffset, (i) => i.columns);
  return {
    items: moved,
    rows: all(rows, rowOffset, style.gridAutoRows, nRows),
    columns: all(columns, columnOffset, style.gridAutoColumns, nColumns),
    emptyRows: empty(rows, rowOffset, nRows, (i) => i.rows),
    emptyColumns: empty(columns, columnOffset, nColumns, (i) => i.columns),
    rowAxis: { axis: rows, offset: rowOffset, count: nRows },
    columnAxis: { axis: columns, offset: columnOffset, count: nColumns },
  };
}

const shift = (slot: Slot, by: number): Slot => ({ start: slot.start + by, end: slot.end + by });
const orderOf = (box: Box): number => (box.anonymous ? 0 : box.style.order);
const plain = (value: string): string => value.replace(/^(safe|unsafe) /, '');

const scrolls = (value: string): boolean => value !== 'visible' && value !== 'clip';

interface Asking {
  readonly min: number;
  readonly max: number;
  /** Margins, borders and padding together, and the margins alone. */
  readonly floor: number;
  readonly margins: number;
  readonly size: Box['style']['width'];
  readonly minSize: Box['style']['minWidth'];
  /** The minimum as a border-box size, if it is one. */
  readonly own: number | null;
  readonly overflow: string;
}

/** What an item asks of its tracks along one axis. @spec css-grid-2 §6.6, §12.5 */
function demandOf(box: Box, slot: Slot, asking: Asking): Demand {
  const { min, max, floor, margins, size, minSize, own, overflow } = asking;
  const free = box.anonymous || dependsOnContent(size);
  const automatic = free && (box.anonymous || minSize === 'auto');
  const shrinks = automatic && !box.anonymous && scrolls(overflow);
  const least = shrinks ? floor : automatic || !free ? min : Math.max(floor, (own ?? 0) + margins);
  return { ...slot, min, max, least, automatic, floor };
}

/** Widths the items ask of the columns. */
function columnDemands(grid: Grid, layout: Layout): Demand[] {
  return grid.items.map(({ box, columns }): Demand => {
    const { width: size, minWidth: minSize, overflowX: overflow } = box.style;
    const margins = horizontal(usedMargins(box, 0));
    const frame = frameOf(box, 0);
    const floor = margins + frameWidth(frame);
    const own = box.anonymous ? null : widthFor(box, minSize, NaN, NaN, frame, () => layout.intrinsic(box));
    return demandOf(box, columns, { ...layout.contribution(box), floor, margins, size, minSize, own, overflow });
  });
}

const dependsOnContent = (size: Box['style']['width']): boolean =>
  size === 'auto' || (isLengthPercentage(size) && Number.isNaN(resolveLength(size, NaN)));

const stretches = (value: string): boolean => value === 'normal' || value === 'stretch';

/** Length of all tracks with the gaps between those that are not collapsed. */
const lengthOf = (sizes: readonly number[], collapsed: readonly boolean[], gap: number): number =>
  sizes.reduce((a, b) => a + b, 0) + gap * Math.max(0, sizes.filter((_, i) => !collapsed[i]).length - 1);

function linesOf(
  sizes: readonly number[],
  collapsed: readonly boolean[],
  gap: number,
  available: number,
  align: string,
): Lines {
  const shown = sizes.filter((_, i) => !collapsed[i]).length;
  const used = lengthOf(sizes, collapsed, gap);
  const spare = Number.isNaN(available) ? 0 : available - used;
  const { offset, between } = distribute(stretches(plain(align)) ? 'start' : align, spare, shown);
  let at = offset;
  let any = false;
  const starts = sizes.map((size, i) => {
    if (collapsed[i]) return at;
    if (any) at += gap + between;
    any = true;
    const start = at;
    at += size;
    return start;
  });
  return { starts, sizes, total: used };
}

/**
 * Lays out a grid container.
 * @spec css-grid-2 §12.1
 */
export function layoutGrid(
  box: Box,
  width: number,
  frame: Frame,
  margin: Edges,
  space: Space,
  layout: Layout,
): Fragment {
  const { style } = box;
  if (
    /^(subgrid|masonry)/.test(style.gridTemplateColumns.text) ||
    /^(subgrid|masonry)/.test(style.gridTemplateRows.text)
  ) {
    layout.limits.add(
      'unsupported',
      'subgrid',
      'the tracks of such a grid are sized by its own items',
      box.element?.startTag ?? null,
    );
  }
  const inner = Math.max(0, width - frameWidth(frame));
  const specified = space.fixedHeight ?? specifiedHeight(box, space, frame, width);
  const height =
    specified === null
      ? NaN
      : Math.max(0, (space.fixedHeight ?? clampHeight(box, specified, space.height, frame)) - frameHeight(frame));
  const grid = buildGrid(box, inner, height);
  const [gapX, gapY] = [gapOf(style.columnGap, inner), gapOf(style.rowGap, height)];
  const justify = plain(style.justifyContent);
  const align = plain(style.alignContent);
  const widths = sizeTracks({
    sizes: grid.columns,
    collapsed: grid.emptyColumns,
    demands: columnDemands(grid, layout),
    gap: gapX,
    available: inner,
    constraint: 'none',
    stretches: stretches(justify),
  });
  const columns = linesOf(widths, grid.emptyColumns, gapX, inner, style.justifyContent);
  const shares = rowBaselines(grid, columns, box, layout);
  const demands = rowDemands(grid, columns, shares, box, layout);
  const least = clampHeight(box, frameHeight(frame), space.height, frame) - frameHeight(frame);
  const rowsIn = (available: number) =>
    sizeTracks({
      sizes: grid.rows,
      collapsed: grid.emptyRows,
      demands,
      gap: gapY,
      available,
      constraint: 'none',
      stretches: stretches(align),
    });
  let heights = rowsIn(height);
  const contained = Number.isNaN(height) ? containedHeight(box, () => emptyHeight(box, gapY)) : null;
  const natural = contained ?? lengthOf(heights, grid.emptyRows, gapY);
  const bounded = clampHeight(box, natural + frameHeight(frame), space.height, frame) - frameHeight(frame);
  if (Number.isNaN(height) && (natural < least || contained !== null)) heights = rowsIn(Math.max(natural, least));
  const available = Number.isNaN(height) ? bounded : height;
  const rows = linesOf(heights, grid.emptyRows, gapY, available, style.alignContent);
  return assemble({
    box,
    width,
    frame,
    margin,
    space,
    layout,
    grid,
    columns,
    rows,
    specified,
    inner,
    shares,
    available,
  });
}

/** Height the rows of a grid have without any items. */
function emptyHeight(box: Box, gap: number): number {
  const { rows, emptyRows } = buildGrid({ ...box, children: [] }, NaN, NaN);
  const sizes = sizeTracks({
    sizes: rows,
    collapsed: emptyRows,
    demands: [],
    gap,
    available: NaN,
    constraint: 'none',
    stretches: false,
  });
  return lengthOf(sizes, emptyRows, gap);
}

/** Heights the items ask of the rows. */
function rowDemands(grid: Grid, columns: Lines, shares: RowBaselines, container: Box, layout: Layout): Demand[] {
  return grid.items.map((item): Demand => {
    const { box } = item;
    const { height: size, minHeight: minSize, overflowY: overflow } = box.style;
    const area = spanOf(columns, item.columns).size;
    const margins = vertical(usedMargins(box, area));
    const frame = frameOf(box, area);
    const floor = margins + frameHeight(frame);
    const tall = placeInArea(box, area, NaN, container, layout).fragment.height + margins + shares.shim(item);
    const own = box.anonymous ? null : heightFor(box, minSize, NaN, frame);
    return demandOf(box, item.rows, { min: tall, max: tall, floor, margins, size, minSize, own, overflow });
  });
}

interface Assembling {
  readonly box: Box;
  readonly width: number;
  readonly frame: Frame;
  readonly margin: Edges;
  readonly space: Space;
  readonly layout: Layout;
  readonly grid: Grid;
  readonly columns: Lines;
  readonly rows: Lines;
  readonly specified: number | null;
  readonly inner: number;
  readonly shares: RowBaselines;
  /** Content height before minimum and maximum, px. */
  readonly available: number;
}

function assemble(a: Assembling): Fragment {
  const { box, width, frame, margin, space, layout, grid, columns, rows, specified, inner } = a;
  const height =
    space.fixedHeight ?? clampHeight(box, specified ?? a.available + frameHeight(frame), space.height, frame);
  const dx = frame.border.left + frame.padding.left;
  const dy = frame.border.top + frame.padding.top;
  const rtl = box.style.direction === 'rtl';
  const children: Placed[] = [];
  const outOfFlow: OutOfFlow[] = [];
  const standing: { item: PlacedItem; y: number; fragment: Fragment }[] = [];
  for (const item of grid.items) {
    const across = spanOf(columns, item.columns);
    const down = spanOf(rows, item.rows);
    const placed = placeInArea(item.box, across.size, down.size, box, layout);
    const { fragment, x } = placed;
    const y = a.shares.offset(item, fragment, down.size) ?? placed.y;
    const left = rtl ? inner - across.at - across.size : across.at;
    const offset = relativeOffset(item.box, across.size, down.size);
    const at = { x: dx + left + x + offset.x, y: dy + down.at + y + offset.y };
    children.push({ fragment, ...at });
    standing.push({ item, y: dy + down.at + y, fragment });
    for (const entry of fragment.outOfFlow) outOfFlow.push({ ...entry, x: entry.x + at.x, y: entry.y + at.y });
  }
  const content: Rect = { x: dx, y: dy, width: inner, height: Math.max(0, height - frameHeight(frame)) };
  for (const child of box.children) if (isOutOfFlow(child)) outOfFlow.push(absoluteChild(child, a, height, content));
  const [baseline, lastBaseline] = containerBaselines(standing, a);
  const bare = makeFragment({
    box,
    width,
    height,
    children,
    margin,
    border: frame.border,
    padding: frame.padding,
    baseline,
    lastBaseline,
    outOfFlow,
  });
  return adoptOutOfFlow(bare, layout);
}

/** An absolute child is placed in its area where the grid is its containing block. @spec css-grid-2 §9 */
function absoluteChild(child: Box, a: Assembling, height: number, content: Rect): OutOfFlow {
  const { box, frame, width, grid, columns, rows } = a;
  const held = child.style.position === 'fixed' ? containsFixed(box) : containsAbsolute(box);
  if (!held) return alignedIn(child, box, content);
  const { border } = frame;
  const { style } = child;
  const across = absoluteSlot(style.gridColumnStart, style.gridColumnEnd, grid.columnAxis);
  const down = absoluteSlot(style.gridRowStart, style.gridRowEnd, grid.rowAxis);
  const x = absoluteSpan(
    across,
    columns,
    content.x,
    content.width,
    border.left,
    width - border.right,
    box.style.direction === 'rtl',
  );
  const y = absoluteSpan(down, rows, content.y, content.height, border.top, height - border.bottom, false);
  const area: Rect = { x: x.from, y: y.from, width: Math.max(0, x.to - x.from), height: Math.max(0, y.to - y.from) };
  return { ...alignedIn(child, box, area), area };
}

function absoluteSpan(
  { start, end }: { readonly start: number | null; readonly end: number | null },
  lines: Lines,
  at: number,
  size: number,
  low: number,
  high: number,
  backwards: boolean,
): { from: number; to: number } {
  const n = lines.starts.length;
  const endOf = (i: number) => (lines.starts[i - 1] ?? 0) + (lines.sizes[i - 1] ?? 0);
  const first = start === null ? null : start < n ? lines.starts[start]! : endOf(start);
  const last = end === null ? null : end > 0 ? endOf(end) : (lines.starts[0] ?? 0);
  if (!backwards) return { from: first === null ? low : at + first, to: last === null ? high : at + last };
  return { from: last === null ? low : at + size - last, to: first === null ? high : at + size - first };
}

/** First and last baselines of the container. @spec css-grid-2 §10.6 */
function containerBaselines(
  standing: readonly { item: PlacedItem; y: number; fragment: Fragment }[],
  { box, shares }: Assembling,
): [number | null, number | null] {
  if (standing.length === 0) return [null, null];
  const top = Math.min(...standing.map(({ item }) => item.rows.start));
  const bottom = Math.max(...standing.map(({ item }) => item.rows.end));
  const of = (
    which: 'baseline' | 'last baseline',
    row: (item: PlacedItem) => boolean,
    best: (x: number, y: number) => boolean,
  ) => {
    const own = standing.filter(({ item }) => row(item));
    const shared = own.find(({ item }) => shares.takesPart(item));
    const chosen = shared ?? own.reduce((a, b) => (best(b.item.columns.start, a.item.columns.start) ? b : a));
    return chosen.y + standingOf(chosen.fragment, 0, 0, box, which).above;
  };
  return [
    of(
      'baseline',
      (item) => item.rows.start === top,
      (b, a) => b < a,
    ),
    of(
      'last baseline',
      (item) => item.rows.end === bottom,
      (b, a) => b > a,
    ),
  ];
}

/** Content-box widths: the columns under both constraints. @spec css-grid-2 §5.2 */
export function gridIntrinsic(box: Box, layout: Layout): Intrinsic {
  const grid = buildGrid(box, NaN, NaN);
  return columnsTogether(box, grid, columnDemands(grid, layout));
}

/** Content-box width the tracks of a grid have without any items. */
export const emptyGridWidth = (box: Box): number =>
  columnsTogether(box, buildGrid({ ...box, children: [] }, NaN, NaN), []).max;

function columnsTogether(box: Box, grid: Grid, demands: readonly Demand[]): Intrinsic {
  const gap = gapOf(box.style.columnGap, 0);
  const at = (constraint: 'min' | 'max') => {
    const sizes = sizeTracks({
      sizes: grid.columns,
      collapsed: grid.emptyColumns,
      demands,
      gap,
      available: NaN,
      constraint,
      stretches: false,
    });
    return lengthOf(sizes, grid.emptyColumns, gap);
  };
  const min = at('min');
  return { min, max: Math.max(min, at('max')) };
}
