import type { LayoutCase } from '../../support/layout-case.js';

/** Room kept for scroll bars */
export const cases: readonly LayoutCase[] = [
  {
    name: 'gutters',
    css: 'html{scrollbar-gutter:stable}body{margin:0;font:16px Arial}section{scrollbar-gutter:stable;overflow:auto}.f{float:left;clear:left}',
    body: '<section id=e0 class=f>abc <b id=e1>de</b></section>\n<section id=e2 class=f style="width:200px;box-sizing:border-box;padding:3px;border:2px solid;position:relative"><i id=e3 style="position:absolute;right:0;width:20px;height:5px"></i>abc</section>\n<section id=e4 class=f style="display:flex;width:200px"><p id=e5 style="flex:1">abc</section>\n<section id=e6 class=f style="display:grid;width:200px"><p id=e7>abc</section>\n<div id=e8 style="display:flex;clear:both"><section id=e9>abc</section><section id=e10 style="flex:1">abc</section></div>\n<div id=e11 style="position:fixed;right:0;width:30px;height:30px"></div><div id=e12 style="position:absolute;left:0;right:0;height:5px"></div><div id=e13 style="width:100vw;height:5px"></div>\n<section id=e14 class=f style="direction:rtl;width:100px"><p id=e15>abc</section>\n<section id=e16 style="min-width:50%;width:min-content">abc de</section>\n<section id=e17 style="overflow:clip"><p id=e18>x</p></section>',
    width: 1280,
    boxes: {
      e0: [0, 0, 63.92, 18],
      e1: [30.25, 0, 18.67, 17],
      e2: [0, 18, 200, 28],
      e3: [163, 23, 20, 5],
      e4: [0, 46, 200, 50],
      e5: [0, 62, 185, 18],
      e6: [0, 96, 200, 50],
      e7: [0, 112, 185, 18],
      e8: [0, 146, 1265, 18],
      e9: [0, 146, 40.8, 18],
      e10: [40.8, 146, 1224.2, 18],
      e11: [1235, 164, 30, 30],
      e12: [0, 164, 1265, 5],
      e13: [0, 164, 1280, 5],
      e14: [0, 169, 100, 50],
      e15: [15, 185, 85, 18],
      e16: [100, 169, 632.5, 18],
      e17: [0, 203, 1265, 18],
      e18: [0, 203, 1265, 18],
    },
  },
];
