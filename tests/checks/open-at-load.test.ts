import { links, menuPage } from '../support/audit.js';
import { describeCheck, type Faulty, type NearMiss } from '../support/check-tester.js';

const page = (open: string, css = '') =>
  `<!doctype html><style>details ul{position:absolute;background:#fff;margin:0;width:300px}${css}</style><nav aria-label=Main><details ${open}><summary>Menu</summary><ul>${links('Home', 'Fares', 'Times')}</ul></details></nav><h1>Title</h1><p>Some text of the page that lies beneath the panel of the menu.</p>`;
const folded = (open: string) =>
  `<!doctype html><style>#b{display:none}@media(max-width:700px){#b{display:block}nav:not(.on){display:none}}</style><button id=b aria-expanded=false>Menu</button><nav aria-label=Main ${open}><ul>${links('Home', 'Fares', 'Times')}</ul></nav><main><h1>Title</h1></main><script>b.onclick=()=>b.setAttribute('aria-expanded',document.querySelector('nav').classList.toggle('on'))</script>`;
const MENDED = page('');
const FAULTY: readonly Faulty[] = [
  { name: 'details', page: page('open'), finds: ['open normal Menu'], mended: MENDED },
  {
    name: 'a checked box',
    page: `<!doctype html><style>ul{display:none;position:absolute;background:#fff;margin:0;width:300px}#k:checked ~ nav ul{display:block}</style><input id=k type=checkbox checked><label for=k class=menu-toggle>Menu</label><nav aria-label=Main><ul>${links('Home', 'Fares', 'Times')}</ul></nav><p>Some text of the page that lies beneath.</p>`,
    finds: ['open normal Menu'],
    mended: MENDED,
  },
  {
    name: 'a menu above the content that is behind a button on narrow screens alone',
    page: folded('class=on'),
    finds: ['unfolded normal Menu'],
    mended: folded(''),
    options: { at: [600] },
  },
];
const NEAR: readonly NearMiss[] = [
  { name: 'closed', page: MENDED },
  { name: 'open in the flow', page: page('open', 'details ul{position:static}') },
  {
    name: 'beneath a bar that lies over it',
    page: `<!doctype html><style>body{margin:0}.bar{position:fixed;inset:0 0 auto;z-index:3;height:40px;background:#fff}details ul{position:fixed;top:0;left:0;width:200px;margin:0;padding:40px 0 0;background:#eee}main{margin-left:220px;padding-top:40px}</style><div class=bar><b>Tidewrack Ferries</b></div><nav aria-label=Main><details open><summary style="position:fixed;top:0;right:0;z-index:4">Menu</summary><ul>${links('Home', 'Fares', 'Times')}</ul></details></nav><main><p>Text</p></main>`,
  },
  {
    name: 'nothing closes it',
    page: menuPage('nav{position:absolute;background:#fff}', links('Home', 'Fares'), '<p>Text</p>'),
  },
];

describeCheck('open-at-load', FAULTY, NEAR);
