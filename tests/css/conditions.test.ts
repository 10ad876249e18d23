import { computedOf } from '../support/computed.js';
import { compileMedia, supports, type Medium } from '../../src/core/css/index.js';

const medium: Medium = {
  width: 800,
  height: 600,
  hover: true,
  pointer: 'fine',
  scripting: true,
  dark: false,
  reducedMotion: false,
  print: false,
};
const holds = (text: string, change: Partial<Medium> = {}) => compileMedia(text).evaluate({ ...medium, ...change });

describe('media queries', () => {
  test.each<[string, boolean]>([
    ['', true],
    ['all', true],
    ['screen', true],
    ['print', false],
    ['not print', true],
    ['only screen', true],
    ['tty', false],
    ['(min-width: 800px)', true],
    ['(min-width: 801px)', false],
    ['(max-width: 799.98px)', false],
    ['(width: 800px)', true],
    ['(width >= 50em)', true],
    ['(width > 50em)', false],
    ['(400px <= width < 900px)', true],
    ['(900px > width)', true],
    ['screen and (min-width: 30em) and (max-width: 60em)', true],
    ['(min-width: 900px), (min-height: 500px)', true],
    ['not all and (min-width: 900px)', true],
    ['not (min-width: 900px)', true],
    ['(min-width: 100px) or (min-width: 9000px)', true],
    ['(not (hover)) or (pointer: fine)', true],
    ['(orientation: landscape)', true],
    ['(aspect-ratio: 4/3)', true],
    ['(min-aspect-ratio: 16/9)', false],
    ['(hover: hover)', true],
    ['(any-hover: none)', false],
    ['(pointer: coarse)', false],
    ['(prefers-color-scheme: dark)', false],
    ['(prefers-reduced-motion: reduce)', false],
    ['(prefers-reduced-motion)', false],
    ['(color)', true],
    ['(monochrome)', false],
    ['(resolution: 1dppx)', true],
    ['(min-resolution: 2dppx)', false],
    ['(-webkit-min-device-pixel-ratio: 1.5)', false],
    ['(scripting: enabled)', true],
    ['(min-width: calc(40em + 10px))', true],
    ['(unknown-feature: 3)', false],
    ['not (unknown-feature: 3)', false],
    ['(min-width: 5parsecs)', false],
    ['(min-width)', false],
    ['screen and', false],
    ['((((', false],
    ['(min-width: 100px) and (max-width: 200px) or (color)', false],
  ])('%s is %s', (text, expected) => {
    expect(holds(text)).toBe(expected);
  });

  test('the visitor decides', () => {
    expect(holds('(hover: none) and (pointer: coarse)', { hover: false, pointer: 'coarse' })).toBe(true);
    expect(holds('(prefers-color-scheme: dark)', { dark: true })).toBe(true);
    expect(holds('(scripting: none)', { scripting: false })).toBe(true);
    expect(holds('print and (min-width: 100px)', { print: true })).toBe(true);
  });

  test.each<[string, { px: number; side: string }[]]>([
    ['(min-width: 48em)', [{ px: 768, side: 'from' }]],
    ['(max-width: 767.98px)', [{ px: 767.98, side: 'above' }]],
    ['(width > 600px)', [{ px: 600, side: 'above' }]],
    ['(width < 600px)', [{ px: 600, side: 'from' }]],
    [
      '(400px <= width <= 900px)',
      [
        { px: 400, side: 'from' },
        { px: 900, side: 'above' },
      ],
    ],
    ['(min-height: 500px)', []],
    ['not all and (min-width: 30rem)', [{ px: 480, side: 'from' }]],
  ])('thresholds of %s', (text, expected) => {
    expect(compileMedia(text).thresholds).toEqual(expected);
  });

  test('truth changes exactly at the thresholds', () => {
    const query = compileMedia('(min-width: 600px) and (max-width: 899.5px)');
    const truths = [599, 600, 899, 900].map((width) => query.evaluate({ ...medium, width }));
    expect(truths).toEqual([false, true, true, false]);
  });
});

describe('@supports', () => {
  test.each<[string, boolean]>([
    ['(display: grid)', true],
    ['(display: nonsense)', false],
    ['(nonsense: 1)', false],
    ['not (display: grid)', false],
    ['(display: grid) and (color: red)', true],
    ['(display: nope) or (color: red)', true],
    ['((display: flex))', true],
    ['(--anything: x)', true],
    ['(color: var(--x))', true],
    ['selector(a:has(b))', true],
    ['selector(:nonsense)', false],
    ['(display: grid) and (color: red) or (color: blue)', false],
    ['font-tech(variations)', true],
    ['(width: min(10px, 5%))', true],
    ['(color: color-mix(in srgb, red, blue))', true],
    ['(position: sticky)', true],
    ['(font-variation-settings: normal)', true],
    ['(font-weight: bolder) and (font-size: larger)', true],
    ['(font-format(woff2))', true],
    ['(scroll-snap-type: x mandatory)', true],
    ['(shape-outside: circle(50%))', true],
    ['(scroll-snap-type: {})', false],
    ['(container: card/inline-size)', true],
    ['(position: -webkit-sticky)', false],
    ['selector(a:local-link)', false],
    ['at-rule(@container)', true],
    ['at-rule(@nonsense)', false],
    ['unknown(thing)', false],
    ['', false],
    ['(', false],
  ])('%s is %s', (text, expected) => {
    expect(supports(text)).toBe(expected);
  });
});

test('what is nested beyond measure is malformed', () => {
  const deep = (inner: string) => '('.repeat(20_000) + inner + ')'.repeat(20_000);
  expect(holds(deep('min-width: 1px'))).toBe(false);
  expect(supports(deep('color: red'))).toBe(false);
  expect(supports(`(width: ${'calc('.repeat(20_000)}1px${')'.repeat(20_000)})`)).toBe(false);
  expect(computedOf(`width: ${'calc('.repeat(20_000)}1px${')'.repeat(20_000)}`).width).toBe('auto');
});
