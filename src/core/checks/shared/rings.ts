import type { ComputedStyle } from '../../cascade/index.js';
import { compose, contrastRatio, type Rgba } from '../../css/index.js';
import type { ElementNode } from '../../html/index.js';
import type { Scene } from '../../scene/index.js';
import { causeOf } from './causes.js';
import { hexOf } from './colours.js';

/** A mark that reaches this ratio stands out. @spec WCAG 2.2 SC 1.4.11 */
export const PLAIN_MARK = 3;

/** The colour of an outline the page draws itself; browsers' own rings have two colours and stand out. */
export function ringOf(style: ComputedStyle): Rgba | null {
  const { outlineStyle, outlineWidth, outlineColor } = style;
  if (outlineStyle === 'none' || outlineStyle === 'auto' || outlineWidth === 0) return null;
  if (causeOf(style, 'outlineColor') === null && causeOf(style, 'outlineStyle') === null) return null;
  return typeof outlineColor === 'object' && 'r' in outlineColor ? (outlineColor as Rgba) : style.color;
}

/** What a ring lies on: what is around the box, or the box itself where the ring is drawn into it. */
export function groundOfRing(element: ElementNode, style: ComputedStyle, scene: Scene): Rgba | null {
  if (style.outlineOffset.px + style.outlineWidth / 2 >= 0) return groundAround(element, scene);
  const { backgroundColor, backgroundImage } = style;
  return backgroundColor.a === 1 && backgroundImage.length === 0 ? backgroundColor : null;
}

/** The one colour around an element, a little outside its box; null where there are several or none is known. */
function groundAround(element: ElementNode, scene: Scene): Rgba | null {
  const rect = scene.rect(element);
  const node = scene.nodes(element)[0];
  const item = node && scene.itemOf(node);
  if (!rect || !item) return null;
  const out = 2;
  const points = [
    { x: rect.x - out, y: rect.y + rect.height / 2 },
    { x: rect.x + rect.width + out, y: rect.y + rect.height / 2 },
    { x: rect.x + rect.width / 2, y: rect.y - out },
    { x: rect.x + rect.width / 2, y: rect.y + rect.height + out },
  ];
  const found = points.map((point) => {
    const { colours, unknown } = scene.backdrop(point, item, null);
    return unknown.length === 0 && colours.length === 1 ? colours[0] : undefined;
  });
  const [first] = found;
  return first && found.every((one) => one && hexOf(one) === hexOf(first)) ? first : null;
}

/**
 * How far what focus changes on an element stands out: its ring against what is around it, a ground or a text colour
 * against the one before. The strongest counts; null where none can be measured, as of browsers' own rings.
 * @spec WCAG 2.2 SC 1.4.11, SC 2.4.13
 */
export function markContrast(element: ElementNode, rest: Scene, focused: Scene): number | null {
  const [before, after] = [rest.style(element), focused.style(element)];
  const ratios: number[] = [];
  const ring = ringOf(after);
  const ground = ring && groundOfRing(element, after, focused);
  if (ring && ground && !sameColour(ring, ringOf(before))) ratios.push(contrastRatio(compose(ring, ground), ground));
  for (const key of ['backgroundColor', 'color', 'borderTopColor', 'borderBottomColor'] as const)
    if (!sameColour(before[key], after[key]) && before[key].a === 1 && after[key].a === 1)
      ratios.push(contrastRatio(before[key], after[key]));
  return ratios.length > 0 ? Math.max(...ratios) : null;
}

const sameColour = (a: Rgba, b: Rgba | null): boolean => b !== null && hexOf(a) === hexOf(b) && a.a === b.a;
