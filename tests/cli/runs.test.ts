import { readFileSync } from 'node:fs';
import { spawnSync } from 'node:child_process';
import { join, resolve } from 'node:path';
import { pathToFileURL } from 'node:url';
import { auditModel } from '../../src/formats/schema.js';
import { BIN, Site } from '../support/command.js';

const NAV = (items: string) => `<nav aria-label="Main"><ul>${items}</ul></nav>`;
const ITEMS =
  '<li><a href="/index.html">Home</a></li><li><a href="/fares.html">Fares</a></li><li><a href="/crew/">Crew</a></li>';
const page = (css: string, items = ITEMS) =>
  `<!doctype html><html lang="en"><head><title>Pier</title><meta name="viewport" content="width=device-width"><link rel="stylesheet" href="/site.css"><style>${css}</style></head><body>${NAV(items)}<main></main></body></html>`;

const site = new Site({
  'dist/site.css': 'nav a{display:inline-block;padding:8px;color:#aaa}',
  'dist/index.html': page(''),
  'dist/fares.html': page('', ITEMS.replace('Fares', 'Prices')),
  'dist/crew/index.html': page(''),
  'dist/islands.html': page(''),
  'dist/broken/lost.html': page('', `${ITEMS}<li><a href="/gone.html">Gone</a></li>`),
  'after/site.css': 'nav a{display:inline-block;padding:8px;color:#111}nav li:first-child{font-size:9px}',
  'after/index.html': page(''),
  'mended.css': 'nav a { color: #111 }',
  'worse.css': 'nav a { font-size: 9px; color: #111 }',
  'rope-ladder.json': JSON.stringify({ from: 400, to: 420 }),
});
afterAll(() => site.remove());

const model = (out: string) => auditModel.parse(JSON.parse(out));

describe('folders and globs', () => {
  test('every page below a folder, which is the site root then', () => {
    const { pages, across } = model(site.run(['audit', 'dist', '--json']).out);
    expect(pages.map((one) => one.page)).toEqual([
      'dist/index.html',
      'dist/fares.html',
      'dist/islands.html',
      'dist/broken/lost.html',
      'dist/crew/index.html',
    ]);
    expect(pages.every(({ limits }) => limits.length === 0)).toBe(true);
    const checks = new Set(pages.flatMap(({ findings }) => findings.map(({ check }) => check)));
    expect([...checks].sort()).toEqual(['broken-page', 'text-contrast']);
    expect(across.findings.map(({ check, says }) => `${check}: ${says}`)).toEqual([
      'name-differs: The item of “Main” that leads to /fares.html is called “Prices” on dist/fares.html and “Fares” on dist/index.html, dist/islands.html, dist/broken/lost.html and dist/crew/index.html.',
    ]);
  });

  test('what pages share is told once', () => {
    const { out } = site.run(['audit', 'dist']);
    expect(out.match(/text-contrast {2}/g)).toHaveLength(1);
    expect(out).toMatch(/on {5}dist\/index\.html, dist\/fares\.html/);
    expect(out).toMatch(/dist\/crew\/index\.html {2}1 hinders\n/);
    expect(out.trimEnd().split('\n').at(-1)).toMatch(/^All pages {2}5 pages: 5 with findings, 0 without\. 3 findings/);
  });

  test('several threads find what one finds', () => {
    const one = site.run(['audit', 'dist', '--json', '--jobs', '1']);
    const two = site.run(['audit', 'dist', '--json', '--jobs', '2']);
    expect(two.out).toBe(one.out);
    expect(two.code).toBe(1);
  });

  test.each<[string, readonly string[], readonly string[]]>([
    ['a glob', ['dist/*.html', '--skip-pages', 'dist/is*'], ['dist/index.html', 'dist/fares.html']],
    [
      'a folder to leave out',
      ['dist', '--skip-pages', 'dist/broken', 'dist/crew/**'],
      ['dist/index.html', 'dist/fares.html', 'dist/islands.html'],
    ],
    ['a part of them', ['dist', '--shard', '2/2'], ['dist/fares.html', 'dist/broken/lost.html']],
    ['a page named twice', ['dist/index.html', 'dist/index.html'], ['dist/index.html']],
  ])('%s', (_name, words, expected) => {
    const [skip, ...more] = words.slice(words.indexOf('--skip-pages') + 1);
    const asked = words.includes('--skip-pages')
      ? [
          ...words.slice(0, words.indexOf('--skip-pages')),
          ...[skip!, ...more].flatMap((glob) => ['--skip-pages', glob]),
        ]
      : words;
    expect(
      model(site.run(['audit', ...asked, '--json', '--only', 'no-menu']).out).pages.map((one) => one.page),
    ).toEqual(expected);
  });

  test.each<[readonly string[], RegExp]>([
    [['dist', '--skip-pages', 'dist'], /all 5 pages of dist are left out/i],
    [['nothing/*.html'], /no page is found at nothing/i],
    [['dist', '--shard', '3/2'], /--shard takes a part/],
    [['dist', '--jobs', '0'], /--jobs takes a number/],
    [['dist/index.html', '--write', '-'], /--write - does not say which format/],
    [['dist/index.html', '--as', 'csv'], /--as is for standard output/],
    [['dist/index.html', '--write', '-', '--as', 'csv', '--json'], /standard output takes one format/i],
    [['dist/index.html', '--write', 'a.csv', '--write', 'a.csv'], /a\.csv is to be written twice/],
    [['dist/index.html', '--patch', 'try.txt'], /--patch takes style sheets/],
    [['dist/index.html', '--patch', 'none.css'], /none\.css cannot be read/],
    [['dist/index.html', '--patch', 'mended.css', '--accept-all', 'x'], /--patch and --accept-all do not go together/],
    [['dist/index.html', '--watch', '--json'], /--watch and --json do not go together/],
    [['dist/index.html', '--watch', '--patch', 'mended.css'], /--watch and --patch do not go together/],
  ])('%j is refused', (words, message) => {
    const { code, err, out } = site.run(['audit', ...words]);
    expect([2, 3]).toContain(code);
    expect(err).toMatch(message);
    expect(out).toBe('');
  });

  test('where to begin is the file with most to mend, and what it names stands there', () => {
    const { out } = site.run(['audit', 'dist']);
    const told = out.replace(/\s+/g, ' ');
    expect(told).toMatch(
      /Matters most: 1 text-contrast, .* Begin in: dist\/site\.css, where 1 finding \(1\) can be mended\. 1: Make the text/,
    );
  });

  test('another format on standard output, and nothing else there', () => {
    const { out } = site.run(['audit', 'dist/index.html', '--write', '-', '--as', 'csv']);
    expect(out).toMatch(/^page,weight,check/);
    expect(out).not.toContain('Ladder');
  });

  test('a log says what was done', () => {
    site.run(['audit', 'dist/index.html', '--log', 'run.log']);
    const lines = readFileSync(join(site.folder, 'run.log'), 'utf8').trim().split('\n');
    const messages = lines.map((line) => (JSON.parse(line) as { msg: string }).msg);
    expect(messages[0]).toBe('asked for');
    expect(messages).toEqual(expect.arrayContaining(['check', 'audited']));
  });
});

describe('compare', () => {
  const words = (told: string) => told.replace(/\s+/g, ' ');

  test('two pages: what is cleared and what is new', () => {
    const { code, out } = site.run(['compare', 'dist/index.html', 'after/index.html', '--at', '400']);
    expect(words(out)).toMatch(/New: 1 .*small-text.* Cleared: 1 hinders text-contrast/);
    expect(out.trimEnd().split('\n').at(-1)).toBe('1 cleared, 1 new, 0 still there.');
    expect(code).toBe(1);
    expect(
      site.run(['compare', 'dist/index.html', 'after/index.html', '--at', '400', '--fail-on', 'hinders']).code,
    ).toBe(0);
  });

  test('a result kept in a file, and the folder now', () => {
    site.run(['audit', 'dist', '--write', 'kept.json']);
    const same = site.run(['compare', 'kept.json', 'dist', '--from', '400', '--to', '420', '--json']);
    expect(same.code).toBe(0);
    const told = JSON.parse(same.out) as { model: string; pages: { cleared: []; fresh: []; still: [] }[] };
    expect(told.model).toBe('rope-ladder-compare');
    expect(told.pages.map(({ cleared, fresh, still }) => [cleared.length, fresh.length, still.length])).toEqual([
      [0, 0, 1],
      [0, 0, 1],
      [0, 0, 1],
      [0, 0, 2],
      [0, 0, 1],
    ]);
  });

  test('is written as a page with both drawings, and for a pull request', () => {
    const { err } = site.run([
      'compare',
      'dist/index.html',
      'after/index.html',
      '--at',
      '400',
      '--write',
      'c.html',
      '--write',
      'c.md',
    ]);
    expect(err).toContain('Written: c.html');
    const html = readFileSync(join(site.folder, 'c.html'), 'utf8');
    expect(html.match(/<figure>/g)).toHaveLength(2);
    expect(html).not.toContain('<script');
    expect(readFileSync(join(site.folder, 'c.md'), 'utf8')).toMatch(/### New\n\n- \*\*small-text\*\*/);
  });

  test('an output that fails keeps the others', () => {
    const words = [
      'compare',
      'dist/index.html',
      'after/index.html',
      '--at',
      '400',
      '--write',
      'locked.md',
      '--write',
      'free.md',
    ];
    const loader = pathToFileURL(resolve('tests/support/full-disk.mjs')).href;
    const { status, stdout, stderr } = spawnSync(process.execPath, ['--import', loader, BIN, ...words], {
      cwd: site.folder,
      encoding: 'utf8',
      env: { ...process.env, FULL_FOR: 'locked.md' },
    });
    expect(status).toBe(2);
    expect(stdout).toContain('1 cleared, 1 new');
    expect(stderr).toMatch(/locked\.md was not written: the disk is full[^]*Written: free\.md/);
  });

  test.each<[string, string, number, RegExp]>([
    ['site.json', '{"model":"other"}', 2, /site\.json is no result of an audit/],
    ['site.json', '{"model":"rope-ladder-audit","version":1,"pages":[]}', 2, /another version \(model 1, here \d\)/],
    ['site.json', '{"model":"rope-ladder-audit","version":3,"pages":[{}],"across":{}}', 2, /is damaged at/],
    ['site.json', 'nonsense', 2, /is not JSON/],
    ['none.json', '', 3, /none\.json cannot be read \(ENOENT\)/],
  ])('%s holding %s', (name, text, code, message) => {
    if (text !== '') site.put(name, text);
    const ran = site.run(['compare', name, 'dist/index.html', '--at', '400']);
    expect(ran.code).toBe(code);
    expect(ran.err).toMatch(message);
  });

  test('--patch tries a sheet before it is written into the site', () => {
    const mended = site.run(['audit', 'dist/index.html', '--patch', 'mended.css']);
    expect(mended.out.trimEnd().split('\n').at(-1)).toBe('1 cleared, 0 new, 0 still there.');
    expect(mended.code).toBe(0);
    const worse = site.run(['audit', 'dist/index.html', '--patch', 'worse.css', '--fail-on', 'polish']);
    expect(words(worse.out)).toMatch(/New: 1 .*small-text.*worse\.css:1:\d+ nav a \{ font-size: 9px \}/);
    expect(worse.code).toBe(1);
  });
});

describe('links', () => {
  test('where the menus lead and who gets there', () => {
    const { out, code } = site.run(['links', 'dist/broken/lost.html', '--root', 'dist']);
    expect(code).toBe(0);
    expect(out).toMatch(/Fares {2}\/fares\.html +shown +yes +there\n/);
    expect(out).toMatch(/Gone {2}\/gone\.html +shown +yes +NO SUCH PAGE\n/);
    expect(out.trimEnd().split('\n').at(-1)).toBe('broken/lost.html: 4 destinations; 1 (Gone) without a page or part.');
  });

  test('who is left out', () => {
    site.put(
      'shut.html',
      page('nav .s{display:none}nav li:hover .s{display:block}@media (max-width:600px){nav{display:none}}').replace(
        '</ul></nav>',
        '<li><a href="#">Islands</a><ul class="s"><li><a href="/sula.html" rel="nofollow">Sula</a></li></ul></li></ul></nav>',
      ),
    );
    const { links, bands, without } = (
      JSON.parse(site.run(['links', 'shut.html', '--json']).out) as {
        pages: {
          links: { names: string[]; crawler: boolean; bands: object[] }[];
          bands: object[];
          without: { name: string }[];
        }[];
      }
    ).pages[0]!;
    expect(bands).toEqual([
      { from: 320, to: 600 },
      { from: 601, to: 1920 },
    ]);
    const sula = links.find(({ names }) => names[0] === 'Sula')!;
    expect(sula.bands).toEqual([
      { from: 320, to: 600, form: 'none', keyboard: false, touch: false },
      { from: 601, to: 1920, form: 'opens', keyboard: false, touch: true },
    ]);
    expect(sula.crawler).toBe(false);
    expect(without).toEqual([]);
  });
});

test('every reading command gives its model and version', () => {
  const first = (words: readonly string[]) =>
    JSON.parse(site.run([...words, '--json']).out) as { model: string; version: number };
  for (const command of ['rungs', 'menus', 'walk'])
    expect(first([command, 'dist/index.html'])).toMatchObject({ model: `rope-ladder-${command}`, version: 1 });
  expect(first(['why', 'dist/index.html', 'nav a', 'color'])).toMatchObject({ model: 'rope-ladder-why', version: 1 });
});
