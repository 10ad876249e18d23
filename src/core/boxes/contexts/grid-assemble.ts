import type { Rect } from '../../base/index.js';
import { containsAbsolute, containsFixed, isOutOfFlow, type Box } from '../box.js';
import type { Fragment, OutOfFlow, Placed } from '../fragment.js';
import { relativeOffset } from '../used/relative.js';
import { frameHeight } from '../used/sizes.js';
import { standingOf, type Which } from './baselines.js';
import type { GridBaselines } from './grid-baselines.js';
import { placeInArea } from './grid-items.js';
import { absoluteSlot, spanOf, type Lines, type PlacedItem } from './grid-place.js';
import { containerFragment } from './container-fragment.js';
import type { Job } from './job.js';
import { alignedIn } from './static-position.js';
import { limitedHeight, leastByRatio } from './flow-sizes.js';
import { subgridOf, type Grid } from './grid-build.js';

interface Assembling extends Job {
  readonly grid: Grid;
  readonly columns: Lines;
  readonly rows: Lines;
  readonly specified: number | null;
  readonly inner: number;
  readonly shares: GridBaselines;
  /** The same along the columns. */
  readonly sideways: GridBaselines;
  /** Height of the rows together, px. */
  readonly content: number;
  /** Content height before minimum and maximum, px. */
  readonly available: number;
}

export function assemble(a: Assembling): Fragment {
  const { box, frame, space, layout, grid, columns, rows, specified, inner } = a;
  const height =
    space.fixedHeight ??
    Math.max(
      leastByRatio(box, space, frame, a.content + frameHeight(frame)),
      limitedHeight(a, specified ?? a.available + frameHeight(frame), a.natural),
    );
  const dx = frame.border.left + frame.padding.left;
  const dy = frame.border.top + frame.padding.top;
  const rtl = box.style.direction === 'rtl';
  const children: Placed[] = [];
  const outOfFlow: OutOfFlow[] = [];
  const standing: { item: PlacedItem; y: number; fragment: Fragment }[] = [];
  for (const item of grid.items) {
    const across = spanOf(columns, item.columns);
    const down = spanOf(rows, item.rows);
    const placed = placeInArea(item.box, across.size, down.size, box, layout, subgridOf(item, grid, columns, rows));
    const { fragment } = placed;
    const x = a.sideways.offset(item, fragment, across.size) ?? placed.x;
    const y = a.shares.offset(item, fragment, down.size) ?? placed.y;
    const left = rtl ? inner - across.at - across.size : across.at;
    const offset = relativeOffset(item.box, across.size, down.size);
    const at = { x: dx + left + x + offset.x, y: dy + down.at + y + offset.y };
    children.push({ fragment, ...at });
    standing.push({ item, y: dy + down.at + y, fragment });
    for (const entry of fragment.outOfFlow) outOfFlow.push({ ...entry, x: entry.x + at.x, y: entry.y + at.y });
  }
  const content: Rect = { x: dx, y: dy, width: inner, height: Math.max(0, height - frameHeight(frame)) };
  for (const child of box.children) if (isOutOfFlow(child)) outOfFlow.push(absoluteChild(child, a, height, content));
  const [baseline, lastBaseline] = containerBaselines(standing, a);
  return containerFragment(a, { height, children, baseline, lastBaseline, outOfFlow });
}

/** An absolute child is placed in its area where the grid is its containing block. @spec css-grid-2 §9 */
function absoluteChild(child: Box, a: Assembling, height: number, content: Rect): OutOfFlow {
  const { box, frame, width, grid, columns, rows } = a;
  const held = child.style.position === 'fixed' ? containsFixed(box) : containsAbsolute(box);
  if (!held) return alignedIn(child, box, content);
  const { border } = frame;
  const { style } = child;
  const across = absoluteSlot(style.gridColumnStart, style.gridColumnEnd, grid.columnAxis);
  const down = absoluteSlot(style.gridRowStart, style.gridRowEnd, grid.rowAxis);
  const x = absoluteSpan(
    across,
    columns,
    content.x,
    content.width,
    border.left,
    width - border.right,
    box.style.direction === 'rtl',
  );
  const y = absoluteSpan(down, rows, content.y, content.height, border.top, height - border.bottom, false);
  const area: Rect = { x: x.from, y: y.from, width: Math.max(0, x.to - x.from), height: Math.max(0, y.to - y.from) };
  return { ...alignedIn(child, box, area), area };
}

function absoluteSpan(
  { start, end }: { readonly start: number | null; readonly end: number | null },
  lines: Lines,
  at: number,
  size: number,
  low: number,
  high: number,
  backwards: boolean,
): { from: number; to: number } {
  const n = lines.starts.length;
  const endOf = (i: number) => (lines.starts[i - 1] ?? 0) + (lines.sizes[i - 1] ?? 0);
  const first = start === null ? null : start < n ? lines.starts[start]! : endOf(start);
  const last = end === null ? null : end > 0 ? endOf(end) : (lines.starts[0] ?? 0);
  if (!backwards) return { from: first === null ? low : at + first, to: last === null ? high : at + last };
  return { from: last === null ? low : at + size - last, to: first === null ? high : at + size - first };
}

/** First and last baselines of the container. @spec css-grid-2 §10.6 */
function containerBaselines(
  standing: readonly { item: PlacedItem; y: number; fragment: Fragment }[],
  { box, shares }: Assembling,
): [number | null, number | null] {
  if (standing.length === 0) return [null, null];
  const top = Math.min(...standing.map(({ item }) => item.rows.start));
  const bottom = Math.max(...standing.map(({ item }) => item.rows.end));
  const of = (which: Which, row: (item: PlacedItem) => boolean, best: (x: number, y: number) => boolean) => {
    const own = standing.filter(({ item }) => row(item));
    const shared = own.find(({ item }) => shares.takesPart(item));
    const chosen = shared ?? own.reduce((a, b) => (best(b.item.columns.start, a.item.columns.start) ? b : a));
    return chosen.y + standingOf(chosen.fragment, 0, 0, box, which).above;
  };
  return [
    of(
      'baseline',
      (item) => item.rows.start === top,
      (b, a) => b < a,
    ),
    of(
      'last baseline',
      (item) => item.rows.end === bottom,
      (b, a) => b > a,
    ),
  ];
}
