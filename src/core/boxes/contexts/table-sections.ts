import { isLengthPercentage } from '../../css/index.js';
import type { Box } from '../box.js';
import { heightFor, NO_FRAME } from '../used/sizes.js';
import { sum } from './table-distribute.js';
import type { TableGrid } from './table-grid.js';
import { shareOut } from './table-spare.js';

/** Rows of one group: the first and the one behind the last, the same where it has none. */
interface Section {
  readonly group: Box;
  readonly from: number;
  readonly to: number;
}

export const isHidden = ({ anonymous, style }: Box): boolean => !anonymous && style.visibility === 'collapse';

function sectionsOf({ groups, rows }: TableGrid): readonly Section[] {
  let next = 0;
  return groups.map((group) => {
    const from = next;
    while (rows[next]?.group === group) next++;
    return { group, from, to: next };
  });
}

/** Heights of rows, px, and of the groups that have none. */
export interface Heights {
  readonly rows: number[];
  readonly bare: Map<Box, number>;
}

/** Where rows lie in the grid box, and how high it is with the room around them; px. */
export interface Stack {
  readonly tops: readonly number[];
  /** Tops of groups without rows. */
  readonly bare: ReadonlyMap<Box, number>;
  readonly height: number;
}

/** Stacks rows; hidden ones take no room, groups without rows none around them. @spec css-tables-3 §3.10.4 (visibility: collapse) */
export function stackRows(grid: TableGrid, { rows: heights, bare }: Heights, gap: number): Stack {
  const tops: number[] = [];
  const alone = new Map<Box, number>();
  let y = 0;
  for (const { group, from, to } of sectionsOf(grid)) {
    if (from === to) {
      alone.set(group, y);
      y += bare.get(group) ?? 0;
      continue;
    }
    y += gap;
    let any = false;
    for (let i = from; i < to; i++) {
      const hidden = isHidden(grid.rows[i]!.box);
      if (!hidden && any) y += gap;
      any ||= !hidden;
      tops[i] = y;
      y += heights[i]!;
    }
  }
  return { tops, bare: alone, height: tops.length > 0 ? y + gap : y };
}

/** Heights that the sheet gives to row groups of their own. @spec css-tables-3 §3.10.2 */
export function growSections(heights: Heights, grid: TableGrid, gap: number): void {
  for (const section of sectionsOf(grid)) {
    const { group, from, to } = section;
    const asked = group.anonymous ? null : heightFor(group, group.style.height, NaN, NO_FRAME);
    if (from === to) heights.bare.set(group, asked ?? 0);
    const spare = (asked ?? 0) - heightOf(section, heights, gap);
    shareOut(heights.rows, grid.rows, { from, to, spare }, { kind: 'table', basis: NaN });
  }
}

const heightOf = ({ group, from, to }: Section, { rows, bare }: Heights, gap: number): number =>
  from === to ? (bare.get(group) ?? 0) : sum(rows.slice(from, to)) + gap * (to - from - 1);

const isBody = ({ group }: Section): boolean => group.anonymous || group.style.display === 'table-row-group';

const percentOf = ({ group }: Section): number | null => {
  const { height } = group.style;
  return !group.anonymous && isLengthPercentage(height) && height.percent > 0 ? height.percent : null;
};

const isAuto = ({ group }: Section): boolean => group.anonymous || group.style.height === 'auto';

/**
 * Shares the room of a taller table out to its row groups, and there to their rows: first to those that lack of their
 * percentage, then to bodies, before all to those of automatic height.
 * @param basis what percentages of rows refer to, NaN where nothing is known
 * @spec css-tables-3 §3.10.2 (as browsers have it)
 */
export function shareOutTable(
  heights: Heights,
  grid: TableGrid,
  gap: number,
  { spare, basis }: { readonly spare: number; readonly basis: number },
): void {
  const sections = sectionsOf(grid);
  const sizes = sections.map((section) => heightOf(section, heights, gap));
  const whole = sum(sizes) + spare;
  let left = spare;
  sections.forEach((section, i) => {
    const percent = percentOf(section);
    if (percent === null) return;
    const more = Math.max(0, Math.min(left, (whole * percent) / 100 - sizes[i]!));
    sizes[i]! += more;
    left -= more;
  });
  const taking = takers(sections);
  const all = sum(taking.map((i) => sizes[i]!));
  for (const i of taking) sizes[i]! += all > 0 ? (left * sizes[i]!) / all : left / taking.length;
  sections.forEach((section, i) => {
    if (section.from === section.to) heights.bare.set(section.group, sizes[i]!);
    const room = sizes[i]! - heightOf(section, heights, gap);
    shareOut(heights.rows, grid.rows, { ...section, spare: room }, { kind: 'table', basis });
  });
}

/** The groups that take what percentages leave. */
function takers(sections: readonly Section[]): readonly number[] {
  const all = sections.map((_, i) => i);
  const bodies = all.filter((i) => isBody(sections[i]!));
  const choices = [
    bodies.filter((i) => isAuto(sections[i]!)),
    bodies.filter((i) => percentOf(sections[i]!) === null),
    bodies,
    all,
  ];
  return choices.find((list) => list.length > 0) ?? [];
}
