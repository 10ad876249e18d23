import type { LayoutCase } from '../../support/layout-case.js';

/** Text of elements that have no box */
export const cases: readonly LayoutCase[] = [
  {
    name: 'in lines, rows and cells',
    css: 'body{margin:0;font:16px/20px Arial}c{display:contents}p{margin:0}',
    body: '<div id=e0><c style="line-height:2">x</c></div><div id=e1>a <c style="font-size:30px">b <i id=e2>c</i></c> d</div><div id=e3 style="display:flex"><c style="font-size:10px;padding:10px;border:3px solid">one</c><p id=e4>x</p></div><div id=e5 style="display:grid;grid-template-columns:1fr 1fr"><c style="font-size:10px">one</c><b id=e6>two</b></div><table id=e7><tr><c style="font-size:30px">cell</c><td id=e8>b</table><span id=e9><c style="vertical-align:top;font-size:40px;position:relative;top:5px">v</c></span><p id=e10 style="width:60px">long<c style="letter-spacing:2px">word here</c>and</p><p id=e11>a<c> </c>b</p>',
    width: 800,
    boxes: {
      e0: [0, 0, 800, 32],
      e1: [0, 32, 800, 25],
      e2: [38.38, 25, 15, 33],
      e3: [0, 57, 800, 22],
      e4: [16.69, 57, 8, 22],
      e5: [0, 79, 800, 22],
      e6: [400, 79, 400, 22],
      e7: [0, 126, 14.91, 26],
      e8: [2, 128, 10.91, 22],
      e9: [0, 162, 20, 17],
      e10: [0, 181, 60, 40],
      e11: [0, 221, 800, 20],
    },
  },
];
