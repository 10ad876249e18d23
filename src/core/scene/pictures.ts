import {
  BLACK,
  compileMedia,
  itemText,
  parseComponents,
  readLength,
  splitCommas,
  type ComputeContext,
  type Medium,
} from '../css/index.js';
import type { ImageSizes, NaturalSize } from '../boxes/index.js';
import type { ElementNode } from '../html/index.js';

/** A picture an image may show: its reference, and how many of its pixels make a px. */
export interface Choice {
  readonly reference: string;
  readonly density: number;
}

interface Candidate {
  readonly reference: string;
  readonly width: number | null;
  readonly density: number | null;
}

const TYPES = /^image\/(apng|avif|bmp|gif|jpe?g|png|svg\+xml|tiff|webp|x-icon|vnd\.microsoft\.icon)$/i;
const isPicture = (element: ElementNode): boolean => element.namespace === 'html' && element.tag === 'img';

/** Candidates of a `srcset`. @spec html §4.8.4.2.1 */
export function candidatesOf(srcset: string): readonly Candidate[] {
  const out: Candidate[] = [];
  for (const [, reference, descriptors] of srcset.matchAll(/[\s,]*(\S*[^\s,])(?:\s+([^,]*))?(?:,|$)/g)) {
    const width = /(?:^|\s)(\d+)w(?:\s|$)/.exec(descriptors ?? '')?.[1];
    const density = /(?:^|\s)(\d*\.?\d+(?:e[+-]?\d+)?)x(?:\s|$)/i.exec(descriptors ?? '')?.[1];
    out.push({ reference: reference!, width: width ? Number(width) : null, density: density ? Number(density) : null });
  }
  return out;
}

/** The elements an image takes candidates from: `source` before it in its `picture`, then itself. @spec html §4.8.4.3.3 */
function sourcesOf(image: ElementNode): readonly ElementNode[] {
  const { parent } = image;
  if (parent?.tag !== 'picture') return [image];
  return [...parent.elements.slice(0, image.position).filter(({ tag }) => tag === 'source'), image];
}

/** Whether the picture of an element depends on the screen. */
export const hasChoices = (element: ElementNode): boolean =>
  isPicture(element) && sourcesOf(element).some((source) => source.attributes.has('srcset'));

/** References of all pictures an image may show. */
export function referencesOf(image: ElementNode): readonly string[] {
  const sets = sourcesOf(image).flatMap((source) => candidatesOf(source.attributes.get('srcset') ?? ''));
  const own = image.attributes.get('src');
  return [...sets.map(({ reference }) => reference), ...(own ? [own] : [])];
}

/** Lengths of `sizes` know no element: em is that of the initial font. */
const contextOf = ({ width, height, dark }: Medium): ComputeContext => ({
  fontSize: 16,
  rootFontSize: 16,
  lineHeight: 19,
  rootLineHeight: 19,
  xHeight: 8,
  capHeight: 11,
  zeroAdvance: 8,
  viewportWidth: width,
  viewportHeight: height,
  containerWidth: width,
  containerHeight: height,
  currentColor: BLACK,
  dark,
  parentFontWeight: 400,
});

/** Width an image is meant to have by its `sizes`, px. @spec html §4.8.4.3.8 */
function sizeBy(sizes: string | undefined, medium: Medium): number {
  for (const part of splitCommas(parseComponents(sizes ?? ''))) {
    const length = readLength(part[part.length - 1], { percent: false, negative: false });
    if (!length) continue;
    const condition = part.slice(0, -1).map(itemText).join(' ');
    if (condition === '' || compileMedia(condition).evaluate(medium)) return length(contextOf(medium)).px;
  }
  return medium.width;
}

/** The picture an image shows on a screen of one pixel a px; null without any. @spec html §4.8.4.3 */
export function choiceFor(image: ElementNode, medium: Medium): Choice | null {
  for (const source of sourcesOf(image)) {
    const own = source === image;
    const { attributes } = source;
    const type = attributes.get('type')?.trim();
    if (!own && type && !TYPES.test(type)) continue;
    const media = attributes.get('media');
    if (!own && media !== undefined && !compileMedia(media).evaluate(medium)) continue;
    const size = sizeBy(attributes.get('sizes'), medium);
    const choices = candidatesOf(attributes.get('srcset') ?? '').map(({ reference, width, density }): Choice => ({
      reference,
      density: width ? width / Math.max(1, size) : (density ?? 1),
    }));
    const plain = own ? attributes.get('src') : undefined;
    if (plain && !choices.some(({ density }) => density === 1)) choices.push({ reference: plain, density: 1 });
    const best = nearest(choices);
    if (best) return best;
  }
  return null;
}

/** The least dense picture that is sharp enough, or the densest. */
function nearest(choices: readonly Choice[]): Choice | null {
  const sorted = [...choices].sort((a, b) => a.density - b.density);
  return sorted.find(({ density }) => density >= 1) ?? sorted.at(-1) ?? null;
}

/** Natural size of the picture an image shows, px; null where its file could not be read. */
export function shownSize(image: ElementNode, medium: Medium, sizes: ImageSizes): NaturalSize | null {
  const choice = choiceFor(image, medium);
  const size = choice && sizes(choice.reference);
  if (!choice || !size || choice.density === 1) return size;
  const scaled = (length: number | null) => (length === null ? null : length / choice.density);
  return { width: scaled(size.width), height: scaled(size.height), ratio: size.ratio };
}
