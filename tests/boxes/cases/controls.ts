import type { LayoutCase } from '../../support/layout-case.js';

/** Form controls, replaced elements and buttons. HTML §15.5 */
export const cases: readonly LayoutCase[] = [
  {
    name: 'svg sizes',
    css: '',
    body: "<svg id=a width=40 height=20></svg><svg id=b viewBox='0 0 2 1' width=60></svg><svg id=c viewBox='0 0 1 1' style='height:30px'></svg>",
    boxes: { a: [0, 10, 40, 20], b: [40, 0, 60, 30], c: [100, 0, 30, 30] },
  },
  {
    name: 'img attributes',
    css: '',
    body: "<img id=a width=50 height=40 alt=''><img id=b width=50 style='width:80px' height=40 alt=''>",
    boxes: { a: [0, 0, 50, 40], b: [50, 0, 80, 40] },
  },
  {
    name: 'max-width on a picture',
    css: '#w{width:60px}svg{max-width:100%;height:auto}',
    body: "<div id=w><svg id=a viewBox='0 0 2 1' width=100 height=50></svg></div>",
    boxes: { w: [0, 0, 60, 35], a: [0, 0, 60, 30] },
  },
  {
    name: 'a button centres its text',
    css: 'button{width:120px;height:50px;font:16px/20px Arial}',
    body: '<button id=a><span id=b>Go</span></button>',
    boxes: { a: [0, 0, 120, 50], b: [49.33, 16, 21.34, 17] },
  },
  {
    name: 'a bare button',
    css: 'button{font:16px/20px Arial;padding:0;border:0}',
    body: '<button id=a>Menu</button>',
    boxes: { a: [0, 0, 40.03, 20] },
  },
  {
    name: 'a button of bars',
    css: 'button{width:44px;height:44px;padding:10px;border:0}span{display:block;height:3px;margin:4px 0}',
    body: '<button id=a><span id=b></span><span id=c></span><span id=d></span></button>',
    boxes: { a: [0, 0, 44, 44], b: [10, 14, 24, 3], c: [10, 21, 24, 3], d: [10, 28, 24, 3] },
  },
  {
    name: 'a checkbox',
    css: 'input{margin:0}',
    body: '<input id=a type=checkbox><input id=b type=radio>',
    boxes: { a: [0, 2, 13, 13], b: [13, 2, 13, 13] },
  },
  {
    name: 'an input with a width',
    css: 'input{width:200px;height:30px;box-sizing:border-box;margin:0}',
    body: '<input id=a>',
    boxes: { a: [0, 0, 200, 30] },
  },
  {
    name: 'canvas and iframe',
    css: '',
    body: "<canvas id=a width=30 height=10></canvas><iframe id=b style='border:0'></iframe>",
    boxes: { a: [0, 140, 30, 10], b: [30, 0, 300, 150] },
  },
  {
    name: 'display block controls',
    css: 'input,button{display:block;width:auto}button{font:16px/20px Arial}',
    body: '<button id=b>Wide?</button>',
    boxes: { b: [0, 0, 61.36, 26] },
  },
  {
    name: 'a full-width button',
    css: 'button{display:block;width:100%;font:16px/20px Arial}',
    body: '<button id=b>Wide</button>',
    boxes: { b: [0, 0, 800, 26] },
  },
  {
    name: 'labels are inline',
    css: 'label{padding:5px}',
    body: "<label id=a>Name <input id=b style='width:50px;height:20px;margin:0;padding:0;border:0'></label>",
    boxes: { a: [0, -4, 107.13, 27], b: [52.13, 0.5, 50, 20] },
  },
];
