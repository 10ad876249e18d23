import { passingBeneath, setting } from '../../src/core/index.js';
import { printColour } from '../../src/core/css/index.js';
import { find, styled } from '../support/page.js';

const BODY = '<nav>menu</nav><section id=a></section><section id=b></section><section id=c></section>';
const BASE =
  'html{background:#fff}body{margin:0}section{height:500px}#a{background:#036}#b{background:url(pier.jpg)}#c{background:#eee}';

function passing(css: string, body = BODY): string[] {
  const page = styled(BASE + css, body);
  return passingBeneath(page, setting(400, { height: 400 }), find(page, 'nav')).map(
    ({ from, to, colours, unknown }) =>
      `${Math.round(from)}–${Math.round(to)} ${[...colours.map(printColour), ...unknown].join(' + ')}`,
  );
}

describe('what a part meets as the page scrolls beneath it', () => {
  const FIXED = 'nav{position:fixed;top:0;left:0;right:0;height:40px}';

  test('a fixed bar passes over every section', () => {
    expect(passing(FIXED)).toEqual([
      '0–480 rgb(0, 51, 102)',
      '480–980 rgb(255, 255, 255) + pier.jpg',
      '980–1100 rgb(238, 238, 238)',
    ]);
  });

  test('its own ground is left out', () => {
    expect(passing(`${FIXED}nav{background:rgba(0,0,0,.5)}`)[0]).toBe('0–480 rgb(0, 51, 102)');
  });

  test('a bar at the lower edge meets other parts first', () => {
    expect(passing('nav{position:fixed;bottom:0;left:0;right:0;height:40px}')).toEqual([
      '0–120 rgb(0, 51, 102)',
      '120–620 rgb(255, 255, 255) + pier.jpg',
      '620–1100 rgb(238, 238, 238)',
    ]);
  });

  test('a sticky bar meets the ground around it until it sticks', () => {
    const body =
      '<div style="height:100px;background:#f00"></div><nav>menu</nav><section id=a></section><section id=c></section>';
    expect(passing('nav{position:sticky;top:0;height:40px}', body)).toEqual([
      '0–120 rgb(255, 255, 255)',
      '120–620 rgb(0, 51, 102)',
      '620–740 rgb(238, 238, 238)',
    ]);
  });

  test('sections of one colour count once', () => {
    expect(passing(`${FIXED}#a,#b,#c{background:#123}`)).toEqual(['0–1100 rgb(17, 34, 51)']);
  });

  test('a page that does not scroll has one place', () => {
    expect(passing(`${FIXED}section{height:50px}`)).toEqual(['0–0 rgb(0, 51, 102)']);
  });

  test('parts without a box meet nothing', () => {
    expect(passing('nav{display:none}')).toEqual([]);
  });
});
