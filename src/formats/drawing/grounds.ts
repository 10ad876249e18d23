import type { Rect } from '../../core/base/index.js';
import type { ComputedStyle } from '../../core/cascade/index.js';
import {
  parseComponents,
  readColour,
  resolveLength,
  splitCommas,
  type BackgroundImage,
  type LengthPercentage,
  type Rgba,
} from '../../core/css/index.js';
import { tilingOf, type PaintNode, type Tiling } from '../../core/paint/index.js';
import type { Definitions } from './definitions.js';
import { drawGradient } from './gradients.js';
import { paint } from './paint.js';
import { drawAddress } from './vector.js';
import { group, shape, type Shape } from './xml.js';

/** Radii of the four corners from the upper left clockwise, px, scaled down where they would overlap. @spec css-backgrounds-3 §5.5 */
export function radiiOf(style: ComputedStyle, { width, height }: Rect): readonly number[] {
  const read = ([x]: readonly [LengthPercentage, LengthPercentage]) =>
    Math.max(0, resolveLength(x, Math.min(width, height)) || 0);
  const radii = [
    style.borderTopLeftRadius,
    style.borderTopRightRadius,
    style.borderBottomRightRadius,
    style.borderBottomLeftRadius,
  ].map(read);
  const [a, b, c, d] = radii as [number, number, number, number];
  const factor = Math.min(1, width / (a + b || 1), width / (c + d || 1), height / (a + d || 1), height / (b + c || 1));
  return radii.map((r) => r * factor);
}

/** A rectangle with rounded corners as path data. */
export function roundedPath({ x, y, width: w, height: h }: Rect, radii: readonly number[]): string {
  const [a, b, c, d] = radii as [number, number, number, number];
  const n = (v: number) => String(Math.round(v * 100) / 100);
  const arc = (r: number, dx: number, dy: number) => (r > 0 ? `a${n(r)} ${n(r)} 0 0 1 ${n(dx)} ${n(dy)}` : '');
  return [
    `M${n(x + a)} ${n(y)}H${n(x + w - b)}${arc(b, b, b)}`,
    `V${n(y + h - c)}${arc(c, -c, c)}`,
    `H${n(x + d)}${arc(d, -d, -d)}`,
    `V${n(y + a)}${arc(a, a, -a)}Z`,
  ].join('');
}

/** Shadow, background and borders of a box, lowest first. */
export function drawGround(style: ComputedStyle, node: PaintNode, definitions: Definitions): Shape[] {
  const { rect } = node;
  const radii = radiiOf(style, rect);
  const out: Shape[] = shadows(style, rect, radii);
  const d = roundedPath(rect, radii);
  if (style.backgroundColor.a > 0) out.push(shape('path', { d, ...paint('fill', style.backgroundColor) }));
  if (style.backgroundClip !== 'text')
    for (const image of style.backgroundImage.toReversed()) out.push(drawImage(image, node, style, d, definitions));
  return [...out, ...borders(style, rect, radii), ...outline(style, rect, radii)];
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
  const tiling = tilingOf(node.fragment, node.rect, style, image);
  const known = tiling && tiling.tile.width > 0 && tiling.tile.height > 0 ? tiling : null;
  const id = definitions.id('c', d, (name) => shape('clipPath', { id: name }, [shape('path', { d })]));
  const tile = known?.tile ?? node.rect;
  const picture = drawPicture(image, tile, definitions);
  if (!picture) return shape('path', { d, ...TINT });
  return group(known ? tilesOf(known, picture, definitions) : [picture], { 'clip-path': `url(#${id})` });
}

function drawPicture(image: BackgroundImage, rect: Rect, definitions: Definitions): Shape | null {
  if (image.kind === 'gradient') {
    if (image.gradient) return drawGradient(image.gradient, rect, definitions);
    return image.colours[0] ? shape('rect', { ...rect, ...paint('fill', image.colours[0]) }) : null;
  }
  return image.kind === 'url' ? drawAddress(image.url, rect) : null;
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

function borders(style: ComputedStyle, rect: Rect, radii: readonly number[]): Shape[] {
  const lines = (['Top', 'Right', 'Bottom', 'Left'] as const).map((side): Line => ({
    width: style[`border${side}Width`],
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
function ring(rect: Rect, radii: readonly number[], line: Line): Shape {
  const half = line.width / 2;
  const inner = {
    x: rect.x + half,
    y: rect.y + half,
    width: rect.width - line.width,
    height: rect.height - line.width,
  };
  return shape('path', {
    d: roundedPath(
      inner,
      radii.map((r) => Math.max(0, r - half)),
    ),
    fill: 'none',
    'stroke-width': line.width,
    'stroke-dasharray': DASHES[line.style]?.(line.width) ?? null,
    ...paint('stroke', line.colour),
  });
}

function outline(style: ComputedStyle, rect: Rect, radii: readonly number[]): Shape[] {
  const line: Line = { width: style.outlineWidth, colour: style.outlineColor, style: style.outlineStyle };
  if (!isDrawn(line)) return [];
  const out = resolveLength(style.outlineOffset, 0) + line.width;
  const around = { x: rect.x - out, y: rect.y - out, width: rect.width + 2 * out, height: rect.height + 2 * out };
  return [
    ring(
      around,
      radii.map((r) => (r > 0 ? r + out : 0)),
      line,
    ),
  ];
}

const REM = 16;

/** Outer shadows; those that fall inwards are left out. @spec css-backgrounds-3 §6.1 */
function shadows(style: ComputedStyle, rect: Rect, radii: readonly number[]): Shape[] {
  if (style.boxShadow === 'none') return [];
  return splitCommas(parseComponents(style.boxShadow))
    .toReversed()
    .flatMap((part): Shape[] => {
      if (part.some((c) => c.type === 'ident' && c.name === 'inset')) return [];
      const lengths = part.flatMap((c) =>
        c.type === 'dimension'
          ? [c.value * (c.unit === 'em' ? style.fontSize : c.unit === 'rem' ? REM : 1)]
          : c.type === 'number'
            ? [c.value]
            : [],
      );
      const colour = part.map((c) => readColour(c)).find((c) => c !== null)?.({ currentColor: style.color } as never);
      const [x = 0, y = 0, blur = 0, spread = 0] = lengths;
      if (!colour || colour.a === 0) return [];
      return softened(blur).map(({ grow, share }) => {
        const out = spread + grow;
        const at = {
          x: rect.x + x - out,
          y: rect.y + y - out,
          width: rect.width + 2 * out,
          height: rect.height + 2 * out,
        };
        const d = roundedPath(
          at,
          radii.map((r) => Math.max(0, r + out)),
        );
        return at.width > 0 && at.height > 0
          ? shape('path', { d, ...paint('fill', { ...colour, a: colour.a * share }) })
          : group([]);
      });
    });
}

const MOST_STEPS = 8;

/** A soft edge as a pile of faint sheets, each a little larger: no filter has to be run. */
function softened(blur: number): readonly { readonly grow: number; readonly share: number }[] {
  if (blur <= 0) return [{ grow: 0, share: 1 }];
  const steps = Math.min(MOST_STEPS, Math.ceil(blur / 2) + 1);
  return Array.from({ length: steps }, (_, i) => ({
    grow: blur / 2 - (i * blur) / (steps - 1 || 1),
    share: 1 / steps,
  }));
}
