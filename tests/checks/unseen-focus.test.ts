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
const MENDED = page('.s{display:block;visibility:hidden}.p:hover .s,.p:focus-within .s{visibility:visible}', LINK);
const FAULTY: readonly Faulty[] = [
  {
    name: 'a transparent panel',
    page: page('.s{display:block;opacity:0}.p:hover .s{opacity:1}', LINK),
    finds: ['unseen normal Sula', 'unseen normal Kelp'],
    told: 1,
    mended: MENDED,
  },
  {
    name: 'a panel off the screen',
    page: page('.s{display:block;left:-999px}.p:hover .s{left:0}', LINK),
    finds: ['unseen normal Sula', 'unseen normal Kelp'],
    mended: MENDED,
  },
  {
    name: 'a panel without height',
    page: page('.s{display:block;height:0;overflow:hidden}.p:hover .s{height:auto}', LINK),
    finds: ['unseen normal Sula', 'unseen normal Kelp'],
    mended: MENDED,
  },
];
const NEAR: readonly NearMiss[] = [
  { name: 'focus brings it into view', page: page('.s{display:block;opacity:0}.p:focus-within .s{opacity:1}', LINK) },
  {
    name: 'a skip link that shows on focus',
    page: menuPage(
      `${CSS}.skip{position:absolute;left:-999px}.skip:focus{left:0}`,
      `<li><a class=skip href="#c">Skip</a></li>${links('Home')}`,
      '<div id=c>c</div>',
    ),
  },
  { name: 'not rendered', page: page('.p:hover .s{display:block}', LINK) },
  {
    name: 'a checkbox whose label shows',
    page: `<!doctype html><style>#k{position:absolute;opacity:0}nav ul{display:none}#k:checked ~ nav ul{display:block}</style><input id=k type=checkbox><label for=k class=menu-toggle>Menu</label><nav><ul>${links('Home', 'Fares')}</ul></nav>`,
  },
];

describeCheck('unseen-focus', FAULTY, NEAR);
