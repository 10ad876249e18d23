import { isInFlow, type Box } from '../box.js';
import type { Edges } from '../fragment.js';
import type { GivenTracks } from '../layout.js';
import { containsLayout } from '../used/containment.js';
import { usedMargins } from '../used/edges.js';
import { frameOf } from './flow-sizes.js';
import type { Axis, LineAxis, Lines, Slot } from './grid-place.js';
import type { Demand } from './grid-tracks.js';

export type GridAxis = 'columns' | 'rows';

const listOf = ({ style }: Box, axis: GridAxis): string =>
  (axis === 'columns' ? style.gridTemplateColumns : style.gridTemplateRows).text;

/** Whether a grid takes its tracks along an axis from the grid it is an item of. @spec css-grid-2 §9 */
export const isSubgrid = (box: Box, axis: GridAxis): boolean =>
  !box.anonymous &&
  box.inner === 'grid' &&
  box.parent?.inner === 'grid' &&
  box.frame === box.mode &&
  isInFlow(box) &&
  /^subgrid\b/i.test(listOf(box, axis)) &&
  !containsLayout(box);

export const takesTracks = (box: Box): boolean => isSubgrid(box, 'columns') || isSubgrid(box, 'rows');

/** What a subgrid has around its content along an axis, px: at the start of the axis and at its end. */
export interface Around {
  readonly start: number;
  readonly end: number;
}

export function aroundOf(box: Box, axis: GridAxis, width: number): Around {
  const { border, padding } = frameOf(box, width);
  const margin = usedMargins(box, width);
  const side = (name: keyof Edges) => margin[name] + border[name] + padding[name];
  if (axis === 'rows') return { start: side('top'), end: side('bottom') };
  const [start, end] = box.style.direction === 'rtl' ? (['right', 'left'] as const) : (['left', 'right'] as const);
  return { start: side(start), end: side(end) };
}

/** The tracks a subgrid spans: how many, the lines between them by name, and their gap. */
export function tracksFor(box: Box, axis: GridAxis, slot: Slot, line: LineAxis, gap: number): GivenTracks {
  const count = slot.end - slot.start;
  const names = new Map<string, number[]>();
  const name = (word: string, at: number) => {
    if (at >= 0 && at <= count) names.set(word, [...(names.get(word) ?? []), at]);
  };
  for (const [word, lines] of line.axis.names) for (const at of lines) name(word, at - line.offset - slot.start);
  const own = listOf(box, axis).match(/\[[^\]]*\]/g) ?? [];
  own.forEach((words, at) => {
    for (const word of words.slice(1, -1).trim().split(/\s+/)) if (word) name(word, at);
  });
  return { count, names, gap, lines: null };
}

/** The tracks of a subgrid as those of an axis. */
export const givenAxis = ({ count, names }: GivenTracks): Axis => ({
  explicit: Array.from({ length: count }, () => ({ min: 'auto', max: 'auto', fit: null })),
  names,
  fitted: null,
});

/** Nothing of a subgrid stands outside of its tracks. */
export function heldIn({ start, end }: Slot, count: number): Slot {
  const first = Math.max(0, Math.min(start, count - 1));
  return { start: first, end: Math.max(first + 1, Math.min(end, count)) };
}

/**
 * Where the tracks a subgrid spans lie in its content box: its own gap is in the middle of that around it.
 * @param lines of the grid around it
 * @spec css-grid-2 §9
 */
export function linesWithin(lines: Lines, slot: Slot, { start, end }: Around, spread: number): Lines {
  const origin = (lines.starts[slot.start] ?? 0) + start;
  const starts: number[] = [];
  const sizes: number[] = [];
  for (let i = slot.start; i < slot.end; i++) {
    const low = lines.starts[i] ?? 0;
    const from = low + (i === slot.start ? start : spread / 2);
    const to = low + (lines.sizes[i] ?? 0) - (i === slot.end - 1 ? end : spread / 2);
    starts.push(from - origin);
    sizes.push(Math.max(0, to - from));
  }
  return { starts, sizes, total: (starts.at(-1) ?? 0) + (sizes.at(-1) ?? 0) };
}

/** What the items of a subgrid ask of the tracks around it. */
export function passedOn(demands: readonly Demand[], slot: Slot, { start, end }: Around, spread: number): Demand[] {
  const count = slot.end - slot.start;
  const own = { start: slot.start, end: slot.end, automatic: false };
  const edges = start + end;
  return [
    { ...own, least: edges, min: edges, max: edges, floor: edges },
    ...demands.map((demand): Demand => {
      const more = (demand.start === 0 ? start : spread / 2) + (demand.end >= count ? end : spread / 2);
      return {
        ...demand,
        start: demand.start + slot.start,
        end: demand.end + slot.start,
        least: demand.least + more,
        min: demand.min + more,
        max: demand.max + more,
        floor: demand.floor + more,
      };
    }),
  ];
}
