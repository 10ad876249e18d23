import type { LayoutCase } from '../../support/layout-case.js';

/** Controls and pictures as widths by content squeeze them; recorded in Chromium with `npm run record`. */
export const cases: readonly LayoutCase[] = [
  {
    name: 'fields with a percentage where the column is sized by content',
    css: 'body{width:60px}table{border-collapse:collapse}td{padding:0}i{font-style:normal}.w{width:100%}.m{max-width:100%}',
    body: '<table><tr><td>a<td><input class=w id=a></table><table><tr><td>a<td><input class=m id=b></table><table><tr><td>a<td><input type=date class=w id=c></table><table><tr><td>a<td><input type=color class=w id=d></table><table><tr><td>a<td><input type=checkbox class=w id=e></table><table><tr><td>a<td><progress class=w id=f></progress></table><table><tr><td>a<td><select size=3 class=w id=g><option>hello world</select></table><table><tr><td>a<td><canvas class=m id=k></canvas></table>',
    boxes: {
      a: [8.91, 0, 59.09, 21],
      b: [8.91, 21, 177, 21],
      c: [8.91, 42.84, 129.33, 21.33],
      d: [8.91, 64.17, 12, 27],
      e: [12.91, 94.17, 20, 13],
      f: [8.91, 114.36, 0, 16],
      g: [8.91, 132.17, 51.09, 53],
      k: [8.91, 187.17, 51.09, 25.55],
    },
  },
  {
    name: 'controls whose size is automatic',
    css: 'p{margin:0}p>*{width:auto;height:auto}div{display:flex;flex-direction:column;align-items:flex-start}div>*{flex:1}',
    body: '<p><input type=color id=a><progress id=b></progress><meter id=c></meter><audio controls id=d></audio></p><div><input type=color id=e><progress id=f></progress><audio controls id=g></audio></div>',
    boxes: {
      a: [0, 7, 12, 14],
      b: [12, 18.19, 0, 0],
      c: [12, 18.19, 0, 0],
      d: [12, 15, 0, 0],
      e: [0, 21, 50, 14],
      f: [0, 35, 160, 0],
      g: [0, 35, 300, 0],
    },
  },
  {
    name: 'text areas on shared baselines',
    css: '.f{display:flex;align-items:baseline}textarea{padding:5px}.i{display:inline-block}.b{display:block;margin:4px}',
    body: '<div class=f><b style="font-size:30px" id=a>x</b><textarea id=b></textarea></div><div>x<textarea id=c></textarea></div><div>x<span class=i id=d>text<textarea class=b id=e></textarea></span></div><div>x<span class=i id=f><input type=checkbox class=b id=g></span></div><div>x<span class=i id=h>text<input type=range class=b id=k></span></div>',
    boxes: {
      a: [0, 0, 16.69, 20],
      b: [16.69, 3, 187, 42],
      c: [8, 45, 187, 42],
      d: [8, 92, 195, 70],
      e: [12, 116, 187, 42],
      f: [8, 167, 21, 21],
      g: [12, 171, 13, 13],
      h: [8, 193, 137, 44],
      k: [12, 217, 129, 16],
    },
  },
  {
    name: 'texts in place of pictures and lists of options are no flex containers',
    css: 'p{margin:0}.f{display:inline-flex}.g{display:grid}',
    body: '<p><img alt="two words" src=none.png class=f id=a></p><p><img alt="two words" src=none.png class=g id=b></p><p><select size=3 class=f id=c><option>one</select></p><p><img alt="two words" src=none.png style="display:table" id=d></p>',
    boxes: { a: [0, 0, 88.03, 20], b: [0, 20, 800, 20], c: [0, 40, 28.25, 53], d: [0, 95, 800, 20] },
  },
  {
    name: 'an empty line stands beside what floats at its top',
    css: 'div{font-size:14px;line-height:1.5}b{float:left;clear:left;line-height:1.1}',
    body: '<div><b id=a>Ac</b><b id=b>Amm</b><i id=c></i></div><p style="clear:left">x</p>',
    boxes: { a: [0, 0, 17.91, 15.39], b: [0, 15.39, 35.02, 15.39], c: [17.91, 0, 0, 0] },
  },
  {
    name: 'kerning of accented letters',
    css: 'span{white-space:nowrap}',
    body: '<span id=a>όταν όλα χώρου μεγαλύτερο ποσοστό όταν όλα χώρου μεγαλύτερο ποσοστό</span> <br> <span id=b>Ťažký ľúbezný Příliš Týždeň Łódź Ťažký ľúbezný</span>',
    boxes: { a: [0, 1, 539.67, 17], b: [0, 21, 346.97, 17] },
  },
  {
    name: 'legends stand in the border of a vertical field, areas have no boxes',
    css: '',
    body: '<map name=m><area id=a href=x></map><fieldset id=b><legend id=c>k</legend>x</fieldset>',
    boxes: { a: null, b: [2, 0, 796, 57.59], c: [16, 0, 12, 20] },
  },
  {
    name: 'lengths beside shares in the least width count while a container is sized',
    css: '.r{float:left;clear:left}',
    body: '<div class=r id=a><input type=checkbox style="min-width:calc(20% + 3em)"></div><div class=r id=b><img alt="" width=20 height=20 style="min-width:max(20%,48px)" src="data:image/svg+xml,%3Csvg xmlns=\'http://www.w3.org/2000/svg\'/%3E"></div><div class=r id=c><select style="min-width:max(20%,3em)"></select></div>',
    boxes: { a: [0, 0, 47, 21], b: [0, 21, 48, 25], c: [0, 46, 40, 20] },
  },
];
