import { openPageNow } from '../../src/core/index.js';
import { styled, find, sceneAt } from '../support/page.js';

const PAGE = `<svg width="120" height="80" viewBox="0 0 60 40" style="display:block;padding:10px"><rect id=a x="5" y="5" width="10" height="8"/>
<g id=b transform="translate(20 4) rotate(90)"><rect id=c width="6" height="3"/><circle id=d cx="8" cy="-4" r="2"/></g>
<path id=e d="M30 20 q5 10 10 0 a4 4 0 0 1 8 0 z"/><text id=f x="5" y="35">Quay <tspan id=g font-weight="bold">side</tspan></text>
<symbol id=h viewBox="0 0 10 10"><path d="M0 0h10v10z"/></symbol><use id=i href="#h" x="44" y="2" width="12" height="12"/>
<svg id=j x="50" y="20" width="10" height="10" viewBox="0 0 5 5"><polygon id=k points="1,1 4,1 4,4"/></svg><g id=l></g><rect id=m width="4" height="4" display="none"/></svg>
<a href="#" style="position:absolute;left:200px;top:0"><svg id=n width="40" height="40" viewBox="0 0 10 10"><path id=o d="M0 0h10v10H0zM3 3h4v4H3z" fill-rule="evenodd"/><circle id=p cx="5" cy="5" r="1" fill="none" stroke="red" stroke-width=".5"/></svg></a>`;

const page = styled('body{margin:0;font:16px Arial}', PAGE);
const scene = sceneAt(page, 1280);

describe('graphics inside svg elements, as a browser has them', () => {
  test.each<[string, number[] | null]>([
    ['a', [20, 20, 20, 16]],
    ['b', [44, 18, 18, 20]],
    ['c', [44, 18, 6, 12]],
    ['d', [54, 30, 8, 8]],
    ['e', [70, 42, 36, 18]],
    ['f', [20, 51, 149.41, 36]],
    ['g', [105.38, 51, 64.03, 36]],
    ['h', null],
    ['i', [98, 14, 24, 24]],
    ['j', [114, 54, 12, 12]],
    ['k', [114, 54, 12, 12]],
    ['l', [10, 10, 0, 0]],
    ['m', null],
  ])('the rectangle of %s', (id, expected) => {
    const rect = scene.rect(find(page, `#${id}`));
    expect(scene.isVisible(find(page, `#${id}`))).toBe(expected !== null);
    if (!expected || !rect) expect(rect).toBe(expected);
    else [rect.x, rect.y, rect.width, rect.height].forEach((v, i) => expect(v).toBeCloseTo(expected[i]!, 1));
  });

  test.each([
    ['dominant-baseline="central"', 5.5],
    ['dominant-baseline="middle"', 4.15],
    ['style="dominant-baseline:hanging"', 11.2],
    ['dominant-baseline="text-before-edge"', 14],
    ['dominant-baseline="ideographic"', -3],
    ['alignment-baseline="mathematical" dominant-baseline="central"', 7],
    ['', 0],
  ])('text stands on the baseline asked for: %s', (attributes, lowered) => {
    const text = `<svg width=90 height=60><g ${attributes.includes('align') ? '' : attributes}><text id=x y=30 ${attributes}>Quay</text></g></svg>`;
    const one = styled('body{margin:0;font:16px Tinos}', text);
    expect(sceneAt(one, 800).rect(find(one, '#x'))!.y).toBeCloseTo(16 + lowered, 0);
  });

  test.each<[string, number, number, string]>([
    ['what is filled', 202, 2, 'o'],
    ['a hole', 214, 14, 'n'],
    ['a stroke', 224, 20, 'p'],
    ['inside a shape that is not filled', 220, 20, 'n'],
    ['a rectangle', 28, 24, 'a'],
  ])('a press on %s', (_what, x, y, id) => {
    expect(scene.hit(x, y)?.id).toBe(id);
  });

  test('percentages and font units place texts', () => {
    const one = styled(
      'body{margin:0;font:20px Arial}',
      '<svg width="200" height="100" text-anchor="middle"><text id=x x="50%" y="50%" dy=".5em">Quay</text></svg>',
    );
    const { x, y, width } = sceneAt(one, 800).rect(find(one, '#x'))!;
    expect(x + width / 2).toBeCloseTo(100, 0);
    expect(y).toBeCloseTo(50 + 10 - 18, 0);
  });
});

describe('parts of other files that use elements repeat', () => {
  const ICONS = `<?xml version="1.0"?><svg xmlns="http://www.w3.org/2000/svg"><g id="pier"><rect x="2" y="3" width="10" height="8"/></g>
    <symbol id="buoy" viewBox="0 0 10 10"><circle cx="5" cy="5" r="3"/></symbol><g id="twice"><use href="#pier" x="5"/></g></svg>`;
  const asked: string[] = [];
  const one = openPageNow(
    {
      name: 'index.html',
      url: 'file:///site/index.html',
      html: `<!DOCTYPE html><base href="/site/parts/"><style>body{margin:0}svg{display:block;width:100px;height:100px}</style>${[
        'icons.svg#pier',
        'icons.svg#buoy',
        'icons.svg#twice',
        'icons.svg',
        'none.svg#pier',
        'icons.svg#none',
        '#pier',
      ]
        .map((href, i) => `<svg viewBox="0 0 20 20"><use id=u${i} href="${href}" /></svg>`)
        .join('')}`,
    },
    {
      graphics: (url) => {
        asked.push(url);
        return url.endsWith('/icons.svg') ? { name: 'icons.svg', text: ICONS } : null;
      },
    },
  );

  test('each file is asked for once, where the base address leads', () => {
    expect(asked).toEqual(['file:///site/parts/icons.svg', 'file:///site/parts/none.svg']);
  });

  test.each<[string, readonly number[]]>([
    ['u0', [10, 15, 50, 40]],
    ['u1', [20, 120, 60, 60]],
    ['u2', [35, 215, 50, 40]],
    ['u4', [0, 400, 0, 0]],
    ['u5', [0, 500, 0, 0]],
    ['u6', [0, 600, 0, 0]],
  ])('the rectangle of %s', (id, [x, y, width, height]) => {
    expect(sceneAt(one, 800).rect(find(one, `#${id}`))).toEqual({ x, y, width, height });
  });

  test('the whole of a file without a fragment', () => {
    expect(sceneAt(one, 800).rect(find(one, '#u3'))!.width).toBeGreaterThan(50);
  });
});
