import type { LayoutCase } from '../../support/layout-case.js';

/** Breaks in front of edges and empty boxes, spaces that are not there when text is shaped, letters that join. CSS Text 3 §4.1, §5.1, CSS Text 4 §8.2 */
export const cases: readonly LayoutCase[] = [
  {
    name: 'breaks before edges: an edge and an empty box in it',
    css: 'body{margin:0;font:16px/18px Arial}div{width:120px}.p{padding:0 5px}b{font-weight:400}i,u{font-style:normal}',
    body: '<div>aaaa aaaa <b class=p id=a><i id=b></i>bbbbbbbb</b></div>',
    boxes: { a: [0, 18, 81.19, 17], b: [5, 18, 0, 17] },
  },
  {
    name: 'breaks before edges: two empty boxes in one that is not',
    css: 'body{margin:0;font:16px/18px Arial}div{width:120px}.p{padding:0 5px}b{font-weight:400}i,u{font-style:normal}',
    body: '<div>aaaa aaaa <b id=a><i id=b></i><u><i id=c></i></u>bbbbbbbb</b></div>',
    boxes: { a: [0, 18, 71.19, 17], b: [0, 18, 0, 17], c: [0, 18, 0, 17] },
  },
  {
    name: 'breaks before edges: one empty box before, one within',
    css: 'body{margin:0;font:16px/18px Arial}div{width:120px}.p{padding:0 5px}b{font-weight:400}i,u{font-style:normal}',
    body: '<div>aaaa aaaa <i id=a></i><b id=b><i id=c></i>bbbbbbbb</b></div>',
    boxes: { a: [75.64, 0, 0, 17], b: [0, 18, 71.19, 17], c: [0, 18, 0, 17] },
  },
  {
    name: 'breaks before edges: spaces between them',
    css: 'body{margin:0;font:16px/18px Arial}div{width:120px}.p{padding:0 5px}b{font-weight:400}i,u{font-style:normal}',
    body: '<div>aaaa aaaa <b id=a> <i id=b></i> <i id=c></i>bbbbbbbb</b></div>',
    boxes: { a: [0, 18, 71.19, 17], b: [0, 18, 0, 17], c: [0, 18, 0, 17] },
  },
  {
    name: 'breaks before edges: behind a hyphen',
    css: 'body{margin:0;font:16px/18px Arial}div{width:120px}.p{padding:0 5px}b{font-weight:400}i,u{font-style:normal}',
    body: '<div>aaaa aaaa-<b id=a class=p><i id=b></i>bbbbbbbb</b></div>',
    boxes: { a: [0, 18, 81.19, 17], b: [5, 18, 0, 17] },
  },
  {
    name: 'breaks before edges: an atomic inline behind it',
    css: 'body{margin:0;font:16px/18px Arial}div{width:120px}.p{padding:0 5px}b{font-weight:400}i,u{font-style:normal}',
    body: '<div>aaaa aaaa <b id=a><i id=b></i><span id=c style="display:inline-block;width:70px;height:9px"></span></b></div>',
    boxes: { a: [0, 18, 70, 17], b: [0, 18, 0, 17], c: [0, 23, 70, 9] },
  },
  {
    name: 'the last space: a letter before the last space',
    css: 'body{margin:0;font:14px Arial}#a{float:left}b{font-weight:400}',
    body: '<div id=a> data-A </div>',
    boxes: { a: [0, 0, 41.25, 16] },
  },
  {
    name: 'the last space: the same in a box',
    css: 'body{margin:0;font:14px Arial}#a{float:left}b{font-weight:400}',
    body: '<div id=a>x <b id=b>A</b> </div>',
    boxes: { a: [0, 0, 19.47, 16], b: [10.13, 0, 9.34, 16] },
  },
  {
    name: 'the last space: before a break',
    css: 'body{margin:0;font:14px Arial}#a{float:left}b{font-weight:400}',
    body: '<div id=a>x A <br>i</div>',
    boxes: { a: [0, 0, 19.47, 32] },
  },
  {
    name: 'the last space: before a block',
    css: 'body{margin:0;font:14px Arial}#a{float:left}b{font-weight:400}',
    body: '<div id=a><b id=b>x A <p id=c>i</p></b></div>',
    boxes: { a: [0, 0, 19.47, 60], b: [0, 0, 19.47, 46], c: [0, 30, 19.47, 16] },
  },
  {
    name: 'the last space: in the middle it is there',
    css: 'body{margin:0;font:14px Arial}#a{float:left}b{font-weight:400}',
    body: '<div id=a style="width:9px">A b </div>',
    boxes: { a: [0, 0, 9, 32] },
  },
  {
    name: 'spaced letters: Arabic',
    css: 'body{margin:0;font:16px Arial}#a{float:left;letter-spacing:3px}',
    body: '<div id=a>دیدن همه</div>',
    boxes: { a: [0, 0, 65.44, 19] },
  },
  {
    name: 'spaced letters: Arabic and Latin',
    css: 'body{margin:0;font:16px Arial}#a{float:left;letter-spacing:3px}',
    body: '<div id=a>abc پیام def</div>',
    boxes: { a: [0, 0, 105, 19] },
  },
  {
    name: 'spaced letters: signs among them',
    css: 'body{margin:0;font:16px Arial}#a{float:left;letter-spacing:3px}',
    body: '<div id=a>ا ب، ت.</div>',
    boxes: { a: [0, 0, 59.08, 19] },
  },
  {
    name: 'spaced letters: marks',
    css: 'body{margin:0;font:16px Arial}#a{float:left;letter-spacing:3px}',
    body: '<div id=a>étà</div>',
    boxes: { a: [0, 0, 31.25, 18] },
  },
  {
    name: 'spaced letters: Hebrew',
    css: 'body{margin:0;font:16px Arial}#a{float:left;letter-spacing:3px}',
    body: '<div id=a>שלום</div>',
    boxes: { a: [0, 0, 47.41, 19] },
  },
  {
    name: 'shaped apart: faces',
    css: 'body{margin:0;font:16px Arial}#a{float:left}',
    body: '<div id=a>a😎</div>',
    boxes: { a: [0, 0, 25.58, 19] },
  },
  {
    name: 'shaped apart: a word of another language',
    css: 'body{margin:0;font:16px Arial}#a{float:left}',
    body: '<div id=a lang=fr>x <b id=b lang=en style="font-weight:400">ARIA</b> y</div>',
    boxes: { a: [0, 0, 62.25, 18], b: [12.45, 0, 37.34, 17] },
  },
  {
    name: 'shaped apart: of the same',
    css: 'body{margin:0;font:16px Arial}#a{float:left}',
    body: '<div id=a lang=fr>x <b id=b style="font-weight:400">ARIA</b> y</div>',
    boxes: { a: [0, 0, 60.48, 18], b: [11.56, 0, 36.47, 17] },
  },
];
