import { links, menuPage } from '../support/audit.js';
import { describeCheck, type Faulty, type NearMiss } from '../support/check-tester.js';

const RANGE = { from: 320, to: 1000 };
const page = (css: string, around = '<main>Text</main>') =>
  menuPage(
    `a{color:#222;display:block;width:112px}ul{display:flex}li{flex:none}${css}`,
    links('Home', 'Fares', 'Times', 'Boats', 'Crew'),
    around,
  );
const toggled = (css: string) =>
  menuPage(
    `a{color:#222}button{display:none}@media(max-width:600px){button{display:block}nav ul{display:none}.on nav ul{display:block;position:absolute;left:0;padding:0 20px;background:#fff;${css}}}`,
    links('Home', 'Fares', 'Times'),
    '<button aria-expanded=false onclick="this.setAttribute(`aria-expanded`,document.body.classList.toggle(`on`))">Menu</button><main>Text</main>',
  );

const RIGHT_TO_LEFT = page('body{direction:rtl}');
const FAULTY: readonly Faulty[] = [
  {
    name: 'a row written from right to left',
    page: RIGHT_TO_LEFT,
    finds: ['wide normal '],
    widths: '320–558',
    options: RANGE,
    mended: page('body{direction:rtl}ul{flex-wrap:wrap}'),
  },
  {
    name: 'a row that does not shrink',
    page: page(''),
    finds: ['wide normal '],
    widths: '320–558',
    options: RANGE,
    mended: page('ul{flex-wrap:wrap}'),
  },
  {
    name: 'a list of fixed width',
    page: page('ul{display:block;width:600px}'),
    finds: ['wide normal '],
    widths: '320–598',
    options: RANGE,
    mended: page('ul{display:block;max-width:600px}'),
  },
  {
    name: 'a panel as wide as the screen with room beside its items on top of that',
    page: toggled('width:100vw'),
    finds: ['opened normal '],
    widths: '320–600',
    options: RANGE,
    mended: toggled('right:0'),
  },
];
const NEAR: readonly NearMiss[] = [
  { name: 'a strip that scrolls by itself', page: page('ul{overflow-x:auto}'), options: RANGE },
  {
    name: 'something else is wider',
    page: page('', '<main><div style="width:900px">Map</div></main>'),
    options: RANGE,
  },
  { name: 'parked beside the screen', page: page('nav{position:fixed;right:-700px}'), options: RANGE },
  { name: 'clipped by the page', page: page('html,body{overflow-x:clip}'), options: RANGE },
];

describeCheck('sideways-scroll', FAULTY, NEAR);
