import { isLengthPercentage } from '../../css/index.js';
import type { Box } from '../box.js';
import { heightFor, NO_FRAME } from '../used/sizes.js';
import { sum } from './table-distribute.js';
import type { TableGrid } from './table-grid.js';
import { shareOut } from './table-spare.js';

/** Rows of one group: the first and the one behind the last. */
interface Section {
  readonly group: Box;
  readonly from: number;
  readonly to: number;
}

export const isHidden = ({ anonymous, style }: Box): boolean => !anonymous && style.visibility === 'collapse';

function sectionsOf({ groups, rows }: TableGrid): readonly Section[] {
  return groups.flatMap((group) => {
    const from = rows.findIndex((row) => row.group === group);
    return from < 0 ? [] : [{ group, from, to: rows.findLastIndex((row) => row.group === group) + 1 }];
  });
}

/** Where rows lie in the grid box, and how high it is with the room around them; px. */
export interface Stack {
  readonly tops: readonly number[];
  readonly height: number;
}

/** Stacks rows; hidden ones take no room. @spec css-tables-3 §3.10.4 (visibility: collapse) */
export function stackRows(grid: TableGrid, heights: readonly number[], gap: number): Stack {
  const tops: number[] = [];
  let y = 0;
  for (const { from, to } of sectionsOf(grid)) {
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
  return { tops, height: tops.length > 0 ? y + gap : 0 };
}

/** Heights that the sheet gives to row groups of their own. @spec css-tables-3 §3.10.2 */
export function growSections(heights: number[], grid: TableGrid, gap: number): void {
  for (const section of sectionsOf(grid)) {
    const { group } = section;
    const asked = group.anonymous ? null : heightFor(group, group.style.height, NaN, NO_FRAME);
    const spare = (asked ?? 0) - heightOf(section, heights, gap);
    shareOut(heights, grid.rows, { ...section, spare }, { kind: 'table', basis: NaN });
  }
}

const heightOf = ({ from, to }: Section, heights: readonly number[], gap: number): number =>
  sum(heights.slice(from, to)) + gap * (to - from - 1);

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
  heights: number[],
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
    const room = sizes[i]! - heightOf(section, heights, gap);
    shareOut(heights, grid.rows, { ...section, spare: room }, { kind: 'table', basis });
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
