import { links, menuPage } from '../support/audit.js';
import { describeCheck, type Faulty, type NearMiss } from '../support/check-tester.js';

const SEVEN = links('Home', 'Fares', 'Times', 'Boats', 'Crew', 'Shop', 'News');
const page = (css: string, items = SEVEN) => menuPage(`a{color:#222;display:block;width:112px}${css}`, items);
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
];
const NEAR: readonly NearMiss[] = [
  { name: 'a gap between the lines', page: page('ul{display:flex;flex-wrap:wrap;gap:8px}'), options: RANGE },
  { name: 'centred lines', page: page('ul{display:flex;flex-wrap:wrap;justify-content:center}'), options: RANGE },
  { name: 'a grid', page: page('ul{display:grid;grid-template-columns:repeat(auto-fill,120px)}'), options: RANGE },
  { name: 'a row that fits', page: page('li{float:left}', links('Home', 'Fares')), options: RANGE },
  { name: 'a column', page: page(''), options: RANGE },
];

describeCheck('wrapped-row', FAULTY, NEAR);
