import {
  auditPage,
  compareRuns,
  linksOf,
  SharedFindings,
  type AuditResult,
  type AuditRun,
  type Finding,
} from '../../src/core/index.js';
import { links, menuPage } from '../support/audit.js';
import { pageFrom } from '../support/page.js';

const NOTHING = { checks: [], findings: [], accepted: [], crashed: [] };
const audited = (html: string, name = 'page.html'): AuditResult => ({
  ...auditPage(pageFrom(html), { at: [1000], only: ['text-contrast', 'small-text'] }),
  page: name,
});
const run = (...pages: AuditResult[]): AuditRun => ({ pages, across: NOTHING });
const pale = menuPage('a{color:#bbb}', links('Home', 'Fares'));
const clean = menuPage('a{color:#222}', links('Home', 'Fares'));

describe('what pages share', () => {
  const [first] = audited(pale).findings;
  const other = (more: Partial<Finding>): Finding => ({ ...first!, ...more });

  test('is told once, at the widths of all of them', () => {
    const all = new SharedFindings();
    all.add(first!, 'a.html');
    all.add(other({ widths: [{ from: 320, to: 700 }] }), 'b.html');
    const [one, ...more] = all.list();
    expect(more).toEqual([]);
    expect(one!.pages).toEqual(['a.html', 'b.html']);
    expect(one!.finding.widths).toEqual([
      { from: 320, to: 700 },
      { from: 1000, to: 1000 },
    ]);
  });

  test.each<[string, Partial<Finding>, number]>([
    ['other words', { says: 'Otherwise.' }, 1],
    ['another check', { check: 'small-text' }, 2],
    ['another state', { states: ['hover'] }, 2],
    ['another verdict', { verdict: 'look' }, 2],
    [
      'another entry of the same list',
      { places: [{ ...first!.places[0]!, selector: 'nav > ul > li:nth-child(2) > a' }] },
      1,
    ],
    ['something else', { places: [{ ...first!.places[0]!, selector: 'footer a' }] }, 2],
  ])('%s', (_name, more, count) => {
    const all = new SharedFindings();
    all.add(first!, 'a.html');
    all.add(other(more), 'b.html');
    expect(all.list()).toHaveLength(count);
  });

  test('faults come before what a person looks at, many pages before few', () => {
    const all = new SharedFindings();
    all.add(other({ check: 'x', verdict: 'look', weight: 'blocks' }), 'a.html');
    all.add(other({ check: 'y' }), 'a.html');
    for (const page of ['a.html', 'b.html']) all.add(other({ check: 'z' }), page);
    expect(all.list().map(({ finding }) => finding.check)).toEqual(['z', 'y', 'x']);
  });
});

describe('two runs', () => {
  test('single pages are compared whatever they are called', () => {
    const [page] = compareRuns(run(audited(pale, 'old/a.html')), run(audited(clean, 'new/b.html'))).pages;
    expect([page!.before, page!.after, page!.cleared.length, page!.fresh.length]).toEqual([
      'old/a.html',
      'new/b.html',
      1,
      0,
    ]);
  });

  test('pages are matched below the folder that each run has in common', () => {
    const before = run(audited(pale, 'old/a.html'), audited(pale, 'old/sub/b.html'));
    const after = run(
      audited(clean, 'site/new/a.html'),
      audited(pale, 'site/new/sub/b.html'),
      audited(pale, 'site/new/c.html'),
    );
    const { pages } = compareRuns(before, after);
    expect(pages.map((one) => [one.before, one.after, one.cleared.length, one.fresh.length, one.still.length])).toEqual(
      [
        ['old/a.html', 'site/new/a.html', 1, 0, 0],
        ['old/sub/b.html', 'site/new/sub/b.html', 0, 0, 1],
        [null, 'site/new/c.html', 0, 1, 0],
      ],
    );
  });

  test('checks that one run left out are named, not compared', () => {
    const fewer = { ...audited(clean), checks: ['small-text'] };
    const { pages, unmatched } = compareRuns(run(audited(pale)), run(fewer));
    expect(pages[0]!.cleared).toEqual([]);
    expect(unmatched).toEqual({ before: ['text-contrast'], after: [] });
  });
});

describe('where menus lead', () => {
  const rows = (html: string, files = {}) =>
    linksOf(pageFrom(html, files), { from: 320, to: 1200 }).links.map(
      ({ names, bands, crawler, target, fragment, scriptsOff }) => [
        names.join('/'),
        bands
          .map(({ form, keyboard, touch }) => `${form}${keyboard ? '' : ' no keys'}${touch ? '' : ' no touch'}`)
          .join(', '),
        crawler,
        fragment ?? target,
        scriptsOff,
      ],
    );

  test('in view, in a panel, or nowhere', () => {
    const html = menuPage(
      'a{color:#222}nav li{position:relative}.s{display:none}li:hover .s{display:block}@media(max-width:600px){nav{display:none}}',
      `${links('Home')}<li><a href="#">Islands</a><ul class=s><li><a href="sula.html" rel=nofollow>Sula</a></li></ul></li>`,
    );
    expect(rows(html)).toEqual([
      ['Home', 'none no keys no touch, shown', true, 'unknown', true],
      ['Sula', 'none no keys no touch, opens no keys', false, 'unknown', true],
    ]);
  });

  test('one row for an address, whatever its items are called', () => {
    const html = menuPage(
      'a{color:#222}',
      `${links('Home')}<li><a href="home.html">Start</a></li><li><a href="#part">Part</a></li>`,
      '<p id=part>x</p>',
    );
    expect(rows(html).map(([names, , , target]) => [names, target])).toEqual([
      ['Home/Start', 'unknown'],
      ['Part', 'there'],
    ]);
  });

  test('files that are there, missing, or another site’s', () => {
    const html = menuPage(
      'a{color:#222}',
      `${links('Home', 'Gone')}<li><a href="https://pier.example/">Pier</a></li><li><a href="#none">None</a></li>`,
    );
    expect(rows(html, { 'home.html': '' }).map(([, , , target]) => target)).toEqual([
      'there',
      'missing',
      'other-site',
      'missing',
    ]);
  });

  test('a menu that a script opens is out of reach without it', () => {
    const html = menuPage(
      'a{color:#222}nav ul{display:none}nav.on ul{display:block}',
      links('Home', 'Fares'),
      "<button aria-expanded=false onclick=\"document.querySelector('nav').classList.toggle('on')\">Menu</button>",
    );
    expect(rows(html).map((row) => [row[1], row[4]])).toEqual([
      ['opens', false],
      ['opens', false],
    ]);
  });
});
