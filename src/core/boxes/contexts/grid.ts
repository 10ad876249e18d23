import { resolveLength, type TrackSize } from '../../css/index.js';
import { isInFlow, isOutOfFlow, type Box } from '../box.js';
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
import { specifiedMargins, usedMargins } from '../used/edges.js';
import { relativeOffset } from '../used/relative.js';
import { clampHeight, clampWidth, frameHeight, frameWidth, type Frame } from '../used/sizes.js';
import { distribute } from './distribute.js';
import { frameOf, specifiedHeight } from './flow.js';
import { expandTracks, placeItems, type Axis, type PlacedItem, type Slot } from './grid-place.js';
import { sizeTracks, type Demand } from './grid-tracks.js';
import { adoptOutOfFlow } from './positioned.js';

interface Grid {
  readonly items: readonly PlacedItem[];
  readonly rows: readonly TrackSize[];
  readonly columns: readonly TrackSize[];
  readonly emptyRows: readonly boolean[];
  readonly emptyColumns: readonly boolean[];
}

/** Positions and sizes of tracks along one axis, px. */
interface Lines {
  readonly starts: readonly number[];
  readonly sizes: readonly number[];
  /** End of the last track. */
  readonly total: number;
}

const gapOf = (value: Box['style']['rowGap'], basis: number): number =>
  value === 'normal' ? 0 : snap(resolveLength(value, basis) || 0);

/** Builds the grid: explicit tracks, items in their slots, implicit tracks around. @spec css-grid-2 §7, §8 */
function buildGrid(box: Box, width: number, height: number): Grid {
  const { style } = box;
  const repeats =
    (available: number, gap: number) =>
    (repeat: readonly TrackSize[], others: readonly TrackSize[]): number => {
      if (Number.isNaN(available) || repeat.length === 0) return 1;
      const size = (t: TrackSize) =>
        [t.max, t.min]
          .map((b) => (typeof b !== 'string' && !('fr' in b) ? resolveLength(b, available) : NaN))
          .find((v) => !Number.isNaN(v)) ?? 0;
      const one = repeat.reduce((sum, t) => sum + Math.max(1, size(t)) + gap, 0);
      const rest = others.reduce((sum, t) => sum + size(t) + gap, 0);
      return Math.max(1, Math.floor((available + gap - rest) / one + 1e-6));
    };
  const columns = expandTracks(
    style.gridTemplateColumns,
    style.gridTemplateAreas,
    'columns',
    repeats(width, gapOf(style.columnGap, width)),
  );
  const rows = expandTracks(
    style.gridTemplateRows,
    style.gridTemplateAreas,
    'rows',
    repeats(height, gapOf(style.rowGap, height)),
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
  };
}

const shift = (slot: Slot, by: number): Slot => ({ start: slot.start + by, end: slot.end + by });
const orderOf = (box: Box): number => (box.anonymous ? 0 : box.style.order);
const plain = (value: string): string => value.replace(/^(safe|unsafe) /, '');

const scrolls = (value: string): boolean => value !== 'visible' && value !== 'clip';

/** Widths the items ask of the columns. @spec css-grid-2 §6.6, §12.5 */
function columnDemands(grid: Grid, layout: Layout): Demand[] {
  return grid.items.map(({ box, columns }) => {
    const { min, max } = layout.contribution(box);
    const auto =
      !box.anonymous && scrolls(box.style.overflowX) && box.style.minWidth === 'auto' && box.style.width === 'auto'
        ? horizontal(usedMargins(box, 0))
        : min;
    return { ...columns, sizes: { min, max, auto } };
  });
}

const stretches = (value: string): boolean => value === 'normal' || value === 'stretch';

function linesOf(
  sizes: readonly number[],
  collapsed: readonly boolean[],
  gap: number,
  available: number,
  align: string,
): Lines {
  const shown = sizes.filter((_, i) => !collapsed[i]).length;
  const used = sizes.reduce((a, b) => a + b, 0) + gap * Math.max(0, shown - 1);
  const spare = Number.isNaN(available) ? 0 : available - used;
  const { offset, between } = distribute(stretches(align) ? 'start' : align, spare, shown);
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

const spanOf = (lines: Lines, { start, end }: Slot): { at: number; size: number } => {
  const at = lines.starts[start] ?? 0;
  const last = end - 1;
  return { at, size: Math.max(0, (lines.starts[last] ?? at) + (lines.sizes[last] ?? 0) - at) };
};

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
  const widths = sizeTracks(
    grid.columns,
    grid.emptyColumns,
    columnDemands(grid, layout),
    gapX,
    inner,
    'max',
    stretches(justify),
  );
  const columns = linesOf(widths, grid.emptyColumns, gapX, inner, justify);
  const demands = grid.items.map((item): Demand => {
    const area = spanOf(columns, item.columns).size;
    const tall = place(item.box, area, NaN, box, layout).fragment.height + vertical(usedMargins(item.box, area));
    return { ...item.rows, sizes: { min: tall, max: tall, auto: tall } };
  });
  const least = clampHeight(box, frameHeight(frame), space.height, frame) - frameHeight(frame);
  let heights = sizeTracks(grid.rows, grid.emptyRows, demands, gapY, height, 'max', stretches(align));
  const natural =
    heights.reduce((a, b) => a + b, 0) + gapY * Math.max(0, heights.filter((_, i) => !grid.emptyRows[i]).length - 1);
  if (Number.isNaN(height) && natural < least)
    heights = sizeTracks(grid.rows, grid.emptyRows, demands, gapY, least, 'max', stretches(align));
  const available = Number.isNaN(height) ? Math.max(natural, least) : height;
  const rows = linesOf(heights, grid.emptyRows, gapY, available, align);
  return assemble({ box, width, frame, margin, space, layout, grid, columns, rows, specified, inner });
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
}

interface InArea {
  readonly fragment: Fragment;
  readonly x: number;
  readonly y: number;
}

/** Alignment of an item in its area along one axis. @spec css-align-3 §6, css-grid-2 §6.2 */
function alignmentOf(own: string, container: string): string {
  const value = plain(own === 'auto' ? container : own);
  return value.startsWith('legacy') ? 'normal' : value;
}

/** Lays an item out in an area; a height of NaN leaves it to the content. */
function place(box: Box, width: number, height: number, container: Box, layout: Layout): InArea {
  const { style } = container;
  const justify = alignmentOf(box.anonymous ? 'auto' : box.style.justifySelf, style.justifyItems);
  const align = alignmentOf(box.anonymous ? 'auto' : box.style.alignSelf, style.alignItems);
  const margins = specifiedMargins(box, width);
  const used = usedMargins(box, width);
  const fills = (value: string) => value === 'normal' || value === 'stretch';
  const replaced = box.inner === 'replaced' || (!box.anonymous && box.style.aspectRatio.ratio !== null);
  const autoWidth = box.anonymous || box.style.width === 'auto';
  const autoHeight = box.anonymous || box.style.height === 'auto';
  const fillsX =
    autoWidth &&
    (justify === 'stretch' || (fills(justify) && !replaced)) &&
    margins.left !== null &&
    margins.right !== null;
  const fillsY =
    autoHeight &&
    !Number.isNaN(height) &&
    (align === 'stretch' || (fills(align) && !replaced)) &&
    margins.top !== null &&
    margins.bottom !== null;
  const frame: Space = {
    width,
    height,
    ...(fillsX
      ? {
          fixedWidth: clampWidth(box, Math.max(0, width - horizontal(used)), width, width, frameOf(box, width), () =>
            layout.intrinsic(box),
          ),
        }
      : { shrink: true }),
    ...(fillsY
      ? {
          fixedHeight: clampHeight(box, Math.max(0, height - vertical(used)), height, frameOf(box, width)),
          definite: true,
        }
      : {}),
  };
  const fragment = layout.place(box, frame);
  const rtl = style.direction === 'rtl';
  const x =
    offsetIn(width - fragment.width - horizontal(used), justify, margins.left, margins.right, rtl) +
    (margins.left ?? 0);
  const y = Number.isNaN(height)
    ? used.top
    : offsetIn(height - fragment.height - vertical(used), align, margins.top, margins.bottom, false) +
      (margins.top ?? 0);
  return { fragment, x, y };
}

function offsetIn(spare: number, align: string, start: number | null, end: number | null, backwards: boolean): number {
  if (start === null && end === null) return Math.max(0, spare) / 2;
  if (start === null) return Math.max(0, spare);
  if (end === null) return 0;
  switch (align) {
    case 'center':
      return spare / 2;
    case 'end':
    case 'flex-end':
    case 'self-end':
      return backwards ? 0 : spare;
    case 'right':
      return spare;
    case 'left':
      return 0;
    default:
      return backwards ? spare : 0;
  }
}

function assemble(a: Assembling): Fragment {
  const { box, width, frame, margin, space, layout, grid, columns, rows, specified, inner } = a;
  const height =
    space.fixedHeight ?? clampHeight(box, specified ?? rows.total + frameHeight(frame), space.height, frame);
  const dx = frame.border.left + frame.padding.left;
  const dy = frame.border.top + frame.padding.top;
  const rtl = box.style.direction === 'rtl';
  const children: Placed[] = [];
  const outOfFlow: OutOfFlow[] = [];
  let baseline: number | null = null;
  for (const item of grid.items) {
    const across = spanOf(columns, item.columns);
    const down = spanOf(rows, item.rows);
    const { fragment, x, y } = place(item.box, across.size, down.size, box, layout);
    const left = rtl ? inner - across.at - across.size : across.at;
    const offset = relativeOffset(item.box, across.size, down.size);
    const at = { x: dx + left + x + offset.x, y: dy + down.at + y + offset.y };
    children.push({ fragment, ...at });
    for (const entry of fragment.outOfFlow) outOfFlow.push({ ...entry, x: entry.x + at.x, y: entry.y + at.y });
    if (item.rows.start === 0) baseline ??= at.y + (fragment.baseline ?? fragment.height);
  }
  for (const child of box.children)
    if (isOutOfFlow(child))
      outOfFlow.push({
        box: child,
        x: dx + (rtl ? inner : 0),
        y: dy,
        alignX: rtl ? 'end' : 'start',
        alignY: 'start',
        inlineContainer: null,
      });
  const bare = makeFragment({
    box,
    width,
    height,
    children,
    margin,
    border: frame.border,
    padding: frame.padding,
    baseline,
    lastBaseline: baseline,
    outOfFlow,
  });
  return adoptOutOfFlow(bare, layout, space);
}

/** Content-box widths: the columns under both constraints. @spec css-grid-2 §5.2 */
export function gridIntrinsic(box: Box, layout: Layout): Intrinsic {
  const grid = buildGrid(box, NaN, NaN);
  const gap = gapOf(box.style.columnGap, 0);
  const demands = columnDemands(grid, layout);
  const at = (constraint: 'min' | 'max') => {
    const asked =
      constraint === 'min' ? demands.map((d) => ({ ...d, sizes: { ...d.sizes, max: d.sizes.min } })) : demands;
    const sizes = sizeTracks(grid.columns, grid.emptyColumns, asked, gap, NaN, constraint, false);
    return (
      sizes.reduce((a, b) => a + b, 0) + gap * Math.max(0, sizes.filter((_, i) => !grid.emptyColumns[i]).length - 1)
    );
  };
  const min = at('min');
  return { min, max: Math.max(min, at('max')) };
}
