import type { Job } from './job.js';
import type { Box } from '../box.js';
import { snap, type Fragment } from '../fragment.js';
import type { Layout, Space } from '../layout.js';
import { clampHeight, frameHeight, frameWidth, heightFor, type Frame } from '../used/sizes.js';
import { hasFixedLayout, tableGrid, type Cell, type TableGrid } from './table-grid.js';
import { shareOut } from './table-spare.js';
import { spacingOf, columnsOf, sum, columnWidths } from './table-columns.js';
import { assemble } from './table-assemble.js';
import { type RowLayout, tableHeight, offsets, cellWidth } from './table-rows.js';

/**
 * Lays out a table: columns, rows, captions.
 * @spec css-tables-3 §3.10, css2 §17.5.3
 */
export function layoutTable(job: Job): Fragment {
  const { box, width, frame, margin, space, layout } = job;
  const grid = tableGrid(box);
  const spacing = grid.columns > 0 ? spacingOf(box) : { x: 0, y: 0 };
  const fixedLayout = hasFixedLayout(box);
  const columns = columnsOf(box, layout);
  const gaps = grid.columns > 0 ? spacing.x * (grid.columns + 1) : 0;
  const kept = fixedLayout ? columns.fixed.map((w) => w ?? 0) : columns.min;
  const least = sum(kept) + gaps + frameWidth(frame);
  const outer = Math.max(width, least);
  const available = Math.max(0, outer - frameWidth(frame) - gaps);
  const widths = inWholeSteps(columnWidths(columns, available, fixedLayout), available);
  const lefts = offsets(widths, spacing.x, box.style.direction === 'rtl' ? outer - frameWidth(frame) : null);
  const rows = layoutRows(grid, widths, spacing, layout);
  const specified = space.fixedHeight ?? tableHeight(box, space, frame);
  growRows(rows.heights, grid, spacing.y, specified, box, frame, space);
  return assemble({ box, grid, frame, margin, outer, widths, lefts, spacing, rows, layout, space });
}

/** Widths in 64ths of a px; the last column takes what rounding leaves. */
function inWholeSteps(exact: readonly number[], available: number): number[] {
  const widths = exact.map(snap);
  const lost = snap(available) - sum(widths);
  const last = widths.length - 1;
  if (last >= 0 && lost > 0 && lost < widths.length / 64) widths[last] = widths[last]! + lost;
  return widths;
}

function layoutRows(
  grid: TableGrid,
  widths: readonly number[],
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
      const w = cellWidth(cell, widths, spacing.x);
      const fragment = layout.place(cell.box, { width: w, height: NaN, fixedWidth: w });
      fragments.set(cell, fragment);
      if (cell.rowSpan > 1) continue;
      heights[r] = Math.max(heights[r]!, fragment.height);
      if (alignsBaseline(cell) && fragment.baseline !== null) {
        baselines[r] = Math.max(baselines[r] ?? -Infinity, fragment.baseline);
        below = Math.max(below, fragment.height - fragment.baseline);
      }
    }
    heights[r] = Math.max(heights[r]!, (baselines[r] ?? 0) + below);
  });
  const spanning = [...fragments].filter(([cell]) => cell.rowSpan > 1);
  for (const [{ row: from, rowSpan }, fragment] of spanning.sort(([a], [b]) => a.rowSpan - b.rowSpan)) {
    const to = Math.min(from + rowSpan, heights.length);
    const spare = fragment.height - sum(heights.slice(from, to)) - spacing.y * (to - from - 1);
    shareOut(heights, grid.rows, { from, to, spare }, { kind: 'span' });
  }
  return { heights: heights.map(snap), fragments, baselines };
}

const NO_FRAME: Frame = {
  border: { top: 0, right: 0, bottom: 0, left: 0 },
  padding: { top: 0, right: 0, bottom: 0, left: 0 },
};
const alignsBaseline = (cell: Cell): boolean =>
  cell.box.anonymous || !['top', 'middle', 'bottom'].includes(String(cell.box.style.verticalAlign));

/** A table taller than its rows gives them the rest. */
function growRows(
  heights: number[],
  grid: TableGrid,
  gap: number,
  specified: number | null,
  box: Box,
  frame: Frame,
  space: Space,
): void {
  const natural = sum(heights) + (heights.length > 0 ? gap * (heights.length + 1) : 0) + frameHeight(frame);
  const wanted = box.anonymous
    ? natural
    : Math.max(natural, clampHeight(box, specified ?? natural, space.height, frame));
  const spare = wanted - natural;
  if (spare <= 0 || heights.length === 0) return;
  const basis = specified === null ? NaN : specified - frameHeight(frame) - gap * (heights.length + 1);
  const { from, to } = bodyRows(grid);
  shareOut(heights, grid.rows, { from, to, spare }, { kind: 'table', basis });
}

/** Rows of the table's bodies, which take the room of a taller table where there are any. @spec css-tables-3 §3.10.2 */
function bodyRows({ rows }: TableGrid): { from: number; to: number } {
  const isBody = ({ group }: TableGrid['rows'][number]) => group.anonymous || group.style.display === 'table-row-group';
  const from = rows.findIndex(isBody);
  return from < 0 ? { from: 0, to: rows.length } : { from, to: rows.findLastIndex(isBody) + 1 };
}
