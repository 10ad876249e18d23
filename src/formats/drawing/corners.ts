import type { Rect } from '../../core/base/index.js';
import type { CornerRadius } from '../../core/paint/index.js';

/** Radii of the four corners from the upper left clockwise, px. */
export type Radii = readonly CornerRadius[];
export const SHARP: Radii = [
  [0, 0],
  [0, 0],
  [0, 0],
  [0, 0],
];
/** Radii of an outline further out or, by a negative distance, further in; sharp corners stay sharp. */
export const grown = (radii: Radii, by: number): Radii =>
  radii.map(([x, y]): CornerRadius => (x > 0 && y > 0 ? [Math.max(0, x + by), Math.max(0, y + by)] : [0, 0]));

/** A rectangle with rounded corners as path data. */
export function roundedPath({ x, y, width: w, height: h }: Rect, radii: Radii): string {
  const [a, b, c, d] = radii as [CornerRadius, CornerRadius, CornerRadius, CornerRadius];
  const n = (v: number) => String(Math.round(v * 100) / 100);
  const arc = ([rx, ry]: CornerRadius, dx: 1 | -1, dy: 1 | -1) =>
    rx > 0 && ry > 0 ? `a${n(rx)} ${n(ry)} 0 0 1 ${n(dx * rx)} ${n(dy * ry)}` : '';
  return [
    `M${n(x + a[0])} ${n(y)}H${n(x + w - b[0])}${arc(b, 1, 1)}`,
    `V${n(y + h - c[1])}${arc(c, -1, 1)}`,
    `H${n(x + d[0])}${arc(d, -1, -1)}`,
    `V${n(y + a[1])}${arc(a, 1, -1)}Z`,
  ].join('');
}
