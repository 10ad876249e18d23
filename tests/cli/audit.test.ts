import { CHECKS } from '../../src/core/index.js';
import { spawnSync } from 'node:child_process';
import { existsSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { pathToFileURL } from 'node:url';
import { auditModel, type AuditModel } from '../../src/formats/schema.js';
import { BIN, Site } from '../support/command.js';

const MENU =
  '<nav aria-label="Main"><ul><li><a href="a.html">Home</a></li><li><a href="b.html">Fares</a></li></ul></nav>';
const page = (css: string, body = MENU) =>
  `<!doctype html><html lang="en"><head><title>Pier</title><meta name="viewport" content="width=device-width"><link rel="stylesheet" href="site.css"><style>${css}</style></head><body>${body}<main></main></body></html>`;

const site = new Site({
  'clean.html': page('a{color:#111;display:inline-block;padding:8px}'),
  'pale.html': page('a{color:#aaa;display:inline-block;padding:8px}@media (max-width:600px){a{color:#111}}'),
  'menuless.html': page('', '<p>Nothing to steer by</p>'),
  'empty.html': '  \n ',
  'picture.html': new Uint8Array([0x89, 0x50, 0x4e, 0x47, 0, 0, 0, 1, 2, 3]),
  'lost.html': page('a{color:#111;display:inline-block;padding:8px}').replace('site.css', 'nowhere.css'),
  'broken.html': page('a{color:#111;display:inline-block;padding:8px} @media (((( { p { color'),
  'hostile.html': page('a{color:#aaa}', MENU.replace('Home', 'Ho\u001b[31mme\u0007')),
  'odd.html': page('a{color:#111;display:inline-block;padding:8px}', MENU.replace('Home', 'Ho\0me')).replace(
    'site.css',
    'data:text/css;base64,%%%',
  ),
  'scripted.html': page(
    'nav ul{display:none}.open ul{display:block}',
    `<button class="menu-toggle" aria-expanded="false">Menu</button>${MENU}<script>document.querySelector('button').onclick = () => { if (Math.random() > 0.5) document.body.className = 'open' }</script>`,
  ),
  'folder.json/keep.txt': 'a folder',
  'site.css': 'body { margin: 0; font: 16px/24px Arial }',
  'sub/deep.html': page('a{color:#111;display:inline-block;padding:8px}').replace('site.css', '/site.css'),
});

afterAll(() => site.remove());

describe('what is printed', () => {
  const { code, out, err } = site.run(['audit', 'pale.html']);

  test('menus, ladder, findings and a summary', () => {
    expect(out).toContain('menu-1 Main: 2 items');
    expect(out).toMatch(/px\s+320\s+601\s+1920\n/);
    expect(out).toMatch(/menu-1 Main\s+column─+\n/);
    expect(out).toMatch(/1 text-contrast\s+▄+\n/);
    expect(out).toMatch(/Matters most: 1 text-contrast, 601–1920 px: “Home” is #aaaaaa/);
    expect(out).toContain('Begin with: Make the text');
    expect(out).toMatch(/hinders\s+text-contrast\s+601–1920 px\s+WCAG 1\.4\.3 AA/);
    expect(out).toContain('“Home” is #aaaaaa on #ffffff');
    expect(out).toContain('and    1 more of the same cause: “Fares”');
    expect(out).toMatch(/by {5}pale\.html:1:\d+\s+a \{ color: #aaa \}/);
    expect(out).toContain('1 finding: 1 hinders.');
    expect(out).toContain(`${CHECKS.filter(({ meta }) => meta.scope !== 'site').length} checks, 1 menu, 2 rungs.`);
  });

  test('no colour in a pipe, nothing on standard error, exit code 1', () => {
    expect(out).not.toContain('\u001b');
    expect(err).toBe('');
    expect(code).toBe(1);
  });

  test('lines keep to the width of the terminal', () => {
    const narrow = site.run(['audit', 'pale.html'], { env: { COLUMNS: '60' } });
    const tooLong = narrow.out.split('\n').filter((line) => line.length > 62);
    expect(tooLong).toEqual([]);
  });

  test('colour where it is asked for, never against NO_COLOR', () => {
    expect(site.run(['audit', 'pale.html', '--color']).out).toContain('\u001b[');
    expect(site.run(['audit', 'pale.html'], { env: { FORCE_COLOR: '1' } }).out).toContain('\u001b[');
    expect(site.run(['audit', 'pale.html'], { env: { FORCE_COLOR: '1', NO_COLOR: '1' } }).out).not.toContain('\u001b[');
    expect(site.run(['audit', 'pale.html', '--no-color'], { env: { FORCE_COLOR: '1' } }).out).not.toContain('\u001b[');
  });

  test('control codes of a page never reach the terminal', () => {
    expect(site.run(['audit', 'hostile.html']).out).not.toMatch(/[\u0007\u001b]/);
  });

  test('a clean page', () => {
    const clean = site.run(['audit', 'clean.html']);
    expect(clean.code).toBe(0);
    expect(clean.out).toContain('No findings.');
  });

  test('a page without a menu says so', () => {
    const none = site.run(['audit', 'menuless.html']);
    expect(none.code).toBe(0);
    expect(none.out).toContain('No menu was found');
  });
});

describe('exit codes and --fail-on', () => {
  test.each<[string[], number]>([
    [['audit', 'clean.html'], 0],
    [['audit', 'pale.html'], 1],
    [['audit', 'pale.html', '--fail-on', 'blocks'], 0],
    [['audit', 'pale.html', '--fail-on', 'polish'], 1],
    [['audit', 'pale.html', '--fail-on', 'never'], 0],
    [['audit', 'pale.html', '--at', '500'], 0],
    [['audit', 'pale.html', '--skip', 'text-contrast'], 0],
    [['audit', 'pale.html', '--only', 'small-target,uncrawlable-link'], 0],
    [['audit', 'pale.html', '--to', '600'], 0],
    [['audit', 'clean.html', 'pale.html'], 1],
    [['audit', 'clean.html', 'gone.html'], 3],
    [['--help'], 0],
    [['audit', '--help'], 0],
    [['--version'], 0],
  ])('%j ends with %d', (words, expected) => {
    expect(site.run(words).code).toBe(expected);
  });
});

describe('wrong use', () => {
  test.each<[string[], RegExp]>([
    [[], /Name a command/],
    [['aduit', 'clean.html'], /There is no command “aduit”\. Did you mean audit\?/],
    [['audit', 'clean.html', '--onyl', 'text-contrast'], /There is no option --onyl\. Did you mean --only\?/],
    [['audit', 'clean.html', '--checks', 'text-contrast'], /There is no option --checks\. See --help/],
    [['audit', 'clean.html', '--at'], /--at names no width.*--at 375/s],
    [['audit', 'clean.html', '--at', ''], /--at takes whole px.*not “”/s],
    [['audit', 'clean.html', '--only', ','], /--only names no check/],
    [['audit', 'clean.html', '--only', 'text-contrst'], /no check “text-contrst”.*Did you mean text-contrast\?/s],
    [['audit', 'clean.html', '--write', 'sub'], /no format is known for “sub”/i],
    [['audit', 'clean.html', '--write', 'folder.json'], /folder\.json is a folder.*folder\.json\/audit\.json/s],
    [['audit'], /No page is named.*rope-ladder\.json/is],
    [['audit', 'clean.html', '--nonsense'], /There is no option --nonsense\. See --help/],
    [['audit', 'clean.html', '--at', 'wide'], /--at takes whole px.*not “wide”.*For example/s],
    [['audit', 'clean.html', '--at', '0'], /--at takes whole px/],
    [['audit', 'clean.html', '--from', '900', '--to', '400'], /--from 900 is wider than --to 400/],
    [['audit', 'clean.html', '--only', 'contrast'], /there is no check “contrast”.*(text|control)-contrast/is],
    [['audit', 'clean.html', '--level', 'B'], /Invalid values/],
    [['audit', 'clean.html', '--write', 'out.docx'], /no format is known for “out.docx”.*\.json/is],
    [['audit', 'clean.html', '--write', 'no/such/folder/out.json'], /folder .* does not exist/],
    [['checks', 'nonsense'], /there is no check “nonsense”/i],
  ])('%j', (words, message) => {
    const { code, err, out } = site.run(words);
    expect(code).toBe(2);
    expect(err).toMatch(message);
    expect(err).not.toMatch(/\n\s+at /);
    expect(out).toBe('');
  });
});

describe('pages that cannot be read', () => {
  test.each<[string, RegExp]>([
    ['gone.html', /gone\.html does not exist.*Check the path/s],
    ['empty.html', /empty\.html is empty/],
    ['picture.html', /picture\.html is not a text file/],
    ['folder.json', /no page is found at folder\.json.*\.html/is],
    ['sub/*.htm', /no page is found at sub\/\*\.htm/is],
  ])('%s', (name, message) => {
    const { code, err } = site.run(['audit', name]);
    expect(code).toBe(3);
    expect(err).toMatch(message);
    expect(err).not.toMatch(/\n\s+at /);
  });

  test('a missing page names those beside it', () => {
    expect(site.run(['audit', 'clena.html']).err).toContain('Beside it there is clean.html');
  });

  test('standard input without end is given up', () => {
    const { code, err } = site.run(['audit', '-'], { input: '<p>x'.repeat(9_000_000) });
    expect(code).toBe(3);
    expect(err).toMatch(/standard input is larger than 32 MB or does not end/i);
  });

  test('null characters and malformed addresses are no obstacle', () => {
    const { code, out } = site.run(['audit', 'odd.html', '--json']);
    expect(code).toBe(0);
    const [page] = (JSON.parse(out) as AuditModel).pages;
    expect(page!.limits.map((l) => l.subject)).toEqual(
      expect.arrayContaining(['null characters in the page', 'sheet data:text/css;base64,%%%']),
    );
  });

  test('several pages end with one summary over all', () => {
    const { out } = site.run(['audit', 'pale.html', 'clean.html', 'gone.html']);
    expect(out.trimEnd().split('\n').at(-1)).toBe(
      'All pages  3 pages: 1 with findings, 1 without, 1 could not be audited. 1 finding: 1 hinders.',
    );
    expect(site.run(['audit', 'clean.html']).out).not.toContain('All pages');
  });

  test('the others are audited all the same', () => {
    const { out, code } = site.run(['audit', 'gone.html', 'clean.html']);
    expect(code).toBe(3);
    expect(out).toContain('clean.html');
  });

  test('a missing sheet is said, the rest is audited', () => {
    const { out, code } = site.run(['audit', 'lost.html']);
    expect(code).toBe(0);
    expect(out).toContain('Not taken into account');
    expect(out).toContain('sheet nowhere.css: it could not be read');
  });

  test('a broken sheet is mended as browsers do', () => {
    expect(site.run(['audit', 'broken.html']).code).toBe(0);
  });

  test('a folder as site root answers absolute addresses', () => {
    expect(site.run(['audit', 'sub/deep.html']).out).not.toContain('Not taken into account');
    const inside = site.run(['audit', 'deep.html', '--root', '.'], {});
    expect(inside.code).toBe(3);
  });
});

describe('--json and --write', () => {
  test('the model keeps to its schema', () => {
    const { out, code } = site.run(['audit', 'pale.html', 'lost.html', '--json']);
    expect(code).toBe(1);
    const model = auditModel.parse(JSON.parse(out));
    expect(model.pages.map((p) => p.page)).toEqual(['pale.html', 'lost.html']);
    expect(model.pages[0]!.findings).toHaveLength(1);
    expect(model.pages[1]!.limits).toMatchObject([{ kind: 'missing' }]);
  });

  test('what of a script could not be followed is in the model and in the view', () => {
    const model = auditModel.parse(JSON.parse(site.run(['audit', 'scripted.html', '--json']).out));
    expect(model.pages[0]!.limits.map(({ kind }) => kind)).toContain('unread');
    expect(site.run(['audit', 'scripted.html']).out).toMatch(/\d parts? to look at/);
  });

  test('files are written whole, next to the printed view', () => {
    const { out, err } = site.run(['audit', 'pale.html', '--write', 'result.json']);
    expect(out).toContain('menu-1');
    expect(err).toContain('Written: result.json');
    expect(auditModel.parse(JSON.parse(readFileSync(join(site.folder, 'result.json'), 'utf8'))).pages).toHaveLength(1);
    expect(readdirSync(site.folder).filter((name) => name.startsWith('result.json'))).toEqual(['result.json']);
  });

  test('a reader that leaves early is no error', () => {
    const { status, stderr } = spawnSync(
      'sh',
      ['-c', `"${process.execPath}" "${BIN}" audit pale.html --json | head -c 9`],
      {
        cwd: site.folder,
        encoding: 'utf8',
      },
    );
    expect(status).toBe(0);
    expect(stderr).toBe('');
  });

  test('an output that fails is told, keeps the view and the other outputs, and leaves the old file', () => {
    const old = join(site.folder, 'locked.json');
    writeFileSync(old, 'old');
    const blocked = spawnSync(
      process.execPath,
      [
        '--import',
        pathToFileURL(resolve('tests/support/full-disk.mjs')).href,
        BIN,
        'audit',
        'pale.html',
        '--write',
        'locked.json',
        '--write',
        'free.json',
      ],
      {
        cwd: site.folder,
        encoding: 'utf8',
        env: { ...process.env, FULL_FOR: 'locked.json' },
      },
    );
    expect(blocked.status).toBe(2);
    expect(blocked.stdout).toContain('menu-1');
    expect(blocked.stderr).toMatch(/locked\.json was not written: the disk is full/);
    expect(blocked.stderr).toContain('Written: free.json');
    expect(readFileSync(old, 'utf8')).toBe('old');
    expect(readdirSync(site.folder).filter((name) => name.startsWith('locked.json'))).toEqual(['locked.json']);
  });

  test('nothing is written when the use is wrong', () => {
    site.run(['audit', 'pale.html', '--write', 'wrong.json', '--at', 'x']);
    expect(existsSync(join(site.folder, 'wrong.json'))).toBe(false);
  });

  test('the same run gives the same bytes', () => {
    expect(site.run(['audit', 'pale.html', '--json']).out).toBe(site.run(['audit', 'pale.html', '--json']).out);
  });

  test('standard input', () => {
    const { out, code } = site.run(['audit', '-', '--json'], { input: page('a{color:#aaa}') });
    expect(code).toBe(1);
    expect(JSON.parse(out).pages[0].page).toBe('standard input');
    expect(site.run(['audit', '-']).code).toBe(3);
  });
});

describe('help', () => {
  test('commands, examples, options', () => {
    const top = site.run(['--help']).out;
    for (const word of ['audit', 'measure', 'checks', '--version']) expect(top).toContain(word);
    const own = site.run(['audit', '--help']).out;
    for (const word of ['Examples', '--at', '--level', '--fail-on', '--write', '--only', 'standard input'])
      expect(own).toContain(word);
  });

  test('checks are listed and explained', () => {
    expect(site.run(['checks']).out).toContain('text-contrast  Menu text stands out from its ground');
    expect(site.run(['checks', 'small-target']).out).toContain('WCAG 2.5.8 (AA)');
    expect(JSON.parse(site.run(['checks', '--json']).out)).toHaveLength(CHECKS.length);
  });

  test('a completion script', () => {
    expect(site.run(['completion'], { env: { SHELL: '/bin/bash' } }).out).toContain('rope-ladder');
  });
});
