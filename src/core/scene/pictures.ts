import { choiceFor, type Medium } from '../css/index.js';
import type { ImageSizes, NaturalSize } from '../boxes/index.js';
import type { ElementNode } from '../html/index.js';

/** Natural size of the picture an image shows, px; null where its file could not be read. */
export function shownSize(image: ElementNode, medium: Medium, sizes: ImageSizes): NaturalSize | null {
  const choice = choiceFor(image, medium);
  const size = choice && sizes(choice.reference);
  if (!choice || !size || choice.density === 1) return size;
  const scaled = (length: number | null) => (length === null ? null : length / choice.density);
  return { width: scaled(size.width), height: scaled(size.height), ratio: size.ratio };
}
