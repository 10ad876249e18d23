import { readFileSync } from 'node:fs';
import { auditPage, recheck } from '../../src/core/index.js';
import { loadFile } from '../../src/sources/index.js';

const PAGES = ['index', 'timetable', 'contact'];
const pageOf = (edition: string, name: string) => loadFile(`demo/${edition}/${name}.html`);

test.each(PAGES)(
  'all that an audit of %s told still shows while nothing changes, and nothing of it once mended',
  async (name) => {
    const { findings } = auditPage(await pageOf('launched', name));
    expect(findings.length).toBeGreaterThan(5);
    const same = recheck(await pageOf('launched', name), findings);
    expect(same).toEqual({ cleared: [], still: findings });
    expect(recheck(await pageOf('mended', name), findings)).toEqual({ cleared: findings, still: [] });
  },
);

test('what became of one of them is told by itself', async () => {
  const { pageFrom } = await import('../support/page.js');
  const html = readFileSync('demo/launched/index.html', 'utf8').replace(/<link[^>]*>/g, '');
  const page = (css: string) =>
    pageFrom(html.replace('</head>', `<style>nav a{color:#999;font-size:9px}${css}</style></head>`));
  const only = ['text-contrast', 'small-text'];
  const { findings } = auditPage(page(''), { only });
  const { cleared, still } = recheck(page('nav a{color:#111}'), findings, { only });
  expect(new Set(cleared.map(({ check }) => check))).toEqual(new Set(['text-contrast']));
  expect(still.map(({ check }) => check)).toContain('small-text');
  expect(cleared.length + still.length).toBe(findings.length);
  let left = 2;
  const some = recheck(page('nav a{color:#111}'), findings, { only }, () => left-- > 0);
  expect(some.cleared.length + some.still.length).toBe(2);
});
