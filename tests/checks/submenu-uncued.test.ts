import { links, menuPage } from '../support/audit.js';
import { describeCheck, type Faulty, type NearMiss } from '../support/check-tester.js';

const CSS =
  'a,button{color:#222;display:block;line-height:24px}nav li{float:left;position:relative}.s{display:none;position:absolute;top:24px;left:0;width:200px;background:#fff}';
const SUB = '<ul class=s><li><a href=s.html>Sula</a></li><li><a href=k.html>Kelp</a></li></ul>';
const page = (css: string, handle: string, more = '', script = '') =>
  menuPage(
    `${CSS}${css}`,
    `${links('Home', 'Fares')}<li class=p>${handle}${SUB}${more}</li>`,
    `<p>Text</p>${script ? `<script>${script}</script>` : ''}`,
  );
const LINK = '<a href=islands.html>Islands</a>';
const OPEN = '.p:hover .s,.p:focus-within .s{display:block}';
const MENDED = page(`${OPEN}.p > a::after{content:' ▾'}`, LINK);
const FAULTY: readonly Faulty[] = [
  { name: 'a plain link', page: page(OPEN, LINK), finds: ['uncued normal Islands'], mended: MENDED },
  {
    name: 'a summary without its marker',
    page: menuPage(
      'summary{list-style:none;display:block}',
      `${links('Home')}<li><details><summary>Islands</summary><ul><li><a href=s.html>Sula</a></li></ul></details></li>`,
    ),
    finds: ['uncued normal Islands'],
    mended: menuPage(
      '',
      `${links('Home')}<li><details><summary>Islands</summary><ul><li><a href=s.html>Sula</a></li></ul></details></li>`,
    ),
  },
];
const NEAR: readonly NearMiss[] = [
  { name: 'a sign after it', page: MENDED },
  {
    name: 'a triangle of borders',
    page: page(`${OPEN}.p > a::after{content:'';border:4px solid transparent;border-top-color:#222}`, LINK),
  },
  {
    name: 'an icon',
    page: page(OPEN, '<a href=islands.html>Islands <svg width=10 height=10><path d="M0 0l5 5 5-5"/></svg></a>'),
  },
  { name: 'a button beside it', page: page(OPEN, `${LINK}<button aria-expanded=false>+</button>`) },
];

describeCheck('submenu-uncued', FAULTY, NEAR);
