import { auditOnly, links, menuPage } from '../support/audit.js';
import { describeCheck, type Faulty, type NearMiss } from '../support/check-tester.js';

const auditText = auditOnly('small-target');

const ITEMS = links('Home', 'Fares', 'Times');
const page = (css: string, items = ITEMS, around = '') => menuPage(`a{color:#222}${css}`, items, around);
const ALL = (message: string) => ['Home', 'Fares', 'Times'].map((label) => `${message} normal ${label}`);
const COLUMN = 'a{display:block;line-height:24px}';
const LONG = Array.from({ length: 20 }, (_, i) => `<li><a href=p${i}>P${i}</a></li>`).join('');

const FAULTY: readonly Faulty[] = [
  {
    name: 'a crowded column',
    page: page('a{display:block;line-height:16px}'),
    finds: ALL('crowded'),
    told: 1,
    mended: page(COLUMN),
  },
  {
    name: 'almost spaced out',
    page: page('a{display:block;line-height:16px;margin-bottom:7px}'),
    finds: ALL('crowded'),
    mended: page('a{display:block;line-height:16px;margin-bottom:8px}'),
  },
  {
    name: 'a narrow one in a row',
    page: page(
      'ul{display:flex}a{display:block;padding:8px 4px}.n{padding:8px 0;width:10px;overflow:hidden}',
      `${links('Home')}<li><a class=n href=x>|</a></li>${links('Times')}`,
    ),
    finds: ['crowded normal |'],
    mended: page(
      'ul{display:flex}a{display:block;padding:8px 4px}.n{width:24px}',
      `${links('Home')}<li><a class=n href=x>|</a></li>${links('Times')}`,
    ),
  },
  {
    name: 'targets outside of the menu are neighbours',
    page: page(
      'nav a{display:block;line-height:16px;margin-bottom:40px}nav li:last-child a{margin-bottom:0}button{display:block;width:100%;height:30px}',
      ITEMS,
      '<button>Search</button>',
    ),
    finds: ['crowded normal Times'],
    mended: page(
      'nav a{display:block;line-height:16px;margin-bottom:40px}button{display:block;width:100%;height:30px}',
      ITEMS,
      '<button>Search</button>',
    ),
  },
  {
    name: 'below the fold of a panel that scrolls',
    page: page(
      'ul{height:60px;overflow:auto}a{display:block;line-height:16px}li:nth-child(-n+10) a{line-height:24px}',
      LONG,
    ),
    finds: Array.from({ length: 10 }, (_, i) => `crowded normal P${10 + i}`),
    told: 1,
    mended: page(`ul{height:60px;overflow:auto}${COLUMN}`, LONG),
  },
  {
    name: 'in a panel that opens',
    page: page(
      `${COLUMN}li ul{display:none}li:hover>ul{display:block}ul ul a{line-height:14px}`,
      `<li><a href=i>Islands</a><ul>${links('Sula', 'Kelp')}</ul></li>${links('Fares')}`,
    ),
    finds: ['crowded normal Sula', 'crowded normal Kelp'],
    mended: page(
      `${COLUMN}li ul{display:none}li:hover>ul{display:block}`,
      `<li><a href=i>Islands</a><ul>${links('Sula', 'Kelp')}</ul></li>${links('Fares')}`,
    ),
  },
  {
    name: 'over part of a rung, to the px',
    page: page(
      'ul{display:flex}li{flex:1}a{display:block;height:30px;overflow:hidden;max-width:4vw}',
      links(...'ABCDEFGHIJKLMNOPQRSTUVWXYZ'),
    ),
    finds: [...'ABCDEFGHIJKLMNOPQRSTUVWXYZ'].map((label) => `crowded normal ${label}`),
    widths: '320–623',
    options: { at: null, from: 320, to: 1200 },
    mended: page(
      'ul{display:flex;flex-wrap:wrap}a{display:block;height:30px;width:26px}',
      links(...'ABCDEFGHIJKLMNOPQRSTUVWXYZ'),
    ),
  },
  {
    name: 'the strictest level knows no spacing',
    page: page('a{display:block;line-height:24px;margin-bottom:60px}'),
    finds: ALL('small'),
    options: { at: [1000], level: 'AAA' },
    mended: page('a{display:block;line-height:44px}'),
  },
];

const NEAR: readonly NearMiss[] = [
  {
    name: 'large enough, and cut off by the bar around it',
    page: page('nav{height:30px;overflow:clip}a{display:block;line-height:24px}'),
  },
  { name: 'exactly 24 px', page: page(COLUMN) },
  { name: 'small but spaced out', page: page('a{display:block;line-height:16px;margin-bottom:8px}') },
  {
    name: 'what a panel lies over',
    page: page(
      'nav li{display:block;height:24px}nav a{line-height:16px}nav ul{position:absolute;top:0;background:#fff;z-index:2;width:100px}.under a{display:block;height:12px}',
      links('Home', 'Fares'),
      `<div class=under>${Array.from({ length: 8 }, (_, i) => `<a href=u${i}>Under ${i}</a>`).join('')}</div>`,
    ),
  },
  { name: 'hidden ones', page: page('a{display:block;line-height:16px}nav{display:none}') },
  { name: 'what cannot be pressed', page: page('a{display:block;line-height:16px;pointer-events:none}') },
  {
    name: 'disabled controls, those of a disabled fieldset too',
    page: page(
      'button{display:block;line-height:16px;border:0;padding:0;height:16px;color:#222}',
      '<li><button disabled>A</button></li><li><fieldset disabled><button>B</button><button>C</button></fieldset></li>',
    ),
  },
  {
    name: 'an inner block makes the target larger',
    page: page(
      'a{line-height:16px}span{display:inline-block;padding:6px}',
      '<li><a href=a><span>Home</span></a></li><li><a href=b><span>Fares</span></a></li>',
    ),
  },
  {
    name: 'links in a sentence',
    page: '<!doctype html><style>body{font:12px/14px Arial}</style><nav><p>From here you reach <a href=a>the fares</a>, <a href=b>the times</a> and <a href=c>the pier</a>.</p></nav>',
  },
  {
    name: 'cut by the fold of a panel that scrolls, whole in itself',
    page: page(`ul{height:60px;overflow:auto}${COLUMN}`, LONG),
  },
  {
    name: 'a sliver of a collapsed part',
    page: page(
      `${COLUMN}.more{max-height:2px;overflow:hidden}`,
      `${ITEMS}<li><div class=more><a href=x>Groups</a><a href=y>Schools</a></div></li>`,
    ),
  },
  {
    name: 'a control and its own label',
    page: page(
      'input{width:13px;height:13px;margin:0}label{display:inline-block;line-height:24px}',
      `<li><label for=k>Menu</label><input type=checkbox id=k></li>${links('Fares', 'Times').replaceAll('<a ', '<a style="display:block;line-height:24px" ')}`,
    ),
  },
];

describeCheck('small-target', FAULTY, NEAR);

test('figures, remedy and criterion by level', () => {
  const [finding] = auditText(page('a{line-height:16px}li{line-height:16px}'), { at: [1000] }).findings;
  expect(finding).toMatchObject({
    measured: { value: 16, unit: 'px' },
    needed: { value: 24, unit: 'px' },
    criteria: [{ number: '2.5.8', level: 'AA' }],
  });
  expect(finding!.says).toMatch(/“Home” is [\d.]+ × 16 px with the next target [\d.]+ px away/);
  expect(finding!.mends).toContain('display: inline-block and 4 px more padding above and below');
  const strict = auditText(page(`${COLUMN}a{margin-bottom:60px}`), {
    at: [1000],
    level: 'AAA',
    only: ['small-target'],
  });
  expect(strict.findings[0]!.criteria).toEqual([{ number: '2.5.5', level: 'AAA' }]);
});
