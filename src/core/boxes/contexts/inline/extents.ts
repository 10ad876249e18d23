import type { ComputedStyle } from '../../../cascade/index.js';
import { snap } from '../../fragment.js';
import type { Layout } from '../../layout.js';
import { withLeading, type Extent } from '../../text/index.js';
import { faceOf, sizeOf } from './set-text.js';

/** Line height of a style in px. @spec css-inline-3 §5.1 */
export function lineHeightOf(style: ComputedStyle, layout: Pick<Layout, 'metrics'>): number {
  const { lineHeight } = style;
  if (lineHeight === 'normal') return faceOf(style, layout).lineHeight(sizeOf(style, layout));
  // As browsers have it: lengths are rounded to the 64th, and so are the sizes that factors multiply, which they do as
  // percentages in 32 bits.
  const whole = (length: number) => Math.round(length * 64) / 64;
  if ('px' in lineHeight) return whole(lineHeight.px);
  const hundredfold = Math.fround(whole(style.fontSize) * Math.fround(lineHeight.factor * 100));
  return snap(Math.fround(hundredfold / 100));
}

/** Lines of vertical text share their middles. @spec css-inline-3 §4.1, css-writing-modes-4 §4.2 */
export const isCentral = ({ writingMode, textOrientation }: ComputedStyle): boolean =>
  writingMode.startsWith('vertical') && textOrientation !== 'sideways';

export function contentExtent(style: ComputedStyle, layout: Pick<Layout, 'metrics'>): Extent {
  const face = faceOf(style, layout);
  const size = sizeOf(style, layout);
  const above = face.ascent(size);
  const below = face.descent(size);
  return isCentral(style) ? aboutMiddle(above + below) : { above, below };
}

/** A height about a central baseline: browsers have the whole px that cannot be halved above it. */
export const aboutMiddle = (height: number): Extent => {
  const below = Math.floor(height / 2);
  return { above: height - below, below };
};

const struts = new WeakMap<ComputedStyle, { readonly metrics: Layout['metrics']; readonly strut: Extent }>();

/** Content area with half the leading on each side. */
export function leadedExtent(style: ComputedStyle, layout: Pick<Layout, 'metrics'>): Extent {
  let known = struts.get(style);
  if (known?.metrics !== layout.metrics)
    struts.set(style, (known = { metrics: layout.metrics, strut: findLeaded(style, layout) }));
  return known.strut;
}

const findLeaded = (style: ComputedStyle, layout: Pick<Layout, 'metrics'>): Extent =>
  withLeading(contentExtent(style, layout), lineHeightOf(style, layout));
