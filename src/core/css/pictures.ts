import type { ElementNode } from '../html/index.js';
import { compileMedia, type MediaCondition, type Medium } from './conditions/index.js';
import { BLACK, itemText, parseComponents, readLength, splitCommas, type ComputeContext } from './values/index.js';

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
  linkColor: null,
  bodyColor: BLACK,
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
    const best = offers(source, image, medium) ? nearest(choicesOf(source, image, medium)) : null;
    if (best) return best;
  }
  return null;
}

/** Whether an element may say what an image shows: its type is known and its media query holds. */
function offers(source: ElementNode, image: ElementNode, medium: Medium): boolean {
  if (source === image) return true;
  const type = source.attributes.get('type')?.trim();
  if (type && !TYPES.test(type)) return false;
  const media = source.attributes.get('media');
  return media === undefined || compileMedia(media).evaluate(medium);
}

function choicesOf({ attributes }: ElementNode, image: ElementNode, medium: Medium): readonly Choice[] {
  const size = sizeBy(attributes.get('sizes'), medium);
  const choices = candidatesOf(attributes.get('srcset') ?? '').map(({ reference, width, density }): Choice => ({
    reference,
    density: width ? width / Math.max(1, size) : (density ?? 1),
  }));
  const plain = attributes === image.attributes ? attributes.get('src') : undefined;
  if (plain && !choices.some(({ density }) => density === 1)) choices.push({ reference: plain, density: 1 });
  return choices;
}

/** Attributes an image is sized by where a condition holds: its own, or those of the source it shows. */
export interface Dimensions {
  readonly attributes: ReadonlyMap<string, string>;
  readonly condition: MediaCondition;
}

/**
 * What an image is sized by where that hangs on the screen; empty where it is its own attributes everywhere.
 * @param own attributes of the image
 * @spec html §4.8.4.3.6 (dimension attribute source)
 */
export function dimensionsOf(image: ElementNode, own: ReadonlyMap<string, string>): readonly Dimensions[] {
  if (!isPicture(image)) return [];
  const sources = sourcesOf(image);
  const sizing = (source: ElementNode) =>
    source !== image && (source.attributes.has('width') || source.attributes.has('height'));
  if (!sources.some(sizing)) return [];
  return sources.map((source) => {
    const attributes = new Map(own);
    if (sizing(source))
      for (const name of ['width', 'height']) {
        const value = source.attributes.get(name);
        if (value === undefined) attributes.delete(name);
        else attributes.set(name, value);
      }
    return { attributes, condition: chosen(source, image, sources) };
  });
}

/** That an image shows what a source offers. */
function chosen(source: ElementNode, image: ElementNode, sources: readonly ElementNode[]): MediaCondition {
  const media = source.attributes.get('media');
  const asked = source === image || media === undefined ? null : compileMedia(media);
  return {
    text: asked?.text ?? 'other sources',
    thresholds: asked?.thresholds ?? [],
    features: asked?.features ?? new Set(),
    evaluate: (medium) =>
      source ===
      (sources.find((one) => offers(one, image, medium) && choicesOf(one, image, medium).length > 0) ?? image),
  };
}

/** The least dense picture that is sharp enough, or the densest. */
function nearest(choices: readonly Choice[]): Choice | null {
  const sorted = [...choices].sort((a, b) => a.density - b.density);
  return sorted.find(({ density }) => density >= 1) ?? sorted.at(-1) ?? null;
}
