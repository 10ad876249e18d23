import {
  isIdent,
  readLength,
  readPosition,
  splitAt,
  splitCommas,
  type Component,
  type Computation,
  type LengthPercentage,
  type Position,
} from '../values/index.js';
import { row } from './define.js';

type Radius = LengthPercentage | 'closest-side' | 'farthest-side';
type Corner = readonly [LengthPercentage, LengthPercentage];

/** A basic shape; lengths refer to its reference box. @spec css-shapes-1 §3 */
export type BasicShape =
  | {
      readonly kind: 'inset';
      /** From the upper edge clockwise. */
      readonly edges: readonly LengthPercentage[];
      /** From the upper left corner clockwise. */
      readonly corners: readonly Corner[];
    }
  | {
      readonly kind: 'ellipse';
      readonly round: boolean;
      readonly radii: readonly [Radius, Radius];
      readonly at: Position;
    }
  | { readonly kind: 'polygon'; readonly points: readonly Position[]; readonly evenOdd: boolean };

/** `shape` is null where the page clips by something the engine does not follow. @spec css-masking-1 §5.1 */
export interface ClipPath {
  readonly text: string;
  readonly shape: BasicShape | null;
  readonly box: 'border-box' | 'padding-box' | 'content-box';
}

type Read<T> = Computation<T> | null;

const percent = (value: number): LengthPercentage => ({ px: 0, percent: value, curve: null });
const CENTRE: Position = [percent(50), percent(50)];
const ZERO: LengthPercentage = { px: 0, percent: 0, curve: null };

/** All readers or none. */
function all<T>(readers: readonly Read<T>[]): Read<readonly T[]> {
  return readers.some((reader) => reader === null) ? null : (c) => readers.map((reader) => reader!(c));
}

/** One to four values, the missing ones taken over from their opposites. */
const fourOf = <T>([a, b = a, c = a, d = b]: readonly T[]): readonly T[] => [a!, b!, c!, d!];

function readInset(args: readonly Component[]): Read<BasicShape> {
  const round = args.findIndex((item) => isIdent(item, 'round'));
  const sides = round < 0 ? args : args.slice(0, round);
  const edges = sides.length >= 1 && sides.length <= 4 ? all(sides.map((item) => readLength(item))) : null;
  const corners = round < 0 ? (): readonly Corner[] => [] : readCorners(args.slice(round + 1));
  return edges && corners ? (c) => ({ kind: 'inset', edges: fourOf(edges(c)), corners: corners(c) }) : null;
}

function readCorners(items: readonly Component[]): Read<readonly Corner[]> {
  const [across = [], down] = splitAt(items, '/');
  const x = all(across.map((item) => readLength(item, { negative: false })));
  const y = down ? all(down.map((item) => readLength(item, { negative: false }))) : x;
  if (!x || !y || across.length === 0) return null;
  return (c) => {
    const heights = fourOf(y(c));
    return fourOf(x(c)).map((width, i): Corner => [width, heights[i]!]);
  };
}

function readEllipse(args: readonly Component[], round: boolean): Read<BasicShape> {
  const word = args.findIndex((item) => isIdent(item, 'at'));
  const at = word < 0 ? () => CENTRE : readPosition(args.slice(word + 1));
  const given = (word < 0 ? args : args.slice(0, word)).map((item): Read<Radius> => {
    const side = (['closest-side', 'farthest-side'] as const).find((name) => isIdent(item, name));
    return side ? () => side : readLength(item, { negative: false });
  });
  const radii = all(given);
  if (!at || !radii || given.length > (round ? 1 : 2)) return null;
  return (c) => {
    const [rx = 'closest-side', ry = round ? rx : 'closest-side'] = radii(c);
    return { kind: 'ellipse', round, radii: [rx, ry], at: at(c) };
  };
}

function readPolygon(args: readonly Component[]): Read<BasicShape> {
  const parts = splitCommas(args);
  const rule = parts[0]?.length === 1 && isIdent(parts[0][0], 'nonzero', 'evenodd') ? parts.shift()![0] : undefined;
  const points = all(
    parts.map(([x, y, ...rest]): Read<Position> => {
      const [left, top] = [readLength(x), readLength(y)];
      return left && top && rest.length === 0 ? (c) => [left(c), top(c)] : null;
    }),
  );
  return points && parts.length > 0
    ? (c) => ({ kind: 'polygon', points: points(c), evenOdd: isIdent(rule, 'evenodd') })
    : null;
}

/** The older and newer ways of naming a rectangle, as an inset. */
function readRectangle(name: string, args: readonly Component[]): Read<BasicShape> {
  const round = args.findIndex((item) => isIdent(item, 'round'));
  const sides = round < 0 ? args : args.slice(0, round);
  const corners = round < 0 ? (): readonly Corner[] => [] : readCorners(args.slice(round + 1));
  const auto = sides.map((item, i): Read<LengthPercentage> =>
    name === 'rect' && isIdent(item, 'auto') ? () => percent(i === 1 || i === 2 ? 100 : 0) : readLength(item),
  );
  const values = sides.length === 4 ? all(auto) : null;
  if (!values || !corners) return null;
  const far = (v: LengthPercentage): LengthPercentage => ({ px: -v.px, percent: 100 - v.percent, curve: null });
  const sum = (a: LengthPercentage, b: LengthPercentage): LengthPercentage => ({
    px: a.px + b.px,
    percent: a.percent + b.percent,
    curve: null,
  });
  return (c) => {
    const [a, b, d, e] = values(c) as [LengthPercentage, LengthPercentage, LengthPercentage, LengthPercentage];
    const edges = name === 'rect' ? [a, far(b), far(d), e] : [b, far(sum(a, d)), far(sum(b, e)), a];
    return { kind: 'inset', edges, corners: corners(c) };
  };
}

function readShape(item: Component): Read<BasicShape> {
  if (item.type !== 'function') return null;
  switch (item.name) {
    case 'inset':
      return readInset(item.args);
    case 'circle':
    case 'ellipse':
      return readEllipse(item.args, item.name === 'circle');
    case 'polygon':
      return readPolygon(item.args);
    case 'rect':
    case 'xywh':
      return readRectangle(item.name, item.args);
    default:
      return null;
  }
}

const BOXES = ['border-box', 'padding-box', 'content-box', 'margin-box', 'fill-box', 'stroke-box', 'view-box'];
const OTHERS = /^(path|shape|url)$/;
const WHOLE: BasicShape = { kind: 'inset', edges: [ZERO, ZERO, ZERO, ZERO], corners: [] };

export const clipPath = row<ClipPath | null>(
  null,
  (items, text) => {
    if (items.length === 1 && isIdent(items[0], 'none')) return () => null;
    const named = items.find((item) => isIdent(item, ...BOXES));
    const box = named?.type === 'ident' && /^(padding|content)-box$/.test(named.name) ? named.name : 'border-box';
    const rest = items.filter((item) => item !== named);
    const base = { text, box: box as ClipPath['box'] };
    const [item] = rest;
    if (rest.length === 0 && named) return () => ({ ...base, shape: WHOLE });
    if (rest.length !== 1 || !item) return null;
    const shape = readShape(item);
    if (shape) return (c) => ({ ...base, shape: shape(c) });
    const known = item.type === 'url' || (item.type === 'function' && OTHERS.test(item.name));
    return known ? () => ({ ...base, shape: null }) : null;
  },
  (value) => value?.text ?? 'none',
);
