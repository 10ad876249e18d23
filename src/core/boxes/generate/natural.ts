import type { Span } from '../../base/index.js';
import { ABSOLUTE_UNITS, type ControlPart } from '../../css/index.js';
import type { ElementNode, MarkupView } from '../../html/index.js';
import type { ComputedStyle } from '../../cascade/index.js';
import type { NaturalSize } from '../box.js';
import { input, select, textarea } from './controls.js';
import { isListBox } from './list-box.js';
import { number, sized } from './sized.js';
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

/** What is ticked or measures is an empty box like any other without the looks of the system. @spec css-ui-4 §7.2 */
export const isPlain = ({ tag, namespace, attributes }: ElementNode, { appearance }: ComputedStyle): boolean =>
  appearance === 'none' &&
  namespace === 'html' &&
  (tag === 'meter' ||
    tag === 'progress' ||
    (tag === 'input' && /^(checkbox|radio)$/i.test(attributes.get('type') ?? '')));

/** Whether the element's content is laid out by something other than CSS. @spec html §15.4, §15.5 */
export function isReplaced(
  element: ElementNode,
  style: ComputedStyle,
  { markup, images }: Pick<Sources, 'markup' | 'images'>,
  scripting: boolean,
): boolean {
  if (element.namespace === 'svg') return element.tag === 'svg' && element.parent?.namespace !== 'svg';
  if (element.namespace === 'math') return false;
  if (element.tag === 'object') {
    const data = markup.attribute(element, 'data') ?? '';
    // What it holds is shown where the picture it names is missing.
    if (PICTURE_NAME.test(data)) return images(data) !== null;
    const holdsNothing = element.children.every((c) =>
      c.kind === 'text' ? c.data.trim() === '' : c.kind !== 'element' || c.tag === 'param',
    );
    return holdsNothing || data.startsWith('data:');
  }
  // Without scripts a canvas shows what it holds.
  if (element.tag === 'canvas' && !scripting) return false;
  if (isListBox(element, markup) || isPlain(element, style)) return false;
  if (element.tag === 'input') return !/^(button|submit|reset)$/i.test(markup.attribute(element, 'type') ?? '');
  return REPLACED.has(element.tag);
}

/** Style of a part of a control as if its lines were horizontal; null where no rule speaks of it. */
export type Part = (control: ElementNode, name: ControlPart) => ComputedStyle | null;

/** What natural sizes are read from. */
export interface Sources {
  readonly markup: MarkupView;
  readonly images: ImageSizes;
  readonly pictures: PictureSizes;
  readonly metrics: TextMetrics;
  readonly part: Part;
}

/** The natural size of a replaced element or form control. */
export function naturalSize(element: ElementNode, style: ComputedStyle, sources: Sources): NaturalSize {
  const control = controlSize(element, style, sources);
  if (!control) return pictureSize(element, sources);
  // Controls are written along their lines.
  const turned = style.writingMode !== 'horizontal-tb' && control.ratio === null;
  return turned ? sized(control.height, control.width) : control;
}

function controlSize(element: ElementNode, style: ComputedStyle, sources: Sources): NaturalSize | null {
  switch (element.tag) {
    case 'input':
      return input(element, style, sources);
    case 'select':
      return select(element, style, sources);
    case 'textarea':
      return textarea(element, style, sources);
    case 'meter':
    case 'progress':
    case 'audio':
      // The style sheet of the browser gives them their size.
      return sized(0, 0);
    default:
      return null;
  }
}

function pictureSize(element: ElementNode, { markup, images, pictures }: Sources): NaturalSize {
  switch (element.tag) {
    case 'img':
      return pictures(element) ?? sized(0, 0);
    case 'svg':
      return svg(element, markup);
    case 'video': {
      const poster = markup.attribute(element, 'poster');
      const size = poster ? images(poster) : null;
      return size ?? NONE;
    }
    case 'canvas':
      return fixed(
        number(markup.attribute(element, 'width')) ?? 300,
        number(markup.attribute(element, 'height')) ?? 150,
      );
    case 'embed': {
      const source = markup.attribute(element, 'src') ?? '';
      const raster = !/svg/i.test(source) && PICTURE_NAME.test(source);
      return images(source) ?? (raster ? sized(0, 0) : NONE);
    }
    case 'object':
      return images(markup.attribute(element, 'data') ?? '') ?? NONE;
    default:
      return NONE;
  }
}

function svg(element: ElementNode, markup: MarkupView): NaturalSize {
  // In the page itself even a picture that may be stretched keeps its ratio.
  return svgSize((name) => (name === 'preserveAspectRatio' ? undefined : markup.attribute(element, name)));
}
