import { links, menuPage } from '../support/audit.js';
import { describeCheck, type Faulty, type NearMiss } from '../support/check-tester.js';

const CSS = 'nav ul{display:none}.open ul{display:block}a{display:block;line-height:24px;color:#222}';
const page = (
  toggle: string,
  script = "document.querySelector('.menu-toggle').addEventListener('click',()=>document.querySelector('nav').classList.toggle('open'))",
) =>
  `<!doctype html><style>${CSS}</style>${toggle}<nav aria-label=Main><ul>${links('Home', 'Fares', 'Times')}</ul></nav><p>Text</p><script>${script}</script>`;
const MENDED = page('<button class=menu-toggle aria-expanded=false>Menu</button>');
const FAULTY: readonly Faulty[] = [
  { name: 'a div', page: page('<div class=menu-toggle>Menu</div>'), finds: ['no-focus normal Menu'], mended: MENDED },
  {
    name: 'a div with a handler in its attribute',
    page: page(
      "<div class=menu-toggle onclick=\"document.querySelector('nav').classList.toggle('open')\">Menu</div>",
      '',
    ),
    finds: ['no-focus normal Menu'],
    mended: MENDED,
  },
  {
    name: 'a tabindex without keys',
    page: page('<div class=menu-toggle role=button tabindex=0>Menu</div>'),
    finds: ['no-key normal Menu'],
    mended: MENDED,
  },
  {
    name: 'keys without a role',
    page: page(
      '<div class=menu-toggle tabindex=0>Menu</div>',
      "const t=document.querySelector('.menu-toggle'),f=()=>document.querySelector('nav').classList.toggle('open');t.onclick=f;t.onkeydown=(e)=>{if(e.key==='Enter'||e.key===' ')f()}",
    ),
    finds: ['no-role normal Menu'],
    mended: MENDED,
  },
  {
    name: 'the label of a checkbox without focus',
    page: `<!doctype html><style>${CSS}#k{display:none}#k:checked ~ nav ul{display:block}</style><input id=k type=checkbox><label for=k class=menu-toggle>Menu</label><nav aria-label=Main><ul>${links('Home', 'Fares', 'Times')}</ul></nav>`,
    finds: ['dead-label normal Menu'],
    mended: `<!doctype html><style>${CSS}#k{opacity:0;position:absolute}#k:checked ~ nav ul{display:block}</style><input id=k type=checkbox><label for=k class=menu-toggle>Menu</label><nav aria-label=Main><ul>${links('Home', 'Fares', 'Times')}</ul></nav>`,
  },
  {
    name: 'a div whose listener leads elsewhere',
    page: menuPage(
      'a{color:#222}',
      `${links('Home', 'Fares')}<li><div id=d>Tickets</div></li>`,
      "<script>d.addEventListener('click',()=>{location.href='t.html'})</script>",
    ),
    finds: ['no-focus normal Tickets'],
    mended: menuPage('a{color:#222}', links('Home', 'Fares', 'Tickets')),
  },
];
const NEAR: readonly NearMiss[] = [
  {
    name: 'a div with role, focus and keys',
    page: page(
      '<div class=menu-toggle role=button tabindex=0>Menu</div>',
      "const t=document.querySelector('.menu-toggle'),f=()=>document.querySelector('nav').classList.toggle('open');t.onclick=f;t.onkeydown=(e)=>{if(e.key==='Enter'||e.key===' ')f()}",
    ),
  },
  { name: 'a link with a fragment', page: page('<a href="#" class=menu-toggle>Menu</a>') },
  { name: 'a div around a button', page: page('<div class=menu-toggle><button>Menu</button></div>') },
  {
    name: 'a listener that opens nothing',
    page: page(
      '<button class=menu-toggle>Menu</button><div class=x>Text</div>',
      "document.querySelector('.x').onclick=()=>console.log(1)",
    ),
  },
];

describeCheck('press-only-control', FAULTY, NEAR);
