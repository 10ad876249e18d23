import type { LayoutCase } from '../../support/layout-case.js';

/** Text and boxes that leave their lines: wrapped runs, static positions, what holds whom. CSS2 §9.2.1, css-position-3 §3.5, css-contain-3 §3.3 */
export const cases: readonly LayoutCase[] = [
  {
    name: 'text behind a block in an absolute box',
    css: '#a{position:absolute}',
    body: '<div id=a><div id=b></div> harbour</div>',
    boxes: { a: [0, 0, 55.16, 20], b: [0, 0, 55.16, 0] },
  },
  {
    name: 'text in front of a block in a floating box',
    css: '#a{float:left}',
    body: '<div id=a>harbour <div id=b>tide</div></div>',
    boxes: { a: [0, 0, 55.16, 40], b: [0, 20, 55.16, 20] },
  },
  {
    name: 'text beside a block in a table',
    css: '#a{display:table}',
    body: '<div id=a><div id=b></div> tide</div><p id=c>x',
    boxes: { a: [0, 0, 25.8, 20], b: [0, 0, 25.8, 0], c: [0, 36, 800, 20] },
  },
  {
    name: 'text beside a block in a row',
    css: '#a{display:table-row}',
    body: '<div id=a>fog <div id=b>light</div> tide</div><p id=c>x',
    boxes: { a: [0, 0, 29.36, 60], b: [0, 20, 29.36, 20], c: [0, 76, 800, 20] },
  },
  {
    name: 'a cell whose content is drawn up',
    css: '#a{display:table}#b{margin-top:-32px}',
    body: '<div id=a><div id=b>fog</div></div><p id=c>x',
    boxes: { a: [0, 0, 22.25, 0], b: [0, -32, 22.25, 20], c: [0, 16, 800, 20] },
  },
  {
    name: 'a fixed box in an absolute one, in a transformed one',
    css: '#a{transform:translate(12px,8px)}#b{position:absolute}#c{position:fixed;left:3px;width:97px;height:89px}',
    body: '<div id=a><div id=b><div id=c></div></div></div>',
    boxes: { a: [12, 8, 800, 0], b: [12, 8, 0, 0], c: [15, 8, 97, 89] },
  },
  {
    name: 'a fixed box in a floating one, in a filtered one',
    css: '#a{filter:blur(0);margin:20px}#b{float:left}#c{position:fixed;right:3px;width:97px;height:89px}',
    body: '<div id=a><div id=b><div id=c></div></div></div>',
    boxes: { a: [20, 20, 760, 0], b: [20, 20, 0, 0], c: [680, 20, 97, 89] },
  },
  {
    name: 'layout containment leaves no baseline to a line',
    css: '#a{display:inline-block;margin-top:-15px;height:44px;contain:layout}',
    body: '<div id=a>fog</div> <i id=b>x</i>',
    boxes: { a: [0, -15, 22.25, 44], b: [26.7, 15, 8, 17] },
  },
  {
    name: 'layout containment leaves no baseline to a flex line',
    css: '#a{display:flex;align-items:baseline}#b{contain:layout}#c{font-size:40px}',
    body: '<div id=a><div id=b>a<br>b</div><div id=c>x</div></div>',
    boxes: { a: [0, 0, 800, 40], b: [0, 0, 8.91, 40], c: [8.91, 16, 20, 20] },
  },
  {
    name: 'an absolute block at the start of a line',
    css: '#b{position:absolute;width:73px;height:61px}',
    body: '<span id=a><div id=b></div></span> tide',
    boxes: { a: [0, 1, 0, 17], b: [0, 0, 73, 61] },
  },
  {
    name: 'an absolute block behind text',
    css: '#b{position:absolute;width:73px;height:61px}',
    body: '<span id=a>x<div id=b></div></span> tide',
    boxes: { a: [0, 1, 8, 17], b: [0, 20, 73, 61] },
  },
  {
    name: 'an absolute block behind an empty inline box',
    css: '#b{position:absolute;width:73px;height:61px}',
    body: '<span id=a><span></span><div id=b></div></span>tide',
    boxes: { a: [0, 1, 0, 17], b: [0, 20, 73, 61] },
  },
  {
    name: 'behind a word that is too wide',
    css: '#a{width:26px}#b{position:absolute;width:49px;height:6px}',
    body: '<div id=a>harbour <b id=b></b></div>',
    boxes: { a: [0, 0, 26, 20], b: [0, 20, 49, 6] },
  },
  {
    name: 'behind a space that reaches out, with more to come',
    css: '#a{width:57px}#b{position:absolute;width:49px;height:6px}',
    body: '<div id=a>harbour <b id=b></b>x</div>',
    boxes: { a: [0, 0, 57, 40], b: [0, 20, 49, 6] },
  },
  {
    name: 'behind a space that reaches out, at the end',
    css: '#a{width:57px}#b{position:absolute;width:49px;height:6px}',
    body: '<div id=a>harbour <b id=b></b></div>',
    boxes: { a: [0, 0, 57, 20], b: [55.16, 0, 49, 6] },
  },
  {
    name: 'behind a space with room, with more to come',
    css: '#a{width:62px}#b{position:absolute;width:49px;height:6px}',
    body: '<div id=a>harbour <b id=b></b>x</div>',
    boxes: { a: [0, 0, 62, 40], b: [55.16, 0, 49, 6] },
  },
  {
    name: 'behind a hyphen that is too far out',
    css: '#a{width:26px}#b{position:absolute;width:49px;height:6px}',
    body: '<div id=a>harbour-<b id=b></b></div>',
    boxes: { a: [0, 0, 26, 20], b: [0, 20, 49, 6] },
  },
  {
    name: 'an absolute box in front of a float',
    css: '#a{position:absolute;display:inline-block;width:11px;height:14px}#b{float:left;width:71px;height:70px}',
    body: '<div id=a></div><div id=b></div>',
    boxes: { a: [0, 0, 11, 14], b: [0, 0, 71, 70] },
  },
  {
    name: 'a float without height inside a line',
    css: '#w{width:200px}#f{float:left;width:102px}',
    body: '<div id=w>tide <div id=f></div> harbour <b id=b>tide</b></div>',
    boxes: { w: [0, 0, 200, 20], f: [0, 0, 102, 0], b: [89.84, 1, 28.45, 17] },
  },
  {
    name: 'a float drawn up that does not fit',
    css: '#w{width:90px}#f{float:right;margin-top:-15px;width:81px;height:15px}',
    body: '<div id=w><div style="height:80px"></div> tide <div id=f></div></div>',
    boxes: { w: [0, 0, 90, 100], f: [9, 85, 81, 15] },
  },
  {
    name: 'an inline box that begins with a margin holds its line',
    css: '#a{margin-left:40px}',
    body: '<span id=a><div id=b>x</div></span><div id=c>y</div>',
    boxes: { a: [0, 20, 800, 20], b: [0, 20, 800, 20], c: [0, 40, 800, 20] },
  },
  {
    name: 'an inline box that ends with padding holds that line',
    css: '#a{padding-right:5px}',
    body: '<span id=a><div id=b>x</div></span><div id=c>y</div>',
    boxes: { a: [0, 0, 800, 38], b: [0, 0, 800, 20], c: [0, 40, 800, 20] },
  },
  {
    name: 'an inline box stays where its block was before it moved',
    css: '#b{position:relative;top:35px;height:21px}',
    body: '<span id=a><div id=b></div></span><div id=c>y</div>',
    boxes: { a: [0, 0, 800, 21], b: [0, 35, 800, 21], c: [0, 21, 800, 20] },
  },
  {
    name: 'a sized container stands beside floats',
    css: '#f{float:left;width:736px;height:67px}#b{width:100px;height:33px;container-type:inline-size}',
    body: '<div id=f></div><div id=b></div>',
    boxes: { f: [0, 0, 736, 67], b: [0, 67, 100, 33] },
  },
];
