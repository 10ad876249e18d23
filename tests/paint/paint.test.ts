import fc from 'fast-check';
import { parseColourText, printColour } from '../../src/core/css/index.js';
import { apply, boundsOf, stackingReasons } from '../../src/core/paint/index.js';
import { invert, IDENTITY, multiply, type Matrix } from '../../src/core/paint/matrix.js';
import { find, sceneAt, styled } from '../support/page.js';

/** The id of what a press at a point reaches. */
const hitAt = (css: string, body: string, x: number, y: number): string | null => {
  const page = styled(`body{margin:0}div{width:100px;height:100px}${css}`, body);
  const hit = sceneAt(page).hit(x, y);
  return hit && (hit.id ?? hit.tag);
};

describe('what lies on top', () => {
  test.each<[string, string, string, string]>([
    ['later over earlier', '#b{margin-top:-100px}', '<div id=a></div><div id=b></div>', 'b'],
    ['positioned over plain', '#a{position:relative}#b{margin-top:-100px}', '<div id=a></div><div id=b></div>', 'a'],
    [
      'text over a later block’s ground',
      '#a{line-height:100px}#b{margin-top:-100px}',
      '<div id=a>MMMMMM</div><div id=b></div>',
      'a',
    ],
    ['floats over blocks', '#a{float:left}#b{margin-top:0}', '<div id=a></div><div id=b></div>', 'a'],
    [
      'z-index 1 over z-index 0',
      '#a{position:relative;z-index:1}#b{position:relative;z-index:0;margin-top:-100px}',
      '<div id=a></div><div id=b></div>',
      'a',
    ],
    [
      'negative z-index goes under',
      '#a{position:absolute;top:0;left:0;z-index:-1}',
      '<div id=a></div><div id=b></div>',
      'b',
    ],
    [
      'z-index without position has no effect',
      '#a{z-index:9}#b{margin-top:-100px}',
      '<div id=a></div><div id=b></div>',
      'b',
    ],
    [
      'flex items take z-index',
      '#w{display:flex}#a{z-index:1}#b{margin-left:-100px}',
      '<div id=w><div id=a></div><div id=b></div></div>',
      'a',
    ],
    [
      'a child cannot leave its stacking context',
      '#a{position:relative;z-index:0}#c{position:relative;z-index:99}#b{position:relative;z-index:1;margin-top:-100px}',
      '<div id=a><div id=c></div></div><div id=b></div>',
      'b',
    ],
    [
      'without a context it can',
      '#a{position:relative}#c{position:relative;z-index:99}#b{position:relative;z-index:1;margin-top:-100px}',
      '<div id=a><div id=c></div></div><div id=b></div>',
      'c',
    ],
    [
      'opacity makes a context',
      '#a{opacity:.9}#c{position:relative;z-index:99}#b{position:relative;z-index:1;margin-top:-100px}',
      '<div id=a><div id=c></div></div><div id=b></div>',
      'b',
    ],
    [
      'transforms paint as positioned',
      '#a{transform:scale(1)}#b{margin-top:-100px}',
      '<div id=a></div><div id=b></div>',
      'a',
    ],
    [
      'pointer-events none lets through',
      '#b{margin-top:-100px;pointer-events:none}',
      '<div id=a></div><div id=b></div>',
      'a',
    ],
    [
      'hidden things are not pressed',
      '#b{margin-top:-100px;visibility:hidden}',
      '<div id=a></div><div id=b></div>',
      'a',
    ],
    [
      'a visible child of a hidden box is',
      '#b{visibility:hidden;margin-top:-100px}#c{visibility:visible}',
      '<div id=a></div><div id=b><div id=c></div></div>',
      'c',
    ],
    [
      'overflow clips the hit',
      '#a{overflow:hidden;height:20px}#c{height:100px}',
      '<div id=a><div id=c></div></div><div id=b></div>',
      'b',
    ],
    [
      'absolute children escape a static clip',
      '#a{overflow:hidden;height:20px}#c{position:absolute;height:100px}',
      '<div id=a><div id=c></div></div><div id=b></div>',
      'c',
    ],
    [
      'a fixed box inside an earlier wrapper',
      '#c{position:fixed;top:0;left:0}',
      '<div id=a><div id=c></div></div><div id=b></div>',
      'c',
    ],
    [
      'drop-down under a later positioned banner',
      '#c{position:absolute;top:0}#b{position:relative;margin-top:-100px}',
      '<div id=a style="position:relative"><div id=c></div></div><div id=b></div>',
      'b',
    ],
  ])('%s', (_name, css, body, expected) => {
    expect(hitAt(css, body, 50, 50)).toBe(expected);
  });

  test('a rotated box is hit where it lies', () => {
    const css = '#a{width:100px;height:20px;transform:rotate(90deg)}';
    expect(hitAt(css, '<div id=a></div>', 50, 50)).toBe('a');
    expect(hitAt(css, '<div id=a></div>', 95, 10)).toBe('body');
  });

  test('outside the page nothing is hit', () => {
    expect(hitAt('', '<div id=a></div>', -5, 5)).toBeNull();
  });
});

describe('why a box is a stacking context', () => {
  const FRAMES =
    '@keyframes rise{from{transform:translateY(9px)}to{transform:none}}@keyframes slide{from{left:9px}to{left:0}}';

  test.each<[string, string | null]>([
    ['position:relative', null],
    ['position:relative;z-index:0', 'position: relative with z-index: 0'],
    ['position:fixed', 'position: fixed'],
    ['position:sticky', 'position: sticky'],
    ['opacity:.5', 'opacity: 0.5'],
    ['transform:none', null],
    ['transform:translateX(1px)', 'transform'],
    ['rotate:5deg', 'rotate'],
    ['filter:blur(1px)', 'filter'],
    ['backdrop-filter:blur(1px)', 'backdrop-filter'],
    ['isolation:isolate', 'isolation: isolate'],
    ['mix-blend-mode:multiply', 'mix-blend-mode: multiply'],
    ['will-change:transform', 'will-change: transform'],
    ['will-change:top', null],
    ['contain:paint', 'contain: paint'],
    ['clip-path:circle(50%)', 'clip-path'],
    ['container-type:inline-size', null],
    ['transform-style:preserve-3d', 'transform-style: preserve-3d'],
    ['view-transition-name:pier', 'view-transition-name'],
    ['will-change:z-index', null],
    ['will-change:-webkit-transform', 'will-change: -webkit-transform'],
    ['will-change:offset-path', 'will-change: offset-path'],
    ['animation:rise 1s', null],
    ['animation:rise 1s both', 'an animation of transform'],
    ['animation:rise 1s infinite', 'an animation of transform'],
    ['animation:slide 1s both', null],
    ['overflow:hidden', null],
  ])('%s', (css, expected) => {
    const page = styled(`${FRAMES}#a{${css}}`, '<div id=a>x</div>');
    expect(stackingReasons(sceneAt(page).box(find(page, '#a'))!)[0] ?? null).toBe(expected);
  });
});

describe('colours beneath text', () => {
  const beneath = (css: string, body: string): { colours: string[]; unknown: readonly string[] } => {
    const page = styled(`body{margin:0}${css}`, body);
    const scene = sceneAt(page);
    const item = scene.items.find((i) => i.node.fragment.kind === 'text')!;
    const { x, y } = { x: item.node.rect.x + 1, y: item.node.rect.y + 1 };
    const { colours, unknown } = scene.backdrop({ x, y }, item, null);
    return { colours: colours.map(printColour), unknown };
  };

  test.each<[string, string, string, string[]]>([
    ['the canvas is white', '', '<p>x', ['rgb(255, 255, 255)']],
    ['the body’s ground is the page’s', 'body{background:#123}', '<p>x', ['rgb(17, 34, 51)']],
    ['the nearest opaque ground counts', 'div{background:red}p{background:#00f}', '<div><p>x', ['rgb(0, 0, 255)']],
    [
      'alpha is composed',
      'div{background:#000}p{background:rgba(255,255,255,.5)}',
      '<div><p>x',
      ['rgb(128, 128, 128)'],
    ],
    ['group opacity fades the ground', 'div{background:#000;opacity:.5}', '<div><p>x', ['rgb(128, 128, 128)']],
    [
      'gradients mixed in another space give their stops',
      'p{background:linear-gradient(in oklch,#000,#fff)}',
      '<p>x',
      ['rgb(0, 0, 0)', 'rgb(255, 255, 255)'],
    ],
    [
      'the body’s gradient runs over the whole page',
      'html{height:100%}body{width:100px;background:linear-gradient(90deg,#000,#fff)}p{position:absolute;left:400px;top:0}',
      '<p>x',
      ['rgb(128, 128, 128)'],
    ],
    [
      'the root’s ground is painted first',
      'html{background:linear-gradient(#123,#123)}body{background:rgba(255,255,255,.5);height:50px}',
      '<p style="margin:0">x',
      ['rgb(136, 145, 153)'],
    ],
    [
      'a fixed bar over a section',
      'nav{position:fixed;top:0;left:0;right:0;background:rgba(0,0,0,.5)}section{height:200px;background:#fff}',
      '<nav>x</nav><section></section>',
      ['rgb(128, 128, 128)'],
    ],
    [
      'an absolute box lies on what is behind it',
      'div{background:#0f0;height:50px}p{position:absolute;top:0;margin:0}',
      '<div></div><p>x',
      ['rgb(0, 255, 0)'],
    ],
  ])('%s', (_name, css, body, expected) => {
    expect(beneath(css, body).colours).toEqual(expected);
  });

  test('pictures are not guessed', () => {
    expect(beneath('p{background:url(a.png)}', '<p>x').unknown).toEqual(['a.png']);
    expect(beneath('p{background:url(a.png) right/10px 10px no-repeat}', '<p>x').unknown).toEqual([]);
    expect(
      beneath(
        'img{position:absolute;top:0;left:0;width:90px;height:50px;z-index:-1}p{margin:0}',
        '<img src=b.png alt=""><p>x',
      ).unknown,
    ).toEqual(['b.png']);
  });

  test('text colour is faded with its group', () => {
    const page = styled('body{margin:0}p{opacity:.5;color:#000}', '<p>x');
    const scene = sceneAt(page);
    const item = scene.items.find((i) => i.node.fragment.kind === 'text')!;
    const [ink] = scene.backdrop(
      { x: item.node.rect.x + 1, y: item.node.rect.y + 1 },
      item,
      parseColourText('#000'),
    ).colours;
    expect(printColour(ink!)).toBe('rgb(128, 128, 128)');
  });
});

describe('scrolling', () => {
  const page = styled(
    'body{margin:0}header{position:sticky;top:0;height:50px}#f{position:fixed;bottom:0;height:30px;width:100%}main{height:3000px}aside{position:sticky;top:60px;height:20px}#w{height:300px}',
    '<header></header><main><div id=w><aside></aside></div></main><div id=f></div>',
  );
  const at = (selector: string, y: number) => sceneAt(page, 800, { scroll: { x: 0, y } }).rect(find(page, selector))!.y;

  test('sticky boxes stay within their container', () => {
    expect(at('header', 0)).toBe(0);
    expect(at('header', 500)).toBe(500);
    expect(at('aside', 100)).toBe(160);
    expect(at('aside', 2000)).toBe(330);
  });

  test('fixed boxes go along', () => {
    expect(at('#f', 0)).toBe(770);
    expect(at('#f', 500)).toBe(1270);
  });

  test('the size of the scrollable page', () => {
    expect(sceneAt(page).scrollSize).toEqual({ width: 800, height: 3050 });
    const wide = styled('body{margin:0}p{width:1200px;margin:0}', '<p>x');
    expect(sceneAt(wide).scrollSize.width).toBe(1200);
    const hidden = styled('body{margin:0}div{overflow:hidden}p{width:1200px;margin:0}', '<div><p>x');
    expect(sceneAt(hidden).scrollSize.width).toBe(800);
  });

  test.each([
    ['hanging', 'white-space:pre-wrap', 'aaaa', 800],
    ['with a ground', 'white-space:pre-wrap', '<i style="background:red">aaaa', 800],
    ['kept', 'white-space:break-spaces', 'aaaa', 800],
    ['never broken', 'white-space:pre', 'aaaa', 1400],
  ])('spaces at the end of a line: %s', (_name, css, text, least) => {
    const page = styled(`body{margin:0}p{margin:0;font:16px monospace;${css}}`, `<p>${text}${' '.repeat(150)}</i>b`);
    const { width } = sceneAt(page).scrollSize;
    expect(least === 800 ? width : Math.min(width, least)).toBe(least);
  });

  test('what is seen of an element', () => {
    const hidden = styled(
      'body{margin:0}#a{overflow:hidden;width:50px;height:20px}#b{width:200px}#c{position:absolute;left:-500px}#d{opacity:0}#e{position:absolute;clip:rect(0 0 0 0)}',
      '<div id=a><p id=b style="margin:0">x</p></div><p id=c>x<p id=d>x<p id=e>x',
    );
    const scene = sceneAt(hidden);
    expect(scene.seen(find(hidden, '#b'))).toMatchObject({ width: 50, height: 18 });
    expect(scene.seen(find(hidden, '#c'))).toBeNull();
    expect(scene.seen(find(hidden, '#d'))).toBeNull();
    expect(scene.isVisible(find(hidden, '#d'))).toBe(false);
    expect(scene.isVisible(find(hidden, '#c'))).toBe(true);
    expect(scene.seen(find(hidden, '#e'))).toBeNull();
  });
});

describe('matrices', () => {
  const entry = fc.double({ min: -3, max: 3, noNaN: true });
  const matrix = fc.record<Matrix>({ a: entry, b: entry, c: entry, d: entry, e: entry, f: entry });

  test('an inverse undoes its matrix', () => {
    fc.assert(
      fc.property(matrix, entry, entry, (m, x, y) => {
        const back = invert(m);
        if (!back || Math.abs(m.a * m.d - m.b * m.c) < 1e-3) return true;
        const there = apply(m, x, y);
        const again = apply(back, there.x, there.y);
        return Math.abs(again.x - x) < 1e-6 && Math.abs(again.y - y) < 1e-6;
      }),
    );
  });

  test('in perspective, too, an inverse undoes its matrix and products follow one another', () => {
    const far = fc.double({ min: -0.01, max: 0.01, noNaN: true });
    const projecting = fc.record<Required<Matrix>>({
      a: entry,
      b: entry,
      c: entry,
      d: entry,
      e: entry,
      f: entry,
      g: far,
      h: far,
    });
    const near = (p: { x: number; y: number }, q: { x: number; y: number }) =>
      Math.abs(p.x - q.x) < 1e-5 && Math.abs(p.y - q.y) < 1e-5;
    fc.assert(
      fc.property(projecting, projecting, entry, entry, (m, n, x, y) => {
        const back = invert(m);
        const there = apply(n, x, y);
        if (!near(apply(multiply(m, n), x, y), apply(m, there.x, there.y))) return false;
        if (!back || Math.abs(m.a * m.d - m.b * m.c) < 1e-1) return true;
        const seen = apply(m, x, y);
        return near(apply(back, seen.x, seen.y), { x, y });
      }),
    );
  });

  test('the identity changes nothing', () => {
    fc.assert(
      fc.property(matrix, (m) => JSON.stringify(multiply(IDENTITY, m)) === JSON.stringify(multiply(m, IDENTITY))),
    );
    expect(boundsOf(null, { x: 1, y: 2, width: 3, height: 4 })).toEqual({ x: 1, y: 2, width: 3, height: 4 });
  });
});
