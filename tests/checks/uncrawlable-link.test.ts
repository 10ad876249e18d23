import { auditText, links, menuPage, said } from '../support/audit.js';

const audit = (items: string, css = '') =>
  auditText(menuPage(css, `${links('Home', 'Fares')}${items}`), { at: [1000], only: ['uncrawlable-link'] }).findings;

describe('uncrawlable-link', () => {
  test.each<[string, string, string[]]>([
    ['real addresses pass', '<li><a href="/times.html">Times</a></li>', []],
    ['fragments of this page pass', '<li><a href="#times">Times</a></li>', []],
    [
      'telephone and mail pass',
      '<li><a href="tel:123">Call</a></li><li><a href="mailto:pier@example.org">Write</a></li>',
      [],
    ],
    ['no address', '<li><a>Times</a></li>', ['uncrawlable-link/no-href normal Times']],
    [
      'no address, goes by script',
      '<li><a onclick="location.href=\'t.html\'">Times</a></li>',
      ['uncrawlable-link/no-href normal Times'],
    ],
    ['an empty address', '<li><a href="">Times</a></li>', ['uncrawlable-link/empty-href normal Times']],
    ['a bare hash', '<li><a href="#">Times</a></li>', ['uncrawlable-link/empty-href normal Times']],
    [
      'a script as address',
      '<li><a href="javascript:go()">Times</a></li>',
      ['uncrawlable-link/script-href normal Times'],
    ],
    [
      'a span that goes elsewhere',
      '<li><span onclick="window.location = \'t.html\'" tabindex=0>Times</span></li>',
      ['uncrawlable-link/not-a-link normal Times'],
    ],
    [
      'a button with an address in its data',
      '<li><button data-href="t.html">Times</button></li>',
      ['uncrawlable-link/not-a-link normal Times'],
    ],
    [
      'role link without an address',
      '<li><span role=link tabindex=0>Times</span></li>',
      ['uncrawlable-link/not-a-link normal Times'],
    ],
    [
      'opens a submenu',
      '<li><a href="#">Islands</a><ul><li><a href=s>Sula</a></li><li><a href=k>Kelp</a></li></ul></li>',
      [],
    ],
    ['says that it expands', '<li><a href="#" aria-expanded=false>More</a></li>', []],
    ['runs something on this page', '<li><a href="#" onclick="toggle()">More</a></li>', []],
    ['opens by data-toggle', '<li><a href="#" data-toggle=collapse>More</a></li>', []],
    ['the current page may be without a link', '<li><a aria-current=page>Times</a></li>', []],
    ['the current page may name itself', '<li class=current><a href="">Times</a></li>', []],
    ['a plain button', '<li><button>Search</button></li>', []],
    ['an anchor as a mere name', '<li><a name=x></a><a href=t>Times</a></li>', []],
  ])('%s', (_name, items, expected) => {
    expect(said(audit(items))).toEqual(expected);
  });

  test('items that cannot be seen at a width are left out there', () => {
    const html = menuPage(
      '@media (max-width:500px){.x{display:none}}',
      `${links('Home', 'Fares')}<li class=x><a href="#">Times</a></li>`,
    );
    const [finding] = auditText(html, { only: ['uncrawlable-link'] }).findings;
    expect(finding!.widths).toEqual([{ from: 501, to: 1920 }]);
  });

  test('the place is the attribute, the sentence names the item', () => {
    const [finding] = audit('<li><a href="javascript:go()">Times</a></li>');
    expect(finding!.cause).toMatchObject({ text: 'href="javascript:go()"' });
    expect(finding!.says).toContain('“Times” leads to a script (“javascript:go()”)');
    expect(finding!.criteria).toEqual([]);
  });
});
