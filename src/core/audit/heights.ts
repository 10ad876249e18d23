import { withoutRanges, type Range } from '../base/index.js';
import type { Single } from '../findings/index.js';
import type { CheckRun } from './run.js';

/**
 * One check at several heights of the viewport. What the first shows is told as ever; what only another shows says at
 * which height, also where it holds at further widths there.
 * @param runs of one page, one for each height, the one that counts most first
 */
export function findingsAtHeights(runs: readonly CheckRun[]): readonly Single[] {
  const told = new Map<string, Range[]>();
  return runs.flatMap((run, i) =>
    run.findings().flatMap((one) => {
      const before = told.get(one.key) ?? [];
      const widths = withoutRanges(one.widths, before);
      told.set(one.key, [...before, ...widths]);
      if (widths.length === 0) return [];
      return [i === 0 ? one : atHeight({ ...one, widths }, run.plan.options.height)];
    }),
  );
}

const atHeight = (one: Single, height: number): Single => ({
  ...one,
  key: `${one.key}|${height} high`,
  cluster: `${one.cluster}|${height} high`,
  visitors: [...one.visitors, `screen-${height}-px-high`],
  says: `${one.says} This is so on a screen ${height} px high.`,
});
