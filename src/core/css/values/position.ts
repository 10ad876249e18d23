import { isIdent, type Component } from './components.js';
import type { Computation } from './context.js';
import { readLength, type LengthPercentage } from './length.js';

/** Offsets from the left and upper edge; percentages are of the room left over. */
export type Position = readonly [LengthPercentage, LengthPercentage];

const KEYWORDS: Readonly<Record<string, { readonly axis: 'x' | 'y' | null; readonly percent: number }>> = {
  left: { axis: 'x', percent: 0 },
  right: { axis: 'x', percent: 100 },
  top: { axis: 'y', percent: 0 },
  bottom: { axis: 'y', percent: 100 },
  center: { axis: null, percent: 50 },
};

interface Part {
  readonly axis: 'x' | 'y' | null;
  readonly read: Computation<LengthPercentage>;
}

const fixed = (percent: number): Computation<LengthPercentage> => {
  const value: LengthPercentage = { px: 0, percent, curve: null };
  return () => value;
};

/** An offset from a named edge: from the far one it is taken off the whole. */
const fromEdge =
  (percent: number, read: Computation<LengthPercentage>): Computation<LengthPercentage> =>
  (c) => {
    const offset = read(c);
    return percent === 0 ? offset : { px: -offset.px, percent: percent - offset.percent, curve: null };
  };

function partsOf(items: readonly Component[]): Part[] | null {
  const out: Part[] = [];
  for (let i = 0; i < items.length; i++) {
    const item = items[i]!;
    const word = item.type === 'ident' ? KEYWORDS[item.name] : undefined;
    const next = readLength(items[i + 1]);
    if (word && next && word.axis && items.length > 2) {
      out.push({ axis: word.axis, read: fromEdge(word.percent, next) });
      i++;
    } else if (word) out.push({ axis: word.axis, read: fixed(word.percent) });
    else {
      const read = readLength(item);
      if (!read) return null;
      out.push({ axis: null, read });
    }
  }
  return out;
}

/** One to four words and lengths. @spec css-backgrounds-3 §2.6, css-values-4 §9 (<position>) */
export function readPosition(items: readonly Component[]): Computation<Position> | null {
  const parts = items.length >= 1 && items.length <= 4 ? partsOf(items) : null;
  if (!parts || parts.length > 2) return null;
  const [first, second] = parts as [Part, Part?];
  const other = second ?? { axis: null, read: fixed(50) };
  const swapped = first.axis === 'y' || other.axis === 'x';
  const [x, y] = swapped ? [other, first] : [first, other];
  if (x.axis === 'y' || y.axis === 'x' || (swapped && isLengthFirst(items))) return null;
  return (c) => [x.read(c), y.read(c)];
}

const isLengthFirst = (items: readonly Component[]): boolean => !isIdent(items[0], ...Object.keys(KEYWORDS));
