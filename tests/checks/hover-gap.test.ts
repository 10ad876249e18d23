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
const MENDED = page('.p:hover .s{display:block}', LINK);
const FAULTY: readonly Faulty[] = [
  {
    name: 'an offset',
    page: page('.s{top:44px}.p:hover .s{display:block}', LINK),
    finds: ['gap normal Islands'],
    mended: MENDED,
  },
  {
    name: 'a margin',
    page: page('.s{margin-top:16px}.p:hover .s{display:block}', LINK),
    finds: ['gap normal Islands'],
    mended: MENDED,
  },
];
const NEAR: readonly NearMiss[] = [
  { name: 'padding instead', page: page('.s{padding-top:20px}.p:hover .s{display:block}', LINK) },
  {
    name: 'a bridge',
    page: page(
      '.s{top:44px}.s::before{content:"";position:absolute;left:0;right:0;top:-20px;height:20px}.p:hover .s{display:block}',
      LINK,
    ),
  },
  {
    name: 'a delay of the style',
    page: page(
      '.s{top:44px;display:block;visibility:hidden;transition:visibility 0s .3s}.p:hover .s{visibility:visible;transition-delay:0s}',
      LINK,
    ),
  },
  {
    name: 'a delay of the script',
    page: page(
      '.s{top:44px}.open .s{display:block}',
      LINK,
      '',
      "const p=document.querySelector('.p');let t;p.onmouseenter=()=>{clearTimeout(t);p.classList.add('open')};p.onmouseleave=()=>{t=setTimeout(()=>p.classList.remove('open'),300)}",
    ),
  },
];

describeCheck('hover-gap', FAULTY, NEAR);
