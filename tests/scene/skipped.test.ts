import { resolvedStyle } from '../../src/core/audit/measure.js';
import { tabOrder } from '../../src/core/naming/index.js';
import { boxOf, find, sceneAt, styled } from '../support/page.js';

test('what is for browsers without scripts takes no room where they are on, however it is displayed', () => {
  const page = styled(
    'body{margin:0;font:16px/20px Arial}noscript.b{display:block}',
    '<noscript>one</noscript><noscript class=b>two</noscript><p id=p style="margin:0">three</p>',
  );
  expect(boxOf(page, '#p')).toEqual([0, 0, 800, 20]);
});

describe('content that is skipped', () => {
  const page = styled(
    'body{margin:0;font:16px/20px Arial}section{content-visibility:auto;contain-intrinsic-size:auto 700px}p{margin:0;height:100px}',
    '<section id=a><p></p></section><section id=b style="height:1500px"><p></p></section><section id=c><p></p></section><section id=d><p></p></section>' +
      '<details><summary>More</summary><p id=e>inside</p></details><div style="content-visibility:hidden"><a href="#x" id=f>link</a></div>',
  );

  test('far from the screen only the placeholder counts', () => {
    expect(boxOf(page, '#a')).toEqual([0, 0, 800, 100]);
    expect(boxOf(page, '#c')).toEqual([0, 1600, 800, 100]);
    expect(boxOf(page, '#d')).toEqual([0, 1700, 800, 100]);
    const long = styled(
      'body{margin:0}section{content-visibility:auto;contain-intrinsic-size:auto 700px}p{margin:0;height:100px}',
      `<div style="height:2500px"></div><section id=a><p></p></section>`,
    );
    expect(boxOf(long, '#a')).toEqual([0, 2500, 800, 700]);
  });

  test('what closed details hold has used sizes and no place', () => {
    const scene = sceneAt(page);
    const inside = find(page, '#e');
    expect(scene.rect(inside)).toBeNull();
    expect(scene.box(inside)).toBeNull();
    expect(scene.isVisible(inside)).toBe(false);
    expect(resolvedStyle(inside, scene)).toMatchObject({ width: '800px', height: '100px' });
  });

  test('nothing hidden is reached by Tab or a press', () => {
    const scene = sceneAt(page);
    expect(tabOrder(scene).map((e) => e.id ?? e.tag)).toEqual(['summary']);
    const all = page.document.elements.map((e) => scene.rect(e)).filter((r) => r !== null);
    const lowest = Math.max(...all.map((r) => r.y));
    expect(scene.hit(10, lowest)?.id).not.toBe('f');
  });
});

describe('scroll areas as Tab stops', () => {
  const stops = (body: string) =>
    tabOrder(
      sceneAt(styled('body{margin:0;font:16px/20px Arial}#a{width:60px;overflow:auto;white-space:nowrap}', body)),
    )
      .map((e) => e.id)
      .join();
  test.each([
    ['its own text overflows', '<pre id=a>some longer words</pre>', 'a'],
    ['it fits', '<pre id=a>some</pre>', ''],
    ['only the padding behind its text does', '<div id=a style="padding-right:40px">some word</div>', 'a'],
    ['what it holds scrolls by itself', '<div id=a><div style="overflow:hidden">some longer words</div></div>', ''],
    ['something inside takes the focus', '<div id=a><a href="#" id=b>some longer words</a></div>', 'b'],
  ])('%s', (_what, body, expected) => {
    expect(stops(body)).toBe(expected);
  });
});
