import type { AuditOptions } from '../../src/core/index.js';
import { auditText, links, menuPage, said } from '../support/audit.js';

const ITEMS = links('Home', 'Fares', 'Times');
const audit = (css: string, items = ITEMS, options: Partial<AuditOptions> = {}, around = '') =>
  auditText(menuPage(css, items, around), { at: [1000], only: ['small-target'], ...options }).findings;

describe('small-target', () => {
  test.each<[string, string, string, string[]]>([
    ['large enough', 'a{display:block;padding:4px}', ITEMS, []],
    ['exactly 24 px', 'a{display:block;line-height:24px}', ITEMS, []],
    [
      'a crowded column',
      'a{display:block;line-height:16px}',
      ITEMS,
      ['small-target/crowded normal Home', 'small-target/crowded normal Fares', 'small-target/crowded normal Times'],
    ],
    ['small but spaced out', 'a{display:block;line-height:16px;margin-bottom:8px}', ITEMS, []],
    [
      'almost spaced out',
      'a{display:block;line-height:16px;margin-bottom:7px}',
      ITEMS,
      ['small-target/crowded normal Home', 'small-target/crowded normal Fares', 'small-target/crowded normal Times'],
    ],
    [
      'a narrow one in a row',
      'ul{display:flex}a{display:block;padding:8px 4px}.n{padding:8px 0;width:10px;overflow:hidden}',
      `${links('Home')}<li><a class=n href=x>|</a></li>${links('Times')}`,
      ['small-target/crowded normal |'],
    ],
    ['hidden ones are left out', 'a{display:block;line-height:16px}nav{display:none}', ITEMS, []],
    ['what cannot be pressed is left out', 'a{display:block;line-height:16px;pointer-events:none}', ITEMS, []],
    [
      'disabled controls are left out',
      'button{display:block;line-height:16px;border:0;padding:0;height:16px}',
      '<li><button disabled>A</button></li><li><button disabled>B</button></li>',
      [],
    ],
    [
      'an inner block makes the target larger',
      'a{line-height:16px}span{display:inline-block;padding:6px}',
      '<li><a href=a><span>Home</span></a></li><li><a href=b><span>Fares</span></a></li>',
      [],
    ],
  ])('%s', (_name, css, items, expected) => {
    expect(said(audit(css, items))).toEqual(expected);
  });

  test('links in a sentence are excepted', () => {
    const html = `<!doctype html><style>body{font:12px/14px Arial}</style><nav><p>From here you reach <a href=a>the fares</a>, <a href=b>the times</a> and <a href=c>the pier</a>.</p></nav>`;
    expect(said(auditText(html, { at: [1000], only: ['small-target'] }).findings)).toEqual([]);
  });

  test('targets outside the menu count as neighbours', () => {
    const css =
      'nav a{display:block;line-height:16px;margin-bottom:40px}nav li:last-child a{margin-bottom:0}button{display:block;width:100%;height:30px}';
    expect(said(audit(css, ITEMS, {}, '<button>Search</button>'))).toEqual(['small-target/crowded normal Times']);
    expect(said(audit(css))).toEqual([]);
  });

  test('the strictest level knows no spacing', () => {
    const css = 'a{display:block;line-height:24px;margin-bottom:60px}';
    expect(said(audit(css))).toEqual([]);
    expect(said(audit(css, ITEMS, { level: 'AAA' }))).toEqual([
      'small-target/small normal Home',
      'small-target/small normal Fares',
      'small-target/small normal Times',
    ]);
    expect(
      said(audit('a{display:inline-block;padding:10px;min-width:24px}', links('Home', 'Fares'), { level: 'AAA' })),
    ).toEqual([]);
  });

  test('figures and remedy', () => {
    const [finding] = audit('a{line-height:16px}li{line-height:16px}');
    expect(finding).toMatchObject({ measured: { value: 16, unit: 'px' }, needed: { value: 24, unit: 'px' } });
    expect(finding!.says).toMatch(/“Home” is [\d.]+ × 16 px with the next target [\d.]+ px away/);
    expect(finding!.mends).toContain('display: inline-block and 4 px more padding above and below');
  });

  test('it may hold over part of a rung: to the px', () => {
    const css = 'ul{display:flex}li{flex:1}a{display:block;height:30px;overflow:hidden;max-width:4vw}';
    const items = links(...'ABCDEFGHIJKLMNOPQRSTUVWXYZ'.split(''));
    const [finding] = audit(css, items, { at: null, from: 320, to: 1200 });
    expect(finding!.widths).toHaveLength(1);
    expect(finding!.widths[0]!.from).toBe(320);
    expect(finding!.widths[0]!.to).toBe(623);
  });
});
