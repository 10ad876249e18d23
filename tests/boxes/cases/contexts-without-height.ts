import type { LayoutCase } from '../../support/layout-case.js';

/** Formatting contexts without height */
export const cases: readonly LayoutCase[] = [
  {
    name: 'in inline boxes, and across columns',
    css: 'body{margin:0;font:16px/20px Arial}',
    body: '<section id=e0><div id=e1 style="column-span:all"></div><div id=e2 style="margin:10px"></div></section><p id=e3><span id=e4><div id=e5 style="display:flow-root"></div></span><span id=e6><div id=e7 style="display:flow-root"></div>x</span><span id=e8>y<div id=e9 style="overflow:hidden"></div></span><b id=e10><i id=e11 style="display:flow-root;margin:5px"></i></b>',
    width: 800,
    boxes: {
      e0: [0, 0, 800, 0],
      e1: [0, 0, 800, 0],
      e2: [10, 10, 780, 0],
      e3: [0, 16, 800, 0],
      e4: [0, 16, 0, 0],
      e5: [0, 16, 800, 0],
      e6: [0, 17, 8, 17],
      e7: [0, 16, 800, 0],
      e8: [8, 17, 8, 17],
      e9: [0, 36, 800, 0],
      e10: [0, 46, 0, 0],
      e11: [5, 41, 790, 0],
    },
  },
  {
    name: 'tables in enlarged parts',
    css: 'body{margin:0;font:16px/20px Arial}section{zoom:1.25}',
    body: '<section><table id=e12><tr><td id=e13>a<td id=e14>b</table><table id=e15 style="border-spacing:6px"><tr><td id=e16>a</table></section>',
    width: 800,
    boxes: {
      e12: [0, 0, 33.25, 31.5],
      e13: [2, 2, 13.63, 27.5],
      e14: [17.63, 2, 13.63, 27.5],
      e15: [0, 31.5, 27.63, 41.5],
      e16: [7, 38.5, 13.63, 27.5],
    },
  },
];
