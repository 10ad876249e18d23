import type { Box } from '../box.js';
import type { Layout } from '../layout.js';

/** Internal table boxes and inline boxes have no size to contain. @spec css-contain-3 §3.1 */
const applies = (box: Box): boolean =>
  !box.anonymous &&
  box.inner !== 'text' &&
  box.outer !== 'table-part' &&
  (box.outer !== 'inline' || box.inner !== 'flow');

/** It has no baseline, and what stands out of it is only seen. @spec css-contain-3 §3.3 */
export const containsLayout = (box: Box): boolean =>
  (applies(box) || (box.outer === 'table-part' && box.inner === 'flow' && !box.anonymous)) &&
  (box.computed.contentVisibility !== 'visible' ||
    box.computed.contain.some((word) => word === 'layout' || word === 'strict' || word === 'content'));

const nothing = (): number => 0;

/**
 * Content-box width or height of a box whose size ignores its content, px; null where the content counts.
 * `empty` is what it would have without any.
 * @spec css-contain-3 §3.1, §4 (skipped content), css-sizing-4 §4 (contain-intrinsic-*), css-conditional-5 §2.1 (container-type)
 */
export function containedWidth(box: Box, layout: Layout, empty: () => number = nothing): number | null {
  if (box.anonymous && box.locked) return 0;
  if (!box.locked && !applies(box)) return null;
  const { contain, containerType, containIntrinsicWidth } = box.style;
  const held = [...contain, ...containerType].some((word) => /^(size|strict|inline-size)$/.test(word));
  return held || skips(box, layout) ? (containIntrinsicWidth.px ?? empty()) : null;
}

export function containedHeight(box: Box, layout: Layout, empty: () => number = nothing): number | null {
  if (box.anonymous && box.locked) return 0;
  if (!box.locked && !applies(box)) return null;
  const { contain, containerType, containIntrinsicHeight } = box.style;
  const held = [...contain, ...containerType].some((word) => word === 'size' || word === 'strict');
  return held || skips(box, layout) ? (containIntrinsicHeight.px ?? empty()) : null;
}

/** What a box skips does not count for its size. */
const skips = (box: Box, { near }: Layout): boolean =>
  box.locked || (box.style.contentVisibility === 'auto' && near !== null && !near.has(box));
