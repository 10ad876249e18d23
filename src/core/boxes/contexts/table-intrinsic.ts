import { hasPercent, isLengthPercentage } from '../../css/index.js';
import { isCaption, type Box } from '../box.js';
import type { Intrinsic, Layout } from '../layout.js';
import { usedBorder, usedPadding } from '../used/edges.js';
import { frameWidth } from '../used/sizes.js';
import { columnsOf, spacingOf } from './table-columns.js';
import { sum, type Column } from './table-distribute.js';
import { hasFixedLayout, tableGrid } from './table-grid.js';

const WIDEST = 1e6;

/** Whether a table asks for the room its percentages need: not where boxes around it are sized by what they hold. */
function scalesByPercent(box: Box): boolean {
  for (let at = box.parent; at; at = at.parent)
    if (at.inner === 'flex' || at.inner === 'grid' || isCell(at)) return false;
  return true;
}

const isCell = (box: Box): boolean => box.outer === 'table-part' && box.inner === 'flow' && !isCaption(box);

const asksPercent = ({ style: { width } }: Box): boolean =>
  typeof width !== 'string' && isLengthPercentage(width) && hasPercent(width);

/** The least a column takes: where the first row decides, all that is fixed. */
export const leastOf = (column: Column, fixedLayout: boolean): number =>
  !fixedLayout ? column.min : column.constrained && column.percent === null ? column.max : 0;

/** @param scaled whether the widest is one at which all columns have their percentages */
export function tableIntrinsic(box: Box, layout: Layout, scaled = scalesByPercent(box)): Intrinsic {
  const grid = tableGrid(box);
  const fixedLayout = hasFixedLayout(box);
  const columns = columnsOf(box, layout);
  const gaps = grid.columns > 0 ? spacingOf(box).x * (grid.columns + 1) : 0;
  // Captions stand outside the borders of the table.
  const around = frameWidth({ border: usedBorder(box), padding: usedPadding(box, 0) });
  const captions = Math.max(0, ...grid.captions.map((c) => layout.contribution(c).min - around));
  const min = Math.max(sum(columns.map((column) => leastOf(column, fixedLayout))) + gaps, captions);
  if (fixedLayout && asksPercent(box) && grid.columns > 0) return { min, max: WIDEST };
  const byPercent = scaled && box.style.width !== 'max-content' ? Math.min(widestByPercent(columns), WIDEST) : 0;
  const widest = Math.max(sum(columns.map(({ max }) => max)), byPercent);
  return { min, max: Math.max(min, widest + gaps) };
}

/** How wide a table has to be for every column to have its percentage and its content on one line. @spec css-tables-3 §3.8.1 */
function widestByPercent(columns: readonly Column[]): number {
  const asking = columns.filter(({ percent }) => percent !== null && percent > 0);
  if (asking.length === 0) return 0;
  const byContent = Math.max(...asking.map(({ max, percent, edges }) => ((max - edges) * 100) / percent!));
  const asked = Math.min(100, sum(asking.map(({ percent }) => percent!)));
  const others = sum(columns.filter((column) => !asking.includes(column)).map(({ max }) => max));
  if (others === 0) return byContent;
  return Math.max(byContent, asked === 100 ? WIDEST : (others * 100) / (100 - asked));
}
