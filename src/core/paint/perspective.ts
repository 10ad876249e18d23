import { resolveLength, type TransformStep } from '../css/index.js';

/** Four rows of four, for points as columns. */
type Space = readonly (readonly number[])[];

const UNIT: Space = [
  [1, 0, 0, 0],
  [0, 1, 0, 0],
  [0, 0, 1, 0],
  [0, 0, 0, 1],
];

const times = (m: Space, n: Space): Space =>
  m.map((row) => [0, 1, 2, 3].map((column) => row.reduce((sum, value, k) => sum + value * n[k]![column]!, 0)));

const changed = (...entries: readonly (readonly [row: number, column: number, value: number])[]): Space =>
  UNIT.map((row, r) => row.map((value, c) => entries.find(([a, b]) => a === r && b === c)?.[2] ?? value));

const radians = (degrees: number): number => (degrees * Math.PI) / 180;

/** Nearer than a px nothing is seen from. @spec css-transforms-2 §6.1 */
const NEAREST = 1;

function spaceOf(step: TransformStep, width: number, height: number): Space {
  switch (step.kind) {
    case 'translate':
      return changed([0, 3, resolveLength(step.x, width)], [1, 3, resolveLength(step.y, height)], [2, 3, step.z.px]);
    case 'scale':
      return changed([0, 0, step.x], [1, 1, step.y], [2, 2, step.z]);
    case 'rotate': {
      const [cos, sin] = [Math.cos(radians(step.degrees)), Math.sin(radians(step.degrees))];
      if (step.axis === 'x') return changed([1, 1, cos], [1, 2, -sin], [2, 1, sin], [2, 2, cos]);
      if (step.axis === 'y') return changed([0, 0, cos], [0, 2, sin], [2, 0, -sin], [2, 2, cos]);
      return changed([0, 0, cos], [0, 1, -sin], [1, 0, sin], [1, 1, cos]);
    }
    case 'skew':
      return changed([0, 1, Math.tan(radians(step.x))], [1, 0, Math.tan(radians(step.y))]);
    case 'matrix': {
      const [a = 1, b = 0, c = 0, d = 1, e = 0, f = 0] = step.m;
      return changed([0, 0, a], [1, 0, b], [0, 1, c], [1, 1, d], [0, 3, e], [1, 3, f]);
    }
    case 'perspective':
      return step.distance === null ? UNIT : changed([3, 2, -1 / Math.max(NEAREST, step.distance)]);
    case 'space':
      return [0, 1, 2, 3].map((row) => [0, 1, 2, 3].map((column) => step.m[4 * column + row]!));
  }
}

/** The product of steps as `matrix3d()` has it: sixteen numbers, column by column. @spec css-transforms-2 §12.1 */
export function spaceMatrix(steps: readonly TransformStep[], width: number, height: number): readonly number[] {
  const m = productOf(steps, width, height);
  return [0, 1, 2, 3].flatMap((column) => m.map((row) => row[column]!));
}

const productOf = (steps: readonly TransformStep[], width: number, height: number): Space =>
  steps.reduce((all, step) => times(all, spaceOf(step, width, height)), UNIT);

/** Where steps seen in perspective put the plane of a box, as a projecting 2D matrix. @spec css-transforms-2 §7.1 */
export function planeOf(steps: readonly TransformStep[], width: number, height: number) {
  const m = productOf(steps, width, height);
  const by = Math.abs(m[3]![3]!) < 1e-9 ? 1e-9 : m[3]![3]!;
  const at = (row: number, column: number): number => m[row]![column]! / by;
  return { a: at(0, 0), b: at(1, 0), c: at(0, 1), d: at(1, 1), e: at(0, 3), f: at(1, 3), g: at(3, 0), h: at(3, 1) };
}
