import type { LayoutCase } from '../../support/layout-case.js';

/** Tables. CSS Tables 3, CSS 2 §17 */
export const cases: readonly LayoutCase[] = [
  {
    name: 'columns share by content',
    css: '',
    body: '<table id=a><tr><td id=b>one</td><td id=c>longer words</td></tr></table>',
    boxes: { a: [0, 0, 128.31, 26], b: [2, 2, 28.7, 22], c: [32.7, 2, 93.61, 22] },
  },
  {
    name: 'a full-width table',
    css: 'table{width:100%}',
    body: '<table id=a><tr><td id=b>one</td><td id=c>two</td></tr></table>',
    boxes: { a: [0, 0, 800, 26], b: [2, 2, 409.81, 22], c: [413.81, 2, 384.19, 22] },
  },
  {
    name: 'fixed layout',
    css: 'table{width:400px;table-layout:fixed}#b{width:100px}',
    body: '<table id=a><tr><td id=b>one</td><td id=c>two</td></tr></table>',
    boxes: { a: [0, 0, 400, 26], b: [2, 2, 102, 22], c: [106, 2, 292, 22] },
  },
  {
    name: 'no spacing',
    css: 'table{border-spacing:0}td{padding:10px}',
    body: '<table id=a><tr><td id=b>one</td><td id=c>two</td></tr></table>',
    boxes: { a: [0, 0, 91.61, 40], b: [0, 0, 46.7, 40], c: [46.7, 0, 44.91, 40] },
  },
  {
    name: 'column spans',
    css: 'table{border-spacing:0}td{padding:0;width:100px}',
    body: '<table id=a><tr><td id=b colspan=2>both</td></tr><tr><td id=c>1</td><td id=d>2</td></tr></table>',
    boxes: { a: [0, 0, 200, 40], b: [0, 0, 200, 20], c: [0, 20, 100, 20], d: [100, 20, 100, 20] },
  },
  {
    name: 'row spans',
    css: 'table{border-spacing:0}td{padding:0}',
    body: '<table id=a><tr><td id=b rowspan=2>tall</td><td id=c>1</td></tr><tr><td id=d>2</td></tr></table>',
    boxes: { a: [0, 0, 29.36, 40], b: [0, 0, 20.45, 40], c: [20.45, 0, 8.91, 20], d: [20.45, 20, 8.91, 20] },
  },
  {
    name: 'cells grow to the row',
    css: 'table{border-spacing:0}td{padding:0}#c{height:60px}',
    body: '<table id=a><tr><td id=b><span id=s>x</span></td><td id=c>y</td></tr></table>',
    boxes: { a: [0, 0, 16, 60], b: [0, 0, 8, 60], s: [0, 21, 8, 17], c: [8, 0, 8, 60] },
  },
  {
    name: 'cells align at the top',
    css: 'table{border-spacing:0}td{padding:0}#b{vertical-align:top}#c{height:60px}',
    body: '<table id=a><tr><td id=b><span id=s>x</span></td><td id=c>y</td></tr></table>',
    boxes: { a: [0, 0, 16, 60], b: [0, 0, 8, 60], s: [0, 1, 8, 17], c: [8, 0, 8, 60] },
  },
  {
    name: 'head, body and foot',
    css: 'table{border-spacing:0}td,th{padding:0}',
    body: '<table id=a><tfoot><tr><td id=f>foot</td></tr></tfoot><tbody><tr><td id=b>body</td></tr></tbody><thead><tr><th id=h>head</th></tr></thead></table>',
    boxes: { a: [0, 0, 37.34, 60], f: [0, 40, 37.34, 20], b: [0, 20, 37.34, 20], h: [0, 0, 37.34, 20] },
  },
  {
    name: 'a caption on top',
    css: 'table{border-spacing:0}td{padding:0}',
    body: '<table id=a><caption id=c>Title</caption><tr><td id=b>cell cell</td></tr></table>',
    boxes: { a: [0, 0, 52.47, 40], c: [0, 0, 52.47, 20], b: [0, 20, 52.47, 20] },
  },
  {
    name: 'percent columns',
    css: 'table{width:400px;border-spacing:0}td{padding:0}#b{width:25%}',
    body: '<table id=a><tr><td id=b>1</td><td id=c>2</td></tr></table>',
    boxes: { a: [0, 0, 400, 20], b: [0, 0, 100, 20], c: [100, 0, 300, 20] },
  },
  {
    name: 'display table and cells',
    css: '#a{display:table;width:300px}#b,#c{display:table-cell}',
    body: '<div id=a><div id=b>one</div><div id=c>two</div></div>',
    boxes: { a: [0, 0, 300, 20], b: [0, 0, 155.22, 20], c: [155.22, 0, 144.78, 20] },
  },
  {
    name: 'a menu of table cells',
    css: 'ul{display:table;width:100%;margin:0;padding:0;list-style:none}li{display:table-cell;text-align:center}',
    body: '<ul id=a><li id=b>Home</li><li id=c>Timetable</li><li id=d>Fares</li></ul>',
    boxes: { a: [0, 0, 800, 20], b: [0, 0, 222.83, 20], c: [222.83, 0, 363.61, 20], d: [586.44, 0, 213.56, 20] },
  },
  {
    name: 'spacing in two directions',
    css: 'table{border-spacing:10px 20px}td{padding:0}',
    body: '<table id=a><tr><td id=b>1</td><td id=c>2</td></tr><tr><td id=d>3</td><td id=e>4</td></tr></table>',
    boxes: {
      a: [0, 0, 47.81, 100],
      b: [10, 20, 8.91, 20],
      c: [28.91, 20, 8.91, 20],
      d: [10, 60, 8.91, 20],
      e: [28.91, 60, 8.91, 20],
    },
  },
];
