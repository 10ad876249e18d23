import { links, menuPage } from '../support/audit.js';
import { describeCheck, type Faulty, type NearMiss } from '../support/check-tester.js';

const RANGE = { from: 320, to: 1000 };
const ITEMS = `${links('Home', 'Fares')}<li class=extra><a href=crew.html>Crew</a></li>`;
const page = (css: string, more = '') => menuPage(`a{color:#222}${css}`, ITEMS, more);

const FAULTY: readonly Faulty[] = [
  {
    name: 'an entry hidden below a width',
    page: page('@media(max-width:600px){.extra{display:none}}'),
    finds: ['missing normal Crew'],
    widths: '320–600',
    options: RANGE,
    mended: page(''),
  },
  {
    name: 'kept for wide screens by a wide query',
    page: page('.extra{visibility:hidden}@media(min-width:700px){.extra{visibility:visible}}'),
    finds: ['missing normal '],
    widths: '320–699',
    options: RANGE,
    mended: page('.extra{visibility:visible}'),
  },
];
const NEAR: readonly NearMiss[] = [
  {
    name: 'the whole menu is gone, and the way home stands elsewhere',
    page: page('@media(max-width:600px){nav{display:none}}', '<p><a href=home.html>Tidewrack Ferries</a></p>'),
    options: RANGE,
    also: ['no-menu'],
  },
  {
    name: 'under other words',
    page: page('@media(max-width:600px){.extra{display:none}}', '<p><a href=crew.html>The people on board</a></p>'),
    options: RANGE,
  },
  {
    name: 'in a panel that cuts it off',
    page: menuPage(
      'a{color:#222;display:block;height:48px}@media(max-width:600px){nav ul{display:none}nav.open ul{display:block;position:fixed;top:0;left:0;height:80px;overflow:hidden}}button{float:right}',
      ITEMS,
      "<button id=b>Menu</button><script>b.onclick=()=>document.querySelector('nav').classList.toggle('open')</script>",
    ),
    options: RANGE,
  },
  {
    name: 'in a panel that opens',
    page: page(
      '@media(max-width:600px){.extra{display:none}}',
      '<details><summary>More</summary><nav aria-label=More><a href=crew.html>Crew</a> <a href=shop.html>Shop</a></nav></details>',
    ),
    options: RANGE,
  },
  {
    name: 'behind a button that is dead',
    page: page(
      '@media(max-width:600px){nav ul{display:none}}@media(min-width:601px){.menu-toggle{display:none}}',
      '<button class=menu-toggle aria-controls=none>Menu</button><p><a href=home.html>Home</a></p>',
    ),
    options: RANGE,
  },
  { name: 'missing on the wide screen', page: page('@media(min-width:600px){.extra{display:none}}'), options: RANGE },
];

describeCheck('missing-in-mobile', FAULTY, NEAR);
