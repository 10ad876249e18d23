import { endsOf, type Rung } from './rungs.js';

/** Inside a rung geometry is looked at this often, px; what comes and goes between two looks is not seen. */
const STEP = 400;

/**
 * The widths of a rung at which a page is looked at: its ends and both sides of every px at which its geometry
 * changes (a line wraps, boxes meet, something comes or goes). Between two of them everything moves evenly.
 * @param shape the geometry at a width, equal while nothing but lengths changes
 */
export function stationsOf(rung: Rung, shape: (width: number) => string): readonly number[] {
  const [first, last = first] = endsOf(rung) as [number, number?];
  const out = new Set([first, last]);
  const count = Math.ceil((last - first) / STEP);
  const looks = Array.from({ length: count + 1 }, (_, i) =>
    Math.round(first + ((last - first) * i) / Math.max(1, count)),
  );
  for (let i = 1; i < looks.length; i++) halve(looks[i - 1]!, looks[i]!, shape, out);
  return [...out].sort((a, b) => a - b);
}

function halve(low: number, high: number, shape: (width: number) => string, out: Set<number>): void {
  if (shape(low) === shape(high)) return;
  if (high - low <= 1) {
    out.add(low).add(high);
    return;
  }
  const middle = Math.trunc((low + high) / 2);
  halve(low, middle, shape, out);
  halve(middle, high, shape, out);
}
