import { links, menuPage } from '../support/audit.js';
import { describeCheck, type Faulty, type NearMiss } from '../support/check-tester.js';

const RANGE = { from: 320, to: 1000 };
const page = (css: string, more = '<button id=b>Menu</button>') =>
  menuPage(
    `a{color:#222}button{display:none}nav.open ul.open,nav.open ul{display:block!important}${css}`,
    links('Home', 'Fares', 'Times'),
    `${more}<script>if(window.b)b.onclick=()=>document.querySelector('nav').classList.toggle('open')</script>`,
  );

const FAULTY: readonly Faulty[] = [
  {
    name: 'a gap between two queries',
    page: page('@media(max-width:900px){ul{display:none}}@media(max-width:600px){button{display:block}}'),
    finds: ['none normal Main'],
    widths: '601–900',
    options: RANGE,
    mended: page('@media(max-width:900px){ul{display:none}button{display:block}}'),
  },
  {
    name: 'no toggle at all',
    page: page('@media(max-width:500px){nav{visibility:hidden}}'),
    finds: ['none normal Main'],
    widths: '320–500',
    options: RANGE,
    mended: page(''),
  },
  {
    name: 'the way home is none to where the menu leads',
    page: menuPage(
      'nav ul ul{display:none}li.on>ul{display:block}@media(max-width:600px){nav{display:none}}',
      `<li><a href=index.html>Home</a></li><li><button onclick="parentNode.classList.toggle('on')">Times</button><ul>${links('Summer', 'Winter')}</ul></li>${links('Fares')}`,
      '<p><a href=index.html>Tidewrack</a></p>',
    ),
    finds: ['none normal Main'],
    widths: '320–600',
    also: ['state-unannounced', 'submenu-uncued', 'needs-script', 'unseen-focus'],
    options: RANGE,
    mended: menuPage(
      'nav ul ul{display:none}li.on>ul{display:block}',
      `<li><a href=index.html>Home</a></li><li><button onclick="parentNode.classList.toggle('on')">Times</button><ul>${links('Summer', 'Winter')}</ul></li>${links('Fares')}`,
    ),
  },
];
const NEAR: readonly NearMiss[] = [
  {
    name: 'queries that meet',
    page: page('@media(max-width:600px){ul{display:none}button{display:block}}'),
    options: RANGE,
  },
  {
    name: 'a bar of its first level alone',
    page: menuPage(
      'nav ul ul{display:none}li:hover>ul{display:block}.bar{display:none}@media(max-width:600px){nav{display:none}.bar{display:block}}',
      `${links('Home', 'Fares')}<li><a href=times.html>Times</a><ul>${links('Summer', 'Winter', 'Easter', 'Sundays')}</ul></li>`,
      '<p class=bar><a href=home.html>Home</a> <a href=fares.html>Fares</a></p>',
    ),
    options: RANGE,
  },
  {
    name: 'the same links elsewhere',
    page: page(
      '@media(max-width:600px){nav{display:none}}',
      '<p><a href=home.html>Home</a> and <a href=fares.html>Fares</a></p>',
    ),
    options: RANGE,
  },
  {
    name: 'a copy of the menu that a script puts into a drawer',
    page: page(
      'ul{display:flex}#d{display:none}#d.on{display:block}@media(max-width:600px){ul{display:none}button{display:block}}',
      "<button id=t>Menu</button><div id=d></div><script>d.append(document.querySelector('nav').cloneNode(true));t.onclick=()=>d.classList.toggle('on')</script>",
    ),
    also: ['needs-script'],
    options: RANGE,
  },
  {
    name: 'a copy of the menu that a script puts beside it with a button of its own',
    page: page(
      '@media(max-width:600px){ul{display:none}}',
      "<script>const d=document.createElement('div');d.append(document.querySelector('nav ul').cloneNode(true));document.body.prepend(d)</script>",
    ),
    also: ['needs-script'],
    options: RANGE,
  },
  {
    name: 'a menu of its own making that a script puts into the page',
    page: page(
      '@media(max-width:600px){ul{display:none}}',
      "<script>const n=document.createElement('nav'),d=document.createElement('div');d.append(n);document.body.append(d)</script>",
    ),
    also: ['needs-script'],
    options: RANGE,
  },
  {
    name: 'a menu that a script writes on narrow screens alone',
    page: page(
      '@media(max-width:600px){ul{display:none}}',
      "<div id=d></div><script>if(innerWidth<601)d.innerHTML='<nav><a href=home.html>Home</a></nav>'</script>",
    ),
    also: ['needs-script'],
    options: RANGE,
  },
  {
    name: 'a link without size into which a script may draw an icon',
    page: page('@media(max-width:600px){ul{display:none}}', '<a href=#n aria-label=Menu><i data-icon=bars></i></a>'),
    options: RANGE,
  },
  { name: 'a menu in view at every width', page: page(''), options: RANGE },
];

describeCheck('no-menu', FAULTY, NEAR);
