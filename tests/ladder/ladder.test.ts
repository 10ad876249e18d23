import fc from 'fast-check';
import { joinRanges, withoutRanges, SourceText } from '../../src/core/base/index.js';
import {
  endsOf,
  firstBeyond,
  rungsAt,
  rungsOf,
  seamsOf,
  spread,
  stationsOf,
  type Rung,
} from '../../src/core/ladder/index.js';
import type { SheetThreshold } from '../../src/core/sheets/index.js';

const source = new SourceText('a.css', 'x');
const threshold = (
  px: number,
  side: 'from' | 'above',
  text = side === 'from' ? `(min-width: ${px}px)` : `(max-width: ${px}px)`,
): SheetThreshold => ({
  px,
  side,
  places: [{ text, span: { source, start: 0, end: 1 } }],
});
const bands = (rungs: readonly Rung[]) => rungs.map((r) => [r.from, r.to]);

describe('rungs', () => {
  test.each<[string, SheetThreshold[], [number, number][]]>([
    ['none', [], [[320, 1920]]],
    [
      'min-width begins at its value',
      [threshold(768, 'from')],
      [
        [320, 767],
        [768, 1920],
      ],
    ],
    [
      'max-width ends at its value',
      [threshold(767, 'above')],
      [
        [320, 767],
        [768, 1920],
      ],
    ],
    [
      'fractions',
      [threshold(767.98, 'above'), threshold(767.5, 'from')],
      [
        [320, 767],
        [768, 1920],
      ],
    ],
    [
      'both sides of one value',
      [threshold(600, 'from'), threshold(600, 'above')],
      [
        [320, 599],
        [600, 600],
        [601, 1920],
      ],
    ],
    ['outside the range', [threshold(100, 'from'), threshold(5000, 'above')], [[320, 1920]]],
    ['at the very start', [threshold(320, 'from')], [[320, 1920]]],
    [
      'at the very end',
      [threshold(1920, 'from')],
      [
        [320, 1919],
        [1920, 1920],
      ],
    ],
  ])('%s', (_name, thresholds, expected) => {
    expect(bands(rungsOf(thresholds, { from: 320, to: 1920 }))).toEqual(expected);
  });

  test('what begins a rung is told once for each place', () => {
    const [, second] = rungsOf(
      [threshold(768, 'from', '(min-width: 768px)'), threshold(767.98, 'above', '(max-width: 767.98px)')],
      { from: 320, to: 1000 },
    );
    expect(second!.starts).toEqual([
      { condition: '(min-width: 768px)', place: 'a.css:1:1', change: 'begins' },
      { condition: '(max-width: 767.98px)', place: 'a.css:1:1', change: 'ends' },
    ]);
  });

  test('rungs cover the range without gaps', () => {
    const one = fc.record({
      // Queries are read to the thousandth of a px, and thresholds with them.
      px: fc.integer({ min: 300_000, max: 2_000_000 }).map((thousandths) => thousandths / 1000),
      side: fc.constantFrom<'from' | 'above'>('from', 'above'),
    });
    fc.assert(
      fc.property(fc.array(one, { maxLength: 12 }), (list) => {
        const rungs = rungsOf(
          list.map((t) => threshold(t.px, t.side)),
          { from: 320, to: 1920 },
        );
        const joined = rungs.every(
          (r, i) => r.from <= r.to && (i === 0 ? r.from === 320 : r.from === rungs[i - 1]!.to + 1),
        );
        return (
          joined &&
          rungs.at(-1)!.to === 1920 &&
          list.every(
            (t) => firstBeyond(t) <= 320 || firstBeyond(t) > 1920 || rungs.some((r) => r.from === firstBeyond(t)),
          )
        );
      }),
    );
  });

  test('conditions that never hold on a screen make no rung', () => {
    const print = threshold(600, 'from', 'print and (min-width: 600px)');
    const touch = threshold(700, 'from', '(hover: none) and (min-width: 700px)');
    expect(bands(rungsOf([print, touch], { from: 320, to: 1920 }))).toEqual([
      [320, 699],
      [700, 1920],
    ]);
  });

  test('chosen widths', () => {
    const rungs = rungsOf([threshold(768, 'from')], { from: 320, to: 1920 });
    expect(bands(rungsAt(rungs, [1280, 375]))).toEqual([
      [375, 375],
      [1280, 1280],
    ]);
    expect(bands(rungsAt(rungs, [100]))).toEqual([[100, 100]]);
    expect(endsOf(rungs[0]!)).toEqual([320, 767]);
  });
});

describe('seams', () => {
  const seams = (...list: SheetThreshold[]) =>
    seamsOf([...list].sort((a, b) => a.px - b.px)).map((s) => [s.kind, s.from, s.to]);

  test.each<[string, SheetThreshold[], unknown[]]>([
    ['meeting to a hair', [threshold(767.98, 'above'), threshold(768, 'from')], []],
    ['a fraction', [threshold(767, 'above'), threshold(768, 'from')], [['fraction', 767, 768]]],
    ['a gap', [threshold(760, 'above'), threshold(768, 'from')], [['gap', 760, 768]]],
    ['both at one px', [threshold(768, 'above'), threshold(768, 'from')], [['overlap', 768, 768]]],
    ['both over some px', [threshold(770, 'above'), threshold(768, 'from')], [['overlap', 768, 770]]],
    ['far apart on purpose', [threshold(600, 'above'), threshold(900, 'from')], []],
    ['alone', [threshold(600, 'above')], []],
    ['only the nearest pair', [threshold(599.98, 'above'), threshold(600, 'from'), threshold(605, 'above')], []],
  ])('%s', (_name, list, expected) => {
    expect(seams(...list)).toEqual(expected);
  });

  test('both places are named', () => {
    const [seam] = seamsOf([threshold(767, 'above'), threshold(768, 'from')]);
    expect(seam).toMatchObject({
      lower: { condition: '(max-width: 767px)', place: 'a.css:1:1' },
      upper: { condition: '(min-width: 768px)' },
    });
  });
});

describe('over which widths something holds', () => {
  const rungs = rungsOf([threshold(600, 'from'), threshold(900, 'from')], { from: 320, to: 1200 });

  test.each<[string, (w: number) => boolean, [number, number][]]>([
    ['everywhere', () => true, [[320, 1200]]],
    ['nowhere', () => false, []],
    ['one rung', (w) => w >= 600 && w < 900, [[600, 899]]],
    ['the end lies inside a rung', (w) => w <= 437, [[320, 437]]],
    ['the start lies inside a rung', (w) => w >= 701, [[701, 1200]]],
    [
      'two pieces',
      (w) => w < 600 || w >= 1000,
      [
        [320, 599],
        [1000, 1200],
      ],
    ],
  ])('%s', (_name, holds, expected) => {
    expect(spread(rungs.map(endsOf), holds).map((r) => [r.from, r.to])).toEqual(expected);
  });

  test('a single change is found to the px', () => {
    fc.assert(
      fc.property(fc.integer({ min: 320, max: 1200 }), fc.boolean(), (edge, below) => {
        const holds = (w: number) => (below ? w <= edge : w >= edge);
        const ranges = spread(rungs.map(endsOf), holds);
        const covered = (w: number) => ranges.some((r) => r.from <= w && w <= r.to);
        return (
          covered(edge) &&
          [320, 599, 600, 899, 900, 1200, edge - 1, edge + 1].every(
            (w) => w < 320 || w > 1200 || covered(w) === holds(w),
          )
        );
      }),
    );
  });

  test('the widths at which a shape changes are found inside a rung', () => {
    const rung = { from: 320, to: 1400, starts: [] };
    const shape = (w: number) => (w < 571 ? 'two lines' : w < 903 ? 'one line' : 'one line, beside');
    expect(stationsOf(rung, shape)).toEqual([320, 570, 571, 902, 903, 1400]);
    expect(stationsOf({ ...rung, to: 320 }, shape)).toEqual([320]);
    expect(stationsOf(rung, () => 'the same')).toEqual([320, 1400]);
  });

  test('what holds between two changes only is found with its exact ends', () => {
    const runs = [[320, 570, 571, 902, 903, 1400]];
    expect(spread(runs, (w) => w > 570 && w < 903)).toEqual([{ from: 571, to: 902 }]);
    expect(spread(runs, (w) => w >= 600 && w < 903)).toEqual([{ from: 600, to: 902 }]);
  });

  test('touching ranges join', () => {
    expect(
      joinRanges([
        { from: 5, to: 9 },
        { from: 1, to: 4 },
        { from: 20, to: 30 },
      ]),
    ).toEqual([
      { from: 1, to: 9 },
      { from: 20, to: 30 },
    ]);
  });
});

test('what is left of ranges holds exactly the px that none of the others has', () => {
  const range = fc
    .tuple(fc.integer({ min: 0, max: 60 }), fc.integer({ min: 0, max: 20 }))
    .map(([from, more]) => ({ from, to: from + more }));
  const holds = (ranges: readonly { from: number; to: number }[], px: number) =>
    ranges.some(({ from, to }) => px >= from && px <= to);
  fc.assert(
    fc.property(fc.array(range, { maxLength: 5 }), fc.array(range, { maxLength: 5 }), (ranges, others) => {
      const left = withoutRanges(ranges, others);
      for (let px = 0; px <= 90; px++) expect(holds(left, px)).toBe(holds(ranges, px) && !holds(others, px));
      for (const [i, one] of left.entries()) expect(i === 0 || left[i - 1]!.to < one.from).toBe(true);
    }),
  );
});
