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
const MENDED = menuPage(CSS, links('Home', 'Fares', 'Times'));
const FAULTY: readonly Faulty[] = [
  {
    name: 'a negative tabindex',
    page: menuPage(CSS, `${links('Home', 'Fares')}<li><a href=t.html tabindex=-1>Times</a></li>`),
    finds: ['never-focused normal Times'],
    mended: MENDED,
  },
  {
    name: 'an inert part',
    page: menuPage(CSS, `${links('Home', 'Fares')}<li inert><a href=t.html>Times</a></li>`),
    finds: ['never-focused normal Times'],
    mended: MENDED,
  },
];
const NEAR: readonly NearMiss[] = [
  {
    name: 'the same destination elsewhere',
    page: menuPage(CSS, `${links('Home', 'Fares')}<li><a href=home.html tabindex=-1>Start</a></li>`),
  },
  {
    name: 'arrow keys go there',
    page: menuPage(
      CSS,
      `${links('Home')}<li><a href=t.html tabindex=-1>Times</a></li>`,
      "<script>document.querySelector('ul').addEventListener('keydown',(e)=>{if(e.key==='ArrowRight')document.querySelectorAll('a')[1].focus()})</script>",
    ),
  },
  { name: 'hover opens it: told with its handle', page: page('.p:hover .s{display:block}', LINK) },
  {
    name: 'Enter opens it',
    page: page(
      '.open .s{display:block}',
      '<button>Islands</button>',
      '',
      "document.querySelector('button').onclick=(e)=>e.target.parentNode.classList.toggle('open')",
    ),
  },
];

describeCheck('unreachable-link', FAULTY, NEAR);
