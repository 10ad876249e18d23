import type { Rect } from '../../core/base/index.js';
import type { ComputedStyle } from '../../core/cascade/index.js';
import { resolveLength, type BackgroundImage, type Rgba } from '../../core/css/index.js';
import {
  canvasTiling,
  cornerRadii,
  tilingOf,
  type CanvasGround,
  type PaintNode,
  type Tiling,
} from '../../core/paint/index.js';
import type { Definitions } from './definitions.js';
import { edgesOf, type Edges } from './edges.js';
import { grown, roundedPath, SHARP, type Radii } from './corners.js';
import { drawGradient } from './gradients.js';
import { innerShadows, outerShadows } from './shadows.js';
import { paint } from './paint.js';
import { group, shape, type Shape } from './xml.js';

/** The pictures of the page's canvas in a region of it. */
export function drawCanvas(ground: CanvasGround, region: Rect, definitions: Definitions): Shape[] {
  const d = roundedPath(region, SHARP);
  return ground.style.backgroundImage.toReversed().map((image) => {
    const tiling = canvasTiling(ground, image);
    return drawTiled(image, tiling && { ...tiling, clip: region }, ground.root.rect, d, ground.style, definitions);
  });
}

/** Shadow, background and borders of a box, lowest first. @param bare its background was taken by the canvas */
export function drawGround(style: ComputedStyle, node: PaintNode, definitions: Definitions, bare: boolean): Shape[] {
  const edges = edgesOf(style, node);
  const { rect } = edges;
  const radii = cornerRadii(style, rect) ?? SHARP;
  const lines = drawEdges(style, edges, radii, definitions);
  const out: Shape[] = outerShadows(style, rect, radii, definitions);
  const d = roundedPath(rect, radii);
  if (bare) return [...out, ...lines];
  if (style.backgroundColor.a > 0) out.push(shape('path', { d, ...paint('fill', style.backgroundColor) }));
  if (!style.backgroundClip.includes('text'))
    for (const image of style.backgroundImage.toReversed()) out.push(drawImage(image, node, style, d, definitions));
  out.push(...innerShadows(style, node, definitions));
  return [...out, ...lines];
}

/** Borders and outline; the border leaves out what stands in its line. */
function drawEdges(style: ComputedStyle, { rect, cut, gap }: Edges, radii: Radii, definitions: Definitions): Shape[] {
  const border = borders(style, rect, radii, cut);
  const ring = outline(style, rect, radii);
  if (!gap || border.length === 0) return [...border, ...ring];
  const d = roundedPath(rect, SHARP) + roundedPath(gap, SHARP);
  const id = definitions.id('c', d, (name) =>
    shape('clipPath', { id: name }, [shape('path', { d, 'clip-rule': 'evenodd' })]),
  );
  return [group(border, { 'clip-path': `url(#${id})` }), ...ring];
}

/** Pictures are not drawn: a tint stands in for them, opaque so that what they cover is covered. */
export const TINT = { fill: '#c3ccd6' } as const;

/** One background picture where it shows, repeated as the style asks. @spec css-backgrounds-3 §3 */
function drawImage(
  image: BackgroundImage,
  node: PaintNode,
  style: ComputedStyle,
  d: string,
  definitions: Definitions,
): Shape {
  return drawTiled(image, tilingOf(node.fragment, node.rect, style, image), node.rect, d, style, definitions);
}

function drawTiled(
  image: BackgroundImage,
  tiling: Tiling | null,
  rect: Rect,
  d: string,
  style: ComputedStyle,
  definitions: Definitions,
): Shape {
  const known = tiling && tiling.tile.width > 0 && tiling.tile.height > 0 ? tiling : null;
  const id = definitions.id('c', d, (name) => shape('clipPath', { id: name }, [shape('path', { d })]));
  const tile = known?.tile ?? rect;
  const picture = drawPicture(image, tile, style, definitions);
  if (!picture) return shape('path', { d, ...TINT });
  return group(known ? tilesOf(known, picture, definitions) : [picture], { 'clip-path': `url(#${id})` });
}

function drawPicture(image: BackgroundImage, rect: Rect, style: ComputedStyle, definitions: Definitions): Shape | null {
  if (image.kind === 'gradient') {
    if (image.gradient) return drawGradient(image.gradient, rect, definitions);
    return image.colours[0] ? shape('rect', { ...rect, ...paint('fill', image.colours[0]) }) : null;
  }
  return image.kind === 'url' ? definitions.picture(image.url, rect, style) : null;
}

const MOST_TILES = 400;

function tilesOf({ clip, tile, stepX, stepY }: Tiling, picture: Shape, definitions: Definitions): Shape[] {
  const along = (start: number, step: number | null, from: number, size: number): number[] => {
    if (step === null || step <= 0) return [0];
    const first = Math.floor((from - start) / step);
    const last = Math.ceil((from + size - start) / step);
    return Array.from({ length: Math.max(0, last - first) }, (_, i) => (first + i) * step);
  };
  const xs = along(tile.x, stepX, clip.x, clip.width);
  const ys = along(tile.y, stepY, clip.y, clip.height);
  if (xs.length * ys.length > MOST_TILES) return [pattern(clip, tile, stepX, stepY, picture, definitions)];
  const id = definitions.id('c', JSON.stringify(clip), (name) =>
    shape('clipPath', { id: name }, [shape('rect', { ...clip })]),
  );
  const tiles = ys.flatMap((y) =>
    xs.map((x) => (x === 0 && y === 0 ? picture : group([picture], { transform: `translate(${x} ${y})` }))),
  );
  return [group(tiles, { 'clip-path': `url(#${id})` })];
}

function pattern(
  clip: Rect,
  tile: Rect,
  stepX: number | null,
  stepY: number | null,
  picture: Shape,
  definitions: Definitions,
): Shape {
  const size = { width: stepX ?? clip.width, height: stepY ?? clip.height };
  const id = definitions.id('p', JSON.stringify([tile, size, picture]), (name) =>
    shape('pattern', { id: name, patternUnits: 'userSpaceOnUse', x: tile.x, y: tile.y, ...size }, [
      group([picture], { transform: `translate(${-tile.x} ${-tile.y})` }),
    ]),
  );
  return shape('rect', { ...clip, fill: `url(#${id})` });
}

const DASHES: Readonly<Record<string, (width: number) => string | null>> = {
  dashed: (w) => `${w * 2} ${w * 2}`,
  dotted: (w) => `${w} ${w}`,
};

interface Line {
  readonly width: number;
  readonly colour: Rgba;
  readonly style: string;
}

const isDrawn = ({ width, colour, style }: Line): boolean =>
  width > 0 && colour.a > 0 && style !== 'none' && style !== 'hidden';

function borders(style: ComputedStyle, rect: Rect, radii: Radii, cut: Edges['cut']): Shape[] {
  const lines = (['Top', 'Right', 'Bottom', 'Left'] as const).map((side): Line => ({
    width: cut.has(side) ? 0 : style[`border${side}Width`],
    colour: style[`border${side}Color`],
    style: style[`border${side}Style`],
  }));
  const [top, right, bottom, left] = lines as [Line, Line, Line, Line];
  const same = lines.every(
    (l) => l.width === top.width && l.style === top.style && JSON.stringify(l.colour) === JSON.stringify(top.colour),
  );
  if (same) return isDrawn(top) ? [ring(rect, radii, top)] : [];
  const { x, y, width: w, height: h } = rect;
  const sides: readonly (readonly [Line, string])[] = [
    [top, `M${x} ${y}H${x + w}L${x + w - right.width} ${y + top.width}H${x + left.width}Z`],
    [right, `M${x + w} ${y}V${y + h}L${x + w - right.width} ${y + h - bottom.width}V${y + top.width}Z`],
    [bottom, `M${x} ${y + h}H${x + w}L${x + w - right.width} ${y + h - bottom.width}H${x + left.width}Z`],
    [left, `M${x} ${y}V${y + h}L${x + left.width} ${y + h - bottom.width}V${y + top.width}Z`],
  ];
  return sides
    .filter(([line]) => isDrawn(line))
    .map(([line, d]) => shape('path', { d, ...paint('fill', line.colour) }));
}

/** A line all around, its middle on the middle of the border. */
function ring(rect: Rect, radii: Radii, line: Line): Shape {
  const half = line.width / 2;
  const inner = {
    x: rect.x + half,
    y: rect.y + half,
    width: rect.width - line.width,
    height: rect.height - line.width,
  };
  return shape('path', {
    d: roundedPath(inner, grown(radii, -half)),
    fill: 'none',
    'stroke-width': line.width,
    'stroke-dasharray': DASHES[line.style]?.(line.width) ?? null,
    ...paint('stroke', line.colour),
  });
}

function outline(style: ComputedStyle, rect: Rect, radii: Radii): Shape[] {
  const line: Line = { width: style.outlineWidth, colour: style.outlineColor, style: style.outlineStyle };
  if (!isDrawn(line)) return [];
  const out = resolveLength(style.outlineOffset, 0) + line.width;
  const around = { x: rect.x - out, y: rect.y - out, width: rect.width + 2 * out, height: rect.height + 2 * out };
  return [ring(around, grown(radii, out), line)];
}
