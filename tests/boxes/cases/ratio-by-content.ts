import type { LayoutCase } from '../../support/layout-case.js';

/** Boxes with a ratio whose height is a word for its content */
export const cases: readonly LayoutCase[] = [
  {
    name: 'heights by content of boxes with a ratio',
    css: '',
    body: '<style id=a>div{width:200px;margin:4px}p{margin:0;height:30px}.t p{height:150px}</style><div id=b style="height:min-content;aspect-ratio:2"><p id=c></p></div><div id=d class=t style="height:min-content;aspect-ratio:2"><p id=e></p></div><div id=f style="height:max-content;aspect-ratio:2"><p id=g></p></div><div id=h class=t style="height:fit-content;aspect-ratio:2"><p id=i></p></div><div id=j class=t style="height:min-content;aspect-ratio:2;overflow:hidden"><p id=k></p></div><div id=l class=t style="height:min-content;aspect-ratio:2;min-height:0"><p id=m></p></div><div id=n style="aspect-ratio:2;height:min-content;padding:10px"><p id=o></p></div><div id=p class=t style="aspect-ratio:2;height:min-content"><table id=q style="height:150px"><tr id=r><td id=s>x</table></div><div id=t style="aspect-ratio:2;height:min-content;"><p id=u style="margin-bottom:90px">x</p></div>',
    boxes: {
      a: null,
      b: [4, 4, 200, 100],
      c: [4, 4, 200, 30],
      d: [4, 108, 200, 150],
      e: [4, 108, 200, 150],
      f: [4, 262, 200, 100],
      g: [4, 262, 200, 30],
      h: [4, 366, 200, 150],
      i: [4, 366, 200, 150],
      j: [4, 520, 200, 100],
      k: [4, 520, 200, 150],
      l: [4, 624, 200, 100],
      m: [4, 624, 200, 150],
      n: [4, 728, 220, 120],
      o: [14, 738, 200, 30],
      p: [4, 852, 200, 150],
      q: [4, 852, 14, 150],
      r: [6, 854, 10, 146],
      s: [6, 854, 10, 146],
      t: [4, 1006, 200, 100],
      u: [4, 1006, 200, 30],
    },
  },
];
