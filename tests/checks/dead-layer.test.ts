import { links, menuPage } from '../support/audit.js';
import { describeCheck, type Faulty, type NearMiss } from '../support/check-tester.js';

const page = (css: string) => menuPage(`a{color:#222}${css}`, links('Home', 'Fares'));

const FAULTY: readonly Faulty[] = [
  {
    name: 'a list that is not positioned',
    page: page('ul{z-index:99}'),
    finds: ['dead normal '],
    mended: page('ul{z-index:99;position:relative}'),
  },
  {
    name: 'the bar itself, by a class and a custom property',
    page: page(':root{--top:10}nav{z-index:var(--top)}'),
    finds: ['dead normal Main'],
    mended: page(':root{--top:10}nav{z-index:var(--top);position:sticky;top:0}'),
  },
];
const NEAR: readonly NearMiss[] = [
  { name: 'a flex item', page: page('nav{display:flex}ul{z-index:9}') },
  { name: 'a grid item', page: page('nav{display:grid}ul{z-index:9}') },
  { name: 'positioned at other widths', page: page('ul{z-index:9}@media(max-width:700px){ul{position:absolute}}') },
  { name: 'positioned in another state', page: page('ul{z-index:9}ul:hover{position:relative}') },
  { name: 'auto', page: page('ul{z-index:auto}') },
];

describeCheck('dead-layer', FAULTY, NEAR);
