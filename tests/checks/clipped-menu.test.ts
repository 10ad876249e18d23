import { DROP_LINK, dropPage } from '../support/audit.js';
import { describeCheck, type Faulty, type NearMiss } from '../support/check-tester.js';

const OPENS = '.p:hover .s,.p:focus-within .s{display:block}.s a{height:32px}';
const page = (css: string) => dropPage(`${OPENS}nav{height:24px}${css}`, DROP_LINK);
const RIGHT = 'nav ul{display:flex}.p{margin-left:auto}.s.s{width:300px;left:0}nav{width:100%}';

const FAULTY: readonly Faulty[] = [
  {
    name: 'a bar that hides what hangs out of it',
    page: page('nav{overflow:hidden;height:40px}'),
    finds: ['cut normal '],
    mended: page('nav{overflow:visible;height:40px}'),
  },
  {
    name: 'the same of a panel that waits beyond the edge of the page',
    page: page('.s.s{display:block;left:-999em}.p:hover .s,.p:focus-within .s{left:0}nav{overflow:hidden;height:40px}'),
    finds: ['cut normal '],
    mended: page('.s.s{display:block;left:-999em}.p:hover .s,.p:focus-within .s{left:0}'),
    also: ['unseen-focus'],
  },
  {
    name: 'a bar that clips by containment',
    page: page('nav{contain:paint}'),
    finds: ['cut normal '],
    mended: page('nav{contain:layout}'),
  },
  {
    name: 'a panel beyond the right edge that no scrolling brings back',
    page: page(`${RIGHT}body{overflow-x:clip}html{overflow-x:clip}`),
    finds: ['edge normal '],
    mended: page(`${RIGHT}body{overflow-x:clip}html{overflow-x:clip}.s.s{left:auto;right:0}`),
  },
  {
    name: 'the same where the page hides what lies beside it',
    page: page(`${RIGHT}body{overflow-x:hidden}`),
    finds: ['edge normal '],
    mended: page(`${RIGHT}body{overflow-x:hidden}.s.s{left:auto;right:0}`),
  },
  {
    name: 'a panel beyond the left edge',
    page: page('.p.p{position:absolute;left:0;top:0}.s.s{left:auto;right:0;width:300px}'),
    finds: ['edge normal '],
    mended: page('.p.p{position:absolute;left:0;top:0}.s.s{width:300px}'),
  },
  {
    name: 'a panel one has to scroll sideways to',
    page: page(RIGHT),
    finds: ['sideways normal '],
    mended: page(`${RIGHT}.s.s{left:auto;right:0}`),
  },
];
const NEAR: readonly NearMiss[] = [
  {
    name: 'overflow hidden on what does not hold the panel',
    page: page('nav{overflow:hidden;position:static}nav li{position:static}.s.s{top:40px}'),
  },
  { name: 'a panel that scrolls by itself', page: page('.s{max-height:40px;overflow:auto}') },
  { name: 'a panel that goes on below the fold', page: page('.s a{height:600px}') },
  { name: 'a bar that clips nothing of it', page: page('nav{overflow:hidden;height:400px}') },
];

describeCheck('clipped-menu', FAULTY, NEAR);
