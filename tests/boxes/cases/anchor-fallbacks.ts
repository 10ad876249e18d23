import type { LayoutCase } from '../../support/layout-case.js';

/** Anchored boxes that fit where they are turned over */
export const cases: readonly LayoutCase[] = [
  {
    name: 'fallbacks of anchored boxes 1',
    css: '',
    body: '<style id=a>.cb{position:relative;width:400px;height:200px;margin:10px;border:1px solid}.a{position:absolute;width:40px;height:20px}.p{position:absolute;width:100px;height:60px;margin:0}</style><div id=b class=cb><div id=c class=a style="anchor-name:--a;left:340px;top:20px"></div><div id=d class=p style="position-anchor:--a;top:anchor(bottom);left:anchor(left);position-try-fallbacks:flip-inline"></div></div><div id=e class=cb><div id=f class=a style="anchor-name:--b;left:340px;top:170px"></div><div id=g class=p style="position-anchor:--b;top:anchor(bottom);left:anchor(left);position-try-fallbacks:flip-block,flip-inline,flip-block flip-inline;margin-top:7px"></div></div><div id=h class=cb><div id=i class=a style="anchor-name:--c;left:20px;top:170px"></div><div id=j class=p style="position-anchor:--c;position-area:bottom span-right;position-try:flip-block"></div></div><div id=k class=cb><div id=l class=a style="anchor-name:--d;left:350px;top:20px"></div><div id=m class=p style="position-anchor:--d;position-area:right;position-try:left"></div></div>',
    boxes: {
      a: null,
      b: [10, 10, 402, 202],
      c: [351, 31, 40, 20],
      d: [291, 51, 100, 60],
      e: [10, 222, 402, 202],
      f: [351, 393, 40, 20],
      g: [291, 326, 100, 60],
      h: [10, 434, 402, 202],
      i: [31, 605, 40, 20],
      j: [31, 545, 100, 60],
      k: [10, 646, 402, 202],
      l: [361, 667, 40, 20],
      m: [261, 647, 100, 60],
    },
  },
  {
    name: 'fallbacks of anchored boxes 2',
    css: '',
    body: '<style id=a>.cb{position:relative;width:400px;height:200px;margin:10px;border:1px solid}.a{position:absolute;width:40px;height:20px}.p{position:absolute;width:100px;height:60px;margin:0}</style><div id=b class=cb><div id=c class=a style="anchor-name:--e;left:350px;top:170px"></div><div id=d class=p style="position-anchor:--e;position-area:bottom right;position-try-fallbacks:flip-block,flip-inline,flip-block flip-inline"></div></div><div id=e class=cb><div id=f class=a style="anchor-name:--f;left:180px;top:90px"></div><div id=g class=p style="position-anchor:--f;position-area:bottom;height:150px;position-try-fallbacks:flip-block,right"></div></div><div id=h class=cb><div id=i class=a style="anchor-name:--g;left:20px;top:20px"></div><div id=j class=p style="position-anchor:--g;position-area:bottom span-right;position-try-fallbacks:flip-block"></div></div><div id=k class=cb><div id=l class=a style="anchor-name:--h;left:340px;top:20px"></div><div id=m class=p style="position-anchor:--h;position-area:block-end span-inline-end;width:auto;position-try-fallbacks:flip-inline">long words in panels</div></div>',
    boxes: {
      a: null,
      b: [10, 10, 402, 202],
      c: [361, 181, 40, 20],
      d: [261, 121, 100, 60],
      e: [10, 222, 402, 202],
      f: [191, 313, 40, 20],
      g: [231, 248, 100, 150],
      h: [10, 434, 402, 202],
      i: [31, 455, 40, 20],
      j: [31, 475, 100, 60],
      k: [10, 646, 402, 202],
      l: [351, 667, 40, 20],
      m: [351, 687, 60, 60],
    },
  },
];
