import { Site } from '../support/command.js';

const site = new Site({
  'page.html':
    '<!doctype html><html><head><link rel=stylesheet href=site.css></head><body><nav aria-label="Main"><ul><li><a id=home href=a>Home</a></li><li><a href=b>Fares</a></li></ul></nav></body></html>',
  'site.css':
    ':root { --ink: #123 }\nnav a { color: var(--ink) }\na { color: red }\nnav a:hover { color: blue }\n@media (max-width: 600px) { nav ul { display: flex } }\n@media (min-width: 601px) { nav { padding: 9px } }',
});
afterAll(() => site.remove());

describe('why', () => {
  const { out, code, err } = site.run(['why', 'page.html', '#home', 'color']);

  test('the value, the winner, the losers and their reasons', () => {
    expect(code).toBe(0);
    expect(err).toBe('');
    expect(out).toMatch(/^color of #home {2}page\.html:1:\d+/);
    expect(out).toContain('320–1920 px  rgb(17, 34, 51)');
    expect(out).toMatch(/wins\s+nav a \{ color: var\(--ink\) \}\n\s+site\.css:2:9\s+specificity 0-0-2/);
    expect(out).toMatch(
      /loses\s+a \{ color: red \}\n\s+site\.css:3:5\s+specificity 0-0-1\s+the winning selector is more specific/,
    );
    expect(out).toMatch(/idle\s+nav a:hover \{ color: blue \}\n.*it waits for :hover/);
    expect(out).toMatch(/--ink is “#123”, set on html at site\.css:1:9/);
  });

  test('in a pose, at a width, as JSON', () => {
    const ran = site.run(['why', 'page.html', '#home', 'color', '--at', '375', '--pose', 'hover:#home', '--json']);
    const model = JSON.parse(ran.out) as { pose: string; bands: { from: number; to: number; value: string }[] };
    expect(model.pose).toBe('hover:#home');
    expect(model.bands).toMatchObject([{ from: 375, to: 375, value: 'rgb(0, 0, 255)' }]);
  });

  test('several matches: the first, and it is said', () => {
    const ran = site.run(['why', 'page.html', 'a', 'color', '--at', '800']);
    expect(ran.code).toBe(0);
    expect(ran.err).toContain('“a” matches 2 elements; the first is taken');
  });

  test.each<[string[], number, RegExp]>([
    [['why', 'page.html', '#gone', 'color'], 2, /nothing on page\.html matches “#gone”/i],
    [['why', 'page.html', '::::', 'color'], 2, /is not a selector/],
    [['why', 'page.html', '#home', 'colour'], 2, /no property is called “colour”/i],
    [['why', 'page.html', '#home', 'margin'], 2, /margin stands for margin-top, margin-right.*Ask for one/is],
    [['why', 'page.html', '#home', 'color', '--pose', 'wave:#home'], 2, /is no pose/],
    [['why', 'page.html', '#home'], 2, /Not enough/],
    [['why', 'gone.html', '#home', 'color'], 3, /does not exist/],
  ])('%j', (words, expected, message) => {
    const ran = site.run(words);
    expect(ran.code).toBe(expected);
    expect(ran.err).toMatch(message);
    expect(ran.out).toBe('');
  });
});

describe('rungs', () => {
  test('bands from wide to narrow, with forms and sources', () => {
    const { out, code } = site.run(['rungs', 'page.html']);
    expect(code).toBe(0);
    expect(out).toContain('page.html  2 rungs');
    expect(out.indexOf('601–1920 px')).toBeLessThan(out.indexOf('320–600 px'));
    expect(out).toContain('menu-1 Main: column');
    expect(out).toContain('menu-1 Main: row');
    expect(out).toMatch(/begins with \(min-width: 601px\) {2}site\.css:6:1/);
    expect(out).toMatch(/begins at the end of \(max-width: 600px\) {2}site\.css:5:1/);
  });

  test('seams', () => {
    expect(site.run(['rungs', 'page.html']).out).toMatch(
      /fraction {2}at fractional widths between 600 and 601 px.*for menu-1/s,
    );
  });

  test('as JSON, within other widths', () => {
    const model = JSON.parse(site.run(['rungs', 'page.html', '--from', '500', '--to', '700', '--json']).out) as {
      rungs: { from: number; to: number }[];
    };
    expect(model.rungs.map((r) => [r.from, r.to])).toEqual([
      [500, 600],
      [601, 700],
    ]);
  });

  test.each<[string[], number]>([
    [['rungs', 'page.html', '--from', '900', '--to', '400'], 2],
    [['rungs', 'gone.html'], 3],
    [['rungs'], 2],
  ])('%j ends with %d', (words, expected) => {
    expect(site.run(words).code).toBe(expected);
  });
});
