import { readFileSync } from 'node:fs';
import { pressPage, reachedFrom, type PressCase } from '../support/press-case.js';
import { pageFrom } from '../support/page.js';

/** Random pages of overlapping boxes and what presses reach on them; recorded with `npm run record:looks`. */
const cases = JSON.parse(readFileSync('tests/paint/cases/overlaps.json', 'utf8')) as Omit<PressCase, 'name'>[];

describe('presses on overlapping boxes reach what they reach in a browser', () => {
  test.each(cases.map((one, i) => [`page ${i}`, one] as const))('%s', (_name, one) => {
    expect(reachedFrom(pageFrom(pressPage(one)), one.scroll!)).toEqual(one.reached);
  });

  test('the pages are 200, many reached in several places', () => {
    expect(cases).toHaveLength(200);
    expect(cases.filter(({ reached }) => new Set(reached.join(' ').split(' ')).size > 2).length).toBeGreaterThan(80);
  });
});
