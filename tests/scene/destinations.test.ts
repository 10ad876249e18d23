import { destinationOf, setting } from '../../src/core/index.js';
import { destinationPage } from '../support/destination-case.js';
import { pageFrom } from '../support/page.js';
import { cases } from './cases/destinations.js';

describe('links to parts of a page lead where they lead in a browser', () => {
  test.each(cases.map((one) => [one.name, one] as const))('%s', (_name, one) => {
    const page = pageFrom(destinationPage(one));
    const made = destinationOf(page, setting(200, { height: 120 }), one.fragment);
    const { x, y } = made.setting.scroll;
    expect(Math.abs(x - one.scroll[0])).toBeLessThan(1);
    expect(Math.abs(y - one.scroll[1])).toBeLessThan(1);
    if (one.top === null) expect(made.rect).toBeNull();
    else expect(Math.abs(made.rect!.y - one.top)).toBeLessThan(1);
  });

  test('what no part is named leads nowhere, and says so', () => {
    const page = pageFrom('<!doctype html><p id=a>x');
    expect(destinationOf(page, setting(200), '#b').found).toBe(false);
    expect(destinationOf(page, setting(200), '#A').found).toBe(false);
    expect(destinationOf(page, setting(200), '#a').found).toBe(true);
    expect(destinationOf(page, setting(200), '#%E0').found).toBe(false);
  });
});
