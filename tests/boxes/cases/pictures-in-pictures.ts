import type { LayoutCase } from '../../support/layout-case.js';

/** Sizes of viewports and pictures inside of graphics */
export const cases: readonly LayoutCase[] = [
  {
    name: 'lengths of fonts, and what style asks for',
    css: 'body{margin:0;font:16px Arial}.n{width:10px;height:8px}',
    body: '<svg viewBox="0 0 24 24" width=48 height=48 style="font-size:24px"><svg id=e0 viewBox="0 0 24 24" width=1em height=1em><rect id=e1 width=10 height=10 /></svg><svg id=e2 class=n viewBox="0 0 10 10" width=20 height=20><rect id=e3 width=10 height=10 /></svg></svg><svg viewBox="0 0 100 100" width=200 height=200 style="font-size:20px"><image id=e4 width="1em" height="2em" x="1em"/><image id=e5 class=n width=30 height=30 /><foreignObject id=e6 class=n width="20" height="20"></foreignObject><symbol id=s viewBox="0 0 10 10"><rect width=10 height=10 /></symbol><use id=e7 href="#s" width=2em height=2em /><use id=e8 href="#s" class=n width=30 height=30 y=50 /><svg id=e9 x=1em y=2em style="width:50%;height:20px" viewBox="0 0 10 10"><rect id=e10 width=10 height=10 /></svg></svg>',
    width: 800,
    boxes: {
      e0: [0, 152, 20, 20],
      e1: [0, 152, 20, 20],
      e2: [0, 152, 40, 40],
      e3: [0, 152, 40, 40],
      e4: [88, 0, 40, 80],
      e5: [48, 0, 20, 16],
      e6: [48, 0, 20, 16],
      s: null,
      e7: [48, 0, 80, 80],
      e8: [48, 100, 60, 60],
      e9: [88, 80, 200, 200],
      e10: [88, 80, 200, 200],
    },
  },
];
