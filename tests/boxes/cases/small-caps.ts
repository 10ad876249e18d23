import type { LayoutCase } from '../../support/layout-case.js';

/** Small capitals made of capitals, and characters without a glyph. CSS Fonts 4 §6.6, CSS Text 3 §2 */
export const cases: readonly LayoutCase[] = [
  {
    name: 'small capitals',
    css: '',
    body: '<p id=a><span id=b style="font-variant:small-caps">Tide Wrack ferries</span></p>',
    boxes: { a: [0, 16, 800, 20], b: [0, 17, 130.34, 17] },
  },
  {
    name: 'in other sizes',
    css: '',
    body: '<p id=a style="font-size:15px"><span id=b style="font-variant:small-caps">Tide Wrack ferries aboard every island</span></p>',
    boxes: { a: [0, 15, 800, 20], b: [0, 16, 264.02, 17] },
  },
  {
    name: 'whole px of monospaced letters',
    css: '',
    body: '<p id=a style="font-family:monospace;font-size:19px"><span id=b style="font-variant:small-caps">aaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaa</span></p>',
    boxes: { a: [0, 19, 800, 20], b: [0, 18, 296.45, 22] },
  },
  {
    name: 'slanted and bold',
    css: '',
    body: '<p id=a><i id=b style="font-variant-caps:small-caps">Tide Wrack</i> <b id=c style="font-variant:small-caps">Tide Wrack</b></p>',
    boxes: { a: [0, 16, 800, 20], b: [0, 17, 78.22, 17], c: [82.67, 17, 79.44, 17] },
  },
  {
    name: 'all small capitals',
    css: '',
    body: '<p id=a><span id=b style="font-variant:all-small-caps">Tide Wrack 12</span></p>',
    boxes: { a: [0, 16, 800, 20], b: [0, 17, 84.36, 17] },
  },
  {
    name: 'unicase',
    css: '',
    body: '<p id=a><span id=b style="font-variant:unicase">Tide WRACK 12</span></p>',
    boxes: { a: [0, 16, 800, 20], b: [0, 17, 87.38, 17] },
  },
  {
    name: 'petite capitals',
    css: '',
    body: '<p id=a><span id=b style="font-variant:petite-caps">Tide</span> <span id=c style="font-variant:all-petite-caps">Tide 1</span></p>',
    boxes: { a: [0, 16, 800, 20], b: [0, 17, 28.13, 17], c: [32.58, 17, 34.23, 17] },
  },
  {
    name: 'other words leave letters alone',
    css: '',
    body: '<p id=a><span id=b style="font-variant:titling-caps tabular-nums no-common-ligatures">Tide Wrack 12</span></p>',
    boxes: { a: [0, 16, 800, 20], b: [0, 17, 102.27, 17] },
  },
  {
    name: 'taken back',
    css: '',
    body: '<p id=a style="font-variant:small-caps"><span id=b>Tide</span> <span id=c style="font-variant:normal">Tide</span></p>',
    boxes: { a: [0, 16, 800, 20], b: [0, 17, 28.13, 17], c: [32.58, 17, 30.53, 17] },
  },
  {
    name: 'in the shorthand',
    css: '',
    body: '<p id=a><span id=b style="font:small-caps bold 20px sans-serif">Tide Wrack</span></p>',
    boxes: { a: [0, 16, 800, 23], b: [0, 16, 100.44, 22] },
  },
  {
    name: 'set apart',
    css: '',
    body: '<p id=a style="font-variant:small-caps;letter-spacing:2px"><span id=b>Tide Wrack</span></p>',
    boxes: { a: [0, 16, 800, 20], b: [0, 17, 98.22, 17] },
  },
  {
    name: 'control characters',
    css: '',
    body: '<p id=a><span id=b>a&#1;b</span> <span id=c>&#x8d;</span> <span id=d>&#x7f;&#xad;</span></p>',
    boxes: { a: [0, 16, 800, 20], b: [0, 17, 23.64, 17], c: [28.09, 17, 5.84, 17], d: [38.39, 17, 5.84, 17] },
  },
  {
    name: 'separators of lines',
    css: '',
    body: '<p id=a><span id=b>a&#x2028;b</span> <span id=c>&#x2029;</span> <span id=e>&#x61c;</span></p>',
    boxes: { a: [0, 16, 800, 20], b: [0, 17, 22.25, 17], c: [26.7, 17, 4.45, 17], e: [35.61, 17, 0, 17] },
  },
];
