import { readdirSync, readFileSync } from 'node:fs';
import { auditPage, CHECKS, type AuditResult, type Page } from '../../src/core/index.js';
import { loadFile } from '../../src/sources/index.js';
import { findAll } from '../support/page.js';

interface Planted {
  readonly page: string;
  readonly check: string;
  readonly state?: string;
  readonly selector: string;
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

describe('the demo site as launched', () => {
  test('most built checks have faults planted for them', () => {
    const planted = new Set(due.map((f) => f.check));
    expect([...built].filter((id) => !planted.has(id)).sort()).toEqual([
      'breakpoint-seam',
      'dangling-reference',
      'double-menu',
      'focus-order',
      'heading-as-label',
      'label-not-in-name',
      'list-structure',
      'main-landmark',
      'menu-role-misuse',
      'missing-in-mobile',
      'needs-script',
      'no-menu',
      'no-skip-route',
      'open-at-load',
      'repeated-id',
      'script-only-links',
      'sideways-scroll',
      'tall-panel',
      'text-spacing-clip',
      'toggle-dead',
      'touch-dead',
      'unreachable-link',
      'weak-focus-mark',
      'wrapped-row',
      'zoomed-text-clip',
    ]);
  });

  test.each(due.map((f) => [`${f.check}: ${f.note}`, f] as const))('%s', async (_name, fault) => {
    const { page, result } = await audited(`demo/launched/${fault.page}`);
    const paths = new Set(findAll(page, fault.selector).map((e) => e.path));
    const found = result.findings.filter(
      (f) =>
        f.check === fault.check &&
        (fault.state === undefined || (f.states as readonly string[]).includes(fault.state)) &&
        f.places.some((p) => paths.has(p.path)),
    );
    expect(found.length).toBeGreaterThan(0);
    expect(found[0]!.widths.map((w) => [w.from, w.to])).toEqual(fault.widths);
  });

  test('nothing else is found on the first page', async () => {
    const { page, result } = await audited('demo/launched/index.html');
    const isPlanted = (check: string, state: string, path: string) =>
      due.some(
        (f) =>
          f.check === check && (f.state ?? state) === state && findAll(page, f.selector).some((e) => e.path === path),
      );
    const unexpected = result.findings.flatMap((f) =>
      f.places
        .filter((p) => !f.states.some((state) => isPlanted(f.check, state, p.path)))
        .map((p) => `${f.check} ${f.states.join('+')} ${p.selector}`),
    );
    expect(unexpected).toEqual([]);
  });
});

describe('the demo site as mended', () => {
  test.each(readdirSync('demo/mended').filter((name) => name.endsWith('.html')))('%s is clean', async (name) => {
    const { result } = await audited(`demo/mended/${name}`);
    expect(result.findings.map((f) => `${f.check} ${f.states.join('+')} ${f.places[0]!.selector} ${f.says}`)).toEqual(
      [],
    );
    // Three pages list their own parts as well.
    expect(result.menus).toHaveLength(/contact|islands|timetable/.test(name) ? 5 : 4);
    expect(result.crashed).toEqual([]);
  });

  test('at the strictest level something is left to do', async () => {
    const page = await loadFile('demo/mended/index.html');
    expect(auditPage(page, { level: 'AAA' }).findings.length).toBeGreaterThan(0);
  });
});
