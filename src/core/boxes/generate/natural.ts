import type { ElementNode } from '../../html/index.js';
import type { ComputedStyle } from '../../cascade/index.js';
import type { NaturalSize } from '../box.js';
import type { TextMetrics } from '../text/index.js';

/** Natural sizes of images by the value of their `src`, px; null where the file could not be read. */
export type ImageSizes = (source: string) => { readonly width: number; readonly height: number } | null;

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

/** Whether the element's content is laid out by something other than CSS. @spec html §15.4, §15.5 */
export function isReplaced(element: ElementNode): boolean {
  if (element.namespace === 'svg') return element.tag === 'svg' && element.parent?.namespace !== 'svg';
  if (element.namespace === 'math') return false;
  if (element.tag === 'object')
    return element.children.every((c) => c.kind === 'text' && c.data.trim() === '') && element.attributes.has('data');
  if (element.tag === 'img') return true;
  if (element.tag === 'input') return !/^(button|submit|reset)$/i.test(element.attributes.get('type') ?? '');
  return REPLACED.has(element.tag);
}

const number = (text: string | undefined): number | null => {
  const match = /^\s*(\d+\.?\d*|\.\d+)/.exec(text ?? '');
  return match ? Number(match[1]) : null;
};

/** The natural size of a replaced element or form control. */
export function naturalSize(
  element: ElementNode,
  style: ComputedStyle,
  images: ImageSizes,
  metrics: TextMetrics,
): NaturalSize {
  switch (element.tag) {
    case 'img':
      return image(element, style, images, metrics);
    case 'svg':
      return svg(element);
    case 'video': {
      const poster = element.attributes.get('poster');
      const size = poster ? images(poster) : null;
      return size ? fixed(size.width, size.height) : fixed(300, 150);
    }
    case 'canvas':
      return fixed(number(element.attributes.get('width')) ?? 300, number(element.attributes.get('height')) ?? 150);
    case 'iframe':
    case 'embed':
    case 'object':
      return sized(300, 150);
    case 'audio':
      return sized(300, 54);
    case 'input':
      return input(element, style, images, metrics);
    case 'select':
      return select(element, style, metrics);
    case 'textarea':
      return textarea(element, style, metrics);
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

function image(element: ElementNode, style: ComputedStyle, images: ImageSizes, metrics: TextMetrics): NaturalSize {
  const source = element.attributes.get('src');
  const size = source ? images(source) : null;
  if (size) return fixed(size.width, size.height);
  const alt = element.attributes.get('alt');
  if (alt === '' || (alt === undefined && !source)) return sized(0, 0);
  if (alt === undefined) return sized(16, 16);
  // A broken image shows its alternative text beside a small picture.
  const text = face(style, metrics).width(alt, style.fontSize, true);
  const line = face(style, metrics).lineHeight(style.fontSize);
  return sized(16 + text, Math.max(16, line));
}

/** @spec css-images-3 §5.1, svg-2 §7.2 */
function svg(element: ElementNode): NaturalSize {
  const size = (name: string) => {
    const text = element.attributes.get(name)?.trim();
    return text && /^[\d.]+(px)?$/.test(text) ? parseFloat(text) : null;
  };
  const width = size('width');
  const height = size('height');
  const box = (element.attributes.get('viewBox') ?? '')
    .trim()
    .split(/[\s,]+/)
    .map(Number);
  const ratio = box.length === 4 && box[2]! > 0 && box[3]! > 0 ? box[2]! / box[3]! : null;
  if (width !== null && height !== null) return fixed(width, height);
  if (ratio !== null)
    return {
      width: width ?? (height === null ? null : height * ratio),
      height: height ?? (width === null ? null : width / ratio),
      ratio,
    };
  return { width, height, ratio: null };
}

/** Average advance browsers take for a column of a text control: that of the digit zero is the nearest we have. */
function column(style: ComputedStyle, metrics: TextMetrics): number {
  return face(style, metrics).width('0', style.fontSize, false);
}

function usedLineHeight(style: ComputedStyle, metrics: TextMetrics): number {
  const { lineHeight } = style;
  if (lineHeight === 'normal') return face(style, metrics).lineHeight(style.fontSize);
  return 'px' in lineHeight ? lineHeight.px : lineHeight.factor * style.fontSize;
}

function input(element: ElementNode, style: ComputedStyle, images: ImageSizes, metrics: TextMetrics): NaturalSize {
  const type = (element.attributes.get('type') ?? 'text').toLowerCase();
  switch (type) {
    case 'checkbox':
    case 'radio':
      return sized(13, 13);
    case 'range':
      return sized(129, 16);
    case 'color':
      return sized(44, 23);
    case 'image': {
      const size = images(element.attributes.get('src') ?? '');
      return size ? fixed(size.width, size.height) : sized(16, 16);
    }
    case 'file': {
      const label = face(style, metrics).width('Choose FileNo file chosen', style.fontSize, true) + 20;
      return sized(Math.max(label, 238), usedLineHeight(style, metrics) + 6);
    }
    case 'date':
    case 'time':
    case 'month':
    case 'week':
    case 'datetime-local':
      return sized(column(style, metrics) * 15 + 24, usedLineHeight(style, metrics) + 2);
    default: {
      const size = Math.max(1, number(element.attributes.get('size')) ?? 20);
      const number_ = type === 'number' ? 0 : 0;
      return sized(Math.ceil(column(style, metrics) * size) + number_, usedLineHeight(style, metrics));
    }
  }
}

function select(element: ElementNode, style: ComputedStyle, metrics: TextMetrics): NaturalSize {
  const options = element.elements
    .flatMap((e) => (e.tag === 'optgroup' ? e.elements : [e]))
    .filter((e) => e.tag === 'option');
  const font = face(style, metrics);
  const label = (e: ElementNode) =>
    e.attributes.get('label') ??
    e.children
      .map((c) => (c.kind === 'text' ? c.data : ''))
      .join('')
      .trim()
      .replace(/\s+/g, ' ');
  const widest = Math.max(0, ...options.map((e) => font.width(label(e), style.fontSize, true)));
  const rows = number(element.attributes.get('size')) ?? (element.attributes.has('multiple') ? 4 : 1);
  const line = usedLineHeight(style, metrics);
  if (rows > 1 || element.attributes.has('multiple')) return sized(Math.ceil(widest) + 4, (line + 1.5) * rows);
  // The arrow takes a square beside the text, and the text has a little room around it.
  return sized(Math.ceil(widest) + 22, Math.max(line, 17));
}

function textarea(element: ElementNode, style: ComputedStyle, metrics: TextMetrics): NaturalSize {
  const columns = number(element.attributes.get('cols')) ?? 20;
  const rows = number(element.attributes.get('rows')) ?? 2;
  return sized(Math.ceil(column(style, metrics) * columns), usedLineHeight(style, metrics) * rows);
}
