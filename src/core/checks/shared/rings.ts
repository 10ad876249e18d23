import { bottom, centre, right } from '../../base/index.js';
import type { ComputedStyle } from '../../cascade/index.js';
import { compose, contrastRatio, type Rgba } from '../../css/index.js';
import type { ElementNode } from '../../html/index.js';
import type { PaintItem } from '../../paint/index.js';
import type { Scene } from '../../scene/index.js';
import { causeOf } from './causes.js';
import { hexOf } from './colours.js';
import { differences, shownShadows } from './marks.js';

/** A mark that reaches this ratio stands out. @spec WCAG 2.2 SC 1.4.11 */
export const PLAIN_MARK = 3;

/** The colour of an outline the page draws itself; browsers' own rings have two colours and stand out. */
export function ringOf(style: ComputedStyle): Rgba | null {
  const { outlineStyle, outlineWidth, outlineColor } = style;
  if (outlineStyle === 'none' || outlineStyle === 'auto' || outlineWidth === 0) return null;
  if (causeOf(style, 'outlineColor') === null && causeOf(style, 'outlineStyle') === null) return null;
  return typeof outlineColor === 'object' && 'r' in outlineColor ? (outlineColor as Rgba) : style.color;
}

/** How far outside of a box its surroundings are asked for, px. */
const OUT = 2;

/** The one colour at a point beneath an item; null where there are several, or none is known. */
function groundAt(x: number, y: number, item: PaintItem, scene: Scene): Rgba | null {
  const { colours, unknown } = scene.backdrop({ x, y }, item, null);
  return unknown.length === 0 && colours.length === 1 ? colours[0]! : null;
}

interface Grounds {
  /** A little outside of the box, on the sides that are not cut off; null where one of them is not known. */
  readonly around: readonly Rgba[] | null;
  /** Beneath the box. */
  readonly beneath: Rgba;
}

/** The colours an element stands on and among; null where the one it stands on is not known. */
function groundsOf(element: ElementNode, scene: Scene): Grounds | null {
  const node = scene.nodes(element)[0];
  const item = node && scene.itemOf(node);
  const rect = scene.rect(element);
  // What has to be scrolled to first stands on nothing yet.
  const seen = scene.seen(element);
  if (!rect || !item || !seen) return null;
  const { x, y } = centre(seen);
  const beneath = groundAt(x, y, item, scene);
  if (!beneath) return null;
  const isWhole = (one: number, other: number) => Math.abs(one - other) < 1;
  const around = [
    isWhole(seen.x, rect.x) && groundAt(seen.x - OUT, y, item, scene),
    isWhole(right(seen), right(rect)) && groundAt(right(seen) + OUT, y, item, scene),
    isWhole(seen.y, rect.y) && groundAt(x, seen.y - OUT, item, scene),
    isWhole(bottom(seen), bottom(rect)) && groundAt(x, bottom(seen) + OUT, item, scene),
  ].filter((one) => one !== false);
  return { beneath, around: around.length > 0 && around.every((one) => one !== null) ? around : null };
}

const BORDERS = ['borderTopColor', 'borderRightColor', 'borderBottomColor', 'borderLeftColor'] as const;

/** Something that shows where focus is, and what it has to stand out from. */
export interface Mark {
  /** The property that makes it. */
  readonly by: 'outlineColor' | 'boxShadow' | 'backgroundColor' | (typeof BORDERS)[number];
  readonly colour: Rgba;
  readonly ground: Rgba;
  readonly ratio: number;
}

/**
 * What focus changes on an element, each held against its surroundings: rings, shadows, grounds and borders. Null where
 * something changes besides whose contrast cannot be told, such as text, browsers' own rings and pictures.
 * @spec WCAG 2.2 SC 1.4.11
 */
export function measuredMarks(
  element: ElementNode,
  before: ComputedStyle,
  after: ComputedStyle,
  scene: Scene,
): readonly Mark[] | null {
  const changed = differences(before, after).filter((key) => !/^border.*(Width|Style)$/.test(key));
  const grounds = groundsOf(element, scene);
  if (!grounds || after.backgroundImage.length > 0) return null;
  const { around, beneath } = grounds;
  const within = compose(after.backgroundColor, beneath);
  const out: Mark[] = [];
  const add = (by: Mark['by'], ink: Rgba, ...against: readonly Rgba[]) => {
    // What stands out from one of its sides is seen.
    const [best] = against
      .map((ground) => ({ colour: compose(ink, ground), ground }))
      .map((one) => ({ by, ...one, ratio: contrastRatio(one.colour, one.ground) }))
      .sort((a, b) => b.ratio - a.ratio);
    if (best) out.push(best);
  };
  for (const key of changed) {
    if (key === 'outline') {
      const ring = ringOf(after);
      if (!ring) return null;
      const against = after.outlineOffset.px + after.outlineWidth / 2 >= 0 ? around : [within];
      if (!against) return null;
      add('outlineColor', ring, ...against);
    } else if (key === 'boxShadow')
      for (const { colour, inset } of shownShadows(after)) {
        const against = inset ? [within] : around;
        if (!against) return null;
        add('boxShadow', colour, ...against);
      }
    else if (key === 'backgroundColor')
      add('backgroundColor', after.backgroundColor, ...(around ?? []), compose(before.backgroundColor, beneath));
    else {
      const side = BORDERS.find((one) => one === key);
      if (!side) return null;
      add(side, after[side], ...(around ?? []), within);
    }
  }
  return out;
}

/** The mark that stands out most; null where none can be measured. */
export const strongest = (marks: readonly Mark[] | null): Mark | null =>
  marks && marks.length > 0 ? marks.reduce((a, b) => (b.ratio > a.ratio ? b : a)) : null;

/**
 * How far what focus changes on an element stands out: a mark from its surroundings, a ground or a text colour from the
 * one before. The strongest counts; null where none can be measured, as of browsers' own rings.
 * @spec WCAG 2.2 SC 1.4.11, SC 2.4.13
 */
export function markContrast(element: ElementNode, rest: Scene, focused: Scene): number | null {
  const [before, after] = [rest.style(element), focused.style(element)];
  const mark = strongest(measuredMarks(element, before, after, rest));
  if (mark) return mark.ratio;
  const changed = (['backgroundColor', 'color'] as const).filter(
    (key) => hexOf(before[key]) !== hexOf(after[key]) && before[key].a === 1 && after[key].a === 1,
  );
  const ratios = changed.map((key) => contrastRatio(before[key], after[key]));
  return ratios.length > 0 ? Math.max(...ratios) : null;
}
