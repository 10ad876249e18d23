import { links, menuPage } from '../support/audit.js';
import { describeCheck, type Faulty, type NearMiss } from '../support/check-tester.js';

const page = (css: string, items = links('Home', 'Fares', 'Times')) =>
  menuPage(`a{color:#222;display:block;line-height:24px;width:90px}nav ul{display:flex;width:600px}${css}`, items);
const MENDED = page('');
const FAULTY: readonly Faulty[] = [
  {
    name: 'a row turned round',
    page: page('nav ul{flex-direction:row-reverse}'),
    finds: ['backwards normal Fares'],
    mended: MENDED,
  },
  { name: 'order', page: page('li:last-child{order:-1}'), finds: ['backwards normal Times'], mended: MENDED },
  {
    name: 'floats',
    page: page('nav ul{display:block}nav li{float:right}'),
    finds: ['backwards normal Fares'],
    mended: MENDED,
  },
];
const NEAR: readonly NearMiss[] = [
  { name: 'right to left', page: page('nav{direction:rtl}') },
  { name: 'two lines', page: page('nav ul{flex-wrap:wrap;width:200px}') },
  {
    name: 'two columns',
    page: page('nav ul{display:block;columns:2;width:400px}', links('Home', 'Fares', 'Times', 'Islands')),
  },
  {
    name: 'a positive tabindex',
    page: page('', '<li><a href=a tabindex=2>Home</a></li><li><a href=b tabindex=1>Fares</a></li>'),
  },
];

describeCheck('focus-order', FAULTY, NEAR);
