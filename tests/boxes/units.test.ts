import fc from 'fast-check';
import { px } from '../../src/core/css/index.js';
import type { Box } from '../../src/core/boxes/box.js';
import { distribute } from '../../src/core/boxes/contexts/distribute.js';
import { sizeTracks, type Demand } from '../../src/core/boxes/contexts/grid-tracks.js';
import { makeFragment } from '../../src/core/boxes/fragment.js';
import { edgesToFlow, edgesToPage, physicalStart, type Mode } from '../../src/core/boxes/flows/modes.js';
import { turnFragment } from '../../src/core/boxes/flows/turn.js';
import { counterText } from '../../src/core/boxes/generate/counter-styles.js';
import { splitFirstLetter } from '../../src/core/boxes/generate/first-letter.js';
import { alignmentOf, edgeOf, offsetTo, startEdge } from '../../src/core/boxes/used/alignment.js';

const MODES: readonly Mode[] = ['horizontal-tb', 'vertical-rl', 'vertical-lr', 'sideways-rl', 'sideways-lr'];
const mode = fc.constantFrom(...MODES);
const length = fc.integer({ min: 0, max: 500 });
const box = { id: 1 } as unknown as Box;

describe('flows', () => {
  test('edges come back as they were', () => {
    fc.assert(
      fc.property(mode, length, length, length, length, (m, top, right, bottom, left) => {
        const edges = { top, right, bottom, left };
        expect(edgesToFlow(edgesToPage(edges, m), m)).toEqual(edges);
      }),
    );
  });

  test('a fragment turned there and back lies where it lay', () => {
    fc.assert(
      fc.property(mode, mode, length, length, length, length, (from, to, width, height, x, y) => {
        const inner = makeFragment({ box, width: 30, height: 10 });
        const outer = makeFragment({
          box,
          width,
          height,
          children: [{ fragment: inner, x, y }],
          outOfFlow: [{ box, x, y, alignX: 'end', alignY: 'start', inlineContainer: null }],
        });
        const back = turnFragment(turnFragment(outer, from, to), to, from);
        expect([back.width, back.height]).toEqual([width, height]);
        expect(back.children[0]).toMatchObject({ x, y, fragment: { width: 30, height: 10 } });
        expect(back.outOfFlow[0]).toMatchObject({ x, y, alignX: 'end', alignY: 'start' });
      }),
    );
  });

  test.each<['inline' | 'block', Mode, boolean, string]>([
    ['inline', 'horizontal-tb', false, 'left'],
    ['inline', 'horizontal-tb', true, 'right'],
    ['block', 'horizontal-tb', true, 'top'],
    ['inline', 'vertical-rl', false, 'top'],
    ['block', 'vertical-rl', false, 'right'],
    ['block', 'vertical-lr', true, 'left'],
    ['inline', 'sideways-lr', false, 'bottom'],
  ])('%s start of %s, rtl %s: %s', (axis, m, rtl, side) => {
    expect(physicalStart(axis, m, rtl, m)).toBe(side);
  });
});

describe('alignment', () => {
  const flow = (m: Mode, rtl = false) => ({ mode: m, rtl });
  test.each<[string, 'inline' | 'block', boolean, Mode, string]>([
    ['start', 'inline', false, 'horizontal-tb', 'low'],
    ['start', 'inline', true, 'horizontal-tb', 'high'],
    ['flex-end', 'inline', true, 'horizontal-tb', 'low'],
    ['left', 'inline', true, 'horizontal-tb', 'low'],
    ['right', 'block', false, 'horizontal-tb', 'low'],
    ['self-start', 'inline', true, 'horizontal-tb', 'low'],
    ['self-end', 'inline', false, 'vertical-rl', 'low'],
    ['unsafe center', 'block', false, 'horizontal-tb', 'center'],
    ['last baseline', 'block', false, 'horizontal-tb', 'last baseline'],
    ['legacy', 'inline', false, 'horizontal-tb', 'normal'],
  ])('%s along the %s axis, rtl %s, own flow %s: %s', (value, axis, rtl, own, expected) => {
    expect(alignmentOf(value, axis, flow('horizontal-tb', rtl), flow(own)).to).toBe(expected);
  });

  test('whatever is not an edge comes down to one', () => {
    const start = startEdge('inline', flow('horizontal-tb', true));
    expect(start).toBe('high');
    expect(
      (['normal', 'stretch', 'baseline', 'last baseline', 'center'] as const).map((to) =>
        edgeOf({ to, safe: null }, start),
      ),
    ).toEqual(['high', 'high', 'high', 'low', 'center']);
    expect((['low', 'center', 'high'] as const).map((edge) => offsetTo(edge, 10))).toEqual([0, 5, 10]);
  });

  test('spreading leaves equal room and stays inside', () => {
    const values = fc.constantFrom('space-between', 'space-around', 'space-evenly', 'center', 'flex-end', 'flex-start');
    fc.assert(
      fc.property(values, length, fc.integer({ min: 1, max: 9 }), (value, spare, count) => {
        const { offset, between } = distribute(value, spare, count);
        const after = spare - offset - between * (count - 1);
        expect(offset).toBeGreaterThanOrEqual(0);
        expect(after).toBeGreaterThanOrEqual(-1e-9);
        if (value === 'space-evenly') expect(after).toBeCloseTo(offset, 6);
        if (value === 'space-between' && count > 1) expect(after).toBeCloseTo(0, 6);
      }),
    );
  });
});

describe('grid tracks', () => {
  const fr = (n: number) => ({ min: 'auto', max: { fr: n }, fit: null }) as const;
  const auto = { min: 'auto', max: 'auto', fit: null } as const;
  const demand = (start: number, end: number, size: number): Demand => ({
    start,
    end,
    least: size,
    min: size,
    max: size * 2,
    automatic: true,
    floor: 0,
  });
  const sum = (list: readonly number[]) => list.reduce((a, b) => a + b, 0);
  const rest = { collapsed: [], gap: 0, constraint: 'none', stretches: false } as const;

  test('flexible tracks fill what there is in their proportions', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 1, max: 9 }), { minLength: 1, maxLength: 6 }),
        length,
        (factors, available) => {
          const sizes = sizeTracks({ ...rest, sizes: factors.map(fr), demands: [], available });
          expect(sum(sizes)).toBeCloseTo(available, 4);
          const part = available / sum(factors);
          // Tracks end at 64ths of a px.
          sizes.forEach((size, i) => expect(Math.abs(size - part * factors[i]!)).toBeLessThan(1 / 64 + 1e-6));
        },
      ),
    );
  });

  test('what an item needs it gets from the tracks it spans', () => {
    const spans = fc.array(fc.tuple(fc.integer({ min: 0, max: 3 }), fc.integer({ min: 1, max: 2 }), length), {
      maxLength: 8,
    });
    fc.assert(
      fc.property(spans, fc.integer({ min: 0, max: 9 }), (items, gap) => {
        const demands = items.map(([start, span, size]) => demand(start, Math.min(4, start + span), size));
        const sizes = sizeTracks({ ...rest, sizes: [auto, auto, auto, auto], gap, demands, available: NaN });
        for (const { start, end, least } of demands)
          expect(sum(sizes.slice(start, end)) + gap * (end - start - 1)).toBeGreaterThanOrEqual(least - 1e-6);
      }),
    );
  });

  test.each<[string, Parameters<typeof sizeTracks>[0]['sizes'], readonly Demand[], number, readonly number[]]>([
    ['fixed and flexible', [{ min: px(50), max: px(50), fit: null }, fr(1)], [], 200, [50, 150]],
    ['a flexible track keeps its least', [fr(1), fr(1)], [demand(0, 1, 150)], 200, [150, 50]],
    ['between a least and a most', [{ min: px(20), max: px(80), fit: null }, auto], [demand(1, 2, 30)], 130, [70, 60]],
    ['fit-content stops at its argument', [{ min: 'auto', max: 'auto', fit: px(40) }], [demand(0, 1, 30)], 500, [40]],
    [
      'narrowest and widest',
      [
        { min: 'min-content', max: 'min-content', fit: null },
        { min: 'max-content', max: 'max-content', fit: null },
      ],
      [demand(0, 1, 30), demand(1, 2, 30)],
      500,
      [30, 60],
    ],
  ])('%s', (_, sizes, demands, available, expected) => {
    expect(sizeTracks({ ...rest, sizes, demands, available }).map((v) => Math.round(v))).toEqual(expected);
  });
});

test.each<[number, string, string]>([
  [4, 'decimal', '4'],
  [4, 'decimal-leading-zero', '04'],
  [-4, 'decimal-leading-zero', '-04'],
  [28, 'lower-alpha', 'ab'],
  [0, 'lower-alpha', '0'],
  [1994, 'upper-roman', 'MCMXCIV'],
  [4000, 'upper-roman', '4000'],
  [24, 'lower-greek', 'ω'],
  [15, 'hebrew', 'טו'],
  [12, 'georgian', 'იბ'],
  [3, 'disc', '•'],
  [3, 'none', ''],
  [42, 'arabic-indic', '٤٢'],
])('counter %d in %s is “%s”', (value, style, expected) => {
  expect(counterText(value, style)).toBe(expected);
});

test.each<[string, readonly [string, string, string] | null]>([
  ['Over', ['', 'O', 'ver']],
  ['  “Over', ['  ', '“O', 'ver']],
  ['(1) One', ['', '(1)', ' One']],
  ['é́t', ['', 'é́', 't']],
  ['– dash', null],
  ['', null],
])('first letter of “%s”', (text, expected) => {
  const found = splitFirstLetter(text);
  expect(found && [found.space, found.letter, found.rest]).toEqual(expected);
});
