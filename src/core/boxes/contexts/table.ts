import type { Job } from './job.js';
import type { Box } from '../box.js';
import { snap, type Fragment } from '../fragment.js';
import type { Layout, Space } from '../layout.js';
import { clampHeight, frameHeight, frameWidth, heightFor, NO_FRAME, type Frame } from '../used/sizes.js';
import { hasFixedLayout, tableGrid, type Cell, type TableGrid } from './table-grid.js';
import { growSections, isHidden, shareOutTable, stackRows, type Heights } from './table-sections.js';
import { shareOut } from './table-spare.js';
import { spacingOf, columnsOf } from './table-columns.js';
import { automaticWidths, fixedWidths, inWholeSteps, sum } from './table-distribute.js';
import { leastOf } from './table-intrinsic.js';
import { assemble, withoutCaptions } from './table-assemble.js';
import {
  alignsBaseline,
  askedHeight,
  cellBaseline,
  type ColumnLayout,
  type RowLayout,
  tableHeight,
  offsets,
  cellWidth,
} from './table-rows.js';

/**
 * Lays out a table: columns, rows, captions.
 * @spec css-tables-3 §3.10, css2 §17.5.3
 */
export function layoutTable(job: Job): Fragment {
  const { box, width, frame, margin, layout } = job;
  const grid = tableGrid(box);
  const spacing = grid.columns > 0 ? spacingOf(box) : { x: 0, y: 0 };
  const fixedLayout = hasFixedLayout(box);
  const columns = columnsOf(box, layout);
  const gaps = grid.columns > 0 ? spacing.x * (grid.columns + 1) : 0;
  const least = sum(columns.map((column) => leastOf(column, fixedLayout))) + gaps + frameWidth(frame);
  const outer = Math.max(width, least, captionsLeast(grid, layout));
  const available = Math.max(0, outer - frameWidth(frame) - gaps);
  const all = inWholeSteps((fixedLayout ? fixedWidths : automaticWidths)(columns, available), available);
  const hidden = grid.columnBoxes.map((column) => column !== undefined && isHidden(column));
  const widths = all.map((w, i) => (hidden[i] ? 0 : w));
  const lost = sum(all.map((w, i) => (hidden[i] ? w + spacing.x : 0)));
  // A width that the parent decides stays.
  const shown =
    lost > 0 && job.space.fixedWidth === undefined
      ? Math.max(outer - lost, captionsLeast(grid, layout), frameWidth(frame) + spacing.x * 2)
      : outer;
  const space = withoutCaptions(job.space, { box, grid, outer: shown, layout });
  const mirror = box.style.direction === 'rtl' ? shown - frameWidth(frame) : null;
  const lefts = offsets(widths, spacing.x, mirror, hidden);
  const rows = layoutRows(grid, { widths: all, hidden: [] }, spacing, layout);
  const specified = space.fixedHeight ?? tableHeight(box, space, frame);
  growRows(heightsOf(rows), grid, spacing.y, specified, box, frame, space);
  const full = tallness(heightsOf(rows), spacing.y);
  grid.rows.forEach((row, i) => {
    if (isHidden(row.box)) rows.heights[i] = 0;
  });
  const stack = stackRows(grid, heightsOf(rows), spacing.y);
  const dropped = full - stack.height;
  return assemble({
    box,
    grid,
    frame,
    margin,
    outer: shown,
    widths,
    hidden,
    lefts,
    stack,
    dropped,
    spacing,
    rows,
    layout,
    space,
  });
}

/** Height of all rows, hidden ones and their gaps with them. */
const tallness = ({ rows, bare }: Heights, gap: number): number =>
  sum([...rows, ...bare.values()]) + (rows.length > 0 ? gap * (rows.length + 1) : 0);

const heightsOf = ({ heights, bare }: RowLayout): Heights => ({ rows: heights, bare });

/** What captions ask for, which hidden columns do not take from the table. */
const captionsLeast = (grid: TableGrid, layout: Layout): number =>
  Math.max(0, ...grid.captions.map((caption) => layout.contribution(caption).min));

function layoutRows(
  grid: TableGrid,
  columns: ColumnLayout,
  spacing: { x: number; y: number },
  layout: Layout,
): RowLayout {
  const heights = new Array<number>(grid.rows.length).fill(0);
  const baselines = new Array<number | null>(grid.rows.length).fill(null);
  const fragments = new Map<Cell, Fragment>();
  grid.rows.forEach((row, r) => {
    const own = row.box.anonymous ? null : heightFor(row.box, row.box.style.height, NaN, NO_FRAME);
    heights[r] = own ?? 0;
    let below = 0;
    for (const cell of row.cells) {
      const w = cellWidth(cell, columns, spacing.x);
      const fragment = layout.place(cell.box, { width: w, height: NaN, fixedWidth: w, byContent: 'height' });
      fragments.set(cell, fragment);
      if (cell.rowSpan > 1) continue;
      heights[r] = Math.max(heights[r]!, fragment.height, askedHeight(cell.box, layout) ?? 0);
      if (alignsBaseline(cell)) {
        const line = cellBaseline(fragment);
        baselines[r] = Math.max(baselines[r] ?? -Infinity, line);
        below = Math.max(below, fragment.height - line);
      }
    }
    heights[r] = Math.max(heights[r]!, (baselines[r] ?? 0) + below);
  });
  const spanning = [...fragments].filter(([cell]) => cell.rowSpan > 1);
  for (const [{ box, row: from, rowSpan }, fragment] of spanning.sort(([a], [b]) => a.rowSpan - b.rowSpan)) {
    const to = Math.min(from + rowSpan, heights.length);
    const height = Math.max(fragment.height, askedHeight(box, layout) ?? 0);
    const spare = height - sum(heights.slice(from, to)) - spacing.y * (to - from - 1);
    shareOut(heights, grid.rows, { from, to, spare }, { kind: 'span' });
  }
  const bare = new Map<Box, number>();
  growSections({ rows: heights, bare }, grid, spacing.y);
  return { heights: heights.map(snap), bare, fragments, baselines };
}

/** A table taller than its rows gives them the rest. */
function growRows(
  heights: Heights,
  grid: TableGrid,
  gap: number,
  specified: number | null,
  box: Box,
  frame: Frame,
  space: Space,
): void {
  const natural = tallness(heights, gap) + frameHeight(frame);
  const wanted = box.anonymous
    ? natural
    : Math.max(natural, clampHeight(box, specified ?? natural, space.height, frame));
  if (wanted <= natural) return;
  // Browsers keep room beside groups without a row, and where there is no column, but leave none there.
  const around = spacingOf(box).y * (heights.rows.length + heights.bare.size + 1);
  const spare = wanted - frameHeight(frame) - sum(heights.rows) - sum([...heights.bare.values()]) - around;
  if (spare <= 0) return;
  const basis = specified === null ? NaN : specified - frameHeight(frame) - gap * (heights.rows.length + 1);
  shareOutTable(heights, grid, gap, { spare, basis });
}
