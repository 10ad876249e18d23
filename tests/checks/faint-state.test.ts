import { menuPage } from '../support/audit.js';
import { describeCheck, type Faulty, type NearMiss } from '../support/check-tester.js';

const ITEMS =
  '<li><a href=h.html class=is-current>Home</a></li><li><a href=f.html>Fares</a></li><li><a href=t.html>Times</a></li>';
const page = (css: string) => menuPage(`a{color:#222;background:#fff;display:block}${css}`, ITEMS);
const opened = (css: string) =>
  menuPage(
    `nav{display:none;background:#fff}nav.open{display:block}a{color:#222;background:#fff;display:block}${css}`,
    ITEMS,
    "<button id=b>Menu</button><script>b.onclick=()=>document.querySelector('nav').classList.toggle('open')</script>",
  );
const HOVERED = ['hover hover Fares', 'hover hover Times'];

const FAULTY: readonly Faulty[] = [
  {
    name: 'a ground that hardly changes',
    page: page('a:hover{background:#f4f4f4}'),
    finds: HOVERED,
    told: 1,
    mended: page('a:hover{background:#cde}'),
  },
  {
    name: 'in a panel that has to be opened',
    page: opened('a:hover{background:#f4f4f4}'),
    finds: HOVERED,
    mended: opened('a:hover{background:#cde}'),
  },
  {
    name: 'in a panel whose handle looks different under the pointer',
    page: opened('#b:hover{background:#036;color:#fff}a:hover{background:#f4f4f4}'),
    finds: HOVERED,
    mended: opened('#b:hover{background:#036;color:#fff}a:hover{background:#cde}'),
  },
  {
    name: 'a text colour that hardly changes, through a custom property',
    page: page(':root{--on:#2b2b2b}a:hover{color:var(--on)}'),
    finds: HOVERED,
    mended: page(':root{--on:#06c}a:hover{color:var(--on)}'),
  },
  {
    name: 'a current page in nearly the same colour',
    page: page('.is-current{color:#2a2a2a}'),
    finds: ['current current Home'],
    mended: page('.is-current{color:#2a2a2a;font-weight:700}'),
  },
];
const NEAR: readonly NearMiss[] = [
  {
    name: 'an underline beside it',
    page: page('a{text-decoration:none}a:hover{background:#f4f4f4;text-decoration:underline}'),
  },
  {
    name: 'a border that comes',
    page: page('a{border-bottom:2px solid transparent}a:hover{color:#2b2b2b;border-color:#06c}'),
  },
  { name: 'no look for the state at all', page: page('') },
  { name: 'opacity that keeps enough apart', page: page('a:hover{opacity:.6}') },
  { name: 'a mark that is generated', page: page('a:hover{color:#2b2b2b}a:hover::after{content:"→"}') },
  { name: 'ground and text change, one of them plainly', page: page('a:hover{background:#f4f4f4;color:#a00}') },
];

describeCheck('faint-state', FAULTY, NEAR);
