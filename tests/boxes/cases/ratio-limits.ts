import type { LayoutCase } from '../../support/layout-case.js';

/** Limits and sizes that go through a ratio into intrinsic widths. CSS Sizing 4 §5 */
export const cases: readonly LayoutCase[] = [
  {
    name: 'limits through a ratio 1',
    css: 'body{margin:0;font:16px/20px Arial}section{float:left;clear:both;border:1px solid}',
    body: '<section id=a><div id=b style="max-height:100px;aspect-ratio:3/4">no. lighthouse harbour and</div></section>',
    boxes: { a: [0, 0, 77, 102], b: [1, 1, 75, 100] },
  },
  {
    name: 'limits through a ratio 2',
    css: 'body{margin:0;font:16px/20px Arial}section{float:left;clear:both;border:1px solid}',
    body: '<section id=a><div id=b style="min-height:100px;aspect-ratio:3/1">no.</div></section>',
    boxes: { a: [0, 0, 302, 102], b: [1, 1, 300, 100] },
  },
  {
    name: 'limits through a ratio 3',
    css: 'body{margin:0;font:16px/20px Arial}section{float:left;clear:both;border:1px solid}',
    body: '<section id=a><div id=b style="max-height:100px;aspect-ratio:3/4;padding:10px">no. lighthouse harbour and</div></section>',
    boxes: { a: [0, 0, 97, 122], b: [1, 1, 95, 120] },
  },
  {
    name: 'limits through a ratio 4',
    css: 'body{margin:0;font:16px/20px Arial}section{float:left;clear:both;border:1px solid}',
    body: '<section id=a><div id=b style="max-height:100px;aspect-ratio:3/4;min-width:90px">no. lighthouse harbour and</div></section>',
    boxes: { a: [0, 0, 92, 102], b: [1, 1, 90, 100] },
  },
  {
    name: 'limits through a ratio 5',
    css: 'body{margin:0;font:16px/20px Arial}section{float:left;clear:both;border:1px solid}',
    body: '<section id=a><div id=b style="min-height:100px;aspect-ratio:3/1;max-width:200px">no.</div></section>',
    boxes: { a: [0, 0, 202, 102], b: [1, 1, 200, 100] },
  },
  {
    name: 'limits through a ratio 6',
    css: 'body{margin:0;font:16px/20px Arial}section{float:left;clear:both;border:1px solid}',
    body: '<section id=a style="display:flex"><div id=b style="max-height:100px;aspect-ratio:3/4">no. lighthouse harbour and</div></section>',
    boxes: { a: [0, 0, 77, 102], b: [1, 1, 75, 100] },
  },
  {
    name: 'limits through a ratio 7',
    css: 'body{margin:0;font:16px/20px Arial}section{float:left;clear:both;border:1px solid}',
    body: '<section id=a style="display:grid"><div id=b style="max-height:100px;aspect-ratio:3/4">no. lighthouse harbour and</div></section>',
    boxes: { a: [0, 0, 77, 102], b: [1, 1, 75, 100] },
  },
  {
    name: 'limits through a ratio 8',
    css: 'body{margin:0;font:16px/20px Arial}section{float:left;clear:both;border:1px solid}',
    body: '<section id=a><div id=b style="max-height:10%;aspect-ratio:3/4">no. lighthouse harbour and</div></section>',
    boxes: { a: [0, 0, 192.38, 255.83], b: [1, 1, 190.38, 253.83] },
  },
  {
    name: 'limits through a ratio 9',
    css: 'body{margin:0;font:16px/20px Arial}section{float:left;clear:both;border:1px solid}',
    body: '<section id=a><i id=b style="display:inline-block;max-height:100px;aspect-ratio:3/4">no. lighthouse harbour and</i></section>',
    boxes: { a: [0, 0, 77, 102], b: [1, 1, 75, 100] },
  },
  {
    name: 'limits through a ratio 10',
    css: 'body{margin:0;font:16px/20px Arial}section{float:left;clear:both;border:1px solid}',
    body: '<section id=a><div id=b style="max-height:100px;aspect-ratio:3/4;width:120px">no. lighthouse harbour and</div></section>',
    boxes: { a: [0, 0, 122, 102], b: [1, 1, 120, 100] },
  },
  {
    name: 'limits through a ratio 11',
    css: 'body{margin:0;font:16px/20px Arial}section{float:left;clear:both;border:1px solid}',
    body: '<section id=a><span id=b style="writing-mode:vertical-lr;aspect-ratio:2">the</span></section>',
    boxes: { a: [0, 0, 46.5, 29.25], b: [1, 1, 44.5, 22.25] },
  },
  {
    name: 'limits through a ratio 12',
    css: 'body{margin:0;font:16px/20px Arial}section{float:left;clear:both;border:1px solid}',
    body: '<section id=a><div id=b style="writing-mode:vertical-lr;aspect-ratio:2">the</div></section>',
    boxes: { a: [0, 0, 46.5, 24.25], b: [1, 1, 44.5, 22.25] },
  },
  {
    name: 'limits through a ratio 13',
    css: 'body{margin:0;font:16px/20px Arial}section{float:left;clear:both;border:1px solid}',
    body: '<section id=a><div id=b style="writing-mode:vertical-lr;aspect-ratio:2;height:100px">the</div></section>',
    boxes: { a: [0, 0, 202, 102], b: [1, 1, 200, 100] },
  },
  {
    name: 'limits through a ratio 14',
    css: 'body{margin:0;font:16px/20px Arial}section{float:left;clear:both;border:1px solid}',
    body: '<section id=a><div id=b style="writing-mode:vertical-lr;aspect-ratio:1/2">the</div></section>',
    boxes: { a: [0, 0, 22, 24.25], b: [1, 1, 20, 22.25] },
  },
  {
    name: 'limits through a ratio 15',
    css: 'body{margin:0;font:16px/20px Arial}section{float:left;clear:both;border:1px solid}',
    body: '<section id=a><div id=b style="writing-mode:vertical-lr;aspect-ratio:2;min-width:100px">the</div></section>',
    boxes: { a: [0, 0, 102, 52], b: [1, 1, 100, 50] },
  },
  {
    name: 'limits through a ratio 16',
    css: 'body{margin:0;font:16px/20px Arial}section{float:left;clear:both;border:1px solid}',
    body: '<section id=a><div id=b style="writing-mode:vertical-lr;aspect-ratio:2;max-height:20px">the</div></section>',
    boxes: { a: [0, 0, 42, 22], b: [1, 1, 40, 20] },
  },
  {
    name: 'limits through a ratio 17',
    css: 'body{margin:0;font:16px/20px Arial}section{float:left;clear:both;border:1px solid}',
    body: '<section id=a><div id=b style="writing-mode:vertical-lr;min-width:50px">the</div></section>',
    boxes: { a: [0, 0, 52, 24.25], b: [1, 1, 50, 22.25] },
  },
  {
    name: 'limits through a ratio 18',
    css: 'body{margin:0;font:16px/20px Arial}section{float:left;clear:both;border:1px solid}',
    body: '<section id=a><div id=b style="writing-mode:vertical-lr;max-width:10px">the</div></section>',
    boxes: { a: [0, 0, 12, 24.25], b: [1, 1, 10, 22.25] },
  },
  {
    name: 'of two least sizes the one that asks for more decides',
    css: 'img{display:block}.r{float:left;clear:left}',
    body: '<div class=r><img id=a alt="" style="min-width:115px;min-height:120px" src="data:image/svg+xml,%3Csvg xmlns=\'http://www.w3.org/2000/svg\' viewBox=\'0 0 3 2\'/%3E"></div><div class=r><img id=b alt="" style="min-width:215px;min-height:120px" src="data:image/svg+xml,%3Csvg xmlns=\'http://www.w3.org/2000/svg\' viewBox=\'0 0 3 2\'/%3E"></div>',
    boxes: { a: [0, 0, 180, 120], b: [0, 120, 215, 143.33] },
  },
  {
    name: 'pictures with a ratio alone are as wide by words as by themselves',
    css: 'div{width:300px}.r{width:auto;float:left;clear:left}',
    body: '<div><img alt="" src="data:image/svg+xml,%3Csvg xmlns=\'http://www.w3.org/2000/svg\' viewBox=\'0 0 3 2\'/%3E" id=a style="width:fit-content"></div><div class=r><img alt="" src="data:image/svg+xml,%3Csvg xmlns=\'http://www.w3.org/2000/svg\' viewBox=\'0 0 3 2\'/%3E" id=b style="width:max-content"></div><div><img alt="" src="data:image/svg+xml,%3Csvg xmlns=\'http://www.w3.org/2000/svg\' viewBox=\'0 0 3 2\'/%3E" id=c style="max-width:min-content"></div><div class=r><img alt="" src="data:image/svg+xml,%3Csvg xmlns=\'http://www.w3.org/2000/svg\' viewBox=\'0 0 3 2\'/%3E" id=d style="width:50%"></div>',
    boxes: { a: [0, 0, 300, 200], b: [0, 220, 0, 0], c: [0, 205, 300, 200], d: [0, 410, 150, 100] },
  },
];
