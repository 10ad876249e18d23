import {
  SharedFindings,
  type ComparedPage,
  type ComparedRuns,
  type Finding,
  type SharedFinding,
} from '../../core/index.js';

/** A finding that holds at other widths than before. */
export interface Moved {
  readonly before: Finding;
  readonly after: Finding;
  readonly page: string | null;
}

/** A comparison in which what several pages have alike is told once. */
export interface ToldComparison {
  readonly cleared: readonly SharedFinding[];
  readonly fresh: readonly SharedFinding[];
  readonly still: readonly SharedFinding[];
  readonly moved: readonly Moved[];
}

export const nameOfPage = ({ before, after }: Pick<ComparedPage, 'before' | 'after'>): string => after ?? before ?? '';

/** Joins what pages have alike, each kind for itself. */
export function toldComparison({ pages, across }: ComparedRuns): ToldComparison {
  const parts = [...pages.map((page) => ({ ...page, page: nameOfPage(page) })), { ...across, page: null }];
  const joined = (pick: (part: (typeof parts)[number]) => readonly Finding[]) => {
    const all = new SharedFindings();
    for (const part of parts) for (const finding of pick(part)) all.add(finding, part.page);
    return all.list();
  };
  return {
    cleared: joined(({ cleared }) => cleared),
    fresh: joined(({ fresh }) => fresh),
    still: joined(({ still }) => still.filter(({ moved }) => !moved).map(({ after }) => after)),
    moved: parts.flatMap(({ still, page }) =>
      still.filter(({ moved }) => moved).map(({ before, after }) => ({ before, after, page })),
    ),
  };
}

/** `3 cleared, 1 new, 12 still there, 2 of them at other widths`. */
export function comparisonCounts({ cleared, fresh, still, moved }: ToldComparison): string {
  const all = still.length + moved.length;
  return `${cleared.length} cleared, ${fresh.length} new, ${all} still there${moved.length > 0 ? `, ${moved.length} of them at other widths` : ''}`;
}
