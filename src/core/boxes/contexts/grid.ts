import { hasPercent, isLengthPercentage, type TrackSize } from '../../css/index.js';
import { isOrthogonal } from '../flows/modes.js';
import { boxInFlow } from '../flows/turn.js';
import type { Job } from './job.js';
import type { Box } from '../box.js';
import { horizontal, vertical, type Fragment } from '../fragment.js';
import type { Across, Intrinsic, Layout } from '../layout.js';
import { containedHeight } from '../used/containment.js';
import { usedMargins } from '../used/edges.js';
import { gapOf } from '../used/gaps.js';
import { clampHeight, frameHeight, frameWidth, heightFor } from '../used/sizes.js';
import {
  filledHeight,
  limitedHeight,
  dependsOnHeight,
  frameOf,
  refersToHeight,
  specifiedHeight,
} from './flow-sizes.js';
import { columnBaselines, rowBaselines, type GridBaselines } from './grid-baselines.js';
import { heightForRatio, placeInArea, widensByHeight } from './grid-items.js';
import { spanOf, type Lines, type PlacedItem } from './grid-place.js';
import { aroundOf, isSubgrid, passedOn } from './grid-subgrid.js';
import { sizeTracks, type Demand } from './grid-tracks.js';
import {
  type Grid,
  buildGrid,
  plain,
  demandOf,
  columnDemands,
  stretches,
  lengthOf,
  linesOf,
  subgridOf,
} from './grid-build.js';
import { assemble } from './grid-assemble.js';

/**
 * Lays out a grid container.
 * @spec css-grid-2 §12.1
 */
export function layoutGrid(job: Job): Fragment {
  const { box, width, frame, space, layout } = job;
  const { style } = box;
  const inner = Math.max(0, width - frameWidth(frame));
  const specified = space.fixedHeight ?? specifiedHeight(box, space, frame, width);
  const height =
    specified === null
      ? NaN
      : Math.max(
          0,
          (space.fixedHeight ?? clampHeight(box, specified, space.height, frame, job.natural)) - frameHeight(frame),
        );
  const taken = space.subgrid;
  const grid = buildGrid(box, inner, height, taken);
  const gap = grid.rowGap;
  const sized = (columns: Lines) => {
    const shares = rowBaselines(grid.items, columns, box, layout);
    const given = taken?.rows?.lines;
    if (given) return { columns, shares, heights: given.sizes, available: height, rows: given };
    const demands = rowDemands(grid, columns, shares, box, layout);
    const { heights, available, between } = rowHeights(job, grid, height, demands);
    const rows = linesOf(heights, grid.emptyRows, between, available, style.alignContent);
    return { columns, shares, heights, available, rows };
  };
  const sideways = columnBaselines(grid.items, box, layout);
  const first = sized(taken?.columns?.lines ?? columnLines(grid, box, inner, layout, sideways));
  const depends = grid.items.some(
    ({ box: item }) => refersToHeight(item) || dependsOnHeight(item) || widensByHeight(item),
  );
  const again =
    depends && !taken?.columns?.lines
      ? columnLines(grid, box, inner, layout, sideways, acrossIn(first, box, layout))
      : first.columns;
  const same = again.sizes.every((size, i) => size === first.columns.sizes[i]);
  const { columns, shares, heights, available, rows } = same ? first : sized(again);
  const content = lengthOf(heights, grid.emptyRows, gap);
  return assemble({ ...job, grid, columns, rows, specified, inner, shares, sideways, content, available });
}

/** What is known of the heights of items once the rows are sized. @spec css-grid-2 §12.1 step 3 */
const acrossIn =
  ({ columns, rows }: { readonly columns: Lines; readonly rows: Lines }, container: Box, layout: Layout) =>
  (item: PlacedItem): Across => {
    const basis = spanOf(rows, item.rows).size;
    return { basis, fixed: heightForRatio(item.box, spanOf(columns, item.columns).size, basis, container, layout) };
  };

/** Sizes and places of the columns. @spec css-grid-1 §12.1 step 1 */
function columnLines(
  grid: Grid,
  { style }: Box,
  inner: number,
  layout: Layout,
  shares: GridBaselines,
  acrossOf?: (item: PlacedItem) => Across,
): Lines {
  const gap = grid.columnGap;
  const widths = sizeTracks({
    sizes: grid.columns,
    collapsed: grid.emptyColumns,
    demands: columnDemands(grid, layout, shares, acrossOf),
    gap,
    available: inner,
    constraint: 'none',
    stretches: stretches(plain(style.justifyContent)),
  });
  return linesOf(widths, grid.emptyColumns, gap, inner, style.justifyContent);
}

/** Sizes of the rows, and the height they stand in. @spec css-grid-1 §12.1 step 2, css-sizing-3 §5.2.1 (minimum heights) */
function rowHeights(
  job: Job,
  grid: Grid,
  height: number,
  demands: ReturnType<typeof rowDemands>,
): { readonly heights: readonly number[]; readonly available: number; readonly between: number } {
  const { box, frame, layout } = job;
  const { style } = box;
  const gap = grid.rowGap;
  const rowsIn = (available: number, between = gap) =>
    sizeTracks({
      sizes: grid.rows,
      collapsed: grid.emptyRows,
      demands,
      gap: between,
      available,
      constraint: 'none',
      stretches: stretches(plain(style.alignContent)),
    });
  const filled = filledHeight(box, () => job.margin, job.space.height, layout);
  const clamped = (content: number) =>
    limitedHeight(job, Math.max(content + frameHeight(frame), filled), job.natural) - frameHeight(frame);
  const heights = rowsIn(height);
  if (!Number.isNaN(height)) return { heights, available: height, between: gap };
  const contained = containedHeight(box, layout, () => emptyHeight(box, gap));
  const natural = contained ?? lengthOf(heights, grid.emptyRows, gap);
  const least = clamped(0);
  const available = clamped(natural);
  // Shares of a height that follows from the content leave that as it is.
  const between = style.rowGap !== 'normal' && hasPercent(style.rowGap) ? gapOf(style.rowGap, available) : gap;
  if (between !== gap || grid.rows.some(isShare)) return { heights: rowsIn(available, between), available, between };
  const again = natural < least || contained !== null;
  return { heights: again ? rowsIn(Math.max(natural, least)) : heights, available, between };
}

/** Whether a track is a share of the size its grid turns out to have. @spec css-grid-2 §7.2.1 */
const isShare = ({ min, max }: TrackSize): boolean =>
  [min, max].some((b) => typeof b !== 'string' && !('fr' in b) && hasPercent(b));

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
function rowDemands(grid: Grid, columns: Lines, shares: GridBaselines, container: Box, layout: Layout): Demand[] {
  return grid.items.flatMap((item): readonly Demand[] => {
    const { box } = item;
    if (isSubgrid(box, 'rows')) return demandsWithin(item, grid, columns, layout);
    const { height: size, minHeight: minSize, overflowY: overflow } = box.style;
    const area = spanOf(columns, item.columns).size;
    const margins = vertical(usedMargins(box, area));
    const frame = frameOf(box, area);
    const floor = margins + frameHeight(frame);
    const taken = subgridOf(item, grid, columns, null);
    const placed = placeInArea(box, area, NaN, container, layout, taken);
    const tall = placed.fragment.height + margins + shares.shim(item);
    const own = box.anonymous ? null : heightFor(box, minSize, NaN, frame);
    const { min, max } = isOrthogonal(box.frame, box.mode)
      ? layout.contribution(boxInFlow(box, box.mode), { basis: area })
      : { min: tall, max: tall };
    return [demandOf(box, item.rows, { min, max, floor, margins, size, along: true, minSize, own, overflow })];
  });
}

/** Heights the items of a subgrid ask of the rows of the grid around it. */
function demandsWithin(item: PlacedItem, around: Grid, columns: Lines, layout: Layout): readonly Demand[] {
  const { box } = item;
  const taken = subgridOf(item, around, columns, null)!;
  const width = spanOf(columns, item.columns).size;
  const inner = Math.max(0, width - horizontal(usedMargins(box, width)) - frameWidth(frameOf(box, width)));
  const grid = buildGrid(box, inner, NaN, taken);
  const sideways = columnBaselines(grid.items, box, layout);
  const own = taken.columns?.lines ?? columnLines(grid, box, inner, layout, sideways);
  const demands = rowDemands(grid, own, rowBaselines(grid.items, own, box, layout), box, layout);
  return passedOn(demands, item.rows, aroundOf(box, 'rows', width), grid.rowGap - around.rowGap);
}

/**
 * Content-box widths: the columns under both constraints.
 * @param basis of shares in its smallest and largest width, px, which decide how often tracks repeat; NaN if unknown
 * @spec css-grid-2 §5.2
 */
export function gridIntrinsic(box: Box, layout: Layout, basis = NaN): Intrinsic {
  const grid = buildGrid(box, NaN, NaN, undefined, basis);
  return columnsTogether(box, grid, columnDemands(grid, layout, columnBaselines(grid.items, box, layout)));
}

/** Whether the widths that a grid asks for hang on the room it stands in: how often its columns repeat does. */
export const repeatsByRoom = ({ inner, style }: Box): boolean =>
  inner === 'grid' &&
  style.gridTemplateColumns.parts.some((part) => 'count' in part && typeof part.count === 'string') &&
  [style.minWidth, style.maxWidth].some((size) => isLengthPercentage(size) && hasPercent(size));

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
