import { readdirSync, readFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { Site } from '../support/command.js';

const site = new Site({
  'site/page.html':
    '<!doctype html><html><head><link rel=stylesheet href="/a.css"></head><body><noscript><i>off</i></noscript><nav><a href=x id=a>Home</a><a href=y>Fares</a></nav><p>text</p></body></html>',
  'site/other/page.html': '<!doctype html><p style="color:red">x</p>',
  'site/a.css':
    'body { margin: 0; font: 16px/20px Arial } nav { display: flex; gap: 10px } p { margin: 10px 0; transform: translateX(5px) }',
});
afterAll(() => site.remove());

interface Model {
  page: string;
  widths: Record<
    string,
    {
      elements: {
        path: string;
        tag: string;
        box: object | null;
        visible: boolean;
        style: Record<string, string>;
        topmost?: string | null;
        role: string;
        name: string;
      }[];
      tabOrder: string[];
      scrollWidth: number;
      scrollHeight: number;
    }
  >;
}

const measured = JSON.parse(
  site.run(['measure', 'site/page.html', '--root', 'site', '--at', '375', '--at', '1280', '--height', '600']).out,
) as Model;
const at = (width: string, path: RegExp) => measured.widths[width]!.elements.find((e) => path.test(e.path))!;

describe('measure', () => {
  test('every element of the page, at every width', () => {
    expect(measured.page).toBe('page.html');
    expect(Object.keys(measured.widths)).toEqual(['375', '1280']);
    expect(measured.widths['375']!.elements.map((e) => e.tag)).toEqual([
      'html',
      'head',
      'link',
      'body',
      'noscript',
      'i',
      'nav',
      'a',
      'a',
      'p',
    ]);
  });

  test('boxes, values, names', () => {
    expect(at('375', /nav:nth-child\(2\)$/)).toMatchObject({
      box: { x: 0, y: 20, width: 375, height: 20 },
      visible: true,
      role: 'navigation',
    });
    expect(at('375', /a:nth-child\(1\)$/)).toMatchObject({
      role: 'link',
      name: 'Home',
      topmost: 'html>body>nav:nth-child(2)>a:nth-child(1)',
    });
    expect(at('375', /head:nth-child\(1\)$/)).toMatchObject({ box: null, visible: false });
    expect(at('1280', /p:nth-child\(3\)$/).style).toMatchObject({
      'margin-top': '10px',
      width: '1280px',
      transform: 'matrix(1, 0, 0, 1, 5, 0)',
      color: 'rgb(0, 0, 0)',
    });
    expect(at('1280', /p:nth-child\(3\)$/).box).toMatchObject({ x: 5 });
  });

  test('keyboard order and the size of the page', () => {
    expect(measured.widths['375']!.tabOrder).toEqual([
      'html>body>nav:nth-child(2)>a:nth-child(1)',
      'html>body>nav:nth-child(2)>a:nth-child(2)',
    ]);
    expect(measured.widths['375']).toMatchObject({ scrollWidth: 380, scrollHeight: 600 });
  });

  test('one file a page', () => {
    const { code } = site.run([
      'measure',
      'site/page.html',
      'site/other/page.html',
      '--root',
      'site',
      '--out',
      'measured',
    ]);
    expect(code).toBe(0);
    const files = readdirSync(join(site.folder, 'measured')).sort();
    expect(files).toEqual(['other__page.json', 'page.json']);
    expect((JSON.parse(readFileSync(join(site.folder, 'measured', 'other__page.json'), 'utf8')) as Model).page).toBe(
      'other/page.html',
    );
  });

  test('several pages on standard output are a list', () => {
    const list = JSON.parse(
      site.run(['measure', 'site/page.html', 'site/other/page.html', '--root', 'site', '--at', '400']).out,
    ) as Model[];
    expect(list.map((m) => m.page)).toEqual(['page.html', 'other/page.html']);
  });

  test.each<[string[], number, RegExp]>([
    [['measure', 'gone.html'], 3, /does not exist/],
    [['measure', 'site/page.html', '--at', '-1'], 2, /--at takes whole px/],
    [['measure', 'site/page.html', '--root', 'site/other'], 3, /does not lie in the site root/],
    [['measure'], 2, /Not enough/],
  ])('%j', (words, code, message) => {
    const ran = site.run(words);
    expect(ran.code).toBe(code);
    expect(ran.err).toMatch(message);
  });
});

describe('fonts visitors have', () => {
  const font = resolve('node_modules/dejavu-fonts-ttf/ttf/DejaVuSerif.ttf');
  const widthOf = (...more: string[]) => {
    const { out, code } = site.run(['measure', 'lettered.html', ...more]);
    expect(code).toBe(0);
    const { widths } = JSON.parse(out) as Model;
    const { box } = widths['1280']!.elements.find(({ tag }) => tag === 'b')!;
    return (box as { width: number }).width;
  };
  beforeAll(() =>
    site.put(
      'lettered.html',
      '<!doctype html><p style="font:20px DejaVu Serif, Arial"><b style="font-weight:400">Sailings</b>',
    ),
  );

  test('are used where the page names them', () => {
    expect(widthOf('--font', font)).toBeGreaterThan(widthOf() * 1.05);
  });

  test('may stand before the page', () => {
    expect(site.run(['measure', '--font', font, '--at', '1280', 'lettered.html']).code).toBe(0);
  });

  test('that cannot be read are named', () => {
    for (const [file, message] of [
      ['gone.ttf', /the font gone\.ttf does not exist/],
      ['lettered.html', /lettered\.html is not a font that can be read/],
    ] as const) {
      const { code, err } = site.run(['measure', 'lettered.html', '--font', file]);
      expect(code).toBe(3);
      expect(err).toMatch(message);
    }
  });
});
