import type { Break, Strip } from './breaks.js';

/** The part of a strip that one column holds, px. */
export interface Share {
  readonly from: number;
  readonly to: number;
  /** Where the column ends: boxes that go on in the next one reach down to there. */
  readonly floor: number;
  /** Whether it ends where the content asks not to be divided; browsers overlook widows here. */
  readonly strained: boolean;
}

/** Heights within this of each other are the same, px. */
const SAME = 1 / 128;

/** More columns than any page shows, and steps in which a height is looked for. */
export const MOST_COLUMNS = 200;
const MOST_STEPS = 200;

/** Divides a strip into columns of a height; what is left of it beyond the most columns stands in the last. @spec css-break-3 §4.4 */
export function divide(strip: Strip, height: number): readonly Share[] {
  const shares: Share[] = [];
  let { breaks } = strip;
  let from = 0;
  while (shares.length < MOST_COLUMNS - 1) {
    breaks = breaks.filter((b) => Math.max(b.start, b.until) > from + SAME);
    const chosen = nextBreak(breaks, strip.bottom, from, from + height);
    if (!chosen) break;
    const floor = Math.max(chosen.end, from + height);
    const strained = chosen.kind === 'avoided' || linesBefore(chosen, from) < (chosen.among?.orphans ?? 0);
    shares.push({ from, to: chosen.end, floor, strained });
    from = chosen.start;
  }
  return [...shares, { from, to: strip.bottom, floor: from + height, strained: false }];
}

/** Where a column that begins at a height ends; null where it holds all that is left. @param ahead breaks behind `from` */
function nextBreak(ahead: readonly Break[], bottom: number, from: number, limit: number): Break | null {
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
function isLonely(at: Break, from: number): boolean {
  const { among, end } = at;
  if (!among) return false;
  const after = among.ends.filter((e) => e > end).length;
  return linesBefore(at, from) < among.orphans || after < among.widows;
}

const linesBefore = ({ among, end }: Break, from: number): number =>
  among ? among.ends.filter((e) => e > from + SAME && e <= end).length : 0;

const cutAt = (at: Break, y: number): Break => ({ ...at, end: y, start: y });

/** The least height at which a strip fits its columns. @spec css-multicol-1 §7 (column-fill: balance) */
export function balancedHeight(strip: Strip, count: number): number {
  let height = Math.max(strip.tallest, firstGuess(strip, count));
  for (let step = 0; step < MOST_STEPS; step++) {
    const shares = divide(strip, height);
    const fits = shares.every(({ from, to, strained }) => to - from <= height + SAME && !strained);
    if (shares.length <= count && fits) return height;
    const more = shortage(strip, shares, height);
    if (!Number.isFinite(more)) return height;
    height += more;
  }
  return height;
}

/** What the least growth is that moves something into an earlier column. */
function shortage({ breaks, bottom }: Strip, shares: readonly Share[], height: number): number {
  let least = Infinity;
  for (const { from } of shares) {
    const limit = from + height + SAME;
    let next = bottom;
    for (const { end, until } of breaks) {
      if (end > limit) next = Math.min(next, end);
      else if (until > limit) next = Math.min(next, limit + 1);
    }
    const more = next - from - height;
    if (more > SAME) least = Math.min(least, more);
  }
  return least;
}

/** Content shared out evenly, parts between forced breaks by themselves; rounded up to a 64th. */
function firstGuess({ breaks, height, bottom }: Strip, count: number): number {
  // Margins alone are not divided.
  if (bottom === 0) return height;
  const forced = breaks.filter((b) => b.kind === 'forced');
  const sizes = [0, ...forced.map((b) => b.start)].map((from, i) => (forced[i]?.kept ?? height) - from);
  const share = (size: number, columns: number) => Math.ceil((size / columns) * 64 - 1e-6) / 64;
  if (sizes.length === 1) return share(height, count);
  const columns = sizes.map(() => 1);
  const tallest = () =>
    sizes.reduce((a, _, i) => (share(sizes[i]!, columns[i]!) > share(sizes[a]!, columns[a]!) ? i : a), 0);
  for (let left = Math.min(count, MOST_COLUMNS) - sizes.length; left > 0; left--) columns[tallest()]!++;
  const last = tallest();
  return share(sizes[last]!, columns[last]!);
}
