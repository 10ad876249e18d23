import { withValues, type ComputedStyle } from '../../cascade/index.js';
import type { ElementNode } from '../../html/index.js';
import type { Box, Marker, NaturalSize } from '../box.js';
import { generatedContent, markerText } from './content.js';
import { faceIn } from '../text/index.js';
import { BULLETS } from './counter-styles.js';
import { make, push, type Building } from './make.js';
import { markerPicture, picture, NOTHING } from './pictures.js';
import { text } from './text-boxes.js';

/** What browsers leave between a picture and the text of its list item, px. */
const BESIDE_PICTURE = 7;

const isListItem = ({ display }: ComputedStyle): boolean => display.includes('list-item');

/** Browsers keep the marker of a summary inside, and that of an item without a list where quirks rule. @spec html §15.3.8 */
function isInside(
  element: ElementNode,
  { listStylePosition, display }: ComputedStyle,
  { document }: Building,
): boolean {
  if (listStylePosition === 'inside' || display.startsWith('inline') || element.tag === 'summary') return true;
  return document.quirks && element.tag === 'li' && !isInList(element);
}

function isInList({ parent }: ElementNode): boolean {
  return parent !== null && (parent.tag === 'ul' || parent.tag === 'ol' || isInList(parent));
}

/** The style of a marker: that of its item, with what `::marker` says of fonts and lines. @spec css-pseudo-4 §4.2 */
function markerStyle(element: ElementNode, style: ComputedStyle, { styles }: Building): ComputedStyle {
  const own = styles.pseudo(element, 'marker');
  if (!own) return style;
  const { fontFamily, fontSize, fontStyle, fontWeight, fontStretch, lineHeight, content, color } = own;
  return withValues(style, { fontFamily, fontSize, fontStyle, fontWeight, fontStretch, lineHeight, content, color });
}

/** The marker that stands beside a list item; null where it has none or holds it inside. @spec css-lists-3 §3 */
export function outsideMarker(element: ElementNode, item: ComputedStyle, building: Building): Marker | null {
  if (!isListItem(item) || isInside(element, item, building)) return null;
  const style = markerStyle(element, item, building);
  const parts = partsOf(element, style, building);
  if (!parts) return null;
  const heights = parts.flatMap((part) => (typeof part === 'string' ? [] : [part.height ?? 0]));
  const text = parts.filter((part) => typeof part === 'string').join('');
  return { style, text, pictureHeight: heights.length > 0 ? Math.max(...heights) : null };
}

/** Adds the marker of a list item that holds it inside. @spec css-lists-3 §3 */
export function insideMarker(box: Box, element: ElementNode, item: ComputedStyle, building: Building): void {
  if (!isListItem(item) || !isInside(element, item, building)) return;
  const style = markerStyle(element, item, building);
  const parts = partsOf(element, style, building);
  if (!parts) return;
  if (typeof style.content !== 'string') {
    const line = push(box, make(building, { style, pseudo: null, outer: 'inline', inner: 'flow', parent: box }));
    for (const part of parts)
      if (typeof part === 'string') text(line, part, style, building);
      else picture(line, { element: null, pseudo: null, style, natural: part }, building);
    return;
  }
  for (const part of parts)
    if (typeof part !== 'string') {
      const wide = { ...part, width: (part.width ?? 0) + BESIDE_PICTURE, ratio: null };
      picture(box, { element: null, pseudo: null, style, natural: wide }, building);
    } else if (part !== '') {
      // Bullets are drawn, not set in a font.
      const drawn = 'name' in style.listStyleType && style.listStyleType.name in BULLETS;
      const pseudo = drawn ? 'marker' : null;
      push(box, make(building, { style, pseudo, outer: 'inline', inner: 'text', parent: box, text: part }));
    }
}

/** What a marker shows; null for none. */
function partsOf(
  element: ElementNode,
  style: ComputedStyle,
  building: Building,
): readonly (string | NaturalSize)[] | null {
  if (style.content === 'none') return null;
  if (typeof style.content !== 'string')
    return generatedContent(style, element, 'marker', building)!.map((part) =>
      part.kind === 'text' ? part.text : (building.images(part.url, undefined) ?? NOTHING),
    );
  const natural = style.listStyleImage === '' ? gradientSize(style, building) : markerPicture(style, building);
  if (!natural && 'name' in style.listStyleType && style.listStyleType.name === 'none') return null;
  return [natural ?? markerText(style, building.counters.values('list-item').at(-1)!)];
}

/** Pictures without a size of their own are squares half as high as letters reach. @spec css-lists-3 §2 (browsers agree on the size) */
function gradientSize(style: ComputedStyle, { metrics }: Building): NaturalSize {
  const size = faceIn(style, metrics).ascent(style.fontSize) / 2;
  return { width: size, height: size, ratio: 1 };
}
