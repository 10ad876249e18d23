import { readFileSync } from 'node:fs';
import type { Page } from '../../src/core/index.js';
import { MENU_WIDTHS, menuCasePage, TROUBLES, troublesOf, type MenuCase, type Trouble } from '../support/menu-case.js';
import { findAll, pageFrom, sceneAt } from '../support/page.js';

/** Random menus and where they are in trouble; recorded with `npm run record:menus`. */
const cases = JSON.parse(readFileSync('tests/ladder/cases/menus.json', 'utf8')) as MenuCase[];

function troublesAt(page: Page, width: number): readonly Trouble[] {
  const scene = sceneAt(page, width);
  const rects = (selector: string) => findAll(page, selector).map((element) => scene.rect(element));
  return troublesOf(rects('li'), rects('.brand, .go'), { reach: scene.scrollSize.width, width });
}

describe('random menus wrap, overflow and collide over the very widths they do in a browser', () => {
  test.each(cases.map((one, i) => [`menu ${i}`, one] as const))('%s', (_name, one) => {
    const page = pageFrom(menuCasePage(one));
    const found = new Map<number, readonly Trouble[]>();
    const at = (width: number) => {
      if (!found.has(width)) found.set(width, troublesAt(page, width));
      return found.get(width)!;
    };
    const wrong: string[] = [];
    for (const trouble of TROUBLES) {
      const runs = one.ranges[trouble];
      const holds = (width: number) => runs.some(([from, to]) => width >= from && width <= to);
      const edges = runs.flatMap(([from, to]) => [from - 1, from, to, to + 1]);
      for (const width of new Set([MENU_WIDTHS.from, ...edges, MENU_WIDTHS.to])) {
        if (width < MENU_WIDTHS.from || width > MENU_WIDTHS.to) continue;
        if (at(width).includes(trouble) !== holds(width)) wrong.push(`${trouble} at ${width}`);
      }
    }
    expect(wrong).toEqual([]);
  });

  test('the menus are 300, and most are in some trouble', () => {
    expect(cases).toHaveLength(300);
    for (const trouble of TROUBLES)
      expect(cases.filter(({ ranges }) => ranges[trouble].length > 0).length).toBeGreaterThan(40);
  });
});
