import { originOf, type ComputedStyle } from '../../cascade/index.js';
import type { Box, NaturalSize } from '../box.js';
import { make, push, type Building } from './make.js';

/** The picture an element's `content` puts in its place, of no size where its file is missing; null without one. @spec css-content-3 §2 */
export function pictureOf(style: ComputedStyle, { images }: Building): NaturalSize | null {
  const { content } = style;
  if (typeof content === 'string' || content.items.length !== 1) return null;
  const [item] = content.items;
  if (item?.kind !== 'picture') return null;
  return images(item.url, originOf(style, 'content')?.declaration.span) ?? NOTHING;
}

export function markerPicture(style: ComputedStyle, { images }: Building): NaturalSize | null {
  const { listStyleImage: image } = style;
  return image === null ? null : images(image, originOf(style, 'listStyleImage')?.declaration.span);
}

export const NOTHING: NaturalSize = { width: 0, height: 0, ratio: null };

/** A picture among generated content. */
export function picture(
  parent: Box,
  draft: Pick<Box, 'element' | 'pseudo' | 'style' | 'natural'>,
  building: Building,
): void {
  push(parent, make(building, { ...draft, outer: 'atomic', inner: 'replaced', parent, anonymous: true }));
}
