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
import { clampHeight, frameHeight, frameWidth, heightFor, NO_FRAME, type Frame } from '../used/sizes.js';
import { dependsOnHeight } from './flow-sizes.js';
import { adoptOutOfFlow } from './positioned.js';
import { placeColumns } from './table-column-boxes.js';
import type { Cell, TableGrid } from './table-grid.js';
import { alignsBaseline, askedHeight, cellBaseline, type RowLayout, tableHeight, cellWidth } from './table-rows.js';
import { isHidden, type Stack } from './table-sections.js';

export interface Assembling {
  readonly box: Box;
  readonly grid: TableGrid;
  readonly frame: Frame;
  readonly margin: Edges;
  readonly outer: number;
  readonly widths: readonly number[];
  readonly hidden: readonly boolean[];
  readonly lefts: readonly number[];
  readonly stack: Stack;
  /** Height that hidden rows leave, px. */
  readonly dropped: number;
  readonly spacing: { readonly x: number; readonly y: number };
  readonly rows: RowLayout;
  readonly layout: Layout;
  readonly space: Space;
}

export function assemble(a: Assembling): Fragment {
  const { box, grid, frame, margin, outer, layout, space } = a;
  const { tops } = a.stack;
  const parts = new Parts();
  const captions = layCaptions(a);
  const top = stackCaptions(captions, 'top', 0, parts);
  const inner = { x: frame.border.left + frame.padding.left, y: top + frame.border.top + frame.padding.top };
  const askedTable = tableHeight(box, space, frame);
  let baseline: number | null = null;
  let lastBaseline: number | null = null;
  parts.children.push(...placeColumns({ ...a, tops }, inner));
  for (const group of grid.groups) {
    const made = placeGroup(group, tops, a);
    const offset = relativeOffset(group, outer, askedTable === null ? NaN : askedTable - frameHeight(frame));
    parts.add({ ...made, x: made.x + inner.x + offset.x, y: made.y + inner.y + offset.y });
    if (made.fragment.baseline !== null) baseline ??= inner.y + made.y + made.fragment.baseline;
    const last = made.fragment.lastBaseline ?? NaN;
    if (!Number.isNaN(last)) lastBaseline = inner.y + made.y + last;
  }
  const body = a.stack.height + frameHeight(frame);
  const asked = box.anonymous ? 0 : clampHeight(box, askedTable ?? body, space.height, frame);
  const used = space.fixedHeight ?? Math.max(body, asked - a.dropped);
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
const layCaptions = ({ grid, outer, layout }: Pick<Assembling, 'grid' | 'outer' | 'layout'>): readonly Fragment[] =>
  grid.captions.map((caption) => {
    const { left, right } = usedMargins(caption, outer);
    const fixed = caption.style.width === 'auto' ? { fixedWidth: outer - left - right } : {};
    return layout.place(caption, { width: outer, height: NaN, ...fixed });
  });

/** A height that only the parent decides is that of the table with its captions. @spec css-tables-3 §3.3 (the wrapper box) */
export function withoutCaptions(space: Space, a: Pick<Assembling, 'box' | 'grid' | 'outer' | 'layout'>): Space {
  if (space.fixedHeight === undefined || a.grid.captions.length === 0 || a.box.style.height !== 'auto') return space;
  const taken = layCaptions(a).reduce((sum, { height, margin }) => sum + height + vertical(margin), 0);
  return { ...space, fixedHeight: Math.max(0, space.fixedHeight - taken) };
}

/** Captions of one side, from a height on; gives where they end. */
function stackCaptions(captions: readonly Fragment[], side: 'top' | 'bottom', from: number, parts: Parts): number {
  let y = from;
  for (const fragment of captions.filter(({ box }) => box.style.captionSide === side)) {
    parts.add({ fragment, x: fragment.margin.left, y: y + fragment.margin.top });
    y += fragment.height + vertical(fragment.margin);
  }
  return y;
}

/** The height a part asks for: what percentages of the places of those inside refer to. */
const askedOf = (box: Box): number => (box.anonymous ? null : heightFor(box, box.style.height, NaN, NO_FRAME)) ?? NaN;

/** A group and its rows. */
function placeGroup(group: Box, tops: readonly number[], a: Assembling): Placed {
  const own = a.grid.rows.map((row, i) => ({ row, i })).filter(({ row }) => row.group === group);
  const first = own[0];
  const last = own[own.length - 1];
  const width = Math.max(0, a.outer - frameWidth(a.frame) - a.spacing.x * 2);
  const x0 = a.spacing.x;
  if (!first || !last) {
    const height = a.rows.bare.get(group) ?? 0;
    return { fragment: makeFragment({ box: group, width, height }), x: x0, y: a.stack.bare.get(group) ?? 0 };
  }
  const y0 = tops[first.i]!;
  const rows = own.map(({ row, i }): Placed => {
    const offset = relativeOffset(row.box, width, askedOf(group));
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

/** Heights within this of each other are the same, px. */
const SAME = 1 / 128;

/** A cell that begins in a hidden row is hidden with it. */
function cellHeight(
  { rowSpan }: Cell,
  index: number,
  { stack: { tops }, rows: { heights }, grid }: Assembling,
): number {
  if (isHidden(grid.rows[index]!.box)) return 0;
  const last = Math.min(index + rowSpan, heights.length) - 1;
  return tops[last]! + heights[last]! - tops[index]!;
}

/** A cell at its height, and its content at its own. */
interface Grown {
  readonly cell: Cell;
  readonly stretched: Fragment;
  readonly content: Fragment;
  /** Whether percentages inside were asked again: the content may be higher than it was measured. */
  readonly again: boolean;
}

function grow(cell: Cell, index: number, a: Assembling): Grown {
  const natural = a.rows.fragments.get(cell)!;
  const height = cellHeight(cell, index, a);
  const w = cellWidth(cell, a, a.spacing.x);
  const definite = tableHeight(a.box, a.space, a.frame) !== null || askedHeight(cell.box, a.layout) !== null;
  const space: Space = { width: w, height: NaN, fixedWidth: w, fixedHeight: height, definite };
  // What is as high as its content stays as it was measured: percentages inside are not asked again.
  if (Math.abs(height - natural.height) <= SAME && Math.abs(w - natural.width) <= SAME)
    return { cell, stretched: natural, content: natural, again: false };
  const again = definite && dependsOnHeight(cell.box);
  const content = again ? a.layout.place(cell.box, { ...space, byContent: 'height' }) : natural;
  return { cell, stretched: a.layout.place(cell.box, space), content, again };
}

function placeRow(cells: readonly Cell[], index: number, box: Box, x0: number, width: number, a: Assembling): Fragment {
  const grown = cells.map((cell) => grow(cell, index, a));
  const lines = grown.flatMap((g) => (g.again && alignsBaseline(g.cell) ? [cellBaseline(g.content)] : []));
  const measured = a.rows.baselines[index] ?? null;
  const baseline = lines.length > 0 ? Math.max(measured ?? 0, ...lines) : measured;
  const placed = grown.map(({ cell, stretched, content }): Placed => {
    const fragment = shifted(stretched, content, cell, baseline ?? 0);
    const last = Math.min(cell.column + cell.columnSpan, a.lefts.length) - 1;
    const offset = relativeOffset(cell.box, width, askedOf(box));
    const x = Math.min(a.lefts[cell.column] ?? 0, a.lefts[last] ?? 0) - x0;
    return { fragment, x: x + offset.x, y: offset.y };
  });
  const fragment = makeFragment({
    box,
    width,
    height: a.rows.heights[index]!,
    children: placed,
    baseline: baseline ?? (cells.length > 0 ? lowestContent(placed.filter((_, i) => cells[i]!.rowSpan === 1)) : null),
    outOfFlow: placed.flatMap(carriedFrom),
  });
  return adoptOutOfFlow(fragment, a.layout);
}

/** Where no cell is aligned by its baseline, the row stands on its lowest content. @spec css-tables-3 §3.10.1 */
const lowestContent = (cells: readonly Placed[]): number =>
  Math.max(0, ...cells.map(({ fragment: f, y }) => y + f.height - f.border.bottom - f.padding.bottom));

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
          : Math.max(0, Math.min(spare, rowBaseline - cellBaseline(natural)));
  if (by <= 0) return fragment;
  return makeFragment({
    ...fragment,
    children: fragment.children.map((child) => ({ ...child, y: child.y + by })),
    outOfFlow: fragment.outOfFlow.map((entry) => ({ ...entry, y: entry.y + by })),
    baseline: fragment.baseline === null ? null : fragment.baseline + by,
  });
}
