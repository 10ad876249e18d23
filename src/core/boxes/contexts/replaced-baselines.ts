import { isLengthPercentage, resolveLength } from '../../css/index.js';
import { displaySize } from '../../html/index.js';
import { isFormControl, type Box } from '../box.js';
import { fieldLine } from '../generate/lines.js';
import { faceIn } from '../text/index.js';
import type { Layout } from '../layout.js';
import { EMPTY_FRAME } from '../used/replaced.js';
import { frameHeight, type Frame } from '../used/sizes.js';
import { lineHeightOf } from './inline/extents.js';

/**
 * Where what a replaced box shows stands, from the top of its border box, px; null where it has no baseline of its own.
 * @param height of the border box, px
 */
export function replacedBaseline(box: Box, height: number, frame: Frame, layout: Layout): number | null {
  if (box.natural!.framed) return framedBaseline(box, height, frame);
  const control = isFormControl(box) && /^(input|select|textarea)$/.test(box.element!.tag);
  return control ? controlBaseline(box, height, frame, layout) : null;
}

/** The frame in an image without its file is as high as asked for, whatever is left for it. @spec html §15.4.2 (browsers agree) */
function framedBaseline({ style }: Box, height: number, frame: Frame): number | null {
  const { border, padding } = frame;
  const content = height - frameHeight(frame);
  if (!isLengthPercentage(style.height))
    return style.aspectRatio.ratio === null
      ? null
      : border.top + padding.top + (content < EMPTY_FRAME ? 0 : EMPTY_FRAME);
  const most = isLengthPercentage(style.maxHeight) ? resolveLength(style.maxHeight, content) : Infinity;
  return border.top + padding.top + Math.min(resolveLength(style.height, content), most);
}

/** Where controls without text of their own stand, from their lower edge; px. Browsers agree on no rule. */
const BELOW = { list: -3, color: -6, range: 0 } as const;

/** Room above and below what a drop-down shows, px. */
const AROUND_CHOICE = 1;

/** Text controls stand on the baseline of their text. */
function controlBaseline(box: Box, height: number, { border, padding }: Frame, layout: Layout): number | null {
  const { tag, attributes } = box.element!;
  const list = tag === 'select' && displaySize((name) => attributes.get(name)) > 1;
  if (list) return height + BELOW.list;
  const type = attributes.get('type')?.toLowerCase();
  // What has no text stands on lines, but gives the blocks around it none to stand on.
  if (tag === 'input' && box.outer === 'block' && /^(checkbox|radio|range)$/.test(type ?? '')) return null;
  if (tag === 'input' && (type === 'color' || type === 'range')) return height + BELOW[type];
  if (tag === 'input' && (type === 'checkbox' || type === 'radio')) return height;
  const { fontSize } = box.style;
  const face = faceIn(box.style, layout.metrics);
  const [ascent, descent] = [face.ascent(fontSize), face.descent(fontSize)];
  const top = border.top + padding.top;
  const room = height - frameHeight({ border, padding });
  if (tag === 'select' && box.style.appearance !== 'none')
    return top + Math.max(AROUND_CHOICE, (room - ascent - descent) / 2) + ascent;
  const told = lineHeightOf(box.style, layout);
  if (tag === 'textarea') return top + Math.floor((told - ascent - descent) / 2) + ascent;
  const line = tag === 'input' ? fieldLine(box.style, told, face) : told;
  // Browsers centre the whole px of a line of text.
  const above = tag === 'input' ? (room - Math.floor(line)) / 2 : Math.max(0, (room - line) / 2);
  return top + above + Math.floor((line - ascent - descent) / 2) + ascent;
}
