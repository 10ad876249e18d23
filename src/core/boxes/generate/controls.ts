import type { ComputedStyle } from '../../cascade/index.js';
import type { ControlPart } from '../../css/index.js';
import type { ElementNode, MarkupView } from '../../html/index.js';
import type { NaturalSize } from '../box.js';
import { faceIn, type TextMetrics } from '../text/index.js';
import { labelOf } from './list-box.js';
import type { Sources } from './natural.js';
import { dateField, isDateType } from './date-field.js';
import { fileField } from './file-field.js';
import { fieldLine, usedLineHeight } from './lines.js';
import { range } from './range.js';
import { count, sized } from './sized.js';

/** Families whose average width browsers do not trust: they take that of the digit zero. */
const UNTRUSTED = /^(times|courier|helvetica|geneva|monaco|lucida grande|gill sans|hoefler text|symbol|osaka)$/i;

const WIDE = 1.7;

/** Width of one column of a text control, and what the widest glyph adds to a single line. */
function column(style: ComputedStyle, metrics: TextMetrics): { readonly column: number; readonly extra: number } {
  const font = faceIn(style, metrics);
  const average = font.average(style.fontSize);
  const zero = font.width('0', style.fontSize, false);
  // Where all glyphs are wide, pictures or ideographs, their average says nothing either.
  if (average > zero * WIDE || UNTRUSTED.test(style.fontFamily[0]?.name ?? '')) return { column: zero, extra: 0 };
  const used = Math.max(average, Math.round(average));
  return { column: used, extra: Math.max(0, Math.round(font.widest(style.fontSize)) - used) };
}

export function input(
  element: ElementNode,
  style: ComputedStyle,
  { markup, images, metrics, part }: Omit<Sources, 'pictures'>,
): NaturalSize {
  const type = (markup.attribute(element, 'type') ?? 'text').toLowerCase();
  const own = (name: ControlPart) => part(element, name);
  if (isDateType(type)) return dateField(type, (name) => markup.attribute(element, name), style, metrics, own);
  switch (type) {
    case 'checkbox':
    case 'radio':
      return sized(13, 13);
    case 'range':
      return range(style, own);
    case 'color':
      return SWATCH;
    case 'image': {
      const size = images(markup.attribute(element, 'src') ?? '');
      return size ?? sized(16, 16);
    }
    case 'file':
      return fileField(style, part(element, 'file-selector-button'), metrics);
    default: {
      const digits = type === 'number' ? digitsOf(element, markup) : null;
      const size = digits ?? (type === 'number' ? null : count(markup.attribute(element, 'size'))) ?? 20;
      const { column: one, extra } = column(style, metrics);
      const line = fieldLine(style, usedLineHeight(style, metrics), faceIn(style, metrics));
      return sized(
        Math.ceil(one * size + extra) + (digits && hasStepper(own('-webkit-inner-spin-button')) ? STEPPER : 0),
        line,
      );
    }
  }
}

const hasStepper = (arrows: ComputedStyle | null): boolean =>
  arrows !== null && arrows.display !== 'none' && arrows.appearance !== 'none';

/** What the swatch of a colour field has around it; the style sheet of the browser gives the field its size. */
const SWATCH: NaturalSize = { ...sized(6, 10), least: 6 };

const DECIMAL = /^(-?)0*(\d+)(?:\.(\d+))?(?:e[+-]?\d+)?$/i;

/** Characters the longest number between the limits of a field needs; null where they are open. */
function digitsOf(element: ElementNode, markup: MarkupView): number | null {
  const written = ['min', 'max', 'step'].map((name) => DECIMAL.exec(markup.attribute(element, name)?.trim() ?? ''));
  const [min, max, step] = written;
  if (!min || !max || (!step && markup.attribute(element, 'step') !== undefined)) return null;
  const given = written.filter((one) => one !== null);
  const before = Math.max(...given.map((one) => one[1]!.length + one[2]!.length));
  const after = Math.max(...given.map((one) => one[3]?.length ?? 0));
  return before + after + Number(after > 0);
}

const SCROLLBAR = 15;
/** Room for the arrows of a number field. */
const STEPPER = 15;

/** Whether a control has the looks of the system. @spec css-ui-4 §7.2 */
const drawn = ({ appearance }: ComputedStyle): boolean => appearance !== 'none';

const isOption = ({ tag }: ElementNode): boolean => tag === 'option';

export function select(
  element: ElementNode,
  style: ComputedStyle,
  { markup, metrics }: Pick<Sources, 'markup' | 'metrics'>,
): NaturalSize {
  const font = faceIn(style, metrics);
  // What stands in a group is set in by four spaces.
  const labels = element.elements.flatMap((e) =>
    e.tag === 'optgroup'
      ? e.elements.filter(isOption).map((o) => `    ${labelOf(o, markup)}`)
      : isOption(e)
        ? [labelOf(e, markup)]
        : [],
  );
  const widest = Math.max(0, ...labels.map((label) => font.width(label, style.fontSize, true)));
  const line = usedLineHeight(style, metrics);
  const height = font.ascent(style.fontSize) + font.descent(style.fontSize);
  if (!drawn(style)) return sized(Math.ceil(widest), style.lineHeight === 'normal' ? height : line);
  // Whatever line height is asked for, the line is as high as its font with a little room around it; the arrow takes
  // a square beside the text.
  return sized(Math.ceil(widest) + 20, height + 2);
}

export function textarea(
  element: ElementNode,
  style: ComputedStyle,
  { markup, metrics }: Pick<Sources, 'markup' | 'metrics'>,
): NaturalSize {
  const columns = count(markup.attribute(element, 'cols')) ?? 20;
  const rows = count(markup.attribute(element, 'rows')) ?? 2;
  return sized(Math.ceil(column(style, metrics).column * columns) + SCROLLBAR, usedLineHeight(style, metrics) * rows);
}
