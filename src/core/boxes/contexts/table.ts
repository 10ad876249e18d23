import { isLengthPercentage } from '../../css/index.js';
import type { Box } from '../box.js';
import {
  carriedFrom,
  makeFragment,
  snap,
  vertical,
  type Edges,
  type Fragment,
  type OutOfFlow,
  type Placed,
} from '../fragment.js';
import type { Intrinsic, Layout, Space } from '../layout.js';
import { usedBorder, usedMargins, usedPadding } from '../used/edges.js';
import { relativeOffset } from '../used/relative.js';
import { clampHeight, frameHeight, frameWidth, heightFor, widthFor, type Frame } from '../used/sizes.js';
import { adoptOutOfFlow } from './positioned.js';
import { tableGrid, type Cell, type TableGrid } from './table-grid.js';

interface Columns {
  readonly min: number[];
  readonly max: number[];
  /** Widths asked for, px. */
  readonly fixed: (number | null)[];
  readonly percent: (number | null)[];
}

const spacingOf = (box: Box): { x: number; y: number } => {
  if (box.style.borderCollapse === 'collapse') return { x: 0, y: 0 };
  const [x, y] = box.style.borderSpacing;
  return { x: x.px, y: y.px };
};

const widthOfCell = (cell: Cell) => (cell.box.anonymous ? 'auto' : cell.box.style.width);

/** Widths a cell asks of its columns: its content decides the least, a fixed width only the rest. @spec css-tables-3 §3.8.1 */
function cellSizes({ box }: Cell, layout: Layout): Intrinsic {
  if (box.anonymous) return layout.contribution(box);
  const frame: Frame = { border: usedBorder(box), padding: usedPadding(box, 0) };
  const intrinsic = layout.intrinsic(box);
  const extra = frameWidth(frame);
  const { style } = box;
  const read = (value: typeof style.width) => widthFor(box, value, NaN, NaN, frame, () => intrinsic);
  const low = read(style.minWidth) ?? 0;
  const high = read(style.maxWidth) ?? Infinity;
  const min = Math.max(low, intrinsic.min + extra);
  const asked = read(style.width);
  return { min, max: Math.max(min, Math.min(high, asked ?? intrinsic.max + extra)) };
}

/** Column widths the cells ask for. @spec css-tables-3 §3.8 */
function measureColumns(grid: TableGrid, fixedLayout: boolean, spacing: number, layout: Layout): Columns {
  const zeros = () => new Array<number>(grid.columns).fill(0);
  const nothing = () => new Array<number | null>(grid.columns).fill(null);
  const columns: Columns = { min: zeros(), max: zeros(), fixed: nothing(), percent: nothing() };
  grid.columnBoxes.forEach((box, i) => {
    const width = box?.style.width;
    if (width === undefined || typeof width === 'string' || !isLengthPercentage(width)) return;
    if (width.percent > 0) columns.percent[i] = width.percent;
    else columns.fixed[i] = width.px;
  });
  const cells = grid.rows.slice(0, fixedLayout ? 1 : undefined).flatMap((row) => row.cells);
  for (const cell of cells.filter((c) => c.columnSpan === 1)) {
    const i = cell.column;
    const size = cellSizes(cell, layout);
    columns.min[i] = Math.max(columns.min[i]!, size.min);
    columns.max[i] = Math.max(columns.max[i]!, size.max);
    const width = widthOfCell(cell);
    if (typeof width === 'string' || !isLengthPercentage(width)) continue;
    if (width.percent > 0) columns.percent[i] = Math.max(columns.percent[i] ?? 0, width.percent);
    else columns.fixed[i] = Math.max(columns.fixed[i] ?? 0, fixedLayout ? outerWidthOf(cell, width.px) : size.max);
  }
  for (const cell of cells.filter((c) => c.columnSpan > 1))
    if (fixedLayout) shareFixed(cell, columns, spacing);
    else spread(cell, columns, spacing, layout);
  return columns;
}

const outerWidthOf = ({ box }: Cell, width: number): number =>
  box.style.boxSizing === 'border-box'
    ? width
    : width + frameWidth({ border: usedBorder(box), padding: usedPadding(box, 0) });

/** Under fixed layout a spanning cell of the first row gives each of its columns an equal part. */
function shareFixed(cell: Cell, columns: Columns, spacing: number): void {
  const width = widthOfCell(cell);
  if (typeof width === 'string' || !isLengthPercentage(width)) return;
  const n = cell.columnSpan;
  for (let i = cell.column; i < cell.column + n; i++) {
    if (columns.fixed[i] !== null || columns.percent[i] !== null) continue;
    if (width.percent > 0) columns.percent[i] = width.percent / n;
    else columns.fixed[i] = Math.max(0, (outerWidthOf(cell, width.px) - spacing * (n - 1)) / n);
  }
}

/** A spanning cell widens its columns in proportion to what they have. */
function spread(cell: Cell, columns: Columns, spacing: number, layout: Layout): void {
  const indexes = Array.from({ length: cell.columnSpan }, (_, i) => cell.column + i).filter(
    (i) => i < columns.min.length,
  );
  const size = cellSizes(cell, layout);
  for (const key of ['min', 'max'] as const) {
    const have = indexes.reduce((sum, i) => sum + columns[key][i]!, 0) + spacing * (indexes.length - 1);
    const extra = size[key] - have;
    if (extra <= 0) continue;
    const weights = indexes.map((i) => columns.max[i]! || 1);
    const total = weights.reduce((a, b) => a + b, 0);
    indexes.forEach((i, n) => (columns[key][i] = columns[key][i]! + (extra * weights[n]!) / total));
  }
}

const sum = (list: readonly number[]): number => list.reduce((a, b) => a + b, 0);

export function tableIntrinsic(box: Box, layout: Layout): Intrinsic {
  const grid = tableGrid(box);
  const spacing = spacingOf(box).x;
  const columns = measureColumns(grid, false, spacing, layout);
  const gaps = grid.columns > 0 ? spacing * (grid.columns + 1) : 0;
  // Captions stand outside the borders of the table.
  const around = frameWidth({ border: usedBorder(box), padding: usedPadding(box, 0) });
  const captions = Math.max(0, ...grid.captions.map((c) => layout.contribution(c).min - around));
  const max = columns.max.map((value, i) => Math.max(value, columns.fixed[i] ?? 0));
  const needed = Math.max(0, ...max.map((value, i) => (columns.percent[i] ? value / (columns.percent[i]! / 100) : 0)));
  return {
    min: Math.max(sum(columns.min) + gaps, captions),
    max: Math.max(sum(max) + gaps, captions, Math.min(needed + gaps, 1e6)),
  };
}

/** Distributes a table's width over its columns. @spec css-tables-3 §3.9, css2 §17.5.2 */
function columnWidths(columns: Columns, available: number, fixedLayout: boolean): number[] {
  return fixedLayout ? fixedWidths(columns, available) : automaticWidths(columns, available);
}

/** @spec css2 §17.5.2.1 */
function fixedWidths({ min, percent, fixed }: Columns, available: number): number[] {
  const widths = min.map((_, i) => (percent[i] !== null ? (available * percent[i]!) / 100 : (fixed[i] ?? 0)));
  const spare = available - sum(widths);
  if (spare <= 0) return widths;
  const autos = widths.flatMap((_, i) => (percent[i] === null && fixed[i] === null ? [i] : []));
  if (autos.length > 0) for (const i of autos) widths[i] = widths[i]! + spare / autos.length;
  else {
    const total = sum(widths);
    widths.forEach((w, i) => (widths[i] = w + (total > 0 ? (spare * w) / total : spare / widths.length)));
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

interface RowLayout {
  readonly heights: number[];
  readonly fragments: Map<Cell, Fragment>;
  /** Null where no cell of the row is aligned by its baseline. */
  readonly baselines: (number | null)[];
}

/**
 * Lays out a table: columns, rows, captions.
 * @spec css-tables-3 §3.10, css2 §17.5.3
 */
export function layoutTable(
  box: Box,
  width: number,
  frame: Frame,
  margin: Edges,
  space: Space,
  layout: Layout,
): Fragment {
  const grid = tableGrid(box);
  const spacing = spacingOf(box);
  const fixedLayout = !box.anonymous && box.style.tableLayout === 'fixed' && box.style.width !== 'auto';
  const columns = measureColumns(grid, fixedLayout, spacing.x, layout);
  const gaps = grid.columns > 0 ? spacing.x * (grid.columns + 1) : 0;
  const least = fixedLayout ? 0 : sum(columns.min) + gaps + frameWidth(frame);
  const outer = Math.max(width, least);
  const widths = columnWidths(columns, Math.max(0, outer - frameWidth(frame) - gaps), fixedLayout).map(snap);
  const lefts = offsets(widths, spacing.x, box.style.direction === 'rtl' ? outer - frameWidth(frame) : null);
  const rows = layoutRows(grid, widths, spacing, layout);
  const specified = space.fixedHeight ?? tableHeight(box, space, frame);
  growRows(rows.heights, grid, spacing.y, specified, box, frame, space);
  return assemble({ box, grid, frame, margin, outer, widths, lefts, spacing, rows, layout, space });
}

const tableHeight = (box: Box, space: Space, frame: Frame): number | null =>
  box.anonymous || space.byContent ? null : heightFor(box, box.style.height, space.height, frame);

function offsets(sizes: readonly number[], gap: number, mirror: number | null): number[] {
  let at = gap;
  return sizes.map((size) => {
    const start = at;
    at += size + gap;
    return mirror === null ? start : mirror - start - size;
  });
}

function cellWidth(cell: Cell, widths: readonly number[], gap: number): number {
  const own = widths.slice(cell.column, cell.column + cell.columnSpan);
  return sum(own) + gap * (own.length - 1);
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
        baselines[r] = Math.max(baselines[r] ?? 0, fragment.baseline);
        below = Math.max(below, fragment.height - fragment.baseline);
      }
    }
    heights[r] = Math.max(heights[r]!, (baselines[r] ?? 0) + below);
  });
  for (const [cell, fragment] of fragments) {
    if (cell.rowSpan === 1) continue;
    const spanned = heights.slice(cell.row, cell.row + cell.rowSpan);
    const extra = fragment.height - sum(spanned) - spacing.y * (spanned.length - 1);
    if (extra > 0) heights[cell.row + spanned.length - 1]! += extra;
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
  const extra = wanted - natural;
  if (extra <= 0 || heights.length === 0) return;
  const autos = grid.rows
    .map((row, i) => (row.box.anonymous || row.box.style.height === 'auto' ? i : -1))
    .filter((i) => i >= 0);
  const targets = autos.length > 0 ? autos : heights.map((_, i) => i);
  const total = sum(targets.map((i) => heights[i]!)) || targets.length;
  for (const i of targets) heights[i] = heights[i]! + (extra * (heights[i]! || 1)) / total;
}

interface Assembling {
  readonly box: Box;
  readonly grid: TableGrid;
  readonly frame: Frame;
  readonly margin: Edges;
  readonly outer: number;
  readonly widths: readonly number[];
  readonly lefts: readonly number[];
  readonly spacing: { readonly x: number; readonly y: number };
  readonly rows: RowLayout;
  readonly layout: Layout;
  readonly space: Space;
}

function assemble(a: Assembling): Fragment {
  const { box, grid, frame, margin, outer, spacing, rows, layout, space } = a;
  const children: Placed[] = [];
  const outOfFlow: OutOfFlow[] = [];
  const captions = grid.captions.map((caption) => ({
    caption,
    fragment: layout.place(caption, {
      width: outer,
      height: NaN,
      ...(caption.style.width === 'auto'
        ? { fixedWidth: outer - sum([usedMargins(caption, outer).left, usedMargins(caption, outer).right]) }
        : {}),
    }),
  }));
  const stack = (side: 'top' | 'bottom', from: number): number => {
    let y = from;
    for (const { fragment } of captions.filter((c) => c.caption.style.captionSide === side)) {
      const placed = { fragment, x: fragment.margin.left, y: y + fragment.margin.top };
      children.push(placed);
      outOfFlow.push(...carriedFrom(placed));
      y += fragment.height + vertical(fragment.margin);
    }
    return y;
  };
  const top = stack('top', 0);
  const tops = offsets(rows.heights, spacing.y, null);
  const inner = { x: frame.border.left + frame.padding.left, y: top + frame.border.top + frame.padding.top };
  let baseline: number | null = null;
  let lastBaseline: number | null = null;
  children.push(...placeColumns(a, tops, inner));
  for (const group of grid.groups) {
    const made = placeGroup(group, tops, a);
    if (!made) continue;
    const offset = relativeOffset(group, outer, NaN);
    const placed = { ...made, x: made.x + inner.x + offset.x, y: made.y + inner.y + offset.y };
    children.push(placed);
    outOfFlow.push(...carriedFrom(placed));
    if (made.fragment.baseline !== null) baseline ??= inner.y + made.y + made.fragment.baseline;
    const last = made.fragment.lastBaseline ?? NaN;
    if (!Number.isNaN(last)) lastBaseline = inner.y + made.y + last;
  }
  const body =
    sum(rows.heights) + (rows.heights.length > 0 ? spacing.y * (rows.heights.length + 1) : 0) + frameHeight(frame);
  const used =
    space.fixedHeight ??
    Math.max(body, box.anonymous ? 0 : clampHeight(box, tableHeight(box, space, frame) ?? body, space.height, frame));
  const height = stack('bottom', top + Math.max(body, used));
  const bare = makeFragment({
    box,
    width: outer,
    height,
    children,
    margin,
    border: frame.border,
    padding: frame.padding,
    baseline: baseline ?? null,
    lastBaseline,
    outOfFlow,
  });
  return adoptOutOfFlow(bare, layout);
}

/** Columns and their groups cover the slots of all rows. @spec css-tables-3 §3.6 */
function placeColumns(a: Assembling, tops: readonly number[], inner: { x: number; y: number }): Placed[] {
  const { grid, widths, lefts, rows } = a;
  const last = rows.heights.length - 1;
  if (last < 0) return [];
  const height = tops[last]! + rows.heights[last]! - tops[0]!;
  const y = inner.y + tops[0]!;
  const covering = (box: Box, of: readonly number[], at: number): Placed & { right: number } => {
    const x = Math.min(...of.map((i) => lefts[i]!));
    const right = Math.max(...of.map((i) => lefts[i]! + widths[i]!));
    return { fragment: makeFragment({ box, width: right - x, height }), x: inner.x + x - at, y: 0, right };
  };
  const columnsOf = (match: (box: Box) => boolean) =>
    grid.columnBoxes.flatMap((box, i) => (box && i < widths.length && match(box) ? [i] : []));
  const out: Placed[] = [];
  const seen = new Set<Box>();
  for (const box of grid.columnBoxes) {
    if (!box || seen.has(box)) continue;
    const group = box.inner === 'column-group' ? box : box.parent?.inner === 'column-group' ? box.parent : null;
    if (group && seen.has(group)) continue;
    seen.add(group ?? box);
    const own = columnsOf((b) => b === (group ?? box) || b.parent === group);
    if (own.length === 0) continue;
    const outer = covering(group ?? box, own, 0);
    const inside = group
      ? group.children
          .filter((child) => child.inner === 'column')
          .flatMap((child) => {
            const of = columnsOf((b) => b === child);
            return of.length > 0 ? [covering(child, of, outer.x)] : [];
          })
      : [];
    out.push({ fragment: makeFragment({ ...outer.fragment, children: inside }), x: outer.x, y });
  }
  return out;
}

function placeGroup(group: Box, tops: readonly number[], a: Assembling): Placed | null {
  const own = a.grid.rows.map((row, i) => ({ row, i })).filter(({ row }) => row.group === group);
  const first = own[0];
  const last = own[own.length - 1];
  if (!first || !last) return null;
  const y0 = tops[first.i]!;
  const width = Math.max(0, sum(a.widths) + a.spacing.x * Math.max(0, a.widths.length - 1));
  const x0 = a.spacing.x;
  const rows = own.map(({ row, i }): Placed => {
    const offset = relativeOffset(row.box, width, NaN);
    return { fragment: placeRow(row.cells, i, row.box, x0, width, a), x: offset.x, y: tops[i]! - y0 + offset.y };
  });
  const height = tops[last.i]! + a.rows.heights[last.i]! - y0;
  const fragment = makeFragment({
    box: group,
    width,
    height,
    children: rows,
    baseline: rows[0]!.fragment.baseline,
    lastBaseline: rows[rows.length - 1]!.y + (rows[rows.length - 1]!.fragment.baseline ?? NaN),
    outOfFlow: rows.flatMap(carriedFrom),
  });
  return { fragment: adoptOutOfFlow(fragment, a.layout), x: x0, y: y0 };
}

function placeRow(cells: readonly Cell[], index: number, box: Box, x0: number, width: number, a: Assembling): Fragment {
  const placed: Placed[] = [];
  const baseline = a.rows.baselines[index] ?? null;
  for (const cell of cells) {
    const natural = a.rows.fragments.get(cell)!;
    const spanned = a.rows.heights.slice(index, index + cell.rowSpan);
    const height = sum(spanned) + a.spacing.y * (spanned.length - 1);
    const w = cellWidth(cell, a.widths, a.spacing.x);
    const stretched = a.layout.place(cell.box, {
      width: w,
      height: NaN,
      fixedWidth: w,
      fixedHeight: height,
      definite: false,
    });
    const fragment = shifted(stretched, natural, cell, baseline ?? 0);
    const last = Math.min(cell.column + cell.columnSpan, a.lefts.length) - 1;
    const offset = relativeOffset(cell.box, width, NaN);
    const x = Math.min(a.lefts[cell.column] ?? 0, a.lefts[last] ?? 0) - x0;
    placed.push({ fragment, x: x + offset.x, y: offset.y });
  }
  const fragment = makeFragment({
    box,
    width,
    height: a.rows.heights[index]!,
    children: placed,
    baseline: baseline ?? lowestContent(placed),
    outOfFlow: placed.flatMap(carriedFrom),
  });
  return adoptOutOfFlow(fragment, a.layout);
}

/** Where no cell is aligned by its baseline, the row stands on its lowest content. @spec css-tables-3 §3.10.1 */
const lowestContent = (cells: readonly Placed[]): number | null =>
  cells.length === 0
    ? null
    : Math.max(...cells.map(({ fragment: f, y }) => y + f.height - f.border.bottom - f.padding.bottom));

/** Moves a cell's content down as its vertical-align asks. @spec css2 §17.5.3 */
function shifted(fragment: Fragment, natural: Fragment, cell: Cell, rowBaseline: number): Fragment {
  const align = cell.box.anonymous ? 'baseline' : String(cell.box.style.verticalAlign);
  const spare = fragment.height - natural.height;
  const by =
    align === 'middle'
      ? spare / 2
      : align === 'bottom'
        ? spare
        : align === 'top'
          ? 0
          : Math.max(0, Math.min(spare, rowBaseline - (natural.baseline ?? rowBaseline)));
  if (by <= 0) return fragment;
  return makeFragment({
    ...fragment,
    children: fragment.children.map((child) => ({ ...child, y: child.y + by })),
    outOfFlow: fragment.outOfFlow.map((entry) => ({ ...entry, y: entry.y + by })),
    baseline: fragment.baseline === null ? null : fragment.baseline + by,
  });
}
