import type { LayoutCase } from '../../support/layout-case.js';

/** Tables without columns, groups without rows. CSS Tables §3.10 */
export const cases: readonly LayoutCase[] = [
  {
    name: 'rows without cells are as wide as their table',
    css: '',
    body: "<table id=a style='width:200px'><thead id=b><tr id=c></tr></thead><tbody id=d></tbody></table><table id=e style='width:200px;padding:5px;border:1px solid'><tr id=f style='height:20px'></tr></table><table id=g><tr id=h style='height:20px'></tr></table>",
    boxes: {
      a: [0, 0, 200, 0],
      b: [0, 0, 200, 0],
      c: [0, 0, 200, 0],
      d: [0, 0, 200, 0],
      e: [0, 0, 200, 32],
      f: [6, 6, 188, 20],
      g: [0, 32, 0, 20],
      h: [0, 32, 0, 20],
    },
  },
  {
    name: 'borders collapse to nothing where there is no cell',
    css: 'table{border-collapse:collapse;border:4px solid;width:200px}',
    body: "<table id=a><col><col></table><table id=b style='padding:5px'><tr id=c></tr></table><table id=d style='height:30px'><tr id=e></tr></table>",
    boxes: { a: [0, 0, 200, 0], b: [0, 0, 200, 0], c: [0, 0, 200, 0], d: [0, 0, 200, 30], e: [0, 0, 200, 30] },
  },
  {
    name: 'groups without rows take of a taller table',
    css: 'table{width:200px}td,th{padding:0}',
    body: "<table id=a style='height:100px'><thead id=b><tr><th>a</thead><tbody id=c></tbody></table><table style='height:100px'><thead id=d><tr><th>a</thead><tbody id=e></tbody><tbody id=f></tbody></table><table style='height:100px'><thead><tr><th>a</thead><tbody id=g></tbody><tbody id=h><tr><td>b</tbody></table><table style='height:100px'><thead><tr><th>a</thead><tbody id=i></tbody><tfoot id=j><tr><td>f</tfoot></table>",
    boxes: {
      a: [0, 0, 200, 100],
      b: [2, 2, 196, 20],
      c: [2, 22, 196, 74],
      d: [2, 102, 196, 20],
      e: [2, 122, 196, 36],
      f: [2, 158, 196, 36],
      g: [2, 222, 196, 0],
      h: [2, 224, 196, 72],
      i: [2, 322, 196, 52],
      j: [2, 376, 196, 20],
    },
  },
  {
    name: 'groups without rows have the height they ask for',
    css: 'table{width:200px}td,th{padding:0}',
    body: "<table id=a><thead id=b><tr><th>a</thead><tbody id=c style='height:30px'></tbody><tfoot id=d><tr><td>f</tfoot></table><table id=e><tbody id=f style='height:30px'></tbody></table><table id=g style='height:50px'><tbody id=h></tbody><tbody id=i style='height:10px'></tbody></table><table id=j style='height:50px'><tr id=k></tr><tr id=l></tr></table>",
    boxes: {
      a: [0, 0, 200, 76],
      b: [2, 2, 196, 20],
      c: [2, 22, 196, 30],
      d: [2, 54, 196, 20],
      e: [0, 76, 200, 30],
      f: [0, 76, 200, 30],
      g: [0, 106, 200, 50],
      h: [0, 106, 200, 34],
      i: [0, 140, 200, 10],
      j: [0, 156, 200, 50],
      k: [0, 156, 200, 22],
      l: [0, 178, 200, 22],
    },
  },
];
