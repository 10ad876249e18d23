import { links } from '../support/audit.js';
import { describeCheck, type Faulty, type NearMiss } from '../support/check-tester.js';

const SCRIPT =
  "document.querySelector('.menu-toggle').onclick=()=>document.querySelector('nav').classList.toggle('open')";
const page = (css: string, inside = '', script = '') =>
  `<!doctype html><style>.menu-toggle{display:block;width:60px;height:44px}nav{display:none;position:fixed;inset:0;background:#fff}nav.open{display:block}nav ul{margin-top:80px}${css}</style><button class=menu-toggle aria-label=Menu>Menu</button><nav aria-label=Main>${inside}<ul>${links('Home', 'Fares', 'Times')}</ul></nav><p>Text</p><script>${SCRIPT};${script}</script>`;
const dialog = (inside: string, script = '', attributes = '') =>
  `<!doctype html><button class=menu-toggle onclick="d.showModal()">Menu</button><dialog id=d aria-label=Menu ${attributes} style="width:200px;margin:0">${inside}<nav aria-label=Main><ul>${links('Home', 'Fares', 'Times')}</ul></nav></dialog><script>const d=document.querySelector('#d');${script}</script>`;
const MENDED = page('.menu-toggle{position:relative;z-index:2}nav{z-index:1}');
const FAULTY: readonly Faulty[] = [
  {
    name: 'a press beside it alone: no key closes it',
    page: page(
      'nav{right:100px}',
      '',
      "document.addEventListener('click',(e)=>{if(!e.target.closest('nav,.menu-toggle'))document.querySelector('nav').classList.remove('open')})",
    ),
    finds: ['trapped normal Menu'],
    mended: MENDED,
  },
  {
    name: 'a narrow panel over its own toggle',
    page: page('nav{right:auto;width:240px}'),
    finds: ['trapped normal Menu'],
    mended: MENDED,
  },
  { name: 'the toggle beneath', page: page(''), finds: ['trapped normal Menu'], mended: MENDED },
  {
    name: 'a modal dialog, small as it is',
    page: dialog(''),
    finds: ['modal normal Menu'],
    mended: dialog('<form method=dialog><button>Close</button></form>'),
  },
  {
    name: 'by a checkbox',
    page: `<!doctype html><style>nav{display:none;position:fixed;inset:0;background:#fff}#k:checked ~ nav{display:block}</style><input id=k type=checkbox><label for=k class=menu-toggle>Menu</label><nav aria-label=Main><ul>${links('Home', 'Fares', 'Times')}</ul></nav>`,
    finds: ['trapped normal Menu'],
    mended: MENDED,
  },
];
const NEAR: readonly NearMiss[] = [
  { name: 'the toggle above', page: MENDED },
  {
    name: 'a narrow panel over its own toggle that a press beside it closes',
    page: page(
      'nav{right:auto;width:240px}',
      '',
      "document.addEventListener('click',(e)=>{if(!e.target.closest('nav,.menu-toggle'))document.querySelector('nav').classList.remove('open')})",
    ),
  },
  { name: 'a dialog that a press beside it closes', page: dialog('', '', 'closedby=any') },
  {
    name: 'the same by a script',
    page: dialog('', "d.addEventListener('click',(e)=>{if(e.target===d)d.close()})"),
  },
  {
    name: 'a close button',
    page: page(
      '',
      '<button class=close>Close</button>',
      "document.querySelector('.close').onclick=()=>document.querySelector('nav').classList.remove('open')",
    ),
  },
  {
    name: 'what goes by itself when one presses beside it',
    page: `<!doctype html><style>#n{position:fixed;inset:0 0 0 auto;width:900px;height:auto;margin:0;border:0}</style><button popovertarget=n>Menu</button><nav id=n popover aria-label=Main><ul>${links('Home', 'Fares', 'Times')}</ul></nav>`,
  },
  {
    name: 'a press beside it and the Escape key',
    page: page(
      'nav{right:100px}',
      '',
      "document.addEventListener('click',(e)=>{if(!e.target.closest('nav,.menu-toggle'))document.querySelector('nav').classList.remove('open')});document.addEventListener('keydown',(e)=>{if(e.key==='Escape')document.querySelector('nav').classList.remove('open')})",
    ),
  },
  { name: 'half the screen', page: page('nav{left:50%}.menu-toggle{width:44px}') },
];

describeCheck('no-close', FAULTY, NEAR);
