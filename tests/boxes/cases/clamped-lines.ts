import type { LayoutCase } from '../../support/layout-case.js';

/** Boxes clamped to some lines */
export const cases: readonly LayoutCase[] = [
  {
    name: 'old flexible boxes that clamp',
    css: 'body{margin:0}div{font:16px/20px Arial;width:100px}.c{display:-webkit-box;-webkit-box-orient:vertical;-webkit-line-clamp:2;overflow:hidden}',
    body: '<div id=e0 class=c>some long text that wraps over several lines of it <b id=e1>x</b></div><div id=e2 class=c style="overflow:visible">some long text that wraps over several lines</div><div id=e3 style="-webkit-line-clamp:2;overflow:hidden">some long text that wraps over several lines</div><div id=e4 class=c style="padding:7px;border:1px solid">some long text that wraps over several lines</div><div id=e5 class=c style="-webkit-line-clamp:5">some</div><div id=e6 style="display:flex"><p id=e7 class=c style="margin:0">some long text that wraps over several lines</p></div><div id=e8 class=c style="float:left">some long text that wraps over several lines</div><div id=e9 class=c style="display:-webkit-inline-box">some long text that wraps over several lines</div><div id=e10 class=c style="min-height:50px">some long text that wraps over several lines</div>',
    width: 1280,
    boxes: {
      e0: [0, 0, 100, 40],
      e1: [30.23, 81, 8.91, 17],
      e2: [0, 40, 100, 40],
      e3: [0, 80, 100, 80],
      e4: [0, 160, 116, 56],
      e5: [0, 216, 100, 20],
      e6: [0, 236, 100, 40],
      e7: [0, 236, 100, 40],
      e8: [0, 276, 100, 40],
      e9: [100, 276, 100, 40],
      e10: [0, 321, 100, 50],
    },
  },
];
