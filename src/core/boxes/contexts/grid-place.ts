import type { Areas, GridLine, TrackList, TrackSize } from '../../css/index.js';
import type { Box } from '../box.js';

/** Tracks of one axis once repeats are written out: sizes, and the names of every line. */
export interface Axis {
  readonly explicit: readonly TrackSize[];
  readonly names: ReadonlyMap<string, readonly number[]>;
  /** Tracks of auto-fit repeats, which collapse where they stay empty: first and past-last index. */
  readonly fitted: readonly [number, number] | null;
}

/** Lines from 0; the end one is exclusive. */
export interface Slot {
  readonly start: number;
  readonly end: number;
}

/** Positions and sizes of tracks along one axis, px. */
export interface Lines {
  readonly starts: readonly number[];
  readonly sizes: readonly number[];
  /** End of the last track. */
  readonly total: number;
}

/** Where the tracks of a slot lie together. */
export const spanOf = (lines: Lines, { start, end }: Slot): { at: number; size: number } => {
  const at = lines.starts[start] ?? 0;
  const last = end - 1;
  return { at, size: Math.max(0, (lines.starts[last] ?? at) + (lines.sizes[last] ?? 0) - at) };
};

export interface PlacedItem {
  readonly box: Box;
  readonly rows: Slot;
  readonly columns: Slot;
}

const MOST_TRACKS = 2000;

/**
 * Writes out a track list.
 * @param count how often an automatic repeat fits
 * @spec css-grid-2 §7.2.3
 */
export function expandTracks(
  list: TrackList,
  areas: Areas,
  which: 'rows' | 'columns',
  count: (repeat: readonly TrackSize[], others: readonly TrackSize[]) => number,
): Axis {
  const sizes: TrackSize[] = [];
  const names = new Map<string, number[]>();
  let fitted: [number, number] | null = null;
  const name = (words: readonly string[], line: number) => {
    for (const word of words) {
      const lines = names.get(word) ?? [];
      if (!lines.includes(line)) names.set(word, [...lines, line]);
    }
  };
  const others = list.parts
    .flatMap((part) =>
      'count' in part && typeof part.count === 'string'
        ? []
        : new Array<readonly TrackSize[]>('count' in part ? (part.count as number) : 1).fill(part.sizes),
    )
    .flat();
  for (const part of list.parts) {
    const times = !('count' in part) ? 1 : typeof part.count === 'number' ? part.count : count(part.sizes, others);
    const from = sizes.length;
    for (let i = 0; i < times && sizes.length < MOST_TRACKS; i++) {
      part.sizes.forEach((size, j) => {
        name(part.names[j]!, sizes.length);
        sizes.push(size);
      });
      name(part.names[part.sizes.length]!, sizes.length);
    }
    if ('count' in part && part.count === 'auto-fit') fitted = [from, sizes.length];
  }
  const least = areas[which];
  while (sizes.length < least) sizes.push({ min: 'auto', max: 'auto', fit: null });
  for (const [area, lines] of areas.byName) {
    name([`${area}-start`], lines[which][0] - 1);
    name([`${area}-end`], lines[which][1] - 1);
  }
  return { explicit: sizes, names, fitted };
}

interface Wish {
  /** Line from 0 (may be negative before the explicit grid), or null. */
  readonly start: number | null;
  readonly end: number | null;
  readonly span: number;
}

/** @spec css-grid-2 §8.3 */
function lineOf(value: GridLine, axis: Axis, side: 'start' | 'end'): number | null {
  if (value === 'auto' || 'span' in value) return null;
  const count = axis.explicit.length;
  if (value.name === null) return value.line > 0 ? value.line - 1 : count + 1 + value.line;
  const lines = axis.names.get(`${value.name}-${side}`) ?? axis.names.get(value.name);
  if (!lines) return value.line > 0 ? count + value.line : -value.line;
  const sorted = [...lines].sort((a, b) => a - b);
  return value.line > 0
    ? (sorted[value.line - 1] ?? count + value.line - sorted.length)
    : (sorted[sorted.length + value.line] ?? 0);
}

function wishOf(start: GridLine, end: GridLine, axis: Axis): Wish {
  const a = lineOf(start, axis, 'start');
  const b = lineOf(end, axis, 'end');
  const span = spanning(start) ?? spanning(end) ?? 1;
  if (a !== null && b !== null) {
    if (a === b) return { start: a, end: a + 1, span: 1 };
    return { start: Math.min(a, b), end: Math.max(a, b), span: Math.abs(b - a) };
  }
  if (a !== null) return { start: a, end: a + (spanning(end) ?? 1), span: spanning(end) ?? 1 };
  if (b !== null) return { start: b - (spanning(start) ?? 1), end: b, span: spanning(start) ?? 1 };
  return { start: null, end: null, span };
}

const spanning = (value: GridLine): number | null =>
  value !== 'auto' && 'span' in value ? Math.min(value.span, MOST_TRACKS) : null;

/**
 * Places items: those with lines first, then the others in the order of the flow.
 * Slots may lie before the explicit grid; the caller moves everything so that it starts at 0.
 * @spec css-grid-2 §8.5
 */
export function placeItems(
  boxes: readonly Box[],
  rows: Axis,
  columns: Axis,
  flow: string,
): { readonly items: readonly PlacedItem[]; readonly rowOffset: number; readonly columnOffset: number } {
  const byColumn = flow.includes('column');
  const wishes = boxes.map((box): Wished => {
    const s = box.style;
    const none: Wish = { start: null, end: null, span: 1 };
    const r = box.anonymous ? none : wishOf(s.gridRowStart, s.gridRowEnd, rows);
    const c = box.anonymous ? none : wishOf(s.gridColumnStart, s.gridColumnEnd, columns);
    return { box, major: byColumn ? c : r, minor: byColumn ? r : c };
  });
  const room = new Room();
  for (const w of wishes)
    if (w.major.start !== null && w.minor.start !== null)
      room.put(w.box, { start: w.major.start, end: w.major.end! }, { start: w.minor.start, end: w.minor.end! });
  const low = Math.min(0, ...wishes.map((w) => w.minor.start ?? 0));
  placeLocked(wishes, room, low);
  placeRest(wishes, room, low, (byColumn ? rows : columns).explicit.length, flow.includes('dense'));
  const items = boxes.map((box): PlacedItem => {
    const s = room.slots.get(box)!;
    return { box, rows: byColumn ? s.minor : s.major, columns: byColumn ? s.major : s.minor };
  });
  const rowOffset = Math.min(0, ...items.map((i) => i.rows.start));
  const columnOffset = Math.min(0, ...items.map((i) => i.columns.start));
  return { items, rowOffset, columnOffset };
}

/** An item and where it asks to stand, along the way items are placed and across it. */
interface Wished {
  readonly box: Box;
  readonly major: Wish;
  readonly minor: Wish;
}

/** The cells of a grid that are taken. */
class Room {
  readonly #taken = new Set<string>();
  readonly slots = new Map<Box, { readonly major: Slot; readonly minor: Slot }>();

  free(major: Slot, minor: Slot): boolean {
    for (let i = major.start; i < major.end; i++)
      for (let j = minor.start; j < minor.end; j++) if (this.#taken.has(`${i},${j}`)) return false;
    return true;
  }

  put(box: Box, major: Slot, minor: Slot): void {
    for (let i = major.start; i < major.end; i++)
      for (let j = minor.start; j < minor.end; j++) this.#taken.add(`${i},${j}`);
    this.slots.set(box, { major, minor });
  }
}

const slotAt = (start: number, span: number): Slot => ({ start, end: start + span });

/** Step 1: items locked to a row look for room in it. @spec css-grid-1 §8.5 */
function placeLocked(wishes: readonly Wished[], room: Room, low: number): void {
  for (const { box, major, minor } of wishes) {
    if (major.start === null || minor.start !== null) continue;
    const own = { start: major.start, end: major.end! };
    let at = low;
    while (!room.free(own, slotAt(at, minor.span)) && at < MOST_TRACKS) at++;
    room.put(box, own, slotAt(at, minor.span));
  }
}

/** Steps 2 to 4: the rest, by a cursor that only moves on unless packing is dense. @spec css-grid-1 §8.5 */
function placeRest(wishes: readonly Wished[], room: Room, low: number, explicit: number, dense: boolean): void {
  const width = Math.max(explicit, 1, ...wishes.map((w) => w.minor.end ?? w.minor.span + low));
  const end = Math.max(width, ...[...room.slots.values()].map((s) => s.minor.end));
  const first = Math.min(0, ...wishes.map((w) => w.major.start ?? 0));
  let cursor = { major: first, minor: low };
  for (const { box, major, minor } of wishes) {
    if (room.slots.has(box)) continue;
    if (dense) cursor = { major: first, minor: low };
    if (minor.start !== null) {
      if (minor.start < cursor.minor && !dense) cursor.major++;
      cursor.minor = minor.start;
      const own = { start: minor.start, end: minor.end! };
      while (!room.free(slotAt(cursor.major, major.span), own) && cursor.major < MOST_TRACKS) cursor.major++;
      room.put(box, slotAt(cursor.major, major.span), own);
      continue;
    }
    for (;;) {
      if (cursor.minor + minor.span > end && cursor.minor > low) cursor = { major: cursor.major + 1, minor: low };
      const fits = room.free(slotAt(cursor.major, major.span), slotAt(cursor.minor, minor.span));
      if (fits || cursor.major > MOST_TRACKS) break;
      cursor.minor++;
    }
    room.put(box, slotAt(cursor.major, major.span), slotAt(cursor.minor, minor.span));
  }
}

/** The lines of one axis once the implicit grid is known. */
export interface LineAxis {
  readonly axis: Axis;
  /** Index of the grid's first line among the explicit lines. */
  readonly offset: number;
  readonly count: number;
}

/** Lines that bound the area of an absolute child; null where it reaches to the padding edge. @spec css-grid-2 §9 */
export function absoluteSlot(
  from: GridLine,
  to: GridLine,
  { axis, offset, count }: LineAxis,
): { readonly start: number | null; readonly end: number | null } {
  const known = (value: GridLine, side: 'start' | 'end') => {
    if (value !== 'auto' && !('span' in value) && value.name !== null) {
      const named = axis.names.has(`${value.name}-${side}`) || axis.names.has(value.name);
      if (!named) return null;
    }
    return lineOf(value, axis, side);
  };
  const a = known(from, 'start');
  const b = known(to, 'end');
  let start = a ?? (b !== null && spanning(from) !== null ? b - spanning(from)! : null);
  let end = b ?? (a !== null && spanning(to) !== null ? a + spanning(to)! : null);
  if (start !== null && end !== null && start > end) [start, end] = [end, start];
  if (start !== null && start === end) end = null;
  const inside = (line: number | null) =>
    line === null || line - offset < 0 || line - offset > count ? null : line - offset;
  return { start: inside(start), end: inside(end) };
}
