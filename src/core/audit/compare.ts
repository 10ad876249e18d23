import { compareFindings, type Comparison, type Finding } from '../findings/index.js';
import type { AuditResult } from './audit.js';
import type { AuditRun } from './site.js';

/** A page of two runs; null where one of them has no such page. */
export interface ComparedPage extends Comparison {
  readonly before: string | null;
  readonly after: string | null;
}

/** Two runs against each other. */
export interface ComparedRuns {
  readonly pages: readonly ComparedPage[];
  /** What the pages of each run show together. */
  readonly across: Comparison;
  /** Checks that only one of the runs made: what they say is not compared. */
  readonly unmatched: { readonly before: readonly string[]; readonly after: readonly string[] };
}

/** What the names of all pages begin with, up to a folder. */
function commonFolder(names: readonly string[]): string {
  const parts = names.map((name) => name.split('/').slice(0, -1));
  const [first = []] = parts;
  let end = 0;
  while (end < first.length && parts.every((one) => one[end] === first[end])) end++;
  return first
    .slice(0, end)
    .map((part) => `${part}/`)
    .join('');
}

type Pair = readonly [AuditResult | null, AuditResult | null];

/** Pages of two runs by their names below the folder that each run has in common; single pages whatever their names. */
function pair(before: readonly AuditResult[], after: readonly AuditResult[]): readonly Pair[] {
  if (before.length === 1 && after.length === 1) return [[before[0]!, after[0]!]];
  const own = (results: readonly AuditResult[]) => {
    const folder = commonFolder(results.map(({ page }) => page));
    return new Map(results.map((result) => [result.page.slice(folder.length), result] as const));
  };
  const [a, b] = [own(before), own(after)];
  // The same names as they stand are surer than names below a folder.
  const shared = (one: ReadonlyMap<string, unknown>, other: ReadonlyMap<string, unknown>) =>
    [...one.keys()].filter((key) => other.has(key)).length;
  const [wholeA, wholeB] = [before, after].map(
    (results) => new Map(results.map((result) => [result.page, result] as const)),
  );
  const [x, y] = shared(wholeA!, wholeB!) >= shared(a, b) ? [wholeA!, wholeB!] : [a, b];
  return [...new Set([...x.keys(), ...y.keys()])].map((name) => [x.get(name) ?? null, y.get(name) ?? null]);
}

/** Compares two runs: what is cleared, what is new, what is still there. Checks that one run left out are not compared. */
export function compareRuns(before: AuditRun, after: AuditRun): ComparedRuns {
  const made = (run: AuditRun) => new Set([...run.pages.flatMap(({ checks }) => checks), ...run.across.checks]);
  const [one, other] = [made(before), made(after)];
  const single = before.pages.length < 2 || after.pages.length < 2;
  const both = (findings: readonly Finding[]) => findings.filter(({ check }) => one.has(check) && other.has(check));
  const site = new Set([...before.across.checks, ...after.across.checks]);
  return {
    pages: pair(before.pages, after.pages).map(([b, a]) => ({
      before: b?.page ?? null,
      after: a?.page ?? null,
      ...(b && a
        ? compareFindings(both(b.findings), both(a.findings))
        : { cleared: b?.findings ?? [], fresh: a?.findings ?? [], still: [] }),
    })),
    across: compareFindings(both(before.across.findings), both(after.across.findings)),
    unmatched: {
      before: [...one].filter((id) => !other.has(id) && !(single && site.has(id))),
      after: [...other].filter((id) => !one.has(id) && !(single && site.has(id))),
    },
  };
}
