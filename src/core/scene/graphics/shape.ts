import svgPath from 'svgpath';
import { unite, type Rect } from '../../base/index.js';
import type { Point } from '../../paint/index.js';

/** A shape as straight pieces: one list of points for each part of it. */
export interface Shape {
  readonly parts: readonly (readonly Point[])[];
  /** Tight bounds; null without any part. */
  readonly bounds: Rect | null;
}

const NOTHING: Shape = { parts: [], bounds: null };
/** Straight pieces a curve is cut into. */
const PIECES = 16;

const at = (points: readonly Point[]): Shape => ({
  parts: [points],
  bounds: points.reduce<Rect | null>((all, { x, y }) => unite(all, { x, y, width: 0, height: 0 }), null),
});

export const polygon = (points: readonly Point[]): Shape => (points.length === 0 ? NOTHING : at(points));

export function ellipse(cx: number, cy: number, rx: number, ry: number): Shape {
  if (!(rx > 0) || !(ry > 0)) return { ...at([{ x: cx, y: cy }]), bounds: { x: cx, y: cy, width: 0, height: 0 } };
  const points = Array.from({ length: 4 * PIECES }, (_, i) => {
    const angle = (i * Math.PI) / (2 * PIECES);
    return { x: cx + rx * Math.cos(angle), y: cy + ry * Math.sin(angle) };
  });
  return { parts: [points], bounds: { x: cx - rx, y: cy - ry, width: 2 * rx, height: 2 * ry } };
}

export const rectangle = ({ x, y, width, height }: Rect): Shape =>
  at([
    { x, y },
    { x: x + width, y },
    { x: x + width, y: y + height },
    { x, y: y + height },
  ]);

/** Where one coordinate of a curve turns back, as shares of its length. */
function turns(p: readonly number[]): number[] {
  if (p.length === 3) {
    const [a, b, c] = p as [number, number, number];
    const d = a - 2 * b + c;
    return d === 0 ? [] : [(a - b) / d];
  }
  const [p0, p1, p2, p3] = p as [number, number, number, number];
  const a = -p0 + 3 * p1 - 3 * p2 + p3;
  const b = 2 * (p0 - 2 * p1 + p2);
  const c = p1 - p0;
  if (Math.abs(a) < 1e-12) return Math.abs(b) < 1e-12 ? [] : [-c / b];
  const root = b * b - 4 * a * c;
  return root < 0 ? [] : [(-b + Math.sqrt(root)) / (2 * a), (-b - Math.sqrt(root)) / (2 * a)];
}

function valueAt(p: readonly number[], t: number): number {
  const u = 1 - t;
  return p.length === 3
    ? u * u * p[0]! + 2 * u * t * p[1]! + t * t * p[2]!
    : u * u * u * p[0]! + 3 * u * u * t * p[1]! + 3 * u * t * t * p[2]! + t * t * t * p[3]!;
}

/** Points along a curve, those at which it turns back among them. */
function alongCurve(xs: readonly number[], ys: readonly number[]): Point[] {
  const shares = [...Array.from({ length: PIECES }, (_, i) => (i + 1) / PIECES), ...turns(xs), ...turns(ys)];
  return shares
    .filter((t) => t > 0 && t <= 1)
    .sort((a, b) => a - b)
    .map((t) => ({ x: valueAt(xs, t), y: valueAt(ys, t) }));
}

/** Reads path data as far as it is valid. @spec svg-2 §9.3 */
export function path(data: string): Shape {
  if (data.trim() === '') return NOTHING;
  const parts: Point[][] = [];
  let part: Point[] = [];
  const push = (...points: Point[]) => part.push(...points);
  svgPath(data)
    .abs()
    .unshort()
    .unarc()
    .iterate((segment, _, x, y) => {
      const [kind, ...n] = segment as [string, ...number[]];
      if (kind !== 'M' && part.length === 0) push({ x, y });
      if (kind === 'M') {
        if (part.length > 0) parts.push(part);
        part = [{ x: n[0]!, y: n[1]! }];
      } else if (kind === 'L') push({ x: n[0]!, y: n[1]! });
      else if (kind === 'H') push({ x: n[0]!, y });
      else if (kind === 'V') push({ x, y: n[0]! });
      else if (kind === 'C') push(...alongCurve([x, n[0]!, n[2]!, n[4]!], [y, n[1]!, n[3]!, n[5]!]));
      else if (kind === 'Q') push(...alongCurve([x, n[0]!, n[2]!], [y, n[1]!, n[3]!]));
      else if (/^z$/i.test(kind)) {
        push(part[0]!);
        parts.push(part);
        part = [];
      }
    });
  if (part.length > 0) parts.push(part);
  // A move that nothing follows draws nothing.
  const drawn = parts.filter(({ length }) => length > 1);
  const all = (drawn.length > 0 ? drawn : parts).flat();
  return { parts: drawn, bounds: all.length === 0 ? null : at(all).bounds };
}

/** How often an outline winds around a point. @spec svg-2 §13.4.2 (fill-rule) */
export function winding({ parts }: Shape, { x, y }: Point): { readonly turns: number; readonly crossings: number } {
  let turnsAround = 0;
  let crossings = 0;
  for (const points of parts)
    points.forEach((a, i) => {
      const b = points[(i + 1) % points.length]!;
      if (a.y <= y === b.y <= y) return;
      if (a.x + ((y - a.y) / (b.y - a.y)) * (b.x - a.x) <= x) return;
      crossings += 1;
      turnsAround += b.y > a.y ? 1 : -1;
    });
  return { turns: turnsAround, crossings };
}

/** Distance of a point from the line of an outline. */
export function distanceFrom({ parts }: Shape, { x, y }: Point, closed: boolean): number {
  let least = Infinity;
  for (const points of parts)
    for (let i = 0; i < points.length - (closed ? 0 : 1); i++) {
      const a = points[i]!;
      const b = points[(i + 1) % points.length]!;
      const [dx, dy] = [b.x - a.x, b.y - a.y];
      const length = dx * dx + dy * dy;
      const t = length === 0 ? 0 : Math.max(0, Math.min(1, ((x - a.x) * dx + (y - a.y) * dy) / length));
      least = Math.min(least, Math.hypot(a.x + t * dx - x, a.y + t * dy - y));
    }
  return least;
}
