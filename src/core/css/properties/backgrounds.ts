import {
  isIdent,
  printLength,
  readLength,
  readPosition,
  splitCommas,
  type Component,
  type Computation,
  type LengthPercentage,
  type Position,
} from '../values/index.js';
import { row } from './define.js';

/** How large one picture of a background layer is. @spec css-backgrounds-3 §2.9 */
export type BackgroundSize = 'cover' | 'contain' | readonly [LengthPercentage | 'auto', LengthPercentage | 'auto'];
export type Repeating = 'repeat' | 'no-repeat' | 'space' | 'round';
/** Along x and y. @spec css-backgrounds-3 §2.4 */
export type BackgroundRepeat = readonly [Repeating, Repeating];

const zero: LengthPercentage = { px: 0, percent: 0, curve: null, zeroPercent: true };

/** A comma-separated list with one value a layer. */
function layers<T>(
  initial: T,
  read: (items: readonly Component[]) => Computation<T> | null,
  print: (value: T) => string,
) {
  return row<readonly T[]>(
    [initial],
    (items) => {
      const list = splitCommas(items).map(read);
      return list.some((one) => one === null) ? null : (c) => list.map((one) => one!(c));
    },
    (list) => list.map(print).join(', '),
    { affects: 'colour' },
  );
}

function readSize(items: readonly Component[]): Computation<BackgroundSize> | null {
  const [first, second] = items;
  if (items.length === 1 && isIdent(first, 'cover', 'contain')) {
    const word = (first as { name: 'cover' | 'contain' }).name;
    return () => word;
  }
  const side = (item: Component | undefined): Computation<LengthPercentage | 'auto'> | null =>
    item === undefined || isIdent(item, 'auto') ? () => 'auto' : readLength(item, { negative: false });
  const [x, y] = [side(first), side(second)];
  return items.length >= 1 && items.length <= 2 && x && y ? (c) => [x(c), y(c)] : null;
}

const printSide = (value: LengthPercentage | 'auto'): string => (value === 'auto' ? value : printLength(value));

function readRepeat(items: readonly Component[]): Computation<BackgroundRepeat> | null {
  const words = items.map((item) => (item.type === 'ident' ? item.name : ''));
  const [first, second] = words;
  const value: readonly (string | undefined)[] | null =
    words.length === 1
      ? first === 'repeat-x'
        ? ['repeat', 'no-repeat']
        : first === 'repeat-y'
          ? ['no-repeat', 'repeat']
          : [first, first]
      : words.length === 2
        ? [first, second]
        : null;
  if (!value?.every((word) => /^(repeat|no-repeat|space|round)$/.test(word ?? ''))) return null;
  return () => value as unknown as BackgroundRepeat;
}

function printRepeat([x, y]: BackgroundRepeat): string {
  if (x === y) return x;
  if (x === 'repeat' && y === 'no-repeat') return 'repeat-x';
  if (x === 'no-repeat' && y === 'repeat') return 'repeat-y';
  return `${x} ${y}`;
}

export const BACKGROUNDS = {
  backgroundPosition: layers<Position>([zero, zero], readPosition, ([x, y]) => `${printLength(x)} ${printLength(y)}`),
  backgroundSize: layers<BackgroundSize>(['auto', 'auto'], readSize, (size) =>
    typeof size === 'string' ? size : size[1] === 'auto' ? printSide(size[0]) : size.map(printSide).join(' '),
  ),
  backgroundRepeat: layers<BackgroundRepeat>(['repeat', 'repeat'], readRepeat, printRepeat),
} as const;
