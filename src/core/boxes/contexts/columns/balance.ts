import type { Break, Strip } from './breaks.js';

/** The part of a strip that one column holds, px. */
export interface Share {
  readonly from: number;
  readonly to: number;
  /** Where the column ends: boxes that go on in the next one reach down to there. */
  readonly floor: number;
}

/** Heights within this of each other are the same, px. */
const SAME = 1 / 128;

/** Divides a strip into columns of a height. @spec css-break-3 §4.4 */
export function divide(strip: Strip, height: number): readonly Share[] {
  const shares: Share[] = [];
  let from = 0;
  for (;;) {
    const chosen = nextBreak(strip, from, from + height);
    if (!chosen) return [...shares, { from, to: strip.bottom, floor: from + height }];
    shares.push({ from, to: chosen.end, floor: Math.max(chosen.end, from + height) });
    from = chosen.start;
  }
}

/** Where a column that begins at a height ends; null where it holds all that is left. */
function nextBreak({ breaks, bottom }: Strip, from: number, limit: number): Break | null {
  const ahead = breaks.filter((b) => b.start > from + SAME || b.until > from + SAME);
  const forced = ahead.find((b) => b.kind === 'forced');
  const floor = forced ? forced.end : bottom;
  if (floor <= limit + SAME) return forced ?? null;
  const usable = ahead.filter((b) => b.kind !== 'forced' && b.end < floor);
  const fitting = usable.filter(
    (b) => b.end <= limit + SAME && (b.until > b.end ? b.until > limit + SAME : b.end > from + SAME),
  );
  const best =
    fitting.findLast((b) => b.kind === 'free' && !isLonely(b, from)) ??
    fitting.findLast((b) => b.kind === 'free') ??
    fitting.at(-1);
  if (best) return best.until > best.end ? cutAt(best, Math.min(best.until, limit)) : best;
  return usable.find((b) => b.end > limit) ?? forced ?? null;
}

/** Whether a break leaves too few lines on one of its sides. @spec css-break-3 §3.3 */
function isLonely({ among, end }: Break, from: number): boolean {
  if (!among) return false;
  const before = among.ends.filter((e) => e > from + SAME && e <= end).length;
  const after = among.ends.filter((e) => e > end).length;
  return before < among.orphans || after < among.widows;
}

const cutAt = (at: Break, y: number): Break => ({ ...at, end: y, start: y, until: at.until });

/** The least height at which a strip fits its columns. @spec css-multicol-1 §7 (column-fill: balance) */
export function balancedHeight(strip: Strip, count: number): number {
  let height = Math.max(strip.tallest, firstGuess(strip, count));
  for (let tries = 0; tries < 2000; tries++) {
    const shares = divide(strip, height);
    if (shares.length <= count && shares.every(({ from, to }) => to - from <= height + SAME)) return height;
    const more = shortage(strip, shares, height);
    if (!Number.isFinite(more)) return height;
    height += more;
  }
  return height;
}

/** What the least growth is that moves something into an earlier column. */
function shortage({ breaks, bottom }: Strip, shares: readonly Share[], height: number): number {
  const short = shares.map(({ from }) => {
    const limit = from + height + SAME;
    const next = Math.min(bottom, ...breaks.map((b) => b.end).filter((end) => end > limit));
    const after = Math.min(next, ...breaks.filter((b) => b.until > limit && b.end <= limit).map(() => limit + 1));
    return after - from - height;
  });
  return Math.min(...short.filter((v) => v > SAME));
}

/** Content shared out evenly, parts between forced breaks by themselves; rounded up to a 64th. */
function firstGuess({ breaks, height }: Strip, count: number): number {
  const forced = breaks.filter((b) => b.kind === 'forced');
  const runs = [0, ...forced.map((b) => b.start)].map((from, i) => ({
    size: (forced[i]?.kept ?? height) - from,
    columns: 1,
  }));
  const each = (run: (typeof runs)[number]) => Math.ceil((run.size / run.columns) * 64 - 1e-6) / 64;
  for (let left = count - runs.length; left > 0; left--) runs.reduce((a, b) => (each(b) > each(a) ? b : a)).columns++;
  return Math.max(...runs.map(each));
}
