import { candidatesOf, choiceFor, referencesOf } from '../../src/core/css/index.js';
import { mediumOf, setting } from '../../src/core/scene/setting.js';
import { find, styled } from '../support/page.js';

const choose = (html: string, width: number) =>
  choiceFor(find(styled('', html), 'img'), mediumOf(setting(width), false));

describe('the picture an image shows', () => {
  test.each<[string, number, string | null, number]>([
    ['<img src=a.png>', 800, 'a.png', 1],
    ['<img>', 800, null, 0],
    ['<img src=a.png srcset="b.png 2x, c.png 0.5x">', 800, 'a.png', 1],
    ['<img srcset="b.png 2x">', 800, 'b.png', 2],
    ['<img srcset="b.png 400w, c.png 800w, d.png 1600w" sizes="50vw">', 800, 'b.png', 1],
    ['<img srcset="b.png 400w, c.png 800w, d.png 1600w" sizes="50vw">', 802, 'c.png', 800 / 401],
    ['<img srcset="b.png 400w, c.png 800w" sizes="(max-width: 600px) 100vw, 300px">', 800, 'b.png', 400 / 300],
    ['<img srcset="b.png 400w, c.png 800w" sizes="(max-width: 600px) 100vw, 300px">', 500, 'c.png', 1.6],
    ['<picture><source media="(min-width: 700px)" srcset="wide.png"><img src=a.png></picture>', 800, 'wide.png', 1],
    ['<picture><source media="(min-width: 700px)" srcset="wide.png"><img src=a.png></picture>', 600, 'a.png', 1],
    ['<picture><source type="image/unheard-of" srcset="b.x"><img src=a.png></picture>', 600, 'a.png', 1],
    ['<picture><img src=a.png><source srcset="late.png"></picture>', 600, 'a.png', 1],
  ])('%s at %d px', (html, width, reference, density) => {
    const choice = choose(html, width);
    expect(choice?.reference ?? null).toBe(reference);
    if (choice) expect(choice.density).toBeCloseTo(density, 6);
  });

  test('a srcset is read as far as it can be', () => {
    expect(candidatesOf('a.png, b.png 2x , c,d.png 300w,')).toEqual([
      { reference: 'a.png', width: null, density: null },
      { reference: 'b.png', width: null, density: 2 },
      { reference: 'c,d.png', width: 300, density: null },
    ]);
    expect(candidatesOf('')).toEqual([]);
  });

  test('every picture that may be shown is asked for', () => {
    const page = styled('', '<picture><source srcset="a.png 1x, b.png 2x"><img src=c.png srcset="d.png 2x"></picture>');
    expect(referencesOf(find(page, 'img'))).toEqual(['a.png', 'b.png', 'd.png', 'c.png']);
  });
});
