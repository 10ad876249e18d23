import { faceIn, type Extent } from '../text/index.js';
import type { Box, Marker } from '../box.js';
import type { Layout } from '../layout.js';
import { isMulticol } from './columns/count.js';
import { BULLETS } from '../generate/counter-styles.js';
import { textWidth } from './inline/set-text.js';
import { leadedExtent } from './inline/extents.js';
import { NOTHING } from './inline/levels.js';

/** How far the line of a marker reaches about its baseline, px. */
export function markerExtent({ style, text, pictureHeight }: Marker, layout: Layout): Extent {
  const empty = text === '' && (pictureHeight === null || layout.looseLines);
  const { above, below } = empty ? NOTHING : leadedExtent(style, layout);
  return { above: Math.max(above, pictureHeight ?? 0), below };
}

/** Between a bullet and the item it stands beside, px. */
const BESIDE_BULLET = 8;

/** How far a marker reaches out of the item it stands beside, px; pictures are not counted. */
export function markerWidth({ style, text, pictureHeight }: Marker, layout: Layout): number {
  if (pictureHeight !== null) return 0;
  if (!isBullet(style)) return textWidth(text, style, layout);
  const ascent = faceIn(style, layout.metrics).ascent(style.fontSize);
  return Math.floor((ascent * 2) / 3) + BESIDE_BULLET;
}

const isBullet = ({ content, listStyleType: type }: Marker['style']): boolean =>
  typeof content === 'string' && 'name' in type && type.name in BULLETS;

/** Without content there is no column for a marker to stand beside. */
const isEmptyColumns = (box: Box): boolean => box.children.length === 0 && isMulticol(box);

/**
 * A marker without a line beside it takes the height of its own, px; an item that holds nothing makes a line for it.
 * @spec css-lists-3 §3.1
 */
export function besideNoLine(box: Box, { baseline }: { readonly baseline: number | null }, layout: Layout): number {
  const { marker, style, children } = box;
  if (!marker || baseline !== null || isEmptyColumns(box)) return 0;
  const extent = markerExtent(marker, layout);
  if (children.length > 0) return Math.max(0, extent.above + extent.below);
  const line = leadedExtent(style, layout);
  return Math.max(line.above, extent.above) + line.below;
}

/** Where quirks rule, a list that begins an item leaves its marker a line to itself. @spec css-lists-3 §3.1 (browsers agree) */
export const standsAlone = ({ marker }: Box, first: Box, { quirks }: Layout): boolean =>
  marker !== null && quirks && first.element !== null && ['ul', 'ol'].includes(first.element.tag);
