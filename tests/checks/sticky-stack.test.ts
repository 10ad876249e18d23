import { describeCheck, type Faulty, type NearMiss } from '../support/check-tester.js';
import { barPage } from '../support/scrolled.js';

const TABS = '<div class=tabs><b>Routes and times</b></div>';
const page = (css: string, more = TABS) =>
  barPage(
    `nav{position:sticky;top:0;height:84px;background:#fff;z-index:3}.tabs{position:sticky;top:84px;height:30px;background:#eee;z-index:2}${css}`,
    more,
  );

const FAULTY: readonly Faulty[] = [
  {
    name: 'an offset for a lower bar',
    page: page('.tabs{top:60px}'),
    finds: ['overlap normal Routes and times'],
    mended: page(''),
  },
  {
    name: 'a bar that grows below a width',
    page: page('@media(max-width:700px){nav{height:110px}}'),
    finds: ['overlap normal Routes and times'],
    widths: '320–700',
    options: { from: 320, to: 1000 },
    mended: page('@media(max-width:700px){nav{height:110px}.tabs{top:110px}}'),
  },
  {
    name: 'a slit between the two',
    page: page('.tabs{top:100px}'),
    finds: ['gap normal Routes and times'],
    mended: page(''),
  },
  {
    name: 'fixed bars',
    page: page('nav{position:fixed;left:0;right:0}.tabs{position:fixed;left:0;right:0;top:50px}'),
    finds: ['overlap normal Routes and times'],
    mended: page('nav{position:fixed;left:0;right:0}.tabs{position:fixed;left:0;right:0}'),
  },
];
const NEAR: readonly NearMiss[] = [
  { name: 'an offset that is the sum', page: page('') },
  { name: 'a rail that stands lower', page: page('.tabs{top:100px;width:200px;height:300px}') },
  {
    name: 'a second one that its section takes along',
    page: page(
      'section{height:3000px}main{display:none}',
      `<section>${TABS}</section><div style="height:710px"></div>`,
    ),
  },
  { name: 'the second one moves with the page', page: page('.tabs{position:static}') },
  { name: 'one at the top and one at the foot', page: page('.tabs{position:fixed;top:auto;bottom:0;left:0;right:0}') },
];

describeCheck('sticky-stack', FAULTY, NEAR);
