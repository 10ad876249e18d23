import type { LayoutCase } from '../../support/layout-case.js';

/** What list items and tables do where browsers keep to old ways; recorded in Chromium with `npm run record`. */
export const cases: readonly LayoutCase[] = [
  {
    name: 'white space in tables without cells',
    css: 'div{display:table}b{font-weight:400}',
    body: '<div id=a><b>a</b> <b id=b>b</b></div><div id=c>text<!-- --> <b id=d>b</b></div><div id=e style="display:table-row"><b>a</b> <!-- --> <b id=f>b</b></div><div id=g style="white-space:pre"><b>a</b> <b id=h>b</b></div>',
    boxes: {
      a: [0, 0, 17.81, 20],
      b: [8.91, 1, 8.91, 17],
      c: [0, 20, 39.16, 20],
      d: [30.25, 21, 8.91, 17],
      e: [0, 40, 17.81, 20],
      f: [8.91, 41, 8.91, 17],
      g: [0, 60, 17.81, 20],
      h: [8.91, 61, 8.91, 17],
    },
  },
  {
    name: 'tables do not pass on that they are centred',
    css: '',
    body: '<center><table width=300 id=a><tr><td id=b><p style="width:50px" id=c>x</p><table id=d><tr><td>k</table></table></center>',
    boxes: { a: [250, 0, 300, 84], b: [252, 2, 296, 80], c: [253, 19, 50, 20], d: [253, 55, 14, 26] },
  },
  {
    name: 'dashes at the start of a word stay with it',
    css: 'p{width:60px}',
    body: '<p>word –<b id=a>skip</b></p><p>10–<b id=b>200000</b></p><p>word –<b id=c>500000</b></p><p>wordword–<b id=d>skip</b></p>',
    boxes: { a: [8.91, 37, 32.02, 17], b: [0, 93, 53.39, 17], c: [0, 149, 53.39, 17], d: [0, 205, 32.02, 17] },
  },
  {
    name: 'kerning stops where a script begins',
    css: 'p{width:300px}',
    body: '<p><b id=a>дом AVAVAV</b> <b id=b>дом A</b></p>',
    boxes: { a: [0, 17, 96.75, 17], b: [101.2, 17, 47.56, 17] },
  },
  {
    name: 'the box a loose line of a list item begins in has its line height',
    doctype: '<!DOCTYPE html PUBLIC "-//W3C//DTD HTML 4.01 Transitional//EN" "http://www.w3.org/TR/html4/loose.dtd">',
    css: 'div{width:60px;font-size:13px;line-height:1.3}code{font-size:13px}ul{margin:0;padding:0;list-style:none}',
    body: '<div><ul id=a><li><code id=b>accidental interface</code></ul></div><div><ul id=c><li><i>3.2 <code id=d>accidental interface</code></i></ul></div><div><ul id=e><li><code>aaaaaaa </code><code id=f>bbbbbbb</code> <code id=g>ccccccc</code></ul></div><div><p id=h><code>accidental interface</code></p></div>',
    boxes: {
      a: [0, 0, 60, 34.78],
      b: [0, 1, 78.02, 31.89],
      c: [0, 34.78, 60, 51.67],
      d: [0, 52.67, 78.02, 31.89],
      e: [0, 86.45, 60, 53.67],
      f: [0, 105.34, 54.61, 15],
      g: [0, 123.23, 54.61, 15],
      h: [0, 153.13, 60, 33.78],
    },
  },
];
