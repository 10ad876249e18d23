import { existsSync, readFileSync } from 'node:fs';
import { Site } from '../support/command.js';

const site = new Site({
  'page.html':
    '<!doctype html><html><head><link rel=stylesheet href=site.css></head><body><nav aria-label="Main"><ul><li><a id=home href=a>Home</a></li><li><a href="javascript:void 0">Fares</a></li></ul></nav></body></html>',
  'site.css': 'nav a { color: #777; background: #888 }\n@media (max-width: 600px) { nav li { display: inline } }',
});
afterAll(() => site.remove());
const file = (name: string) => `${site.folder}/${name}`;

test('a contact sheet as SVG, by default beside us', () => {
  const { out, err, code } = site.run(['draw', 'page.html']);
  expect([code, err]).toEqual([0, '']);
  expect(out).toMatch(/^menus\.svg: 2 pictures of the menus of page\.html, 1280 × \d+ px\n$/);
  expect(readFileSync(file('menus.svg'), 'utf8')).toMatch(/^<\?xml[^]*<svg /);
});

test('one width and pose as PNG', () => {
  const words = ['draw', 'page.html', '--at', '375', '--pose', 'hover:#home', '--write', 'one.png', '--scale', '2'];
  const { out, code } = site.run(words);
  expect(code).toBe(0);
  expect(out).toMatch(/^one\.png: 1 picture/);
  expect(readFileSync(file('one.png')).readUInt32BE(16)).toBe(2 * (375 + 48));
});

test('findings are pinned and listed', () => {
  expect(
    site.run(['draw', 'page.html', '--at', '800', '--marks', 'findings,targets', '--write', 'found.svg']).code,
  ).toBe(0);
  const plain = site.run(['draw', 'page.html', '--at', '800', '--write', 'plain.svg']);
  expect(plain.code).toBe(0);
  expect(readFileSync(file('found.svg'), 'utf8')).toContain('#b01030');
  expect(readFileSync(file('plain.svg'), 'utf8')).not.toContain('#b01030');
});

test.each([
  ['300', '300 px down'],
  ['99999px', '600 px down'],
  ['#quay', '450 px down at #quay'],
])('scrolled to %s', (where, caption) => {
  site.put(
    'long.html',
    '<!doctype html><style>body{margin:0}nav{position:fixed;top:0}p{margin:0;height:450px}div{height:950px}</style><nav><a href=a>Home</a></nav><p>x</p><div id=quay></div>',
  );
  const { code } = site.run([
    'draw',
    'long.html',
    '--at',
    '400',
    '--scroll',
    where,
    '--pose',
    'closed',
    '--write',
    'down.svg',
  ]);
  expect(code).toBe(0);
  expect(readFileSync(file('down.svg'), 'utf8')).toContain(`drawn at 400 px, ${caption}`);
});

test('a page without a menu: the screen, and it is said', () => {
  site.put('bare.html', '<!doctype html><p>Tides</p>');
  const { code, err } = site.run(['draw', 'bare.html', '--write', 'bare.svg']);
  expect(code).toBe(0);
  expect(err).toContain('no menu shows on bare.html: the whole screen is drawn');
});

test.each<[string[], number, RegExp]>([
  [['draw', 'page.html', '--write', 'menus.pdf'], 2, /no picture format is known for “menus\.pdf”.*\.svg or \.png/is],
  [['draw', 'page.html', '--marks', 'glitter'], 2, /“glitter” is nothing to lay over a picture.*targets, order/s],
  [['draw', 'page.html', '--scale', '9'], 2, /--scale 9 is out of range/],
  [['draw', 'page.html', '--from', '900', '--to', '400'], 2, /wider than/],
  [['draw', 'page.html', '--region', 'moon'], 2, /region/],
  [['draw', 'page.html', '--scroll', '#Home'], 2, /no part of page\.html is named “#Home”.*Among its names: #home/is],
  [['draw', 'page.html', '--scroll', 'home'], 2, /“home” is nowhere to scroll to.*#ID in quotes/s],
  [['draw', 'gone.html'], 3, /does not exist/],
  [['draw', 'page.html', '--write', 'nowhere/menus.svg'], 2, /folder nowhere does not exist/],
])('%j', (words, expected, message) => {
  const { code, err } = site.run(words);
  expect(code).toBe(expected);
  expect(err).toMatch(message);
  expect(existsSync(file('menus.pdf'))).toBe(false);
});

test('the page’s own pictures from disk, and nothing in them acts', () => {
  const logo =
    '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 20 20"><script>alert(1)</script><rect width="20" height="20" fill="#d52"/></svg>';
  site.put('logo.svg', logo);
  site.put(
    'pictured.html',
    readFileSync(file('page.html'), 'utf8').replace(
      '<nav',
      '<img src=logo.svg alt=Pier width=40 height=40><img src=gone.png alt=Gone width=80 height=40><nav',
    ),
  );
  site.run(['draw', 'pictured.html', '--at', '400', '--region', 'screen']);
  const svg = readFileSync(file('menus.svg'), 'utf8');
  expect(svg.match(/<image /g)).toHaveLength(1);
  expect(svg).toContain(`href="data:image/svg+xml;base64,${Buffer.from(logo).toString('base64')}"`);
  expect(svg).not.toContain('<script');
  site.run(['draw', 'pictured.html', '--at', '400', '--region', 'screen', '--no-pictures']);
  expect(readFileSync(file('menus.svg'), 'utf8')).not.toContain('<image');
});
