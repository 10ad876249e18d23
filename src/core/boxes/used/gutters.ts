import type { ComputedStyle } from '../../cascade/index.js';
import { isPage, type Box } from '../box.js';
import { horizontal, NO_EDGES, type Edges } from '../fragment.js';
import type { Frame } from './sizes.js';

/** Thickness of a scroll bar, px. */
const BARS = { auto: 15, thin: 10, none: 0 } as const;

/** Room a page asks to be kept free for scroll bars, px. @spec css-overflow-4 §3.2 */
function keptFree({ scrollbarGutter, scrollbarWidth, direction }: ComputedStyle): Edges {
  const bar = scrollbarGutter.length === 0 ? 0 : BARS[scrollbarWidth];
  if (bar === 0) return NO_EDGES;
  const both = scrollbarGutter.includes('both-edges');
  const rtl = direction === 'rtl';
  return { top: 0, bottom: 0, left: both || rtl ? bar : 0, right: both || !rtl ? bar : 0 };
}

/** The same inside a box that scrolls or clips; that of the page lies outside of its boxes. */
export function gutterOf(box: Box): Edges {
  const { overflowX, overflowY } = box.style;
  if (box.anonymous || isPage(box) || box.inner === 'replaced' || box.inner === 'text') return NO_EDGES;
  return [overflowX, overflowY].some((v) => v !== 'visible' && v !== 'clip') ? keptFree(box.style) : NO_EDGES;
}

export const gutterWidth = (box: Box): number => horizontal(gutterOf(box));

/** Edges of a box with its gutters, which stand between border and padding. */
export function withGutter(box: Box, frame: Frame): Frame {
  const gutter = gutterOf(box);
  if (gutter === NO_EDGES) return frame;
  const { border } = frame;
  return { ...frame, border: { ...border, left: border.left + gutter.left, right: border.right + gutter.right } };
}

/** Room kept free beside the page. */
export const pageGutter = (root: Box): Edges => keptFree(root.style);
