import type { Box } from '../box.js';
import type { Fragment } from '../fragment.js';
import { isOrthogonal, isVertical, physicalStart } from '../flows/modes.js';
import { aligningOf, startEdge, type AxisName } from '../used/alignment.js';
import { isCentral } from './inline/extents.js';

export type Which = 'baseline' | 'last baseline';

/** How far a margin box reaches before and behind the baseline it is aligned by, px. */
export interface Standing {
  readonly above: number;
  readonly below: number;
}

/** A margin box among those that share a baseline, and the end of the axis that the group holds to. */
export interface Sharing extends Standing {
  readonly side: 'low' | 'high';
}

/** What boxes that share a baseline take up together. */
export type BaselineGroup = Standing;

export const NO_GROUP: BaselineGroup = { above: 0, below: 0 };

/** A box without a baseline stands on the edge of its border box, in vertical text on its middle. @spec css-align-3 §9.1 */
export function standingOf(
  fragment: Fragment,
  marginTop: number,
  marginBottom: number,
  container: Box,
  which: Which,
): Standing {
  const own = which === 'baseline' ? fragment.baseline : fragment.lastBaseline;
  const at = own ?? (isCentral(container.style) ? fragment.height / 2 : fragment.height);
  return { above: marginTop + at, below: fragment.height - at + marginBottom };
}

/**
 * How an item stands in the group it shares a baseline with along an axis of its container. First baselines hold to
 * the side where the lines of the item begin, last ones to the other; an item whose lines do not stack along the axis
 * has an edge for its baseline.
 * @param margins at the low and the high end, px
 * @spec css-align-3 §9.1, §9.3
 */
export function sharingOf(
  fragment: Fragment,
  margins: readonly [number, number],
  axis: AxisName,
  container: Box,
  which: Which,
): Sharing {
  const size = axis === 'block' ? fragment.height : fragment.width;
  const { mode } = fragment.box;
  const stacks = isOrthogonal(mode, container.mode) === (axis === 'inline');
  const begins = stacks
    ? beginsLow(fragment.box, axis, container)
    : isVertical(container.mode) || startEdge(axis, aligningOf(container)) === 'low';
  const at = (stacks ? baselineAlong(fragment, axis, which) : null) ?? synthesized(size, axis, container);
  return {
    side: begins === (which === 'baseline') ? 'low' : 'high',
    above: margins[0] + at,
    below: size - at + margins[1],
  };
}

const beginsLow = ({ mode }: Box, axis: AxisName, { mode: around }: Box): boolean =>
  physicalStart(axis, mode, false, around) === physicalStart(axis, around, false, around);

function baselineAlong(fragment: Fragment, axis: AxisName, which: Which): number | null {
  const first = which === 'baseline';
  const { ownBaselines } = fragment;
  if (ownBaselines) return first ? ownBaselines.first : ownBaselines.last;
  return axis === 'inline' ? null : first ? fragment.baseline : fragment.lastBaseline;
}

/** Where there is no baseline: the edge that letters would stand on, in vertical text the middle. */
function synthesized(size: number, axis: AxisName, { style, mode }: Box): number {
  if (isCentral(style)) return size / 2;
  const standsOnLow = axis === 'block' ? mode === 'vertical-lr' : mode === 'horizontal-tb';
  return standsOnLow ? 0 : size;
}

export function groupOf(standing: readonly Standing[]): BaselineGroup {
  if (standing.length === 0) return NO_GROUP;
  return {
    above: Math.max(...standing.map((s) => s.above)),
    below: Math.max(...standing.map((s) => s.below)),
  };
}
