import type { LayoutCase } from '../../support/layout-case.js';

/** Objects and embedded content whose file is missing */
export const cases: readonly LayoutCase[] = [
  {
    name: 'embedded 1',
    css: 'p{margin:0}',
    body: '<p id=e0><object id=e1></object>a</p><p id=e2><object id=e3 codebase="x"><param name=a value=b></object>a</p><p id=e4><object id=e5 codebase=x><b id=e6>fallback</b></object>a</p><p id=e7><object id=e8 data="nix.swf"></object>a</p>',
    boxes: {
      e0: [0, 0, 800, 155],
      e1: [0, 0, 300, 150],
      e2: [0, 155, 800, 155],
      e3: [0, 155, 300, 150],
      e4: [0, 310, 800, 20],
      e5: [0, 311, 59.59, 17],
      e6: [0, 311, 59.59, 17],
      e7: [0, 330, 800, 155],
      e8: [0, 330, 300, 150],
    },
  },
  {
    name: 'embedded 2',
    css: 'p{margin:0}',
    body: '<p id=e0><object id=e1 data="nix.swf" width=50 height=20>fallback</object>a</p><p id=e6><object id=e7 classid="clsid:D27CDB6E" width=100 height=50><param name=movie value=x><embed id=e8 src="nix.swf" width=100 height=50></object>a</p>',
    boxes: {
      e0: [0, 0, 800, 20],
      e1: [0, 1, 54.25, 17],
      e6: [0, 20, 800, 55],
      e7: [0, 56, 100, 17],
      e8: [0, 20, 100, 50],
    },
  },
  {
    name: 'embedded 3',
    css: 'p{margin:0}',
    body: '<p id=e0><object id=e1 data="" width=100>x</object></p><p id=e2><embed id=e3 src=nix.swf></p><p id=e4><embed id=e5></p><p id=e6><embed id=e7 src="nix.swf" type="application/x-shockwave-flash" width=30 height=20></p>',
    boxes: {
      e0: [0, 0, 800, 20],
      e1: [0, 1, 8, 17],
      e2: [0, 20, 800, 155],
      e3: [0, 20, 300, 150],
      e4: [0, 175, 800, 0],
      e5: null,
      e6: [0, 175, 800, 25],
      e7: [0, 175, 30, 20],
    },
  },
  {
    name: 'embedded 4',
    css: 'p{margin:0}',
    body: '<p id=e0><object id=e1 type="text/html"></object>b</p>',
    boxes: { e0: [0, 0, 800, 155], e1: [0, 0, 300, 150] },
  },
  {
    name: 'areas of image maps',
    css: '',
    body: '<div id=d style="text-align:center;padding:5px;margin:20px"><map name=m><area id=a><area id=b></map>x</div><ul><li id=l>y<area id=c style="display:inline-block"></ul><area id=e style="display:block">',
    boxes: { d: [20, 20, 760, 30], a: null, b: null, l: [40, 70, 760, 20], c: [48, 85, 0, 0], e: [0, 106, 800, 0] },
  },
];
