import { links, menuPage } from '../support/audit.js';
import { describeCheck, type Faulty, type NearMiss } from '../support/check-tester.js';
import { SECTIONS } from '../support/scrolled.js';

const page = (css: string) =>
  menuPage(
    `a{color:#222}.sec{min-height:320px}nav{position:sticky;top:0}${css}`,
    links('Home', 'Fares'),
    `<main>${SECTIONS}</main>`,
  ).replace(/<body>(.*)<\/body>/s, '<body><div class=page>$1</div></body>');
const inHeader = (css: string) => page(css).replace(/<nav.*<\/nav>/s, '<header>$&</header>');

const FAULTY: readonly Faulty[] = [
  { name: 'no inset', page: page('nav{top:auto}'), finds: ['inset normal Main'], mended: page('') },
  {
    name: 'an ancestor that clips sideways',
    page: page('.page{overflow-x:hidden}'),
    finds: ['ancestor normal Main'],
    mended: page('.page{overflow-x:clip}'),
  },
  {
    name: 'html and body both',
    page: page('html,body{overflow-x:hidden}'),
    finds: ['ancestor normal Main'],
    mended: page('body{overflow-x:hidden}'),
  },
  {
    name: 'a parent that is no taller',
    page: inHeader(''),
    finds: ['parent normal Main'],
    mended: inHeader('header{display:contents}'),
  },
];
const NEAR: readonly NearMiss[] = [
  { name: 'overflow on body alone goes to the screen', page: page('body{overflow-x:hidden}') },
  { name: 'a page that does not scroll', page: page('nav{top:auto}main{display:none}') },
  { name: 'inside a part that scrolls by itself', page: page('.page{height:500px;overflow:auto}') },
  { name: 'stuck to the foot', page: page('nav{top:auto;bottom:0}') },
  { name: 'not sticky', page: page('nav{position:relative}') },
];

describeCheck('sticky-inert', FAULTY, NEAR);
