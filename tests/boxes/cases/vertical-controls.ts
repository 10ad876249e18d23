import type { LayoutCase } from '../../support/layout-case.js';

/** Controls in vertical writing modes. CSS Writing Modes §4, HTML §15.5 */
export const cases: readonly LayoutCase[] = [
  {
    name: 'controls are written along vertical lines',
    css: '.v{writing-mode:vertical-lr;float:left}.v>*{display:block}',
    body: '<div class=v id=a><input id=b><input id=c type=checkbox><input id=d type=number><input id=e type=range><input id=f type=color><input id=g type=file></div><div class=v id=h><select id=i><option>option a</select><select id=j size=3><option id=k>option a</select></div><div class=v><textarea id=l></textarea><textarea id=m cols=5 rows=6></textarea></div><div class=v><meter id=n></meter><progress id=o></progress></div><div class=v><button id=p>Button</button><input id=q type=submit></div>',
    boxes: {
      a: [0, 0, 130, 253],
      b: [0, 0, 21, 177],
      c: [25, 3, 13, 13],
      d: [41, 0, 21, 177],
      e: [64, 2, 16, 129],
      f: [82, 0, 27, 50],
      g: [109, 0, 21, 253],
      h: [130, 0, 72, 70],
      i: [130, 0, 19, 70],
      j: [149, 0, 53, 53.44],
      k: [150, 1, 17, 51.44],
      l: [202, 0, 36, 181],
      m: [238, 0, 96, 61],
      n: [334, 0, 16, 80],
      o: [350, 0, 16, 160],
      p: [366, 0, 21, 54.55],
      q: [387, 0, 21, 57.48],
    },
  },
  {
    name: 'controls across the lines they stand in',
    css: '',
    body: "<input id=a style='writing-mode:vertical-rl'><textarea id=b style='writing-mode:vertical-rl'></textarea><select id=c style='writing-mode:vertical-rl'><option>abc</select><button id=d style='writing-mode:vertical-rl'>abc</button><progress id=e style='writing-mode:vertical-rl'></progress><meter id=f style='writing-mode:sideways-lr'></meter><input id=g type=range style='writing-mode:vertical-rl'>",
    boxes: {
      a: [0, 4, 21, 177],
      b: [21, 0, 36, 181],
      c: [57, 137, 19, 44],
      d: [76, 151.5, 21, 37.5],
      e: [97, 24.19, 16, 160],
      f: [113, 104.19, 16, 80],
      g: [131, 52, 16, 129],
    },
  },
  {
    name: 'controls stand with their middles on that of a vertical line',
    css: '.v{writing-mode:vertical-rl;float:left;height:150px;line-height:40px}i{display:inline-block;inline-size:10px;block-size:60px}',
    body: "<div class=v>a<input id=b type=range style='inline-size:90px'><i></i></div><div class=v>a<textarea id=c cols=2></textarea><i></i></div><div class=v>a<input id=d type=color><i></i></div><div class=v>a<button id=e>b</button><i></i></div>",
    boxes: { b: [22, 10.91, 16, 90], c: [72, 8.91, 36, 37], d: [136.5, 8.91, 27, 50], e: [200, 8.91, 21, 23.42] },
  },
];
