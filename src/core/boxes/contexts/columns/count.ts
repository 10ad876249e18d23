import { resolveLength } from '../../../css/index.js';
import type { Box } from '../../box.js';
import { snap } from '../../fragment.js';
import { isBesideLegend, legendOf } from '../../generate/fieldset.js';
import type { Intrinsic } from '../../layout.js';

/** Columns of a multi-column container: how many, how wide and how far apart, px. */
export interface Columns {
  readonly count: number;
  readonly width: number;
  readonly gap: number;
}

/** Whether a box divides its content into columns; of a fieldset with a legend it is what holds the rest. @spec css-multicol-1 §2, html §15.3.13 */
export const isMulticol = (box: Box): boolean =>
  (box.anonymous ? isBesideLegend(box) : legendOf(box) === null) && asksColumns(box);

const asksColumns = ({ inner, outer, style }: Box): boolean =>
  inner === 'flow' &&
  outer !== 'inline' &&
  (typeof style.columnCount === 'number' || typeof style.columnWidth !== 'string');

const gapIn = ({ style }: Box, width: number): number =>
  style.columnGap === 'normal' ? Math.round(style.fontSize) : resolveLength(style.columnGap, width) || 0;

const askedWidth = ({ style: { columnWidth } }: Box): number | null =>
  typeof columnWidth === 'string' ? null : Math.max(0, columnWidth.px);

/** Columns for a content width, px. @spec css-multicol-1 §3.4 */
export function columnsIn(box: Box, width: number): Columns {
  const gap = gapIn(box, width);
  const asked = askedWidth(box);
  const { columnCount } = box.style;
  const most = typeof columnCount === 'number' ? columnCount : Infinity;
  const fitting = asked === null ? most : Math.max(1, Math.floor((width + gap) / (Math.max(1, asked) + gap)));
  const count = Math.min(most, fitting);
  return { count, width: Math.max(0, snap((width + gap) / count - gap)), gap };
}

/** Widths of a container by those of what it holds, px. @spec css-multicol-1 §3.1 (as browsers have it) */
export function columnsIntrinsic(box: Box, { min, max }: Intrinsic): Intrinsic {
  const asked = askedWidth(box);
  const count = typeof box.style.columnCount === 'number' ? box.style.columnCount : 1;
  const gaps = gapIn(box, 0) * (count - 1);
  if (asked !== null) return { min: Math.min(min, asked), max: Math.max(max, asked) * count + gaps };
  return { min: min * count + gaps, max: max * count + gaps };
}
