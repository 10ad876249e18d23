import type { ComputedStyle } from '../../cascade/index.js';
import { compose, contrastRatio, type Rgba } from '../../css/index.js';
import type { ElementNode } from '../../html/index.js';
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

/** The one colour around an element, a little outside its box; null where there are several or none is known. */
function groundAround(element: ElementNode, scene: Scene): Rgba | null {
  const rect = scene.rect(element);
  const node = scene.nodes(element)[0];
  const item = node && scene.itemOf(node);
  // What has to be scrolled to first stands on nothing yet.
  if (!rect || !item || !scene.seen(element)) return null;
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
  const around = groundAround(element, scene);
  if (!around || after.backgroundImage.length > 0) return null;
  const within = compose(after.backgroundColor, around);
  const out: Mark[] = [];
  const add = (by: Mark['by'], ink: Rgba, ...grounds: readonly Rgba[]) => {
    // What stands out from one of its sides is seen.
    const [best] = grounds
      .map((ground) => ({ colour: compose(ink, ground), ground }))
      .map((one) => ({ by, ...one, ratio: contrastRatio(one.colour, one.ground) }))
      .sort((a, b) => b.ratio - a.ratio);
    if (best) out.push(best);
  };
  for (const key of changed) {
    if (key === 'outline') {
      const ring = ringOf(after);
      if (!ring) return null;
      add('outlineColor', ring, after.outlineOffset.px + after.outlineWidth / 2 >= 0 ? around : within);
    } else if (key === 'boxShadow')
      for (const { colour, inset } of shownShadows(after)) add('boxShadow', colour, inset ? within : around);
    else if (key === 'backgroundColor')
      add('backgroundColor', after.backgroundColor, around, compose(before.backgroundColor, around));
    else {
      const side = BORDERS.find((one) => one === key);
      if (!side) return null;
      add(side, after[side], around, within);
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
