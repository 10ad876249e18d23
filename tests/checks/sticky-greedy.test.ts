import { describeCheck, type Faulty, type NearMiss } from '../support/check-tester.js';
import { barPage } from '../support/scrolled.js';

const page = (css: string, more = '') => barPage(`nav{position:sticky;top:0;height:60px;background:#fff}${css}`, more);
const PLAYER = '<div class=player>Now: the shipping forecast</div>';
const FOOT = '.player{position:fixed;bottom:0;left:0;right:0;height:110px;background:#eee}';

const FAULTY: readonly Faulty[] = [
  {
    name: 'a bar that is too high on a low screen',
    page: page('nav{height:160px}'),
    finds: ['greedy normal Main'],
    mended: page('nav{height:120px}'),
  },
  {
    name: 'two bars together',
    page: page(FOOT, PLAYER),
    finds: ['greedy normal Now: the shipping forecast'],
    mended: page(`${FOOT}@media(max-height:480px){.player{position:static}}`, PLAYER),
  },
  {
    name: 'a fixed bar of half the screen',
    page: page('nav{position:fixed;left:0;right:0;height:400px}'),
    finds: ['greedy normal Main'],
    mended: page('nav{position:absolute;left:0;right:0;height:400px}'),
  },
];
const NEAR: readonly NearMiss[] = [
  { name: 'shorter than a third of a low screen', page: page('nav{height:124px}') },
  {
    name: 'a rail at the side',
    page: page('nav{position:fixed;top:0;bottom:0;left:0;width:200px;height:auto}main{margin-left:200px}'),
  },
  {
    name: 'a bar that shrinks once scrolled',
    page: page(
      'nav{height:200px}.small.small{height:60px}nav.small{height:60px}',
      "<script>addEventListener('scroll',()=>document.querySelector('nav').classList.toggle('small',window.scrollY>20))</script>",
    ),
  },
  { name: 'a high bar that scrolls away', page: page('nav{position:static;height:300px}') },
];

describeCheck('sticky-greedy', FAULTY, NEAR);
