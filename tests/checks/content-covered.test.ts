import { describeCheck, type Faulty, type NearMiss } from '../support/check-tester.js';
import { barPage } from '../support/scrolled.js';

const top = (css: string) =>
  barPage(`nav{position:fixed;top:0;left:0;right:0;height:100px;background:#fff}.sec{padding:0}${css}`);
const foot = (css: string) =>
  barPage(`nav{position:fixed;bottom:0;left:0;right:0;height:80px;background:#fff}.sec{min-height:0}${css}`);
const rail = (css: string) => barPage(`nav{position:fixed;top:0;bottom:0;left:0;width:200px;background:#fff}${css}`);

const FAULTY: readonly Faulty[] = [
  {
    name: 'too little room at the top',
    page: top('body{padding-top:56px}'),
    finds: ['first normal Main'],
    mended: top('body{padding-top:100px}'),
  },
  { name: 'none at the end', page: foot(''), finds: ['last normal Main'], mended: foot('body{padding-bottom:80px}') },
  {
    name: 'a rail over the side',
    page: rail(''),
    finds: ['side normal Main'],
    mended: rail('main{margin-left:200px}'),
  },
];
const NEAR: readonly NearMiss[] = [
  { name: 'a sticky bar, which keeps its room', page: top('nav{position:sticky}') },
  { name: 'a heading kept clear by its own padding', page: top('.sec{padding-top:100px}') },
  { name: 'a picture that runs under the bar', page: top('main{padding-top:120px;background:url(quay.jpg)}') },
  { name: 'a bar that comes once scrolled', page: top('nav{display:none}') },
];

describeCheck('content-covered', FAULTY, NEAR);
