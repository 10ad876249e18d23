import { links, menuPage } from '../support/audit.js';
import { describeCheck, type Faulty, type NearMiss } from '../support/check-tester.js';

const page = (css: string, items = '') => menuPage(`a{color:#222}${css}`, links('Home', 'Fares') + items);
const BOTH = ['small normal Home', 'small normal Fares'];
const BADGE = '<li><a href=m.html>Mail <span class=n>4</span></a></li>';

const FAULTY: readonly Faulty[] = [
  { name: 'a size in px', page: page('a{font-size:11px}'), finds: BOTH, told: 1, mended: page('a{font-size:12px}') },
  {
    name: 'shrunk twice by em',
    page: page('ul{font-size:.8em}a{font-size:.9em}'),
    finds: BOTH,
    mended: page('ul{font-size:.8em}a{font-size:1em}'),
  },
  {
    name: 'a badge in an item',
    page: page('.n{font-size:9px}', BADGE),
    finds: ['small normal Mail 4'],
    mended: page('.n{font-size:12px}', BADGE),
  },
  {
    name: 'below a width',
    page: page('@media(max-width:700px){a{font-size:10px}}'),
    finds: BOTH,
    widths: '320–700',
    options: { from: 320, to: 1000 },
    mended: page('@media(max-width:700px){a{font-size:13px}}'),
  },
];
const NEAR: readonly NearMiss[] = [
  { name: 'twelve px to a hair', page: page('a{font-size:11.98px}') },
  {
    name: 'a raised sign',
    page: page('sup{font-size:9px;vertical-align:super}', '<li><a href=m.html>Area<sup>2</sup></a></li>'),
  },
  {
    name: 'words for screen readers alone',
    page: page(
      '.sr{position:absolute;width:1px;height:1px;overflow:hidden;font-size:8px}',
      '<li><a href=m.html>Mail<span class=sr> of the office</span></a></li>',
    ),
  },
  { name: 'a dot between items', page: page('i{font-size:8px}', '<li><a href=m.html>Mail<i>·</i></a></li>') },
];

describeCheck('small-text', FAULTY, NEAR);
