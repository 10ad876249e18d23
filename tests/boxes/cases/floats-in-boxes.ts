import type { LayoutCase } from '../../support/layout-case.js';

/** Floats that inline boxes begin with, and where their lines go. CSS 2.1 §9.5 */
export const cases: readonly LayoutCase[] = [
  {
    name: 'a float at the start of an inline box 1',
    css: 'body{margin:0;font:16px/20px Arial}section{width:260px;border-bottom:1px solid;overflow:hidden}.f{float:left;height:30px;width:240px}',
    body: '<section id=a><a id=b><i id=c class=f></i>return</a></section>',
    boxes: { a: [0, 0, 260, 51], b: [0, 31, 41.8, 17], c: [0, 0, 240, 30] },
  },
  {
    name: 'a float at the start of an inline box 2',
    css: 'body{margin:0;font:16px/20px Arial}section{width:260px;border-bottom:1px solid;overflow:hidden}.f{float:left;height:30px;width:240px}',
    body: '<section id=a><a id=b><i id=c class=f></i> return</a></section>',
    boxes: { a: [0, 0, 260, 51], b: [0, 31, 41.8, 17], c: [0, 0, 240, 30] },
  },
  {
    name: 'a float at the start of an inline box 3',
    css: 'body{margin:0;font:16px/20px Arial}section{width:260px;border-bottom:1px solid;overflow:hidden}.f{float:left;height:30px;width:240px}',
    body: '<section id=a><a id=b><b id=c></b><i id=d class=f></i> return</a></section>',
    boxes: { a: [0, 0, 260, 51], b: [0, 31, 41.8, 17], c: [240, 0, 0, 0], d: [0, 0, 240, 30] },
  },
  {
    name: 'a float at the start of an inline box 4',
    css: 'body{margin:0;font:16px/20px Arial}section{width:260px;border-bottom:1px solid;overflow:hidden}.f{float:left;height:30px;width:240px}',
    body: '<section id=a><a id=b style="padding-left:9px"><i id=c class=f></i> return</a></section>',
    boxes: { a: [0, 0, 260, 31], b: [240, 1, 50.8, 17], c: [0, 0, 240, 30] },
  },
  {
    name: 'a float at the start of an inline box 5',
    css: 'body{margin:0;font:16px/20px Arial}section{width:260px;border-bottom:1px solid;overflow:hidden}.f{float:left;height:30px;width:240px}',
    body: '<section id=a><a id=b style="padding-left:9px"><i id=c class=f style="width:255px"></i> return</a></section>',
    boxes: { a: [0, 0, 260, 51], b: [0, 1, 50.8, 17], c: [0, 20, 255, 30] },
  },
  {
    name: 'a float at the start of an inline box 6',
    css: 'body{margin:0;font:16px/20px Arial}section{width:260px;border-bottom:1px solid;overflow:hidden}.f{float:left;height:30px;width:240px}',
    body: '<section id=a><a id=b style="padding-left:9px"><b id=c><i id=d class=f style="width:255px"></i></b> return</a></section>',
    boxes: { a: [0, 0, 260, 51], b: [0, 1, 50.8, 17], c: [9, 1, 0, 17], d: [0, 20, 255, 30] },
  },
  {
    name: 'a float at the start of an inline box 7',
    css: 'body{margin:0;font:16px/20px Arial}section{width:260px;border-bottom:1px solid;overflow:hidden}.f{float:left;height:30px;width:240px}',
    body: '<section id=a><a id=b style="padding-left:9px"><b id=c></b><i id=d class=f style="width:255px"></i>return</a></section>',
    boxes: { a: [0, 0, 260, 51], b: [0, 1, 50.8, 17], c: [9, 1, 0, 17], d: [0, 20, 255, 30] },
  },
  {
    name: 'a float at the start of an inline box 8',
    css: 'body{margin:0;font:16px/20px Arial}section{width:260px;border-bottom:1px solid;overflow:hidden}.f{float:left;height:30px;width:240px}',
    body: '<section id=a>x<a id=b style="padding-left:9px"><b id=c></b><i id=d class=f style="width:255px"></i>return</a></section>',
    boxes: { a: [0, 0, 260, 51], b: [8, 1, 50.8, 17], c: [17, 1, 0, 17], d: [0, 20, 255, 30] },
  },
  {
    name: 'a float at the start of an inline box 9',
    css: 'body{margin:0;font:16px/20px Arial}section{width:260px;border-bottom:1px solid;overflow:hidden}.f{float:left;height:30px;width:240px}',
    body: '<section id=a>x<a id=b style="padding-left:9px"><b id=c></b><i id=d class=f style="width:100px"></i>return</a></section>',
    boxes: { a: [0, 0, 260, 31], b: [108, 1, 50.8, 17], c: [117, 1, 0, 17], d: [0, 0, 100, 30] },
  },
  {
    name: 'a float at the start of an inline box 10',
    css: 'body{margin:0;font:16px/20px Arial}section{width:260px;border-bottom:1px solid;overflow:hidden}.f{float:left;height:30px;width:240px}',
    body: '<section id=a><a id=b><i id=c class=f style="width:100px"></i><i id=d class=f style="width:200px;float:right"></i> return</a></section>',
    boxes: { a: [0, 0, 260, 61], b: [100, 1, 41.8, 17], c: [0, 0, 100, 30], d: [60, 30, 200, 30] },
  },
  {
    name: 'a float at the start of an inline box 11',
    css: 'body{margin:0;font:16px/20px Arial}section{width:260px;border-bottom:1px solid;overflow:hidden}.f{float:left;height:30px;width:240px}',
    body: '<section id=a><a id=b><img id=c class=f style="float:right"><img id=d class=f style="width:230px;float:left">return to sender</a></section>',
    boxes: { a: [0, 0, 260, 81], b: [0, 61, 112.95, 17], c: [20, 0, 240, 30], d: [0, 30, 230, 30] },
  },
  {
    name: 'a float at the start of an inline box 12',
    css: 'body{margin:0;font:16px/20px Arial}section{width:260px;border-bottom:1px solid;overflow:hidden}.f{float:left;height:30px;width:240px}',
    body: '<section id=a><a id=b>x <i id=c class=f></i>return</a></section>',
    boxes: { a: [0, 0, 260, 51], b: [0, 1, 248, 47], c: [0, 0, 240, 30] },
  },
  {
    name: 'a float at the start of an inline box 13',
    css: 'body{margin:0;font:16px/20px Arial}section{width:260px;border-bottom:1px solid;overflow:hidden}.f{float:left;height:30px;width:240px}',
    body: '<section id=a><a id=b><i id=c class=f style="width:260px"></i></a> <a id=d>return</a></section>',
    boxes: { a: [0, 0, 260, 51], b: [260, 0, 0, 0], c: [0, 0, 260, 30], d: [0, 31, 41.8, 17] },
  },
  {
    name: 'a float at the start of an inline box 14',
    css: 'body{margin:0;font:16px/20px Arial}section{width:260px;border-bottom:1px solid;overflow:hidden}.f{float:left;height:30px;width:240px}',
    body: '<section id=a><a id=b><i id=c class=f style="width:240px"></i></a><a id=d>r</a>eturn</section>',
    boxes: { a: [0, 0, 260, 51], b: [240, 0, 0, 0], c: [0, 0, 240, 30], d: [0, 31, 5.33, 17] },
  },
  {
    name: 'a float at the start of an inline box 15',
    css: 'body{margin:0;font:16px/20px Arial}section{width:260px;border-bottom:1px solid;overflow:hidden}.f{float:left;height:30px;width:240px}',
    body: '<section id=a><a id=b><i id=c class=f style="width:240px"></i></a><em id=d style="display:inline-block;width:40px;height:10px"></em></section>',
    boxes: { a: [0, 0, 260, 51], b: [240, 0, 0, 0], c: [0, 0, 240, 30], d: [0, 35, 40, 10] },
  },
  {
    name: 'a float at the start of an inline box 16',
    css: 'body{margin:0;font:16px/20px Arial}section{width:260px;border-bottom:1px solid;overflow:hidden}.f{float:left;height:30px;width:240px}',
    body: '<section id=a><a id=b><i id=c class=f style="width:240px"></i><em id=d style="display:inline-block;width:40px;height:10px"></em></a></section>',
    boxes: { a: [0, 0, 260, 51], b: [0, 31, 40, 17], c: [0, 0, 240, 30], d: [0, 35, 40, 10] },
  },
  {
    name: 'a float at the start of an inline box 17',
    css: 'body{margin:0;font:16px/20px Arial}section{width:260px;border-bottom:1px solid;overflow:hidden}.f{float:left;height:30px;width:240px}',
    body: '<section id=a><a id=b><em id=c style="display:inline-block;width:40px;height:10px"></em><i id=d class=f style="width:240px"></i></a></section>',
    boxes: { a: [0, 0, 260, 51], b: [0, 1, 40, 17], c: [0, 5, 40, 10], d: [0, 20, 240, 30] },
  },
  {
    name: 'a float at the start of an inline box 18',
    css: 'body{margin:0;font:16px/20px Arial}section{width:260px;border-bottom:1px solid;overflow:hidden}.f{float:left;height:30px;width:240px}',
    body: '<section id=a><a id=b><em id=c style="position:absolute;width:40px;height:10px"></em><i id=d class=f style="width:240px"></i>return</a></section>',
    boxes: { a: [0, 0, 260, 51], b: [0, 31, 41.8, 17], c: [240, 0, 40, 10], d: [0, 0, 240, 30] },
  },
  {
    name: 'a float at the start of an inline box 19',
    css: 'body{margin:0;font:16px/20px Arial}section{width:260px;border-bottom:1px solid;overflow:hidden}.f{float:left;height:30px;width:240px}',
    body: '<section id=a><a id=b><i id=c class=f style="width:240px"></i><em id=d style="position:absolute;width:40px;height:10px"></em>return</a></section>',
    boxes: { a: [0, 0, 260, 51], b: [0, 31, 41.8, 17], c: [0, 0, 240, 30], d: [240, 0, 40, 10] },
  },
  {
    name: 'a float at the start of an inline box 20',
    css: 'body{margin:0;font:16px/20px Arial}section{width:260px;border-bottom:1px solid;overflow:hidden}.f{float:left;height:30px;width:240px}',
    body: '<section id=a><a id=b><i id=c class=f style="width:250px"></i><u>xx</u>yy</a></section>',
    boxes: { a: [0, 0, 260, 51], b: [0, 31, 32, 17], c: [0, 0, 250, 30] },
  },
  {
    name: 'a float at the start of an inline box 21',
    css: 'body{margin:0;font:16px/20px Arial}section{width:260px;border-bottom:1px solid;overflow:hidden}.f{float:left;height:30px;width:240px}',
    body: '<section id=a><a id=b style="white-space:nowrap"><i id=c class=f style="width:250px"></i>yy zz</a></section>',
    boxes: { a: [0, 0, 260, 51], b: [0, 31, 36.45, 17], c: [0, 0, 250, 30] },
  },
  {
    name: 'a float at the start of an inline box 22',
    css: 'body{margin:0;font:16px/20px Arial}section{width:260px;border-bottom:1px solid;overflow:hidden}.f{float:left;height:30px;width:240px}',
    body: '<section id=a style="white-space:nowrap"><a id=b><i id=c class=f style="width:250px"></i>yy zz</a></section>',
    boxes: { a: [0, 0, 260, 31], b: [250, 1, 36.45, 17], c: [0, 0, 250, 30] },
  },
  {
    name: 'a float at the start of an inline box 23',
    css: 'body{margin:0;font:16px/20px Arial}section{width:260px;border-bottom:1px solid;overflow:hidden}.f{float:left;height:30px;width:240px}',
    body: '<section id=a style="text-indent:30px"><a id=b><i id=c class=f style="width:210px"></i>yy zz</a></section>',
    boxes: { a: [0, 0, 260, 41], b: [210, 1, 46, 37], c: [0, 0, 210, 30] },
  },
  {
    name: 'a float at the start of an inline box 24',
    css: 'body{margin:0;font:16px/20px Arial}section{width:260px;border-bottom:1px solid;overflow:hidden}.f{float:left;height:30px;width:240px}',
    body: '<section id=a style="text-align:center"><a id=b><i id=c class=f style="width:210px"></i>return</a></section>',
    boxes: { a: [0, 0, 260, 31], b: [214.09, 1, 41.8, 17], c: [0, 0, 210, 30] },
  },
];
