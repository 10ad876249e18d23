import type { ElementNode } from '../../src/core/index.js';
import { PRESS_COLUMNS, pressPage, pressPoint } from '../support/press-case.js';
import { pageFrom, sceneAt } from '../support/page.js';
import { cases } from './cases/presses.js';

describe('presses reach what they reach in a browser', () => {
  test.each(cases.map((one) => [one.name, one] as const))('%s', (_name, one) => {
    const page = pageFrom(pressPage(one));
    const toggled = new Map<ElementNode, boolean>((one.shown ?? []).map((id) => [page.document.byId(id)!, true]));
    const scroll = { x: 0, y: one.scroll ?? 0 };
    const scene = sceneAt(page, 200, { height: 120, scroll, ...(toggled.size > 0 ? { pose: { toggled } } : {}) });
    const reached = one.reached.map((_, row) =>
      Array.from({ length: PRESS_COLUMNS }, (_column, column) => {
        const { x, y } = pressPoint(column, row);
        return scene.hit(x, y + scroll.y)?.id ?? '-';
      }).join(' '),
    );
    expect(reached.length).toBeGreaterThan(0);
    expect(reached).toEqual(one.reached);
  });
});
