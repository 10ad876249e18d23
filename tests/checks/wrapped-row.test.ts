import { links, menuPage } from '../support/audit.js';
import { describeCheck, type Faulty, type NearMiss } from '../support/check-tester.js';

const SEVEN = links('Home', 'Fares', 'Times', 'Boats', 'Crew', 'Shop', 'News');
const page = (css: string, items = SEVEN) => menuPage(`a{color:#222;display:block;width:112px}${css}`, items);
const PAIRS = ['Home', 'Fares', 'Times', 'Boats', 'Crew', 'Shop'];
const RANGE = { from: 320, to: 1000 };

const FAULTY: readonly Faulty[] = [
  {
    name: 'floats that break',
    page: page('li{float:left}@media(max-width:699px){ul{display:none}}'),
    finds: ['wrapped normal '],
    widths: '700–783',
    options: RANGE,
    mended: page('li{float:left}@media(max-width:783px){ul{display:none}}'),
  },
  {
    name: 'a flex row',
    page: page('ul{display:flex;flex-wrap:wrap}@media(max-width:699px){ul{display:none}}'),
    finds: ['wrapped normal '],
    widths: '700–783',
    options: RANGE,
    mended: page('ul{display:flex}@media(max-width:783px){ul{display:none}}'),
  },
  {
    name: 'entries with padding',
    page: page('a{width:80px}li{float:left;padding:0 16px}@media(max-width:699px){ul{display:none}}'),
    finds: ['wrapped normal '],
    widths: '700–783',
    options: RANGE,
    mended: page('a{width:80px}li{float:left;padding:0 16px}@media(max-width:783px){ul{display:none}}'),
  },
  {
    name: 'entries with margins',
    page: page('a{width:92px}li{float:left;margin-right:20px}@media(max-width:699px){ul{display:none}}'),
    finds: ['wrapped normal '],
    widths: '700–783',
    options: RANGE,
    mended: page('a{width:92px}li{float:left;margin-right:20px}@media(max-width:783px){ul{display:none}}'),
  },
  {
    name: 'room between columns alone',
    page: page('a{width:94px}ul{display:flex;flex-wrap:wrap;column-gap:20px}@media(max-width:699px){ul{display:none}}'),
    finds: ['wrapped normal '],
    widths: '700–777',
    options: RANGE,
    mended: page(
      'a{width:94px}ul{display:flex;flex-wrap:wrap;column-gap:20px}@media(max-width:777px){ul{display:none}}',
    ),
  },
  {
    name: 'lines of equal length that nothing shares out',
    page: page('li{float:left}@media(max-width:449px){ul{display:none}}'),
    finds: ['wrapped normal '],
    widths: '450–783',
    options: RANGE,
    mended: page('li{float:left}@media(max-width:783px){ul{display:none}}'),
  },
  {
    name: 'links without a list',
    page: page('nav a{display:inline-block}@media(max-width:699px){nav{display:none}}').replace(/<\/?(ul|li)>/g, ''),
    finds: ['wrapped normal Main'],
    widths: '700–783',
    options: RANGE,
    mended: page('nav a{display:inline-block}@media(max-width:783px){nav{display:none}}').replace(/<\/?(ul|li)>/g, ''),
  },
  {
    name: 'words that run into one another',
    page: page(
      'ul{display:flex}li{flex:1 1 0;min-width:0}a{width:auto;white-space:nowrap}',
      links('Home', 'Compost exchange', 'Shop', 'News'),
    ),
    finds: ['collide normal '],
    widths: '320–549',
    options: RANGE,
    mended: page('ul{display:flex}li{flex:1 1 auto}a{width:auto}', links('Home', 'Compost exchange', 'Shop', 'News')),
  },
];
const NEAR: readonly NearMiss[] = [
  {
    name: 'long words that are cut off with an ellipsis',
    page: page(
      'ul{display:flex}li{flex:1 1 0;min-width:0}a{width:auto;white-space:nowrap;overflow:hidden;text-overflow:ellipsis}',
      links('Home', 'Compost exchange', 'Shop', 'News'),
    ),
  },
  { name: 'a gap between the lines', page: page('ul{display:flex;flex-wrap:wrap;gap:8px}'), options: RANGE },
  { name: 'centred lines', page: page('ul{display:flex;flex-wrap:wrap;justify-content:center}'), options: RANGE },
  {
    name: 'lines shared out to the last px',
    page: page('a{width:auto}li{float:left;width:100px}@media(max-width:699px){li{width:50%}}', links(...PAIRS)),
    options: RANGE,
  },
  { name: 'a grid', page: page('ul{display:grid;grid-template-columns:repeat(auto-fill,120px)}'), options: RANGE },
  { name: 'a row that fits', page: page('li{float:left}', links('Home', 'Fares')), options: RANGE },
  { name: 'a column', page: page(''), options: RANGE },
];

describeCheck('wrapped-row', FAULTY, NEAR);
