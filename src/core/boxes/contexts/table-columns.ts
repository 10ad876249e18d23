import { hasPercent, isLengthPercentage, type LengthPercentage } from '../../css/index.js';
import { isCaption, type Box } from '../box.js';
import type { Intrinsic, Layout } from '../layout.js';
import { usedBorder, usedPadding } from '../used/edges.js';
import { frameWidth, widthFor, type Frame } from '../used/sizes.js';
import { hasFixedLayout, tableGrid, type Cell, type TableGrid } from './table-grid.js';

interface Columns {
  readonly min: number[];
  readonly max: number[];
  /** Widths asked for, px. */
  readonly fixed: (number | null)[];
  readonly percent: (number | null)[];
  /** Border and padding a percentage leaves out, px. */
  readonly edges: number[];
}

export const spacingOf = (box: Box): { x: number; y: number } => {
  if (box.style.borderCollapse === 'collapse') return { x: 0, y: 0 };
  const [x, y] = box.style.borderSpacing;
  return { x: x.px, y: y.px };
};

/** The width a cell asks for; sums of lengths and percentages say nothing. @spec css-tables-3 §3.7.1 */
function widthOfCell({ box }: Cell): Box['style']['width'] {
  const { width } = box.style;
  if (box.anonymous || typeof width === 'string' || !isLengthPercentage(width)) return 'auto';
  return width.curve || (width.percent !== 0 && width.px !== 0) ? 'auto' : width;
}

/** Widths a cell asks of its columns: its content decides the least, a fixed width only the rest. @spec css-tables-3 §3.8.1 */
function cellSizes(cell: Cell, layout: Layout): Intrinsic {
  const { box } = cell;
  if (box.anonymous) return layout.contribution(box);
  const frame: Frame = { border: usedBorder(box), padding: usedPadding(box, 0) };
  const intrinsic = layout.intrinsic(box);
  const extra = frameWidth(frame);
  const { style } = box;
  const read = (value: typeof style.width) => widthFor(box, value, NaN, NaN, frame, () => intrinsic);
  const low = read(style.minWidth) ?? 0;
  const high = read(style.maxWidth) ?? Infinity;
  const min = Math.max(low, Math.min(high, intrinsic.min + extra));
  // Words such as min-content say nothing of a cell.
  const width = widthOfCell(cell);
  const asked = isLengthPercentage(width) ? read(width) : null;
  return { min, max: Math.max(min, Math.min(high, asked ?? intrinsic.max + extra)) };
}

/** Column widths the cells of a table ask for. @spec css-tables-3 §3.8 */
export const columnsOf = (table: Box, layout: Layout): Columns =>
  layout.recall(
    table,
    'columns',
    () => measureColumns(tableGrid(table), hasFixedLayout(table), spacingOf(table).x, layout),
    (found) => found,
  );

/** The length or percentage a cell asks for, and whether it fixes its column: others widen it only as far as they must. */
function requestOf(cell: Cell): { readonly width: LengthPercentage | null; readonly fixes: boolean } {
  const asked = widthOfCell(cell);
  const width = isLengthPercentage(asked) ? asked : null;
  return { width, fixes: width?.percent === 0 };
}

function measureColumns(grid: TableGrid, fixedLayout: boolean, spacing: number, layout: Layout): Columns {
  const zeros = () => new Array<number>(grid.columns).fill(0);
  const nothing = () => new Array<number | null>(grid.columns).fill(null);
  const columns: Columns = { min: zeros(), max: zeros(), fixed: nothing(), percent: nothing(), edges: zeros() };
  grid.columnBoxes.forEach((box, i) => {
    const width = box?.style.width;
    if (width === undefined || typeof width === 'string' || !isLengthPercentage(width)) return;
    if (width.percent > 0) columns.percent[i] = width.percent;
    else columns.fixed[i] = columns.max[i] = width.px;
  });
  const cells = grid.rows.slice(0, fixedLayout ? 1 : undefined).flatMap((row) => row.cells);
  for (const cell of cells.filter((c) => !c.wide)) {
    const i = cell.column;
    const size = cellSizes(cell, layout);
    columns.min[i] = Math.max(columns.min[i]!, size.min);
    const known = columns.fixed[i]!;
    const { width, fixes } = requestOf(cell);
    if (fixes && known === null) columns.max[i] = Math.max(size.max, columns.min[i]!);
    else columns.max[i] = Math.max(columns.max[i]!, known !== null && !fixes ? size.min : size.max);
    if (!width) {
      if (known !== null && !fixedLayout) columns.fixed[i] = columns.max[i]!;
      continue;
    }
    if (width.percent > 0) {
      columns.percent[i] = Math.max(columns.percent[i] ?? 0, width.percent);
      if (fixedLayout) columns.edges[i] = Math.max(columns.edges[i]!, outerWidthOf(cell, 0));
    } else columns.fixed[i] = fixedLayout ? Math.max(known ?? 0, outerWidthOf(cell, width.px)) : columns.max[i]!;
  }
  const spanning = cells.filter((c) => c.wide).sort((a, b) => a.columnSpan - b.columnSpan);
  for (const cell of spanning)
    if (fixedLayout) shareFixed(cell, columns, spacing);
    else spread(cell, columns, spacing, layout);
  if (!fixedLayout) limitPercents(columns.percent);
  return columns;
}

/** Together columns have no more than all of the width. */
function limitPercents(percent: (number | null)[]): void {
  let left = 100;
  percent.forEach((value, i) => {
    if (value === null) return;
    percent[i] = Math.min(value, left);
    left -= percent[i]!;
  });
}

const outerWidthOf = ({ box }: Cell, width: number): number =>
  box.style.boxSizing === 'border-box'
    ? width
    : width + frameWidth({ border: usedBorder(box), padding: usedPadding(box, 0) });

/** Under fixed layout a spanning cell of the first row gives each of its columns an equal part. */
function shareFixed(cell: Cell, columns: Columns, spacing: number): void {
  const { width } = requestOf(cell);
  if (!width) return;
  const n = cell.columnSpan;
  for (let i = cell.column; i < cell.column + n; i++) {
    if (columns.fixed[i] !== null || columns.percent[i] !== null) continue;
    if (width.percent > 0) columns.percent[i] = width.percent / n;
    else columns.fixed[i] = Math.max(0, (outerWidthOf(cell, width.px) - spacing * (n - 1)) / n);
  }
}

/**
 * A spanning cell shares what it asks out to its columns as a table shares its width.
 * @spec css-tables-3 §3.8.3 (as browsers have it)
 */
function spread(cell: Cell, columns: Columns, spacing: number, layout: Layout): void {
  const from = cell.column;
  const to = Math.min(from + cell.columnSpan, columns.min.length);
  const size = cellSizes(cell, layout);
  const gaps = spacing * (to - from - 1);
  const { width, fixes } = requestOf(cell);
  if (width && width.percent > 0) spreadPercent(width.percent, columns, from, to);
  for (const key of ['min', 'max'] as const) {
    const list = columns[key].slice(from, to);
    const target = size[key] - gaps;
    if (target <= sum(list)) continue;
    const part: Columns = {
      min: columns.min.slice(from, to),
      max: columns.max.slice(from, to),
      fixed: columns.fixed.slice(from, to),
      percent: columns.percent.slice(from, to),
      edges: columns.edges.slice(from, to),
    };
    automaticWidths(part, target).forEach((w, i) => {
      // Columns that a cell of their own fixes grow no further than they must.
      if (key !== 'min' && !fixes && part.fixed[i] !== null) return;
      columns[key][from + i] = Math.max(list[i]!, w);
      if (key === 'max' && part.fixed[i] !== null) columns.fixed[from + i] = Math.max(part.fixed[i]!, w);
    });
  }
}

/** A percentage beyond those of its columns goes to the ones that have none. */
function spreadPercent(percent: number, { percent: known, max }: Columns, from: number, to: number): void {
  const indexes = Array.from({ length: to - from }, (_, i) => from + i);
  const bare = indexes.filter((i) => known[i] === null);
  const surplus = percent - sum(indexes.map((i) => known[i] ?? 0));
  if (surplus <= 0 || bare.length === 0) return;
  const total = sum(bare.map((i) => max[i]!));
  for (const i of bare) known[i] = total > 0 ? (surplus * max[i]!) / total : surplus / bare.length;
}

export const sum = (list: readonly number[]): number => list.reduce((a, b) => a + b, 0);

/** Whether a table asks for the room its percentages need: not where boxes around it are sized by what they hold. */
function scalesByPercent(box: Box): boolean {
  for (let at = box.parent; at; at = at.parent)
    if (at.inner === 'flex' || at.inner === 'grid' || isCell(at)) return false;
  return true;
}

const isCell = (box: Box): boolean => box.outer === 'table-part' && box.inner === 'flow' && !isCaption(box);

const asksPercent = ({ style: { width } }: Box): boolean =>
  typeof width !== 'string' && isLengthPercentage(width) && hasPercent(width);

/** @param scaled whether the widest is one at which all columns have their percentages */
export function tableIntrinsic(box: Box, layout: Layout, scaled = scalesByPercent(box)): Intrinsic {
  const grid = tableGrid(box);
  const spacing = spacingOf(box).x;
  const columns = columnsOf(box, layout);
  const gaps = grid.columns > 0 ? spacing * (grid.columns + 1) : 0;
  // Captions stand outside the borders of the table.
  const around = frameWidth({ border: usedBorder(box), padding: usedPadding(box, 0) });
  const captions = Math.max(0, ...grid.captions.map((c) => layout.contribution(c).min - around));
  const max = columns.max.map((value, i) => Math.max(value, columns.fixed[i] ?? 0));
  if (hasFixedLayout(box)) {
    // Such a table is never narrower than what its first row fixes, whatever else it holds.
    const kept = Math.max(captions, sum(columns.fixed.map((w) => w ?? 0)) + gaps);
    return { min: kept, max: asksPercent(box) && grid.columns > 0 ? WIDEST : kept };
  }
  const byPercent = scaled ? Math.min(widestByPercent(max, columns.percent), WIDEST) : 0;
  const widest = Math.max(sum(max), byPercent);
  return {
    min: Math.max(sum(columns.min) + gaps, captions),
    max: Math.max(widest + gaps, captions),
  };
}

const WIDEST = 1e6;

/** How wide a table has to be for every column to have its percentage and its content on one line. @spec css-tables-3 §3.8.1 */
function widestByPercent(max: readonly number[], percent: Columns['percent']): number {
  const byContent = Math.max(
    0,
    ...max.map((value, i) => (percent[i] === null || value === 0 ? 0 : (value * 100) / percent[i]!)),
  );
  const asked = Math.min(100, sum(percent.map((p) => p ?? 0)));
  const others = sum(max.filter((_, i) => percent[i] === null));
  if (asked === 0 || others === 0) return byContent;
  return Math.max(byContent, asked === 100 ? WIDEST : (others * 100) / (100 - asked));
}

/** Distributes a table's width over its columns. @spec css-tables-3 §3.9, css2 §17.5.2 */
export function columnWidths(columns: Columns, available: number, fixedLayout: boolean): number[] {
  return fixedLayout ? fixedWidths(columns, available) : automaticWidths(columns, available);
}

/** @spec css2 §17.5.2.1 */
function fixedWidths({ min, percent, fixed, edges }: Columns, available: number): number[] {
  const share = (i: number) => (available * percent[i]!) / 100 + edges[i]!;
  const widths = min.map((_, i) => (percent[i] !== null ? share(i) : (fixed[i] ?? 0)));
  const asked = sum(widths);
  const spare = available - asked;
  const held = (i: number) => percent[i] === null;
  if (spare <= 0) {
    // Percentages give way to what is fixed.
    const rest = Math.max(0, available - sum(widths.filter((_, i) => held(i))));
    const shares = sum(widths.filter((_, i) => !held(i)));
    return widths.map((w, i) => (held(i) || shares === 0 ? w : (w * rest) / shares));
  }
  const autos = widths.flatMap((_, i) => (percent[i] === null && fixed[i] === null ? [i] : []));
  if (autos.length > 0) for (const i of autos) widths[i] = widths[i]! + spare / autos.length;
  else {
    const some = widths.some((w, i) => held(i) && w > 0);
    const grows = (i: number) => !some || held(i);
    const total = sum(widths.filter((_, i) => grows(i)));
    widths.forEach((w, i) => {
      if (grows(i)) widths[i] = w + (total > 0 ? (spare * w) / total : spare / widths.length);
    });
  }
  return widths;
}

/** Between two of four guesses: minimum, with percentages, with fixed widths, with all content on one line. */
function automaticWidths(columns: Columns, available: number): number[] {
  const { min, max, percent, fixed } = columns;
  const share = (i: number) => Math.max(min[i]!, (available * percent[i]!) / 100);
  const widest = (i: number) => Math.max(min[i]!, max[i]!, fixed[i] ?? 0);
  const guesses = [
    min.map((w) => w),
    min.map((w, i) => (percent[i] !== null ? share(i) : w)),
    min.map((w, i) => (percent[i] !== null ? share(i) : fixed[i] !== null ? Math.max(w, fixed[i]!) : w)),
    min.map((_, i) => (percent[i] !== null ? share(i) : widest(i))),
  ];
  if (available <= sum(guesses[0]!)) return guesses[0]!;
  for (let k = 1; k < guesses.length; k++) {
    const [low, high] = [guesses[k - 1]!, guesses[k]!];
    const [from, to] = [sum(low), sum(high)];
    if (available > to) continue;
    const part = to > from ? (available - from) / (to - from) : 0;
    return low.map((w, i) => w + (high[i]! - w) * part);
  }
  return withSpare(columns, guesses[3]!, available - sum(guesses[3]!));
}

/** Room beyond all content goes first to columns nothing constrains. @spec css-tables-3 §3.9.1 */
function withSpare({ max, percent, fixed }: Columns, widths: number[], spare: number): number[] {
  const all = widths.map((_, i) => i);
  const free = all.filter((i) => percent[i] === null && fixed[i] === null);
  const groups: readonly (readonly [readonly number[], (i: number) => number])[] = [
    [free.filter((i) => max[i]! > 0), (i) => max[i]!],
    [free, () => 1],
    [all.filter((i) => percent[i] === null && widths[i]! > 0), (i) => widths[i]!],
    [all.filter((i) => (percent[i] ?? 0) > 0), (i) => percent[i]!],
    [all, () => 1],
  ];
  const [targets, weight] = groups.find(([list]) => list.length > 0) ?? [[], () => 1];
  const total = sum(targets.map(weight));
  const out = [...widths];
  for (const i of targets) out[i] = out[i]! + (spare * weight(i)) / total;
  return out;
}
