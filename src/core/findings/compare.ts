import type { Range } from '../base/index.js';
import { identityOf } from './identity.js';
import type { Finding } from './finding.js';

/** A finding of two runs. */
export interface Still {
  readonly before: Finding;
  readonly after: Finding;
  /** Whether it holds at other widths now. */
  readonly moved: boolean;
}

export interface Comparison {
  readonly cleared: readonly Finding[];
  readonly fresh: readonly Finding[];
  readonly still: readonly Still[];
}

const sameWidths = (one: readonly Range[], other: readonly Range[]): boolean =>
  JSON.stringify(one) === JSON.stringify(other);

/** How surely two findings are the same one, 0 for not at all. */
function likeness(before: Finding, after: Finding): number {
  if (before.check !== after.check || before.message !== after.message) return 0;
  if (identityOf(before) === identityOf(after)) return before.key === after.key ? 4 : 3;
  if (before.states.join() !== after.states.join()) return 0;
  const shared = (of: (finding: Finding) => readonly string[]) => of(after).some((one) => of(before).includes(one));
  if (shared(({ places }) => places.map(({ selector }) => selector))) return 2;
  return shared(({ places }) => places.flatMap(({ label }) => (label === '' ? [] : [label]))) ? 1 : 0;
}

/** Findings of a page before and after a change, matched one to one, the surest first. */
export function compareFindings(before: readonly Finding[], after: readonly Finding[]): Comparison {
  const pairs = before
    .flatMap((b) => after.map((a) => ({ b, a, score: likeness(b, a) })))
    .filter(({ score }) => score > 0)
    .sort((one, other) => other.score - one.score);
  const matched = new Map<Finding, Finding>();
  const taken = new Set<Finding>();
  for (const { b, a } of pairs) {
    if (matched.has(b) || taken.has(a)) continue;
    matched.set(b, a);
    taken.add(a);
  }
  return {
    cleared: before.filter((finding) => !matched.has(finding)),
    fresh: after.filter((finding) => !taken.has(finding)),
    still: before.flatMap((b) => {
      const a = matched.get(b);
      return a ? [{ before: b, after: a, moved: !sameWidths(b.widths, a.widths) }] : [];
    }),
  };
}
