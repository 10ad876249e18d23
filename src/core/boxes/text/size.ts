import type { ComputedStyle } from '../../cascade/index.js';
import type { Face } from './metrics.js';

/** Browsers set fonts at hundredths of a px and cut what is left over. */
export const cutFontSize = (size: number): number => Math.floor(Math.fround(Math.fround(size) * 100)) / 100;

/** Size glyphs are really set at, px: font-size-adjust brings fonts to one height or width. @spec css-fonts-5 §2.2 */
export const usedFontSize = (style: ComputedStyle, face: Face): number => cutFontSize(adjustedSize(style, face));

function adjustedSize({ fontSize, fontSizeAdjust }: ComputedStyle, face: Face): number {
  const asked = /^(?:(ex-height|ch-width) )?([\d.]+)$/.exec(fontSizeAdjust);
  if (!asked) return fontSize;
  const aspect = asked[1] === 'ch-width' ? face.width('0', 1000, false) / 1000 : face.xHeight(1);
  return aspect > 0 ? (fontSize * Number(asked[2])) / aspect : fontSize;
}
