import { beneathPage, DROP_LINK, dropPage, links, menuPage } from '../support/audit.js';
import { describeCheck, type Faulty, type NearMiss } from '../support/check-tester.js';
import { barPage } from '../support/scrolled.js';

const page = (css: string, around = '') =>
  menuPage(`a{color:#222;display:block;height:24px}nav{position:relative}${css}`, links('Home', 'Fares'), around);
const BOTH = ['covered normal Home', 'covered normal Fares'];
const LOGO = '<a class=logo href=l.html>Tidewrack</a>';
const LOGO_CSS = '.logo{position:absolute;left:0;top:0;height:24px;width:200px;background:#eee}';

const FAULTY: readonly Faulty[] = [
  {
    name: 'a generated sheet over the bar',
    page: page('nav::after{content:"";position:absolute;inset:0}'),
    finds: BOTH,
    told: 1,
    mended: page('nav::after{content:"";position:absolute;inset:0;pointer-events:none}'),
  },
  {
    name: 'one sheet over all of them is one cause',
    page: page(
      '.sheet{position:relative;z-index:2;margin-top:-60px}.sheet p{margin:0;height:30px}',
      '<div class=sheet><p>One</p><p>Two</p></div>',
    ),
    finds: BOTH,
    told: 1,
    mended: page('.sheet{position:relative;z-index:2}', '<div class=sheet><p>One</p><p>Two</p></div>'),
  },
  {
    name: 'a logo over the first item',
    page: page(`${LOGO_CSS}li{float:left}a{width:190px}`, LOGO),
    finds: ['covered normal Home'],
    mended: page(`${LOGO_CSS}li{float:left}a{width:190px}ul{padding-top:30px!important}`, LOGO),
  },
  {
    name: 'content pulled up over it',
    page: page('.hero{position:relative;margin-top:-60px;height:200px}', '<div class=hero>Text</div>'),
    finds: BOTH,
    mended: page('.hero{position:relative;margin-top:0;height:200px}', '<div class=hero>Text</div>'),
  },
];
const NEAR: readonly NearMiss[] = [
  {
    name: 'a shine that lets the pointer through',
    page: page('.shine{position:absolute;inset:0;pointer-events:none}', '<div class=shine></div>'),
  },
  {
    name: 'another link to the same address',
    page: page(`${LOGO_CSS}li{float:left}a{width:200px}`, '<a class=logo href=home.html>Tidewrack</a>'),
  },
  {
    name: 'links that only pass under a bar while scrolling',
    page: barPage(
      '.desk{position:fixed;left:0;right:0;bottom:0;height:60px;background:#fff}nav{padding-top:740px}',
      '<div class=desk>Desk</div>',
    ),
  },
  {
    name: 'a drawer under the page until its button moves the page aside',
    page: beneathPage(''),
  },
  {
    name: 'a stretched link of its own',
    page: page('a{position:relative}a::after{content:"";position:absolute;inset:0}'),
  },
  {
    name: 'a whole panel under the content is told as buried',
    page: dropPage(
      '.p:hover .s{display:block}nav{position:relative;z-index:1;height:24px}p{position:relative;z-index:5;height:200px;margin:0}',
      DROP_LINK,
    ),
  },
];

describeCheck('covered-item', FAULTY, NEAR);
