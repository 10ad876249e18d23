import type { LayoutCase } from '../../support/layout-case.js';

/** Vertical flows, orthogonal flows and lines from right to left */
export const cases: readonly LayoutCase[] = [
  {
    name: 'a vertical-rl block in a horizontal page',
    css: '#v{writing-mode:vertical-rl;padding:1px 2px 3px 4px;border:1px solid;border-left-width:5px}',
    body: '<div id=v><p id=p>Timetable</p><p id=q>Fares</p></div><p id=z>after</p>',
    boxes: { v: [0, 0, 100, 75.66], p: [61, 2, 20, 69.66], q: [25, 2, 20, 69.66], z: [0, 91.66, 800, 20] },
  },
  {
    name: 'a vertical-lr block of given size',
    css: '#v{writing-mode:vertical-lr;width:120px;height:80px}',
    body: '<div id=v><span id=s>Timetable of all crossings</span><p id=q>Fares</p></div>',
    boxes: { v: [0, 0, 120, 80], s: [2, 0, 57, 69.66], q: [76, 0, 20, 80] },
  },
  {
    name: 'a horizontal block in a vertical one',
    css: '#v{writing-mode:vertical-rl;height:90px}#h{writing-mode:horizontal-tb;width:50px}',
    body: '<div id=v><p id=p>North</p><div id=h>Sula Rock pier</div></div>',
    boxes: { v: [0, 0, 102, 90], p: [66, 0, 20, 90], h: [0, 0, 50, 60] },
  },
  {
    name: 'sideways-lr',
    css: '#v{writing-mode:sideways-lr;height:90px}',
    body: '<div id=v><span id=s>North</span> <span id=t>South</span><p id=q>East</p></div>',
    boxes: { v: [0, 0, 72, 90], s: [1, 50.88, 17, 39.13], t: [1, 4.61, 17, 41.81], q: [36, 0, 20, 90] },
  },
  {
    name: 'a vertical inline box becomes one piece',
    css: '#s{writing-mode:vertical-rl}',
    body: '<div id=d>Pier <span id=s>North</span> gate</div>',
    boxes: { d: [0, 0, 800, 44.13], s: [32.91, 0, 20, 39.13] },
  },
  {
    name: 'a vertical flex row',
    css: '#v{writing-mode:vertical-rl;display:flex;height:200px;gap:10px}#a{flex:1}#b{width:40px}',
    body: '<div id=v><div id=a>One</div><div id=b>Two</div></div>',
    boxes: { v: [0, 0, 40, 200], a: [0, 0, 40, 160.66], b: [0, 170.66, 40, 29.34] },
  },
  {
    name: 'a vertical flex column with margins',
    css: '#v{writing-mode:vertical-lr;display:flex;flex-direction:column;height:100px}#a{margin:5px 6px 7px 8px}',
    body: '<div id=v><div id=a>One</div><div id=b>Two</div></div>',
    boxes: { v: [0, 0, 54, 100], a: [8, 5, 20, 88], b: [34, 0, 20, 100] },
  },
  {
    name: 'a vertical grid',
    css: '#v{writing-mode:vertical-rl;display:grid;grid:30px auto/1fr 40px;height:160px}',
    body: '<div id=v><div id=a>One</div><div id=b>Two</div><div id=c>Three</div><div id=e>Four</div></div>',
    boxes: { v: [0, 0, 50, 160], a: [20, 0, 30, 120], b: [20, 120, 30, 40], c: [0, 0, 20, 120], e: [0, 120, 20, 40] },
  },
  {
    name: 'an absolute box in a vertical flow',
    css: '#v{writing-mode:vertical-rl;position:relative;width:100px;height:80px}#a{position:absolute}#b{position:absolute;left:5px;bottom:6px}',
    body: '<div id=v><p id=p>North</p><div id=a>Tag</div><div id=b>Pin</div></div>',
    boxes: { v: [0, 0, 100, 80], p: [64, 0, 20, 80], a: [28, 0, 20, 25.8], b: [5, 50.88, 20, 23.13] },
  },
  {
    name: 'a float in a vertical flow',
    css: '#v{writing-mode:vertical-rl;height:100px}#f{float:right;width:20px;height:30px}',
    body: '<div id=v><div id=f></div><span id=s>North pier and South pier</span></div>',
    boxes: { v: [0, 0, 60, 100], f: [40, 70, 20, 30], s: [2, 0, 57, 72.94] },
  },
  {
    name: 'a vertical table',
    css: '#v{writing-mode:vertical-rl;border-spacing:3px}td{padding:2px}',
    body: '<table id=v><tr id=r><td id=a>North</td><td id=b>South</td></tr><tr><td id=c>East</td><td id=e>West</td></tr></table>',
    boxes: {
      v: [0, 0, 57, 97.94],
      r: [30, 3, 24, 91.94],
      a: [30, 3, 24, 43.13],
      b: [30, 49.13, 24, 45.81],
      c: [3, 3, 24, 43.13],
      e: [3, 49.13, 24, 45.81],
    },
  },
  {
    name: 'percent padding in an orthogonal flow',
    css: '#d{width:200px}#v{writing-mode:vertical-rl;padding:10%}',
    body: '<div id=d><div id=v>North</div></div>',
    boxes: { d: [0, 0, 200, 79.13], v: [0, 0, 60, 79.13] },
  },
  {
    name: 'a picture keeps its sizes',
    css: '#v{writing-mode:vertical-rl}',
    body: '<div id=v><svg id=s width=50 height=20></svg></div>',
    boxes: { v: [0, 0, 50, 20], s: [0, 0, 50, 20] },
  },
  {
    name: 'auto margins in a vertical flow',
    css: '#v{writing-mode:vertical-rl;height:200px;width:100px}#a{height:50px;margin:auto 0}',
    body: '<div id=v><div id=a>North</div></div>',
    boxes: { v: [0, 0, 100, 200], a: [80, 75, 20, 50] },
  },
  {
    name: 'a menu set from right to left',
    css: 'html{direction:rtl}ul{display:flex;gap:8px;padding:0 20px 0 5px;margin:0;list-style:none}a{padding:4px 10px 4px 2px;display:block}',
    body: '<ul id=u><li id=a><a id=x href=#>Home</a></li><li id=b><a id=y href=#>Islands</a></li></ul>',
    boxes: {
      u: [0, 0, 800, 28],
      a: [725.31, 0, 54.69, 28],
      x: [725.31, 0, 54.69, 28],
      b: [654.61, 0, 62.7, 28],
      y: [654.61, 0, 62.7, 28],
    },
  },
  {
    name: 'rtl inline margins',
    css: 'div{direction:rtl}#b{margin:0 3px 0 9px;display:inline-block;width:20px;height:10px}#s{margin-left:7px;padding-right:4px}',
    body: '<div id=d>one <i id=b></i> two <span id=s>three</span></div>',
    boxes: { d: [0, 0, 800, 20], b: [695.73, 5, 20, 10], s: [759.53, 1, 40.47, 17] },
  },
  {
    name: 'rtl overflow',
    css: '#d{direction:rtl;width:60px;white-space:nowrap}',
    body: '<div id=d><span id=s>Every island crossing</span></div>',
    boxes: { d: [0, 0, 60, 20], s: [-91.17, 1, 151.17, 17] },
  },
  {
    name: 'rtl table columns',
    css: '#t{direction:rtl;border-spacing:2px}td{padding:1px}',
    body: '<table id=t><tr><td id=a>One</td><td id=b>Two more</td></tr></table>',
    boxes: { t: [0, 0, 110.5, 26], a: [76.25, 2, 32.25, 22], b: [2, 2, 72.25, 22] },
  },
];
