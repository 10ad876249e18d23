import { describeCheck, type Faulty, type NearMiss } from '../support/check-tester.js';
import { barPage } from '../support/scrolled.js';

const DARK =
  'nav{left:0;right:0;top:0;height:48px}a{color:#fff}.sec{background:#102a33;color:#fff}.n3{background:#fbfaf5;color:#222}';
const fixed = (css: string, script = '') => barPage(`nav{position:fixed;z-index:5}${DARK}${css}`, script);
const BOTH = ['low normal Home', 'low normal Fares'];
const ON_SCROLL =
  "<script>addEventListener('scroll',()=>document.querySelector('nav').classList.toggle('solid',window.scrollY>40))</script>";
const SENTINEL =
  "<i id=top></i><script>new IntersectionObserver(([e])=>document.querySelector('nav').classList.toggle('solid',!e.isIntersecting)).observe(document.getElementById('top'))</script>";

const FAULTY: readonly Faulty[] = [
  {
    name: 'white over a pale section',
    page: fixed(''),
    finds: BOTH,
    told: 1,
    mended: fixed('nav{background:#102a33}'),
  },
  {
    name: 'a sticky bar with a thin ground',
    page: barPage(`nav{position:sticky;background:rgb(0 0 0/.1)}${DARK}main{margin-top:-48px}`),
    finds: BOTH,
    mended: barPage(`nav{position:sticky;background:rgb(0 0 0/.85)}${DARK}main{margin-top:-48px}`),
  },
];
const NEAR: readonly NearMiss[] = [
  { name: 'a class given by a script once scrolled', page: fixed('.solid{background:#000}', ON_SCROLL) },
  { name: 'a watched element at the top', page: fixed('.solid{background:#000}', SENTINEL) },
  {
    name: 'an animation driven by the scroll',
    page: fixed(
      'nav{animation:solid linear both;animation-timeline:scroll();animation-range:0 80px}@keyframes solid{to{background:#000}}',
    ),
  },
  { name: 'a bar that scrolls away', page: barPage(`nav{position:absolute}${DARK}`) },
  { name: 'sections that are all dark', page: fixed('.n3{background:#123}') },
];

describeCheck('scroll-contrast', FAULTY, NEAR);
