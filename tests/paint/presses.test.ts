import type { ElementNode } from '../../src/core/index.js';
import { PRESS_SIZE, pressPage, reachedOn } from '../support/press-case.js';
import { pageFrom, sceneAt } from '../support/page.js';
import { cases } from './cases/presses.js';

describe('presses reach what they reach in a browser', () => {
  test.each(cases.map((one) => [one.name, one] as const))('%s', (_name, one) => {
    const page = pageFrom(pressPage(one));
    const toggled = new Map<ElementNode, boolean>((one.shown ?? []).map((id) => [page.document.byId(id)!, true]));
    const { width, height } = PRESS_SIZE;
    const scroll = { x: 0, y: one.scroll ?? 0 };
    const scene = sceneAt(page, width, { height, scroll, ...(toggled.size > 0 ? { pose: { toggled } } : {}) });
    expect(one.reached.length).toBeGreaterThan(0);
    expect(reachedOn(scene, scroll.y)).toEqual(one.reached);
  });
});
