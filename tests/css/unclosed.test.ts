import { auditPage } from '../../src/core/index.js';
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

  test.each(['calc(', 'var(', 'var(--x', 'url(', 'rgb(', 'linear-gradient(', 'min(1px,', '"', 'calc(1%'])(
    'no end of it is an obstacle: %s',
    (css) => {
      for (const property of ['width', 'background', 'color', 'margin', 'transform', 'grid-template-columns'])
        expect(
          auditPage(pageFrom(`<nav><a href=a>A</a></nav><style>a{${property}:${css}}`), { at: [400] }).crashed,
        ).toEqual([]);
    },
  );
});
