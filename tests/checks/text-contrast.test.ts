import type { AuditOptions } from '../../src/core/index.js';
import { auditText, links, menuPage, said } from '../support/audit.js';

const ITEMS = links('Home', 'Fares');
const audit = (css: string, items = ITEMS, options: Partial<AuditOptions> = {}) =>
  auditText(menuPage(css, items), { at: [1000], only: ['text-contrast'], ...options }).findings;

describe('text-contrast', () => {
  test.each<[string, string, string, string[]]>([
    ['dark on white passes', 'a{color:#222}', ITEMS, []],
    [
      'pale on white fails',
      'a{color:#999}',
      ITEMS,
      ['text-contrast/low normal Home', 'text-contrast/low normal Fares'],
    ],
    ['just enough passes', 'a{color:#767676}', ITEMS, []],
    [
      'just too little fails',
      'a{color:#777}',
      ITEMS,
      ['text-contrast/low normal Home', 'text-contrast/low normal Fares'],
    ],
    ['large text needs less', 'a{color:#888;font-size:24px}', ITEMS, []],
    ['large bold text too', 'a{color:#888;font-size:19px;font-weight:700}', ITEMS, []],
    [
      'nearly large is not large',
      'a{color:#888;font-size:23.9px}',
      ITEMS,
      ['text-contrast/low normal Home', 'text-contrast/low normal Fares'],
    ],
    [
      'the ground may be further out',
      'nav{background:#000}a{color:#333}',
      ITEMS,
      ['text-contrast/low normal Home', 'text-contrast/low normal Fares'],
    ],
    [
      'alpha in the text',
      'a{color:rgba(0,0,0,.4)}',
      ITEMS,
      ['text-contrast/low normal Home', 'text-contrast/low normal Fares'],
    ],
    [
      'opacity of the bar',
      'nav{opacity:.4}a{color:#000}',
      ITEMS,
      ['text-contrast/low normal Home', 'text-contrast/low normal Fares'],
    ],
    [
      'white on a gradient that runs to white, where it is light',
      'nav{background:linear-gradient(#000,#fff)}a{color:#fff}',
      ITEMS,
      ['text-contrast/hopeless normal Fares'],
    ],
    [
      'each text on a gradient of its own',
      'a{background:linear-gradient(90deg,#000,#fff);color:#fff}',
      ITEMS,
      ['text-contrast/hopeless normal Home', 'text-contrast/hopeless normal Fares'],
    ],
    [
      'a small picture beside the text is no ground of it',
      'a{color:#222;padding-right:20px;background:url(arrow.png) right/10px 10px no-repeat}',
      ITEMS,
      [],
    ],
    [
      'a picture is to be looked at',
      'nav{background:url(a.jpg)}a{color:#fff}',
      ITEMS,
      ['text-contrast/unknown normal Home', 'text-contrast/unknown normal Fares'],
    ],
    [
      'a solid ground over the picture settles it',
      'nav{background:url(a.jpg)}a{color:#fff;background:#000}',
      ITEMS,
      [],
    ],
    [
      'invisible text is left out',
      'a{color:#fff}li:first-child{visibility:hidden}li:last-child{position:absolute;left:-999px}',
      ITEMS,
      [],
    ],
    [
      'disabled items are left out',
      'a{color:#ccc}',
      '<li><a href=a aria-disabled=true>Home</a></li><li><button disabled>Fares</button></li>',
      [],
    ],
    [
      'only one item fails',
      'a{color:#222}.x{color:#aaa}',
      `<li><a href=a class=x>Home</a></li>${links('Fares')}`,
      ['text-contrast/low normal Home'],
    ],
    [
      'the current page is told',
      'a{color:#222}[aria-current]{color:#aaa}',
      '<li><a href=a aria-current=page>Home</a></li><li><a href=b>Fares</a></li>',
      ['text-contrast/low current Home'],
    ],
    [
      'text inside the link counts',
      'a{color:#222}a span{color:#bbb}',
      '<li><a href=a>Home <span>new</span></a></li><li><a href=b>Fares</a></li>',
      ['text-contrast/low normal Home new'],
    ],
  ])('%s', (_name, css, items, expected) => {
    expect(said(audit(css, items))).toEqual(expected);
  });

  describe('states', () => {
    test.each<[string, string, string[]]>([
      [
        'hover alone',
        'a{color:#222}a:hover{color:#ccc}',
        ['text-contrast/low hover Home', 'text-contrast/low hover Fares'],
      ],
      [
        'focus alone',
        'a{color:#222}a:focus{color:#ccc}',
        ['text-contrast/low focus Home', 'text-contrast/low focus Fares'],
      ],
      [
        'focus-visible',
        'a{color:#222}a:focus-visible{background:#333}',
        ['text-contrast/low focus Home', 'text-contrast/low focus Fares'],
      ],
      [
        'by the hovered entry',
        'a{color:#222}li:hover a{color:#ccc}',
        ['text-contrast/low hover Home', 'text-contrast/low hover Fares'],
      ],
      [
        'ground under the pointer',
        'a{color:#fff;background:#000}a:hover{background:#eee}',
        ['text-contrast/low hover Home', 'text-contrast/low hover Fares'],
      ],
      ['a good hover', 'a{color:#222}a:hover{color:#fff;background:#000}', []],
      [
        'bad at rest is not told again',
        'a{color:#999}a:hover{text-decoration:underline}',
        ['text-contrast/low normal Home', 'text-contrast/low normal Fares'],
      ],
      ['a ring alone changes nothing', 'a{color:#222}a:focus{outline:2px solid #eee}', []],
    ])('%s', (_name, css, expected) => {
      expect(said(audit(css))).toEqual(expected);
    });
  });

  test('figures, cause and remedy', () => {
    const [finding] = audit('a{color:#999}');
    expect(finding).toMatchObject({
      check: 'text-contrast',
      verdict: 'fault',
      weight: 'hinders',
      measured: { value: 2.84, unit: ':1' },
      needed: { value: 4.5, unit: ':1' },
      cause: { selector: 'a', text: 'color: #999' },
      menu: 'menu-1',
      pose: 'closed',
    });
    expect(finding!.says).toContain('“Home” is #999999 on #ffffff: contrast 2.84:1 where 4.5:1 is needed');
    expect(finding!.mends).toBe('Make the text #767676 (that gives 4.5:1).');
    expect(finding!.places).toHaveLength(2);
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

  test('the stricter level asks for more', () => {
    expect(said(audit('a{color:#666}', ITEMS, { level: 'AAA' }))).toHaveLength(2);
    expect(said(audit('a{color:#666}'))).toEqual([]);
  });

  test('it only holds where the rule does', () => {
    const findings = audit('a{color:#222}@media (max-width:700px){a{color:#aaa}}', ITEMS, { at: null });
    expect(findings.map((f) => f.widths)).toEqual([[{ from: 320, to: 700 }]]);
  });

  test('a see-through bar is judged on what lies beneath it', () => {
    const css =
      'nav{position:fixed;top:0;left:0;right:0;background:rgba(255,255,255,.1)}a{color:#fff}section{height:300px;background:#111}';
    const html = menuPage(css, ITEMS, '<section></section>');
    expect(said(auditText(html, { at: [1000], only: ['text-contrast'] }).findings)).toEqual([]);
    expect(
      said(auditText(html.replace('#111', '#eee'), { at: [1000], only: ['text-contrast'] }).findings),
    ).toHaveLength(2);
  });
});
