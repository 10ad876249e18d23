import type { LayoutCase } from '../../support/layout-case.js';

/** Font sizes too small to read, and lengths that refer to them */
export const cases: readonly LayoutCase[] = [
  {
    name: 'least sizes 1',
    css: '',
    body: '<div id=e0><span id=e1 style="font-size:.25em">abcdefgh</span> <span id=e2 style="font-size:4px">abcdefgh</span> <span id=e3 style="font-size:25%">abcdefgh</span> <span id=e4 style="font-size:calc(2px + .1em)">abcdefgh</span> <span id=e5 style="font-size:.2rem">abcdefgh</span> <span id=e6 style="font-size:0">abcdefgh</span> <span id=e7 style="font-size:.01em">abcdefgh</span></div><div id=e8 style="font-size:20px"><span id=e9 style="font-size:.25em">abcdefgh</span> <span id=e10 style="font-size:25%">abcdefgh</span> <span id=e11 style="font-size:smaller"><span id=e12 style="font-size:.1em">abcd</span></span></div><div id=e13 style="font-size:large"><span id=e14 style="font-size:.25em">abcdefgh</span><span id=e15 style="font-size:.25em"><b id=e16 style="font-size:2em">abcdefgh</b></span> <i id=e17 style="font-size:.5vw">abcdefgh</i></div><div id=e18 style="font-size:1em"><span id=e19 style="font-size:.25em">abcdefgh</span></div><div id=e20 style="font-size:1rem"><span id=e21 style="font-size:.25em">abcdefgh</span></div><div id=e22 style="font-size:100%"><span id=e23 style="font-size:.25em">abcdefgh</span></div><div id=e24 style="font-size:.1em;width:10em">x</div>',
    boxes: {
      e0: [0, 0, 800, 25],
      e1: [0, 11, 16.47, 5],
      e2: [20.92, 11, 16.47, 5],
      e3: [41.84, 11, 16.47, 5],
      e4: [62.77, 12, 14.8, 4],
      e5: [82.02, 12, 13.13, 4],
      e6: [99.59, 15, 0, 0],
      e7: [104.05, 15, 0.66, 0],
      e8: [0, 25, 800, 26],
      e9: [0, 37, 20.58, 6],
      e10: [26.14, 37, 20.58, 6],
      e11: [52.28, 27, 3.59, 19],
      e12: [52.28, 40, 3.59, 2],
      e13: [0, 51, 800, 25],
      e14: [0, 62, 24.7, 6],
      e15: [24.7, 62, 40.02, 6],
      e16: [24.7, 59, 40.02, 10],
      e17: [69.73, 63, 16.47, 5],
      e18: [0, 76, 800, 24],
      e19: [0, 87, 16.47, 5],
      e20: [0, 100, 800, 24],
      e21: [0, 111, 16.47, 5],
      e22: [0, 124, 800, 24],
      e23: [0, 135, 16.47, 5],
      e24: [0, 148, 16, 20],
    },
  },
  {
    name: 'least sizes 2',
    css: '',
    body: '<div id=e0 style="font-size:1px"><b id=e1 style="width:10em;display:block">x</b></div><div id=e2 style="font-size:.1em"><b id=e3 style="display:block;width:10em;font-size:2em">x</b><b id=e4 style="display:block;width:2rem;line-height:1.5">x</b></div>',
    boxes: {
      e0: [0, 0, 800, 20],
      e1: [0, 0, 10, 20],
      e2: [0, 20, 800, 22.39],
      e3: [0, 20, 32, 20],
      e4: [0, 40, 32, 2.39],
    },
  },
];
