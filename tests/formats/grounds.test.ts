import { Resvg } from '@resvg/resvg-js';
import { framesOf } from '../../src/core/index.js';
import { drawSheet } from '../../src/formats/index.js';
import { shippedOutlines, type ShippedOutlines } from '../../src/sources/index.js';
import { cases } from '../paint/cases/grounds.js';
import { groundPage } from '../support/ground-case.js';
import { pageFrom } from '../support/page.js';

let outlines: ShippedOutlines;
beforeAll(async () => {
  outlines = await shippedOutlines();
});

/** Where a picture drawn alone begins on its sheet, px. */
const AT = { x: 24, y: 104 };
/** Stripes with hard edges and wedges of conic gradients may be off by a neighbouring colour at few points. */
const TOLERANCE = 10;

// Drawings leave out what is done to the picture behind a box.
const drawn = cases.filter(({ css }) => !css.includes('backdrop-filter'));

describe('grounds are drawn as a browser paints them', () => {
  test.each(drawn.map((one) => [one.name, one] as const))('%s', (_name, one) => {
    const page = pageFrom(groundPage(one));
    const frames = framesOf(page, { from: 200, to: 200, height: 100, widths: [200], region: 'screen' });
    const { svg } = drawSheet(page, frames.slice(0, 1), { marks: [], pins: () => [], legend: [] }, outlines);
    const { pixels, width } = new Resvg(svg).render();
    const wrong = one.points.flatMap(([x, y, ...expected]) => {
      const start = ((AT.y + y) * width + AT.x + x) * 4;
      const got = [...pixels.subarray(start, start + 3)];
      return got.some((v, i) => Math.abs(v - expected[i]!) > TOLERANCE)
        ? [`${x},${y}: ${expected.join(' ')} got ${got.join(' ')}`]
        : [];
    });
    expect(wrong).toEqual([]);
  });
});
