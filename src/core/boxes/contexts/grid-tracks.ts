import { resolveLength, type Breadth, type TrackSize } from '../../css/index.js';
import type { Intrinsic } from '../layout.js';

/** A track while it is sized; px. */
export interface Track {
  readonly size: TrackSize;
  base: number;
  limit: number;
  /** An empty track of an auto-fit repeat. */
  readonly collapsed: boolean;
}

/** What an item asks of the tracks it spans, margins included. */
export interface Demand {
  readonly start: number;
  readonly end: number;
  /** Content sizes; `auto` is what an automatic minimum asks for. */
  readonly sizes: Intrinsic & { readonly auto: number };
}

const isFlexible = (b: Breadth): b is { readonly fr: number } => typeof b !== 'string' && 'fr' in b;

function fixed(b: Breadth, available: number): number | null {
  if (typeof b === 'string' || isFlexible(b)) return null;
  const value = resolveLength(b, available);
  return Number.isNaN(value) ? null : value;
}

/** A percentage of an unknown size counts as auto. */
const settled = (b: Breadth, available: number): Breadth =>
  typeof b !== 'string' && !isFlexible(b) && fixed(b, available) === null ? 'auto' : b;

/**
 * Sizes the tracks of one axis.
 * @param available content size of the container, px; NaN where it is to be found out
 * @param constraint which content sizes count while `available` is unknown
 * @spec css-grid-2 §12.3 to §12.8
 */
export function sizeTracks(
  sizes: readonly TrackSize[],
  collapsed: readonly boolean[],
  demands: readonly Demand[],
  gap: number,
  available: number,
  constraint: 'min' | 'max',
  stretches: boolean,
): number[] {
  const tracks = sizes.map((given, i): Track => {
    const size: TrackSize = { min: settled(given.min, available), max: settled(given.max, available), fit: given.fit };
    if (collapsed[i]) return { size, base: 0, limit: 0, collapsed: true };
    const base = fixed(size.min, available) ?? 0;
    const limit = fixed(size.max, available) ?? Infinity;
    return { size, base, limit: Math.max(base, limit), collapsed: false };
  });
  const gaps = gap * Math.max(0, tracks.filter((t) => !t.collapsed).length - 1);
  for (const demand of [...demands].sort((a, b) => a.end - a.start - (b.end - b.start)))
    meetDemand(tracks, demand, gap, available, constraint);
  for (const track of tracks)
    if (track.limit === Infinity && !isFlexible(track.size.max))
      track.limit = Math.max(track.base, track.limit === Infinity ? track.base : track.limit);
  const room = available - gaps;
  maximise(tracks, room, constraint);
  flex(tracks, demands, room, gap);
  if (stretches && !Number.isNaN(room)) stretchAuto(tracks, room);
  return tracks.map((t) => t.base);
}

/** Grows the tracks an item spans until it fits. @spec css-grid-2 §12.5 */
function meetDemand(
  tracks: readonly Track[],
  { start, end, sizes }: Demand,
  gap: number,
  available: number,
  constraint: 'min' | 'max',
): void {
  const spanned = tracks.slice(start, end).filter((t) => !t.collapsed);
  if (spanned.length === 0) return;
  const flexible = spanned.filter((t) => isFlexible(t.size.max));
  if (flexible.length > 0 && spanned.length > 1 && flexible.length < spanned.length) {
    // Flexible tracks take what is needed; the others keep their own sizes.
    grow(flexible, sizes.auto - sum(spanned) - gap * (spanned.length - 1), (t) =>
      t.size.min === 'auto' ? 'base' : null,
    );
    return;
  }
  const between = gap * (spanned.length - 1);
  const want = (b: Breadth): number =>
    b === 'max-content'
      ? sizes.max
      : b === 'min-content'
        ? sizes.min
        : Number.isNaN(available) && constraint === 'max'
          ? sizes.max
          : sizes.auto;
  const byMin = spanned.filter((t) => typeof t.size.min === 'string');
  if (byMin.length > 0) {
    const least = Math.max(...byMin.map((t) => want(t.size.min)));
    grow(byMin, least - between - sum(spanned), () => 'base');
  }
  for (const track of spanned) {
    const { max, fit } = track.size;
    if (typeof max !== 'string' || spanned.length > 1) continue;
    const most = max === 'min-content' ? sizes.min : sizes.max;
    const limited = fit ? Math.max(track.base, Math.min(most, resolveLength(fit, available))) : most;
    track.limit = Math.max(track.base, track.limit === Infinity ? limited : Math.max(track.limit, limited));
  }
  const byMax = spanned.filter((t) => typeof t.size.max === 'string');
  if (spanned.length > 1 && byMax.length > 0) {
    for (const t of byMax) if (t.limit === Infinity) t.limit = t.base;
    const have = spanned.reduce((total, t) => total + (t.limit === Infinity ? t.base : t.limit), 0);
    const most = Math.max(...byMax.map((t) => (t.size.max === 'min-content' ? sizes.min : sizes.max)));
    grow(byMax, most - between - have, () => 'limit');
  }
  for (const track of spanned) track.limit = Math.max(track.limit, track.base);
}

const sum = (tracks: readonly Track[]): number => tracks.reduce((total, t) => total + t.base, 0);

function grow(tracks: readonly Track[], extra: number, part: (t: Track) => 'base' | 'limit' | null): void {
  const growing = tracks.filter((t) => part(t) !== null);
  if (extra <= 0 || growing.length === 0) return;
  // Tracks grow equally up to their limits, then beyond them.
  let rest = extra;
  let open = growing.filter((t) => part(t) === 'base' && t.limit !== Infinity && t.base < t.limit);
  while (rest > 1e-6 && open.length > 0 && open.length === growing.length) {
    const share = Math.min(rest / open.length, ...open.map((t) => t.limit - t.base));
    for (const t of open) t.base += share;
    rest -= share * open.length;
    open = open.filter((t) => t.base < t.limit - 1e-6);
  }
  if (rest <= 1e-6) return;
  for (const t of growing) {
    const key = part(t)!;
    t[key] += rest / growing.length;
  }
}

/** @spec css-grid-2 §12.6 */
function maximise(tracks: readonly Track[], room: number, constraint: 'min' | 'max'): void {
  if (Number.isNaN(room)) {
    if (constraint === 'max')
      for (const t of tracks) if (!isFlexible(t.size.max) && t.limit !== Infinity) t.base = Math.max(t.base, t.limit);
    return;
  }
  let free = room - sum(tracks);
  let open = tracks.filter((t) => !t.collapsed && !isFlexible(t.size.max) && t.base < t.limit);
  while (free > 1e-6 && open.length > 0) {
    const share = Math.min(free / open.length, ...open.map((t) => t.limit - t.base));
    for (const t of open) t.base += share;
    free -= share * open.length;
    open = open.filter((t) => t.base < t.limit - 1e-6);
  }
}

/** @spec css-grid-2 §12.7 */
function flex(tracks: readonly Track[], demands: readonly Demand[], room: number, gap: number): void {
  const flexible = tracks.filter((t) => isFlexible(t.size.max) && !t.collapsed);
  if (flexible.length === 0) return;
  const factor = (t: Track) => (t.size.max as { fr: number }).fr;
  let fraction = 0;
  if (Number.isNaN(room)) {
    for (const t of flexible) fraction = Math.max(fraction, t.base / Math.max(1, factor(t)));
    for (const d of demands) {
      const spanned = tracks.slice(d.start, d.end);
      if (!spanned.some((t) => isFlexible(t.size.max))) continue;
      const other = sum(spanned.filter((t) => !isFlexible(t.size.max))) + gap * (spanned.length - 1);
      const factors = spanned.filter((t) => isFlexible(t.size.max)).reduce((total, t) => total + factor(t), 0);
      fraction = Math.max(fraction, (d.sizes.max - other) / Math.max(1, factors));
    }
  } else fraction = findFraction(tracks, flexible, factor, room);
  for (const t of flexible) t.base = Math.max(t.base, fraction * factor(t));
}

function findFraction(
  tracks: readonly Track[],
  flexible: readonly Track[],
  factor: (t: Track) => number,
  room: number,
): number {
  let inflexible = new Set<Track>();
  for (;;) {
    const left = room - sum(tracks.filter((t) => !flexible.includes(t) || inflexible.has(t)));
    const active = flexible.filter((t) => !inflexible.has(t));
    const factors = active.reduce((total, t) => total + factor(t), 0);
    const fraction = left / Math.max(1, factors);
    const over = active.filter((t) => fraction * factor(t) < t.base);
    if (over.length === 0 || active.length === 0) return Math.max(0, fraction);
    inflexible = new Set([...inflexible, ...over]);
  }
}

/** @spec css-grid-2 §12.8 */
function stretchAuto(tracks: readonly Track[], room: number): void {
  const free = room - sum(tracks);
  const auto = tracks.filter((t) => !t.collapsed && t.size.max === 'auto');
  if (free <= 0 || auto.length === 0) return;
  for (const t of auto) t.base += free / auto.length;
}
