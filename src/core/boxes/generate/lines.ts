import type { ComputedStyle } from '../../cascade/index.js';
import { faceIn, type Face, type TextMetrics } from '../text/index.js';

/** Height of a line of a style, px. */
export function usedLineHeight(style: ComputedStyle, metrics: TextMetrics): number {
  const { lineHeight } = style;
  if (lineHeight === 'normal') return faceIn(style, metrics).lineHeight(style.fontSize);
  return 'px' in lineHeight ? lineHeight.px : lineHeight.factor * style.fontSize;
}

/**
 * Height of the line of a text field that is told one: none is lower than its letters, and a field that is told a
 * height itself, be it a share of something unknown, keeps the line of its font.
 * @spec html §15.5.5 (browsers agree)
 */
export const fieldLine = ({ height, fontSize }: ComputedStyle, told: number, face: Face): number =>
  height !== 'auto' || told < face.ascent(fontSize) + face.descent(fontSize) ? face.lineHeight(fontSize) : told;
