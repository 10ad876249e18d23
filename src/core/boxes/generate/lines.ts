import type { ComputedStyle } from '../../cascade/index.js';
import { faceIn, type Face, type TextMetrics } from '../text/index.js';

/** Height of a line of a style, px. */
export function usedLineHeight(style: ComputedStyle, metrics: TextMetrics): number {
  const { lineHeight } = style;
  if (lineHeight === 'normal') return faceIn(style, metrics).lineHeight(style.fontSize);
  return 'px' in lineHeight ? lineHeight.px : lineHeight.factor * style.fontSize;
}

/** Height of the line of a text field that is told one: none is lower than its letters. @spec html §15.5.5 (browsers agree) */
export const fieldLine = (told: number, face: Face, size: number): number =>
  told < face.ascent(size) + face.descent(size) ? face.lineHeight(size) : told;
