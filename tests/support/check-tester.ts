import { auditPage, CHECKS, type AuditOptions, type AuditResult } from '../../src/core/index.js';
import { said } from './audit.js';
import { pageFrom, type Files } from './page.js';

/** A page with a fault and the same page without it. */
export interface Faulty {
  readonly name: string;
  readonly page: string;
  /** `message states label` of each place. */
  readonly finds: readonly string[];
  /** How many findings these are told as; one a message if left out. */
  readonly told?: number;
  /** Where it holds: `320–700`; not looked at if left out. */
  readonly widths?: string;
  readonly mended: string;
  /** Other checks that rightly speak of the faulty page. */
  readonly also?: readonly string[];
  readonly options?: Partial<AuditOptions>;
  readonly files?: Files;
}

/** A page that looks like a fault and is none. */
export interface NearMiss {
  readonly name: string;
  readonly page: string;
  readonly also?: readonly string[];
  readonly options?: Partial<AuditOptions>;
  readonly files?: Files;
}

const AT_ONE_WIDTH: Partial<AuditOptions> = { at: [1000] };

function audit(
  id: string,
  { page, options, files, also }: Pick<Faulty, 'page' | 'options' | 'files' | 'also'>,
): AuditResult {
  const only = [id, ...(also ?? []).map((other) => other.split('/')[0]!)];
  const result = auditPage(pageFrom(page, files ?? {}), { only, ...(options ?? AT_ONE_WIDTH) });
  expect(result.crashed).toEqual([]);
  return result;
}

/** What every finding must be, whatever it says. */
function expectWhole({ findings }: AuditResult): void {
  for (const finding of findings) {
    expect(`${finding.says} ${finding.mends}`).not.toMatch(/\{\w+\}|undefined|NaN|\[object/);
    expect(finding.places.length).toBeGreaterThan(0);
    expect(finding.widths.length).toBeGreaterThan(0);
    expect(finding.places.every((place) => place.at !== null || place.kind === 'page')).toBe(true);
    expect(Object.isFrozen(finding)).toBe(true);
  }
}

/**
 * Holds a check to pages: the faulty ones give just these findings and their mended twins none, near misses none;
 * every message of the check is met at least once. Other checks are asked only where they are named.
 */
export function describeCheck(id: string, faulty: readonly Faulty[], nearMisses: readonly NearMiss[]): void {
  const spoken = new Set<string>();
  const strangers = (result: AuditResult, also: readonly string[] = []) =>
    result.findings.map((f) => f.check).filter((check) => check !== id && !also.includes(check));

  describe(id, () => {
    test('there are enough cases, each once', () => {
      const pages = [...faulty, ...nearMisses].map((one) => JSON.stringify([one.page, one.options, one.files]));
      expect(pages.filter((page, i) => pages.indexOf(page) !== i)).toEqual([]);
      expect(faulty.length).toBeGreaterThanOrEqual(2);
      expect(nearMisses.length).toBeGreaterThanOrEqual(3);
    });

    test.each(faulty.map((one) => [one.name, one] as const))('fault: %s', (_name, one) => {
      const result = audit(id, one);
      expectWhole(result);
      const own = result.findings.filter((f) => f.check === id);
      for (const { message } of own) spoken.add(message);
      expect(
        said(own)
          .map((text) => text.replace(`${id}/`, ''))
          .sort(),
      ).toEqual([...one.finds].sort());
      if (one.told !== undefined) expect(own).toHaveLength(one.told);
      if (one.widths !== undefined) expect(own[0]!.widths.map((w) => `${w.from}–${w.to}`).join(', ')).toBe(one.widths);
      expect(strangers(result, one.also)).toEqual([]);
      const mended = audit(id, { ...one, page: one.mended });
      expect(said(mended.findings).filter((text) => !one.also?.some((other) => text.startsWith(other)))).toEqual([]);
    });

    test.each(nearMisses.map((one) => [one.name, one] as const))('silent: %s', (_name, one) => {
      const result = audit(id, one);
      expect(said(result.findings.filter((f) => f.check === id))).toEqual([]);
      expect(strangers(result, one.also)).toEqual([]);
    });

    test('every message is met', () => {
      const { messages } = CHECKS.find((check) => check.meta.id === id)!.meta;
      expect([...spoken].sort()).toEqual(Object.keys(messages).sort());
    });
  });
}
