import { auditOnly, links, menuPage } from '../support/audit.js';
import { describeCheck, type Faulty, type NearMiss } from '../support/check-tester.js';

const auditText = auditOnly('uncrawlable-link');

const page = (items: string, css = '', around = '') =>
  menuPage(
    `a,button,span{color:#222;display:block;line-height:24px}${css}`,
    `${links('Home', 'Fares')}${items}`,
    around,
  );
const MENDED = page('<li><a href=t.html>Times</a></li>');
const fault = (name: string, items: string, finds: string, more: Partial<Faulty> = {}): Faulty => ({
  name,
  page: page(items),
  finds: [finds],
  mended: MENDED,
  ...more,
});
const silent = (name: string, items: string): NearMiss => ({ name, page: page(items) });
const CONTENTS = '<li><a href="#a">Crossing</a></li><li><a href="#b">Boarding</a></li><li><a href="#c">Bikes</a></li>';
const contents = (first: string) =>
  `<!doctype html><style>a{color:#222;display:block;line-height:24px}</style><nav aria-label=Contents><ul>${first}${CONTENTS}</ul></nav><h2 id=a>A</h2><h2 id=b>B</h2><h2 id=c>C</h2>`;

const FAULTY: readonly Faulty[] = [
  fault('no address', '<li><a>Times</a></li>', 'no-href normal Times'),
  fault(
    'no address, goes by script',
    '<li><a onclick="location.href=\'t.html\'">Times</a></li>',
    'no-href normal Times',
  ),
  fault('an empty address', '<li><a href="">Times</a></li>', 'empty-href normal Times'),
  fault('a bare hash', '<li><a href="#">Times</a></li>', 'empty-href normal Times'),
  fault('a hash and a bang', '<li><a href="#!">Times</a></li>', 'empty-href normal Times'),
  fault('a hash and a nought', '<li><a href="#0">Times</a></li>', 'empty-href normal Times'),
  fault('a script as address', '<li><a href="javascript:go()">Times</a></li>', 'script-href normal Times'),
  fault('a script of nothing', '<li><a href="javascript:;">Times</a></li>', 'script-href normal Times'),
  fault('void', '<li><a href="javascript:void(0)">Times</a></li>', 'script-href normal Times'),
  fault(
    'a span that goes elsewhere',
    '<li><span onclick="window.location = \'t.html\'" tabindex=0>Times</span></li>',
    'not-a-link normal Times',
  ),
  fault(
    'a button with an address in its data',
    '<li><button data-href="t.html">Times</button></li>',
    'not-a-link normal Times',
  ),
  fault('role link without an address', '<li><span role=link tabindex=0>Times</span></li>', 'not-a-link normal Times'),
  {
    name: 'one kind of placeholder is one finding, in both menus',
    page: page(
      '<li><a href="#">Times</a></li><li><a href="#">Pier</a></li>',
      '',
      '<footer><nav aria-label=Foot><ul><li><a href="#">Map</a></li><li><a href=c>Contact</a></li></ul></nav></footer>',
    ),
    finds: ['empty-href normal Times', 'empty-href normal Pier', 'empty-href normal Map'],
    told: 1,
    mended: MENDED,
  },
  {
    name: 'items that cannot be seen at a width are left out there',
    page: page('<li class=x><a href="#">Times</a></li>', '@media (max-width:500px){.x{display:none}}'),
    finds: ['empty-href normal Times'],
    widths: '501–1920',
    options: { at: null },
    mended: page('<li class=x><a href="t">Times</a></li>', '@media (max-width:500px){.x{display:none}}'),
  },
];

const NEAR: readonly NearMiss[] = [
  silent('one that is switched off for now', '<li><a role=link aria-disabled=true>Times</a></li>'),
  silent('real addresses', '<li><a href="/times.html">Times</a></li>'),
  silent(
    'telephone and mail',
    '<li><a href="tel:123">Call</a></li><li><a href="mailto:pier@example.org">Write</a></li>',
  ),
  silent('fragments', '<li><a href="#times">Times</a></li>'),
  silent(
    'opens a submenu',
    '<li><a href="#">Islands</a><ul><li><a href=s>Sula</a></li><li><a href=k>Kelp</a></li></ul></li>',
  ),
  silent('says that it expands', '<li><a href="#" aria-expanded=false>More</a></li>'),
  silent('runs something on this page', '<li><a href="#" onclick="toggle()">More</a></li>'),
  silent('opens by what its data says', '<li><a href="#" data-toggle=collapse>More</a></li>'),
  silent('the current page may be without a link', '<li><a aria-current=page>Times</a></li>'),
  silent('the current page may name itself', '<li class=current><a href="">Times</a></li>'),
  silent('a plain button', '<li><button>Search</button></li>'),
  silent('an anchor as a mere name', '<li><a name=x></a><a href=t>Times</a></li>'),
  silent('to the top of the page', '<li><a href="#">Back to top</a></li>'),
  silent('#top', '<li><a href="#top">Top</a></li>'),
  { name: 'the first of a list of the page’s parts', page: contents('<li><a href="#">Overview</a></li>') },
  {
    name: 'home on a page of one part',
    page: menuPage(
      'a{color:#222;display:block;line-height:24px}',
      '<li><a href="#">Home</a></li><li><a href=f>Fares</a></li>',
    ),
  },
];

describeCheck('uncrawlable-link', FAULTY, NEAR);

test('the place is the attribute, the sentence names the item', () => {
  const [finding] = auditText(page('<li><a href="javascript:go()">Times</a></li>'), { at: [1000] }).findings;
  expect(finding!.cause).toMatchObject({ text: 'href="javascript:go()"' });
  expect(finding!.says).toContain('“Times” leads to a script (“javascript:go()”)');
  expect(finding!.criteria).toEqual([]);
});

test('a nameless icon link is told by where it leads, not by the words its icon is drawn with', () => {
  const items = '<li><a href="javascript:find()"><i style="font-family:Pier Icons">search_glass</i></a></li>';
  const [finding] = auditText(page(items), { at: [1000], only: ['uncrawlable-link'] }).findings;
  expect(finding!.says).toMatch(/^The link without a name to javascript:find\(\) leads to a script/);
  expect(finding!.places[0]!.label).toBe('');
});
