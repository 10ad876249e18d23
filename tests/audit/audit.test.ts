import fc from 'fast-check';
import { auditPage, CHECKS, mergeCauses, printFigure, printWidths, type Single } from '../../src/core/index.js';
import { pageFrom, styled } from '../support/page.js';
import { auditText, links, menuPage } from '../support/audit.js';

describe('an audit', () => {
  const css = 'a{color:#999}@media (max-width:600px){nav{display:none}}@media (min-width:1200px){a{color:#222}}';
  const result = auditText(menuPage(css, links('Home', 'Fares'), '<main></main>'), {});

  test('its rungs and the form of the menu in each', () => {
    expect(result.rungs.map((r) => [r.from, r.to, r.forms['menu-1']])).toEqual([
      [320, 600, ['none', 'none']],
      [601, 1199, ['column', 'column']],
      [1200, 1920, ['column', 'column']],
    ]);
    expect(result.rungs[1]!.starts[0]!.place).toMatch(/^page\.html:1:\d+$/);
  });

  test('findings hold where they hold, nowhere else', () => {
    expect(result.findings.map((f) => [f.check, f.widths])).toEqual([
      ['no-menu', [{ from: 320, to: 600 }]],
      ['text-contrast', [{ from: 601, to: 1199 }]],
    ]);
  });

  test('chosen widths only', () => {
    const at = auditText(menuPage(css, links('Home', 'Fares'), '<main></main>'), { at: [500, 700] });
    expect(at.rungs.map((r) => r.from)).toEqual([500, 700]);
    const pale = at.findings.find((f) => f.check === 'text-contrast')!;
    expect(pale.widths).toEqual([{ from: 700, to: 700 }]);
  });

  test('chosen checks only', () => {
    expect(auditText(menuPage(css, links('Home', 'Fares')), { only: ['small-target'] }).findings).toEqual([]);
    expect(auditText(menuPage(css, links('Home', 'Fares')), { skip: ['text-contrast'] }).checks).not.toContain(
      'text-contrast',
    );
    const { checks } = auditText(menuPage(css, links('Home', 'Fares')), { level: 'A' });
    expect(checks).toContain('uncrawlable-link');
    expect(checks).not.toContain('text-contrast');
  });

  test('the same page gives the same result', () => {
    const html = menuPage(css, links('Home', 'Fares'));
    expect(JSON.stringify(auditText(html, {}))).toBe(JSON.stringify(auditText(html, {})));
  });

  test('a page without a menu has no findings and says nothing false', () => {
    const none = auditPage(styled('', '<p>Nothing here</p>'));
    expect(none.menus).toEqual([]);
    expect(none.findings).toEqual([]);
  });

  test('escapes beyond the last character stand for none', () => {
    expect(auditText(menuPage('a::before{content:"\\ffffff"}', links('Home', 'Fares')), {}).crashed).toEqual([]);
  });

  test('what opens on demand and was not looked at is a limit', () => {
    const html = menuPage(
      'li ul{display:none}li.open ul{display:block}',
      `<li><a href=i>Islands</a><ul>${links('Sula', 'Kelp')}</ul></li>`,
    );
    expect(auditText(html, {}).limits.some((l) => l.kind === 'unsupported' && /opened/.test(l.subject))).toBe(true);
    expect(auditText(menuPage('', links('Home', 'Fares')), {}).limits).toEqual([]);
  });

  test('progress is told', () => {
    const told: string[] = [];
    auditPage(pageFrom(menuPage(css, links('Home', 'Fares'))), {
      onCheck: (id, i, n) => told.push(`${i + 1}/${n} ${id}`),
    });
    const ids = CHECKS.filter(({ meta }) => meta.scope !== 'site').map(({ meta }) => meta.id);
    const steps = told.length;
    expect(told).toEqual(told.map((_, i) => `${i + 1}/${steps} ${ids[i % ids.length]}`));
    expect(steps).toBeGreaterThan(ids.length);
  });

  test('any markup and any sheet end in a result', () => {
    const piece = fc.constantFrom(
      '<nav>',
      '<ul>',
      '<li>',
      '<a href=x>',
      'text',
      '</a>',
      '</ul>',
      '<button>',
      '<table>',
      '<td>',
      '<svg>',
      '<details>',
      '<p style="display:flex">',
      '<b style="float:left">',
      '</nav>',
      '<input>',
      '&nbsp;',
    );
    const rule = fc.constantFrom(
      'a{color:red}',
      'nav{display:flex;position:sticky}',
      '@media (min-width:700px){a{display:none}}',
      'li{float:left;width:calc(',
      '}',
      'a:hover{top:1px',
      '*{position:absolute}',
      'td{display:contents}',
      'ul{transform:scale(0)}',
      'a{font-size:0}',
    );
    fc.assert(
      fc.property(fc.array(piece, { maxLength: 25 }), fc.array(rule, { maxLength: 5 }), (body, rules) => {
        const audit = auditPage(pageFrom(`<style>${rules.join('')}</style>${body.join('')}`), { at: [400, 900] });
        return audit.crashed.length === 0 && Array.isArray(audit.findings);
      }),
      { numRuns: 120 },
    );
  });
});

describe('merging', () => {
  const place = (label: string) =>
    ({ kind: 'element', selector: label, path: label, label, at: null, widths: null }) as const;
  const base: Single = {
    key: 'k',
    check: 'text-contrast',
    message: 'low',
    verdict: 'fault',
    weight: 'hinders',
    criteria: [],
    menus: ['menu-1'],
    states: ['normal'],
    poses: ['closed'],
    visitors: [],
    widths: [{ from: 320, to: 1920 }],
    places: [place('a')],
    cause: { selector: 'a', text: 'color: #999', at: { file: 'a.css', line: 1, column: 4 } },
    measured: { value: 3, unit: ':1' },
    needed: { value: 4.5, unit: ':1' },
    says: 's',
    mends: 'm',
    cluster: 'a.css:1:4',
    badness: 0.3,
  };

  test('one cause makes one finding: places, menus, states, poses and widths are joined, the worst place first', () => {
    const [merged, ...rest] = mergeCauses([
      base,
      {
        ...base,
        key: 'k2',
        places: [place('b')],
        measured: { value: 2, unit: ':1' },
        menus: ['menu-2'],
        states: ['hover'],
        poses: ['hover:b'],
        widths: [{ from: 320, to: 600 }],
        badness: 0.5,
      },
    ]);
    expect(rest).toEqual([]);
    expect(merged!.places.map((p) => [p.label, p.widths])).toEqual([
      ['b', [{ from: 320, to: 600 }]],
      ['a', null],
    ]);
    expect(merged).toMatchObject({
      measured: { value: 2 },
      menus: ['menu-1', 'menu-2'],
      states: ['normal', 'hover'],
      poses: ['hover:b', 'closed'],
      widths: [{ from: 320, to: 1920 }],
    });
    expect(merged).not.toHaveProperty('badness');
  });

  test('one place in two states is one place', () => {
    const [merged] = mergeCauses([base, { ...base, key: 'k2', states: ['focus'], widths: [{ from: 1921, to: 2000 }] }]);
    expect(merged!.places).toHaveLength(1);
    expect(merged!.widths).toEqual([{ from: 320, to: 2000 }]);
  });

  test.each<[string, Partial<Single>]>([
    ['another cause', { cluster: 'a.css:2:4' }],
    ['another verdict', { verdict: 'look' }],
    ['another message', { message: 'unknown' }],
    ['another check', { check: 'small-target' }],
  ])('%s keeps findings apart', (_name, change) => {
    expect(mergeCauses([base, { ...base, key: 'k2', ...change }])).toHaveLength(2);
  });

  test('heavier first, looks last', () => {
    const sorted = mergeCauses([
      { ...base, key: '1', cluster: '1', weight: 'polish', menus: ['m1'] },
      { ...base, key: '2', cluster: '2', verdict: 'look', menus: ['m2'] },
      { ...base, key: '3', cluster: '3', weight: 'blocks', menus: ['m3'] },
      { ...base, key: '4', cluster: '4', menus: ['m4'] },
    ]);
    expect(sorted.map((f) => f.key)).toEqual(['3', '4', '2', '1']);
  });

  test('printing', () => {
    expect(
      printWidths([
        { from: 320, to: 575 },
        { from: 992, to: 992 },
      ]),
    ).toBe('320–575, 992');
    expect(printFigure({ value: 4.5, unit: ':1' })).toBe('4.5:1');
    expect(printFigure({ value: 24, unit: 'px' })).toBe('24 px');
  });
});
