import type { Span } from '../../base/index.js';
import { ABSOLUTE_UNITS } from '../../css/index.js';
import type { ElementNode, MarkupView } from '../../html/index.js';
import type { ComputedStyle } from '../../cascade/index.js';
import type { NaturalSize } from '../box.js';
import { isListBox, labelOf } from './list-box.js';
import type { TextMetrics } from '../text/index.js';

/** The natural size an SVG root element asks for. @spec css-images-3 §5.1, svg-2 §7.2 */
export function svgSize(
  attribute: (name: 'width' | 'height' | 'viewBox' | 'preserveAspectRatio') => string | undefined,
): NaturalSize {
  const length = (name: 'width' | 'height') => {
    const match = /^\s*([\d.]+(?:e[+-]?\d+)?)(px|pt|pc|in|cm|mm|em|ex)?\s*$/i.exec(attribute(name) ?? '');
    return match ? Number(match[1]) * (UNITS[match[2]?.toLowerCase() ?? 'px'] ?? 1) : null;
  };
  const width = length('width');
  const height = length('height');
  const view = (attribute('viewBox') ?? '')
    .trim()
    .split(/[\s,]+/)
    .map(Number);
  const byView = view.length === 4 && view[2]! > 0 && view[3]! > 0 ? view[2]! / view[3]! : null;
  const stretched = attribute('preserveAspectRatio')?.trim() === 'none';
  const ratio = width && height ? width / height : stretched ? null : byView;
  return {
    width: width ?? (height !== null && ratio !== null ? height * ratio : null),
    height: height ?? (width !== null && ratio !== null ? width / ratio : null),
    ratio,
  };
}

const UNITS: Readonly<Record<string, number>> = { ...ABSOLUTE_UNITS, em: 16, ex: 8 };

/**
 * Natural sizes of images by the reference to them, px; null where the file could not be read.
 * @param from the declaration that refers to it; otherwise the page does
 */
export type ImageSizes = (source: string, from?: Span) => NaturalSize | null;

/** Natural size of the picture an `img` shows on the screen at hand; null where its file could not be read. */
export type PictureSizes = (image: ElementNode) => NaturalSize | null;

const NONE: NaturalSize = { width: null, height: null, ratio: null };
const fixed = (width: number, height: number): NaturalSize => ({
  width,
  height,
  ratio: height > 0 ? width / height : null,
});
const sized = (width: number | null, height: number | null): NaturalSize => ({ width, height, ratio: null });

const REPLACED = new Set([
  'img',
  'video',
  'audio',
  'canvas',
  'iframe',
  'embed',
  'object',
  'input',
  'select',
  'textarea',
  'meter',
  'progress',
]);

const PICTURE_NAME = /\.(apng|avif|bmp|gif|jpe?g|png|svg|webp)(?:[?#]|$)|^data:image\//i;

/** Whether the element's content is laid out by something other than CSS. @spec html §15.4, §15.5 */
export function isReplaced(
  element: ElementNode,
  { markup, images }: Pick<Sources, 'markup' | 'images'>,
  scripting: boolean,
): boolean {
  if (element.namespace === 'svg') return element.tag === 'svg' && element.parent?.namespace !== 'svg';
  if (element.namespace === 'math') return false;
  if (element.tag === 'object') {
    const data = markup.attribute(element, 'data');
    if (data === undefined) return false;
    // What it holds is shown where the picture it names is missing.
    if (PICTURE_NAME.test(data)) return images(data) !== null;
    return element.children.every((c) => c.kind === 'text' && c.data.trim() === '');
  }
  // Without scripts a canvas shows what it holds.
  if (element.tag === 'canvas' && !scripting) return false;
  if (isListBox(element, markup)) return false;
  if (element.tag === 'input') return !/^(button|submit|reset)$/i.test(markup.attribute(element, 'type') ?? '');
  return REPLACED.has(element.tag);
}

const number = (text: string | undefined): number | null => {
  const match = /^\s*(\d+\.?\d*|\.\d+)/.exec(text ?? '');
  return match ? Number(match[1]) : null;
};

/** What natural sizes are read from. */
interface Sources {
  readonly markup: MarkupView;
  readonly images: ImageSizes;
  readonly pictures: PictureSizes;
  readonly metrics: TextMetrics;
}

/** The natural size of a replaced element or form control. */
export function naturalSize(
  element: ElementNode,
  style: ComputedStyle,
  { markup, images, pictures, metrics }: Sources,
): NaturalSize {
  switch (element.tag) {
    case 'img':
      return pictures(element) ?? sized(0, 0);
    case 'svg':
      return svg(element, markup);
    case 'video': {
      const poster = markup.attribute(element, 'poster');
      const size = poster ? images(poster) : null;
      return size ?? fixed(300, 150);
    }
    case 'canvas':
      return fixed(
        number(markup.attribute(element, 'width')) ?? 300,
        number(markup.attribute(element, 'height')) ?? 150,
      );
    case 'embed':
    case 'object':
      return images(markup.attribute(element, element.tag === 'embed' ? 'src' : 'data') ?? '') ?? sized(300, 150);
    case 'iframe':
      return sized(300, 150);
    case 'audio':
      return sized(300, 54);
    case 'input':
      return input(element, style, { markup, images, metrics });
    case 'select':
      return select(element, style, { markup, metrics });
    case 'textarea':
      return textarea(element, style, { markup, metrics });
    case 'meter':
    case 'progress':
      return sized(style.fontSize * (element.tag === 'meter' ? 5 : 10), style.fontSize);
    default:
      return NONE;
  }
}

function face(style: ComputedStyle, metrics: TextMetrics) {
  return metrics.face(style.fontFamily, style.fontWeight, style.fontStyle !== 'normal');
}

function svg(element: ElementNode, markup: MarkupView): NaturalSize {
  return svgSize((name) => markup.attribute(element, name));
}

/** Families whose average width browsers do not trust: they take that of the digit zero. */
const UNTRUSTED = /^(times|courier|helvetica|geneva|monaco|lucida grande|gill sans|hoefler text|symbol|osaka)$/i;

/** Width of one column of a text control, and what the widest glyph adds to a single line. */
function column(style: ComputedStyle, metrics: TextMetrics): { readonly column: number; readonly extra: number } {
  const font = face(style, metrics);
  if (UNTRUSTED.test(style.fontFamily[0]?.name ?? ''))
    return { column: font.width('0', style.fontSize, false), extra: 0 };
  const average = font.average(style.fontSize);
  const used = Math.max(average, Math.round(average));
  return { column: used, extra: Math.max(0, Math.round(font.widest(style.fontSize)) - used) };
}

function usedLineHeight(style: ComputedStyle, metrics: TextMetrics): number {
  const { lineHeight } = style;
  if (lineHeight === 'normal') return face(style, metrics).lineHeight(style.fontSize);
  return 'px' in lineHeight ? lineHeight.px : lineHeight.factor * style.fontSize;
}

function input(
  element: ElementNode,
  style: ComputedStyle,
  { markup, images, metrics }: Omit<Sources, 'pictures'>,
): NaturalSize {
  const type = (markup.attribute(element, 'type') ?? 'text').toLowerCase();
  switch (type) {
    case 'checkbox':
    case 'radio':
      return drawn(style) ? sized(13, 13) : sized(0, 0);
    case 'range':
      return sized(129, 16);
    case 'color':
      return sized(44, 21);
    case 'image': {
      const size = images(markup.attribute(element, 'src') ?? '');
      return size ?? sized(16, 16);
    }
    case 'file': {
      // Room for 34 digits of a file name, or for the button and what stands beside it.
      const width = (text: string) => face(style, metrics).width(text, style.fontSize, true);
      return sized(
        Math.ceil(Math.max(34 * width('0'), width('Choose File') + 18 + width('No file chosen'))),
        fileHeight(style, metrics),
      );
    }
    case 'date':
    case 'time':
    case 'month':
    case 'week':
    case 'datetime-local':
      return sized(
        (DATE_COLUMNS[type]! / DATE_SIZE) * style.fontSize,
        Math.max(usedLineHeight(style, metrics), type === 'time' ? style.fontSize * 1.05 + 6 : style.fontSize + 4),
      );
    default: {
      const size = Math.max(1, number(markup.attribute(element, 'size')) ?? 20);
      const { column: one, extra } = column(style, metrics);
      return sized(Math.ceil(one * size + extra), usedLineHeight(style, metrics));
    }
  }
}

/** Widths of date and time fields in English at the default size of controls, px. */
const DATE_SIZE = 13.3333;
const DATE_COLUMNS: Readonly<Record<string, number>> = {
  date: 119.33,
  time: 94,
  month: 149.33,
  week: 141.33,
  'datetime-local': 201.33,
};
const SCROLLBAR = 15;

/** Whether a control has the looks of the system. @spec css-ui-4 §7.2 */
const drawn = ({ appearance }: ComputedStyle): boolean => appearance !== 'none';

/** A line, or the button on it with its own edges. */
function fileHeight(style: ComputedStyle, metrics: TextMetrics): number {
  const font = face(style, metrics);
  return Math.max(usedLineHeight(style, metrics), font.lineHeight(style.fontSize) + 6);
}

function select(
  element: ElementNode,
  style: ComputedStyle,
  { markup, metrics }: Pick<Sources, 'markup' | 'metrics'>,
): NaturalSize {
  const options = element.elements
    .flatMap((e) => (e.tag === 'optgroup' ? e.elements : [e]))
    .filter((e) => e.tag === 'option');
  const font = face(style, metrics);
  const widest = Math.max(0, ...options.map((e) => font.width(labelOf(e, markup), style.fontSize, true)));
  const line = usedLineHeight(style, metrics);
  const height = font.ascent(style.fontSize) + font.descent(style.fontSize);
  if (!drawn(style)) return sized(Math.ceil(widest), style.lineHeight === 'normal' ? height : line);
  // Whatever line height is asked for, the line is as high as its font with a little room around it; the arrow takes
  // a square beside the text.
  return sized(Math.ceil(widest) + 20, height + 2);
}

function textarea(
  element: ElementNode,
  style: ComputedStyle,
  { markup, metrics }: Pick<Sources, 'markup' | 'metrics'>,
): NaturalSize {
  const columns = number(markup.attribute(element, 'cols')) ?? 20;
  const rows = number(markup.attribute(element, 'rows')) ?? 2;
  return sized(Math.ceil(column(style, metrics).column * columns) + SCROLLBAR, usedLineHeight(style, metrics) * rows);
}
