import type { LayoutCase } from '../../support/layout-case.js';

/** Floats and clearance. CSS 2 §9.5 */
export const cases: readonly LayoutCase[] = [
  {
    name: 'left and right floats',
    css: '#a{float:left;width:100px;height:50px}#b{float:right;width:120px;height:30px}',
    body: '<div id=a></div><div id=b></div><div id=c>text</div>',
    boxes: { a: [0, 0, 100, 50], b: [680, 0, 120, 30], c: [0, 0, 800, 20] },
  },
  {
    name: 'floats stack beside each other',
    css: 'div div{float:left;width:300px;height:40px}',
    body: '<div id=a><div id=b></div><div id=c></div><div id=d></div></div>',
    boxes: { a: [0, 0, 800, 0], b: [0, 0, 300, 40], c: [300, 0, 300, 40], d: [0, 40, 300, 40] },
  },
  {
    name: 'a float does not stretch its parent',
    css: '#b{float:left;height:60px;width:60px}',
    body: '<div id=a><div id=b></div></div><div id=c>x</div>',
    boxes: { a: [0, 0, 800, 0], b: [0, 0, 60, 60], c: [0, 0, 800, 20] },
  },
  {
    name: 'flow-root holds its floats',
    css: '#a{display:flow-root}#b{float:left;height:60px;width:60px}',
    body: '<div id=a><div id=b></div></div><div id=c>x</div>',
    boxes: { a: [0, 0, 800, 60], b: [0, 0, 60, 60], c: [0, 60, 800, 20] },
  },
  {
    name: 'clear goes below',
    css: '#a{float:left;width:100px;height:50px}#b{clear:left}',
    body: '<div id=a></div><div id=b>x</div>',
    boxes: { a: [0, 0, 100, 50], b: [0, 50, 800, 20] },
  },
  {
    name: 'clear right leaves left floats alone',
    css: '#a{float:left;width:100px;height:50px}#b{float:right;width:50px;height:20px}#c{clear:right}',
    body: '<div id=a></div><div id=b></div><div id=c>x</div>',
    boxes: { a: [0, 0, 100, 50], b: [750, 0, 50, 20], c: [0, 20, 800, 20] },
  },
  {
    name: 'clearfix by a generated block',
    css: "#a::after{content:'';display:block;clear:both}#b{float:left;height:60px;width:60px}",
    body: '<div id=a><div id=b></div></div><div id=c>x</div>',
    boxes: { a: [0, 0, 800, 60], b: [0, 0, 60, 60], c: [0, 60, 800, 20] },
  },
  {
    name: 'lines shorten beside a float',
    css: '#a{float:left;width:300px;height:30px}p{margin:0;width:400px}',
    body: '<p id=p><span id=a></span><span id=b>one two three four five six seven eight nine</span></p>',
    boxes: { p: [0, 0, 400, 60], a: [0, 0, 300, 30], b: [0, 1, 396.95, 57] },
  },
  {
    name: 'a formatting context stands beside a float',
    css: '#a{float:left;width:100px;height:50px}#b{overflow:hidden}',
    body: '<div id=a></div><div id=b>x</div>',
    boxes: { a: [0, 0, 100, 50], b: [100, 0, 700, 20] },
  },
  {
    name: 'too wide a formatting context drops below',
    css: '#a{float:left;width:500px;height:50px}#b{overflow:hidden;width:400px}',
    body: '<div id=a></div><div id=b>x</div>',
    boxes: { a: [0, 0, 500, 50], b: [0, 50, 400, 20] },
  },
  {
    name: 'float shrinks to its text',
    css: '#a{float:left;padding:5px}',
    body: '<div id=a>Some words</div>',
    boxes: { a: [0, 0, 98.92, 30] },
  },
  {
    name: 'float wraps when too wide',
    css: '#w{width:100px}#a{float:left}',
    body: '<div id=w><div id=a>Some words that are long</div></div>',
    boxes: { w: [0, 0, 100, 0], a: [0, 0, 100, 40] },
  },
  {
    name: 'float margins keep others away',
    css: '#a{float:left;width:50px;height:20px;margin:10px}#b{overflow:hidden}',
    body: '<div id=a></div><div id=b>x</div>',
    boxes: { a: [10, 10, 50, 20], b: [70, 0, 730, 20] },
  },
  {
    name: 'inline-block menu of floats',
    css: 'ul{list-style:none;margin:0;padding:0}li{float:left}a{display:block;padding:8px 12px}',
    body: '<ul id=a><li id=b><a id=c href=#>Home</a></li><li id=d><a id=e href=#>Fares</a></li></ul>',
    boxes: {
      a: [0, 0, 800, 0],
      b: [0, 0, 66.69, 36],
      c: [0, 0, 66.69, 36],
      d: [66.69, 0, 64.91, 36],
      e: [66.69, 0, 64.91, 36],
    },
  },
  {
    name: 'second float never higher than the first',
    css: '#w{width:300px}#a{float:left;width:200px;height:20px}#b{float:left;width:200px;height:20px}#c{float:right;width:50px;height:20px}',
    body: '<div id=w><div id=a></div><div id=b></div><div id=c></div></div>',
    boxes: { w: [0, 0, 300, 0], a: [0, 0, 200, 20], b: [0, 20, 200, 20], c: [250, 20, 50, 20] },
  },
  {
    name: 'clearance and margins',
    css: '#a{float:left;width:50px;height:60px}#b{clear:both;margin-top:20px}',
    body: '<div id=a></div><div id=b>x</div>',
    boxes: { a: [0, 0, 50, 60], b: [0, 60, 800, 20] },
  },
  {
    name: 'float in the middle of text goes to the line',
    css: '#f{float:right;width:40px;height:40px}',
    body: '<div id=a>one <span id=f></span>two</div>',
    boxes: { a: [0, 0, 800, 20], f: [760, 0, 40, 40] },
  },
];
