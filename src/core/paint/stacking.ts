import type { Box } from '../boxes/index.js';
import { makersOf } from '../css/index.js';

const MAKERS = makersOf('stacking');
/** What inline boxes do not take. @spec css-contain-3 §3 */
const CONTAINMENT: ReadonlySet<string> = new Set(['contain', 'contentVisibility', 'containerType']);

/** Why a box paints its descendants as one group. @spec css2 §9.9.1, css-position-4, css-color-4 §3.2, filter-effects-1, css-transforms-1, css-will-change-1, css-contain-3 */
export function stackingReasons(box: Box): readonly string[] {
  let known = reasons.get(box);
  if (!known) reasons.set(box, (known = found(box)));
  return known;
}

/** Of finished trees: nothing they depend on changes any more. */
const reasons = new WeakMap<Box, readonly string[]>();

function found(box: Box): readonly string[] {
  if (box.anonymous || box.inner === 'text') return [];
  const { style } = box;
  const out: string[] = [];
  const inFlexOrGrid =
    box.parent !== null && ['flex', 'grid'].includes(box.parent.inner) && box.style.position === 'static';
  if (box.parent === null) out.push('root element');
  if (style.position === 'fixed' || style.position === 'sticky') out.push(`position: ${style.position}`);
  else if (style.position !== 'static' && style.zIndex !== 'auto')
    out.push(`position: ${style.position} with z-index: ${style.zIndex}`);
  else if (style.position !== 'static' && style.willChange.includes('z-index')) out.push('will-change: z-index');
  if (inFlexOrGrid && style.zIndex !== 'auto') out.push(`flex or grid item with z-index: ${style.zIndex}`);
  // Inline boxes are not transformed, but what is said of a positioned one counts.
  const atomic = box.outer !== 'inline' || box.inner !== 'flow';
  const transformable = atomic || style.position !== 'static';
  for (const maker of MAKERS) {
    if (!atomic && CONTAINMENT.has(maker.key)) continue;
    const reason = maker.transformable && !transformable ? null : maker.says(style[maker.key]);
    if (reason !== null) out.push(reason);
  }
  return out;
}

/** The z-index that counts for painting: zero for contexts made by other means. */
export function usedZIndex(box: Box): number {
  const { style } = box;
  const inFlexOrGrid = box.parent !== null && ['flex', 'grid'].includes(box.parent.inner);
  if (style.zIndex === 'auto') return 0;
  return style.position !== 'static' || inFlexOrGrid ? style.zIndex : 0;
}
