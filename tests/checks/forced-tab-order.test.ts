import { links, menuPage } from '../support/audit.js';
import { describeCheck, type Faulty, type NearMiss } from '../support/check-tester.js';

const page = (items: string, around = '') => menuPage('a{color:#222;display:block;line-height:24px}', items, around);
const MENDED = page(links('Home', 'Fares'));
const FAULTY: readonly Faulty[] = [
  {
    name: 'a link',
    page: page('<li><a href=h.html tabindex=1>Home</a></li><li><a href=f.html tabindex=2>Fares</a></li>'),
    finds: ['positive normal Home', 'positive normal Fares'],
    told: 1,
    mended: MENDED,
  },
  {
    name: 'a field',
    page: page(links('Home'), '<label>Mail <input tabindex=5></label>'),
    finds: ['positive normal Mail'],
    mended: MENDED,
  },
];
const NEAR: readonly NearMiss[] = [
  { name: 'nought', page: page('<li><a href=h.html tabindex=0>Home</a></li><li><a href=f.html>Fares</a></li>') },
  { name: 'negative', page: page('<li><a href=h.html tabindex=-1>Home</a></li><li><a href=f.html>Fares</a></li>') },
  { name: 'not rendered', page: page(links('Home'), '<div style="display:none"><input tabindex=5></div>') },
];

describeCheck('forced-tab-order', FAULTY, NEAR);
