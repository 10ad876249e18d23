import { resolveLength } from '../../css/index.js';
import type { ComputedStyle } from '../../cascade/index.js';
import { snap } from '../fragment.js';

/**
 * Gap between tracks, items or lines, px.
 * @param basis what percentages refer to; where that is not known, they count as nothing
 * @spec css-align-3 §8.3
 */
export function gapOf(value: ComputedStyle['rowGap'], basis: number): number {
  if (value === 'normal') return 0;
  const length = resolveLength(value, basis);
  return snap(Number.isNaN(length) ? resolveLength(value, 0) : length);
}
