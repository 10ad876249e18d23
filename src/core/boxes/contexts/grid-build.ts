import { gapOf } from '../used/gaps.js';
import { isLengthPercentage, resolveLength, type TrackSize } from '../../css/index.js';
import { isInFlow, type Box } from '../box.js';
import { horizontal } from '../fragment.js';
import type { Across, GivenTracks, Intrinsic, Layout, Subgrid } from '../layout.js';
import { usedMargins } from '../used/edges.js';
import { frameHeight, frameWidth, heightFor, widthFor } from '../used/sizes.js';
import { distribute } from './distribute.js';
import { frameOf } from './flow-sizes.js';
import { columnBaselines, type GridBaselines } from './grid-baselines.js';
import {
  aroundOf,
  givenAxis,
  heldIn,
  isSubgrid,
  linesWithin,
  passedOn,
  takesTracks,
  tracksFor,
  type GridAxis,
} from './grid-subgrid.js';
import {
  expandTracks,
  placeItems,
  spanOf,
  type Axis,
  type LineAxis,
  type Lines,
  type PlacedItem,
  type Slot,
} from './grid-place.js';
import type { Demand } from './grid-tracks.js';

export interface Grid {
  readonly items: readonly PlacedItem[];
  readonly rows: readonly TrackSize[];
  readonly columns: readonly TrackSize[];
  readonly emptyRows: readonly boolean[];
  readonly emptyColumns: readonly boolean[];
  /** Named lines and where the explicit grid begins, for absolute children. */
  readonly rowAxis: LineAxis;
  readonly columnAxis: LineAxis;
  /** Gaps between its tracks, px. */
  readonly rowGap: number;
  readonly columnGap: number;
}

const NO_CONTENT: Intrinsic = Object.freeze({ min: 0, max: 0 });

/**
 * Builds the grid: explicit tracks, items in their slots, implicit tracks around.
 * @param given tracks it takes from the grid around it
 * @param basis what shares in its smallest and largest width refer to, px; NaN while that is being sized
 * @spec css-grid-2 §7, §8
 */
export function buildGrid(box: Box, width: number, height: number, given?: Subgrid, basis = NaN): Grid {
  const { style } = box;
  const { least, most } = limitsOf(box, basis);
  const columns = given?.columns
    ? givenAxis(given.columns)
    : expandTracks(
        style.gridTemplateColumns,
        style.gridTemplateAreas,
        'columns',
        repetitions(width, gapOf(style.columnGap, width), least.x, most.x),
      );
  const rows = given?.rows
    ? givenAxis(given.rows)
    : expandTracks(
        style.gridTemplateRows,
        style.gridTemplateAreas,
        'rows',
        repetitions(height, gapOf(style.rowGap, height), least.y, most.y),
      );
  const boxes = box.children.filter(isInFlow).sort((a, b) => orderOf(a) - orderOf(b));
  const placed = placeItems(boxes, rows, columns, style.gridAutoFlow);
  const rowOffset = given?.rows ? 0 : placed.rowOffset;
  const columnOffset = given?.columns ? 0 : placed.columnOffset;
  const held = (slot: Slot, tracks: GivenTracks | null | undefined, offset: number) =>
    tracks ? heldIn(slot, tracks.count) : shift(slot, -offset);
  const moved = placed.items.map((item): PlacedItem => ({
    box: item.box,
    rows: held(item.rows, given?.rows, rowOffset),
    columns: held(item.columns, given?.columns, columnOffset),
  }));
  const across = implicitTracks(
    rows,
    rowOffset,
    style.gridAutoRows,
    moved.map((item) => item.rows),
  );
  const along = implicitTracks(
    columns,
    columnOffset,
    style.gridAutoColumns,
    moved.map((item) => item.columns),
  );
  return {
    items: moved,
    rows: across.sizes,
    columns: along.sizes,
    emptyRows: across.empty,
    emptyColumns: along.empty,
    rowAxis: { axis: rows, offset: rowOffset, count: across.sizes.length },
    columnAxis: { axis: columns, offset: columnOffset, count: along.sizes.length },
    rowGap: gapWithin(box, 'rows', height, given?.rows),
    columnGap: gapWithin(box, 'columns', width, given?.columns),
  };
}

/** Content-box limits of a grid, px; NaN where there is none that is definite. */
function limitsOf(box: Box, basis: number) {
  const { style } = box;
  const frame = frameOf(box, 0);
  const content = (outer: number | null, extra: number) => (outer === null ? NaN : Math.max(0, outer - extra));
  const across = (size: typeof style.minWidth) =>
    box.anonymous || typeof size === 'string' || !isLengthPercentage(size)
      ? NaN
      : content(
          widthFor(box, size, basis, NaN, frame, () => NO_CONTENT),
          frameWidth(frame),
        );
  const down = (size: typeof style.minHeight) =>
    box.anonymous ? NaN : content(heightFor(box, size, NaN, frame), frameHeight(frame));
  return {
    least: { x: across(style.minWidth), y: down(style.minHeight) },
    most: { x: across(style.maxWidth), y: down(style.maxHeight) },
  };
}

/** How often automatic repeats come: where the size is not known, a maximum counts as it and a minimum is to be filled. @spec css-grid-1 §7.2.3.2 */
const repetitions =
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

/** All tracks of an axis, those around the explicit ones too, and which fitted ones are empty. @spec css-grid-1 §7.5, §7.2.3.2 */
function implicitTracks(
  axis: Axis,
  offset: number,
  autos: readonly TrackSize[],
  slots: readonly Slot[],
): { readonly sizes: readonly TrackSize[]; readonly empty: readonly boolean[] } {
  const count = Math.max(axis.explicit.length - offset, ...slots.map((slot) => slot.end), 0);
  const sizes = Array.from({ length: count }, (_, i) => {
    const at = i + offset;
    if (at >= 0 && at < axis.explicit.length) return axis.explicit[at]!;
    const k = at < 0 ? autos.length - 1 - ((-at - 1) % autos.length) : (at - axis.explicit.length) % autos.length;
    return autos[k]!;
  });
  const empty = sizes.map((_, i) => {
    const at = i + offset;
    const fitted = axis.fitted !== null && at >= axis.fitted[0] && at < axis.fitted[1];
    return fitted && !slots.some((slot) => slot.start <= i && slot.end > i);
  });
  return { sizes, empty };
}

const shift = (slot: Slot, by: number): Slot => ({ start: slot.start + by, end: slot.end + by });

const orderOf = (box: Box): number => (box.anonymous ? 0 : box.style.order);

export const plain = (value: string): string => value.replace(/^(safe|unsafe) /, '');

const scrolls = (value: string): boolean => value !== 'visible' && value !== 'clip';

interface Asking {
  readonly min: number;
  readonly max: number;
  /** Margins, borders and padding together, and the margins alone. */
  readonly floor: number;
  readonly margins: number;
  readonly size: Box['style']['width'];
  /** Whether the tracks are rows: heights by content are automatic ones, widths by content are not. */
  readonly along: boolean;
  readonly minSize: Box['style']['minWidth'];
  /** The minimum as a border-box size, if it is one. */
  readonly own: number | null;
  readonly overflow: string;
}

/** What an item asks of its tracks along one axis. @spec css-grid-2 §6.6, §12.5 */
export function demandOf(box: Box, slot: Slot, asking: Asking): Demand {
  const { min, max, floor, margins, size, minSize, own, overflow } = asking;
  const free = box.anonymous || dependsOnContent(size, asking.along);
  const automatic = free && (box.anonymous || minSize === 'auto');
  const shrinks = automatic && !box.anonymous && scrolls(overflow);
  const least = shrinks ? floor : automatic || !free ? min : Math.max(floor, (own ?? 0) + margins);
  return { ...slot, min, max, least, automatic, floor };
}

/** Widths the items ask of the columns. @param acrossOf what is known of their heights */
export function columnDemands(
  grid: Grid,
  layout: Layout,
  shares: GridBaselines,
  acrossOf?: (item: PlacedItem) => Across,
): Demand[] {
  return grid.items.flatMap((item): readonly Demand[] => {
    const { box, columns } = item;
    if (isSubgrid(box, 'columns')) return demandsWithin(item, grid, layout);
    const across = acrossOf?.(item);
    const { width: size, minWidth: minSize, overflowX: overflow } = box.style;
    const margins = horizontal(usedMargins(box, 0));
    const frame = frameOf(box, 0);
    const floor = margins + frameWidth(frame);
    const least = minSize === 'fit-content' ? 'min-content' : minSize;
    const own = box.anonymous ? null : widthFor(box, least, 0, NaN, frame, () => layout.intrinsic(box, across));
    const { min, max } = layout.contribution(box, across);
    const shim = shares.shim(item);
    const asking = { min: min + shim, max: max + shim, floor, margins, size, along: false, minSize, own, overflow };
    return [demandOf(box, columns, asking)];
  });
}

/** Gap of a grid along an axis; a subgrid without one of its own has that of the tracks it takes. */
function gapWithin({ style }: Box, axis: GridAxis, basis: number, given: GivenTracks | null | undefined): number {
  const gap = axis === 'columns' ? style.columnGap : style.rowGap;
  return given && gap === 'normal' ? given.gap : gapOf(gap, basis);
}

/** The tracks an item takes from its grid, not yet sized. */
function tracksOf(item: PlacedItem, grid: Grid): Subgrid {
  const { box } = item;
  return {
    columns: isSubgrid(box, 'columns')
      ? tracksFor(box, 'columns', item.columns, grid.columnAxis, grid.columnGap)
      : null,
    rows: isSubgrid(box, 'rows') ? tracksFor(box, 'rows', item.rows, grid.rowAxis, grid.rowGap) : null,
  };
}

/** Widths the items of a subgrid ask of the columns of the grid around it. */
function demandsWithin(item: PlacedItem, grid: Grid, layout: Layout): readonly Demand[] {
  const given = tracksOf(item, grid);
  const inside = buildGrid(item.box, NaN, NaN, given);
  const spread = inside.columnGap - grid.columnGap;
  const demands = columnDemands(inside, layout, columnBaselines(inside.items, item.box, layout));
  return passedOn(demands, item.columns, aroundOf(item.box, 'columns', 0), spread);
}

const dependsOnContent = (size: Box['style']['width'], along: boolean): boolean =>
  (typeof size === 'string' && (along || !/^(min|max)-content$/.test(size))) ||
  (isLengthPercentage(size) && Number.isNaN(resolveLength(size, NaN)));

export const stretches = (value: string): boolean => value === 'normal' || value === 'stretch';

/** Length of all tracks with the gaps between those that are not collapsed. */
export const lengthOf = (sizes: readonly number[], collapsed: readonly boolean[], gap: number): number =>
  sizes.reduce((a, b) => a + b, 0) + gap * Math.max(0, sizes.filter((_, i) => !collapsed[i]).length - 1);

export function linesOf(
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
 * The tracks an item takes from its grid, and where they lie in it; undefined where it takes none.
 * @param rows null before they are sized
 */
export function subgridOf(item: PlacedItem, grid: Grid, columns: Lines, rows: Lines | null): Subgrid | undefined {
  if (!takesTracks(item.box)) return undefined;
  const tracks = tracksOf(item, grid);
  const width = spanOf(columns, item.columns).size;
  const within = (axis: GridAxis, lines: Lines | null): GivenTracks | null => {
    const given = tracks[axis];
    if (!given || !lines) return given;
    const spread = gapWithin(item.box, axis, NaN, given) - given.gap;
    return { ...given, lines: linesWithin(lines, item[axis], aroundOf(item.box, axis, width), spread) };
  };
  return { columns: within('columns', columns), rows: within('rows', rows) };
}
