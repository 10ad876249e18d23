import type { Rect } from '../base/index.js';
import { resolveLength, type Gradient, type Rgba } from '../css/index.js';

/** A stop with its place in px along the gradient line, or in percent of the turn. */
export interface PlacedStop {
  readonly at: number;
  readonly colour: Rgba;
}

/** The line of a linear gradient through a box: its ends, px. @spec css-images-4 §3.1.2 */
export function gradientLine(
  gradient: Gradient,
  { x, y, width, height }: Rect,
): { readonly from: readonly [number, number]; readonly to: readonly [number, number]; readonly length: number } {
  const turn = (angleIn(gradient, width, height) * Math.PI) / 180;
  const [dx, dy] = [Math.sin(turn), -Math.cos(turn)];
  const length = Math.abs(width * dx) + Math.abs(height * dy);
  const [mx, my] = [x + width / 2, y + height / 2];
  return {
    from: [mx - (dx * length) / 2, my - (dy * length) / 2],
    to: [mx + (dx * length) / 2, my + (dy * length) / 2],
    length,
  };
}

/** Towards a corner the middle line runs through the other two. */
function angleIn({ angle, corner }: Gradient, width: number, height: number): number {
  if (!corner) return angle;
  return (Math.atan2(corner[0] * height, -corner[1] * width) * 180) / Math.PI;
}

/** Centre and radii of a radial gradient, px. @spec css-images-4 §3.2.2 */
export function gradientEllipse(
  { centre, circle, extent, radii }: Gradient,
  rect: Rect,
): { readonly x: number; readonly y: number; readonly rx: number; readonly ry: number } {
  const cx = resolveLength(centre[0], rect.width);
  const cy = resolveLength(centre[1], rect.height);
  const at = { x: rect.x + cx, y: rect.y + cy };
  if (!extent) {
    const rx = resolveLength(radii[0]!, rect.width);
    return { ...at, rx, ry: radii[1] ? resolveLength(radii[1], rect.height) : rx };
  }
  const far = extent.startsWith('farthest');
  const pick = (a: number, b: number) => (far ? Math.max(a, b) : Math.min(a, b));
  const sideX = pick(Math.abs(cx), Math.abs(rect.width - cx));
  const sideY = pick(Math.abs(cy), Math.abs(rect.height - cy));
  if (circle) {
    const radius = extent.endsWith('corner') ? Math.hypot(sideX, sideY) : pick(sideX, sideY);
    return { ...at, rx: radius, ry: radius };
  }
  const grow = extent.endsWith('corner') ? Math.SQRT2 : 1;
  return { ...at, rx: sideX * grow, ry: sideY * grow };
}

/** Stops in order, those without a place spread between their neighbours. @spec css-images-4 §3.5.3 */
export function placedStops({ stops }: Gradient, length: number): PlacedStop[] {
  const places = stops.map(({ at }) => (at ? resolveLength(at, length) : null));
  places[0] ??= 0;
  places[places.length - 1] ??= length;
  let most = -Infinity;
  places.forEach((place, i) => {
    if (place === null) return;
    most = Math.max(most, place);
    places[i] = most;
  });
  for (let i = 1; i < places.length; i++) {
    if (places[i] !== null) continue;
    const next = places.findIndex((place, j) => j > i && place !== null);
    places[i] = places[i - 1]! + (places[next]! - places[i - 1]!) / (next - i + 1);
  }
  return stops.map(({ colour }, i) => ({ colour, at: places[i]! }));
}

/** The colour of a gradient at a point; null where it is mixed in a way that is not worked out here. */
export function gradientColour(gradient: Gradient, rect: Rect, x: number, y: number): Rgba | null {
  if (gradient.otherSpace) return null;
  const { place, length } = along(gradient, rect, x, y);
  return colourAt(placedStops(gradient, length), place, gradient.repeating);
}

function along(gradient: Gradient, rect: Rect, x: number, y: number): { place: number; length: number } {
  if (gradient.shape === 'linear') {
    const { from, to, length } = gradientLine(gradient, rect);
    if (length === 0) return { place: 0, length };
    return { place: ((x - from[0]) * (to[0] - from[0]) + (y - from[1]) * (to[1] - from[1])) / length, length };
  }
  if (gradient.shape === 'radial') {
    const { x: cx, y: cy, rx, ry } = gradientEllipse(gradient, rect);
    return { place: Math.hypot(x - cx, ((y - cy) * rx) / (ry || 1)), length: rx };
  }
  const cx = rect.x + resolveLength(gradient.centre[0], rect.width);
  const cy = rect.y + resolveLength(gradient.centre[1], rect.height);
  const turn = (Math.atan2(x - cx, cy - y) * 180) / Math.PI - gradient.angle;
  return { place: (((turn % 360) + 360) % 360) / 3.6, length: 100 };
}

function colourAt(stops: readonly PlacedStop[], place: number, repeating: boolean): Rgba {
  const first = stops[0]!;
  const last = stops[stops.length - 1]!;
  const span = last.at - first.at;
  const at = repeating && span > 0 ? first.at + ((((place - first.at) % span) + span) % span) : place;
  if (at <= first.at) return first.colour;
  if (at >= last.at) return last.colour;
  const next = stops.findIndex((stop) => stop.at > at);
  const [a, b] = [stops[next - 1]!, stops[next]!];
  return mix(a.colour, b.colour, (at - a.at) / (b.at - a.at));
}

/** A colour between two others. @spec css-color-4 §12.3 (premultiplied alpha) */
export function mix(from: Rgba, to: Rgba, share: number): Rgba {
  const a = from.a + (to.a - from.a) * share;
  const part = (c: 'r' | 'g' | 'b') => (a === 0 ? 0 : (from[c] * from.a * (1 - share) + to[c] * to.a * share) / a);
  return { r: part('r'), g: part('g'), b: part('b'), a };
}
