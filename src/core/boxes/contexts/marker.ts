import type { Extent } from '../text/index.js';
import type { Box, Marker } from '../box.js';
import type { Layout } from '../layout.js';
import { leadedExtent } from './inline/extents.js';
import { NOTHING } from './inline/levels.js';

/** How far the line of a marker reaches about its baseline, px. */
export function markerExtent({ style, text, pictureHeight }: Marker, layout: Layout): Extent {
  const empty = text === '' && (pictureHeight === null || layout.looseLines);
  const { above, below } = empty ? NOTHING : leadedExtent(style, layout);
  return { above: Math.max(above, pictureHeight ?? 0), below };
}

/**
 * A marker without a line beside it takes the height of its own, px; an item that holds nothing makes a line for it.
 * @spec css-lists-3 §3.1
 */
export function besideNoLine(
  { marker, style, children }: Box,
  { baseline }: { readonly baseline: number | null },
  layout: Layout,
): number {
  if (!marker || baseline !== null) return 0;
  const extent = markerExtent(marker, layout);
  if (children.length > 0) return Math.max(0, extent.above + extent.below);
  const line = leadedExtent(style, layout);
  return Math.max(line.above, extent.above) + line.below;
}

/** Where quirks rule, a list that begins an item leaves its marker a line to itself. @spec css-lists-3 §3.1 (browsers agree) */
export const standsAlone = ({ marker }: Box, first: Box, { quirks }: Layout): boolean =>
  marker !== null && quirks && first.element !== null && ['ul', 'ol'].includes(first.element.tag);
