import type { Rect } from '../base/index.js';
import { resolveLength, type TransformStep } from '../css/index.js';
import type { ComputedStyle } from '../cascade/index.js';

/** Affine 2D matrix: x' = a x + c y + e, y' = b x + d y + f. */
export interface Matrix {
  readonly a: number;
  readonly b: number;
  readonly c: number;
  readonly d: number;
  readonly e: number;
  readonly f: number;
}

export const IDENTITY: Matrix = Object.freeze({ a: 1, b: 0, c: 0, d: 1, e: 0, f: 0 });

export const multiply = (m: Matrix, n: Matrix): Matrix => ({
  a: m.a * n.a + m.c * n.b,
  b: m.b * n.a + m.d * n.b,
  c: m.a * n.c + m.c * n.d,
  d: m.b * n.c + m.d * n.d,
  e: m.a * n.e + m.c * n.f + m.e,
  f: m.b * n.e + m.d * n.f + m.f,
});

export const apply = (m: Matrix, x: number, y: number): { x: number; y: number } => ({
  x: m.a * x + m.c * y + m.e,
  y: m.b * x + m.d * y + m.f,
});

/** Null where the matrix flattens everything. */
export function invert(m: Matrix): Matrix | null {
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

/** The upright rectangle around a transformed one, as getBoundingClientRect gives it. */
export function boundsOf(m: Matrix | null, rect: Rect): Rect {
  if (!m) return rect;
  const { x, y, width, height } = rect;
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
    case 'other':
      return IDENTITY;
  }
}

export const listMatrix = (steps: readonly TransformStep[], width: number, height: number): Matrix =>
  steps.reduce((m, step) => multiply(m, stepMatrix(step, width, height)), IDENTITY);

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
