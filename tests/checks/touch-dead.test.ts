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
const MENDED = page(
  '.p:hover .s,.open .s{display:block}',
  `${LINK}<button>More</button>`,
  '',
  "document.querySelector('button').onclick=(e)=>e.target.parentNode.classList.toggle('open')",
);
const FAULTY: readonly Faulty[] = [
  {
    name: 'by style',
    page: page('.p:hover .s,.p:focus-within .s{display:block}', LINK),
    finds: ['navigates normal Islands'],
    mended: MENDED,
  },
  {
    name: 'only where one can hover',
    page: page('@media (hover:hover){.p:hover .s{display:block}}', LINK),
    finds: ['navigates normal Islands'],
    mended: page(
      '@media (hover:hover){.p:hover .s{display:block}}@media (hover:none){.s{display:block;position:static}}',
      LINK,
    ),
  },
];
const NEAR: readonly NearMiss[] = [
  { name: 'the parent leads nowhere', page: page('.p:hover .s{display:block}', '<a href="#">Islands</a>') },
  { name: 'a button', page: page('.p:hover .s{display:block}', '<button>Islands</button>') },
  {
    name: 'a script keeps the link from being followed',
    page: page(
      '.open .s{display:block}',
      LINK,
      '',
      "document.querySelector('.p > a').onclick=(e)=>{e.preventDefault();e.target.parentNode.classList.toggle('open')}",
    ),
  },
  { name: 'it stands open', page: page('.s{display:block}', LINK) },
];

describeCheck('touch-dead', FAULTY, NEAR);
