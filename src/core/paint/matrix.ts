import type { Rect } from '../base/index.js';
import { resolveLength, type TransformStep } from '../css/index.js';
import type { ComputedStyle } from '../cascade/index.js';
import { planeOf } from './perspective.js';

/** 2D matrix: x' = (a x + c y + e) / w, y' = (b x + d y + f) / w, where w = g x + h y + 1 is other than 1 in perspective alone. */
export interface Matrix {
  readonly a: number;
  readonly b: number;
  readonly c: number;
  readonly d: number;
  readonly e: number;
  readonly f: number;
  readonly g?: number;
  readonly h?: number;
}

const isFlat = ({ g = 0, h = 0 }: Matrix): boolean => g === 0 && h === 0;

export const IDENTITY: Matrix = Object.freeze({ a: 1, b: 0, c: 0, d: 1, e: 0, f: 0 });

export function multiply(m: Matrix, n: Matrix): Matrix {
  return isFlat(m) && isFlat(n) ? product(m, n) : projected(m, n);
}

function projected(m: Matrix, n: Matrix): Matrix {
  const { g = 0, h = 0 } = m;
  const { g: ng = 0, h: nh = 0 } = n;
  const last = g * n.e + h * n.f + 1;
  const by = Math.abs(last) < 1e-9 ? 1e-9 : last;
  return {
    a: (m.a * n.a + m.c * n.b + m.e * ng) / by,
    b: (m.b * n.a + m.d * n.b + m.f * ng) / by,
    c: (m.a * n.c + m.c * n.d + m.e * nh) / by,
    d: (m.b * n.c + m.d * n.d + m.f * nh) / by,
    e: (m.a * n.e + m.c * n.f + m.e) / by,
    f: (m.b * n.e + m.d * n.f + m.f) / by,
    g: (g * n.a + h * n.b + ng) / by,
    h: (g * n.c + h * n.d + nh) / by,
  };
}

const product = (m: Matrix, n: Matrix): Matrix => ({
  a: m.a * n.a + m.c * n.b,
  b: m.b * n.a + m.d * n.b,
  c: m.a * n.c + m.c * n.d,
  d: m.b * n.c + m.d * n.d,
  e: m.a * n.e + m.c * n.f + m.e,
  f: m.b * n.e + m.d * n.f + m.f,
});

export function apply(m: Matrix, x: number, y: number): { x: number; y: number } {
  const w = isFlat(m) ? 1 : Math.max(BEHIND, (m.g ?? 0) * x + (m.h ?? 0) * y + 1);
  return { x: (m.a * x + m.c * y + m.e) / w, y: (m.b * x + m.d * y + m.f) / w };
}

/** What lies behind the viewer is seen as far away as it gets. */
const BEHIND = 1e-3;

/** Null where the matrix flattens everything. */
export function invert(m: Matrix): Matrix | null {
  if (!isFlat(m)) return invertProjected(m);
  const det = m.a * m.d - m.b * m.c;
  if (Math.abs(det) < 1e-12) return null;
  return {
    a: m.d / det,
    b: -m.b / det,
    c: -m.c / det,
    d: m.a / det,
    e: (m.c * m.f - m.d * m.e) / det,
    f: (m.b * m.e - m.a * m.f) / det,
  };
}

function invertProjected({ a, b, c, d, e, f, g = 0, h = 0 }: Matrix): Matrix | null {
  const det = a * (d - f * h) - c * (b - f * g) + e * (b * h - d * g);
  const by = a * d - b * c;
  if (Math.abs(det) < 1e-12 || Math.abs(by) < 1e-12) return null;
  return {
    a: (d - f * h) / by,
    b: (f * g - b) / by,
    c: (e * h - c) / by,
    d: (a - e * g) / by,
    e: (c * f - d * e) / by,
    f: (b * e - a * f) / by,
    g: (b * h - d * g) / by,
    h: (c * g - a * h) / by,
  };
}

/** The upright rectangle around a transformed one, as getBoundingClientRect gives it. */
export function boundsOf(m: Matrix | null, rect: Rect): Rect {
  if (!m) return rect;
  const { x, y, width, height } = rect;
  if (!isFlat(m))
    return around([apply(m, x, y), apply(m, x + width, y), apply(m, x, y + height), apply(m, x + width, y + height)]);
  const [left, top] = [m.a * x + m.c * y + m.e, m.b * x + m.d * y + m.f];
  const [across, along] = [m.a * width, m.c * height];
  const [down, beside] = [m.d * height, m.b * width];
  return {
    x: left + Math.min(0, across) + Math.min(0, along),
    y: top + Math.min(0, down) + Math.min(0, beside),
    width: Math.abs(across) + Math.abs(along),
    height: Math.abs(down) + Math.abs(beside),
  };
}

function around(corners: readonly { readonly x: number; readonly y: number }[]): Rect {
  const [xs, ys] = [corners.map((p) => p.x), corners.map((p) => p.y)];
  const [x, y] = [Math.min(...xs), Math.min(...ys)];
  return { x, y, width: Math.max(...xs) - x, height: Math.max(...ys) - y };
}

const translation = (e: number, f: number): Matrix => ({ ...IDENTITY, e, f });

function stepMatrix(step: TransformStep, width: number, height: number): Matrix {
  const radians = (degrees: number) => (degrees * Math.PI) / 180;
  switch (step.kind) {
    case 'translate':
      return translation(resolveLength(step.x, width), resolveLength(step.y, height));
    case 'scale':
      return { ...IDENTITY, a: step.x, d: step.y };
    case 'rotate': {
      const cos = Math.cos(radians(step.degrees));
      const sin = Math.sin(radians(step.degrees));
      if (step.axis === 'x') return { ...IDENTITY, d: cos };
      if (step.axis === 'y') return { ...IDENTITY, a: cos };
      return { ...IDENTITY, a: cos, b: sin, c: -sin, d: cos };
    }
    case 'skew':
      return { ...IDENTITY, c: Math.tan(radians(step.x)), b: Math.tan(radians(step.y)) };
    case 'matrix': {
      const [a, b, c, d, e, f] = step.m as readonly [number, number, number, number, number, number];
      return { a, b, c, d, e, f };
    }
    case 'perspective':
    case 'space':
      return IDENTITY;
  }
}

export const listMatrix = (steps: readonly TransformStep[], width: number, height: number): Matrix =>
  steps.some(({ kind }) => kind === 'perspective' || kind === 'space')
    ? planeOf(steps, width, height)
    : steps.reduce((m, step) => multiply(m, stepMatrix(step, width, height)), IDENTITY);

export const isTransformed = (style: ComputedStyle): boolean =>
  style.transform.length > 0 || style.translate.length > 0 || style.rotate.length > 0 || style.scale.length > 0;

/** The matrix of a box around its transform origin, in the coordinates its position is given in. @spec css-transforms-2 §6 */
export function boxMatrix(style: ComputedStyle, rect: Rect): Matrix {
  const { width, height } = rect;
  const [ox, oy] = style.transformOrigin;
  const x = rect.x + resolveLength(ox, width);
  const y = rect.y + resolveLength(oy, height);
  const inner = [style.translate, style.rotate, style.scale, style.transform].reduce(
    (m, steps) => multiply(m, listMatrix(steps, width, height)),
    IDENTITY,
  );
  return multiply(multiply(translation(x, y), inner), translation(-x, -y));
}
