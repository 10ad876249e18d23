import { DROP_CSS, DROP_LINK, dropPage, links, menuPage } from '../support/audit.js';
import { describeCheck, type Faulty, type NearMiss } from '../support/check-tester.js';

const MENDED = menuPage(DROP_CSS, links('Home', 'Fares', 'Times'));
const FAULTY: readonly Faulty[] = [
  {
    name: 'a negative tabindex',
    page: menuPage(DROP_CSS, `${links('Home', 'Fares')}<li><a href=t.html tabindex=-1>Times</a></li>`),
    finds: ['never-focused normal Times'],
    mended: MENDED,
  },
  {
    name: 'an inert part',
    page: menuPage(DROP_CSS, `${links('Home', 'Fares')}<li inert><a href=t.html>Times</a></li>`),
    finds: ['never-focused normal Times'],
    mended: MENDED,
  },
];
const NEAR: readonly NearMiss[] = [
  {
    name: 'the same destination elsewhere',
    page: menuPage(DROP_CSS, `${links('Home', 'Fares')}<li><a href=home.html tabindex=-1>Start</a></li>`),
  },
  {
    name: 'arrow keys go there',
    page: menuPage(
      DROP_CSS,
      `${links('Home')}<li><a href=t.html tabindex=-1>Times</a></li>`,
      "<script>document.querySelector('ul').addEventListener('keydown',(e)=>{if(e.key==='ArrowRight')document.querySelectorAll('a')[1].focus()})</script>",
    ),
  },
  { name: 'hover opens it: told with its handle', page: dropPage('.p:hover .s{display:block}', DROP_LINK) },
  {
    name: 'Enter opens it',
    page: dropPage(
      '.open .s{display:block}',
      '<button>Islands</button>',
      '',
      "document.querySelector('button').onclick=(e)=>e.target.parentNode.classList.toggle('open')",
    ),
  },
];

describeCheck('unreachable-link', FAULTY, NEAR);
