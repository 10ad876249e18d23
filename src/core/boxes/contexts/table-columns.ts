import { isLengthPercentage, type LengthPercentage } from '../../css/index.js';
import type { Box } from '../box.js';
import type { Intrinsic, Layout } from '../layout.js';
import { usedBorder, usedPadding } from '../used/edges.js';
import { frameWidth, widthFor, type Frame } from '../used/sizes.js';
import { automaticWidths, sum, type Column } from './table-distribute.js';
import { hasFixedLayout, tableGrid, type Cell, type TableGrid } from './table-grid.js';

export const spacingOf = (box: Box): { x: number; y: number } => {
  if (box.style.borderCollapse === 'collapse') return { x: 0, y: 0 };
  const [x, y] = box.style.borderSpacing;
  return { x: x.px, y: y.px };
};

/** Column widths the cells of a table ask for. @spec css-tables-3 §3.8 */
export const columnsOf = (table: Box, layout: Layout): readonly Column[] =>
  layout.recall(
    table,
    'columns',
    () => measureColumns(tableGrid(table), hasFixedLayout(table), spacingOf(table).x, layout),
    (found) => found,
  );

/** The width a cell asks for; sums of lengths and percentages say nothing. @spec css-tables-3 §3.7.1 */
function widthOfCell({ box }: Cell): LengthPercentage | null {
  return box.anonymous ? null : simpleWidth(box);
}

/** A width that is a length or a percentage; null for words and sums of both. */
function simpleWidth({ style: { width } }: Box): LengthPercentage | null {
  if (typeof width === 'string' || !isLengthPercentage(width)) return null;
  return width.curve || (width.percent !== 0 && width.px !== 0) ? null : width;
}

/** What a cell asks of its columns. */
interface Request extends Intrinsic {
  readonly constrained: boolean;
  readonly percent: number | null;
  readonly edges: number;
}

const frameAtZero = (box: Box): Frame => ({ border: usedBorder(box), padding: usedPadding(box, 0) });

/** Content decides the least, a fixed width only the rest. @spec css-tables-3 §3.8.1 */
function requestOf(cell: Cell, fixedLayout: boolean, layout: Layout): Request {
  const { box } = cell;
  const none = { constrained: false, percent: null, edges: 0 };
  if (box.anonymous) return { ...layout.contribution(box), ...none };
  const frame = frameAtZero(box);
  const extra = frameWidth(frame);
  const intrinsic = layout.intrinsic(box);
  const { style } = box;
  const read = (value: typeof style.width) => widthFor(box, value, NaN, NaN, frame, () => intrinsic);
  const low = read(style.minWidth) ?? 0;
  const high = read(style.maxWidth) ?? Infinity;
  // Under fixed layout content makes no column wider.
  const least = fixedLayout ? extra : intrinsic.min + extra;
  const min = Math.max(low, Math.min(high, least));
  // Words such as min-content say nothing of a cell.
  const width = widthOfCell(cell);
  const asked = width && read(width);
  const max = Math.max(min, Math.min(high, asked ?? intrinsic.max + extra));
  if (width && width.percent > 0)
    return { min, max, constrained: false, percent: width.percent, edges: fixedLayout ? edgesOf(box, extra) : 0 };
  return { min, max, ...none, constrained: width !== null };
}

const edgesOf = ({ style }: Box, extra: number): number => (style.boxSizing === 'border-box' ? 0 : extra);

/** The width of a column: where it has none, that of its group, but not under fixed layout. @spec css-tables-3 §3.8 (as browsers have it) */
function widthOfColumn(box: Box, fixedLayout: boolean): LengthPercentage | null {
  const asked = simpleWidth(box);
  const own = asked?.zeroPercent ? null : asked;
  if (own || fixedLayout || box.parent?.inner !== 'column-group') return own;
  const width = simpleWidth(box.parent);
  return width?.percent === 0 ? width : null;
}

/** What the sheet says of a column, before any cell. */
function columnFrom(box: Box | undefined, fixedLayout: boolean): Column {
  const column: Column = { min: 0, max: 0, constrained: false, percent: null, edges: 0 };
  if (!box) return column;
  const { minWidth } = box.style;
  const width = widthOfColumn(box, fixedLayout);
  if (isLengthPercentage(minWidth) && minWidth.percent === 0) column.min = column.max = minWidth.px;
  if (!width) return column;
  if (width.percent > 0) column.percent = width.percent;
  else {
    column.constrained = true;
    column.max = Math.max(column.min, width.px);
  }
  return column;
}

function measureColumns(grid: TableGrid, fixedLayout: boolean, spacing: number, layout: Layout): Column[] {
  const columns = Array.from({ length: grid.columns }, (_, i) => columnFrom(grid.columnBoxes[i], fixedLayout));
  const cells = grid.rows.slice(0, fixedLayout ? 1 : undefined).flatMap((row) => row.cells);
  const asking = cells.map((cell) => ({ cell, request: requestOf(cell, fixedLayout, layout) }));
  // Those of one column together, before what the sheet says of the column.
  const own = new Map<number, Request>();
  for (const { cell, request } of asking) {
    if (cell.span > 1) continue;
    const known = own.get(cell.column);
    own.set(cell.column, known ? together(known, request) : request);
  }
  for (const [i, request] of own) take(columns[i]!, request, fixedLayout);
  const wide = asking
    .filter(({ cell }) => cell.span > 1)
    .sort((a, b) => a.cell.span - b.cell.span || a.cell.column - b.cell.column);
  for (const { cell, request } of wide) {
    const spanned = columns.slice(cell.column, cell.column + cell.columnSpan);
    if (fixedLayout) shareFixed(request, spanned, cell.columnSpan, spacing);
    else spread(request, spanned, spacing);
  }
  if (!fixedLayout) limitPercents(columns);
  return columns;
}

function together(a: Request, b: Request): Request {
  const larger = (b.percent ?? -1) > (a.percent ?? -1) ? b : a;
  // A cell that fixes the column is not widened by the longest line of others.
  const max =
    a.constrained === b.constrained
      ? Math.max(a.max, b.max)
      : a.constrained
        ? Math.max(a.max, b.min)
        : Math.max(a.min, b.max);
  return {
    min: Math.max(a.min, b.min),
    max: Math.max(max, a.min, b.min),
    constrained: a.constrained || b.constrained,
    percent: larger.percent,
    edges: larger.edges,
  };
}

function take(column: Column, request: Request, fixedLayout: boolean): void {
  // Under fixed layout what the sheet says of the column goes before what cells say.
  if (fixedLayout && column.constrained) return;
  const max = column.constrained && !request.constrained ? request.min : request.max;
  column.min = Math.max(column.min, request.min);
  column.max = Math.max(column.max, max, column.min);
  column.constrained ||= request.constrained;
  if ((request.percent ?? 0) > (column.percent ?? 0)) {
    column.percent = request.percent;
    column.edges = request.edges;
  }
}

/** Together columns have no more than all of the width. */
function limitPercents(columns: readonly Column[]): void {
  let left = 100;
  for (const column of columns) {
    if (column.percent === null) continue;
    column.percent = Math.min(column.percent, left);
    left -= column.percent;
  }
}

/** Under fixed layout a spanning cell of the first row gives each of its columns an equal part. */
function shareFixed(request: Request, columns: readonly Column[], n: number, spacing: number): void {
  for (const column of columns) {
    if (column.constrained || column.percent !== null) continue;
    if (request.percent !== null) {
      column.percent = request.percent / n;
      continue;
    }
    const part = (width: number) => Math.max(0, (width - spacing * (n - 1)) / n);
    column.max = Math.max(column.max, part(request.max));
    column.constrained = request.constrained;
  }
}

/**
 * A spanning cell shares what it asks out to its columns as a table shares its width.
 * @spec css-tables-3 §3.8.3 (as browsers have it)
 */
function spread(request: Request, columns: readonly Column[], spacing: number): void {
  const gaps = spacing * (columns.length - 1);
  if (request.percent !== null) spreadPercent(request.percent, columns);
  automaticWidths(columns, request.min - gaps).forEach((w, i) => {
    const column = columns[i]!;
    column.min = Math.max(column.min, w);
    column.max = Math.max(column.max, column.min);
  });
  automaticWidths(columns, request.max - gaps, request.constrained).forEach((w, i) => {
    columns[i]!.max = Math.max(columns[i]!.max, w);
  });
}

/** A percentage beyond those of its columns goes to the ones that have none. */
function spreadPercent(percent: number, columns: readonly Column[]): void {
  const bare = columns.filter((column) => column.percent === null);
  const surplus = percent - sum(columns.map((column) => column.percent ?? 0));
  if (surplus <= 0 || bare.length === 0) return;
  const all = sum(bare.map(({ max }) => max));
  for (const column of bare) column.percent = all > 0 ? (surplus * column.max) / all : surplus / bare.length;
}
