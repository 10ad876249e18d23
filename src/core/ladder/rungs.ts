import { formatPosition, positionOf } from '../base/index.js';
import type { SheetThreshold } from '../sheets/index.js';

/** A band of widths inside which the same rules apply; both ends are whole px and belong to it. */
export interface Rung {
  readonly from: number;
  readonly to: number;
  /** What begins at `from`: the conditions that change their truth there. */
  readonly starts: readonly { readonly condition: string; readonly place: string }[];
}

export interface Range {
  readonly from: number;
  readonly to: number;
}

/** The first whole px that lies beyond a threshold. */
export const firstBeyond = (threshold: Pick<SheetThreshold, 'px' | 'side'>): number =>
  threshold.side === 'from' ? Math.ceil(threshold.px) : Math.floor(threshold.px) + 1;

/**
 * The ladder of a page: all rungs between two widths.
 * @param thresholds every width at which a condition of some sheet changes, px
 */
export function rungsOf(thresholds: readonly SheetThreshold[], range: Range): readonly Rung[] {
  const starts = new Map<number, { condition: string; place: string }[]>();
  for (const threshold of thresholds) {
    const at = firstBeyond(threshold);
    if (at <= range.from || at > range.to) continue;
    const list = starts.get(at) ?? [];
    for (const place of threshold.places) {
      const made = { condition: place.text, place: formatPosition(positionOf(place.span)) };
      if (!list.some((known) => known.condition === made.condition && known.place === made.place)) list.push(made);
    }
    starts.set(at, list);
  }
  const edges = [range.from, ...[...starts.keys()].sort((a, b) => a - b)];
  return edges.map((from, i) => ({ from, to: (edges[i + 1] ?? range.to + 1) - 1, starts: starts.get(from) ?? [] }));
}

/** The widths a rung is looked at: both ends. */
export const endsOf = (rung: Rung): readonly number[] => (rung.from === rung.to ? [rung.from] : [rung.from, rung.to]);

/** The rungs that hold certain widths, cut down to those widths. */
export function rungsAt(rungs: readonly Rung[], widths: readonly number[]): readonly Rung[] {
  return [...widths]
    .sort((a, b) => a - b)
    .flatMap((width) => {
      const rung = rungs.find((r) => r.from <= width && width <= r.to);
      return rung
        ? [{ from: width, to: width, starts: rung.from === width ? rung.starts : [] }]
        : [{ from: width, to: width, starts: [] }];
    });
}
