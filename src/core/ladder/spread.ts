import type { Range, Rung } from './rungs.js';
import { endsOf } from './rungs.js';

/**
 * Over which widths something holds that is known at the ends of every rung.
 * Where the two ends of a rung differ, the px at which it changes is found by halving.
 * @param holds whether it holds at a width; asked again for widths in between
 */
export function spread(rungs: readonly Rung[], holds: (width: number) => boolean): readonly Range[] {
  const pieces: Range[] = [];
  for (const rung of rungs) {
    const [first, last = first] = endsOf(rung) as [number, number?];
    const a = holds(first);
    const b = holds(last);
    if (a && b) pieces.push({ from: first, to: last });
    else if (a) pieces.push({ from: first, to: bisect(first, last, holds) });
    else if (b) pieces.push({ from: bisect(last, first, holds), to: last });
  }
  return join(pieces);
}

/** The last whole px next to `inside` at which it still holds, on the way to `outside` where it does not. */
function bisect(inside: number, outside: number, holds: (width: number) => boolean): number {
  let good = inside;
  let bad = outside;
  while (Math.abs(bad - good) > 1) {
    const middle = Math.trunc((good + bad) / 2);
    if (holds(middle)) good = middle;
    else bad = middle;
  }
  return good;
}

/** Ranges that touch become one. */
export function join(ranges: readonly Range[]): readonly Range[] {
  const out: { from: number; to: number }[] = [];
  for (const range of [...ranges].sort((a, b) => a.from - b.from)) {
    const last = out[out.length - 1];
    if (last && range.from <= last.to + 1) last.to = Math.max(last.to, range.to);
    else out.push({ ...range });
  }
  return out;
}
