import type { Box } from '../box.js';
import type { Fragment } from '../fragment.js';
import { isCentral } from './inline/extents.js';

/** How far a margin box reaches above and below the baseline it is aligned by, px. */
export interface Standing {
  readonly above: number;
  readonly below: number;
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
  which: 'baseline' | 'last baseline',
): Standing {
  const own = which === 'baseline' ? fragment.baseline : fragment.lastBaseline;
  const at = own ?? (isCentral(container.style) ? fragment.height / 2 : fragment.height);
  return { above: marginTop + at, below: fragment.height - at + marginBottom };
}

export function groupOf(standing: readonly Standing[]): BaselineGroup {
  if (standing.length === 0) return NO_GROUP;
  return {
    above: Math.max(...standing.map((s) => s.above)),
    below: Math.max(...standing.map((s) => s.below)),
  };
}
