import type { ComputedStyle } from '../../cascade/index.js';
import type { NaturalSize } from '../box.js';
import { faceIn, type TextMetrics } from '../text/index.js';
import { usedLineHeight } from './lines.js';
import { definite, fixed, outer, sized } from './sized.js';

/** Digits of a file name there is room for. */
const DIGITS = 34;

/** Natural size of a field for files: a line that holds its button and the words beside it. @spec html §15.5.11 (browsers agree) */
export function fileField(style: ComputedStyle, button: ComputedStyle | null, metrics: TextMetrics): NaturalSize {
  const width = (text: string, of: ComputedStyle) => faceIn(of, metrics).width(text, of.fontSize, true);
  const strut = extent(style, usedLineHeight(style, metrics), metrics);
  const beside = width('No file chosen', style);
  const digits = DIGITS * width('0', style);
  if (!button || button.display === 'none')
    return sized(Math.ceil(Math.max(digits, beside)), strut.above + strut.below);
  const across =
    button.borderLeftWidth + button.borderRightWidth + fixed(button.paddingLeft) + fixed(button.paddingRight);
  // A width the button is given does not count.
  const used = width('Choose File', button) + across + fixed(button.marginLeft) + fixed(button.marginRight);
  const { above, below } = buttonExtent(button, metrics);
  return sized(Math.ceil(Math.max(digits, used + beside)), Math.max(strut.above, above) + Math.max(strut.below, below));
}

/** How far a line of a height reaches above and below its baseline, px. */
function extent(style: ComputedStyle, line: number, metrics: TextMetrics) {
  const font = faceIn(style, metrics);
  const [ascent, descent] = [font.ascent(style.fontSize), font.descent(style.fontSize)];
  const above = ascent + (line - ascent - descent) / 2;
  return { above, below: line - above };
}

/** The margin box of the button around its baseline; its line is centred in it. */
function buttonExtent(style: ComputedStyle, metrics: TextMetrics) {
  // Buttons the system draws have lines of their own height.
  const line = style.appearance === 'auto' ? normalLine(style, metrics) : usedLineHeight(style, metrics);
  const text = extent(style, line, metrics);
  const edges = style.borderTopWidth + style.borderBottomWidth + fixed(style.paddingTop) + fixed(style.paddingBottom);
  const told = definite(style.height);
  const room = told === null ? line : Math.max(0, outer(style, told, edges) - edges);
  const centred = Math.max(0, (room - line) / 2);
  const above = style.borderTopWidth + fixed(style.paddingTop) + centred + text.above;
  const height = edges + room;
  return { above: above + fixed(style.marginTop), below: height - above + fixed(style.marginBottom) };
}

const normalLine = (style: ComputedStyle, metrics: TextMetrics): number =>
  faceIn(style, metrics).lineHeight(style.fontSize);
