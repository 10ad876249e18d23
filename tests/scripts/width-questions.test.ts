import { auditPage, SourceText } from '../../src/core/index.js';
import { rungsOf } from '../../src/core/ladder/index.js';
import { widthQuestions } from '../../src/core/scripts/index.js';
import { pageFrom } from '../support/page.js';

const asked = (text: string) => widthQuestions(new SourceText('app.js', text)).map(({ px, side }) => `${side} ${px}`);

describe('widths at which scripts decide otherwise', () => {
  test.each<[string, readonly string[]]>([
    ['if (window.innerWidth < 900) fold()', ['from 900']],
    ['if (innerWidth <= 900) fold()', ['above 900']],
    ['const BREAK = 760; const small = () => window.innerWidth < BREAK', ['from 760']],
    ['if (1024 > document.documentElement.clientWidth) fold()', ['from 1024']],
    ['if (768 >= document.body.clientWidth) fold()', ['above 768']],
    ['$(window).width() > 991 && unfold()', ['above 991']],
    ['$(window).on("resize", function () { if ($(window).innerWidth() >= 600) unfold() })', ['from 600']],
    ['import "./pier.js"; export const wide = () => window.outerWidth >= 1100', ['from 1100']],
    ['if (bar.clientWidth < 900) fold()', []],
    ['if ($(".bar").width() < 900) fold()', []],
    ['if (window.innerHeight < 900) fold()', []],
    ['if (window.innerWidth === 900) fold()', []],
    ['if (window.innerWidth < limit) fold()', []],
    ['not a script (window.innerWidth < 900', []],
  ])('%s', (text, expected) => {
    expect(asked(text)).toEqual(expected);
  });
});

describe('rungs that scripts begin', () => {
  const page = (script: string, css = '') =>
    pageFrom(
      `<!doctype html><html lang=en><title>Pier</title><meta name=viewport content="width=device-width"><style>${css}</style><nav aria-label=Main><ul><li><a href=a>Fares</a><li><a href=b>Islands</a><li><a href=c>Crew</a></ul></nav><main id=main><h1>Pier</h1></main><script>${script}</script>`,
    );
  const starts = (script: string, css?: string) =>
    rungsOf(page(script, css).thresholds, { from: 320, to: 1920 }).map(({ from, starts: all }) =>
      [from, ...all.map(({ condition }) => condition)].join(' '),
    );
  const FOLDS = 'document.querySelector("nav").classList.toggle("small", window.innerWidth < 900)';

  test.each<[string, string, readonly string[]]>([
    ['a comparison', FOLDS, ['320', '900 (width >= 900px)']],
    ['a query that is asked', 'matchMedia("(max-width: 700px)").matches', ['320', '701 (max-width: 700px)']],
    [
      'a query that is watched',
      'matchMedia("(min-width: 75em)").addEventListener("change", (e) => document.body.classList.toggle("wide", e.matches))',
      ['320', '1200 (min-width: 75em)'],
    ],
    ['a question of something else', 'matchMedia("(prefers-reduced-motion: reduce)").matches', ['320']],
    ['no question', 'document.body.classList.add("js")', ['320']],
  ])('%s', (_name, script, expected) => {
    expect(starts(script)).toEqual(expected);
  });

  test('they stand among those of the sheets, in order', () => {
    expect(starts(FOLDS, '@media(max-width:1100px){a{color:red}}@media(min-width:600px){a{color:blue}}')).toEqual([
      '320',
      '600 (min-width:600px)',
      '900 (width >= 900px)',
      '1101 (max-width:1100px)',
    ]);
  });

  test('they make no seams with those of the sheets', () => {
    const css = '@media(max-width:900px){nav a{color:red}}@media(min-width:901px){nav a{color:blue}}';
    const seams = (script: string) =>
      auditPage(page(script, css), { only: ['breakpoint-seam'] }).findings.map(({ says }) => says);
    expect(seams('if (window.innerWidth <= 900) document.body.classList.add("low")')).toEqual(seams(''));
    expect(seams('matchMedia("(max-width:900px)").matches')).toEqual(seams(''));
  });

  test('what is wrong on one side of them has exact widths', () => {
    const { findings } = auditPage(page(FOLDS, '.small ul{display:none}'), { only: ['no-menu'] });
    expect(findings.map(({ check, widths }) => [check, widths])).toEqual([['no-menu', [{ from: 320, to: 899 }]]]);
  });
});
