import type { LayoutCase } from '../../support/layout-case.js';

/** Where lines begin and end, and what stands there. CSS 2 §9.4.2, CSS Text 3 §5, §7 */
export const cases: readonly LayoutCase[] = [
  {
    name: 'an edge behind a space does not fit',
    css: 'a{margin-right:16px}',
    body: '<div id=d style="width:100px"><a id=a>Company </a><a id=b>Abc </a><a id=c>Team</a></div>',
    boxes: { d: [0, 0, 100, 60], a: [0, 1, 68.48, 17], b: [0, 21, 27.58, 17], c: [0, 41, 39.13, 17] },
  },
  {
    name: 'an edge in front of a space',
    css: 'a{margin-right:16px}',
    body: '<div id=d style="width:100px"><a id=a>Company</a> <a id=b>Abcd</a> <a id=c>Team</a></div>',
    boxes: { d: [0, 0, 100, 60], a: [0, 1, 68.48, 17], b: [0, 21, 36.47, 17], c: [0, 41, 39.13, 17] },
  },
  {
    name: 'an edge at the end of the paragraph',
    css: 'b{padding:0 20px}',
    body: '<div id=d style="width:90px">Comp <b id=b>so </b></div>',
    boxes: { d: [0, 0, 90, 40], b: [0, 21, 58.67, 17] },
  },
  {
    name: 'words that do not wrap are not cut',
    css: '',
    body: '<div id=d style="width:60px;overflow-wrap:break-word">a <b id=b style="white-space:nowrap">abcdefghijkl</b> b</div>',
    boxes: { d: [0, 0, 60, 60], b: [0, 21, 93.36, 17] },
  },
  {
    name: 'a justified line that ends inside a word',
    css: '',
    body: '<div id=d style="width:300px;text-align:justify">one <a id=a>two</a> three four <b id=b>https://example/and-so-on</b></div>',
    boxes: { d: [0, 0, 300, 40], a: [33.89, 1, 24.91, 17], b: [0, 1, 300, 37] },
  },
  {
    name: 'an item without text holds its empty boxes',
    css: '',
    body: '<ul><li id=l><a id=a></a></li><li id=m><span style="position:absolute"></span><a id=b></a></li><li id=n style="list-style:none"><a id=c></a></li></ul>',
    boxes: {
      l: [40, 16, 760, 20],
      a: [40, 17, 0, 17],
      m: [40, 36, 760, 20],
      b: [40, 37, 0, 17],
      n: [40, 56, 760, 0],
      c: [40, 56, 0, 0],
    },
  },
  {
    name: 'the space that does not break is kerned',
    css: '',
    body: '<i id=a style="font-style:normal">P&nbsp;A&nbsp;T</i><br><i id=b style="font-style:normal">P A T</i>',
    boxes: { a: [0, 1, 37.67, 17], b: [0, 21, 37.67, 17] },
  },
  {
    name: 'kerning over the end of a line',
    css: '',
    body: '<h1 id=h style="font:34px Arial;width:200px">Debug W <a id=a>Ap</a> To <a id=b>Ve</a></h1>',
    boxes: { h: [0, 22.77, 200, 78], a: [149.31, 22.77, 41.59, 38], b: [45.36, 61.77, 39.72, 38] },
  },
  {
    name: 'absolute boxes begin a line',
    css: 'b{position:absolute;width:1px;height:1px}',
    body: '<div style="width:60px;text-align:center"><b id=a>T</b> <u id=u>x</u></div><div style="width:60px;text-align:right"> <b id=b>T</b> <u id=v>x</u></div><div style="width:60px;text-align:center"><b id=c>T</b></div><div style="width:60px;text-align:center"><p>b</p><b id=d>T</b></div><div style="width:60px;direction:rtl"><b id=e>T</b></div>',
    boxes: {
      a: [26, 0, 1, 1],
      u: [26, 1, 8, 17],
      b: [52, 20, 1, 1],
      v: [52, 21, 8, 17],
      c: [30, 40, 1, 1],
      d: [30, 92, 1, 1],
      e: [59, 92, 1, 1],
    },
  },
  {
    name: 'empty parts on two lines',
    css: '',
    body: '<pre>a<s id=a>\n</s><i id=b>\n\n</i>b</pre>',
    boxes: { a: [9.61, 17, 0, 18], b: [0, 57, 0, 18] },
  },
  {
    name: 'sizes of keywords in monospace',
    css: '',
    body: '<tt id=a style="font-size:small">aaaa</tt> <tt id=b>aaaa</tt> <span style="font-size:large">b <tt id=c>aaaa</tt></span> <b id=d style="font:x-small monospace">aaaa</b> <span style="font:x-large monospace">b <u id=e style="font-family:Arial">aaaa</u></span>',
    boxes: {
      a: [0, 12, 28.81, 14],
      b: [33.27, 9, 38.41, 18],
      c: [91.14, 9, 38.41, 18],
      d: [134, 14, 24.02, 11],
      e: [186.48, 0, 53.39, 27],
    },
  },
  {
    name: 'spacing of tables in whole px',
    css: '',
    body: '<table id=t style="border-spacing:.3em .45em"><tr><td id=a>x</td><td id=b>y</td></tr></table>',
    boxes: { t: [0, 0, 32, 36], a: [4, 7, 10, 22], b: [18, 7, 10, 22] },
  },
  {
    name: 'pictures aligned as attributes say',
    css: '',
    body: '<p id=p>a<canvas id=a align=middle width=20 height=20></canvas><img id=b align=middle width=20 height=20 src="data:image/gif;base64,R0lGODlhAQABAAAAACw="><img id=c align=absmiddle width=20 height=40 src="data:image/gif;base64,R0lGODlhAQABAAAAACw="></p>',
    boxes: { p: [0, 16, 800, 40], a: [8.91, 20.23, 20, 20], b: [28.91, 30.23, 20, 20], c: [48.91, 16, 20, 40] },
  },
  {
    name: 'absolute boxes of lines from right to left',
    css: 'div{width:60px;margin:5px 40px}b{position:absolute}',
    body: '<div style="direction:rtl;text-align:left"><b id=left>T</b></div><div style="direction:rtl;text-align:left"><b id=left-in>T</b> <u>x</u></div><div style="direction:rtl;text-align:right"><b id=right>T</b></div><div style="direction:rtl;text-align:right"><b id=right-in>T</b> <u>x</u></div><div style="direction:rtl;text-align:center"><b id=center>T</b></div><div style="direction:rtl;text-align:center"><b id=center-in>T</b> <u>x</u></div><div style="direction:rtl;text-align:end"><b id=end>T</b></div><div style="direction:rtl;text-align:end"><b id=end-in>T</b> <u>x</u></div>',
    boxes: {
      left: [30.22, 5, 9.78, 20],
      'left-in': [38.22, 5, 9.78, 20],
      right: [90.22, 30, 9.78, 20],
      'right-in': [90.22, 30, 9.78, 20],
      center: [60.22, 55, 9.78, 20],
      'center-in': [64.22, 55, 9.78, 20],
      end: [30.22, 80, 9.78, 20],
      'end-in': [38.22, 80, 9.78, 20],
    },
  },
];
