import { resolveLength, type Breadth, type TrackSize } from '../../css/index.js';
import { snap } from '../fragment.js';

/** A track while it is sized; px. */
interface Track {
  readonly min: Breadth;
  readonly max: Breadth;
  /** Flex factor, 0 for tracks that do not flex. */
  readonly factor: number;
  /** The argument of fit-content(), or infinity. */
  readonly fit: number;
  /** The length it may grow to at most, or infinity where that is of another kind. */
  readonly most: number;
  /** An empty track of an auto-fit repeat. */
  readonly collapsed: boolean;
  base: number;
  limit: number;
  /** Its limit has just become finite. */
  growable: boolean;
}

/** What an item asks of the tracks it spans, margins included, px. */
export interface Demand {
  readonly start: number;
  readonly end: number;
  /** Minimum, min-content and max-content contributions. @spec css-grid-2 §6.6, §12.5 */
  readonly least: number;
  readonly min: number;
  readonly max: number;
  /** Whether the minimum follows the content: not where several tracks are spanned and one of them flexes. */
  readonly automatic: boolean;
  /** The minimum where it does not follow the content. */
  readonly floor: number;
}

/** How a container of unknown size is asked: its narrowest, its widest, or as tall as it comes. */
export type Constraint = 'min' | 'max' | 'none';

export interface TrackInput {
  readonly sizes: readonly TrackSize[];
  readonly collapsed: readonly boolean[];
  readonly demands: readonly Demand[];
  readonly gap: number;
  /** Content size of the container, px; NaN where it is to be found out. */
  readonly available: number;
  readonly constraint: Constraint;
  /** Whether automatic tracks take up what is left. */
  readonly stretches: boolean;
}

const isFlexible = (b: Breadth): b is { readonly fr: number } => typeof b !== 'string' && 'fr' in b;
const isIntrinsic = (b: Breadth): boolean => typeof b === 'string';

function fixed(b: Breadth, available: number): number | null {
  if (typeof b === 'string' || isFlexible(b)) return null;
  const value = resolveLength(b, available);
  return Number.isNaN(value) ? null : Math.max(0, snap(value));
}

/** A percentage of an unknown size counts as auto. */
const settled = (b: Breadth, available: number): Breadth =>
  typeof b !== 'string' && !isFlexible(b) && fixed(b, available) === null ? 'auto' : b;

/** Sizes the tracks of one axis; px. @spec css-grid-2 §12.3 to §12.8 */
export function sizeTracks(input: TrackInput): number[] {
  const { available, gap, demands, constraint } = input;
  const tracks = input.sizes.map((size, i) => startTrack(size, input.collapsed[i] ?? false, available));
  const shown = tracks.filter((t) => !t.collapsed).length;
  resolveIntrinsic(tracks, demands, gap, Number.isNaN(available) ? constraint : null);
  const room = available - gap * Math.max(0, shown - 1);
  maximise(tracks, Number.isNaN(room) && constraint === 'min' ? 0 : room);
  flex(tracks, demands, room, gap, constraint);
  if (input.stretches && !Number.isNaN(room)) stretchAuto(tracks, room);
  return tracks.map((t) => t.base);
}

/** @spec css-grid-2 §12.4 */
function startTrack(size: TrackSize, collapsed: boolean, available: number): Track {
  const min = settled(size.min, available);
  const max = settled(size.max, available);
  const factor = isFlexible(max) ? max.fr : 0;
  const fit = size.fit ? resolveLength(size.fit, available) : NaN;
  const most = fixed(max, available) ?? Infinity;
  const common = { min, max, factor, fit: Number.isNaN(fit) ? Infinity : fit, most, growable: false };
  if (collapsed) return { ...common, factor: 0, collapsed, base: 0, limit: 0 };
  const base = fixed(min, available) ?? 0;
  return { ...common, collapsed, base, limit: Math.max(base, most) };
}

/** @spec css-grid-2 §12.5 */
function resolveIntrinsic(tracks: Track[], demands: readonly Demand[], gap: number, under: Constraint | null): void {
  const spans = demands.map((demand) => ({
    demand,
    tracks: tracks.slice(demand.start, demand.end).filter((t) => !t.collapsed),
  }));
  const plain = spans.filter((s) => s.tracks.length > 0 && !s.tracks.some((t) => t.factor > 0));
  const sizes = [...new Set(plain.map((s) => s.tracks.length))].sort((a, b) => a - b);
  for (const size of sizes)
    accommodate(
      plain.filter((s) => s.tracks.length === size),
      gap,
      under,
      false,
    );
  accommodate(
    spans.filter((s) => s.tracks.some((t) => t.factor > 0)),
    gap,
    under,
    true,
  );
  for (const track of tracks) if (track.limit === Infinity) track.limit = track.base;
}

interface Span {
  readonly demand: Demand;
  readonly tracks: readonly Track[];
}

/**
 * The least a demand may get: a spanning item over a flexible track has no automatic minimum, and one over tracks that
 * may not grow beyond some length has none beyond that. @spec css-grid-2 §6.6
 */
function leastOf({ demand, tracks }: Span, gap: number): number {
  if (!demand.automatic) return demand.least;
  if (tracks.length > 1 && tracks.some((t) => t.factor > 0)) return demand.floor;
  const most = tracks.reduce((sum, t) => sum + t.most, gap * (tracks.length - 1));
  return Math.max(demand.floor, Math.min(demand.least, most));
}

function accommodate(spans: readonly Span[], gap: number, under: Constraint | null, flexing: boolean): void {
  if (spans.length === 0) return;
  const may = (t: Track) => !flexing || t.factor > 0;
  const grow = (
    part: 'base' | 'limit',
    asks: (s: Span) => number,
    affects: (t: Track) => boolean,
    beyond: (t: Track) => boolean,
  ) => distribute(spans, gap, part, asks, (t) => may(t) && affects(t), beyond, flexing);
  const contentMin = (t: Track) => t.min === 'min-content' || t.min === 'max-content';
  const limited = (of: Span, value: number) => Math.max(leastOf(of, gap), Math.min(value, capOf(of, gap)));
  // What spans flexible tracks asks for them together, once these flex.
  const shared = ({ tracks }: Span) => flexing && tracks.length > 1;
  grow(
    'base',
    // Browsers keep to the minimum under a min-content constraint too.
    (s) => (under === 'max' && !shared(s) ? limited(s, s.demand.min) : leastOf(s, gap)),
    (t) => isIntrinsic(t.min),
    (t) => isIntrinsic(t.max),
  );
  grow(
    'base',
    (s) => s.demand.min,
    contentMin,
    (t) => isIntrinsic(t.max),
  );
  grow(
    'base',
    (s) => (under !== 'max' ? s.demand.max : shared(s) ? 0 : limited(s, s.demand.max)),
    (t) => t.min === 'max-content' || (under === 'max' && t.min === 'auto'),
    (t) => t.max === 'max-content' || t.max === 'auto',
  );
  const touched = new Set(spans.flatMap((s) => s.tracks));
  for (const t of touched) t.limit = Math.max(t.limit, t.base);
  if (flexing) return;
  grow(
    'limit',
    (s) => s.demand.min,
    (t) => isIntrinsic(t.max),
    () => true,
  );
  grow(
    'limit',
    (s) => s.demand.max,
    (t) => t.max === 'max-content' || t.max === 'auto',
    () => true,
  );
  for (const t of touched) t.growable = false;
}

/** Fixed maximums and those of fit-content() limit what a content contribution may ask. */
function capOf({ tracks }: Span, gap: number): number {
  if (tracks.some((t) => (isIntrinsic(t.max) && t.fit === Infinity) || t.factor > 0)) return Infinity;
  return tracks.reduce((sum, t) => sum + (t.fit === Infinity ? t.limit : t.fit), 0) + gap * (tracks.length - 1);
}

/** Extra space of the items of one span, shared by the tracks they span. @spec css-grid-2 §12.5.1 */
function distribute(
  spans: readonly Span[],
  gap: number,
  part: 'base' | 'limit',
  asks: (s: Span) => number,
  affects: (t: Track) => boolean,
  beyond: (t: Track) => boolean,
  flexing: boolean,
): void {
  const planned = new Map<Track, number>();
  const sizeOf = (t: Track) => (part === 'limit' && t.limit !== Infinity ? t.limit : t.base);
  for (const span of spans) {
    const affected = span.tracks.filter(affects);
    if (affected.length === 0) continue;
    const have = span.tracks.reduce((sum, t) => sum + sizeOf(t), 0) + gap * (span.tracks.length - 1);
    const extra = asks(span) - have;
    if (extra <= 0) continue;
    for (const [track, share] of shares(affected, extra, part, beyond, flexing))
      planned.set(track, Math.max(planned.get(track) ?? 0, share));
  }
  const infinite =
    part === 'limit' ? spans.flatMap((s) => s.tracks).filter((t) => affects(t) && t.limit === Infinity) : [];
  for (const track of new Set([...planned.keys(), ...infinite])) {
    const share = planned.get(track) ?? 0;
    if (part === 'base') track.base += share;
    else {
      if (track.limit === Infinity) track.growable = true;
      track.limit = Math.max(track.base, sizeOf(track) + share);
    }
  }
}

function shares(
  affected: readonly Track[],
  extra: number,
  part: 'base' | 'limit',
  beyond: (t: Track) => boolean,
  flexing: boolean,
): Map<Track, number> {
  const got = new Map<Track, number>(affected.map((t) => [t, 0]));
  const factors = affected.reduce((sum, t) => sum + t.factor, 0);
  if (flexing && factors > 0) {
    for (const t of affected) got.set(t, (extra * t.factor) / factors);
    return got;
  }
  // What a track may take before it is at its limit.
  const room = (t: Track): number => {
    if (part === 'base') return Math.min(t.limit, t.max === 'auto' || t.fit === Infinity ? Infinity : t.fit) - t.base;
    if (t.limit === Infinity) return t.fit === Infinity ? Infinity : Math.max(0, t.fit - t.base);
    return t.growable ? (t.fit === Infinity ? Infinity : Math.max(0, t.fit - t.limit)) : 0;
  };
  const rest = share(got, affected, extra, room);
  if (rest > 1e-6) {
    const chosen = affected.filter(beyond).filter((t) => part === 'base' || t.fit === Infinity);
    share(got, chosen.length > 0 ? chosen : part === 'base' ? affected : [], rest, () => Infinity);
  }
  return got;
}

/** Shares equally until each has taken what it may; gives back what is left. */
function share(got: Map<Track, number>, among: readonly Track[], extra: number, most: (t: Track) => number): number {
  let rest = extra;
  const taken = new Map<Track, number>(among.map((t) => [t, 0]));
  let open = among.filter((t) => most(t) > 1e-6);
  while (rest > 1e-6 && open.length > 0) {
    const step = Math.min(rest / open.length, ...open.map((t) => most(t) - taken.get(t)!));
    for (const t of open) {
      taken.set(t, taken.get(t)! + step);
      got.set(t, (got.get(t) ?? 0) + step);
    }
    rest -= step * open.length;
    open = open.filter((t) => taken.get(t)! < most(t) - 1e-6);
  }
  return rest;
}

const sum = (tracks: readonly Track[]): number => tracks.reduce((total, t) => total + t.base, 0);

/** @param room free space counts from it; NaN where there is no end of it. @spec css-grid-2 §12.6 */
function maximise(tracks: readonly Track[], room: number): void {
  if (Number.isNaN(room)) {
    for (const t of tracks) t.base = Math.max(t.base, t.limit);
    return;
  }
  let free = room - sum(tracks);
  let open = tracks.filter((t) => t.base < t.limit);
  while (free > 1e-6 && open.length > 0) {
    const step = Math.min(free / open.length, ...open.map((t) => t.limit - t.base));
    for (const t of open) t.base += step;
    free -= step * open.length;
    open = open.filter((t) => t.base < t.limit - 1e-6);
  }
}

/** @spec css-grid-2 §12.7 */
function flex(
  tracks: readonly Track[],
  demands: readonly Demand[],
  room: number,
  gap: number,
  constraint: Constraint,
): void {
  const flexible = tracks.filter((t) => t.factor > 0);
  if (flexible.length === 0 || (Number.isNaN(room) && constraint === 'min')) return;
  let fraction = 0;
  if (Number.isNaN(room)) {
    for (const t of flexible) fraction = Math.max(fraction, t.base / Math.max(1, t.factor));
    for (const d of demands) {
      const spanned = tracks.slice(d.start, d.end).filter((t) => !t.collapsed);
      if (spanned.some((t) => t.factor > 0))
        fraction = Math.max(fraction, findFraction(spanned, d.max - gap * (spanned.length - 1)));
    }
  } else fraction = findFraction(tracks, room);
  const shared = inSteps();
  for (const t of flexible) t.base = Math.max(t.base, shared(fraction * t.factor));
}

/** Sizes in 64ths of a px: what one track is cut by goes to the next. */
function inSteps(): (size: number) => number {
  let left = 0;
  return (size) => {
    const asked = size + left;
    const used = snap(asked + 1e-9);
    left = Math.max(0, asked - used);
    return used;
  };
}

/** @spec css-grid-2 §12.7.1 */
function findFraction(tracks: readonly Track[], room: number): number {
  const rigid = new Set(tracks.filter((t) => t.factor === 0));
  for (;;) {
    const active = tracks.filter((t) => !rigid.has(t));
    const left = room - sum([...rigid]);
    const fraction =
      left /
      Math.max(
        1,
        active.reduce((total, t) => total + t.factor, 0),
      );
    const over = active.filter((t) => fraction * t.factor < t.base - 1e-9);
    if (over.length === 0) return active.length === 0 ? 0 : Math.max(0, fraction);
    for (const t of over) rigid.add(t);
  }
}

/** @spec css-grid-2 §12.8 */
function stretchAuto(tracks: readonly Track[], room: number): void {
  const free = room - sum(tracks);
  const auto = tracks.filter((t) => !t.collapsed && t.max === 'auto');
  if (free <= 0 || auto.length === 0) return;
  const shared = inSteps();
  for (const t of auto) t.base += shared(free / auto.length);
}
