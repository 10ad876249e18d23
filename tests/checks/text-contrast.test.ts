import type { AuditOptions } from '../../src/core/index.js';
import { auditOnly, links, menuPage } from '../support/audit.js';
import { describeCheck, type Faulty, type NearMiss } from '../support/check-tester.js';

const auditText = auditOnly('text-contrast');

const ITEMS = links('Home', 'Fares');
const BOTH = (message: string, states: string) => [`${message} ${states} Home`, `${message} ${states} Fares`];
const page = (css: string, items = ITEMS, around = '') => menuPage(`a{padding:4px}${css}`, items, around);
const MENDED = page('a{color:#222}');

const PANEL = `<li><a href=i>Islands</a><ul><li><a href=s>Sula</a></li><li><a href=k>Kelp</a></li></ul></li>${links('Fares')}`;
const panel = (css: string) =>
  page(`a{color:#222;display:block}li ul{display:none}li:hover>ul{display:block;background:#123}${css}`, PANEL);
const LONG = Array.from(
  { length: 30 },
  (_, i) => `<li><a href=p${i} class=${i > 20 ? 'late' : 'early'}>P${i}</a></li>`,
).join('');

const FAULTY: readonly Faulty[] = [
  { name: 'pale on white', page: page('a{color:#999}'), finds: BOTH('low', 'normal'), told: 1, mended: MENDED },
  {
    name: 'just too little',
    page: page('a{color:#777}'),
    finds: BOTH('low', 'normal'),
    mended: page('a{color:#767676}'),
  },
  {
    name: 'nearly large is not large',
    page: page('a{color:#888;font-size:23.9px}'),
    finds: BOTH('low', 'normal'),
    mended: page('a{color:#888;font-size:24px}'),
  },
  {
    name: 'the ground may be further out',
    page: page('nav{background:#000}a{color:#333}'),
    finds: BOTH('low', 'normal'),
    mended: page('nav{background:#000}a{color:#ddd}'),
  },
  {
    name: 'alpha in the text',
    page: page('a{color:rgba(0,0,0,.4)}'),
    finds: BOTH('low', 'normal'),
    mended: page('a{color:rgba(0,0,0,.7)}'),
  },
  {
    name: 'opacity of the bar',
    page: page('nav{opacity:.4}a{color:#000}'),
    finds: BOTH('low', 'normal'),
    mended: page('nav{opacity:.9}a{color:#000}'),
  },
  {
    name: 'a filter over the bar',
    page: page('nav{filter:brightness(.4);background:#fff}a{color:#000}'),
    finds: BOTH('low', 'normal'),
    mended: page('nav{filter:brightness(.8);background:#fff}a{color:#000}'),
  },
  {
    name: 'a filter of what lies behind the bar',
    page: page('nav{backdrop-filter:blur(4px) invert(1)}a{color:#333}'),
    finds: BOTH('low', 'normal'),
    mended: page('nav{backdrop-filter:blur(4px)}a{color:#333}'),
  },
  {
    name: 'letters filled in another colour',
    page: page('a{color:#222;-webkit-text-fill-color:#bbb}'),
    finds: BOTH('low', 'normal'),
    mended: page('a{color:#bbb;-webkit-text-fill-color:#222}'),
  },
  {
    name: 'white on a gradient that runs to white, where it is light',
    page: page('nav{background:linear-gradient(#000,#fff)}a{color:#fff}'),
    finds: ['low normal Fares'],
    mended: page('nav{background:linear-gradient(#000,#222)}a{color:#fff}'),
  },
  {
    name: 'across all of a gradient from black to white no colour stands out',
    page: page('a{display:inline-block;background:linear-gradient(90deg,#000,#fff);color:#fff}'),
    finds: BOTH('hopeless', 'normal'),
    mended: page('a{display:inline-block;background:linear-gradient(90deg,#000,#333);color:#fff}'),
  },
  {
    name: 'two plain grounds: a colour between them passes on both',
    page: page(
      'a{display:inline-block;width:60px;background:#fff}a b{background:#000}a{color:#000}',
      '<li><a href=h>Home <b>new</b></a></li><li><a href=f>Fares</a></li>',
    ),
    finds: ['low normal Home new'],
    mended: page(
      'a b{background:#eee}a{color:#000}',
      '<li><a href=h>Home <b>new</b></a></li><li><a href=f>Fares</a></li>',
    ),
  },
  {
    name: 'the current page is told',
    page: page(
      'a{color:#222}[aria-current]{color:#aaa}',
      '<li><a href=a aria-current=page>Home</a></li><li><a href=b>Fares</a></li>',
    ),
    finds: ['low current Home'],
    mended: page(
      'a{color:#222}[aria-current]{color:#555}',
      '<li><a href=a aria-current=page>Home</a></li><li><a href=b>Fares</a></li>',
    ),
  },
  {
    name: 'text inside the link counts',
    page: page(
      'a{color:#222}a span{color:#bbb}',
      '<li><a href=a>Home <span>new</span></a></li><li><a href=b>Fares</a></li>',
    ),
    finds: ['low normal Home new'],
    mended: page(
      'a{color:#222}a span{color:#555}',
      '<li><a href=a>Home <span>new</span></a></li><li><a href=b>Fares</a></li>',
    ),
  },
  {
    name: 'hover alone',
    page: page('a{color:#222}a:hover{color:#ccc}'),
    finds: BOTH('low', 'hover'),
    told: 1,
    mended: page('a{color:#222}a:hover{color:#fff;background:#000}'),
  },
  {
    name: 'hover and focus by one rule are one finding',
    page: page('a{color:#222}a:hover,a:focus{color:#ccc}'),
    finds: BOTH('low', 'hover+focus'),
    told: 1,
    mended: page('a{color:#222}a:hover,a:focus{color:#000}'),
  },
  {
    name: 'focus-visible',
    page: page('a{color:#222}a:focus-visible{background:#333}'),
    finds: BOTH('low', 'focus'),
    mended: page('a{color:#222}a:focus-visible{background:#ddd}'),
  },
  {
    name: 'by the hovered entry',
    page: page('a{color:#222}li:hover a{color:#ccc}'),
    finds: BOTH('low', 'hover'),
    mended: page('a{color:#222}li:hover a{color:#555}'),
  },
  {
    name: 'bad at rest is not told again',
    page: page('a{color:#999}a:hover{text-decoration:underline}'),
    finds: BOTH('low', 'normal'),
    told: 1,
    mended: page('a{color:#555}a:hover{text-decoration:underline}'),
  },
  {
    name: 'in a panel that hover opens',
    page: panel('ul ul a{color:#234}'),
    finds: ['low normal Sula', 'low normal Kelp'],
    told: 1,
    mended: panel('ul ul a{color:#fff}'),
  },
  {
    name: 'one fault in two menus is one finding',
    page: page(
      'a{color:#999}',
      ITEMS,
      '<footer><nav aria-label=Foot><ul><li><a href=x>Pier</a></li><li><a href=y>Map</a></li></ul></nav></footer>',
    ),
    finds: ['low normal Home', 'low normal Fares', 'low normal Pier', 'low normal Map'],
    told: 1,
    mended: page(
      'a{color:#555}',
      ITEMS,
      '<footer><nav aria-label=Foot><ul><li><a href=x>Pier</a></li><li><a href=y>Map</a></li></ul></nav></footer>',
    ),
  },
  {
    name: 'below the fold of a panel that scrolls, on the panel’s own ground',
    page: page('ul{height:100px;overflow:auto;background:#111}a{color:#fff}.late{color:#333}', LONG),
    finds: Array.from({ length: 9 }, (_, i) => `low normal P${21 + i}`),
    told: 1,
    mended: page('ul{height:100px;overflow:auto;background:#111}a{color:#fff}', LONG),
  },
  {
    name: 'it only holds where the rule does',
    page: page('a{color:#222}@media (max-width:700px){a{color:#aaa}}'),
    finds: BOTH('low', 'normal'),
    widths: '320–700',
    options: { at: null },
    mended: MENDED,
  },
  {
    name: 'the strictest level asks for more',
    page: page('a{color:#666;padding:12px;display:inline-block;min-width:60px}'),
    finds: BOTH('low-enhanced', 'normal'),
    options: { at: [1000], level: 'AAA' },
    mended: page('a{color:#222;padding:12px;display:inline-block;min-width:60px}'),
  },
  {
    name: 'at the strictest level a gradient may leave no colour',
    page: page(
      'a{padding:12px;display:inline-block;min-width:60px;color:#fff}nav{background:linear-gradient(90deg,#555 0,#5a5a5a 60px,#555 120px)}',
    ),
    finds: BOTH('hopeless-enhanced', 'normal'),
    options: { at: [1000], level: 'AAA' },
    mended: page('a{padding:12px;display:inline-block;min-width:60px;color:#fff}nav{background:#333}'),
  },
];

const NEAR: readonly NearMiss[] = [
  { name: 'dark on white', page: MENDED },
  { name: 'large bold text needs less', page: page('a{color:#888;font-size:19px;font-weight:700}') },
  {
    name: 'a small picture beside the text',
    page: page('a{color:#222;padding-right:20px;background:url(arrow.png) right/10px 10px no-repeat}'),
  },
  {
    name: 'invisible text',
    page: page('a{color:#fff}li:first-child{visibility:hidden}li:last-child{position:absolute;left:-999px}'),
  },
  {
    name: 'disabled items, their fieldset’s too',
    page: page(
      'a,button{color:#ccc}button{padding:6px 12px;background:#fff}',
      '<li><a href=a aria-disabled=true>Home</a></li><li><fieldset disabled><button>Fares</button></fieldset></li>',
    ),
  },
  { name: 'a good hover', page: page('a{color:#222}a:hover{color:#fff;background:#000}') },
  { name: 'a ring alone', page: page('a{color:#222}a:focus{outline:2px solid #eee}') },
  {
    name: 'a hover ground that is not there at rest',
    page: page('a{color:#222}li:hover{background:#000}li:hover a{color:#fff}'),
  },
  {
    name: 'a tip that is see-through at rest',
    page: page(
      'a{color:#222;position:relative}a i{position:absolute;left:0;top:30px;opacity:0;color:#fff;background:#fff}a:hover i{opacity:1;background:#000}',
      '<li><a href=h>Home<i>Start</i></a></li><li><a href=f>Fares</a></li>',
    ),
  },
  { name: 'a panel with a ground of its own, opened by hover', page: panel('ul ul a{color:#fff}') },
  {
    name: 'text clipped away beside other grounds',
    page: page(
      'nav{background:#fff}li{width:40px;height:24px;overflow:hidden;background:#fff}a{display:block;width:400px;color:#222}section{background:#222;height:300px;margin-left:40px;margin-top:-48px}',
      '<li><a href=h>Home and all of its surroundings</a></li><li><a href=f>Fares and all</a></li>',
      '<section></section>',
    ),
  },
  {
    name: 'words for screen readers alone',
    page: page(
      'a{color:#222}a i{position:absolute;width:1px;height:1px;overflow:hidden;clip:rect(0 0 0 0);color:#fff}',
      '<li><a href=h>Home<i>page</i></a></li><li><a href=f>Fares</a></li>',
    ),
  },
  {
    name: 'a glyph of an icon font is no text',
    page: page(
      'a{color:#222}i{font-family:Pier Icons;color:#888}',
      '<li><a href=h><i>&#xe001;</i>Home</a></li><li><a href=f>Fares</a></li>',
    ),
  },
  {
    name: 'a see-through bar over something dark',
    page: page(
      'nav{position:fixed;top:0;left:0;right:0;background:rgba(255,255,255,.1)}a{color:#fff}section{height:300px;background:#111}',
      ITEMS,
      '<section></section>',
    ),
  },
];

describeCheck('text-contrast', FAULTY, NEAR);

describe('what text-contrast says', () => {
  const audit = (css: string, options: Partial<AuditOptions> = {}) =>
    auditText(page(css), { at: [1000], only: ['text-contrast'], ...options }).findings;

  test('figures, cause and remedy', () => {
    const [finding] = audit('a{color:#999}');
    expect(finding).toMatchObject({
      check: 'text-contrast',
      verdict: 'fault',
      weight: 'hinders',
      criteria: [{ number: '1.4.3', level: 'AA' }],
      measured: { value: 2.84, unit: ':1' },
      needed: { value: 4.5, unit: ':1' },
      cause: { selector: 'a', text: 'color: #999' },
      menus: ['menu-1'],
      states: ['normal'],
      poses: ['closed'],
    });
    expect(finding!.says).toContain('“Home” is #999999 on #ffffff: contrast 2.84:1 where 4.5:1 is needed');
    expect(finding!.mends).toBe('Make the text #767676 (that gives 4.5:1).');
    expect(finding!.places).toHaveLength(2);
  });

  test.each([
    ['<a href=h><b>Home</b></a>', '“Home” is'],
    ['<a href=h aria-label="Home page"><b>H</b></a>', '“H” in “Home page” is'],
    ['<a href=h>Offers <b>new</b></a>', '“new” in “Offers new” is'],
    ['<a href=h><img alt=Crest width=9 height=9> <b>Tidewrack</b></a>', '“Tidewrack” in “Crest Tidewrack” is'],
  ])('the words that fail are the ones named: %s', (item, says) => {
    const html = page('a{color:#222}b{color:#999;text-transform:uppercase}', `<li>${item}</li>${links('Fares')}`);
    expect(auditText(html, { at: [1000], only: ['text-contrast'] }).findings[0]!.says).toContain(says);
  });

  test('the remedy really passes', () => {
    for (const ink of ['#999', '#e08a3c', '#7fa3ae', '#f00', '#ff0']) {
      const better = /the text (#\w+)/.exec(audit(`a{color:${ink}}`)[0]!.mends)![1]!;
      expect(audit(`a{color:${better}}`)).toEqual([]);
    }
  });

  test('white on a mid ground: the ground is the smaller change', () => {
    expect(audit('a{color:#fff;background:#d9552b}')[0]!.mends).toMatch(/^Make the ground #\w+ \(that gives 4.5:1\)/);
  });

  describe('one colour for all that its declaration touches', () => {
    const whole = (css: string) => auditText(page(css), { only: ['text-contrast'] }).findings;
    const EVERYWHERE = /^Make the text (#\w+) \(that gives at least 4.5:1 wherever this colour lies\)\.$/;
    const APART =
      /^Make the text (#\w+) here \(that gives 4.5:1\), and give it a colour of its own where it lies on (#\w+): no single colour passes on both\.$/;

    test.each([
      ['under the pointer', 'a{color:#999}a:hover{background:#ddd}'],
      ['in another rung', 'a{color:#999}@media(max-width:700px){nav{background:#e4ecf4}}'],
      [
        'in another rung where it passes',
        'nav{background:#eee}a{color:#757575}@media(max-width:700px){nav{background:#fff}}',
      ],
      ['on another entry', 'a{color:#999}li:last-child{background:#e4ecf4}'],
    ])('%s', (_name, css) => {
      const [finding, ...more] = whole(css);
      expect(more).toEqual([]);
      const [, colour] = EVERYWHERE.exec(finding!.mends) ?? [];
      expect(whole(css.replace(/(?<!-)color:#\w+/, `color:${colour}`))).toEqual([]);
    });

    test.each([
      ['under the pointer', 'a{color:#999}a:hover{background:#222}', '#222222'],
      ['in another rung', 'a{color:#999}@media(max-width:700px){nav{background:#102030}}', '#102030'],
      ['on another entry', 'a{color:#999}li:last-child{background:#102030}', '#102030'],
    ])('where none can pass, that is said: %s', (_name, css, ground) => {
      const [finding] = whole(css);
      expect(APART.exec(finding!.mends)?.[2]).toBe(ground);
    });

    test('a colour of its own in another state is left alone', () => {
      expect(whole('a{color:#999}a:hover{background:#222;color:#fff}')[0]!.mends).toBe(
        'Make the text #767676 (that gives 4.5:1).',
      );
    });

    test('a ground that is too dark for several inks', () => {
      const [finding] = whole('nav{background:#d9552b}a{color:#fff}li:last-child a{color:#eee}');
      expect(finding!.mends).toMatch(/^Make the (ground|text) #\w+/);
    });
  });

  test('the stricter criterion is named where only that one fails', () => {
    expect(audit('a{color:#666}', { level: 'AAA' })[0]!.criteria).toEqual([{ number: '1.4.6', level: 'AAA' }]);
    expect(audit('a{color:#999}', { level: 'AAA' })[0]!.criteria).toEqual([{ number: '1.4.3', level: 'AA' }]);
  });

  test('a fault in an opened panel names the pose', () => {
    const [finding] = auditText(panel('ul ul a{color:#234}'), { at: [1000] }).findings;
    expect(finding!.poses).toEqual(['hover:nav > ul > li:nth-child(1) > a']);
  });
});
