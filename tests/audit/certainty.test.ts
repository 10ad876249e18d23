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

describe('what hangs on a sheet or a script that could not be read', () => {
  const FAINT = 'nav a{color:#222}nav a[href="f.html"]{color:#bbb}';
  const withSheet = (href: string, item = '<li><a href=f.html>Fares</a></li>') =>
    menuPage(FAINT, `${item}${links('Home')}`).replace('<head>', `<head><link rel=stylesheet href="${href}">`);
  const SHUT = menuPage(
    '#list{display:none}#list.on{display:block}',
    '',
    `<button class=menu-toggle aria-controls=list>Menu</button><nav><ul id=list>${links('Home', 'Fares')}</ul></nav>`,
  ).replace('<nav aria-label="Main"><ul></ul></nav>', '');
  const HOVERED = menuPage(
    '.sub{display:none}li:hover>.sub{display:block}',
    `<li><a href=f.html>Fares</a><ul class=sub>${links('Passes', 'Groups')}</ul></li>${links('Home')}`,
  );
  const told = (html: string, only: string): string[] =>
    auditPage(pageFrom(html), { at: [1000], only: [only] }).findings.map(
      ({ verdict: word, says }) =>
        `${word}${says.includes('tell a library to do') ? 'told' : (/could not be read: look at it with all (\w+)/.exec(says)?.[1] ?? '')}`,
    );
  const BARE = '<li><a href=f.html class=tinted>Fares</a></li>';

  test.each<[string, string, string, readonly string[]]>([
    ['classes that no sheet at hand names', withSheet('lost.css', BARE), 'text-contrast', ['looksheets']],
    [
      'a leftover class among those that are named',
      withSheet('lost.css', '<li class=known><a href=f.html class="also tinted">Fares</a></li>').replace(
        FAINT,
        `${FAINT}.known,.also{margin:0}`,
      ),
      'text-contrast',
      ['fault'],
    ],
    [
      'an icon of a sheet that is lost',
      withSheet(
        'lost.css',
        '<li class=known><a href=f.html class="known also"><i class="pict pict-boat"></i></a></li>',
      ).replace(FAINT, `${FAINT}.known,.also{margin:0}`),
      'unseen-focus',
      ['looksheets'],
    ],
    [
      'two places of one declaration, one of them beyond doubt',
      withSheet('lost.css', `${BARE}<li><a href=f.html>Fares again</a></li>`),
      'text-contrast',
      ['fault'],
    ],
    ['no class to name', withSheet('lost.css'), 'text-contrast', ['fault']],
    ['a sheet of fonts', withSheet('https://fonts.example/css?family=Harbour', BARE), 'text-contrast', ['fault']],
    ['markup alone', withSheet('lost.css', '<li><a class=tinted>Fares</a></li>'), 'uncrawlable-link', ['fault']],
    ['a lost script may open the menu', `${SHUT}<script src=lost.js></script>`, 'toggle-dead', ['lookscripts']],
    ['a script that stops may open it', `${SHUT}<script>lost.open()</script>`, 'toggle-dead', ['look']],
    ['a library may be told to', SHUT.replace('<button', '<button @click="open = !open"'), 'toggle-dead', ['looktold']],
    [
      'what the page itself follows',
      `${SHUT.replace('<button', '<button @click="open"')}<script>document.querySelector('button').onclick=()=>document.querySelector('ul').classList.toggle('on')</script>`,
      'toggle-dead',
      [],
    ],
    [
      'what a script puts elsewhere',
      `${menuPage(FAINT, `<li><a href=f.html>Fares</a></li>${links('Home')}`)}<script>document.body.append(document.querySelector('nav'))</script>`,
      'text-contrast',
      ['look'],
    ],
    [
      'a script shows or hides the panel, nobody knows which',
      `${HOVERED}<script>if(Math.random()>.5)document.querySelector('.sub').style.display='block'</script>`,
      'hover-only-opening',
      ['look'],
    ],
    ['a panel that no script touches', HOVERED, 'hover-only-opening', ['fault']],
    [
      'a script that does something unknown elsewhere',
      `${HOVERED}<script>document.querySelector('h1').hidden=Math.random()>.5</script>`,
      'hover-only-opening',
      ['fault'],
    ],
    ['no script is lost', SHUT, 'toggle-dead', ['fault']],
    [
      'a lost script does not change colours',
      `${menuPage(FAINT, `${BARE}${links('Home')}`)}<script src=lost.js></script>`,
      'text-contrast',
      ['fault'],
    ],
  ])('%s', (_name, html, only, expected) => {
    expect(told(html, only)).toEqual(expected);
  });
});
