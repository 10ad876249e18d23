import { withValues, type ComputedStyle } from '../../cascade/index.js';
import { px, ZERO } from '../../css/index.js';
import { faceIn, inkOf, type TextMetrics } from '../text/index.js';
import { usedLineHeight } from './lines.js';

/** Lines an initial letter is high, and how many of them it sinks below the first. */
interface Asked {
  readonly size: number;
  readonly sink: number;
}

/** @spec css-inline-3 §3.2 */
function askedOf({ initialLetter }: ComputedStyle): Asked | null {
  const [size, sink] = initialLetter.split(' ');
  const lines = Number(size);
  if (!(lines >= 1)) return null;
  if (sink === 'raise') return { size: lines, sink: 1 };
  return { size: lines, sink: Number(sink) >= 1 ? Number(sink) : Math.floor(lines) };
}

/** An initial letter: the style of its box, and how much higher than the others it makes its line, px. */
export interface InitialLetter {
  readonly style: ComputedStyle;
  /** How far the first line's baseline lies below the line's upper edge, px; null where it is not moved. */
  readonly lowered: number | null;
}

/**
 * An initial letter stands beside as many lines as it sinks, its capitals as high as the lines asked for; null where a
 * letter is none.
 * @param around style of the block whose first line it begins
 * @spec css-inline-3 §3.3 (alignment), §3.4 (size), §3.6 (exclusion)
 */
export function initialLetter(
  text: string,
  style: ComputedStyle,
  around: ComputedStyle,
  metrics: TextMetrics,
): InitialLetter | null {
  const asked = askedOf(style);
  if (!asked || style.float !== 'none' || around.writingMode !== 'horizontal-tb') return null;
  const line = usedLineHeight(around, metrics);
  const root = faceIn(around, metrics);
  const [ascent, descent] = [root.ascent(around.fontSize), root.descent(around.fontSize)];
  const first = ascent + Math.floor((line - ascent - descent) / 2);
  const face = faceIn(style, metrics);
  const capitals = (asked.size - 1) * line + root.capHeight(around.fontSize);
  const fontSize = capitals / face.capHeight(1);
  const raised = Math.max(0, asked.size - asked.sink) * line;
  const covered = Math.max(asked.size, asked.sink) * line;
  const baseline = first + covered - line;
  const ink = inkOf(text, face, fontSize);
  const edges =
    [style.marginTop, style.marginBottom, style.paddingTop, style.paddingBottom].reduce(
      (sum, edge) => sum + (edge === 'auto' ? 0 : edge.px),
      0,
    ) +
    style.borderTopWidth +
    style.borderBottomWidth;
  return {
    style: withValues(style, {
      float: around.direction === 'rtl' ? 'right' : 'left',
      boxSizing: 'content-box',
      height: px(Math.max(0, (ink ? baseline + ink.bottom : covered) - edges)),
      minHeight: 'auto',
      maxHeight: 'none',
      width: ink ? px(ink.right - ink.left) : 'auto',
      textIndent: ink ? px(-ink.left) : ZERO,
      fontSize,
      lineHeight: px(Math.max(0, 2 * baseline - face.ascent(fontSize) + face.descent(fontSize))),
    }),
    lowered: raised > 0 ? first + raised : null,
  };
}
