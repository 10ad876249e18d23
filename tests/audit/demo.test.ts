import { readdirSync, readFileSync } from 'node:fs';
import { auditPage, CHECKS, compareAcross, type AuditResult, type Page } from '../../src/core/index.js';
import { loadFile } from '../../src/sources/index.js';
import { findAll } from '../support/page.js';

interface Planted {
  readonly page: string;
  readonly check: string;
  readonly state?: string;
  readonly selector: string;
  /** Whether it shows only beside the other pages. */
  readonly across?: boolean;
  readonly widths?: readonly (readonly [number, number])[];
  readonly note: string;
}

const planted = (JSON.parse(readFileSync('demo/expected/launched.json', 'utf8')) as { faults: Planted[] }).faults;
const built = new Set(CHECKS.map((c) => c.meta.id));
const due = planted.filter((f) => built.has(f.check));

interface Audited {
  readonly page: Page;
  readonly result: AuditResult;
}
const known = new Map<string, Promise<Audited>>();

function audited(file: string): Promise<Audited> {
  let found = known.get(file);
  if (!found) known.set(file, (found = loadFile(file).then((page) => ({ page, result: auditPage(page) }))));
  return found;
}

const sitePages = (edition: string) => readdirSync(`demo/${edition}`).filter((name) => name.endsWith('.html'));

/** What the pages as launched show together. */
async function comparedPages() {
  const results: AuditResult[] = [];
  for (const name of sitePages('launched')) results.push((await audited(`demo/launched/${name}`)).result);
  return compareAcross(results);
}

describe('the demo site as launched', () => {
  test('every check has a fault planted for it', () => {
    const planted = new Set(due.map((f) => f.check));
    expect([...built].filter((id) => !planted.has(id)).sort()).toEqual([]);
  });

  test.each(due.map((f) => [`${f.check}: ${f.note}`, f] as const))('%s', async (_name, fault) => {
    const { page, result } = await audited(`demo/launched/${fault.page}`);
    const paths = fault.selector === '' ? null : new Set(findAll(page, fault.selector).map((e) => e.path));
    const findings = fault.across ? (await comparedPages()).findings : result.findings;
    const found = findings.filter(
      (f) =>
        f.check === fault.check &&
        (fault.state === undefined || (f.states as readonly string[]).includes(fault.state)) &&
        f.places.some((p) => (paths === null || paths.has(p.path)) && (!fault.across || p.at!.file === page.name)),
    );
    expect(found.length).toBeGreaterThan(0);
    expect(found[0]!.widths.map((w) => [w.from, w.to])).toEqual(fault.widths);
  });

  test.each(['index.html', 'booking.html', 'webcam.html', 'charter.html'])(
    'nothing else is found on %s',
    async (name) => {
      const { page, result } = await audited(`demo/launched/${name}`);
      // What is told of the first page holds wherever its parts are repeated.
      const own = due.filter((f) => name === 'index.html' || f.page === name);
      const isPlanted = (check: string, state: string, path: string) =>
        own.some(
          (f) =>
            f.check === check &&
            (f.state ?? state) === state &&
            (f.selector === '' || findAll(page, f.selector).some((e) => e.path === path)),
        );
      const unexpected = result.findings.flatMap((f) =>
        f.places
          .filter((p) => !f.states.some((state) => isPlanted(f.check, state, p.path)))
          .map((p) => `${f.check} ${f.states.join('+')} ${p.selector}`),
      );
      expect(unexpected).toEqual([]);
    },
  );
});

describe('the demo site as mended', () => {
  test.each(readdirSync('demo/mended').filter((name) => name.endsWith('.html')))('%s is clean', async (name) => {
    const { result } = await audited(`demo/mended/${name}`);
    expect(result.findings.map((f) => `${f.check} ${f.states.join('+')} ${f.places[0]!.selector} ${f.says}`)).toEqual(
      [],
    );
    // Three pages list their own parts as well, three stand alone.
    const standing = /booking/.test(name)
      ? 5
      : /charter|webcam/.test(name)
        ? 3
        : /contact|islands|timetable/.test(name)
          ? 5
          : 4;
    expect(result.menus).toHaveLength(standing);
    expect(result.crashed).toEqual([]);
  });

  test('its pages agree with each other', async () => {
    const results: AuditResult[] = [];
    for (const name of sitePages('mended')) results.push((await audited(`demo/mended/${name}`)).result);
    expect(compareAcross(results).findings.map(({ says }) => says)).toEqual([]);
  });

  test('at the strictest level something is left to do', async () => {
    const page = await loadFile('demo/mended/index.html');
    expect(auditPage(page, { level: 'AAA' }).findings.length).toBeGreaterThan(0);
  });
});
