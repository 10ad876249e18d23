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
const MENDED = page('.p:hover .s,.p:focus-within .s{display:block}', LINK);

const FAULTY: readonly Faulty[] = [
  {
    name: 'by style',
    page: page('.p:hover .s{display:block}', LINK),
    finds: ['hover-only normal Islands'],
    mended: MENDED,
  },
  {
    name: 'by opacity',
    page: page('.s{display:block;opacity:0;visibility:hidden}.p:hover .s{opacity:1;visibility:visible}', LINK),
    finds: ['hover-only normal Islands'],
    mended: MENDED,
  },
  {
    name: 'by a script',
    page: page(
      '.open .s{display:block}',
      LINK,
      '',
      "const p=document.querySelector('.p');p.onmouseenter=()=>p.classList.add('open');p.onmouseleave=()=>p.classList.remove('open')",
    ),
    finds: ['hover-only normal Islands'],
    mended: page(
      '.open .s{display:block}',
      LINK,
      '',
      "const p=document.querySelector('.p');p.onmouseenter=()=>p.classList.add('open');p.addEventListener('focusin',()=>p.classList.add('open'))",
    ),
  },
  {
    name: 'a press only hovers',
    page: page('.p:hover .s{display:block}', '<a href="#">Islands</a>'),
    finds: ['hover-only normal Islands'],
    mended: MENDED,
  },
  {
    name: 'from a width on',
    page: page(
      '@media (min-width:700px){.p:hover .s{display:block}}@media (max-width:699px){.s{display:block;position:static}}',
      LINK,
    ),
    finds: ['hover-only normal Islands'],
    widths: '700–1920',
    options: { at: null },
    mended: MENDED,
  },
];
const NEAR: readonly NearMiss[] = [
  { name: 'focus opens it too', page: page('.p:hover .s,a:focus + .s{display:block}', LINK) },
  {
    name: 'a button beside it opens it',
    page: page(
      '.p:hover .s,.open .s{display:block}',
      `${LINK}<button aria-expanded=false>More</button>`,
      '',
      "document.querySelector('button').onclick=(e)=>e.target.parentNode.classList.toggle('open')",
    ),
  },
  {
    name: 'a press on it opens it',
    page: page(
      '.p:hover .s,.open .s{display:block}',
      '<button aria-expanded=false>Islands</button>',
      '',
      "document.querySelector('button').onclick=(e)=>e.target.parentNode.classList.toggle('open')",
    ),
  },
  { name: 'it stands open', page: page('.s{display:block}.p:hover .s{color:red}', LINK) },
  { name: 'nothing opens it at all', page: page('', LINK) },
];

describeCheck('hover-only-opening', FAULTY, NEAR);
