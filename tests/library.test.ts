import { spawnSync } from 'node:child_process';
import { resolve } from 'node:path';
import { pathToFileURL } from 'node:url';
import { Site } from './support/command.js';
import type * as Library from '../src/index.js';

/** The library as it is published. */
const library = (await import(pathToFileURL(resolve('dist/index.js')).href)) as typeof Library;
const { ArgumentError, audit, draw, measure, menus, openFile, openPageNow, openText, rungs, SourceError, why } =
  library;

const HTML =
  '<!doctype html><meta name=viewport content="width=device-width"><link rel=stylesheet href=site.css><nav aria-label=Main><ul><li><a href=a.html>Home</a></li><li><a href=b.html>Fares</a></li></ul></nav><main></main>';
const CSS =
  'a{color:#999;display:block;line-height:24px}a:hover{color:#000}@media (max-width:600px){nav{display:none}}';
const site = new Site({ 'index.html': HTML, 'site.css': CSS });
const page = await openFile(`${site.folder}/index.html`, { root: site.folder });
afterAll(() => site.remove());

describe('the library', () => {
  test('audits a page', () => {
    const result = audit(page, { only: ['text-contrast'] });
    expect(result.findings.map((f) => [f.check, f.widths])).toEqual([['text-contrast', [{ from: 601, to: 1920 }]]]);
    expect(Object.isFrozen(result.findings[0]!.places[0])).toBe(true);
  });

  test('measures, lists menus and rungs, explains and draws', async () => {
    expect(Object.keys(measure(page, [375, 1000]).widths)).toEqual(['375', '1000']);
    expect(menus(page).map((m) => [m.label, m.items.map((i) => i.label)])).toEqual([['Main', ['Home', 'Fares']]]);
    expect(rungs(page).rungs.map((r) => [r.from, r.to])).toEqual([
      [320, 600],
      [601, 1920],
    ]);
    const hovered = why(page, 'a', 'color', { at: [1000], moves: [{ by: 'hover', on: 'a' }] });
    expect(hovered.bands[0]!.value).toBe('rgb(0, 0, 0)');
    expect((await draw(page, { at: [1000] })).svg.includes('<svg')).toBe(true);
  });

  test('takes pages from text and from whoever can read', async () => {
    const text = await openText(HTML, { root: site.folder });
    expect(audit(text, { at: [1000] }).findings).toHaveLength(1);
    const told = openPageNow(
      { name: 'p', url: 'https://ferries.example/', html: HTML },
      { sheet: (url) => (url.endsWith('/site.css') ? { name: 'site.css', text: CSS } : null) },
    );
    expect(audit(told, { at: [1000] }).findings).toHaveLength(1);
  });

  test.each<[string, () => unknown, RegExp, RegExp]>([
    [
      'an unknown check',
      () => audit(page, { only: ['text-contrst'] }),
      /no check “text-contrst”/,
      /Did you mean text-contrast/,
    ],
    [
      'an option that is none',
      () => audit(page, { onyl: [] } as object),
      /audit has no option “onyl”/,
      /Did you mean only/,
    ],
    ['text for a list', () => audit(page, { only: 'text-contrast' as never }), /option only: .*array.*string/, /skip/],
    [
      'a width in words',
      () => rungs(page, { at: [375, 'wide' as never] }),
      /option at\[1\]: .*number.*string/,
      /height/,
    ],
    [
      'a move there is none of',
      () => why(page, 'a', 'color', { moves: [{ by: 'stare' as never, on: 'a' }] }),
      /option moves\[0\]\.by: .*"hover"/,
      /moves/,
    ],
    ['no options at all', () => audit(page, 'AAA' as never), /cannot take its options: .*object/, /level/],
    ['no widths', () => audit(page, { at: [] }), /at names no width/, /375/],
    ['widths the wrong way round', () => audit(page, { from: 900, to: 400 }), /from 900 is wider than to 400/, /Swap/],
    ['no width to measure', () => measure(page, []), /names no width/, /375/],
    ['half a px', () => measure(page, [375.5]), /whole px/, /375/],
    ['an unknown property', () => why(page, 'a', 'colour'), /no property “colour”/, /spelling/],
    ['a shorthand', () => why(page, 'a', 'margin'), /stands for several/, /margin-top/],
    ['a selector nothing matches', () => why(page, '#none', 'color'), /nothing on .* matches “#none”/, /selector/],
  ])('%s is a clear error', (_name, ask, message, remedy) => {
    let thrown: InstanceType<typeof ArgumentError> | null = null;
    try {
      ask();
    } catch (error) {
      thrown = error as InstanceType<typeof ArgumentError>;
    }
    expect(thrown).toBeInstanceOf(ArgumentError);
    expect(thrown!.message).toMatch(message);
    expect(thrown!.remedy).toMatch(remedy);
  });

  test('a page that is not there', async () => {
    await expect(openFile(`${site.folder}/indx.html`)).rejects.toBeInstanceOf(SourceError);
    await expect(openFile(`${site.folder}/indx.html`)).rejects.toMatchObject({
      remedy: expect.stringContaining('index.html'),
    });
  });
});

test('the example runs', () => {
  const { status, stdout } = spawnSync(process.execPath, ['examples/worst-of-a-site.mjs', 'demo/launched'], {
    encoding: 'utf8',
  });
  expect(status).toBe(0);
  expect(stdout).toMatch(/demo\/launched\/index\.html: no-focus-mark\. Focus on “Contact” changes nothing/);
});
