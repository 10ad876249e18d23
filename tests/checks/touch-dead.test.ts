import { DROP_LINK, dropPage } from '../support/audit.js';
import { describeCheck, type Faulty, type NearMiss } from '../support/check-tester.js';

const MENDED = dropPage(
  '.p:hover .s,.open .s{display:block}',
  `${DROP_LINK}<button>More</button>`,
  '',
  "document.querySelector('button').onclick=(e)=>e.target.parentNode.classList.toggle('open')",
);
const FAULTY: readonly Faulty[] = [
  {
    name: 'by style',
    page: dropPage('.p:hover .s,.p:focus-within .s{display:block}', DROP_LINK),
    finds: ['navigates normal Islands'],
    mended: MENDED,
  },
  {
    name: 'only where one can hover',
    page: dropPage('@media (hover:hover){.p:hover .s{display:block}}', DROP_LINK),
    finds: ['navigates normal Islands'],
    mended: dropPage(
      '@media (hover:hover){.p:hover .s{display:block}}@media (hover:none){.s{display:block;position:static}}',
      DROP_LINK,
    ),
  },
  {
    name: 'a listener of the whole page keeps nobody from following the link',
    page: dropPage(
      '.p:hover .s{display:block}',
      DROP_LINK,
      '',
      "document.addEventListener('touchstart',(e)=>{e.preventDefault()})",
    ),
    finds: ['navigates normal Islands'],
    mended: MENDED,
  },
];
const NEAR: readonly NearMiss[] = [
  { name: 'the parent leads nowhere', page: dropPage('.p:hover .s{display:block}', '<a href="#">Islands</a>') },
  { name: 'a button', page: dropPage('.p:hover .s{display:block}', '<button>Islands</button>') },
  {
    name: 'a script keeps the link from being followed',
    page: dropPage(
      '.open .s{display:block}',
      DROP_LINK,
      '',
      "document.querySelector('.p > a').onclick=(e)=>{e.preventDefault();e.target.parentNode.classList.toggle('open')}",
    ),
  },
  {
    name: 'a script opens it where a finger lands',
    page: dropPage(
      '.p:hover .s,.open .s{display:block}',
      DROP_LINK,
      '',
      "document.querySelector('.p > a').addEventListener('touchstart',(e)=>{e.preventDefault();e.target.parentNode.classList.add('open')})",
    ),
  },
  { name: 'it stands open', page: dropPage('.s{display:block}', DROP_LINK) },
];

describeCheck('touch-dead', FAULTY, NEAR);
