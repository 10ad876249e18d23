import { joinRanges, type Range } from '../base/index.js';

/**
 * Over which widths something holds that is known at stations.
 * Where two neighbouring stations differ, the px at which it changes is found by halving.
 * @param runs stations of each rung in ascending order, both ends among them
 * @param holds whether it holds at a width; asked again for widths in between
 */
export function spread(runs: readonly (readonly number[])[], holds: (width: number) => boolean): readonly Range[] {
  const pieces: Range[] = [];
  for (const run of runs)
    run.forEach((first, i) => {
      const last = run[i + 1] ?? first;
      const [a, b] = [holds(first), holds(last)];
      if (a && b) pieces.push({ from: first, to: last });
      else if (a) pieces.push({ from: first, to: bisect(first, last, holds) });
      else if (b) pieces.push({ from: bisect(last, first, holds), to: last });
    });
  return joinRanges(pieces);
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
