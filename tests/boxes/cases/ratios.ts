import type { LayoutCase } from '../../support/layout-case.js';

/** Sizes that follow from a ratio */
export const cases: readonly LayoutCase[] = [
  {
    name: 'ratios and content',
    css: 'body{margin:0;font:16px/20px Arial}div{margin-bottom:2px}',
    body: '<div id=e0 style="width:80px;aspect-ratio:2">morning 12:45 fog of</div><div id=e1 style="width:80px;aspect-ratio:2;overflow:hidden">morning 12:45 fog of</div><div id=e2 style="width:80px;aspect-ratio:2;min-height:0">morning 12:45 fog of</div>\n<div id=e3 style="max-height:91px;aspect-ratio:3 / 4"></div><div id=e4 style="min-height:91px;width:20px;aspect-ratio:3 / 4"></div><div id=e5 style="float:left;max-height:50px;aspect-ratio:2">some words that are long enough</div><div id=e6 style="float:left;min-height:50px;aspect-ratio:2">so</div><div id=e7 style="clear:both"></div>\n<div id=e8 style="display:flex"><p id=e9 style="aspect-ratio:2;margin:0">abc def</p><p id=e10 style="aspect-ratio:1;width:30px;margin:0">abc def ghi</p></div>\n<div id=e11 style="display:grid;grid-template-columns:100px 100px;align-items:start"><p id=e12 style="aspect-ratio:2;margin:0">abc def</p><p id=e13 style="aspect-ratio:5;margin:0">abc def abc def abc def</p></div>\n<div id=e14 style="position:relative;height:100px"><p id=e15 style="aspect-ratio:2;margin:0;position:absolute;width:60px">abc def ghi jkl mno</p><p id=e16 style="aspect-ratio:2;margin:0;position:absolute;height:60px;left:100px">abc def ghi jkl mno</p></div>\n<div id=e17 style="aspect-ratio:2;height:40px">abc</div><div id=e18 style="aspect-ratio:2;height:40px">abcdefghijklmnopqrst</div><div id=e19 style="width:80px;aspect-ratio:2;padding:10px;box-sizing:border-box">morning 12:45 fog of</div><div id=e20 style="width:80px;aspect-ratio:2;display:flex">morning 12:45 fog of</div><div id=e21 style="width:80px;aspect-ratio:2;display:grid">morning 12:45 fog of</div><div id=e22 style="width:80px;aspect-ratio:auto 2">morning 12:45 fog of</div>\n<span id=e23 style="display:inline-block;max-width:3em;aspect-ratio:3 / 4">rope fare: tide a b</span>',
    width: 1280,
    boxes: {
      e0: [0, 0, 80, 60],
      e1: [0, 62, 80, 40],
      e2: [0, 104, 80, 40],
      e3: [0, 146, 68.25, 91],
      e4: [0, 239, 20, 91],
      e5: [0, 332, 100, 50],
      e6: [100, 332, 100, 50],
      e7: [0, 384, 1280, 0],
      e8: [0, 386, 1280, 60],
      e9: [0, 386, 52.48, 60],
      e10: [52.48, 386, 30, 60],
      e11: [0, 448, 1280, 50],
      e12: [0, 448, 100, 50],
      e13: [100, 448, 100, 40],
      e14: [0, 500, 1280, 100],
      e15: [0, 500, 60, 60],
      e16: [100, 500, 120, 60],
      e17: [0, 602, 80, 40],
      e18: [0, 644, 151.2, 40],
      e19: [0, 686, 80, 80],
      e20: [0, 768, 80, 40],
      e21: [0, 810, 80, 60],
      e22: [0, 872, 80, 60],
      e23: [0, 934, 48, 80],
    },
  },
];
