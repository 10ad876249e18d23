import { dropPage, links } from '../support/audit.js';
import { describeCheck, type Faulty, type NearMiss } from '../support/check-tester.js';

const page = (toggle: string, script: string) =>
  `<!doctype html><style>nav ul{display:none}.open ul{display:block}</style>${toggle}<nav aria-label=Main><ul>${links('Home', 'Fares', 'Times')}</ul></nav><script>const t=document.querySelector('.menu-toggle'),n=document.querySelector('nav');${script}</script>`;
const FLIP = "t.onclick=()=>n.classList.toggle('open')";
const TELL = "t.onclick=()=>t.setAttribute('aria-expanded',String(n.classList.toggle('open')))";
const MENDED = page('<button class=menu-toggle aria-expanded=false>Menu</button>', TELL);
const within = (state: string) =>
  dropPage('.p:hover .s,.p:focus-within .s{display:block}', `<a href=islands.html ${state}>Islands ▾</a>`);
const FAULTY: readonly Faulty[] = [
  {
    name: 'no state',
    page: page('<button class=menu-toggle>Menu</button>', FLIP),
    finds: ['missing normal Menu'],
    mended: MENDED,
  },
  {
    name: 'a state that stays',
    page: page('<button class=menu-toggle aria-expanded=false>Menu</button>', FLIP),
    finds: ['wrong normal Menu'],
    mended: MENDED,
  },
  {
    name: 'open while it is closed',
    page: page(
      '<button class=menu-toggle aria-expanded=true>Menu</button>',
      "t.onclick=()=>t.setAttribute('aria-expanded',String(!n.classList.toggle('open')))",
    ),
    finds: ['wrong normal Menu'],
    mended: MENDED,
  },
  {
    name: 'a state that stays while focus shows the panel',
    page: within('aria-expanded=false'),
    finds: ['wrong normal Islands ▾'],
    mended: within(''),
  },
];
const NEAR: readonly NearMiss[] = [
  { name: 'told by the script', page: MENDED },
  {
    name: 'details',
    page: `<!doctype html><nav aria-label=Main><details><summary>Menu</summary><ul>${links('Home', 'Fares', 'Times')}</ul></details></nav>`,
  },
  {
    name: 'a popover',
    page: `<!doctype html><button class=menu-toggle popovertarget=m>Menu</button><nav id=m popover aria-label=Main><ul>${links('Home', 'Fares', 'Times')}</ul></nav>`,
  },
  { name: 'a dialog', page: page('<button class=menu-toggle>Menu</button>', FLIP).replace('<nav', '<nav role=dialog') },
];

describeCheck('state-unannounced', FAULTY, NEAR);
