import type { Rect } from '../../base/index.js';
import { ABSOLUTE_UNITS } from '../../css/index.js';
import type { ElementNode } from '../../html/index.js';
import { IDENTITY, multiply, type Matrix } from '../../paint/index.js';

/** Reads a length attribute; null where there is none. @param basis of percentages, px */
export function lengthOf(text: string | undefined, basis: number, fontSize = 16): number | null {
  const match = /^\s*([+-]?(?:\d+\.?\d*|\.\d+)(?:e[+-]?\d+)?)\s*([a-z]*|%)\s*$/i.exec(text ?? '');
  if (!match) return null;
  const value = Number(match[1]);
  const unit = match[2]!.toLowerCase();
  if (unit === '%') return (value * basis) / 100;
  if (unit === 'em' || unit === 'rem') return value * fontSize;
  if (unit === 'ex') return (value * fontSize) / 2;
  return value * (unit === '' ? 1 : (ABSOLUTE_UNITS[unit] ?? 1));
}

export const numbersIn = (text: string): number[] =>
  (text.match(/[+-]?(?:\d+\.?\d*|\.\d+)(?:e[+-]?\d+)?/gi) ?? []).map(Number);

/** The area user units refer to inside a viewport, and the matrix that puts it there. */
export interface Viewport {
  readonly width: number;
  readonly height: number;
  readonly matrix: Matrix;
}

/** How `viewBox` fits into a viewport. @spec svg-2 §8.2 */
export function viewportIn({ attributes }: ElementNode, { x, y, width, height }: Rect): Viewport {
  const view = numbersIn(attributes.get('viewBox') ?? '');
  const place: Matrix = { ...IDENTITY, e: x, f: y };
  const [minX, minY, w, h] = view as [number, number, number, number];
  // A viewport without room is not scaled to nothing: browsers leave its shapes as they are.
  if (view.length !== 4 || !(w > 0) || !(h > 0) || width <= 0 || height <= 0) return { width, height, matrix: place };
  const [align = 'xMidYMid', meet = 'meet'] = (attributes.get('preserveAspectRatio') ?? '')
    .replace(/^\s*defer\s+/, '')
    .trim()
    .split(/\s+/)
    .filter((word) => word !== '');
  let [sx, sy] = [width / w, height / h];
  if (align !== 'none') sx = sy = meet === 'slice' ? Math.max(sx, sy) : Math.min(sx, sy);
  const share = (which: string) =>
    align.includes(`${which}Min`) || align === 'none' ? 0 : align.includes(`${which}Max`) ? 1 : 0.5;
  const e = (width - w * sx) * share('x') - minX * sx;
  const f = (height - h * sy) * share('Y') - minY * sy;
  return { width: w, height: h, matrix: multiply(place, { a: sx, b: 0, c: 0, d: sy, e, f }) };
}
