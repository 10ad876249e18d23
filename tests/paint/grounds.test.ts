import { BLACK } from '../../src/core/css/index.js';
import { GROUND_POINTS, groundPage } from '../support/ground-case.js';
import { pageFrom, sceneAt } from '../support/page.js';
import { cases } from './cases/grounds.js';

/** How far a channel may be off: browsers step through colours and draw soft edges. */
const TOLERANCE = 4;

describe('grounds are coloured as a browser colours them', () => {
  test.each(cases.map((one) => [one.name, one] as const))('%s', (_name, one) => {
    expect(one.points).toHaveLength(GROUND_POINTS.length);
    const scene = sceneAt(pageFrom(groundPage(one)), 200, { height: 100 });
    const last = scene.items[scene.items.length - 1]!;
    const over = { ...last, index: scene.items.length };
    const wrong = one.points.flatMap(([x, y, ...expected]) => {
      const { colours, unknown } = scene.backdrop({ x: x + 0.5, y: y + 0.5 }, over, null);
      const { r, g, b } = colours[0] ?? BLACK;
      const off = [r, g, b].some((v, i) => Math.abs(v - expected[i]!) > TOLERANCE);
      return off || colours.length > 1 || unknown.length > 0
        ? [`${x},${y}: ${expected.join(' ')} got ${[r, g, b].map(Math.round).join(' ')} (${colours.length})`]
        : [];
    });
    expect(wrong).toEqual([]);
  });
});
