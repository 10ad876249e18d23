import { isInFlow, type Box } from '../box.js';
import { vertical } from '../fragment.js';
import type { Intrinsic, Layout } from '../layout.js';
import { gapOf } from '../used/gaps.js';
import { usedMargins } from '../used/edges.js';
import { isSqueezed } from '../used/replaced.js';
import { frameHeight, heightFor } from '../used/sizes.js';
import { knownBasis, stretchedHeight, type KnownBasis } from './flex-items.js';
import { frameOf } from './flow-sizes.js';

/** @spec css-flexbox-1 §9.9.1 */
export function flexIntrinsic(box: Box, basis: number, layout: Layout): Intrinsic {
  const { style } = box;
  const children = box.children.filter(isInFlow);
  const row = style.flexDirection.startsWith('row');
  const wraps = style.flexWrap !== 'nowrap';
  const items = children.map((child) => {
    const own = layout.contribution(child, { basis, fixed: stretchedHeight(box, child, basis, layout) });
    const known = row ? knownBasis(box, child, basis, layout) : null;
    if (known === null) return own;
    const within = withinBasis(child, own, known);
    return wraps ? { min: own.min, max: within.max } : within;
  });
  const gap = gapOf(style.columnGap, 0);
  const gaps = gap * Math.max(0, items.length - 1);
  const sum = (key: 'min' | 'max') => items.reduce((total, item) => total + item[key], 0) + gaps;
  const most = (key: 'min' | 'max') => items.reduce((all, item) => Math.max(all, item[key]), 0);
  if (row) return { min: wraps ? most('min') : sum('min'), max: sum('max') };
  const max = wraps ? columnsTogether(box, children, items, gap, layout) : most('max');
  return { min: Math.min(max, most('min')), max };
}

/**
 * What cannot grow beyond the length its basis gives it, or not shrink below, asks for no more or no less. Pictures that
 * give way to their container have no least width in that.
 */
function withinBasis(box: Box, own: Intrinsic, { base, min, max, margin }: KnownBasis): Intrinsic {
  const { flexGrow, flexShrink } = box.style;
  const within = (asked: number, least: number) => {
    const grown = flexGrow === 0 ? Math.min(asked - margin, base) : asked - margin;
    const held = flexShrink === 0 ? Math.max(grown, base) : grown;
    return Math.max(least, Math.min(held, max)) + margin;
  };
  const yields = box.inner === 'replaced' && isSqueezed(box);
  return { min: within(own.min, yields ? 0 : min), max: within(own.max, min) };
}

/** Width of the columns a container of known height wraps its items into. @spec css-flexbox-1 §9.9.2 */
function columnsTogether(
  box: Box,
  children: readonly Box[],
  items: readonly Intrinsic[],
  gap: number,
  layout: Layout,
): number {
  const frame = frameOf(box, 0);
  const known = (value: Box['style']['height']) => heightFor(box, value, NaN, frame);
  const height =
    Math.min(known(box.style.height) ?? Infinity, known(box.style.maxHeight) ?? Infinity) - frameHeight(frame);
  const between = gapOf(box.style.rowGap, 0);
  const columns: number[] = [];
  let used = 0;
  let widest = 0;
  children.forEach((child, i) => {
    const { max } = items[i]!;
    const margins = usedMargins(child, 0);
    const tall = layout.place(child, { width: max, height: NaN, shrink: true }).height + vertical(margins);
    if (used > 0 && used + between + tall > height + 1 / 64) {
      columns.push(widest);
      used = 0;
      widest = 0;
    }
    used += tall + (used > 0 ? between : 0);
    widest = Math.max(widest, max);
  });
  columns.push(widest);
  return columns.reduce((a, b) => a + b, 0) + gap * (columns.length - 1);
}
