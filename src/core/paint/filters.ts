import { fade, type Rgba } from '../css/index.js';

/** What a filter does to colours. */
export interface Filter {
  readonly change: (colour: Rgba) => Rgba;
  /** Standard deviation of its blur, px: neighbouring colours run into one another. */
  readonly blur: number;
}

type Row = readonly [number, number, number];
type Matrix = readonly [Row, Row, Row];

const NUMBER = /^(-?[\d.]+)(%|deg|turn|rad|grad|px)?$/;
const FUNCTION = /([a-z-]+)\(((?:[^()]|\([^()]*\))*)\)/gi;
const TURN: Readonly<Record<string, number>> = { deg: 1 / 360, turn: 1, rad: 1 / (2 * Math.PI), grad: 1 / 400 };
const clamped = (value: number): number => Math.min(255, Math.max(0, value));

const known = new Map<string, Filter | null>();
const KEPT = 500;

/**
 * A filter or backdrop-filter as a change of colours; null where that cannot be told from the style sheet.
 * Shadows leave colours as they are.
 * @param value a computed value, such as `saturate(1.8) blur(20px)`
 * @spec filter-effects-1 §5, §9
 */
export function readFilter(value: string): Filter | null {
  let filter = known.get(value);
  if (filter === undefined) {
    if (known.size >= KEPT) known.clear();
    known.set(value, (filter = read(value)));
  }
  return filter;
}

function read(value: string): Filter | null {
  const steps: ((colour: Rgba) => Rgba)[] = [];
  let blur = 0;
  const rest = value.replace(FUNCTION, '').trim();
  if (rest !== '' && rest !== 'none') return null;
  for (const [, name, args] of value.matchAll(FUNCTION)) {
    const amount = amountOf(args!.trim());
    if (name === 'drop-shadow') continue;
    if (amount === null) return null;
    if (name === 'blur') blur = Math.hypot(blur, args!.trim() === '' ? 0 : amount);
    else if (name === 'opacity') steps.push((colour) => fade(colour, Math.min(1, amount)));
    else {
      const made = matrixOf(name!, amount);
      if (!made) return null;
      steps.push((colour) => applied(made.matrix, made.add, colour));
    }
  }
  return { change: (colour) => steps.reduce((c, step) => step(c), colour), blur };
}

/** The argument as a share of one, an angle as turns, a length in px. */
function amountOf(args: string): number | null {
  if (args === '') return 1;
  const [, number, unit] = NUMBER.exec(args) ?? [];
  if (number === undefined) return null;
  return Number(number) * (unit === '%' ? 0.01 : (TURN[unit ?? ''] ?? 1));
}

function matrixOf(name: string, amount: number): { readonly matrix: Matrix; readonly add: number } | null {
  const part = Math.min(1, amount);
  switch (name) {
    case 'brightness':
      return { matrix: scaled(amount), add: 0 };
    case 'contrast':
      return { matrix: scaled(amount), add: 255 * (0.5 - amount / 2) };
    case 'invert':
      return { matrix: scaled(1 - 2 * part), add: 255 * part };
    case 'saturate':
      return { matrix: mixed(GREY, amount), add: 0 };
    case 'grayscale':
      return { matrix: mixed(LUMA, 1 - part), add: 0 };
    case 'sepia':
      return { matrix: mixed(SEPIA, 1 - part), add: 0 };
    case 'hue-rotate':
      return { matrix: turned(2 * Math.PI * amount), add: 0 };
    default:
      return null;
  }
}

const toGrey = (row: Row): Matrix => [row, row, row];
const GREY = toGrey([0.213, 0.715, 0.072]);
const LUMA = toGrey([0.2126, 0.7152, 0.0722]);
const SEPIA: Matrix = [
  [0.393, 0.769, 0.189],
  [0.349, 0.686, 0.168],
  [0.272, 0.534, 0.131],
];
/** What a quarter turn of the hue adds. */
const QUARTER: Matrix = [
  [-0.213, -0.715, 0.928],
  [0.143, 0.14, -0.283],
  [-0.787, 0.715, 0.072],
];

const built = (cell: (row: number, column: number) => number): Matrix =>
  [0, 1, 2].map((row) => [0, 1, 2].map((column) => cell(row, column))) as unknown as Matrix;
const scaled = (by: number): Matrix => built((row, column) => (row === column ? by : 0));
/** The colour itself by a share, and the rest of what a matrix makes of it. */
const mixed = (other: Matrix, own: number): Matrix =>
  built((row, column) => other[row]![column]! * (1 - own) + (row === column ? own : 0));
const turned = (angle: number): Matrix =>
  built(
    (row, column) =>
      GREY[row]![column]! +
      Math.cos(angle) * ((row === column ? 1 : 0) - GREY[row]![column]!) +
      Math.sin(angle) * QUARTER[row]![column]!,
  );

function applied(matrix: Matrix, add: number, { r, g, b, a }: Rgba): Rgba {
  const [red, green, blue] = matrix.map(([x, y, z]) => clamped(x * r + y * g + z * b + add)) as unknown as Row;
  return { r: red, g: green, b: blue, a };
}
