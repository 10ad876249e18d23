import {
  isIdent,
  printLength,
  readAngle,
  readLength,
  readNumber,
  splitCommas,
  ZERO,
  type Component,
  type Computation,
  type LengthPercentage,
} from '../values/index.js';
import { making, row } from './define.js';

/** One step of a transform list. Angles in degrees; z parts are kept only where they make a 3D context. */
export type TransformStep =
  | {
      readonly kind: 'translate';
      readonly x: LengthPercentage;
      readonly y: LengthPercentage;
      /** Towards the viewer; matters in perspective alone. */
      readonly z: LengthPercentage;
    }
  | { readonly kind: 'scale'; readonly x: number; readonly y: number; readonly z: number }
  | { readonly kind: 'rotate'; readonly degrees: number; readonly axis: 'x' | 'y' | 'z' }
  | { readonly kind: 'skew'; readonly x: number; readonly y: number }
  | { readonly kind: 'matrix'; readonly m: readonly number[] }
  /** Distance of the viewer, px; null for none. */
  | { readonly kind: 'perspective'; readonly distance: number | null }
  /** Sixteen numbers, column by column. */
  | { readonly kind: 'space'; readonly m: readonly number[] };

type Reader = (parts: readonly (Component | undefined)[]) => Computation<TransformStep> | null;

const translate =
  (axes: 'xy' | 'x' | 'y' | 'z' | '3d'): Reader =>
  (parts) => {
    const zero: Computation<LengthPercentage> = () => ZERO;
    const first = readLength(parts[0]);
    const second = parts.length > 1 ? readLength(parts[1]) : zero;
    if (!first || !second || (axes === '3d' ? parts.length !== 3 : parts.length > (axes === 'xy' ? 2 : 1))) return null;
    const third = axes === '3d' ? readLength(parts[2], { percent: false }) : zero;
    if (!third) return null;
    if (axes === 'z') return (c) => ({ kind: 'translate', x: ZERO, y: ZERO, z: first(c) });
    if (axes === 'y') return (c) => ({ kind: 'translate', x: ZERO, y: first(c), z: ZERO });
    return (c) => ({ kind: 'translate', x: first(c), y: second(c), z: third(c) });
  };

const scale =
  (axes: 'xy' | 'x' | 'y' | 'z' | '3d'): Reader =>
  (parts) => {
    const first = readNumber(parts[0], { percent: true });
    const second = parts.length > 1 ? readNumber(parts[1], { percent: true }) : first;
    const third = axes === '3d' ? readNumber(parts[2], { percent: true }) : null;
    if (!first || !second || (axes === '3d' ? parts.length !== 3 : parts.length > (axes === 'xy' ? 2 : 1))) return null;
    if (axes === '3d' && !third) return null;
    return (c) => {
      const x = axes === 'y' || axes === 'z' ? 1 : first(c);
      const y = axes === 'x' || axes === 'z' ? 1 : axes === 'y' ? first(c) : second(c);
      const z = axes === 'z' ? first(c) : third ? third(c) : 1;
      return { kind: 'scale', x, y, z };
    };
  };

const rotate =
  (axis: 'x' | 'y' | 'z'): Reader =>
  (parts) => {
    const read = parts.length === 1 ? readAngle(parts[0]) : null;
    return read ? (c) => ({ kind: 'rotate', degrees: read(c), axis }) : null;
  };

const skew =
  (axes: 'xy' | 'x' | 'y'): Reader =>
  (parts) => {
    const first = readAngle(parts[0]);
    const second = axes === 'xy' && parts.length === 2 ? readAngle(parts[1]) : () => 0;
    if (!first || !second || parts.length > (axes === 'xy' ? 2 : 1)) return null;
    return (c) => (axes === 'y' ? { kind: 'skew', x: 0, y: first(c) } : { kind: 'skew', x: first(c), y: second(c) });
  };

const matrix: Reader = (parts) => {
  const numbers = parts.map((part) => readNumber(part));
  if (numbers.some((n) => n === null)) return null;
  if (numbers.length === 16) return (c) => ({ kind: 'space', m: numbers.map((n) => n!(c)) });
  return numbers.length === 6 ? (c) => ({ kind: 'matrix', m: numbers.map((n) => n!(c)) }) : null;
};

/** A turn around any axis. @spec css-transforms-2 §12.1 (rotate3d) */
const rotate3d: Reader = (parts) => {
  const axis = parts.slice(0, 3).map((part) => readNumber(part));
  const angle = readAngle(parts[3]);
  if (parts.length !== 4 || !angle || axis.includes(null)) return null;
  return (c) => {
    const [x = 0, y = 0, z = 0] = axis.map((n) => n!(c));
    return { kind: 'space', m: turnAround(x, y, z, (angle(c) * Math.PI) / 180) };
  };
};

function turnAround(x: number, y: number, z: number, radians: number): readonly number[] {
  const length = Math.hypot(x, y, z);
  if (length === 0) return [1, 0, 0, 0, 0, 1, 0, 0, 0, 0, 1, 0, 0, 0, 0, 1];
  const [u, v, w] = [x / length, y / length, z / length];
  const [cos, sin] = [Math.cos(radians), Math.sin(radians)];
  const rest = 1 - cos;
  return [
    ...[u * u * rest + cos, u * v * rest + w * sin, u * w * rest - v * sin, 0],
    ...[u * v * rest - w * sin, v * v * rest + cos, v * w * rest + u * sin, 0],
    ...[u * w * rest + v * sin, v * w * rest - u * sin, w * w * rest + cos, 0],
    ...[0, 0, 0, 1],
  ];
}

const perspective: Reader = (parts) => {
  if (parts.length !== 1) return null;
  if (isIdent(parts[0], 'none')) return () => ({ kind: 'perspective', distance: null });
  const distance = readLength(parts[0], { percent: false, negative: false });
  return distance ? (c) => ({ kind: 'perspective', distance: distance(c).px }) : null;
};

const FUNCTIONS: Readonly<Record<string, Reader>> = {
  translate: translate('xy'),
  translatex: translate('x'),
  translatey: translate('y'),
  translatez: translate('z'),
  translate3d: translate('3d'),
  scale: scale('xy'),
  scalex: scale('x'),
  scaley: scale('y'),
  scalez: scale('z'),
  scale3d: scale('3d'),
  rotate: rotate('z'),
  rotatez: rotate('z'),
  rotatex: rotate('x'),
  rotatey: rotate('y'),
  rotate3d,
  skew: skew('xy'),
  skewx: skew('x'),
  skewy: skew('y'),
  matrix,
  matrix3d: matrix,
  perspective,
};

/** @spec css-transforms-1 §6, css-transforms-2 §12 */
function parseTransform(items: readonly Component[]): Computation<readonly TransformStep[]> | null {
  if (items.length === 1 && isIdent(items[0], 'none')) return () => [];
  const steps: Computation<TransformStep>[] = [];
  for (const item of items) {
    if (item.type !== 'function') return null;
    const groups = splitCommas(item.args);
    if (groups.some((group) => group.length !== 1)) return null;
    const step = FUNCTIONS[item.name]?.(groups.map((group) => group[0]));
    if (!step) return null;
    steps.push(step);
  }
  return steps.length === 0 ? null : (c) => steps.map((step) => step(c));
}

/** The individual transform properties take the same steps without commas. @spec css-transforms-2 §5 */
function individual(name: string, read: (items: readonly Component[]) => Computation<TransformStep> | null) {
  return making(
    row<readonly TransformStep[]>(
      [],
      (items) => {
        if (items.length === 1 && isIdent(items[0], 'none')) return () => [];
        const step = read(items);
        return step ? (c) => [step(c)] : null;
      },
      printSteps,
      { affects: 'paint' },
    ),
    moved(name),
  );
}

/** A box that is moved, turned or sized is a context and holds what is fixed in it. @spec css-transforms-1 §3 */
const moved = (name: string) => {
  const says = (steps: readonly TransformStep[]) => (steps.length > 0 ? name : null);
  return { stacking: says, containing: says, only: 'transformable' } as const;
};

function printSteps(steps: readonly TransformStep[]): string {
  return steps.length === 0 ? 'none' : steps.map(printStep).join(' ');
}

function printStep(step: TransformStep): string {
  switch (step.kind) {
    case 'translate':
      return `translate(${printLength(step.x)}, ${printLength(step.y)})`;
    case 'scale':
      return `scale(${step.x}, ${step.y})`;
    case 'rotate':
      return `rotate(${step.degrees}deg)`;
    case 'skew':
      return `skew(${step.x}deg, ${step.y}deg)`;
    case 'matrix':
      return `matrix(${step.m.join(', ')})`;
    case 'perspective':
      return `perspective(${step.distance === null ? 'none' : `${step.distance}px`})`;
    case 'space':
      return `matrix3d(${step.m.join(', ')})`;
  }
}

const ORIGINS: Readonly<Record<string, number>> = { left: 0, top: 0, center: 50, right: 100, bottom: 100 };

function readOrigin(item: Component | undefined): Computation<LengthPercentage> | null {
  if (item?.type === 'ident') {
    const percent = ORIGINS[item.name];
    return percent === undefined ? null : () => ({ px: 0, percent, curve: null });
  }
  return readLength(item);
}

const CENTRE: LengthPercentage = { px: 0, percent: 50, curve: null };

function parseOrigin(items: readonly Component[]): Computation<readonly [LengthPercentage, LengthPercentage]> | null {
  if (items.length === 0 || items.length > 3) return null;
  const vertical = (item: Component | undefined) => isIdent(item, 'top', 'bottom');
  const swap = vertical(items[0]) || isIdent(items[1], 'left', 'right');
  const [a, b] = swap ? [items[1], items[0]] : [items[0], items[1]];
  const x = a ? readOrigin(a) : () => CENTRE;
  const y = b ? readOrigin(b) : () => CENTRE;
  return x && y ? (c) => [x(c), y(c)] : null;
}

export const transforms = {
  transform: making(
    row<readonly TransformStep[]>([], parseTransform, printSteps, { percent: 'own-box', affects: 'paint' }),
    moved('transform'),
  ),
  translate: individual('translate', (items) => translate(items.length === 3 ? '3d' : 'xy')(items)),
  rotate: individual('rotate', (items) => {
    if (items.length === 4) return rotate3d(items);
    const axis =
      items.length === 2 && isIdent(items[0], 'x', 'y', 'z') ? (items[0] as { name: 'x' | 'y' | 'z' }).name : 'z';
    const angle = readAngle(items[items.length - 1]);
    return angle && items.length <= 2 ? (c) => ({ kind: 'rotate', degrees: angle(c), axis }) : null;
  }),
  scale: individual('scale', (items) => scale(items.length === 3 ? '3d' : 'xy')(items)),
  transformOrigin: row<readonly [LengthPercentage, LengthPercentage]>(
    [CENTRE, CENTRE],
    parseOrigin,
    ([x, y]) => `${printLength(x)} ${printLength(y)}`,
    { percent: 'own-box', affects: 'paint' },
  ),
  transformBox: row<string>(
    'view-box',
    (items) => (items.length === 1 && items[0]!.type === 'ident' ? () => (items[0] as { name: string }).name : null),
    (v) => v,
    { affects: 'paint' },
  ),
} as const;
