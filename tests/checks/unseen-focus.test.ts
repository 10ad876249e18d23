import { beneathPage, DROP_CSS, DROP_LINK, dropPage, links, menuPage } from '../support/audit.js';
import { describeCheck, type Faulty, type NearMiss } from '../support/check-tester.js';

const MENDED = dropPage(
  '.s{display:block;visibility:hidden}.p:hover .s,.p:focus-within .s{visibility:visible}',
  DROP_LINK,
);
const skip = (css: string) =>
  menuPage(css, links('Home', 'Fares'), '<main id=m>Text</main>').replace('<nav', '<a class=skip href=#m>Skip</a><nav');
const BOXED = (css: string) =>
  `<!doctype html><html><head><meta name=viewport content="width=device-width"><style>#k{position:absolute;left:-999px}nav ul{display:none}#k:checked ~ nav ul{display:block}#k:focus-visible + label{outline:2px solid #036}${css}</style></head><body><input id=k type=checkbox><label for=k class=menu-toggle>Menu</label><nav aria-label=Main><ul>${links('Home', 'Fares')}</ul></nav></body></html>`;
const FAULTY: readonly Faulty[] = [
  {
    name: 'a transparent panel',
    page: dropPage('.s{display:block;opacity:0}.p:hover .s{opacity:1}', DROP_LINK),
    finds: ['unseen normal Sula', 'unseen normal Kelp'],
    told: 1,
    mended: MENDED,
  },
  {
    name: 'a panel off the screen',
    page: dropPage('.s{display:block;left:-999px}.p:hover .s{left:0}', DROP_LINK),
    finds: ['unseen normal Sula', 'unseen normal Kelp'],
    mended: MENDED,
  },
  {
    name: 'a panel without height',
    page: dropPage('.s{display:block;height:0;overflow:hidden}.p:hover .s{height:auto}', DROP_LINK),
    finds: ['unseen normal Sula', 'unseen normal Kelp'],
    mended: MENDED,
  },
  {
    name: 'a drawer under the page',
    page: beneathPage(''),
    finds: ['unseen normal Home', 'unseen normal Fares', 'unseen normal Crew'],
    told: 1,
    mended: beneathPage('nav{visibility:hidden}'),
  },
  {
    name: 'panels of two kinds that one rule makes transparent',
    page: dropPage(
      '.s{display:block;opacity:0}.p:hover .s{opacity:1}',
      DROP_LINK,
      '<div class="s low" style="top:90px"><a href=d.html>Dunlin</a></div>',
    ),
    finds: ['unseen normal Sula', 'unseen normal Kelp', 'unseen normal Dunlin'],
    told: 1,
    mended: MENDED,
  },
  {
    name: 'a skip link that never shows',
    page: skip('.skip{position:absolute;left:-999px}'),
    finds: ['unseen normal Skip'],
    mended: skip('.skip{position:absolute;left:-999px}.skip:focus{left:0}'),
  },
  {
    name: 'a hidden checkbox at widths without its label',
    page: BOXED('@media(min-width:600px){label{display:none}nav ul{display:block}}'),
    finds: ['unseen normal '],
    options: { from: 500, to: 900 },
    widths: '600–900',
    mended: BOXED('@media(min-width:600px){label,#k{display:none}nav ul{display:block}}'),
  },
];
const NEAR: readonly NearMiss[] = [
  {
    name: 'focus brings it into view',
    page: dropPage('.s{display:block;opacity:0}.p:focus-within .s{opacity:1}', DROP_LINK),
  },
  {
    name: 'a skip link that shows on focus',
    page: menuPage(
      `${DROP_CSS}.skip{position:absolute;left:-999px}.skip:focus{left:0}`,
      `<li><a class=skip href="#c">Skip</a></li>${links('Home')}`,
      '<div id=c>c</div>',
    ),
  },
  { name: 'not rendered', page: dropPage('.p:hover .s{display:block}', DROP_LINK) },
  {
    name: 'a checkbox whose label shows',
    page: BOXED(''),
  },
];

describeCheck('unseen-focus', FAULTY, NEAR);
