import type { Box } from '../box.js';
import type { Fragment } from '../fragment.js';
import type { Layout, Space } from '../layout.js';
import { frameHeight, heightFor, type Frame } from '../used/sizes.js';
import { frameOf } from './flow-sizes.js';
import type { Cell } from './table-grid.js';

export interface RowLayout {
  readonly heights: number[];
  /** Heights of groups without rows. */
  readonly bare: Map<Box, number>;
  readonly fragments: Map<Cell, Fragment>;
  /** Null where no cell of the row is aligned by its baseline. */
  readonly baselines: (number | null)[];
}

/** Border-box height the sheet gives to a cell, which its content may exceed; null without a length. @spec css2 §17.5.3, quirks §3.7 */
export function askedHeight(box: Box, { quirks }: Pick<Layout, 'quirks'>): number | null {
  if (box.anonymous) return null;
  const frame = frameOf(box, 0);
  const height = heightFor(box, box.style.height, NaN, frame);
  return height !== null && quirks && box.style.boxSizing !== 'border-box' ? height - frameHeight(frame) : height;
}

export const tableHeight = (box: Box, space: Space, frame: Frame): number | null =>
  box.anonymous || space.byContent === 'height' ? null : heightFor(box, box.style.height, space.height, frame);

/** Columns as they are laid out; hidden ones have neither width nor gap. */
export interface ColumnLayout {
  readonly widths: readonly number[];
  readonly hidden: readonly boolean[];
}

export function offsets(
  sizes: readonly number[],
  gap: number,
  mirror: number | null,
  hidden: readonly boolean[],
): number[] {
  let end: number | null = null;
  return sizes.map((size, i) => {
    const start = hidden[i] ? (end ?? gap) : (end ?? 0) + gap;
    if (!hidden[i]) end = start + size;
    return mirror === null ? start : mirror - start - size;
  });
}

export function cellWidth(cell: Cell, { widths, hidden }: ColumnLayout, gap: number): number {
  let [width, any] = [0, false];
  for (let i = cell.column; i < cell.column + cell.columnSpan; i++) {
    if (hidden[i] || i >= widths.length) continue;
    width += widths[i]! + (any ? gap : 0);
    any = true;
  }
  return width;
}

/** What a cell stands on: its first line, or the lower edge of its content. @spec css2 §17.5.3 */
export const cellBaseline = ({ baseline, height, border, padding }: Fragment): number =>
  baseline ?? height - border.bottom - padding.bottom;

export const alignsBaseline = ({ box }: Cell): boolean =>
  box.anonymous || !['top', 'middle', 'bottom'].includes(String(box.style.verticalAlign));
