import { DROP_LINK, dropPage } from '../support/audit.js';
import { describeCheck, type Faulty, type NearMiss } from '../support/check-tester.js';

const MENDED = dropPage('.p:hover .s{display:block}', DROP_LINK);
const FAULTY: readonly Faulty[] = [
  {
    name: 'an offset',
    page: dropPage('.s{top:44px}.p:hover .s{display:block}', DROP_LINK),
    finds: ['gap normal Islands'],
    mended: MENDED,
  },
  {
    name: 'a margin',
    page: dropPage('.s{margin-top:16px}.p:hover .s{display:block}', DROP_LINK),
    finds: ['gap normal Islands'],
    mended: MENDED,
  },
];
const NEAR: readonly NearMiss[] = [
  {
    name: 'a panel that lies under something else',
    page: dropPage(
      '.p:hover .s{display:block}p{clear:both;position:relative;z-index:2;margin:0;height:400px;background:#eee}',
      DROP_LINK,
    ),
  },
  {
    name: 'a panel that leaves the screen to the side',
    page: dropPage(
      'nav ul:first-child{float:right;width:220px}.s{width:600px!important}.p:hover .s{display:block}body{overflow-x:hidden}',
      DROP_LINK,
    ),
  },
  { name: 'padding instead', page: dropPage('.s{padding-top:20px}.p:hover .s{display:block}', DROP_LINK) },
  {
    name: 'a bridge',
    page: dropPage(
      '.s{top:44px}.s::before{content:"";position:absolute;left:0;right:0;top:-20px;height:20px}.p:hover .s{display:block}',
      DROP_LINK,
    ),
  },
  {
    name: 'a delay of the style',
    page: dropPage(
      '.s{top:44px;display:block;visibility:hidden;transition:visibility 0s .3s}.p:hover .s{visibility:visible;transition-delay:0s}',
      DROP_LINK,
    ),
  },
  {
    name: 'a delay of the script',
    page: dropPage(
      '.s{top:44px}.open .s{display:block}',
      DROP_LINK,
      '',
      "const p=document.querySelector('.p');let t;p.onmouseenter=()=>{clearTimeout(t);p.classList.add('open')};p.onmouseleave=()=>{t=setTimeout(()=>p.classList.remove('open'),300)}",
    ),
  },
];

describeCheck('hover-gap', FAULTY, NEAR);
