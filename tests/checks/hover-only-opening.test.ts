import { DROP_LINK, dropPage } from '../support/audit.js';
import { describeCheck, type Faulty, type NearMiss } from '../support/check-tester.js';

const MENDED = dropPage('.p:hover .s,.p:focus-within .s{display:block}', DROP_LINK);

const FAULTY: readonly Faulty[] = [
  {
    name: 'by style',
    page: dropPage('.p:hover .s{display:block}', DROP_LINK),
    finds: ['hover-only normal Islands'],
    mended: MENDED,
  },
  {
    name: 'by opacity',
    page: dropPage('.s{display:block;opacity:0;visibility:hidden}.p:hover .s{opacity:1;visibility:visible}', DROP_LINK),
    finds: ['hover-only normal Islands'],
    mended: MENDED,
  },
  {
    name: 'by a script',
    page: dropPage(
      '.open .s{display:block}',
      DROP_LINK,
      '',
      "const p=document.querySelector('.p');p.onmouseenter=()=>p.classList.add('open');p.onmouseleave=()=>p.classList.remove('open')",
    ),
    finds: ['hover-only normal Islands'],
    mended: dropPage(
      '.open .s{display:block}',
      DROP_LINK,
      '',
      "const p=document.querySelector('.p');p.onmouseenter=()=>p.classList.add('open');p.addEventListener('focusin',()=>p.classList.add('open'))",
    ),
  },
  {
    name: 'a press only hovers',
    page: dropPage('.p:hover .s{display:block}', '<a href="#">Islands</a>'),
    finds: ['hover-only normal Islands'],
    mended: MENDED,
  },
  {
    name: 'from a width on',
    page: dropPage(
      '@media (min-width:700px){.p:hover .s{display:block}}@media (max-width:699px){.s{display:block;position:static}}',
      DROP_LINK,
    ),
    finds: ['hover-only normal Islands'],
    widths: '700–1920',
    options: { at: null },
    mended: MENDED,
  },
];
const NEAR: readonly NearMiss[] = [
  {
    name: 'an arrow key opens it too',
    page: dropPage(
      '.open .s{display:block}',
      DROP_LINK,
      '',
      "const p=document.querySelector('.p');p.onmouseenter=()=>p.classList.add('open');p.onmouseleave=()=>p.classList.remove('open');p.addEventListener('keydown',(e)=>{if(e.key==='ArrowDown')p.classList.add('open')})",
    ),
  },
  { name: 'focus opens it too', page: dropPage('.p:hover .s,a:focus + .s{display:block}', DROP_LINK) },
  {
    name: 'a button beside it opens it',
    page: dropPage(
      '.p:hover .s,.open .s{display:block}',
      `${DROP_LINK}<button aria-expanded=false>More</button>`,
      '',
      "document.querySelector('button').onclick=(e)=>e.target.parentNode.classList.toggle('open')",
    ),
  },
  {
    name: 'a press on it opens it',
    page: dropPage(
      '.p:hover .s,.open .s{display:block}',
      '<button aria-expanded=false>Islands</button>',
      '',
      "document.querySelector('button').onclick=(e)=>e.target.parentNode.classList.toggle('open')",
    ),
  },
  { name: 'it stands open', page: dropPage('.s{display:block}.p:hover .s{color:red}', DROP_LINK) },
  { name: 'nothing opens it at all', page: dropPage('', DROP_LINK) },
];

describeCheck('hover-only-opening', FAULTY, NEAR);
