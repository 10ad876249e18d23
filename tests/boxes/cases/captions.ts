import type { LayoutCase } from '../../support/layout-case.js';

/** Captions and the size of their tables. CSS Tables 3 §3.2, §3.3 */
export const cases: readonly LayoutCase[] = [
  {
    name: 'captions wider than the table asked for',
    css: '',
    body: '<div id=a style="width:100px"><table id=b style="width:100%"><caption id=c><i id=d style="white-space:nowrap;padding:0 12px">used by ferries.pier</i></caption><tr id=e><td id=f>x</table></div>',
    boxes: {
      a: [0, 0, 100, 46],
      b: [0, 0, 160.06, 46],
      c: [0, 0, 160.06, 20],
      d: [0, 1, 160.06, 17],
      e: [2, 22, 156.06, 22],
      f: [2, 22, 156.06, 22],
    },
  },
  {
    name: 'captions of fixed tables',
    css: '',
    body: '<table id=a style="width:50px;table-layout:fixed"><caption id=b>used_by_ferries</caption><tr id=c><td id=d>x<td id=e>y</table>',
    boxes: {
      a: [0, 0, 113.84, 46],
      b: [0, 0, 113.84, 20],
      c: [2, 22, 109.84, 22],
      d: [2, 22, 53.92, 22],
      e: [57.92, 22, 53.92, 22],
    },
  },
  {
    name: 'captions and margins',
    css: '',
    body: '<table id=a style="width:50px;border:3px solid;border-collapse:collapse"><caption id=b style="margin:0 5px">used_by_ferries</caption><tr id=c><td id=d>x<td id=e>y</table>',
    boxes: {
      a: [0, 0, 123.84, 48],
      b: [5, 0, 113.84, 20],
      c: [1.5, 21.5, 120.84, 25],
      d: [1.5, 21.5, 60.42, 25],
      e: [61.92, 21.5, 60.42, 25],
    },
  },
  {
    name: 'captions without rows',
    css: '',
    body: '<table id=a style="width:20px"><caption id=b>used_by_ferries</caption></table>',
    boxes: { a: [0, 0, 113.84, 20], b: [0, 0, 113.84, 20] },
  },
  {
    name: 'captions of tables in grids',
    css: '',
    body: '<div id=a style="display:grid;width:160px"><table id=b><caption id=c>used_by</caption><tr id=d><td id=e>x<td id=f>y</table></div>',
    boxes: {
      a: [0, 0, 160, 46],
      b: [0, 0, 160, 46],
      c: [0, 0, 160, 20],
      d: [2, 22, 156, 22],
      e: [2, 22, 77, 22],
      f: [81, 22, 77, 22],
    },
  },
  {
    name: 'captions of stretched tables',
    css: '',
    body: '<div id=a style="display:grid;width:160px;height:200px"><table id=b><caption id=c>used_by</caption><caption id=d style="caption-side:bottom;margin:3px 0">b</caption><tr id=e><td id=f>x<td id=g>y</table></div>',
    boxes: {
      a: [0, 0, 160, 200],
      b: [0, 0, 160, 200],
      c: [0, 0, 160, 20],
      d: [0, 177, 160, 20],
      e: [2, 22, 156, 150],
      f: [2, 22, 77, 150],
      g: [81, 22, 77, 150],
    },
  },
  {
    name: 'captions in columns of boxes',
    css: '',
    body: '<div id=a style="display:flex;flex-direction:column;height:100px"><table id=b style="flex:1"><caption id=c>used_by</caption><tr id=d><td id=e>x<td id=f>y</table></div>',
    boxes: {
      a: [0, 0, 800, 100],
      b: [0, 0, 800, 100],
      c: [0, 0, 800, 20],
      d: [2, 22, 796, 76],
      e: [2, 22, 397, 76],
      f: [401, 22, 397, 76],
    },
  },
  {
    name: 'captions of absolute tables',
    css: '',
    body: '<div id=a style="position:relative;height:100px"><table id=b style="position:absolute;inset:0;width:auto"><caption id=c>used_by</caption><tr id=d><td id=e>x<td id=f>y</table></div>',
    boxes: {
      a: [0, 0, 800, 100],
      b: [0, 0, 60.5, 46],
      c: [0, 0, 60.5, 20],
      d: [2, 22, 56.5, 22],
      e: [2, 22, 27.25, 22],
      f: [31.25, 22, 27.25, 22],
    },
  },
  {
    name: 'captions and heights in percent',
    css: '',
    body: '<div id=a style="position:relative;height:100px"><table id=b style="position:absolute;height:100%"><caption id=c>used_by</caption><tr id=d><td id=e>x<td id=f>y</table></div>',
    boxes: {
      a: [0, 0, 800, 100],
      b: [0, 0, 60.5, 120],
      c: [0, 0, 60.5, 20],
      d: [2, 22, 56.5, 96],
      e: [2, 22, 27.25, 96],
      f: [31.25, 22, 27.25, 96],
    },
  },
];
