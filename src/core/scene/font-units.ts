import { cutFontSize, type TextMetrics } from '../boxes/index.js';
import type { FontUnits } from '../cascade/index.js';

/** What units such as `ex`, `cap` and `ch` are read from, in the fonts of a page. @spec css-values-4 §6.1.1 */
export function fontUnits(metrics: TextMetrics): FontUnits {
  return (families, size, weight, italic) => {
    const face = metrics.face(families, weight, italic);
    const used = cutFontSize(size);
    return {
      xHeight: face.xHeight(used),
      capHeight: face.capHeight(used),
      zeroAdvance: face.width('0', size, false),
      lineHeight: face.lineHeight(size),
    };
  };
}
