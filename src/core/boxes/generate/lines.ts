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

/** Height of the line of a text field: no line is lower than its letters. @spec html §15.5.5 (browsers agree) */
export function fieldLineHeight(style: ComputedStyle, metrics: TextMetrics): number {
  const line = usedLineHeight(style, metrics);
  const face = faceIn(style, metrics);
  const letters = face.ascent(style.fontSize) + face.descent(style.fontSize);
  return line < letters ? face.lineHeight(style.fontSize) : line;
}
