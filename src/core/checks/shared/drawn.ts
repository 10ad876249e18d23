import type { Rect } from '../../base/index.js';
import { compose, contrastRatio, parseColourText, type Rgba } from '../../css/index.js';
import type { Cause } from '../../findings/index.js';
import { descendants, type ElementNode } from '../../html/index.js';
import { isIconFont, isPrivate } from '../../naming/index.js';
import { boundsOf, tilingOf, type PaintItem } from '../../paint/index.js';
import type { Scene } from '../../scene/index.js';
import { causeOf } from './causes.js';
import { hexOf } from './colours.js';
import { inkCause, readInk, remedyFor, type Reading } from './ink.js';
import { textsIn } from './texts.js';

/** A drawn part of a control, and how it stands out. */
export interface DrawnPart {
  readonly reading: Reading;
  readonly cause: Cause | null;
}

const NEEDED = 3;
/** Bars and dots of icons are no longer and no thicker than this, px. */
const LONGEST = 64;
const THICKEST = 10;

const isGlyph = (item: PaintItem, scene: Scene): boolean =>
  isPrivate(item.node.fragment.text) || isIconFont(scene.paintStyle(item.node.box), scene.metrics);

/** Whether a control says in words what it is: icons beside words repeat them. */
export const hasWords = (element: ElementNode, scene: Scene): boolean =>
  textsIn(element, scene).some((item) => !isGlyph(item, scene) && scene.inkPoints(item).length > 0);

/** What a control without words is drawn with: glyphs of icon fonts, shapes of inline SVG, bars, or a dot alone. */
export function drawnParts(element: ElementNode, scene: Scene): readonly DrawnPart[] {
  const out: DrawnPart[] = [...shapesIn(element, scene)];
  for (const item of textsIn(element, scene).filter((one) => isGlyph(one, scene))) {
    const reading = readInk(item, scene, NEEDED);
    if (reading && !('what' in reading))
      out.push({ reading, cause: inkCause(reading, remedyFor(reading, 'icon'), scene) });
  }
  return out.length > 0 ? out : dotOf(element, scene);
}

/** A small control that holds nothing is drawn by its own ground: a dot. */
function dotOf(element: ElementNode, scene: Scene): readonly DrawnPart[] {
  const item = itemOf(element, scene);
  const rect = scene.rect(element);
  if (!item || !rect || element.children.some((child) => child.kind === 'element')) return [];
  if (Math.max(rect.width, rect.height) > SMALLEST || Math.min(rect.width, rect.height) < 2) return [];
  const style = scene.style(element);
  const bordered = SIDES.some((side) => style[`border${side}Width`] > 0 && style[`border${side}Color`].a > 0);
  if (bordered || style.backgroundColor.a === 0 || style.backgroundImage.length > 0) return [];
  return made(item, rect, style.backgroundColor, causeOf(style, 'backgroundColor'), scene);
}

/** What is drawn in a control by inline SVG, bars, borders and small gradients; beside words such a part is a caret. */
export function shapesIn(element: ElementNode, scene: Scene): readonly DrawnPart[] {
  const out: DrawnPart[] = [];
  for (const inner of descendants(element)) {
    if (inner.tag === 'svg' && inner.parent?.namespace !== 'svg') out.push(...shapesOf(inner, scene));
    else if (inner.namespace === 'html') out.push(...barsOf(inner, scene), ...edgesOf(inner, scene));
  }
  return [...out, ...barsOf(element, scene, true), ...edgesOf(element, scene, true), ...tilesOf(element, scene)];
}

/** Colours of an inline drawing's shapes, in its middle. @spec svg-2 §13.2 (fill), §13.3 (stroke) */
function shapesOf(svg: ElementNode, scene: Scene): DrawnPart[] {
  const item = itemOf(svg, scene);
  const rect = scene.reach(svg);
  if (!item || !rect) return [];
  const shapes = [...descendants(svg)].filter((e) =>
    /^(path|circle|ellipse|rect|line|polyline|polygon|use|text)$/.test(e.tag),
  );
  return shapes.flatMap((shape) => {
    const style = scene.style(shape);
    if (style.display === 'none' || style.visibility !== 'visible' || style.opacity === 0) return [];
    return (['fill', 'stroke'] as const).flatMap((paint) => {
      if (paint === 'fill' && /^(line|polyline)$/.test(shape.tag)) return [];
      const ink = paintOf(style[paint], style.color);
      return ink ? made(item, rect, ink, causeOf(style, paint) ?? causeOf(style, 'color'), scene) : [];
    });
  });
}

/** A paint as a colour; null for none and for what is no single colour. */
function paintOf(paint: string, current: Rgba): Rgba | null {
  if (/^currentcolor$/i.test(paint)) return current;
  const colour = /^(none|context-.*|url\(.*)$/i.test(paint) ? null : parseColourText(paint);
  return colour && colour.a > 0 ? colour : null;
}

const SIDES = ['Top', 'Right', 'Bottom', 'Left'] as const;
/** Carets and crosses drawn by borders are no larger than this, px. */
const SMALLEST = 24;

/** Boxes without content whose borders draw a caret: an angle of two, or a triangle beside see-through ones. */
function edgesOf(element: ElementNode, scene: Scene, onlyPseudo = false): DrawnPart[] {
  return boxesOf(element, scene, onlyPseudo).flatMap((box) => {
    const node = scene.nodesOf(box)[0];
    const item = node && scene.itemOf(node);
    const rect = node && boundsOf(node.matrix, node.rect);
    if (!item || !rect || node.fragment.kind !== 'box' || box.children.some(({ text }) => text.trim() !== ''))
      return [];
    if (Math.max(rect.width, rect.height) > SMALLEST || Math.min(rect.width, rect.height) < 2) return [];
    const style = scene.paintStyle(box);
    const drawn = SIDES.filter((side) => style[`border${side}Width`] > 0 && style[`border${side}Color`].a > 0);
    if (drawn.length === 0 || drawn.length > 2) return [];
    const side = drawn[0]!;
    return made(
      item,
      rect,
      style[`border${side}Color`],
      causeOf(style, 'opacity') ?? causeOf(style, `border${side}Color`),
      scene,
    );
  });
}

/** Bars drawn as small pictures of one colour in the background. */
function tilesOf(element: ElementNode, scene: Scene): DrawnPart[] {
  const [node] = scene.nodes(element);
  const item = node && scene.itemOf(node);
  if (!item || node.fragment.kind !== 'box') return [];
  const style = scene.paintStyle(node.box);
  return style.backgroundImage.flatMap((image) => {
    const tile = image.kind === 'gradient' ? tilingOf(node.fragment, node.rect, style, image)?.tile : null;
    const [ink] = image.kind === 'gradient' ? image.colours : [];
    if (
      !tile ||
      !ink ||
      !isBar(tile) ||
      image.kind !== 'gradient' ||
      image.colours.some((c) => hexOf(c) !== hexOf(ink))
    )
      return [];
    return made(
      item,
      boundsOf(node.matrix, tile),
      ink,
      causeOf(style, 'backgroundImage'),
      scene,
      style.backgroundColor,
    );
  });
}

const boxesOf = (element: ElementNode, scene: Scene, onlyPseudo: boolean) => [
  ...(onlyPseudo ? [] : scene.nodes(element).map((node) => node.box)),
  ...(scene.box(element)?.children.filter((box) => box.element === element && box.pseudo !== null) ?? []),
];

/** Thin filled boxes: the bars of menu buttons, crosses and carets drawn by borders; and what masks cut out. */
function barsOf(element: ElementNode, scene: Scene, onlyPseudo = false): DrawnPart[] {
  return boxesOf(element, scene, onlyPseudo).flatMap((box) => {
    const node = scene.nodesOf(box)[0];
    const item = node && scene.itemOf(node);
    const rect = node && boundsOf(node.matrix, node.rect);
    if (!item || !rect || node.fragment.kind !== 'box') return [];
    const style = scene.paintStyle(box);
    // What a mask lets through of a ground is an icon.
    const masked = style.maskImage !== 'none' && Math.max(rect.width, rect.height) <= LONGEST;
    return (isBar(rect) || masked) && style.backgroundColor.a > 0
      ? made(item, rect, style.backgroundColor, causeOf(style, 'backgroundColor'), scene)
      : [];
  });
}

const isBar = ({ width, height }: Rect): boolean =>
  Math.min(width, height) >= 1 && Math.min(width, height) <= THICKEST && Math.max(width, height) <= LONGEST;

const itemOf = (element: ElementNode, scene: Scene): PaintItem | null => {
  const [node] = scene.nodes(element);
  return node ? scene.itemOf(node) : null;
};

/** @param own what the item itself paints beneath the ink */
function made(
  item: PaintItem,
  rect: Rect,
  ink: Rgba,
  cause: Cause | null,
  scene: Scene,
  own: Rgba | null = null,
): DrawnPart[] {
  const point = { x: rect.x + rect.width / 2, y: rect.y + rect.height / 2 };
  const under = scene.backdrop(point, item, own);
  if (under.unknown.length > 0) return [];
  const [ground] = under.colours;
  const inked = scene.backdrop(point, item, ink).colours[0] ?? compose(ink, ground!);
  const ratio = contrastRatio(inked, ground!);
  const reading: Reading = {
    item,
    ratio,
    needed: NEEDED,
    ink: inked,
    ground: ground!,
    grounds: under.colours,
    gradient: under.gradient,
  };
  return [{ reading, cause }];
}
