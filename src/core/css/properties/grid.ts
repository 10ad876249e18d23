import {
  isIdent,
  readLength,
  readNumber,
  splitAt,
  type Component,
  type Computation,
  type LengthPercentage,
} from '../values/index.js';
import { row } from './define.js';

/** One end of a track size: a length, a share of what is left, or what the content asks for. */
export type Breadth = LengthPercentage | { readonly fr: number } | 'auto' | 'min-content' | 'max-content';

export interface TrackSize {
  readonly min: Breadth;
  readonly max: Breadth;
  /** The limit of fit-content(); null elsewhere. */
  readonly fit: LengthPercentage | null;
}

/** A run of tracks; names[i] are the names of the line before sizes[i], the last entry those after the last track. */
export interface TrackRun {
  readonly sizes: readonly TrackSize[];
  readonly names: readonly (readonly string[])[];
}

export interface TrackRepeat extends TrackRun {
  readonly count: number | 'auto-fill' | 'auto-fit';
}

/** A track list in parts: plain runs and repeats. @spec css-grid-2 §7.2 */
export interface TrackList {
  readonly parts: readonly (TrackRun | TrackRepeat)[];
  readonly text: string;
}

const NONE: TrackList = Object.freeze({ parts: [], text: 'none' });
const REPEAT_CAP = 1000;

function readBreadth(item: Component | undefined): Computation<Breadth> | null {
  if (!item) return null;
  if (item.type === 'dimension' && item.unit === 'fr') return item.value < 0 ? null : () => ({ fr: item.value });
  if (item.type === 'ident' && ['auto', 'min-content', 'max-content'].includes(item.name)) {
    const name = item.name as 'auto';
    return () => name;
  }
  return readLength(item, { negative: false });
}

function readSize(item: Component): Computation<TrackSize> | null {
  if (item.type === 'function' && item.name === 'minmax') {
    const [low, high] = splitAt(item.args, ',');
    const min = low?.length === 1 ? readBreadth(low[0]) : null;
    const max = high?.length === 1 ? readBreadth(high[0]) : null;
    if (!min || !max || (low![0]!.type === 'dimension' && (low![0] as { unit: string }).unit === 'fr')) return null;
    return (c) => ({ min: min(c), max: max(c), fit: null });
  }
  if (item.type === 'function' && item.name === 'fit-content') {
    const limit = item.args.length === 1 ? readLength(item.args[0], { negative: false }) : null;
    return limit ? (c) => ({ min: 'auto', max: 'max-content', fit: limit(c) }) : null;
  }
  const breadth = readBreadth(item);
  if (!breadth) return null;
  return (c) => {
    const value = breadth(c);
    const flexible = typeof value !== 'string' && 'fr' in value;
    return { min: flexible ? 'auto' : value, max: value, fit: null };
  };
}

const namesOf = (item: Component): string[] =>
  item.type === 'block' && item.open === '[' ? item.args.flatMap((a) => (a.type === 'ident' ? [a.raw] : [])) : [];

function readRun(items: readonly Component[]): Computation<TrackRun> | null {
  const sizes: Computation<TrackSize>[] = [];
  const names: string[][] = [[]];
  for (const item of items) {
    if (item.type === 'block' && item.open === '[') names[names.length - 1]!.push(...namesOf(item));
    else {
      const size = readSize(item);
      if (!size) return null;
      sizes.push(size);
      names.push([]);
    }
  }
  return (c) => ({ sizes: sizes.map((size) => size(c)), names });
}

function readRepeat(item: Extract<Component, { type: 'function' }>): Computation<TrackRepeat> | null {
  const comma = item.args.findIndex((a) => a.type === 'delim' && a.value === ',');
  const head = item.args.slice(0, comma);
  const run = readRun(item.args.slice(comma + 1));
  if (comma !== 1 || !run) return null;
  if (isIdent(head[0], 'auto-fill', 'auto-fit')) {
    const count = (head[0] as { name: 'auto-fill' | 'auto-fit' }).name;
    return (c) => ({ ...run(c), count });
  }
  const number = readNumber(head[0], { integer: true, min: 1 });
  return number ? (c) => ({ ...run(c), count: Math.min(REPEAT_CAP, number(c)) }) : null;
}

/** @spec css-grid-2 §7.2 */
function parseTrackList(items: readonly Component[], text: string): Computation<TrackList> | null {
  if (items.length === 1 && isIdent(items[0], 'none')) return () => NONE;
  if (isIdent(items[0], 'subgrid')) return () => ({ parts: [], text });
  const parts: Computation<TrackRun | TrackRepeat>[] = [];
  let run: Component[] = [];
  const flush = (): boolean => {
    if (run.length === 0) return true;
    const made = readRun(run);
    run = [];
    if (made) parts.push(made);
    return made !== null;
  };
  for (const item of items) {
    if (item.type === 'function' && item.name === 'repeat') {
      const repeat = flush() ? readRepeat(item) : null;
      if (!repeat) return null;
      parts.push(repeat);
    } else run.push(item);
  }
  if (!flush() || parts.length === 0) return null;
  return (c) => ({ parts: parts.map((part) => part(c)), text });
}

export const trackList = () => row<TrackList>(NONE, parseTrackList, (v) => v.text);

/** Sizes of implicit tracks, repeated in turn. */
export const autoTracks = () =>
  row<readonly TrackSize[]>(
    [{ min: 'auto', max: 'auto', fit: null }],
    (items) => {
      const run = readRun(items);
      return run ? (c) => run(c).sizes : null;
    },
    (sizes) => (sizes.length === 1 ? 'auto' : sizes.map(() => 'auto').join(' ')),
  );

/** A named area: its lines, counted from 1, the end one exclusive. */
export interface Area {
  readonly rows: readonly [number, number];
  readonly columns: readonly [number, number];
}

export interface Areas {
  readonly byName: ReadonlyMap<string, Area>;
  readonly rows: number;
  readonly columns: number;
  readonly text: string;
}

const NO_AREAS: Areas = Object.freeze({ byName: new Map(), rows: 0, columns: 0, text: 'none' });

/** @spec css-grid-2 §7.3 */
function parseAreas(items: readonly Component[], text: string): Computation<Areas> | null {
  if (items.length === 1 && isIdent(items[0], 'none')) return () => NO_AREAS;
  if (items.length === 0 || !items.every((item) => item.type === 'string')) return null;
  const rows = items.map((item) => (item as { value: string }).value.trim().split(/\s+/));
  const width = rows[0]!.length;
  if (rows.some((r) => r.length !== width || r[0] === '')) return null;
  const byName = new Map<string, { rows: [number, number]; columns: [number, number] }>();
  rows.forEach((cells, r) =>
    cells.forEach((name, c) => {
      if (/^\.+$/.test(name)) return;
      const known = byName.get(name);
      if (!known) byName.set(name, { rows: [r + 1, r + 2], columns: [c + 1, c + 2] });
      else {
        known.rows = [Math.min(known.rows[0], r + 1), Math.max(known.rows[1], r + 2)];
        known.columns = [Math.min(known.columns[0], c + 1), Math.max(known.columns[1], c + 2)];
      }
    }),
  );
  const filled = [...byName].every(([name, a]) =>
    rows
      .slice(a.rows[0] - 1, a.rows[1] - 1)
      .every((r) => r.slice(a.columns[0] - 1, a.columns[1] - 1).every((n) => n === name)),
  );
  return filled ? () => ({ byName, rows: rows.length, columns: width, text }) : null;
}

export const areas = () => row<Areas>(NO_AREAS, parseAreas, (v) => v.text);

/** Where an item starts or ends. @spec css-grid-2 §8.3 */
export type GridLine =
  | 'auto'
  | { readonly span: number; readonly name: string | null }
  | { readonly line: number; readonly name: string | null };

function parseLine(items: readonly Component[]): Computation<GridLine> | null {
  if (items.length === 1 && isIdent(items[0], 'auto')) return () => 'auto';
  let span = false;
  let number: number | null = null;
  let name: string | null = null;
  for (const item of items) {
    if (isIdent(item, 'span') && !span) span = true;
    else if (item.type === 'number' && item.integer && item.value !== 0 && number === null) number = item.value;
    else if (item.type === 'ident' && name === null && !isIdent(item, 'auto', 'span')) name = item.raw;
    else return null;
  }
  if (items.length === 0 || (span && number === null && name === null) || (span && number !== null && number < 1))
    return null;
  const value: GridLine = span ? { span: number ?? 1, name } : { line: number ?? 1, name };
  const named = name !== null && number === null && !span;
  return () => (named ? { line: 1, name } : value);
}

export const gridLine = () =>
  row<GridLine>('auto', parseLine, (v) =>
    v === 'auto'
      ? v
      : [
          ...('span' in v ? ['span', v.span] : v.name === null || v.line !== 1 ? [v.line] : []),
          ...(v.name === null ? [] : [v.name]),
        ].join(' '),
  );
