import { isIdent, splitCommas, type Component } from './components.js';
import { readColour, type Rgba } from './colour.js';
import type { Computation } from './context.js';
import { readAngle, readLength, type LengthPercentage } from './length.js';
import { readPosition, type Position } from './position.js';

/** A colour and where it stands; of conic gradients in percent of the turn. Null: evenly between its neighbours. */
export interface GradientStop {
  readonly colour: Rgba;
  readonly at: LengthPercentage | null;
}

/** How a gradient lies in its box. @spec css-images-4 §3 */
export interface Gradient {
  readonly shape: 'linear' | 'radial' | 'conic';
  readonly repeating: boolean;
  /** Of linear ones the direction, of conic ones the start: degrees clockwise from upwards. */
  readonly angle: number;
  /** Of linear ones towards a corner: -1, 0 or 1 to the right and downwards. */
  readonly corner: readonly [number, number] | null;
  readonly centre: Position;
  /** Of radial ones. */
  readonly circle: boolean;
  readonly extent: 'closest-side' | 'closest-corner' | 'farthest-side' | 'farthest-corner' | null;
  readonly radii: readonly LengthPercentage[];
  readonly stops: readonly GradientStop[];
  /** Mixed in another space than sRGB: colours between stops are not told apart. */
  readonly otherSpace: boolean;
}

type Shape = Omit<Gradient, 'stops' | 'angle' | 'centre' | 'radii'> & {
  readonly angle: Computation<number>;
  readonly centre: Computation<Position>;
  readonly radii: readonly Computation<LengthPercentage>[];
};

const MIDDLE: Position = [
  { px: 0, percent: 50, curve: null },
  { px: 0, percent: 50, curve: null },
];
const EXTENTS = ['closest-side', 'closest-corner', 'farthest-side', 'farthest-corner'] as const;

/** Reads a gradient function's arguments; null where they are none the engine can place. */
export function readGradient(name: string, args: readonly Component[]): Computation<Gradient> | null {
  const [, old, repeating, kind] = /^(-webkit-)?(repeating-)?(linear|radial|conic)-gradient$/.exec(name) ?? [];
  if (!kind || old) return null;
  const parts = splitCommas(args);
  const first = parts[0] ?? [];
  const space = first.findIndex((item) => isIdent(item, 'in'));
  const head = space < 0 ? first : [...first.slice(0, space), ...afterSpace(first, space)];
  const led = first.some((item) => readColour(item) !== null) ? null : head;
  const shape = readShape(kind as Gradient['shape'], repeating !== undefined, led ?? [], space >= 0 && led !== null);
  const stops = parts.slice(led === null ? 0 : 1).flatMap((part) => readStops(part, kind === 'conic') ?? [null]);
  if (!shape || stops.length === 0 || stops.some((stop) => stop === null)) return null;
  return (c) => ({
    ...shape,
    angle: shape.angle(c),
    centre: shape.centre(c),
    radii: shape.radii.map((radius) => radius(c)),
    stops: stops.map((stop) => stop!(c)),
  });
}

/** What follows the name of a colour space, with or without a word on hues. */
function afterSpace(items: readonly Component[], at: number): readonly Component[] {
  const hue = items.findIndex((item) => isIdent(item, 'hue'));
  return items.slice(hue < 0 ? at + 2 : hue + 1);
}

function readShape(
  shape: Gradient['shape'],
  repeating: boolean,
  items: readonly Component[],
  otherSpace: boolean,
): Shape | null {
  const still =
    (degrees: number): Computation<number> =>
    () =>
      degrees;
  const base: Shape = {
    shape,
    repeating,
    angle: still(shape === 'linear' ? 180 : 0),
    corner: null,
    centre: () => MIDDLE,
    circle: false,
    extent: 'farthest-corner',
    radii: [],
    otherSpace,
  };
  if (shape === 'linear') return items.length === 0 ? base : readDirection(items, base);
  const at = items.findIndex((item) => isIdent(item, 'at'));
  const centre = at < 0 ? base.centre : readPosition(items.slice(at + 1));
  const rest = at < 0 ? items : items.slice(0, at);
  if (!centre) return null;
  if (shape === 'conic') {
    const angle = rest.length === 0 ? base.angle : isIdent(rest[0], 'from') ? readAngle(rest[1]) : null;
    return angle && { ...base, centre, angle };
  }
  const sizes = rest.filter((item) => !isIdent(item, 'circle', 'ellipse'));
  const keyword = EXTENTS.find((name) => isIdent(sizes[0], name));
  const radii = keyword ? [] : sizes.map((item) => readLength(item, { negative: false }));
  if (radii.some((radius) => radius === null)) return null;
  return {
    ...base,
    centre,
    circle: rest.some((item) => isIdent(item, 'circle')) || radii.length === 1,
    extent: radii.length > 0 ? null : (keyword ?? 'farthest-corner'),
    radii: radii.map((radius) => radius!),
  };
}

function readDirection(items: readonly Component[], base: Shape): Shape | null {
  if (!isIdent(items[0], 'to')) {
    const angle = items.length === 1 ? readAngle(items[0]) : null;
    return angle && { ...base, angle };
  }
  const has = (name: string) => items.slice(1).some((item) => isIdent(item, name));
  const x = has('right') ? 1 : has('left') ? -1 : 0;
  const y = has('bottom') ? 1 : has('top') ? -1 : 0;
  if (x !== 0 && y !== 0) return { ...base, corner: [x, y] };
  return { ...base, angle: () => (x === 0 ? (y < 0 ? 0 : 180) : x > 0 ? 90 : 270) };
}

type StopReader = Computation<GradientStop>;

/** One stop, two at the ends of a band, or none for a hint, which is passed over. */
function readStops(part: readonly Component[], turning: boolean): StopReader[] | null {
  const colour = part.map(readColour).find((read) => read !== null);
  const places = part.filter((item) => readColour(item) === null).map((item) => readPlace(item, turning));
  if (!colour) return part.length === 1 && places[0] ? [] : null;
  if (places.some((place) => place === null)) return null;
  if (places.length === 0) return [(c) => ({ colour: colour(c), at: null })];
  return places.map((place): StopReader => (c) => ({ colour: colour(c), at: place!(c) }));
}

function readPlace(item: Component, turning: boolean): Computation<LengthPercentage> | null {
  const angle = turning && item.type !== 'number' ? readAngle(item) : null;
  return angle ? (c) => ({ px: 0, percent: angle(c) / 3.6, curve: null }) : readLength(item);
}
