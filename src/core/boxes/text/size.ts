import type { ComputedStyle } from '../../cascade/index.js';
import type { Face } from './metrics.js';

/**
 * Size glyphs are really set at, px: font-size-adjust brings fonts to one height or width, and browsers cut what
 * comes out to hundredths. @spec css-fonts-5 §2.2
 */
export const usedFontSize = (style: ComputedStyle, face: Face): number =>
  Math.floor(Math.fround(Math.fround(adjustedSize(style, face)) * 100)) / 100;

function adjustedSize({ fontSize, fontSizeAdjust }: ComputedStyle, face: Face): number {
  const asked = /^(?:(ex-height|ch-width) )?([\d.]+)$/.exec(fontSizeAdjust);
  if (!asked) return fontSize;
  const aspect = asked[1] === 'ch-width' ? face.width('0', 1000, false) / 1000 : face.xHeight(1);
  return aspect > 0 ? (fontSize * Number(asked[2])) / aspect : fontSize;
}
