import { auditPage, CHECKS, compareAcross, type Finding } from '../../src/core/index.js';
import { openPageNow } from '../../src/core/index.js';

/** Pages of a site by name, each as text. */
export type Pages = Readonly<Record<string, string>>;

export interface FaultySite {
  readonly name: string;
  readonly pages: Pages;
  /** `message: pages with it: words of the first place` of each finding. */
  readonly finds: readonly string[];
  readonly mended: Pages;
}

export interface SoundSite {
  readonly name: string;
  readonly pages: Pages;
}

/** A page of a site with a main menu; items as `words=address`. */
export const sitePage = (items: string, more = '', lang = 'en'): string =>
  `<!doctype html><html lang="${lang}"><head><style>a{color:#222}</style></head><body><nav aria-label="Main"><ul>${items
    .split(', ')
    .map((item) => item.split('='))
    .map(([words, address]) => `<li>${address ? `<a href="${address}">${words}</a>` : `<span>${words}</span>`}</li>`)
    .join('')}</ul></nav>${more}<main><p>Text</p></main></body></html>`;

function across(check: string, pages: Pages): readonly Finding[] {
  const results = Object.entries(pages).map(([name, html]) =>
    auditPage(openPageNow({ name, url: `file:///site/${name}`, html, root: 'file:///site/' }, {}), {
      at: [1000],
      only: ['zoom-locked'],
    }),
  );
  const { findings, crashed } = compareAcross(results, { only: [check] });
  expect(crashed).toEqual([]);
  return findings;
}

const said = (findings: readonly Finding[]) =>
  findings.map(
    ({ message, places }) => `${message}: ${places.map(({ at }) => at!.file).join(' ')}: ${places[0]!.label}`,
  );

/** Holds a check across pages to sites: the faulty ones give just these findings, their mended twins and near misses none. */
export function describeSiteCheck(id: string, faulty: readonly FaultySite[], sound: readonly SoundSite[]): void {
  const spoken = new Set<string>();
  describe(id, () => {
    test.each(faulty.map((one) => [one.name, one] as const))('fault: %s', (_name, { pages, mended, finds }) => {
      const findings = across(id, pages);
      for (const finding of findings) {
        spoken.add(finding.message);
        expect(`${finding.says} ${finding.mends}`).not.toMatch(/\{\w+\}|undefined/);
      }
      expect(said(findings)).toEqual(finds);
      expect(said(across(id, mended))).toEqual([]);
    });

    test.each(sound.map((one) => [one.name, one.pages] as const))('silent: %s', (_name, pages) => {
      expect(said(across(id, pages))).toEqual([]);
    });

    test('every message is met', () => {
      const { messages } = CHECKS.find((check) => check.meta.id === id)!.meta;
      expect([...spoken].sort()).toEqual(Object.keys(messages).sort());
    });
  });
}
