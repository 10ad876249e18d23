import type { LayoutCase } from '../../support/layout-case.js';

/** Lines trimmed to edges of their text. CSS Inline §5.2, §5.3 */
export const cases: readonly LayoutCase[] = [
  {
    name: 'lines are trimmed to edges of their text',
    css: '.r{display:flow-root}.b{text-box-trim:trim-both}.s{text-box-trim:trim-start}.e{text-box-trim:trim-end}.c{text-box-edge:cap alphabetic}.x{text-box-edge:ex alphabetic}p{margin:0}div,p,li,button,td{line-height:40px}button{font:20px/40px Arial}',
    body: "<div class=r><div id=a class=b>Quay</div></div><div class=r><div id=b class='b c'>Quay</div></div><div class=r><div id=c class='b x'>Quay</div></div><div class=r><div id=d class='s c'>Quay</div></div><div class=r><div id=e class='e c'>Quay<br>two</div></div><div class=r><div id=f class='b c'><p id=g style='margin:5px 0'>Quay</p><p id=h>two</p></div></div><div class=r><div id=i class='b c' style='padding:3px'>Quay</div></div><div class=r><div id=j class='b c'><span id=k style='font-size:40px'>Quay</span> x</div></div><div class=r><button id=l class='b c'>x</button></div><div class=r><ul style='margin:0'><li id=m class='b c'>Quay<li>two</ul></div><div class=r><table><td id=n class='b c'>Quay</table></div><div class=r><div class='s c'><div id=o class='e x'>Quay</div></div></div><div class=r><div id=p class='b c'><div id=q style='float:left'>f</div>Quay</div></div>",
    boxes: {
      a: [0, 0, 800, 17],
      b: [0, 17, 800, 11.02],
      c: [0, 28.02, 800, 8.45],
      d: [0, 36.47, 800, 26.02],
      e: [0, 62.48, 800, 65],
      f: [0, 132.48, 800, 56.02],
      g: [0, 132.48, 800, 26.02],
      h: [0, 163.5, 800, 25],
      i: [0, 188.5, 800, 17.02],
      j: [0, 205.52, 800, 11.02],
      k: [0, 180.53, 95.61, 44],
      l: [0, 224.77, 26, 19.77],
      m: [40, 256.53, 760, 11.02],
      n: [2, 309.55, 40.25, 13.02],
      o: [0, 324.56, 800, 8.45],
      p: [0, 333.02, 800, 11.02],
      q: [0, 319.03, 4.45, 40],
    },
  },
  {
    name: 'what keeps lines from being trimmed',
    css: '.b{text-box:trim-both cap alphabetic}p{margin:0}div{line-height:40px}',
    body: "<div class=b><p id=a style='padding:1px 0'>Quay</p><p>two</p></div><div id=b class=b><p></p><p>Quay</p><p></p></div><div id=c class=b style='display:flex'>Quay</div><div id=d class=b><p style='display:flex'>Quay</p></div><span id=e class=b>Quay</span><div id=f class=b><table><td>Quay</table></div><div class=b><hr id=g style='margin:5px 0'><p id=h>Quay</p></div>",
    boxes: {
      a: [0, 0, 800, 42],
      b: [0, 67, 800, 40],
      c: [0, 107, 800, 40],
      d: [0, 147, 800, 40],
      e: [0, 188, 38.25, 17],
      f: [0, 207, 800, 46],
      g: [0, 258, 800, 2],
      h: [0, 265, 800, 25],
    },
  },
  {
    name: 'the shorthand',
    css: 'div{line-height:40px}',
    body: "<div id=a style='text-box:trim-both cap alphabetic'>Quay</div><div id=b style='text-box:cap alphabetic'>Quay</div><div id=c style='text-box:trim-start'>Quay</div><div id=d style='text-box:normal'>Quay</div><div id=e style='text-box:trim-both text'>Quay</div><div id=f style='text-box:trim-both cap'>Quay</div><div id=g style='text-box:ex text trim-end'>Quay</div><div id=h style='text-box:text alphabetic none'>Quay</div>",
    boxes: {
      a: [0, 0, 800, 11.02],
      b: [0, 11.02, 800, 11.02],
      c: [0, 22.03, 800, 29],
      d: [0, 51.03, 800, 40],
      e: [0, 91.03, 800, 17],
      f: [0, 108.03, 800, 40],
      g: [0, 148.03, 800, 28],
      h: [0, 176.03, 800, 40],
    },
  },
];
