import { links, menuPage } from '../support/audit.js';
import { describeCheck, type Faulty, type NearMiss } from '../support/check-tester.js';

const page = (css: string, items = links('Home', 'Fares', 'Times'), around = '') =>
  menuPage(`a{color:#222}${css}`, items, around);
const COLUMN = 'a{display:block;height:32px}li{height:24px}';

const FAULTY: readonly Faulty[] = [
  {
    name: 'padding of inline links in a column',
    page: page('nav{padding-top:40px}a{padding:12px}'),
    finds: ['overlap normal Home', 'overlap normal Fares'],
    mended: page('nav{padding-top:40px}a{padding:12px;display:inline-block}'),
  },
  {
    name: 'entries lower than their links',
    page: page(COLUMN),
    finds: ['overlap normal Home', 'overlap normal Fares'],
    mended: page(`${COLUMN}li{height:32px}`),
  },
  {
    name: 'a margin that pulls one over the other',
    page: page('li{float:left}a{display:block;width:100px;height:30px}li+li{margin-left:-20px}'),
    finds: ['overlap normal Home', 'overlap normal Fares'],
    mended: page('li{float:left}a{display:block;width:100px;height:30px}'),
  },
];
const NEAR: readonly NearMiss[] = [
  { name: 'boxes that touch', page: page('a{display:block;height:24px}') },
  { name: 'padding that just meets', page: page('a{padding:1px}') },
  {
    name: 'two links to one address',
    page: page(
      'li{float:left}li+li{margin-left:-20px}a{display:block;width:80px}',
      '<li><a href=h.html>Home</a></li><li><a href=h.html>H</a></li>',
    ),
  },
  {
    name: 'a control and its label',
    page: page(
      'label{display:block;padding:8px}input{margin:8px}',
      '<li><label><input type=checkbox> Large text</label></li><li><a href=f.html>Fares</a></li>',
    ),
  },
  {
    name: 'a fixed button in the corner over the end of the list',
    page: page(
      '.top{position:fixed;right:0;top:0}a{display:block;height:24px}',
      links('Home', 'Fares'),
      '<a class=top href="#x">Up</a>',
    ),
  },
];

describeCheck('overlapping-targets', FAULTY, NEAR);
