import { links, menuPage } from '../support/audit.js';
import { describeCheck, type Faulty, type NearMiss } from '../support/check-tester.js';

const page = (css: string) => menuPage(`a{color:#222;display:block;line-height:24px}${css}`, links('Home', 'Fares'));
const opened = (css: string) =>
  menuPage(
    `nav{display:none}nav.open{display:block}${css}`,
    links('Home', 'Fares'),
    "<button id=b aria-expanded=false>Menu</button><script>b.onclick=()=>{const n=document.querySelector('nav');b.setAttribute('aria-expanded',n.classList.toggle('open'))}</script>",
  );
const boxed = (css: string) =>
  `<!doctype html><html><head><meta name=viewport content="width=device-width"><style>#k{position:absolute;left:-999px}nav ul{display:none}#k:checked ~ nav ul{display:block}${css}</style></head><body><input id=k type=checkbox><label for=k class=menu-toggle>Menu</label><nav aria-label=Main><ul>${links('Home', 'Fares')}</ul></nav></body></html>`;
const MENDED = page('a:focus{outline:none}a:focus-visible{outline:2px solid #036}');
const FAULTY: readonly Faulty[] = [
  {
    name: 'the ring taken away',
    page: page('a:focus{outline:none}'),
    finds: ['unmarked focus Home', 'unmarked focus Fares'],
    told: 1,
    mended: MENDED,
  },
  {
    name: 'a ring of no width',
    page: page('*{outline:0}'),
    finds: ['unmarked focus Home', 'unmarked focus Fares'],
    mended: MENDED,
  },
  {
    name: 'only the cursor changes',
    page: page('a{outline:none}a:focus{cursor:help}'),
    finds: ['unmarked focus Home', 'unmarked focus Fares'],
    mended: MENDED,
  },
  {
    name: 'in a panel: the ring that its button loses marks nothing',
    page: opened('a:focus{outline:none}'),
    finds: ['unmarked focus Home', 'unmarked focus Fares'],
    mended: opened(''),
  },
  {
    name: 'a ring nobody sees',
    page: page('a:focus{outline:2px solid transparent;box-shadow:0 0 0 0 #036;border-color:red}'),
    finds: ['unmarked focus Home', 'unmarked focus Fares'],
    mended: MENDED,
  },
  {
    name: 'a hidden checkbox whose label shows nothing',
    page: boxed(''),
    finds: ['unmarked focus Menu'],
    mended: boxed('#k:focus-visible + label{outline:2px solid #036}'),
  },
];
const NEAR: readonly NearMiss[] = [
  { name: 'the ring of browsers', page: page('') },
  {
    name: 'a button that a script puts focus on as it opens the menu',
    page: menuPage(
      'nav{display:none}nav.open{display:block}:focus-visible{outline:3px solid #036}',
      `<li><button id=x>Close</button></li>${links('Home', 'Fares')}`,
      "<button id=b aria-expanded=false>Menu</button><script>const n=document.querySelector('nav');b.onclick=()=>{n.classList.add('open');b.setAttribute('aria-expanded','true');x.focus()};x.onclick=()=>{n.classList.remove('open');b.setAttribute('aria-expanded','false');b.focus()}</script>",
    ),
  },
  { name: 'a checkbox that comes into view', page: boxed('#k:focus{left:0}') },
  { name: 'a shadow', page: page('a:focus{outline:none;box-shadow:0 0 0 3px #036}') },
  { name: 'an underline', page: page('a{text-decoration:none}a:focus{outline:none;text-decoration:underline}') },
  { name: 'the entry around it', page: page('a:focus{outline:none}li:focus-within{background:#cde}') },
  { name: 'something generated', page: page('a:focus{outline:none}a:focus::after{content:"◀"}') },
];

describeCheck('no-focus-mark', FAULTY, NEAR);
