import type { Box } from '../box.js';
import { makeFragment, type Placed } from '../fragment.js';
import type { TableGrid } from './table-grid.js';
import type { RowLayout } from './table-rows.js';

interface Columns {
  readonly grid: TableGrid;
  readonly widths: readonly number[];
  readonly hidden: readonly boolean[];
  readonly lefts: readonly number[];
  readonly tops: readonly number[];
  readonly rows: RowLayout;
}

interface Point {
  readonly x: number;
  readonly y: number;
}

/** Left and right ends in the grid box, px. */
interface Extent {
  readonly from: number;
  readonly to: number;
}

/** Columns and their groups cover the slots of all rows. @param inner corner of the grid box @spec css-tables-3 §3.6 */
export function placeColumns(columns: Columns, inner: Point): Placed[] {
  const { grid, tops, rows } = columns;
  const last = rows.heights.length - 1;
  const height = last < 0 ? 0 : tops[last]! + rows.heights[last]! - tops[0]!;
  const seen = new Set<Box>();
  const out: Placed[] = [];
  for (const box of [...grid.columnBoxes, ...grid.absent.keys()]) {
    const top = box && (box.parent?.inner === 'column-group' ? box.parent : box);
    if (!top || seen.has(top)) continue;
    seen.add(top);
    const own = extentOf(top, columns);
    const children = top.children
      .filter(({ inner: kind }) => kind === 'column')
      .map((child): Placed => {
        const extent = extentOf(child, columns) ?? gapFor(child, own?.from ?? 0, columns);
        return { fragment: covering(child, extent, height), x: extent.from - (own?.from ?? 0), y: 0 };
      });
    const extent = own ?? gapFor(top, 0, columns);
    const shown = covering(top, extent, height);
    // What covers nothing stays at the top of the table.
    const y = shown.height > 0 ? inner.y + tops[0]! : 0;
    out.push({ fragment: makeFragment({ ...shown, children }), x: inner.x + extent.from, y });
  }
  return out;
}

const covering = (box: Box, { from, to }: Extent, height: number) =>
  makeFragment({ box, width: to - from, height: to > from ? height : 0 });

/** What the columns of a box cover; null where it has none. */
function extentOf(box: Box, { grid, widths, hidden, lefts }: Columns): Extent | null {
  const own = grid.columnBoxes.flatMap((b, i) => (b && (b === box || b.parent === box) ? [i] : []));
  if (own.length === 0) return null;
  const shown = own.filter((i) => !hidden[i]);
  const counted = shown.length > 0 ? shown : own.slice(0, 1);
  return {
    from: Math.min(...counted.map((i) => lefts[i]!)),
    to: Math.max(...counted.map((i) => lefts[i]! + widths[i]!)),
  };
}

/** A box that is no column of its own stands at the end of the one before it; behind all cells, where its group begins. */
function gapFor(box: Box, start: number, { grid, widths, lefts }: Columns): Extent {
  const before = grid.absent.get(box) ?? null;
  const at = before === null || before === 0 ? start : lefts[before - 1]! + widths[before - 1]!;
  return { from: at, to: at };
}
