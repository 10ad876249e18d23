import type { Finding } from './finding.js';

/** Findings someone has decided to live with, and why. */
export interface Acceptance {
  readonly check: string;
  /** Pages it holds on; every page if left out. */
  readonly pages?: readonly string[];
  /** Which of the check's messages; all if left out. */
  readonly message?: string;
  /** Selectors of the places it covers, as findings give them; everything the check points at if left out. */
  readonly selectors?: readonly string[];
  readonly reason: string;
  /** Last day it holds, `2027-03-31`. */
  readonly until?: string;
}

/** An accepted finding with what was said of it. */
export interface AcceptedFinding {
  readonly finding: Finding;
  readonly reason: string;
  readonly until: string | null;
}

export interface Sorted {
  readonly findings: readonly Finding[];
  readonly accepted: readonly AcceptedFinding[];
  /** Acceptances that covered something, by their place in the list. */
  readonly used: readonly number[];
}

/** Whether an acceptance has ended. @param today `2026-11-28` */
export const hasEnded = ({ until }: Acceptance, today: string): boolean => until !== undefined && until < today;

/**
 * Sorts the accepted findings of a page out. A finding is accepted when acceptances that have not ended cover all its
 * places; one that has a new place stays.
 * @param onPage whether an acceptance's pages hold the page
 */
export function accept(
  findings: readonly Finding[],
  acceptances: readonly Acceptance[],
  onPage: (acceptance: Acceptance) => boolean,
  today: string,
): Sorted {
  const open = acceptances.map((one, i) => ({ one, i })).filter(({ one }) => !hasEnded(one, today) && onPage(one));
  const used = new Set<number>();
  const accepted: AcceptedFinding[] = [];
  const left = findings.filter((finding) => {
    const fitting = open.filter(
      ({ one }) => one.check === finding.check && (one.message === undefined || one.message === finding.message),
    );
    const covering = finding.places.map(({ selector }) =>
      fitting.filter(({ one }) => one.selectors === undefined || one.selectors.includes(selector)),
    );
    if (covering.some((found) => found.length === 0)) return true;
    for (const { i } of covering.flat()) used.add(i);
    const { reason, until } = covering[0]![0]!.one;
    accepted.push({ finding, reason, until: until ?? null });
    return false;
  });
  return { findings: left, accepted, used: [...used] };
}
