import { joinRanges } from '../base/index.js';
import type { Difference, SiteCheck, SitePage } from '../checks/index.js';
import { byWeight, fill, wordOf, WORDS, type Finding } from '../findings/index.js';
import type { AuditResult } from './audit.js';
import { auditOptions, chooseSiteChecks, isSaid, type AuditOptions } from './options.js';

/** What several pages of one run show together. */
export interface AcrossPages {
  readonly checks: readonly string[];
  readonly findings: readonly Finding[];
  readonly accepted: AuditResult['accepted'];
  readonly crashed: AuditResult['crashed'];
}

/** Holds the pages of a run against each other: what differs that should be the same. Nothing for a single page. */
export function compareAcross(
  results: readonly (SitePage & Pick<AuditResult, 'widths'>)[],
  given: Partial<AuditOptions> = {},
): AcrossPages {
  const options = auditOptions(given);
  const chosen = results.length > 1 ? chooseSiteChecks(options) : [];
  const crashed: { check: string; message: string }[] = [];
  const findings = chosen.flatMap((check) => {
    try {
      return check
        .compare(results)
        .filter(({ message }) => isSaid(check.meta, message, options.level))
        .map((difference) => findingOf(check, difference, results));
    } catch (error) {
      crashed.push({ check: check.meta.id, message: (error as Error).message });
      return [];
    }
  });
  return Object.freeze({
    checks: chosen.map(({ meta }) => meta.id),
    findings: findings.sort(byWeight),
    accepted: [],
    crashed,
  });
}

/** All pages of a run, and what they show together. */
export interface AuditRun {
  readonly pages: readonly AuditResult[];
  readonly across: AcrossPages;
}

function findingOf(
  { meta }: SiteCheck,
  { message, data, places, key }: Difference,
  results: readonly Pick<AuditResult, 'widths'>[],
): Finding {
  const { says, mends, criteria } = meta.messages[message]!;
  return Object.freeze<Finding>({
    key: `${meta.id}|${message}|${key}`,
    check: meta.id,
    message,
    verdict: 'fault',
    weight: meta.weight,
    criteria,
    menus: [],
    states: ['normal'],
    poses: ['closed'],
    visitors: [],
    widths: joinRanges(results.map(({ widths }) => widths)),
    places: places.map(({ selector, path, label, at }) => ({
      kind: 'element',
      selector,
      path,
      label,
      at,
      widths: null,
    })),
    cause: null,
    measured: null,
    needed: null,
    says: fill(says, data),
    mends: fill(mends, data),
  });
}

/** A finding that several pages of a run have alike. */
export interface SharedFinding {
  /** As the first page has it, at the widths of all of them. */
  readonly finding: Finding;
  readonly pages: readonly string[];
  /** Selectors of everything it points at on any of the pages. */
  readonly selectors: ReadonlySet<string>;
}

/**
 * What makes findings of two pages one: the same fault of the same declaration in a sheet, or else of elements that
 * stand alike. Words, figures and widths may differ.
 */
export function likenessOf({ check, message, verdict, states, cause, places }: Finding): string {
  const [place] = places;
  const inSheet = cause && cause.at.file !== place?.at?.file ? cause.at : null;
  const standing = [place?.selector.replace(/:nth-child\(\d+\)/g, ''), cause?.text ?? null];
  return JSON.stringify([check, message, verdict, states, inSheet ?? standing]);
}

/** Findings of the pages of a run, those that pages share once. */
export class SharedFindings {
  readonly #groups = new Map<string, { finding: Finding; pages: Set<string>; selectors: Set<string> }>();

  /** Takes a finding of a page; null for one of several pages together. Gives what it is one with, if it is new. */
  add(finding: Finding, page: string | null): string {
    const key = likenessOf(finding);
    let known = this.#groups.get(key);
    if (!known) this.#groups.set(key, (known = { finding, pages: new Set(), selectors: new Set() }));
    else known.finding = { ...known.finding, widths: joinRanges([...known.finding.widths, ...finding.widths]) };
    if (page !== null) known.pages.add(page);
    for (const { selector } of finding.places) known.selectors.add(selector);
    return key;
  }

  /** All of them, faults by weight before what a person has to look at, those of most pages first. */
  list(): readonly SharedFinding[] {
    const all = [...this.#groups.values()].map(({ finding, pages, selectors }) => ({
      finding,
      pages: [...pages],
      selectors,
    }));
    return all.sort((a, b) => rank(a.finding) - rank(b.finding) || b.pages.length - a.pages.length);
  }
}

const rank = (finding: Finding): number => WORDS.indexOf(wordOf(finding));
