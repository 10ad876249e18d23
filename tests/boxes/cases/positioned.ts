import type { LayoutCase } from '../../support/layout-case.js';

/** Relative, absolute and fixed boxes. CSS Position 3, CSS 2 §10.3.7, §10.6.4 */
export const cases: readonly LayoutCase[] = [
  {
    name: 'relative moves without a trace',
    css: '#a{position:relative;left:10px;top:-5px}',
    body: '<div id=a>x</div><div id=b>y</div>',
    boxes: { a: [10, -5, 800, 20], b: [0, 20, 800, 20] },
  },
  {
    name: 'right and bottom move back',
    css: '#a{position:relative;right:10px;bottom:5px}',
    body: '<div id=a>x</div><div id=b>y</div>',
    boxes: { a: [-10, -5, 800, 20], b: [0, 20, 800, 20] },
  },
  {
    name: 'absolute in a positioned box',
    css: '#a{position:relative;height:100px;border:5px solid}#b{position:absolute;right:10px;bottom:20px}',
    body: '<div id=a><div id=b>x</div></div>',
    boxes: { a: [0, 0, 800, 110], b: [777, 65, 8, 20] },
  },
  {
    name: 'absolute fills with all insets',
    css: '#a{position:relative;height:100px}#b{position:absolute;inset:10px 20px}',
    body: '<div id=a><div id=b>x</div></div>',
    boxes: { a: [0, 0, 800, 100], b: [20, 10, 760, 80] },
  },
  {
    name: 'absolute keeps its static place',
    css: '#b{position:absolute}',
    body: '<div id=a>text</div><div id=b>x</div><div id=c>y</div>',
    boxes: { a: [0, 0, 800, 20], b: [0, 20, 8, 20], c: [0, 20, 800, 20] },
  },
  {
    name: 'absolute inline keeps its place in the line',
    css: '#b{position:absolute}',
    body: '<div id=a>text <span id=b>x</span>after</div>',
    boxes: { a: [0, 0, 800, 20], b: [30.23, 0, 8, 20] },
  },
  {
    name: 'absolute centres with auto margins',
    css: '#a{position:relative;height:100px}#b{position:absolute;inset:0;width:50px;height:20px;margin:auto}',
    body: '<div id=a><div id=b></div></div>',
    boxes: { a: [0, 0, 800, 100], b: [375, 40, 50, 20] },
  },
  {
    name: 'absolute shrinks to fit',
    css: '#a{position:relative;width:150px;height:80px}#b{position:absolute;left:100px}',
    body: '<div id=a><div id=b>several words in here</div></div>',
    boxes: { a: [0, 0, 150, 80], b: [100, 0, 51.58, 60] },
  },
  {
    name: 'percent insets and sizes',
    css: '#a{position:relative;width:200px;height:100px}#b{position:absolute;left:25%;top:50%;width:50%;height:25%}',
    body: '<div id=a><div id=b></div></div>',
    boxes: { a: [0, 0, 200, 100], b: [50, 50, 100, 25] },
  },
  {
    name: 'the initial containing block',
    css: '#b{position:absolute;right:0;bottom:0;width:50px;height:50px}',
    body: '<div id=a>x</div><div id=b></div>',
    boxes: { a: [0, 0, 800, 20], b: [750, 550, 50, 50] },
  },
  {
    name: 'fixed to the viewport',
    css: '#b{position:fixed;left:0;right:0;top:0;height:40px}',
    body: "<div id=a style='margin-top:100px'><div id=b>x</div></div>",
    boxes: { a: [0, 100, 800, 0], b: [0, 0, 800, 40] },
  },
  {
    name: 'a transform holds fixed boxes',
    css: '#a{transform:translate(10px,20px);width:300px;height:100px}#b{position:fixed;right:0;top:0;width:30px;height:30px}',
    body: '<div id=a><div id=b></div></div>',
    boxes: { a: [10, 20, 300, 100], b: [280, 20, 30, 30] },
  },
  {
    name: 'an off-canvas panel',
    css: '#a{position:fixed;top:0;bottom:0;right:-300px;width:300px}',
    body: '<div id=a>menu</div>',
    boxes: { a: [800, 0, 300, 600] },
  },
  {
    name: 'a panel moved away by a transform',
    css: '#a{position:fixed;inset:0 auto 0 0;width:50%;transform:translateX(-100%)}',
    body: '<div id=a>menu</div>',
    boxes: { a: [-400, 0, 400, 600] },
  },
  {
    name: 'scale and rotate',
    css: '#a{width:100px;height:50px;transform:scale(2)}#b{width:100px;height:50px;transform:rotate(90deg)}',
    body: '<div id=a></div><div id=b></div>',
    boxes: { a: [-50, -25, 200, 100], b: [25, 25, 50, 100] },
  },
  {
    name: 'transform-origin',
    css: '#a{width:100px;height:50px;transform:scale(.5);transform-origin:left top}',
    body: '<div id=a></div>',
    boxes: { a: [0, 0, 50, 25] },
  },
  {
    name: 'individual transforms',
    css: '#a{width:100px;height:50px;translate:20px 10px;scale:2}',
    body: '<div id=a></div>',
    boxes: { a: [-30, -15, 200, 100] },
  },
  {
    name: 'a drop-down under its item',
    css: 'li{position:relative;float:left;list-style:none}#p{position:absolute;top:100%;left:0;width:200px}',
    body: "<ul style='margin:0;padding:0'><li id=a>Islands<div id=p>panel</div></li><li id=b>Fares</li></ul>",
    boxes: { a: [0, 0, 50.7, 20], p: [0, 20, 200, 20], b: [50.7, 0, 40.91, 20] },
  },
  {
    name: 'negative offsets',
    css: '#a{position:relative;height:50px}#b{position:absolute;left:-20px;top:-10px;width:10px;height:10px}',
    body: '<div id=a><div id=b></div></div>',
    boxes: { a: [0, 0, 800, 50], b: [-20, -10, 10, 10] },
  },
  {
    name: 'height between insets',
    css: '#a{position:relative;height:200px}#b{position:absolute;top:20px;bottom:30px;width:10px}',
    body: '<div id=a><div id=b></div></div>',
    boxes: { a: [0, 0, 800, 200], b: [0, 20, 10, 150] },
  },
  {
    name: 'absolute with max-width',
    css: '#a{position:relative;height:50px}#b{position:absolute;left:0;right:0;max-width:300px;margin:0 auto}',
    body: '<div id=a><div id=b>x</div></div>',
    boxes: { a: [0, 0, 800, 50], b: [250, 0, 300, 20] },
  },
  {
    name: 'relative inline box as container',
    css: '#a{position:relative;padding:5px}#b{position:absolute;left:0;top:100%;width:80px}',
    body: "<p style='margin:20px'>text <span id=a>anchor<span id=b>tip</span></span></p>",
    boxes: { a: [50.23, 16, 58.92, 27], b: [50.23, 43, 80, 20] },
  },
  {
    name: 'sticky at rest stands in flow',
    css: '#b{position:sticky;top:0}',
    body: '<div id=a>x</div><div id=b>bar</div><div id=c>y</div>',
    boxes: { a: [0, 0, 800, 20], b: [0, 20, 800, 20], c: [0, 40, 800, 20] },
  },
  {
    name: 'absolute table',
    css: '#a{position:absolute;left:10px;top:10px}',
    body: '<table id=a><tr><td id=b>cell</td></tr></table>',
    boxes: { a: [10, 10, 30.02, 26], b: [12, 12, 26.02, 22] },
  },
];
