import { auditOnly, dropPage, links, menuPage } from '../support/audit.js';
import { describeCheck, type Faulty, type NearMiss } from '../support/check-tester.js';

const auditText = auditOnly('control-contrast');

const css = (rest: string) =>
  `a,button{display:inline-block;padding:6px;min-width:24px;color:#222}i{font-family:Pier Icons}${rest}`;
const page = (rest: string, items: string) => menuPage(css(rest), `${items}${links('Fares', 'Times')}`);
const SEARCH = '<li><a href=s aria-label=Search><i>&#xe001;</i></a></li>';
const DOT = '<li><a class=d href=s aria-label=Search></a></li>';
const MASKED = '<li><a href=s aria-label=Search><span class=k></span></a></li>';
const LIGATURE = '<li><a href=s aria-label=Search><i aria-hidden=true>search_glass</i></a></li>';

const SVG = '<li><a class=s href=s aria-label=Search><svg viewBox="0 0 16 16"><circle cx=8 cy=8 r=6 /></svg></a></li>';
const BARS = '<li><button aria-label=Menu aria-expanded=false><b></b><b></b><b></b></button></li>';

const FAULTY: readonly Faulty[] = [
  {
    name: 'a faint caret beside words is looked at',
    page: dropPage(
      '.p:hover .s{display:block}.h::after{content:"";display:inline-block;width:8px;height:8px;border:solid currentColor;border-width:0 2px 2px 0;opacity:.3}',
      '<button class=h aria-expanded=false>Islands</button>',
    ),
    finds: ['caret normal Islands'],
    mended: dropPage(
      '.p:hover .s{display:block}.h::after{content:"";display:inline-block;width:8px;height:8px;border:solid currentColor;border-width:0 2px 2px 0}',
      '<button class=h aria-expanded=false>Islands</button>',
    ),
  },
  {
    name: 'bars drawn as small gradients',
    page: menuPage(
      '.t{width:44px;height:44px;padding:0;border:0;background:linear-gradient(#b5c2c7 0 0) 50% 40%/24px 3px no-repeat,linear-gradient(#b5c2c7 0 0) 50% 60%/24px 3px no-repeat,#fff}',
      `<li><button class=t aria-label=Search></button></li>${links('Home')}`,
    ),
    finds: ['faint normal Search'],
    mended: menuPage(
      '.t{width:44px;height:44px;padding:0;border:0;background:linear-gradient(#355 0 0) 50% 40%/24px 3px no-repeat,linear-gradient(#355 0 0) 50% 60%/24px 3px no-repeat,#fff}',
      `<li><button class=t aria-label=Search></button></li>${links('Home')}`,
    ),
  },
  {
    name: 'a dot with nothing in it',
    page: page('.d{width:12px;height:12px;min-width:0;padding:0;border-radius:50%;background:#ccc}', DOT),
    finds: ['faint normal Search'],
    mended: page('.d{width:12px;height:12px;min-width:0;padding:0;border-radius:50%;background:#555}', DOT),
  },
  {
    name: 'an icon that a mask cuts out of its ground',
    page: page('.k{display:block;width:24px;height:24px;background:#ccc;mask:url(s.svg)}', MASKED),
    finds: ['faint normal Search'],
    mended: page('.k{display:block;width:24px;height:24px;background:#555;mask:url(s.svg)}', MASKED),
  },
  {
    name: 'a private glyph',
    page: page('i{color:#bbb}', SEARCH),
    finds: ['faint normal Search'],
    mended: page('i{color:#888}', SEARCH),
  },
  {
    name: 'a glyph drawn by a word',
    page: page('i{color:#bbb}', LIGATURE),
    finds: ['faint normal Search'],
    mended: page('i{color:#333}', LIGATURE),
  },
  {
    name: 'on a dark bar',
    page: page('nav{background:#234}a{color:#fff}i{color:#456}', SEARCH),
    finds: ['faint normal Search'],
    mended: page('nav{background:#234}a{color:#fff}i{color:#abc}', SEARCH),
  },
  {
    name: 'an inline drawing',
    page: page('svg{width:16px;height:16px;fill:none;stroke:currentColor}a.s{color:#bbb}', SVG),
    finds: ['faint normal Search'],
    mended: page('svg{width:16px;height:16px;fill:none;stroke:currentColor}a.s{color:#555}', SVG),
  },
  {
    name: 'the bars of a menu button',
    page: page('b{display:block;width:20px;height:3px;margin:3px;background:#ccc}', BARS),
    finds: ['faint normal Menu'],
    told: 1,
    mended: page('b{display:block;width:20px;height:3px;margin:3px;background:#333}', BARS),
  },
];

const NEAR: readonly NearMiss[] = [
  { name: '3:1 is enough for what is drawn', page: page('i{color:#888}', SEARCH) },
  {
    name: 'beside words the icon repeats them',
    page: page('i{color:#bbb}', '<li><a href=s><i>&#xe001;</i> Search</a></li>'),
  },
  {
    name: 'a disabled control',
    page: page('i{color:#bbb}', '<li><button disabled aria-label=Search><i>&#xe001;</i></button></li>'),
  },
  {
    name: 'one faint part of an icon whose other part stands out',
    page: page('svg{width:16px;height:16px;fill:#eee;stroke:#333}', SVG),
  },
  { name: 'an icon that cannot be seen', page: page('i{color:#bbb;visibility:hidden}', SEARCH) },
];

describeCheck('control-contrast', FAULTY, NEAR);

test('the finding names the icon’s colours and its control', () => {
  const [finding] = auditText(page('i{color:#bbb}', SEARCH), { at: [1000] }).findings;
  expect(finding!.says).toContain('The icon of “Search” is #bbbbbb on #ffffff: contrast 1.91:1');
  expect(finding!.cause).toMatchObject({ selector: 'i', text: 'color: #bbb' });
  expect(finding!.criteria).toEqual([{ number: '1.4.11', level: 'AA' }]);
});
