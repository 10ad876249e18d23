import { find, pageFrom, sceneAt } from '../support/page.js';

const nest = (open: string, close: string, times: number): string =>
  `<!doctype html><body>${open.repeat(times)}<b id=x>x</b>${close.repeat(times)}`;
const DEEP = /nested more than \d+ deep/;

describe('pages that would take layout forever end', () => {
  test.each<[string, string, boolean]>([
    ['inline boxes', nest('<span>', '</span>', 2000), false],
    ['blocks', nest('<div>', '</div>', 3000), false],
    ['inline-blocks', nest('<div style="display:inline-block">', '</div>', 450), true],
    ['flex containers', nest('<div style="display:flex">', '</div>', 450), true],
    ['grids', nest('<div style="display:grid">', '</div>', 450), true],
    ['floats', nest('<div style="float:left">', '</div>', 450), true],
    [
      'flows across each other',
      nest('<div style="writing-mode:vertical-rl"><div style="writing-mode:horizontal-tb">', '</div></div>', 20),
      false,
    ],
    ['tables', nest('<table><tr><td>', '</td></tr></table>', 60), false],
  ])('%s inside each other', (_, html, cut) => {
    const page = pageFrom(html);
    const scene = sceneAt(page, 800);
    expect(scene.rect(page.document.body!)!.width).toBe(784);
    expect(page.limits.some(({ kind, subject }) => kind === 'budget' && DEEP.test(subject))).toBe(cut);
    expect(scene.rect(find(page, '#x'))).toEqual(cut ? null : expect.objectContaining({ width: expect.any(Number) }));
  });

  test.each([
    ['more columns than anyone counts', 'columns:99999999', '<p>x</p>'.repeat(300), false],
    [
      'a thousand kilometres in columns of one px',
      'columns:2;column-fill:auto;height:1px',
      '<div style="height:9999999px"></div>',
      true,
    ],
  ])('%s', (_name, css, inside, cut) => {
    const page = pageFrom(`<!doctype html><style>main{${css}}</style><main id=x>${inside}</main>`);
    expect(sceneAt(page, 800).rect(find(page, '#x'))!.width).toBe(784);
    expect(page.limits.some(({ kind, subject }) => kind === 'budget' && subject === 'columns')).toBe(cut);
  });

  test('a table of five thousand cells, its borders collapsed', () => {
    const row = `<tr>${'<td>cell</td>'.repeat(50)}</tr>`;
    const page = pageFrom(
      `<!doctype html><style>table{border-collapse:collapse}td{border:1px solid;padding:0}</style><table id=t>${row.repeat(100)}</table>`,
    );
    const rect = sceneAt(page, 800).rect(find(page, '#t'))!;
    // Fewer lines than cells: neighbours share them.
    expect(rect.height).toBeGreaterThan(100 * 18);
    expect(rect.height).toBeLessThan(100 * 20);
  });

  test('one line of a hundred thousand parts from both sides', () => {
    const line = (times: number) => {
      const page = pageFrom(
        `<!doctype html><p id=p dir=rtl style="white-space:nowrap">${'שלום ab 12 '.repeat(times)}<b id=x>x</b>`,
      );
      const scene = sceneAt(page, 800);
      return { height: scene.rect(find(page, '#p'))!.height, x: scene.rect(find(page, '#x'))!.x };
    };
    const long = line(34_000);
    expect(long.height).toBe(line(1).height);
    expect(long.x).toBeLessThan(-1_000_000);
  });

  test('many thousand lines on a page that scrolls', () => {
    const page = pageFrom(`<!doctype html><pre id=p>${'x\n'.repeat(150_000)}</pre>`);
    expect(sceneAt(page, 800).scrollSize.height).toBeGreaterThan(2_000_000);
  });

  test('outlines and gradients of twenty thousand points', () => {
    const points = Array.from({ length: 20_000 }, (_, i) => `${i % 100}px ${i % 77}px`).join();
    const stops = Array.from({ length: 20_000 }, (_, i) => (i % 2 ? '#000' : '#fff')).join();
    const page = pageFrom(
      `<!doctype html><style>body{margin:0}#p{height:50px;clip-path:polygon(${points});background:linear-gradient(${stops})}</style><div id=p>`,
    );
    const scene = sceneAt(page, 800);
    expect(scene.hit(200, 20)?.tag).toBe('body');
    expect(scene.hit(50, 30)?.id).toBe('p');
  });

  test('half a megabyte of text in one block', () => {
    const page = pageFrom(`<!doctype html><p id=p>${'over the water and back again '.repeat(18_000)}</p>`);
    const lines = sceneAt(page, 800).rect(find(page, '#p'))!.height / 18;
    expect(lines).toBeGreaterThan(4000);
    expect(Number.isInteger(Math.round(lines * 100) / 100)).toBe(true);
  });
});
