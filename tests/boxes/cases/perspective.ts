import type { LayoutCase } from '../../support/layout-case.js';

/** Boxes seen in perspective. CSS Transforms 2 §6, §7 */
export const cases: readonly LayoutCase[] = [
  {
    name: 'a turn seen from near',
    css: 'div{position:absolute;left:200px;top:150px;width:200px;height:100px}b{position:absolute;left:20px;top:30px;width:50px;height:20px}',
    body: '<div id=a style="transform:perspective(300px) rotateX(-20deg)"><b id=b>x</b></div><div id=c style="top:400px;transform:perspective(300px) rotateX(-20deg)"><b id=d style="transform:rotate(20deg)">x</b></div>',
    boxes: {
      a: [193.96, 150.18, 212.09, 94.28],
      b: [218.13, 180.77, 51.87, 19.23],
      c: [193.96, 400.18, 212.09, 94.28],
      d: [217.22, 422.87, 54.34, 34.53],
    },
  },
  {
    name: 'a panel tilted back and moved down',
    css: 'div{position:absolute;left:200px;top:150px;width:200px;height:100px}b{position:absolute;left:20px;top:30px;width:50px;height:20px}',
    body: '<div id=a style="transform:perspective(999px) rotateX(-10deg) translateZ(0) translate3d(0,37px,0);transform-origin:50% 0"><b id=b>x</b></div><div id=c style="top:400px;transform:perspective(999px) rotateX(-10deg) translateZ(0) translate3d(0,37px,0);transform-origin:50% 0"><b id=d style="transform:rotate(20deg)">x</b></div>',
    boxes: {
      a: [200.64, 186.21, 198.72, 95.58],
      b: [220.92, 215.22, 49.53, 19.18],
      c: [200.64, 436.21, 198.72, 95.58],
      d: [219.18, 457.56, 53.1, 34.42],
    },
  },
  {
    name: 'nearer to the viewer',
    css: 'div{position:absolute;left:200px;top:150px;width:200px;height:100px}b{position:absolute;left:20px;top:30px;width:50px;height:20px}',
    body: '<div id=a style="transform:perspective(200px) translateZ(50px)"><b id=b>x</b></div><div id=c style="top:400px;transform:perspective(200px) translateZ(50px)"><b id=d style="transform:rotate(20deg)">x</b></div>',
    boxes: {
      a: [166.67, 133.33, 266.67, 133.33],
      b: [193.33, 173.33, 66.67, 26.67],
      c: [166.67, 383.33, 266.67, 133.33],
      d: [190.78, 412.74, 71.77, 47.86],
    },
  },
  {
    name: 'turned and shrunk',
    css: 'div{position:absolute;left:200px;top:150px;width:200px;height:100px}b{position:absolute;left:20px;top:30px;width:50px;height:20px}',
    body: '<div id=a style="transform:perspective(500px) rotateY(45deg) scale(.5)"><b id=b>x</b></div><div id=c style="top:400px;transform:perspective(500px) rotateY(45deg) scale(.5)"><b id=d style="transform:rotate(20deg)">x</b></div>',
    boxes: {
      a: [261.95, 173.1, 71.07, 53.8],
      b: [270.02, 189.4, 19.14, 10.6],
      c: [261.95, 423.1, 71.07, 53.8],
      d: [269.26, 435.24, 20.61, 18.83],
    },
  },
  {
    name: 'without a viewer',
    css: 'div{position:absolute;left:200px;top:150px;width:200px;height:100px}b{position:absolute;left:20px;top:30px;width:50px;height:20px}',
    body: '<div id=a style="transform:perspective(none) rotateX(30deg)"><b id=b>x</b></div><div id=c style="top:400px;transform:perspective(none) rotateX(30deg)"><b id=d style="transform:rotate(20deg)">x</b></div>',
    boxes: {
      a: [200, 156.7, 200, 86.6],
      b: [220, 182.68, 50, 17.32],
      c: [200, 406.7, 200, 86.6],
      d: [218.09, 425.8, 53.83, 31.09],
    },
  },
  {
    name: 'turned before and behind',
    css: 'div{position:absolute;left:200px;top:150px;width:200px;height:100px}b{position:absolute;left:20px;top:30px;width:50px;height:20px}',
    body: '<div id=a style="transform:rotate(10deg) perspective(300px) rotateY(30deg)"><b id=b>x</b></div><div id=c style="top:400px;transform:rotate(10deg) perspective(300px) rotateY(30deg)"><b id=d style="transform:rotate(20deg)">x</b></div>',
    boxes: {
      a: [187.24, 122.87, 193.31, 132.23],
      b: [221.27, 163.39, 55.45, 31.86],
      c: [187.24, 372.87, 193.31, 132.23],
      d: [220.93, 405.64, 55.91, 47.1],
    },
  },
  {
    name: 'around any axis',
    css: 'div{position:absolute;left:200px;top:150px;width:200px;height:100px}b{position:absolute;left:20px;top:30px;width:50px;height:20px}',
    body: '<div id=a style="transform:perspective(400px) rotate3d(1,2,.5,40deg)"><b id=b>x</b></div>',
    boxes: { a: [198.6, 122.56, 173.15, 141.56], b: [227.32, 159.01, 48.81, 33.82] },
  },
  {
    name: 'around any axis from far away',
    css: 'div{position:absolute;left:200px;top:150px;width:200px;height:100px}b{position:absolute;left:20px;top:30px;width:50px;height:20px}',
    body: '<div id=a style="transform:rotate3d(1,1,0,50deg)"><b id=b>x</b></div>',
    boxes: { a: [208.93, 141.07, 182.14, 117.86], b: [230.72, 169.28, 44.64, 25.36] },
  },
  {
    name: 'by sixteen numbers',
    css: 'div{position:absolute;left:200px;top:150px;width:200px;height:100px}b{position:absolute;left:20px;top:30px;width:50px;height:20px}',
    body: '<div id=a style="transform:matrix3d(.9,.1,.3,.001,0,.8,.2,.0005,0,0,1,0,20,10,0,1)"><b id=b>x</b></div>',
    boxes: { a: [220, 154.29, 182.33, 99.05], b: [242.86, 184.62, 49.93, 22.6] },
  },
  {
    name: 'turned by its own property',
    css: 'div{position:absolute;left:200px;top:150px;width:200px;height:100px}b{position:absolute;left:20px;top:30px;width:50px;height:20px}',
    body: '<div id=a style="rotate:1 1 0 50deg"><b id=b>x</b></div>',
    boxes: { a: [208.93, 141.07, 182.14, 117.86], b: [230.72, 169.28, 44.64, 25.36] },
  },
];
