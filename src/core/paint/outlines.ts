import type { Rect } from '../base/index.js';
import type { Fragment } from '../boxes/index.js';
import type { ComputedStyle } from '../cascade/index.js';
import { resolveLength, type BasicShape, type ClipPath } from '../css/index.js';

/** Horizontal and vertical radius of a corner, px. */
export type CornerRadius = readonly [number, number];

/** An outline that cuts off what lies outside of it, in the coordinates of the box; px. */
export type Outline =
  | { readonly kind: 'rounded'; readonly rect: Rect; readonly radii: readonly CornerRadius[] }
  | { readonly kind: 'ellipse'; readonly x: number; readonly y: number; readonly rx: number; readonly ry: number }
  | { readonly kind: 'polygon'; readonly points: readonly (readonly [number, number])[]; readonly evenOdd: boolean };

const SHARP: CornerRadius = [0, 0];

/** Scales radii down where neighbouring corners would overlap. @spec css-backgrounds-3 §4.5 */
function fitted(radii: readonly CornerRadius[], { width, height }: Rect): readonly CornerRadius[] {
  const [a, b, c, d] = radii as [CornerRadius, CornerRadius, CornerRadius, CornerRadius];
  const share = (room: number, used: number) => (used > room ? room / used : 1);
  const factor = Math.min(
    share(width, a[0] + b[0]),
    share(width, c[0] + d[0]),
    share(height, a[1] + d[1]),
    share(height, b[1] + c[1]),
  );
  return factor < 1 ? radii.map(([x, y]): CornerRadius => [x * factor, y * factor]) : radii;
}

const isSharp = ([x, y]: ComputedStyle['borderTopLeftRadius']): boolean =>
  x.px === 0 && x.percent === 0 && !x.curve && y.px === 0 && y.percent === 0 && !y.curve;

/** Radii of a border box's corners from the upper left clockwise, px; null where all are sharp. @spec css-backgrounds-3 §4.1, §4.5 */
export function cornerRadii(style: ComputedStyle, rect: Rect): readonly CornerRadius[] | null {
  const {
    borderTopLeftRadius: a,
    borderTopRightRadius: b,
    borderBottomRightRadius: c,
    borderBottomLeftRadius: d,
  } = style;
  if (isSharp(a) && isSharp(b) && isSharp(c) && isSharp(d)) return null;
  const radii = [a, b, c, d].map(([x, y]): CornerRadius => {
    const [rx, ry] = [resolveLength(x, rect.width) || 0, resolveLength(y, rect.height) || 0];
    return rx > 0 && ry > 0 ? [rx, ry] : SHARP;
  });
  return fitted(radii, rect);
}

/** The padding edge of a box with rounded corners, or null. @spec css-backgrounds-3 §4.2 */
export function paddingOutline({ border }: Fragment, style: ComputedStyle, rect: Rect): Outline | null {
  const radii = cornerRadii(style, rect);
  if (!radii) return null;
  const inner: Rect = {
    x: rect.x + border.left,
    y: rect.y + border.top,
    width: Math.max(0, rect.width - border.left - border.right),
    height: Math.max(0, rect.height - border.top - border.bottom),
  };
  const less = [
    [border.left, border.top],
    [border.right, border.top],
    [border.right, border.bottom],
    [border.left, border.bottom],
  ] as const;
  return {
    kind: 'rounded',
    rect: inner,
    radii: radii.map(([x, y], i): CornerRadius => [Math.max(0, x - less[i]![0]), Math.max(0, y - less[i]![1])]),
  };
}

/** The outline a clip-path draws, or null where the engine does not follow it. @spec css-masking-1 §5.1, css-shapes-1 §3 */
export function clipOutline({ shape, box }: ClipPath, { border, padding }: Fragment, rect: Rect): Outline | null {
  if (!shape) return null;
  const inside = box === 'content-box' ? padding : { top: 0, right: 0, bottom: 0, left: 0 };
  const edges = box === 'border-box' ? { top: 0, right: 0, bottom: 0, left: 0 } : border;
  const area: Rect = {
    x: rect.x + edges.left + inside.left,
    y: rect.y + edges.top + inside.top,
    width: Math.max(0, rect.width - edges.left - edges.right - inside.left - inside.right),
    height: Math.max(0, rect.height - edges.top - edges.bottom - inside.top - inside.bottom),
  };
  return outlineOf(shape, area);
}

function outlineOf(shape: BasicShape, area: Rect): Outline {
  const { x, y, width, height } = area;
  if (shape.kind === 'polygon')
    return {
      kind: 'polygon',
      evenOdd: shape.evenOdd,
      points: shape.points.map(([px, py]) => [x + resolveLength(px, width), y + resolveLength(py, height)] as const),
    };
  if (shape.kind === 'ellipse') return ellipseOf(shape, area);
  const [top, right, bottom, left] = shape.edges.map((edge, i) => resolveLength(edge, i % 2 === 0 ? height : width));
  const rect: Rect = {
    x: x + left!,
    y: y + top!,
    width: Math.max(0, width - left! - right!),
    height: Math.max(0, height - top! - bottom!),
  };
  const radii = shape.corners.map(([rx, ry]): CornerRadius => [resolveLength(rx, width), resolveLength(ry, height)]);
  return { kind: 'rounded', rect, radii: radii.length === 4 ? fitted(radii, rect) : [SHARP, SHARP, SHARP, SHARP] };
}

function ellipseOf(
  { round, radii, at }: Extract<BasicShape, { kind: 'ellipse' }>,
  { x, y, width, height }: Rect,
): Outline {
  const cx = resolveLength(at[0], width);
  const cy = resolveLength(at[1], height);
  const sides = [Math.abs(cx), Math.abs(width - cx), Math.abs(cy), Math.abs(height - cy)];
  const read = (radius: (typeof radii)[number], basis: number, of: readonly number[]): number =>
    radius === 'closest-side'
      ? Math.min(...of)
      : radius === 'farthest-side'
        ? Math.max(...of)
        : resolveLength(radius, basis);
  const rx = round
    ? read(radii[0], Math.hypot(width, height) / Math.SQRT2, sides)
    : read(radii[0], width, sides.slice(0, 2));
  const ry = round ? rx : read(radii[1], height, sides.slice(2));
  return { kind: 'ellipse', x: x + cx, y: y + cy, rx, ry };
}

/** Whether a point lies inside an outline. */
export function insideOutline(outline: Outline, x: number, y: number): boolean {
  switch (outline.kind) {
    case 'ellipse': {
      const { rx, ry } = outline;
      return rx > 0 && ry > 0 && ((x - outline.x) / rx) ** 2 + ((y - outline.y) / ry) ** 2 <= 1;
    }
    case 'polygon':
      return insidePolygon(outline.points, outline.evenOdd, x, y);
    case 'rounded':
      return insideRounded(outline.rect, outline.radii, x, y);
  }
}

function insideRounded(rect: Rect, radii: readonly CornerRadius[], x: number, y: number): boolean {
  const [dx, dy] = [x - rect.x, y - rect.y];
  if (dx < 0 || dy < 0 || dx >= rect.width || dy >= rect.height) return false;
  const [left, top] = [dx < rect.width / 2, dy < rect.height / 2];
  const [rx, ry] = radii[top ? (left ? 0 : 1) : left ? 3 : 2]!;
  const [ox, oy] = [left ? dx : rect.width - dx, top ? dy : rect.height - dy];
  return ox >= rx || oy >= ry || ((rx - ox) / rx) ** 2 + ((ry - oy) / ry) ** 2 <= 1;
}

function insidePolygon(
  points: readonly (readonly [number, number])[],
  evenOdd: boolean,
  x: number,
  y: number,
): boolean {
  let winding = 0;
  points.forEach(([x1, y1], i) => {
    const [x2, y2] = points[(i + 1) % points.length]!;
    if (y1 > y === y2 > y || x >= x1 + ((y - y1) / (y2 - y1)) * (x2 - x1)) return;
    winding += y2 > y1 ? 1 : -1;
  });
  return evenOdd ? winding % 2 !== 0 : winding !== 0;
}

/** The smallest rectangle around an outline. */
export function outlineBounds(outline: Outline): Rect {
  if (outline.kind === 'rounded') return outline.rect;
  if (outline.kind === 'ellipse')
    return { x: outline.x - outline.rx, y: outline.y - outline.ry, width: 2 * outline.rx, height: 2 * outline.ry };
  const [first] = outline.points;
  const bounds = { left: first![0], top: first![1], right: first![0], bottom: first![1] };
  for (const [x, y] of outline.points) {
    bounds.left = Math.min(bounds.left, x);
    bounds.right = Math.max(bounds.right, x);
    bounds.top = Math.min(bounds.top, y);
    bounds.bottom = Math.max(bounds.bottom, y);
  }
  const { left, top, right, bottom } = bounds;
  return { x: left, y: top, width: right - left, height: bottom - top };
}
