import { links, menuPage } from '../support/audit.js';
import { describeCheck, type Faulty, type NearMiss } from '../support/check-tester.js';

const page = (roles: boolean, script = '') =>
  menuPage(
    'a{color:#222;display:block;line-height:24px}',
    roles
      ? '<li role=none><a role=menuitem href=h.html>Home</a></li><li role=none><a role=menuitem href=f.html tabindex=-1>Fares</a></li>'
      : links('Home', 'Fares'),
    `<script>${script}</script>`,
  ).replace('<ul>', roles ? '<ul role=menubar>' : '<ul>');
const ARROWS =
  "document.querySelector('ul').addEventListener('keydown',(e)=>{const a=[...document.querySelectorAll('a')];if(e.key==='ArrowRight')a[(a.indexOf(document.activeElement)+1)%a.length].focus()})";
const MENDED = page(false);
const FAULTY: readonly Faulty[] = [
  { name: 'no keys at all', page: page(true), finds: ['no-keys normal '], mended: MENDED },
  {
    name: 'Escape alone',
    page: page(true, "document.addEventListener('keydown',(e)=>{if(e.key==='Escape')document.body.className='x'})"),
    finds: ['no-keys normal '],
    mended: MENDED,
  },
];
const NEAR: readonly NearMiss[] = [
  { name: 'arrow keys move', page: page(true, ARROWS) },
  { name: 'a plain list', page: MENDED },
  { name: 'keys heard on the document', page: page(true, ARROWS.replace("document.querySelector('ul')", 'document')) },
];

describeCheck('menu-role-misuse', FAULTY, NEAR);
