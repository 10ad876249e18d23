import { snap, type Fragment } from '../fragment.js';
import { containedHeight } from '../used/containment.js';
import { clampHeight, frameHeight, heightFor, limitWidth, type Frame } from '../used/sizes.js';
import { groupOf, sharingOf, type Sharing, type Which } from './baselines.js';
import { dependsOnHeight } from './flow-sizes.js';
import { distribute } from './distribute.js';
import { type Container, type Item, crossAuto, hasAutoCross, stretchedCross, columnSpace } from './flex-items.js';
import type { Line } from './flex-lines.js';
import { crossAlignment } from './flex-self.js';

/** Lays an item out at its main size; `cross` is its stretched border-box cross size. */
export function layoutItem(item: Item, c: Container, cross: number | null): Fragment {
  const { box } = item;
  const main = snap(item.main);
  if (c.row) {
    const fixed = cross ?? stretchedCross(box, item, c);
    return c.layout.place(box, {
      width: c.width,
      height: c.height,
      fixedWidth: main,
      ...(fixed === undefined || fixed === null ? {} : { fixedHeight: fixed, definite: true }),
    });
  }
  const base = cross === null ? columnSpace(box, item, c) : { width: c.width, height: c.height, fixedWidth: cross };
  const definite =
    !Number.isNaN(c.height) || (!box.anonymous && heightFor(box, box.style.height, c.height, item.frame) !== null);
  return c.layout.place(box, { ...base, fixedHeight: main, definite });
}

const crossOf = (item: Item, row: boolean): number =>
  (row ? item.fragment!.height : item.fragment!.width) + item.crossMargin;

/** Which baseline an item is aligned by, if any. */
export function baselineOf(item: Item, c: Container): Which | null {
  const { to } = crossAlignment(item, c);
  return (to === 'baseline' || to === 'last baseline') && !hasAutoCross(item.margins, c.row) ? to : null;
}

/** The item's margin box and the baseline it shares with others of its line; null if it is aligned otherwise. */
export function sharing(item: Item, c: Container): Sharing | null {
  const which = baselineOf(item, c);
  if (which === null) return null;
  const { top, right, bottom, left } = item.margins;
  const ends = c.row ? ([top ?? 0, bottom ?? 0] as const) : ([left ?? 0, right ?? 0] as const);
  const found = sharingOf(item.fragment!, ends, c.row ? 'block' : 'inline', c.box, which);
  // Wrapping in reverse, the first baselines hold to the far edge.
  const flipped = c.box.style.flexWrap === 'wrap-reverse';
  return flipped ? { ...found, side: found.side === 'low' ? 'high' : 'low' } : found;
}

/** Cross sizes of lines and of the container. @spec css-flexbox-1 §9.4 (8, 9, 15, 16) */
export function settleLines(lines: Line[], c: Container, frame: Frame): number {
  for (const line of lines) {
    const shared = line.items.map((item) => sharing(item, c)).filter((s) => s !== null);
    line.low = groupOf(shared.filter((s) => s.side === 'low'));
    line.high = groupOf(shared.filter((s) => s.side === 'high'));
    line.cross = line.items.reduce(
      (most, item) => Math.max(most, crossOf(item, c.row)),
      Math.max(0, line.low.above + line.low.below, line.high.above + line.high.below),
    );
  }
  const definite = !Number.isNaN(c.crossSize);
  const single = !c.wraps;
  const gaps = c.crossGap * Math.max(0, lines.length - 1);
  if (single && lines[0]) {
    if (definite) lines[0].cross = c.crossSize;
    else if (c.row && containedHeight(c.box, c.layout) !== null) lines[0].cross = containedHeight(c.box, c.layout)!;
    else if (c.row) lines[0].cross = c.clamped(lines[0].cross + frameHeight(frame)) - frameHeight(frame);
  }
  const contained = c.row && !definite ? containedHeight(c.box, c.layout) : null;
  const natural = contained ?? lines.reduce((sum, line) => sum + line.cross, 0) + gaps;
  let size = definite ? c.crossSize : natural;
  if (!definite && c.row) size = Math.max(0, c.clamped(natural + frameHeight(frame)) - frameHeight(frame));
  const align = linesTowards(c);
  const spare = size - natural;
  if (!single && (align === 'normal' || align === 'stretch') && spare > 0)
    for (const line of lines) line.cross += spare / lines.length;
  const used = lines.reduce((sum, line) => sum + line.cross, 0) + gaps;
  const { offset, between } = distribute(
    single ? 'flex-start' : align === 'normal' ? 'stretch' : align,
    size - used,
    lines.length,
  );
  let at = offset;
  for (const line of lines) {
    line.at = at;
    at += line.cross + between + c.crossGap;
  }
  if (c.crossBackwards) for (const line of lines) line.at = size - line.at - line.cross;
  return size;
}

/** align-content with start and end turned into the words that follow the wrapping. @spec css-align-3 §4.5 */
function linesTowards(c: Container): string {
  const align = c.box.style.alignContent.replace(/^(safe|unsafe) /, '');
  if (align !== 'start' && align !== 'end') return align;
  const along = c.crossBackwards === (!c.row && c.box.style.direction === 'rtl');
  return (align === 'start') === along ? 'flex-start' : 'flex-end';
}

/** @spec css-flexbox-1 §9.4 (11) */
export function stretch(item: Item, line: Line, c: Container): void {
  if (item.align !== 'stretch' || !crossAuto(item.box, c.row) || hasAutoCross(item.margins, c.row)) return;
  const size = Math.max(0, line.cross - item.crossMargin);
  const used = c.row
    ? clampHeight(item.box, size, c.height, item.frame, () => item.fragment!.height)
    : limitWidth(item.box, size, c.width, size, item.frame, () => c.layout.intrinsic(item.box, { basis: c.height }));
  const before = c.row ? item.fragment!.height : item.fragment!.width;
  // Nothing changes for an item that has the size already, unless something inside refers to it.
  if (c.row && Math.abs(before - used) < 1 / 128 && !dependsOnHeight(item.box)) return;
  item.fragment = layoutItem(item, c, used);
}
