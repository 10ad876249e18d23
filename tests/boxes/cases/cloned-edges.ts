import type { LayoutCase } from '../../support/layout-case.js';

/** Inline boxes with edges at every break. CSS Fragmentation 4 §4.1 */
export const cases: readonly LayoutCase[] = [
  {
    name: 'edges at every break',
    css: 'p{width:150px}i{padding:2px 10px;border:3px solid;-webkit-box-decoration-break:clone;box-decoration-break:clone}',
    body: '<p id=a>lorem <i id=b>ipsum dolor sit amet consetetur</i> and <b id=c>more</b></p>',
    boxes: { a: [0, 16, 150, 80], b: [0, 12, 153.16, 67], c: [0, 77, 39.13, 17] },
  },
  {
    name: 'with margins',
    css: 'p{width:150px}i{padding:2px 10px;border:3px solid;-webkit-box-decoration-break:clone;box-decoration-break:clone}',
    body: '<p id=a>lorem <i id=b style="margin:0 7px">ipsum dolor sit amet consetetur</i> and <b id=c>more</b></p>',
    boxes: { a: [0, 16, 150, 80], b: [7, 12, 153.16, 67], c: [0, 77, 39.13, 17] },
  },
  {
    name: 'within words',
    css: 'p{width:150px}i{padding:2px 10px;border:3px solid;-webkit-box-decoration-break:clone;box-decoration-break:clone}',
    body: '<p id=a>lorem <i id=b style="overflow-wrap:anywhere">ipsumdolorsitametconsetetursadipscing</i> and <b id=c>more</b></p>',
    boxes: { a: [0, 16, 150, 80], b: [0, 32, 158.52, 67], c: [79.39, 77, 39.13, 17] },
  },
  {
    name: 'boxes inside',
    css: 'p{width:150px}i{padding:2px 10px;border:3px solid;-webkit-box-decoration-break:clone;box-decoration-break:clone}',
    body: '<p id=a>lorem <i id=b>ipsum <em id=c>dolor <b id=d>sit amet</b> cons</em>etetur</i> and <b id=e>more</b></p>',
    boxes: {
      a: [0, 16, 150, 80],
      b: [0, 12, 153.16, 67],
      c: [13, 17, 127.16, 57],
      d: [13, 37, 60.47, 17],
      e: [0, 77, 39.13, 17],
    },
  },
  {
    name: 'boxes around',
    css: 'p{width:150px}i{padding:2px 10px;border:3px solid;-webkit-box-decoration-break:clone;box-decoration-break:clone}',
    body: '<p id=a>lorem <em id=b style="padding:0 5px">dolor <i id=c>ipsum dolor sit amet</i> cons</em>etetur and <b id=d>more</b></p>',
    boxes: { a: [0, 16, 150, 80], b: [0, 17, 158.17, 57], c: [0, 12, 158.17, 47], d: [0, 77, 39.13, 17] },
  },
  {
    name: 'one in another',
    css: 'p{width:150px}i{padding:2px 10px;border:3px solid;-webkit-box-decoration-break:clone;box-decoration-break:clone}',
    body: '<p id=a>lorem <i id=b>ipsum <i id=c>dolor sit amet</i> consetetur</i> and <b id=d>more</b></p>',
    boxes: { a: [0, 16, 150, 80], b: [0, 12, 148.05, 67], c: [13, 32, 122.05, 27], d: [0, 77, 39.13, 17] },
  },
  {
    name: 'forced breaks',
    css: 'p{width:150px}i{padding:2px 10px;border:3px solid;-webkit-box-decoration-break:clone;box-decoration-break:clone}',
    body: '<p id=a>lorem <i id=b>ipsum<br>dolor</i> and <b id=c>more</b></p>',
    boxes: { a: [0, 16, 150, 40], b: [0, 12, 113.14, 47], c: [97.17, 37, 39.13, 17] },
  },
  {
    name: 'beside pictures',
    css: 'p{width:150px}i{padding:2px 10px;border:3px solid;-webkit-box-decoration-break:clone;box-decoration-break:clone}',
    body: '<p id=a>lorem <i id=b>ipsum <img id=c src=x style="width:50px;height:20px"> dolor sit amet</i> and <b id=d>more</b></p>',
    boxes: { a: [0, 16, 150, 65], b: [0, 12, 136.47, 72], c: [13, 36, 50, 20], d: [97.17, 62, 39.13, 17] },
  },
  {
    name: 'narrowest',
    css: 'p{width:150px}i{padding:2px 10px;border:3px solid;-webkit-box-decoration-break:clone;box-decoration-break:clone}',
    body: '<p id=a style="width:min-content">lorem <i id=b>ipsum dolor sit amet</i> and <b id=c>more</b></p>',
    boxes: { a: [0, 16, 68.69, 140], b: [0, 32, 68.69, 87], c: [0, 137, 39.13, 17] },
  },
  {
    name: 'sliced',
    css: 'p{width:150px}i{padding:2px 10px;border:3px solid;-webkit-box-decoration-break:clone;box-decoration-break:clone}',
    body: '<p id=a>lorem <i id=b style="box-decoration-break:slice">ipsum dolor sit amet consetetur</i></p>',
    boxes: { a: [0, 16, 150, 40], b: [0, 12, 148.17, 47] },
  },
];
