import { resolveLength } from '../../css/index.js';
import type { Box } from '../box.js';
import { snap } from '../fragment.js';

/**
 * How far relative positioning moves a box, px. Sticky boxes stand still here: their shift depends on the scroll.
 * @spec css-position-3 §3.3
 */
export function relativeOffset(box: Box, width: number, height: number): { readonly x: number; readonly y: number } {
  if (box.anonymous || box.style.position !== 'relative') return { x: 0, y: 0 };
  const { style } = box;
  const read = (value: typeof style.top, basis: number): number | null => {
    if (value === 'auto') return null;
    const used = resolveLength(value, basis);
    return Number.isNaN(used) ? null : snap(used);
  };
  const left = read(style.left, width);
  const right = read(style.right, width);
  const top = read(style.top, height);
  const bottom = read(style.bottom, height);
  const rtl = style.direction === 'rtl';
  const x = left !== null && right !== null ? (rtl ? -right : left) : (left ?? (right === null ? 0 : -right));
  return { x, y: top ?? (bottom === null ? 0 : -bottom) };
}
