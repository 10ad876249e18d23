import type { LayoutCase } from '../../support/layout-case.js';

/** Self-alignment in flows, flex, grid and absolute boxes */
export const cases: readonly LayoutCase[] = [
  {
    name: 'justify-self on blocks',
    css: 'div div{background:red}#a{justify-self:center}#b{justify-self:end}#c{justify-self:start}#e{justify-self:stretch}',
    body: '<div><div id=a>One</div><div id=b>Two</div><div id=c>Three</div><div id=e>Four</div></div>',
    boxes: { a: [384.88, 0, 30.25, 20], b: [770.66, 20, 29.34, 20], c: [0, 40, 41.8, 20], e: [0, 60, 800, 20] },
  },
  {
    name: 'absolute boxes between insets',
    css: '#v{position:relative;width:200px;height:100px}#v>*{position:absolute;inset:10px}#a{place-self:center}#b{place-self:end}#c{place-self:start}#e{place-self:stretch}#f{align-self:end;width:30px}',
    body: '<div id=v><div id=a>One</div><div id=b>Two</div><div id=c>Three</div><div id=e>Four</div><div id=f>Five</div></div>',
    boxes: {
      v: [0, 0, 200, 100],
      a: [84.88, 40, 30.25, 20],
      b: [160.66, 70, 29.34, 20],
      c: [10, 10, 41.8, 20],
      e: [10, 10, 180, 80],
      f: [10, 70, 30, 20],
    },
  },
  {
    name: 'overflowing absolute boxes',
    css: '#v{position:relative;width:40px;height:40px;margin:0 100px}#v>*{position:absolute;inset:5px;width:60px;height:20px}#a{place-self:center}#b{place-self:safe center}#c{place-self:unsafe end}',
    body: '<div id=v><div id=a></div><div id=b></div><div id=c></div></div>',
    boxes: { v: [100, 0, 40, 40], a: [100, 10, 60, 20], b: [105, 10, 60, 20], c: [75, 15, 60, 20] },
  },
  {
    name: 'auto margins win',
    css: '#v{position:relative;width:200px;height:100px}#a{position:absolute;inset:0;width:50px;height:20px;margin:auto;place-self:end}',
    body: '<div id=v><div id=a></div></div>',
    boxes: { v: [0, 0, 200, 100], a: [75, 40, 50, 20] },
  },
  {
    name: 'form controls between insets',
    css: '#v{position:relative;width:200px;height:60px}#a{position:absolute;inset:5px}',
    body: '<div id=v><input id=a></div>',
    boxes: { v: [0, 0, 200, 60], a: [5, 5, 190, 50] },
  },
  {
    name: 'static position by justify-self',
    css: '#v{position:relative;width:200px}#v>*{position:absolute}#a{justify-self:end}#b{justify-self:center}',
    body: '<div id=v><div id=a>One</div><div id=b>Two</div></div>',
    boxes: { v: [0, 0, 200, 0], a: [169.75, 0, 30.25, 20], b: [85.33, 0, 29.34, 20] },
  },
  {
    name: 'absolute children of a grid',
    css: '#v{display:grid;grid:30px 40px/50px 60px;gap:5px;padding:7px;border:2px solid;position:relative}#v>*{position:absolute}#a{grid-area:2/2}#b{grid-column:1/3;align-self:end}#c{grid-row:2;inset:1px}#e{justify-self:end}',
    body: '<div id=v><div id=a>a</div><div id=b>b</div><div id=c>c</div><div id=e>e</div></div>',
    boxes: {
      v: [0, 0, 800, 93],
      a: [64, 44, 8.91, 20],
      b: [9, 71, 8.91, 20],
      c: [3, 45, 794, 45],
      e: [789.09, 2, 8.91, 20],
    },
  },
  {
    name: 'absolute children of a grid that is not their container',
    css: '#v{display:grid;grid:30px/50px;padding:7px}#a{position:absolute;grid-area:1/1;place-self:center}',
    body: '<div id=v><div id=a>a</div></div>',
    boxes: { v: [0, 0, 800, 44], a: [395.55, 12, 8.91, 20] },
  },
  {
    name: 'absolute children of flex',
    css: '#v{display:flex;justify-content:flex-end;align-items:center;width:200px;height:60px;position:relative}#v>*{position:absolute}#b{align-self:flex-end}',
    body: '<div id=v><div id=a>a</div><div id=b>b</div></div>',
    boxes: { v: [0, 0, 200, 60], a: [191.09, 20, 8.91, 20], b: [191.09, 40, 8.91, 20] },
  },
  {
    name: 'first baselines in flex',
    css: '#v{display:flex;align-items:baseline}#a{font-size:30px;line-height:40px}#b{padding-top:9px}#c{height:20px;width:10px}',
    body: '<div id=v><div id=a>A</div><div id=b>B</div><div id=c></div></div>',
    boxes: { v: [0, 0, 800, 40], a: [0, 0, 20.02, 40], b: [20.02, 6, 10.67, 29], c: [30.69, 10, 10, 20] },
  },
  {
    name: 'last baselines in flex',
    css: '#v{display:flex;align-items:last baseline}#a{font-size:30px;line-height:40px}#b{width:20px}',
    body: '<div id=v><div id=a>A</div><div id=b>B B</div><div id=c style="padding:6px">C</div></div>',
    boxes: { v: [0, 0, 800, 46], a: [0, 5, 20.02, 40], b: [20.02, 0, 20, 40], c: [40.02, 14, 23.56, 32] },
  },
  {
    name: 'baselines wrapped in reverse',
    css: '#v{display:flex;flex-wrap:wrap-reverse;align-items:baseline}#a{font-size:30px;line-height:40px}',
    body: '<div id=v><div id=a>A</div><div id=b>B</div></div>',
    boxes: { v: [0, 0, 800, 40], a: [0, 0, 20.02, 40], b: [20.02, 15, 10.67, 20] },
  },
  {
    name: 'a reversed container in a line',
    css: '#v{display:inline-flex;flex-direction:column-reverse}',
    body: '<div>text <span id=v><b id=a>A</b><b id=b style="font-size:30px;line-height:40px">B</b></span> text <i id=i>i</i></div>',
    boxes: { v: [30.23, 0, 21.67, 60], a: [30.23, 40, 21.67, 20], b: [30.23, 0, 21.67, 40], i: [86.59, 16, 3.56, 17] },
  },
  {
    name: 'baselines in a grid',
    css: '#v{display:grid;grid:auto auto/50px 50px;align-items:baseline}#a{font-size:30px;line-height:40px}#e{padding-top:11px}',
    body: '<div id=v><div id=a>A</div><div id=b>B</div><div id=c>C</div><div id=e>D</div></div>',
    boxes: { v: [0, 0, 800, 71], a: [0, 0, 50, 40], b: [50, 15, 50, 20], c: [0, 51, 50, 20], e: [50, 40, 50, 31] },
  },
  {
    name: 'last baselines in a grid',
    css: '#v{display:grid;grid:80px/50px 50px;align-items:last baseline}#a{font-size:30px;line-height:40px}',
    body: '<div id=v><div id=a>A</div><div id=b>B</div></div>',
    boxes: { v: [0, 0, 800, 80], a: [0, 40, 50, 40], b: [50, 55, 50, 20] },
  },
  {
    name: 'a grid in a line',
    css: '#v{display:inline-grid;grid:20px 20px/30px}',
    body: '<div>text <span id=v><b id=a>A</b><b id=b>B</b></span> <i id=i>i</i></div>',
    boxes: { v: [30.23, 0, 30, 40], a: [30.23, 0, 30, 20], b: [30.23, 20, 30, 20], i: [64.69, 1, 3.56, 17] },
  },
  {
    name: 'safe overflow in a grid',
    css: '#v{display:grid;grid:20px/20px;margin:50px}#a{width:60px;height:30px;place-self:safe center}#b{grid-area:1/1;width:60px;height:30px;place-self:center}',
    body: '<div id=v><div id=a></div><div id=b></div></div>',
    boxes: { v: [50, 50, 700, 50], a: [50, 70, 60, 30], b: [30, 45, 60, 30] },
  },
  {
    name: 'space that overflows backwards',
    css: '#v{display:flex;flex-wrap:wrap-reverse;align-content:space-between;height:20px;width:40px}#v>*{width:30px;height:15px}',
    body: '<div id=v><div id=a></div><div id=b></div></div>',
    boxes: { v: [0, 0, 40, 20], a: [0, 5, 30, 15], b: [0, -10, 30, 15] },
  },
  {
    name: 'a wrapped column sizes its container',
    css: '#v{display:inline-flex;flex-flow:column wrap;height:50px;gap:4px}#v>*{height:20px}',
    body: '<div id=v><div id=a>One</div><div id=b>Two</div><div id=c>Three three</div></div>',
    boxes: { v: [0, 0, 116.97, 50], a: [0, 0, 30.25, 20], b: [0, 24, 30.25, 20], c: [34.25, 0, 82.72, 20] },
  },
  {
    name: 'zero percent basis in a column',
    css: '#v{display:flex;flex-direction:column}#a{flex:1;overflow:auto}',
    body: '<div id=v><div id=a>One</div><div id=b>Two</div></div>',
    boxes: { v: [0, 0, 800, 40], a: [0, 0, 800, 20], b: [0, 20, 800, 20] },
  },
];
