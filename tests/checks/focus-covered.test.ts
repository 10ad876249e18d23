import { menuPage } from '../support/audit.js';
import { describeCheck, type Faulty, type NearMiss } from '../support/check-tester.js';

const page = (css: string) =>
  menuPage(
    `a{color:#222;display:block;line-height:24px}.bar{position:fixed;left:0;right:0;bottom:0;height:84px;background:#fff}${css}`,
    Array.from({ length: 40 }, (_, i) => `<li><a href="p${i}.html">Part ${i}</a></li>`).join(''),
    '<div class=bar>Shop desk</div>',
  );
const MENDED = page('nav{padding-bottom:100px}html{scroll-padding-bottom:84px}');
const FAULTY: readonly Faulty[] = [
  {
    name: 'a bar along the foot',
    page: page('nav{padding-bottom:100px}'),
    finds: ['covered focus Part 30', 'covered focus Part 31', 'covered focus Part 32', 'covered focus Part 33'],
    told: 1,
    mended: MENDED,
  },
  {
    name: 'a taller one',
    page: page('nav{padding-bottom:200px}.bar{height:110px}'),
    finds: [
      'covered focus Part 29',
      'covered focus Part 30',
      'covered focus Part 31',
      'covered focus Part 32',
      'covered focus Part 33',
    ],
    mended: page('nav{padding-bottom:200px}.bar{height:110px}html{scroll-padding-bottom:110px}'),
  },
];
const NEAR: readonly NearMiss[] = [
  { name: 'room for the bar', page: MENDED },
  { name: 'a bar that stays in the flow', page: page('.bar{position:static}') },
  { name: 'a bar one sees through to press', page: page('.bar{pointer-events:none}') },
];

describeCheck('focus-covered', FAULTY, NEAR);
