import type { LayoutCase } from '../../support/layout-case.js';

/** Heights that fill what is there, and the margins that meet. CSS Sizing 4 §6.1 */
export const cases: readonly LayoutCase[] = [
  {
    name: 'stretched heights 1',
    css: 'body{margin:0;font:16px/20px Arial}section{width:100px;height:100px}.i{height:stretch;margin:10px 0 14px}',
    body: '<section id=a><div id=b class=i>x</div></section>',
    boxes: { a: [0, 10, 100, 100], b: [0, 10, 100, 100] },
  },
  {
    name: 'stretched heights 2',
    css: 'body{margin:0;font:16px/20px Arial}section{width:100px;height:100px}.i{height:stretch;margin:10px 0 14px}',
    body: '<section id=a style="border-bottom:5px solid"><div id=b class=i>x</div></section>',
    boxes: { a: [0, 10, 100, 105], b: [0, 10, 100, 86] },
  },
  {
    name: 'stretched heights 3',
    css: 'body{margin:0;font:16px/20px Arial}section{width:100px;height:100px}.i{height:stretch;margin:10px 0 14px}',
    body: '<section id=a style="padding-top:5px"><div id=b class=i>x</div></section>',
    boxes: { a: [0, 0, 100, 105], b: [0, 15, 100, 90] },
  },
  {
    name: 'stretched heights 4',
    css: 'body{margin:0;font:16px/20px Arial}section{width:100px;height:100px}.i{height:stretch;margin:10px 0 14px}',
    body: '<section id=a style="display:flow-root"><div id=b class=i>x</div></section>',
    boxes: { a: [0, 0, 100, 100], b: [0, 10, 100, 76] },
  },
  {
    name: 'stretched heights 5',
    css: 'body{margin:0;font:16px/20px Arial}section{width:100px;height:100px}.i{height:stretch;margin:10px 0 14px}',
    body: '<section id=a style="display:flex"><div id=b class=i>x</div></section>',
    boxes: { a: [0, 0, 100, 100], b: [0, 10, 8, 76] },
  },
  {
    name: 'stretched heights 6',
    css: 'body{margin:0;font:16px/20px Arial}section{width:100px;height:100px}.i{height:stretch;margin:10px 0 14px}',
    body: '<section id=a><div id=b></div><div id=c class=i>x</div><p id=d style="margin:0">y</p></section>',
    boxes: { a: [0, 10, 100, 100], b: [0, 10, 100, 0], c: [0, 10, 100, 100], d: [0, 124, 100, 20] },
  },
  {
    name: 'stretched heights 7',
    css: 'body{margin:0;font:16px/20px Arial}section{width:100px;height:100px}.i{height:stretch;margin:10px 0 14px}',
    body: '<section id=a><div id=b class=i style="float:left">x</div></section>',
    boxes: { a: [0, 0, 100, 100], b: [0, 10, 8, 76] },
  },
  {
    name: 'stretched heights 8',
    css: 'body{margin:0;font:16px/20px Arial}section{width:100px;height:100px}.i{height:stretch;margin:10px 0 14px}',
    body: '<section id=a><div id=b style="min-height:stretch;margin:10px">x</div></section>',
    boxes: { a: [0, 10, 100, 100], b: [10, 10, 80, 100] },
  },
  {
    name: 'stretched heights 9',
    css: 'body{margin:0;font:16px/20px Arial}section{width:100px;height:100px}.i{height:stretch;margin:10px 0 14px}',
    body: '<section id=a><div id=b style="max-height:stretch;height:300px;margin:10px">x</div></section>',
    boxes: { a: [0, 10, 100, 100], b: [10, 10, 80, 100] },
  },
  {
    name: 'stretched heights 10',
    css: 'body{margin:0;font:16px/20px Arial}section{width:100px;height:100px}.i{height:stretch;margin:10px 0 14px}',
    body: '<section id=a><div id=b style="height:-webkit-fill-available;margin:10px">x</div></section>',
    boxes: { a: [0, 10, 100, 100], b: [10, 10, 80, 100] },
  },
];
