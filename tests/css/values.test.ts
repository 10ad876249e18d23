import fc from 'fast-check';
import {
  BLACK,
  compose,
  contrastRatio,
  fade,
  luminance,
  parseColourText,
  parseComponents,
  printColour,
  printLength,
  printNumber,
  readAngle,
  readColour,
  readLength,
  readNumber,
  resolveLength,
  splitCommas,
  WHITE,
  type ComputeContext,
  type Rgba,
} from '../../src/core/css/index.js';

const context: ComputeContext = {
  fontSize: 20,
  rootFontSize: 16,
  lineHeight: 24,
  rootLineHeight: 18,
  xHeight: 9,
  capHeight: 11,
  zeroAdvance: 11,
  viewportWidth: 1000,
  viewportHeight: 500,
  containerWidth: 300,
  containerHeight: 200,
  currentColor: { r: 10, g: 20, b: 30, a: 1 },
  linkColor: null,
  bodyColor: { r: 0, g: 0, b: 0, a: 1 },
  dark: false,
  parentFontWeight: 400,
};

const item = (text: string) => parseComponents(text)[0];

describe('component values', () => {
  test.each([
    ['auto', [{ type: 'ident', name: 'auto', raw: 'auto' }]],
    ['AUTO', [{ type: 'ident', name: 'auto', raw: 'AUTO' }]],
    ['12px', [{ type: 'dimension', value: 12, unit: 'px' }]],
    ['-.5EM', [{ type: 'dimension', value: -0.5, unit: 'em' }]],
    ['50%', [{ type: 'percentage', value: 50 }]],
    ['1.5', [{ type: 'number', value: 1.5, integer: false }]],
    ['+7', [{ type: 'number', value: 7, integer: true }]],
    ['"a b"', [{ type: 'string', value: 'a b' }]],
    ['#fff', [{ type: 'hash', value: 'fff' }]],
    ['url(a.png)', [{ type: 'url', value: 'a.png' }]],
    [
      'a/b',
      [
        { type: 'ident', name: 'a', raw: 'a' },
        { type: 'delim', value: '/' },
        { type: 'ident', name: 'b', raw: 'b' },
      ],
    ],
    [
      'a/**/b',
      [
        { type: 'ident', name: 'a', raw: 'a' },
        { type: 'ident', name: 'b', raw: 'b' },
      ],
    ],
    ['1e3', [{ type: 'number', value: 1000, integer: false }]],
  ])('%s', (text, expected) => {
    expect(parseComponents(text)).toEqual(expected);
  });

  test('functions and blocks hold their arguments', () => {
    const [call] = parseComponents('rgb(1, 2, 3)');
    expect(call).toMatchObject({ type: 'function', name: 'rgb' });
    expect(splitCommas(call!.type === 'function' ? call.args : [])).toHaveLength(3);
    expect(parseComponents('[a b]')[0]).toMatchObject({ type: 'block', open: '[' });
  });

  test('any text gives components without an error', () => {
    fc.assert(fc.property(fc.string(), (text) => Array.isArray(parseComponents(text))));
  });
});

describe('lengths', () => {
  test.each([
    ['0', 0],
    ['12px', 12],
    ['1in', 96],
    ['2.54cm', 96],
    ['25.4mm', 96],
    ['72pt', 96],
    ['6pc', 96],
    ['101.6q', 96],
    ['2em', 40],
    ['2rem', 32],
    ['2ex', 18],
    ['2ch', 22],
    ['2lh', 48],
    ['2rlh', 36],
    ['10vw', 100],
    ['10vh', 50],
    ['10vmin', 50],
    ['10vmax', 100],
    ['10svw', 100],
    ['10dvh', 50],
    ['10lvmin', 50],
    ['10cqw', 30],
    ['10cqh', 20],
    ['calc(1em + 4px)', 24],
    ['calc(2 * (3px + 1rem))', 38],
    ['min(10px, 1em)', 10],
    ['max(10px, 1em)', 20],
    ['clamp(5px, 1em, 12px)', 12],
    ['calc(100px / 4)', 25],
    ['round(13px, 5px)', 15],
    ['abs(-7px)', 7],
    ['hypot(3px, 4px)', 5],
    ['calc(10vw - 1em)', 80],
  ])('%s is %d px', (text, expected) => {
    expect(readLength(item(text))!(context).px).toBeCloseTo(expected, 6);
  });

  test.each([['5'], ['auto'], ['1deg'], ['calc(1px + 2)'], ['calc(1px * 1px)'], ['"4px"'], ['calc()'], ['4parsecs']])(
    '%s is no length',
    (text) => {
      expect(readLength(item(text))).toBeNull();
    },
  );

  test.each([
    ['50%', 200, 100],
    ['calc(50% + 10px)', 200, 110],
    ['calc(100% - 2em)', 200, 160],
    ['min(50%, 80px)', 200, 80],
    ['max(50%, 80px)', 200, 100],
    ['clamp(10px, 10%, 15px)', 200, 15],
  ])('%s of %d px is %d px', (text, basis, expected) => {
    expect(resolveLength(readLength(item(text))!(context), basis)).toBeCloseTo(expected, 6);
  });

  test('percentages of an unknown basis stay unknown', () => {
    expect(resolveLength(readLength(item('50%'))!(context), NaN)).toBeNaN();
    expect(resolveLength(readLength(item('min(50%, 10px)'))!(context), NaN)).toBeNaN();
  });

  test.each<[string, string]>([
    ['min(20%, 3em)', 'min(20%, 60px)'],
    ['max(0px, 50% - 10px)', 'max(0px, 50% - 10px)'],
    ['min(1em + 100%, max(20%, 4px))', 'min(100% + 20px, max(20%, 4px))'],
    ['calc(min(10%, 20px) - 1em)', 'calc(-20px + min(10%, 20px))'],
    ['calc(100% - max(10px, 5%) * 2)', 'calc(100% - (2 * max(10px, 5%)))'],
    ['calc(min(10%, 5px) / 2 + max(10px, 5%))', 'calc((0.5 * min(10%, 5px)) + max(10px, 5%))'],
    ['clamp(none, 50%, 10px)', 'min(50%, 10px)'],
    ['max(calc(10% + 5px))', 'calc(10% + 5px)'],
    ['round(up, 33%, 10px)', 'round(up, 33%, 10px)'],
    ['min((100% - 20px) / 3, 200px)', 'min(33.3333% - 6.66667px, 200px)'],
  ])('%s is told as %s', (text, expected) => {
    expect(printLength(readLength(item(text), { negative: false })!(context))).toBe(expected);
  });

  test('negative values are refused where asked', () => {
    expect(readLength(item('-1px'), { negative: false })).toBeNull();
    expect(readLength(item('-1%'), { negative: false })).toBeNull();
    expect(readLength(item('calc(-1px)'), { negative: false })!(context).px).toBe(0);
  });

  test('bare numbers are px only where quirks allow it', () => {
    expect(readLength(item('5'), { unitless: true })!(context).px).toBe(5);
  });

  test.each([
    ['10px', '10px'],
    ['0', '0px'],
    ['50%', '50%'],
    ['calc(50% + 10px)', 'calc(50% + 10px)'],
    ['calc(50% - 10px)', 'calc(50% - 10px)'],
  ])('%s prints as %s', (text, expected) => {
    expect(printLength(readLength(item(text))!(context))).toBe(expected);
  });

  test('numbers print with six digits at most', () => {
    expect(printNumber(1 / 3)).toBe('0.333333');
    expect(printNumber(1234567.8)).toBe('1234570');
    expect(printNumber(-0)).toBe('0');
  });

  test('sums of px resolve to their sum', () => {
    const px = fc.integer({ min: -1000, max: 1000 });
    fc.assert(
      fc.property(px, px, (a, b) => {
        const value = readLength(item(`calc(${a}px + ${b}px)`));
        return Math.abs(value!(context).px - (a + b)) < 1e-6;
      }),
      { numRuns: 50 },
    );
  });
});

describe('numbers and angles', () => {
  test.each([
    ['1.5', 1.5],
    ['calc(1 + 2)', 3],
    ['max(2, 5)', 5],
  ])('%s is %d', (text, expected) => {
    expect(readNumber(item(text))!(context)).toBeCloseTo(expected, 6);
  });

  test('percentages count where asked', () => {
    expect(readNumber(item('40%'))).toBeNull();
    expect(readNumber(item('40%'), { percent: true })!(context)).toBeCloseTo(0.4);
  });

  test('integers refuse fractions and keep bounds', () => {
    expect(readNumber(item('1.5'), { integer: true })).toBeNull();
    expect(readNumber(item('-1'), { min: 0 })).toBeNull();
  });

  test.each([
    ['90deg', 90],
    ['0.25turn', 90],
    ['100grad', 90],
    ['calc(45deg * 2)', 90],
    ['0', 0],
  ])('%s is %d degrees', (text, expected) => {
    expect(readAngle(item(text))!(context)).toBeCloseTo(expected, 4);
  });
});

describe('colours', () => {
  test.each([
    ['#fff', 'rgb(255, 255, 255)'],
    ['#12345678', 'rgba(18, 52, 86, 0.47)'],
    ['red', 'rgb(255, 0, 0)'],
    ['RebeccaPurple', 'rgb(102, 51, 153)'],
    ['transparent', 'rgba(0, 0, 0, 0)'],
    ['currentColor', 'rgb(10, 20, 30)'],
    ['rgb(1 2 3 / 50%)', 'rgba(1, 2, 3, 0.5)'],
    ['rgba(1,2,3,.25)', 'rgba(1, 2, 3, 0.25)'],
    ['hsl(120, 100%, 25%)', 'rgb(0, 128, 0)'],
    ['hsl(120deg 100% 25% / .5)', 'rgba(0, 128, 0, 0.5)'],
    ['hwb(0 0% 0%)', 'rgb(255, 0, 0)'],
    ['color(srgb 1 0 0)', 'rgb(255, 0, 0)'],
    ['color-mix(in srgb, red, blue)', 'rgb(128, 0, 128)'],
    ['color-mix(in srgb, currentColor, white)', 'rgb(133, 138, 143)'],
    ['rgb(from #ff0000 r g b / 50%)', 'rgba(255, 0, 0, 0.5)'],
    ['light-dark(#111, #eee)', 'rgb(17, 17, 17)'],
    ['canvastext', 'rgb(0, 0, 0)'],
    ['ButtonFace', 'rgb(239, 239, 239)'],
    ['windowtext', 'rgb(0, 0, 0)'],
    ['ThreeDFace', 'rgb(239, 239, 239)'],
    ['InactiveCaptionText', 'rgb(128, 128, 128)'],
    ['color-mix(in srgb, Window 50%, WindowText)', 'rgb(128, 128, 128)'],
  ])('%s is %s', (text, expected) => {
    expect(printColour(readColour(item(text))!(context))).toBe(expected);
  });

  test('dark schemes take the other colour', () => {
    expect(printColour(readColour(item('light-dark(#111, #eee)'))!({ ...context, dark: true }))).toBe(
      'rgb(238, 238, 238)',
    );
    expect(printColour(readColour(item('canvas'))!({ ...context, dark: true }))).toBe('rgb(18, 18, 18)');
  });

  test.each([['#12345'], ['nosuchcolour'], ['12px'], ['rgb(1,2)'], ['light-dark(red)'], ['url(red)']])(
    '%s is no colour',
    (text) => {
      expect(readColour(item(text))).toBeNull();
    },
  );

  const channel = fc.integer({ min: 0, max: 255 });
  const opaque = fc.record({ r: channel, g: channel, b: channel, a: fc.constant(1) });

  test('hex colours come back as they went in', () => {
    fc.assert(
      fc.property(opaque, ({ r, g, b }) => {
        const hex = `#${[r, g, b].map((v) => v.toString(16).padStart(2, '0')).join('')}`;
        const read = parseColourText(hex)!;
        return read.r === r && read.g === g && read.b === b && read.a === 1;
      }),
    );
  });

  test('an opaque colour covers what is beneath, a clear one leaves it', () => {
    fc.assert(
      fc.property(opaque, opaque, (over, under) => {
        const same = (x: Rgba, y: Rgba) => Math.abs(x.r - y.r) + Math.abs(x.g - y.g) + Math.abs(x.b - y.b) < 1e-9;
        return same(compose(over, under), over) && same(compose(fade(over, 0), under), under);
      }),
    );
  });

  test('contrast is symmetric, between 1 and 21', () => {
    fc.assert(
      fc.property(opaque, opaque, (a, b) => {
        const ratio = contrastRatio(a, b);
        return ratio >= 1 && ratio <= 21.001 && Math.abs(ratio - contrastRatio(b, a)) < 1e-12;
      }),
    );
  });

  test('known contrasts', () => {
    expect(contrastRatio(BLACK, WHITE)).toBeCloseTo(21, 5);
    expect(contrastRatio(parseColourText('#767676')!, WHITE)).toBeCloseTo(4.54, 2);
    expect(luminance(WHITE)).toBeCloseTo(1, 5);
    expect(printColour(compose(parseColourText('rgba(0,0,0,.5)')!, WHITE))).toBe('rgb(128, 128, 128)');
  });
});
