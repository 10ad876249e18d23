import { describeCheck, type Faulty, type NearMiss } from '../support/check-tester.js';
import { barPage } from '../support/scrolled.js';

const wrapped = (css: string) =>
  barPage(`nav{position:fixed;top:0;left:0;width:300px;height:60px;background:#fff}${css}`).replace(
    /<nav.*<\/nav>/s,
    '<div class=shell><div class=inner>$&</div></div>',
  );
const SHEET = 'nav{inset:0;width:auto;height:auto}.shell{position:sticky;top:0;height:80px}';

const drawer = (css: string) =>
  `<!doctype html><style>body{margin:0}.bar{height:60px;background:#fff}nav{position:fixed;inset:60px 0 0 auto;width:200px;overflow:auto;background:#fff;visibility:hidden}nav.on{visibility:visible}${css}</style><header class=bar><button id=b aria-expanded=false>Menu</button><nav aria-label=Main><ul><li><a href=h.html>Home</a><li><a href=f.html>Fares</a></ul></nav></header><script>b.onclick=()=>b.setAttribute('aria-expanded',document.querySelector('nav').classList.toggle('on'))</script>`;

const FAULTY: readonly Faulty[] = [
  {
    name: 'a transformed wrapper',
    page: wrapped('.shell{transform:translateZ(0);height:100px}'),
    finds: ['moves normal Main'],
    mended: wrapped('.shell{height:100px}'),
  },
  {
    name: 'a wrapper that may change its transform',
    page: wrapped('.inner{will-change:transform;height:100px}'),
    finds: ['moves normal Main'],
    mended: wrapped('.inner{will-change:opacity;height:100px}'),
  },
  {
    name: 'a blurred bar that makes its panel as low as itself',
    page: wrapped(`${SHEET}.shell{backdrop-filter:blur(8px)}`),
    finds: ['size normal Main'],
    mended: wrapped(SHEET),
  },
  {
    name: 'a drawer of which nothing is left',
    page: drawer('.bar{backdrop-filter:blur(4px)}'),
    finds: ['size normal Main'],
    mended: drawer(''),
  },
];
const NEAR: readonly NearMiss[] = [
  {
    name: 'a holder that fills the screen and is fixed',
    page: wrapped(`${SHEET}.shell{position:fixed;inset:0;height:auto;transform:translateX(0)}`),
  },
  { name: 'no transform left', page: wrapped('.shell{transform:none}') },
  {
    name: 'an absolute part in a transformed one',
    page: wrapped('nav{position:absolute}.shell{transform:translateX(0);height:100px}'),
  },
  { name: 'opacity holds nothing', page: wrapped('.shell{opacity:.99}') },
];

describeCheck('fixed-trapped', FAULTY, NEAR);
