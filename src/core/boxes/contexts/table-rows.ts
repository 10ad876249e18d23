import type { Box } from '../box.js';
import type { Fragment } from '../fragment.js';
import type { Space } from '../layout.js';
import { heightFor, type Frame } from '../used/sizes.js';
import type { Cell } from './table-grid.js';
import { sum } from './table-columns.js';

export interface RowLayout {
  readonly heights: number[];
  readonly fragments: Map<Cell, Fragment>;
  /** Null where no cell of the row is aligned by its baseline. */
  readonly baselines: (number | null)[];
}

export const tableHeight = (box: Box, space: Space, frame: Frame): number | null =>
  box.anonymous || space.byContent === 'height' ? null : heightFor(box, box.style.height, space.height, frame);

export function offsets(sizes: readonly number[], gap: number, mirror: number | null): number[] {
  let at = gap;
  return sizes.map((size) => {
    const start = at;
    at += size + gap;
    return mirror === null ? start : mirror - start - size;
  });
}

export function cellWidth(cell: Cell, widths: readonly number[], gap: number): number {
  const own = widths.slice(cell.column, cell.column + cell.columnSpan);
  return sum(own) + gap * (own.length - 1);
}
