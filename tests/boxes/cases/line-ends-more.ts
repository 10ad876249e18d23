import type { LayoutCase } from '../../support/layout-case.js';

/** Edges and lost spaces at the end of paragraphs, breaks before blocks in inline boxes, grid items limited by their content. CSS Sizing 3 §5.1, CSS Grid 2 §6.2 */
export const cases: readonly LayoutCase[] = [
  {
    name: 'ends of lines 1',
    css: 'body{margin:0;font:16px/20px Arial}td{padding:1px}section{border-bottom:1px solid;width:min-content}',
    body: '<section id=a><span id=b style="padding:1em">ferry lighthouse pier-side</span> <div id=c></div></section>',
    boxes: { a: [0, 0, 88.94, 61], b: [0, -15, 77.36, 89], c: [0, 60, 88.94, 0] },
  },
  {
    name: 'ends of lines 2',
    css: 'body{margin:0;font:16px/20px Arial}td{padding:1px}section{border-bottom:1px solid;width:min-content}',
    body: '<section id=a><span id=b style="padding:1em">ferry lighthouse pier-side </span> <div id=c></div></section>',
    boxes: { a: [0, 0, 88.94, 61], b: [0, -15, 77.36, 89], c: [0, 60, 88.94, 0] },
  },
  {
    name: 'ends of lines 3',
    css: 'body{margin:0;font:16px/20px Arial}td{padding:1px}section{border-bottom:1px solid;width:min-content}',
    body: '<section id=a><span id=b style="padding:1em">ferry lighthouse pier-side</span> <i id=c style="position:absolute">x</i></section>',
    boxes: { a: [0, 0, 88.94, 61], b: [0, -15, 77.36, 89], c: [77.36, 40, 8, 20] },
  },
  {
    name: 'ends of lines 4',
    css: 'body{margin:0;font:16px/20px Arial}td{padding:1px}section{border-bottom:1px solid;width:min-content}',
    body: '<section id=a><span id=b style="padding:1em">ferry lighthouse pier-side</span> <b id=c></b></section>',
    boxes: { a: [0, 0, 88.94, 61], b: [0, -15, 77.36, 89], c: [77.36, 41, 0, 17] },
  },
  {
    name: 'ends of lines 5',
    css: 'body{margin:0;font:16px/20px Arial}td{padding:1px}section{border-bottom:1px solid;width:min-content}',
    body: '<section id=a><span id=b style="padding:1em">ferry lighthouse pier-side</span> <b id=c></b> <br>x</section>',
    boxes: { a: [0, 0, 88.94, 81], b: [0, -15, 77.36, 89], c: [77.36, 41, 0, 17] },
  },
  {
    name: 'ends of lines 6',
    css: 'body{margin:0;font:16px/20px Arial}td{padding:1px}section{border-bottom:1px solid;width:min-content}',
    body: '<section id=a><span id=b style="padding:1em">ferry lighthouse pier-side</span> <br>x</section>',
    boxes: { a: [0, 0, 88.94, 81], b: [0, -15, 77.36, 89] },
  },
  {
    name: 'ends of lines 7',
    css: 'body{margin:0;font:16px/20px Arial}td{padding:1px}section{border-bottom:1px solid;width:min-content}',
    body: '<section id=a><span id=b style="padding:1em">ferry lighthouse pier-side</span><br>x</section>',
    boxes: { a: [0, 0, 88.94, 81], b: [0, -15, 77.36, 89] },
  },
  {
    name: 'ends of lines 8',
    css: 'body{margin:0;font:16px/20px Arial}td{padding:1px}section{border-bottom:1px solid;width:min-content}',
    body: '<section id=a>fare: <span id=b style="padding:1px"><div id=c></div></span></section>',
    boxes: { a: [0, 0, 33.02, 41], b: [0, 0, 33.02, 39], c: [0, 20, 33.02, 0] },
  },
  {
    name: 'ends of lines 9',
    css: 'body{margin:0;font:16px/20px Arial}td{padding:1px}section{border-bottom:1px solid;width:min-content}',
    body: '<section id=a style="width:max-content">fare: <span id=b style="padding:1px"><div id=c></div></span></section>',
    boxes: { a: [0, 0, 33.02, 41], b: [0, 0, 33.02, 39], c: [0, 20, 33.02, 0] },
  },
  {
    name: 'ends of lines 10',
    css: 'body{margin:0;font:16px/20px Arial}td{padding:1px}section{border-bottom:1px solid;width:min-content}',
    body: '<section id=a style="width:max-content">fare: <span id=b style="padding:1px"></span></section>',
    boxes: { a: [0, 0, 34.02, 21], b: [32.02, 0, 2, 19] },
  },
  {
    name: 'ends of lines 11',
    css: 'body{margin:0;font:16px/20px Arial}td{padding:1px}section{border-bottom:1px solid;width:min-content}',
    body: '<section id=a style="width:33px">fare: <span id=b style="padding:1px"><div id=c></div></span></section>',
    boxes: { a: [0, 0, 33, 41], b: [0, 0, 33.02, 39], c: [0, 20, 33, 0] },
  },
  {
    name: 'ends of lines 12',
    css: 'body{margin:0;font:16px/20px Arial}td{padding:1px}section{border-bottom:1px solid;width:min-content}',
    body: '<section id=a style="width:32px">fare: <span id=b style="padding:1px"><div id=c></div></span></section>',
    boxes: { a: [0, 0, 32, 61], b: [0, 20, 1, 39], c: [0, 40, 32, 0] },
  },
  {
    name: 'ends of lines 13',
    css: 'body{margin:0;font:16px/20px Arial}td{padding:1px}section{border-bottom:1px solid;width:min-content}',
    body: '<section id=a style="width:200px;display:grid;height:50px"><div id=b style="max-height:min-content"></div></section>',
    boxes: { a: [0, 0, 200, 51], b: [0, 0, 200, 0] },
  },
  {
    name: 'ends of lines 14',
    css: 'body{margin:0;font:16px/20px Arial}td{padding:1px}section{border-bottom:1px solid;width:min-content}',
    body: '<section id=a style="width:200px;display:grid;height:50px"><div id=b style="max-height:fit-content">x</div></section>',
    boxes: { a: [0, 0, 200, 51], b: [0, 0, 200, 20] },
  },
  {
    name: 'ends of lines 15',
    css: 'body{margin:0;font:16px/20px Arial}td{padding:1px}section{border-bottom:1px solid;width:min-content}',
    body: '<section id=a style="width:200px;display:grid;height:10px"><div id=b style="min-height:fit-content">x</div></section>',
    boxes: { a: [0, 0, 200, 11], b: [0, 0, 200, 20] },
  },
  {
    name: 'ends of lines 16',
    css: 'body{margin:0;font:16px/20px Arial}td{padding:1px}section{border-bottom:1px solid;width:min-content}',
    body: '<section id=a style="width:200px;display:grid;align-items:center;height:36px"><div id=b style="height:fit-content;overflow:hidden">and</div> crossing</section>',
    boxes: { a: [0, 0, 200, 37], b: [0, -2, 200, 20] },
  },
  {
    name: 'ends of lines 17',
    css: 'body{margin:0;font:16px/20px Arial}td{padding:1px}section{border-bottom:1px solid;width:min-content}',
    body: '<section id=a style="width:200px;display:grid;align-items:center;height:36px"><div id=b style="height:auto;overflow:hidden">and</div> crossing</section>',
    boxes: { a: [0, 0, 200, 37], b: [0, -2, 200, 20] },
  },
  {
    name: 'ends of lines 18',
    css: 'body{margin:0;font:16px/20px Arial}td{padding:1px}section{border-bottom:1px solid;width:min-content}',
    body: '<section id=a style="width:200px;display:grid;height:36px"><div id=b style="height:20px;overflow:hidden">and</div> crossing</section>',
    boxes: { a: [0, 0, 200, 37], b: [0, 0, 200, 20] },
  },
  {
    name: 'ends of lines 19',
    css: 'body{margin:0;font:16px/20px Arial}td{padding:1px}section{border-bottom:1px solid;width:min-content}',
    body: '<section id=a style="width:200px;display:grid;height:36px"><div id=b style="height:min-content;min-height:0">and</div> crossing</section>',
    boxes: { a: [0, 0, 200, 37], b: [0, 0, 200, 20] },
  },
];
