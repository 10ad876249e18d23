import fc from 'fast-check';
import { auditPage } from '../../src/core/index.js';
import { parseComponents, sourceOf } from '../../src/core/css/index.js';
import { boxOf, pageFrom } from '../support/page.js';

/** A page whose sheet ends in the middle of something. */
const cut = (css: string) =>
  pageFrom(`<!doctype html><p>x</p><nav><a href=a>A</a></nav><style>p{width:50px}p{width:${css}</style>`);

describe('what the end of a sheet closes', () => {
  test.each<[string, number]>([
    ['calc(100px', 100],
    ['calc(1px + (99px', 100],
    ['min(100px, 200px', 100],
    ['100px', 100],
    ['calc(', 50],
    ['calc(1px +', 50],
    ['clamp(', 50],
  ])('%s', (css, width) => {
    expect(boxOf(cut(css), 'p')![2]).toBe(width);
  });

  test.each([
    'calc(',
    'var(',
    'var(--x',
    'url(',
    'rgb(',
    'linear-gradient(',
    'min(1px,',
    '"',
    'calc(1%',
    'x(a]',
    'min(1px, "a)',
    'cubic-bezier(1, "',
    ') f(',
  ])('no end of it is an obstacle: %s', (css) => {
    for (const property of [
      'width',
      'background',
      'color',
      'margin',
      'transform',
      'grid-template-columns',
      'transition',
      'content',
    ])
      expect(
        auditPage(pageFrom(`<nav><a href=a>A</a></nav><style>a{${property}:${css}}`), { at: [400] }).crashed,
      ).toEqual([]);
  });

  test('whatever is left open can be written out again', () => {
    const parts = ['f(', 'a', ')', '(', '[', ']', '{', '}', '"', "'", ' ', ',', '1px', '\\', '/*', 'url(', 'var(--x'];
    fc.assert(
      fc.property(fc.array(fc.constantFrom(...parts), { maxLength: 6 }), (text) => {
        expect(typeof sourceOf(parseComponents(text.join('')))).toBe('string');
      }),
      { numRuns: 2000 },
    );
  });
});
