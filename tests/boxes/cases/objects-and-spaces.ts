import type { LayoutCase } from '../../support/layout-case.js';

/** No-break spaces beside objects, and spaces that fonts lack. CSS Text §5.1, §4.1.3 */
export const cases: readonly LayoutCase[] = [
  {
    name: 'no-break spaces do not hold objects',
    css: 'b{display:inline-block;width:90px;height:10px}p{margin:0;width:200px}',
    body: '<p id=q>aaaa bbbb<b id=a></b>&nbsp;&nbsp;&nbsp;cccc</p><p id=r>aaaaaaaaaaaaaaa&nbsp;<b id=c></b></p><p id=s><span>aaaaaaa</span> <b id=d></b>&nbsp;<b id=e></b></p><p id=t><span>aaaaaaa</span> <b id=f></b>&nbsp;aaaaaaaaaa</p><p id=u>aaaaaaa &nbsp;<b id=g></b>&nbsp;&nbsp;&nbsp;&nbsp; <b id=h></b></p>',
    boxes: {
      q: [0, 0, 200, 40],
      a: [75.64, 5, 90, 10],
      r: [0, 40, 200, 40],
      c: [0, 65, 90, 10],
      s: [0, 80, 200, 40],
      d: [66.75, 85, 90, 10],
      e: [0, 105, 90, 10],
      t: [0, 120, 200, 40],
      f: [66.75, 125, 90, 10],
      u: [0, 160, 200, 40],
      g: [71.19, 165, 90, 10],
      h: [0, 185, 90, 10],
    },
  },
  {
    name: 'spaces that a font lacks',
    css: 'i{display:inline-block;font:100px Arial}',
    body: '<i id=a>a&#8199;a</i><br><i id=b>a&#8200;a</i><br><i id=c>a&#8202;a</i><br><i id=d>a&#8239;a</i><br><i id=e>a&#12288;a</i><br><i id=f>a&#8287;a</i>',
    boxes: {
      a: [0, 0, 166.86, 115],
      b: [0, 115, 139.02, 115],
      c: [0, 230, 117.48, 115],
      d: [0, 345, 125.13, 115],
      e: [0, 460, 211.23, 115],
      f: [0, 575, 133.45, 115],
    },
  },
  {
    name: 'tabs that hang',
    css: 'div{width:200px;font:13px/20px Courier New}b{white-space:pre-wrap}',
    body: "<div id=a><b id=b>x\n\t\t\t\t\tb.</b></div><div id=c style='white-space:pre;word-break:break-all;overflow-wrap:break-word'><b id=d>x\n\t\t\t\t\tbbbbbbbbbbbbbbbbbbbbbbbbbbbbb</b></div><div id=e style='white-space:pre-wrap'><b id=f>xyy yyy\t\t\t\tbbbbbbbbbbbbb</b></div><div id=g><b id=h>xyy yyy\t\t\t\t </b></div>",
    boxes: {
      a: [0, 0, 200, 60],
      b: [0, 2, 312.06, 55],
      c: [0, 60, 200, 80],
      d: [0, 62, 312.06, 75],
      e: [0, 140, 200, 40],
      f: [0, 142, 249.64, 35],
      g: [0, 180, 200, 20],
      h: [0, 182, 257.45, 15],
    },
  },
  {
    name: 'characters without width make a line',
    css: '',
    body: '<div id=a><span>&#8203;</span></div><div id=b>&#8203;</div><div id=c>a<br>&#8203;</div><div id=d><wbr></div><div id=e><span><wbr></span></div><div id=f>x<br><wbr></div><div id=g>&shy;</div><div id=h> <span> </span> </div>',
    boxes: {
      a: [0, 0, 800, 20],
      b: [0, 20, 800, 20],
      c: [0, 40, 800, 40],
      d: [0, 80, 800, 20],
      e: [0, 100, 800, 20],
      f: [0, 120, 800, 40],
      g: [0, 160, 800, 20],
      h: [0, 180, 800, 0],
    },
  },
];
