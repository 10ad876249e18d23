import { readFileSync } from 'node:fs';
import { PRESS_COLUMNS, pressPage, pressPoint, type PressCase } from '../support/press-case.js';
import { pageFrom, sceneAt } from '../support/page.js';

/** Random pages of overlapping boxes and what presses reach on them; recorded with `npm run record:looks`. */
const cases = JSON.parse(readFileSync('tests/paint/cases/overlaps.json', 'utf8')) as Omit<PressCase, 'name'>[];
const height = 120;

describe('presses on overlapping boxes reach what they reach in a browser', () => {
  test.each(cases.map((one, i) => [`page ${i}`, one] as const))('%s', (_name, one) => {
    const page = pageFrom(pressPage(one));
    const at = (y: number) => sceneAt(page, 200, { height, scroll: { x: 0, y } });
    const y = Math.min(one.scroll!, Math.max(0, at(0).scrollSize.height - height));
    const scene = at(y);
    const reached = one.reached.map((_, row) =>
      Array.from({ length: PRESS_COLUMNS }, (_column, column) => {
        const point = pressPoint(column, row);
        return scene.hit(point.x, point.y + y)?.id ?? '-';
      }).join(' '),
    );
    expect(reached).toEqual(one.reached);
  });

  test('the pages are 200, many reached in several places', () => {
    expect(cases).toHaveLength(200);
    expect(cases.filter(({ reached }) => new Set(reached.join(' ').split(' ')).size > 2).length).toBeGreaterThan(80);
  });
});
