import { auditOnly, DROP_LINK, dropPage } from '../support/audit.js';
import { describeCheck, type Faulty, type NearMiss } from '../support/check-tester.js';
import { barPage } from '../support/scrolled.js';

const OPENS = '.p:hover .s,.p:focus-within .s{display:block}';
const HERO = '<div class=hero><h1>Tidewrack</h1></div>';
const page = (css: string) =>
  dropPage(
    `${OPENS}nav{position:relative;z-index:1;height:24px}.s{z-index:999}.hero{position:relative;height:300px;background:#dde}${css}`,
    DROP_LINK,
  ).replace('<p>Text</p>', HERO);
const RISE = '@keyframes rise{from{transform:translateY(9px)}to{transform:none}}';
const SHOP = '.sec{position:relative;z-index:6}';
const bar = (css: string) => barPage(`nav{position:sticky;top:0;height:48px;background:#fff}${css}`);

const FAULTY: readonly Faulty[] = [
  {
    name: 'a toolbar in the page that sticks later on',
    page: page('nav{z-index:auto}.s{z-index:3}.hero{position:sticky;top:0;z-index:4}'),
    finds: ['panel normal '],
    mended: page('nav{z-index:auto}.s{z-index:5}.hero{position:sticky;top:0;z-index:4}'),
  },
  {
    name: 'the panel’s number counts inside the header alone',
    page: page('.hero{z-index:5}'),
    finds: ['panel normal '],
    mended: page('.hero{z-index:5}nav{z-index:10}'),
  },
  {
    name: 'a header kept below by its own opacity',
    page: page('nav{z-index:auto;opacity:.99}.hero{z-index:1}'),
    finds: ['panel normal '],
    mended: page('nav{z-index:2;opacity:.99}.hero{z-index:1}'),
  },
  {
    name: 'a hero that keeps the end of its entrance',
    page: page(`nav{z-index:auto}.s{z-index:auto}.hero{position:static;animation:rise 1s both}${RISE}`),
    finds: ['panel normal '],
    mended: page(`nav{z-index:auto}.s{z-index:auto}.hero{position:static;animation:rise 1s}${RISE}`),
  },
  {
    name: 'cards that slide over a sticky bar',
    page: bar(SHOP),
    finds: ['bar normal Main'],
    mended: bar(`${SHOP}nav{z-index:7}`),
  },
];
const NEAR: readonly NearMiss[] = [
  { name: 'a panel above a positioned hero', page: page('.hero{z-index:1}nav{z-index:2}') },
  {
    name: 'the header as a flex item whose z-index counts',
    page: page(
      'body{display:flex;flex-direction:column}nav{position:static;z-index:3}.p{position:relative}.hero{z-index:1}',
    ),
  },
  { name: 'a see-through layer that lets presses pass', page: page('.hero{z-index:5;pointer-events:none}') },
  { name: 'content in the flow under a sticky bar', page: bar('') },
  { name: 'a bar that scrolls away', page: bar(`${SHOP}nav{position:static}`) },
];

describeCheck('buried-menu', FAULTY, NEAR);

describe('what buried-menu proposes', () => {
  const only = (html: string) => auditOnly('buried-menu')(html, { at: [1000] }).findings[0]!;

  test.each([
    ['nav{z-index:auto;opacity:.99}.hero{z-index:1}', 'no z-index (opacity: 0.99)', 'Give nav z-index: 2 or more'],
    [
      'nav{position:static;opacity:.99}.hero{z-index:1}',
      'no z-index (opacity: 0.99)',
      'Give nav position: relative and z-index: 2',
    ],
    ['.hero{z-index:5}', 'counts only inside nav, which has z-index 1', 'Give nav z-index: 6 or more'],
    [
      `nav{z-index:auto}.s{z-index:auto}.hero{position:static;animation:rise 1s both}${RISE}`,
      'In the order of the page div.hero has no z-index (an animation of transform)',
      'Give ',
    ],
  ])('%s', (css, says, mends) => {
    const finding = only(page(css));
    expect(finding.says).toContain(says);
    expect(finding.mends).toContain(mends);
  });
});
