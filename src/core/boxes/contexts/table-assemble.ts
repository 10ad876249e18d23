import type { Box } from '../box.js';
import {
  carriedFrom,
  makeFragment,
  vertical,
  type Edges,
  type Fragment,
  type OutOfFlow,
  type Placed,
} from '../fragment.js';
import type { Layout, Space } from '../layout.js';
import { usedMargins } from '../used/edges.js';
import { relativeOffset } from '../used/relative.js';
import { clampHeight, frameHeight, type Frame } from '../used/sizes.js';
import { adoptOutOfFlow } from './positioned.js';
import type { Cell, TableGrid } from './table-grid.js';
import { sum } from './table-columns.js';
import { type RowLayout, tableHeight, offsets, cellWidth } from './table-rows.js';

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

export function assemble(a: Assembling): Fragment {
  const { box, grid, frame, margin, outer, spacing, rows, layout, space } = a;
  const parts = new Parts();
  const captions = layCaptions(a);
  const top = stackCaptions(captions, 'top', 0, parts);
  const tops = offsets(rows.heights, spacing.y, null);
  const inner = { x: frame.border.left + frame.padding.left, y: top + frame.border.top + frame.padding.top };
  let baseline: number | null = null;
  let lastBaseline: number | null = null;
  parts.children.push(...placeColumns(a, tops, inner));
  for (const group of grid.groups) {
    const made = placeGroup(group, tops, a);
    const offset = relativeOffset(group, outer, NaN);
    parts.add({ ...made, x: made.x + inner.x + offset.x, y: made.y + inner.y + offset.y });
    if (made.fragment.baseline !== null) baseline ??= inner.y + made.y + made.fragment.baseline;
    const last = made.fragment.lastBaseline ?? NaN;
    if (!Number.isNaN(last)) lastBaseline = inner.y + made.y + last;
  }
  const body =
    sum(rows.heights) + (rows.heights.length > 0 ? spacing.y * (rows.heights.length + 1) : 0) + frameHeight(frame);
  const used =
    space.fixedHeight ??
    Math.max(body, box.anonymous ? 0 : clampHeight(box, tableHeight(box, space, frame) ?? body, space.height, frame));
  const height = stackCaptions(captions, 'bottom', top + Math.max(body, used), parts);
  const { border, padding } = frame;
  const { children, outOfFlow } = parts;
  const bare = { box, width: outer, height, children, margin, border, padding, baseline, lastBaseline, outOfFlow };
  return adoptOutOfFlow(makeFragment(bare), layout);
}

/** What a table holds so far. */
class Parts {
  readonly children: Placed[] = [];
  readonly outOfFlow: OutOfFlow[] = [];

  add(placed: Placed): void {
    this.children.push(placed);
    this.outOfFlow.push(...carriedFrom(placed));
  }
}

/** @spec css-tables-3 §3.2 */
const layCaptions = ({ grid, outer, layout }: Assembling): readonly Fragment[] =>
  grid.captions.map((caption) => {
    const { left, right } = usedMargins(caption, outer);
    const fixed = caption.style.width === 'auto' ? { fixedWidth: outer - left - right } : {};
    return layout.place(caption, { width: outer, height: NaN, ...fixed });
  });

/** Captions of one side, from a height on; gives where they end. */
function stackCaptions(captions: readonly Fragment[], side: 'top' | 'bottom', from: number, parts: Parts): number {
  let y = from;
  for (const fragment of captions.filter(({ box }) => box.style.captionSide === side)) {
    parts.add({ fragment, x: fragment.margin.left, y: y + fragment.margin.top });
    y += fragment.height + vertical(fragment.margin);
  }
  return y;
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

/** A group and its rows; one without rows has no height. */
function placeGroup(group: Box, tops: readonly number[], a: Assembling): Placed {
  const own = a.grid.rows.map((row, i) => ({ row, i })).filter(({ row }) => row.group === group);
  const first = own[0];
  const last = own[own.length - 1];
  const width = Math.max(0, sum(a.widths) + a.spacing.x * Math.max(0, a.widths.length - 1));
  const x0 = a.spacing.x;
  if (!first || !last) {
    const before = a.grid.rows.filter((row) => a.grid.groups.indexOf(row.group) < a.grid.groups.indexOf(group)).length;
    const y = before === 0 ? 0 : tops[before - 1]! + a.rows.heights[before - 1]!;
    return { fragment: makeFragment({ box: group, width, height: 0 }), x: x0, y };
  }
  const y0 = tops[first.i]!;
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
