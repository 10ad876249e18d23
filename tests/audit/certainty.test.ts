import { auditPage } from '../../src/core/index.js';
import { links, menuPage } from '../support/audit.js';
import { find, findAll, pageFrom, sceneAt } from '../support/page.js';

/** A row in a font nobody has, or in one that is known, hidden below a width. */
const row = (family: string, padding: number, from: number) =>
  menuPage(
    `body{font-family:${family}}a{color:#222}li{float:left;padding:0 ${padding}px}@media(max-width:${from - 1}px){ul{display:none}}`,
    links('Timetable', 'Islands', 'Fares and passes', 'Groups', 'Contact'),
  );

const verdict = (html: string): string[] =>
  auditPage(pageFrom(html), { from: 320, to: 1200, only: ['wrapped-row'] }).findings.map(
    ({ verdict: word, says }) => `${word}${says.includes('with your fonts') ? ', with your fonts' : ''}`,
  );

/** What the five entries take in the font that stands in, px. */
const needed = (() => {
  const page = pageFrom(row('Arial', 20, 321));
  return Math.ceil(findAll(page, 'li').reduce((sum, entry) => sum + sceneAt(page, 1200).rect(entry)!.width, 0));
})();

describe('what hangs on a font that is not at hand', () => {
  test.each<[string, string, number, readonly string[]]>([
    ['a known font', 'Arial', 4, ['fault']],
    ['a generic family', 'sans-serif', 4, ['fault']],
    ['an unknown font, a little too wide', '"Harbour Sans",Arial', 4, ['look, with your fonts']],
    ['an unknown font, far too wide', '"Harbour Sans",Arial', 120, ['fault']],
  ])('%s', (_name, family, missing, expected) => {
    expect(verdict(row(family, 20, needed - missing))).toEqual(expected);
  });

  test('text of unknown fonts alone is stretched', () => {
    const page = pageFrom(
      '<!doctype html><style>p{float:left;clear:left}.u{font:16px Harbour,Arial}.k{font:16px Arial}</style><p class=u>Crossing</p><p class=k>Crossing</p>',
    );
    const width = (selector: string, of = page) => sceneAt(of).rect(find(page, selector))!.width;
    const wider = page.stretched(1.06)!;
    expect(width('.k', wider)).toBe(width('.k'));
    expect(width('.u', wider) / width('.u')).toBeCloseTo(1.06, 2);
    expect(page.stretched(1.06)).toBe(wider);
    expect(wider.limits).toEqual(page.limits);
  });
});
