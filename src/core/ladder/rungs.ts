import { formatPosition, positionOf, type Range } from '../base/index.js';
import { compileMedia, type Medium } from '../css/index.js';
import type { SheetThreshold } from '../sheets/index.js';

/** A condition whose truth changes between two neighbouring whole px. */
export interface Change {
  readonly condition: string;
  readonly place: string;
  /** Whether it begins or ceases to hold there. */
  readonly change: 'begins' | 'ends';
}

/** A band of widths inside which the same rules apply; both ends are whole px and belong to it. */
export interface Rung {
  readonly from: number;
  readonly to: number;
  /** What begins at `from`: the conditions that change their truth there. */
  readonly starts: readonly Change[];
}

/** The first whole px that lies beyond a threshold. */
export const firstBeyond = (threshold: Pick<SheetThreshold, 'px' | 'side'>): number =>
  threshold.side === 'from' ? Math.ceil(threshold.px) : Math.floor(threshold.px) + 1;

const SCREEN: Medium = {
  width: 0,
  height: 800,
  hover: true,
  pointer: 'fine',
  scripting: true,
  dark: false,
  reducedMotion: false,
  print: false,
};
/** Those a page is looked at with: conditions that hold for none of them make no rung. */
const MEDIA: readonly Medium[] = [SCREEN, { ...SCREEN, hover: false, pointer: 'coarse' }, { ...SCREEN, height: 375 }];

/** What happens to a condition between the px before and a px, for any medium a page is looked at with. */
function changeAt(text: string, px: number): Change['change'] | null {
  const condition = compileMedia(text);
  for (const medium of MEDIA) {
    const [before, after] = [px - 1, px].map((width) => condition.evaluate({ ...medium, width }));
    if (before !== after) return after ? 'begins' : 'ends';
  }
  return null;
}

/**
 * The ladder of a page: all rungs between two widths.
 * @param thresholds every width at which a condition of some sheet changes, px
 */
export function rungsOf(thresholds: readonly SheetThreshold[], range: Range): readonly Rung[] {
  const starts = new Map<number, Change[]>();
  for (const threshold of thresholds) {
    const at = firstBeyond(threshold);
    if (at <= range.from || at > range.to) continue;
    const list = starts.get(at) ?? [];
    for (const place of threshold.places) {
      const change = changeAt(place.text, at);
      if (!change) continue;
      const made: Change = { condition: place.text, place: formatPosition(positionOf(place.span)), change };
      if (!list.some((known) => known.condition === made.condition && known.place === made.place)) list.push(made);
    }
    if (list.length > 0) starts.set(at, list);
  }
  const edges = [range.from, ...[...starts.keys()].sort((a, b) => a - b)];
  return edges.map((from, i) => ({ from, to: (edges[i + 1] ?? range.to + 1) - 1, starts: starts.get(from) ?? [] }));
}

/** Whether a condition is one of some thresholds'. */
export const isConditionOf = (thresholds: readonly SheetThreshold[], text: string): boolean =>
  thresholds.some(({ places }) => places.some((place) => place.text === text));

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
