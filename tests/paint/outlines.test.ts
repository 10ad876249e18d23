import fc from 'fast-check';
import { insideOutline, outlineBounds, type Outline } from '../../src/core/paint/outlines.js';
import { tileAt, type Tiling } from '../../src/core/paint/tiles.js';

/** Layout works in 64ths of a px. */
const units = (min: number, max: number) => fc.integer({ min: min * 64, max: max * 64 }).map((v) => v / 64);
const length = units(1, 300);
const place = units(-200, 400);
const rect = fc.record({ x: place, y: place, width: length, height: length });
const outlines: fc.Arbitrary<Outline> = fc.oneof(
  fc.record({ kind: fc.constant('ellipse' as const), x: place, y: place, rx: length, ry: length }),
  fc.record({
    kind: fc.constant('polygon' as const),
    points: fc.array(fc.tuple(place, place), { minLength: 3, maxLength: 8 }),
    evenOdd: fc.boolean(),
  }),
  fc.record({ rect, rx: units(0, 150), ry: units(0, 150) }).map(({ rect: r, rx, ry }): Outline => {
    const corner = [Math.min(rx, r.width / 2), Math.min(ry, r.height / 2)] as const;
    return { kind: 'rounded', rect: r, radii: [corner, corner, corner, corner] };
  }),
);

describe('outlines', () => {
  test('what lies inside lies within the bounds', () => {
    fc.assert(
      fc.property(outlines, place, place, (outline, x, y) => {
        const { x: left, y: top, width, height } = outlineBounds(outline);
        if (insideOutline(outline, x, y))
          expect(x >= left && y >= top && x <= left + width && y <= top + height).toBe(true);
      }),
    );
  });

  test('the middle of a round box is inside, its corners are not', () => {
    fc.assert(
      fc.property(rect, (r) => {
        const half = [r.width / 2, r.height / 2] as const;
        const outline: Outline = { kind: 'rounded', rect: r, radii: [half, half, half, half] };
        expect(insideOutline(outline, r.x + half[0], r.y + half[1])).toBe(true);
        expect(insideOutline(outline, r.x + r.width * 0.02, r.y + r.height * 0.02)).toBe(false);
      }),
    );
  });

  test('a polygon without crossings is the same by either rule', () => {
    const points = [
      [0, 0],
      [100, 0],
      [100, 60],
      [0, 60],
    ] as const;
    fc.assert(
      fc.property(place, place, (x, y) => {
        const by = (evenOdd: boolean) => insideOutline({ kind: 'polygon', points, evenOdd }, x, y);
        expect(by(true)).toBe(by(false));
        if (x > 0 && x < 100 && y > 0 && y < 60) expect(by(true)).toBe(true);
        if (x < 0 || x > 100 || y < 0 || y > 60) expect(by(true)).toBe(false);
      }),
    );
  });
});

describe('tiles', () => {
  const tiling: fc.Arbitrary<Tiling> = fc.record({
    clip: rect,
    tile: rect,
    stepX: fc.option(length, { nil: null }),
    stepY: fc.option(length, { nil: null }),
  });

  test('a tile that is found holds the point, inside the clip', () => {
    fc.assert(
      fc.property(tiling, place, place, (t, x, y) => {
        const found = tileAt(t, x, y);
        if (!found) return;
        expect(x >= found.x && y >= found.y && x <= found.x + found.width && y <= found.y + found.height).toBe(true);
        expect(x >= t.clip.x && y >= t.clip.y && x <= t.clip.x + t.clip.width).toBe(true);
        expect([found.width, found.height]).toEqual([t.tile.width, t.tile.height]);
      }),
    );
  });

  test('tiles side by side leave no gap', () => {
    fc.assert(
      fc.property(rect, place, place, (tile, x, y) => {
        const clip = { x: -1000, y: -1000, width: 3000, height: 3000 };
        expect(tileAt({ clip, tile, stepX: tile.width, stepY: tile.height }, x, y)).not.toBeNull();
      }),
    );
  });
});
