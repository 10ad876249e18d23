import type { LayoutCase } from '../../support/layout-case.js';

/** Widths found from heights that are known. CSS Sizing 3 §5.1, CSS Grid 2 §12.1 */
export const cases: readonly LayoutCase[] = [
  {
    name: 'a picture as high as an inline block',
    css: '',
    body: '<div style="display:flex"><div id=d><a id=a style="display:inline-block;height:60px;padding:8px 0;box-sizing:border-box"><svg id=g viewBox="0 0 200 100" style="height:100%"></svg></a></div><p id=p>x</p></div>',
    boxes: { d: [0, 0, 88, 60], a: [0, 0, 88, 60], g: [0, 8, 88, 44], p: [88, 16, 8, 28] },
  },
  {
    name: 'through blocks of full height',
    css: '',
    body: '<div id=d style="float:left;height:80px"><a id=a style="display:block;height:100%"><svg id=g viewBox="0 0 200 100" style="height:100%"></svg></a></div>',
    boxes: { d: [0, 0, 160, 80], a: [0, 0, 160, 80], g: [0, 0, 160, 80] },
  },
  {
    name: 'in a stretched item',
    css: '',
    body: '<div style="display:flex;height:50px"><div id=d><svg id=g viewBox="0 0 200 100" style="height:100%"></svg></div><p id=p>x</p></div>',
    boxes: { d: [0, 0, 100, 50], g: [0, 0, 100, 50], p: [100, 16, 8, 18] },
  },
  {
    name: 'in an item that is not stretched',
    css: '',
    body: '<div style="display:flex;height:50px;align-items:center"><div id=d><svg id=g viewBox="0 0 200 100" style="height:100%"></svg></div><p id=p>x</p></div>',
    boxes: { d: [0, 15, 0, 20], g: [0, 30, 0, 0], p: [0, 15, 8, 20] },
  },
  {
    name: 'in an item of a stretched item',
    css: '',
    body: '<div style="display:flex;height:60px"><a id=a style="display:flex;align-items:center"><svg id=g viewBox="0 0 200 100" style="height:80%"></svg><span id=s>Word</span></a></div>',
    boxes: { a: [0, 0, 133.94, 60], g: [0, 6, 96, 48], s: [96, 20, 37.94, 20] },
  },
  {
    name: 'in a grid row of known height',
    css: '',
    body: '<div style="display:grid;grid-template-rows:50px;grid-template-columns:auto 1fr"><div id=d><svg id=g viewBox="0 0 200 100" style="height:100%"></svg></div><p id=p>x</p></div>',
    boxes: { d: [0, 0, 100, 50], g: [0, 0, 100, 50], p: [100, 16, 700, 18] },
  },
  {
    name: 'in a stretched grid row',
    css: '',
    body: '<div style="display:grid;height:50px;grid-template-columns:auto 1fr"><svg id=g viewBox="0 0 200 100" style="height:100%"></svg><p id=p>x</p></div>',
    boxes: { g: [0, 0, 104, 52], p: [104, 16, 696, 20] },
  },
  {
    name: 'between insets',
    css: '',
    body: '<div style="position:relative;height:70px"><div id=d style="position:absolute;top:5px;bottom:5px;left:0"><svg id=g viewBox="0 0 200 100" style="height:100%"></svg></div></div>',
    boxes: { d: [0, 5, 120, 60], g: [0, 5, 120, 60] },
  },
  {
    name: 'fit to its content',
    css: '',
    body: '<div style="height:50px"><div id=d style="width:fit-content;height:100%"><svg id=g viewBox="0 0 200 100" style="height:100%"></svg></div></div>',
    boxes: { d: [0, 0, 100, 50], g: [0, 0, 100, 50] },
  },
  {
    name: 'a ratio with a share of the height',
    css: '',
    body: '<div style="float:left"><div id=d style="display:inline-block;height:50px"><div id=e style="aspect-ratio:2;height:100%"></div></div></div>',
    boxes: { d: [0, 0, 100, 50], e: [0, 0, 100, 50] },
  },
  {
    name: 'a lower limit is no height',
    css: '',
    body: '<div id=d style="float:left"><div style="min-height:50px"><svg id=g viewBox="0 0 200 100" style="width:40px;height:100%"></svg></div></div>',
    boxes: { d: [0, 0, 40, 50], g: [0, 0, 40, 20] },
  },
  {
    name: 'form controls fill grid areas, pictures do not',
    css: '',
    body: '<div style="display:grid;grid-template-columns:repeat(3,1fr);grid-auto-rows:60px"><input id=a><select id=b></select><textarea id=c></textarea><input id=d type=checkbox><canvas id=e width=20 height=20></canvas><button id=f>x</button></div>',
    boxes: {
      a: [0, 0, 266.66, 60],
      b: [266.66, 0, 266.67, 60],
      c: [533.33, 0, 266.66, 60],
      d: [4, 63, 259.66, 54],
      e: [266.66, 60, 20, 20],
      f: [533.33, 60, 266.66, 60],
    },
  },
  {
    name: 'ticks have no padding',
    css: '',
    body: '<input id=a type=radio style="padding:0 12px;border:1px solid;min-height:36px"><input id=b type=checkbox style="appearance:none;padding:6px">',
    boxes: { a: [5, 3, 13, 36], b: [25, 24, 12, 12] },
  },
  {
    name: 'a picture in the page keeps its ratio where it may be stretched',
    css: '',
    body: '<svg id=a viewBox="0 0 200 100" preserveAspectRatio="none" height=50></svg><div style="width:120px"><svg id=b viewBox="0 0 200 100" preserveAspectRatio="none"></svg></div>',
    boxes: { a: [0, 0, 100, 50], b: [0, 55, 120, 60] },
  },
  {
    name: 'a ratio does not cut off what a flex row holds',
    css: '#a{width:32px;display:flex;align-items:flex-end;aspect-ratio:2}',
    body: '<div id=a>rope</div><p id=b>x',
    boxes: { a: [0, 0, 32, 20], b: [0, 36, 800, 20] },
  },
  {
    name: 'what is stretched in a flex row takes the height of the ratio',
    css: '#a{width:32px;display:flex;aspect-ratio:2}',
    body: '<div id=a>rope</div><p id=b>x',
    boxes: { a: [0, 0, 32, 16], b: [0, 32, 800, 20] },
  },
  {
    name: 'a ratio does not cut off a flex column',
    css: '#a{width:32px;display:flex;flex-direction:column;aspect-ratio:2}',
    body: '<div id=a>rope rope</div><p id=b>x',
    boxes: { a: [0, 0, 32, 40], b: [0, 56, 800, 20] },
  },
  {
    name: 'a ratio cuts off where that was asked for',
    css: '#a{width:32px;display:flex;align-items:flex-end;aspect-ratio:2;min-height:0}',
    body: '<div id=a>rope</div><p id=b>x',
    boxes: { a: [0, 0, 32, 16], b: [0, 32, 800, 20] },
  },
  {
    name: 'shares of a height and ratios, and blocks that stretch all the same',
    css: 'body{font:16px/20px Arial}',
    body: '<div style="height:260px"><div id=e0 style="height:75%;aspect-ratio:2"></div><div id=e1 style="height:10%;aspect-ratio:2;max-width:40px">x</div></div><div><div id=e2 style="height:75%;aspect-ratio:20">auto</div></div><div id=e3 style="height:42px;aspect-ratio:3/4;justify-self:stretch"></div><div id=e4 style="height:42px;aspect-ratio:3/4;justify-self:center"></div>',
    boxes: {
      e0: [0, 0, 390, 195],
      e1: [0, 195, 40, 26],
      e2: [0, 260, 800, 40],
      e3: [0, 300, 800, 42],
      e4: [384.25, 342, 31.5, 42],
    },
  },
];
