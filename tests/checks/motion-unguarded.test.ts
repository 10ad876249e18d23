import { DROP_LINK, dropPage, links, menuPage } from '../support/audit.js';
import { describeCheck, type Faulty, type NearMiss } from '../support/check-tester.js';

const slide = (css: string) =>
  menuPage(
    `a{color:#222}nav{position:fixed;top:0;left:0;width:240px;transform:translateX(-100%);transition:transform .3s}nav.open{transform:none}button{float:right}${css}`,
    links('Home', 'Fares', 'Times'),
    "<button id=b>Menu</button><script>b.onclick=()=>document.querySelector('nav').classList.toggle('open')</script>",
  );
const drop = (css: string) =>
  dropPage(
    `.s{display:block;visibility:hidden;top:40px;transition:top .25s,visibility 0s}.p:hover .s{visibility:visible;top:24px}${css}`,
    DROP_LINK,
  );
const STILL = '@media(prefers-reduced-motion:reduce)';

const leap = (y: string, css = '') =>
  menuPage(
    `a{color:#222;display:block;width:80px;line-height:40px;transition:transform .3s}a:hover{transform:translateY(${y})}${css}`,
    links('Home', 'Fares'),
  );
const sway = (to: string, css = '') =>
  menuPage(
    `nav ul{animation:sway 4s infinite alternate}@keyframes sway{to{${to}}}a{color:#222}${css}`,
    links('Home', 'Fares'),
  );

const DROPS =
  '.s{transition:none;top:24px;display:none;animation:drop .3s}.p:hover .s{display:block}@keyframes drop{from{transform:translateY(-40px)}}';

const FAULTY: readonly Faulty[] = [
  {
    name: 'a panel that slides in',
    page: slide(''),
    finds: ['moves normal Main'],
    mended: slide(`${STILL}{nav{transition:none}}`),
  },
  {
    name: 'a panel that moves up',
    page: drop(''),
    finds: ['moves normal '],
    mended: drop(`${STILL}{.s{transition-duration:.01ms}}`),
  },
  {
    name: 'a panel that drops in by an animation',
    page: drop(DROPS),
    finds: ['moves normal '],
    mended: drop(`${DROPS}${STILL}{.s{animation-name:none}}`),
  },
  {
    name: 'an entry that leaps under the pointer',
    page: leap('-12px'),
    finds: ['hovered hover Home', 'hovered hover Fares'],
    mended: leap('-12px', `${STILL}{a{transition:none}}`),
  },
  {
    name: 'a list that never stands still',
    page: sway('transform:translateX(20px)'),
    finds: ['endless normal '],
    mended: sway('transform:translateX(20px)', `${STILL}{nav ul{animation:none}}`),
  },
];
const NEAR: readonly NearMiss[] = [
  { name: 'an entry that lifts by a hair', page: leap('-2px') },
  { name: 'a list that fades for ever', page: sway('opacity:.6') },
  { name: 'a universal rule', page: slide(`${STILL}{*,*::before,*::after{transition-duration:.01ms!important}}`) },
  { name: 'opacity alone', page: drop('.s{transition:opacity .3s;top:24px;opacity:0}.p:hover .s{opacity:1}') },
  { name: 'an animation that fades', page: drop(DROPS.replace('transform:translateY(-40px)', 'opacity:0')) },
  { name: 'too short to be seen', page: slide('nav{transition-duration:.05s}') },
  {
    name: 'a caret that turns',
    page: drop(
      '.s{transition:none}.p>a::after{content:none}.p i{display:inline-block;width:12px;height:12px;transition:transform .3s}.p:hover i{transform:rotate(180deg)}',
    ),
  },
  { name: 'moves at once', page: slide('nav{transition:none}') },
  {
    name: 'motion for those who want it',
    page: slide(`nav{transition:none}@media(prefers-reduced-motion:no-preference){nav{transition:transform .3s}}`),
  },
];

describeCheck('motion-unguarded', FAULTY, NEAR);
