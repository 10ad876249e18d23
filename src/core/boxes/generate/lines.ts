import type { ComputedStyle } from '../../cascade/index.js';
import type { TextMetrics } from '../text/index.js';

/** The face text of a style is set in. */
export function faceIn(style: ComputedStyle, metrics: TextMetrics) {
  return metrics.face(style.fontFamily, style.fontWeight, style.fontStyle !== 'normal');
}

/** Height of a line of a style, px. */
export function usedLineHeight(style: ComputedStyle, metrics: TextMetrics): number {
  const { lineHeight } = style;
  if (lineHeight === 'normal') return faceIn(style, metrics).lineHeight(style.fontSize);
  return 'px' in lineHeight ? lineHeight.px : lineHeight.factor * style.fontSize;
}
