import { links, menuPage } from '../support/audit.js';
import { describeCheck, type Faulty, type NearMiss } from '../support/check-tester.js';

const page = (css: string, items = links('Home', 'Fares', 'Times')) =>
  menuPage(`a{color:#222;display:block;line-height:24px;width:90px}nav ul{display:flex;width:600px}${css}`, items);
const two = (css: string) =>
  menuPage(
    `nav ul{display:flex}a{color:#222;display:block;padding:8px}${css}`,
    links('Home', 'Fares', 'Times'),
    `<nav class=top aria-label=Service><ul>${links('Log in', 'Basket')}</ul></nav>`,
  );
const last = (css: string) =>
  `<!doctype html><html><head><meta name=viewport content="width=device-width"><style>body{margin:0;font:16px/24px Arial;display:grid;grid-template-areas:"n" "m"}nav{grid-area:n}main{grid-area:m}nav ul{display:flex}a{color:#222}nav a{display:block;padding:8px}${css}</style></head><body><main><p><a href=news.html>News</a></p></main><nav aria-label=Main><ul>${links('Home', 'Fares', 'Times')}</ul></nav></body></html>`;
const toggled = (nav: string, button: string, first: boolean, script = '') => {
  const panel = `${nav}<ul>${links('Home', 'Fares', 'Times')}</ul></nav>`;
  return `<!doctype html><html><head><meta name=viewport content="width=device-width"><style>body{margin:0;font:16px/24px Arial}header{display:flex;flex-direction:column${first ? '-reverse' : ''}}nav{display:none}nav.open{display:block}a{color:#222;display:block;padding:8px}</style></head><body><header>${first ? panel + button : button + panel}</header><main><p>Text</p></main><script>b.onclick=()=>{const o=document.querySelector('nav').classList.toggle('open');b.setAttribute('aria-expanded',o);${script}}</script></body></html>`;
};
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
  {
    name: 'a menu above the one before it',
    page: two('body{display:flex;flex-direction:column}.top{order:-1}'),
    finds: ['apart normal Log in'],
    mended: two(''),
  },
  {
    name: 'a menu above the content that comes first in the markup',
    page: last(''),
    finds: ['apart normal Home'],
    mended: last('body{display:block}'),
  },
  {
    name: 'a panel in front of its button in the markup',
    page: toggled('<nav aria-label=Main>', '<button id=b aria-expanded=false>Menu</button>', true),
    finds: ['behind normal Menu'],
    mended: toggled('<nav aria-label=Main>', '<button id=b aria-expanded=false>Menu</button>', false),
  },
];
const NEAR: readonly NearMiss[] = [
  {
    name: 'a panel that takes focus as it opens',
    page: toggled(
      '<nav aria-label=Main>',
      '<button id=b aria-expanded=false>Menu</button>',
      true,
      "document.querySelector('nav a').focus()",
    ),
  },
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
