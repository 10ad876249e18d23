import type { LayoutCase } from '../../support/layout-case.js';

/** HTML in foreignObject elements: laid out in the units of the picture, and put where it puts them */
export const cases: readonly LayoutCase[] = [
  {
    name: 'in a viewBox, beneath a transform, and what stands absolute in it',
    css: 'body{font:10px/12px Arial}svg{display:block}',
    body: '<svg width=400 height=200 viewBox="0 0 200 100"><foreignObject x=20 y=10 width=100 height=50><div id=e0><p id=e1 style="margin:4px">Some text that will wrap over lines here and there</p><span id=e2 style="position:absolute;right:2px;bottom:1px">abs</span></div></foreignObject><g transform="translate(130 20) rotate(90)"><foreignObject width=40 height=20><b id=e3>bold</b></foreignObject></g><defs><foreignObject width=10 height=10><i id=e4>x</i></foreignObject></defs></svg>',
    boxes: {
      e0: [40, 28, 200, 72],
      e1: [48, 28, 184, 72],
      e2: [203.75, 94, 32.25, 24],
      e3: [238, 40, 22, 42.22],
      e4: null,
    },
  },
  {
    name: 'sizes in percent, and in a picture in the picture',
    css: 'svg{display:block}',
    body: '<svg width=300 height=100><foreignObject x="10%" width="50%" height="50%" style="font:20px Arial"><div id=e0 style="display:flex;justify-content:space-between"><a id=e1>Ab</a><a id=e2>Cd</a></div></foreignObject><svg x=200 y=20 width=80 height=40 viewBox="0 0 40 40"><foreignObject width=30 height=20><em id=e3 style="font:8px Arial">em</em></foreignObject></svg></svg><p id=e4>After</p>',
    boxes: {
      e0: [30, 0, 150, 23],
      e1: [30, 0, 24.47, 23],
      e2: [154.42, 0, 25.58, 23],
      e3: [220, 28, 11.13, 9],
      e4: [0, 116, 800, 20],
    },
  },
];
