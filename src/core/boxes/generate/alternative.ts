import type { ElementNode, MarkupView } from '../../html/index.js';
import { px, ZERO } from '../../css/index.js';
import { withValues, type ComputedStyle } from '../../cascade/index.js';
import type { Box } from '../box.js';
import type { ImageSizes, PictureSizes } from './natural.js';
import { make, push, type Building } from './make.js';
import { transformText } from '../text/index.js';

/** What stands in for an image that did not load. @spec html §15.4.2 */
export interface Alternative {
  readonly icon: boolean;
  readonly text: string;
}

const ICON = 16;

interface Sources {
  readonly markup: MarkupView;
  readonly images: ImageSizes;
  readonly pictures: PictureSizes;
  readonly quirks: boolean;
}

/** An image whose file is missing: what it shows instead, null where it stays a replaced box, and the style of its box. */
export interface MissingImage {
  readonly alternative: Alternative | null;
  readonly style: ComputedStyle;
  /** It holds a frame of the size asked for. */
  readonly framed: boolean;
  /** A text stands in that frame. */
  readonly filled: boolean;
}

/**
 * What becomes of an image whose file is missing; null of other elements. It stays a replaced box where it has no text
 * (in quirks mode: whatever its text) and both sizes are given or follow from a ratio, or where it has neither text nor an address.
 * @spec html §15.4.2, §15.4.3
 */
export function missingImage(
  element: ElementNode,
  style: ComputedStyle,
  { markup, images, pictures, quirks }: Sources,
): MissingImage | null {
  const button = element.tag === 'input' && /^image$/i.test(markup.attribute(element, 'type') ?? '');
  if (element.namespace !== 'html' || (element.tag !== 'img' && !button)) return null;
  const source = markup.attribute(element, 'src') || undefined;
  if (button ? source && images(source) : pictures(element)) return null;
  const alt = markup.attribute(element, 'alt');
  const text =
    alt ??
    markup.attribute(element, 'title') ??
    (button ? (markup.attribute(element, 'value') ?? 'Submit') : undefined);
  const asks = ['src', 'srcset'].some((name) => markup.attribute(element, name) !== undefined);
  const kept = { alternative: null, style, framed: asks || Boolean(text), filled: Boolean(text) };
  const sizes = [style.width, style.height].filter((size) => size !== 'auto').length;
  if (sizes === 2 && (quirks || !alt)) return kept;
  // Where quirks rule, one with one size is as wide as high; elsewhere a ratio gives the other.
  if (quirks && sizes === 1 && (text || asks)) return { ...kept, style: squared(style) };
  if (sizes === 1 && !alt && style.aspectRatio.ratio !== null) return kept;
  // Where no file is asked for none is missing.
  if (!text && !asks && !button) return kept;
  const nothing = text === '' || (source === undefined && text === undefined);
  return {
    alternative: { icon: !nothing, text: text ?? '' },
    style: styleOfAlternative(style),
    framed: false,
    filled: false,
  };
}

const squared = (style: ComputedStyle): ComputedStyle =>
  withValues(style, style.width === 'auto' ? { width: style.height } : { height: style.width });

/** An inline one takes the size of what it shows. */
const styleOfAlternative = (style: ComputedStyle): ComputedStyle =>
  style.display === 'inline'
    ? withValues(style, { width: 'auto', height: 'auto', aspectRatio: { auto: true, ratio: null } })
    : style;

/** The small picture and the text beside it. */
export function fillWithAlternative(box: Box, alternative: Alternative, building: Building): void {
  const { computed: style } = box;
  if (alternative.icon)
    push(
      box,
      make(building, {
        style: withValues(style, ICON_STYLE),
        outer: 'block',
        inner: 'replaced',
        parent: box,
        natural: { width: ICON, height: ICON, ratio: 1 },
      }),
    );
  const text = transformText(alternative.text, style.textTransform, '');
  if (text !== '') push(box, make(building, { style, outer: 'inline', inner: 'text', parent: box, text }));
}

const NOTHING = Object.fromEntries(
  ['Top', 'Right', 'Bottom', 'Left'].flatMap((side) => [
    [`margin${side}`, ZERO],
    [`padding${side}`, ZERO],
    [`border${side}Width`, 0],
  ]),
);
const ICON_STYLE = {
  ...NOTHING,
  display: 'block',
  position: 'static',
  float: 'left',
  clear: 'none',
  width: px(ICON),
  height: px(ICON),
  minWidth: 'auto',
  minHeight: 'auto',
  maxWidth: 'none',
  maxHeight: 'none',
  transform: [],
  opacity: 1,
  zIndex: 'auto',
  backgroundImage: [],
} as const;
