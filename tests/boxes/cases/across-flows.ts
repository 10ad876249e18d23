import type { LayoutCase } from '../../support/layout-case.js';

/** Sizes of content that flows across, where the room is not known. CSS Writing Modes 4 §7.3 */
export const cases: readonly LayoutCase[] = [
  {
    name: 'percentages across flows 1',
    css: '.v{writing-mode:vertical-rl;background:#cde}p{margin:0}',
    body: '<div id=a style="height:75%" class=v></div>',
    boxes: { a: [0, 0, 0, 450] },
  },
  {
    name: 'percentages across flows 2',
    css: '.v{writing-mode:vertical-rl;background:#cde}p{margin:0}',
    body: '<div id=a><div id=b style="height:75%" class=v>x</div></div>',
    boxes: { a: [0, 0, 800, 450], b: [0, 0, 20, 450] },
  },
  {
    name: 'percentages across flows 3',
    css: '.v{writing-mode:vertical-rl;background:#cde}p{margin:0}',
    body: '<div id=a style="max-height:300px"><div id=b style="height:75%" class=v>x</div></div>',
    boxes: { a: [0, 0, 800, 225], b: [0, 0, 20, 225] },
  },
  {
    name: 'percentages across flows 4',
    css: '.v{writing-mode:vertical-rl;background:#cde}p{margin:0}',
    body: '<div id=a style="max-height:300px;overflow:hidden"><div id=b style="height:75%" class=v>x</div></div>',
    boxes: { a: [0, 0, 800, 225], b: [0, 0, 20, 225] },
  },
  {
    name: 'percentages across flows 5',
    css: '.v{writing-mode:vertical-rl;background:#cde}p{margin:0}',
    body: '<div id=a style="max-height:300px"><p><i id=b style="height:75%;display:inline-block" class=v>x</i></p></div>',
    boxes: { a: [0, 0, 800, 300], b: [0, 0, 20, 450] },
  },
  {
    name: 'percentages across flows 6',
    css: '.v{writing-mode:vertical-rl;background:#cde}p{margin:0}',
    body: '<div id=a style="min-height:300px"><div id=b style="height:25%" class=v>x</div></div>',
    boxes: { a: [0, 0, 800, 300], b: [0, 0, 20, 150] },
  },
  {
    name: 'percentages across flows 7',
    css: '.v{writing-mode:vertical-rl;background:#cde}p{margin:0}',
    body: '<div id=a style="height:100px"><p><i id=b style="height:75%;display:inline-block" class=v>x</i></p></div>',
    boxes: { a: [0, 0, 800, 100], b: [0, 0, 20, 450] },
  },
  {
    name: 'percentages across flows 8',
    css: '.v{writing-mode:vertical-rl;background:#cde}p{margin:0}',
    body: '<div id=a style="float:left"><div id=b style="height:25%" class=v>x</div></div>',
    boxes: { a: [0, 0, 20, 150], b: [0, 0, 20, 150] },
  },
  {
    name: 'percentages across flows 9',
    css: '.v{writing-mode:vertical-rl;background:#cde}p{margin:0}',
    body: '<div id=a style="clear:both"><div id=b style="max-height:10%" class=v>lighthouse</div></div>',
    boxes: { a: [0, 0, 800, 60], b: [0, 0, 20, 60] },
  },
  {
    name: 'percentages across flows 10',
    css: '.v{writing-mode:vertical-rl;background:#cde}p{margin:0}',
    body: '<div id=a style="display:flex"><div id=b style="height:25%" class=v>x</div></div>',
    boxes: { a: [0, 0, 800, 150], b: [0, 0, 20, 150] },
  },
  {
    name: 'percentages across flows 11',
    css: '.v{writing-mode:vertical-rl;background:#cde}p{margin:0}',
    body: '<div id=a style="display:flex"><div id=b style="max-height:5%" class=v>lighthouse keeper</div></div>',
    boxes: { a: [0, 0, 800, 30], b: [0, 0, 40, 30] },
  },
  {
    name: 'percentages across flows 12',
    css: '.v{writing-mode:vertical-rl;background:#cde}p{margin:0}',
    body: '<div id=a style="display:grid"><div id=b style="height:25%" class=v>x</div></div>',
    boxes: { a: [0, 0, 800, 8], b: [0, 0, 800, 2] },
  },
  {
    name: 'percentages across flows 13',
    css: '.v{writing-mode:vertical-rl;background:#cde}p{margin:0}',
    body: '<div id=a style="display:grid"><div id=b style="max-height:5%" class=v>lighthouse keeper</div></div>',
    boxes: { a: [0, 0, 800, 126.31], b: [0, 0, 800, 6.31] },
  },
  {
    name: 'percentages across flows 14',
    css: '.v{writing-mode:vertical-rl;background:#cde}p{margin:0}',
    body: '<table><tr><td><div id=a style="height:25%" class=v>x</div></table>',
    boxes: { a: [3, 3, 20, 150] },
  },
  {
    name: 'percentages across flows 15',
    css: '.v{writing-mode:vertical-rl;background:#cde}p{margin:0}',
    body: '<div id=a style="position:relative;height:40px"><div id=b style="position:absolute"><div id=c style="height:25%" class=v>x</div></div></div>',
    boxes: { a: [0, 0, 800, 40], b: [0, 0, 20, 150], c: [0, 0, 20, 150] },
  },
  {
    name: 'percentages across flows 16',
    css: '.v{writing-mode:vertical-rl;background:#cde}p{margin:0}',
    body: '<div id=a><div id=b style="padding-top:10%;height:20px" class=v>x</div></div>',
    boxes: { a: [0, 0, 800, 100], b: [0, 0, 20, 100] },
  },
  {
    name: 'percentages across flows 17',
    css: '.v{writing-mode:vertical-rl;background:#cde}p{margin:0}',
    body: '<div id=a style="display:inline-block"><div id=b style="width:50%;height:10%" class=v>x y</div></div>',
    boxes: { a: [0, 0, 20, 60], b: [0, 0, 10, 60] },
  },
  {
    name: 'percentages across flows 18',
    css: '.v{writing-mode:vertical-rl;background:#cde}p{margin:0}',
    body: '<div id=a style="max-height:20%"><div id=b style="height:50%" class=v>x</div></div>',
    boxes: { a: [0, 0, 800, 300], b: [0, 0, 20, 300] },
  },
  {
    name: 'percentages across flows 19',
    css: '.v{writing-mode:vertical-rl;background:#cde}p{margin:0}',
    body: '<div id=a style="height:calc(20px + 30px)"><p><i id=b style="height:75%;display:inline-block" class=v>x</i></p></div>',
    boxes: { a: [0, 0, 800, 50], b: [0, 0, 20, 450] },
  },
  {
    name: 'percentages across flows 20',
    css: '.v{writing-mode:vertical-rl;background:#cde}p{margin:0}',
    body: '<div id=a style="max-height:60px;padding:10px;border:1px solid"><div id=b style="" class=v>lighthouse keeper of the island</div></div>',
    boxes: { a: [0, 0, 800, 82], b: [11, 11, 60, 72.95] },
  },
  {
    name: 'percentages across flows 21',
    css: '.v{writing-mode:vertical-rl;background:#cde}p{margin:0}',
    body: '<div id=a style="max-height:60px;min-height:80px;padding:10px;box-sizing:border-box;border:1px solid"><div id=b style="" class=v>lighthouse keeper of the island</div></div>',
    boxes: { a: [0, 0, 800, 80], b: [11, 11, 60, 72.95] },
  },
  {
    name: 'percentages across flows 22',
    css: '.v{writing-mode:vertical-rl;background:#cde}p{margin:0}',
    body: '<div id=a style="height:auto;min-height:80px"><div id=b style="" class=v>lighthouse keeper of the island</div></div>',
    boxes: { a: [0, 0, 800, 217.05], b: [0, 0, 20, 217.05] },
  },
];
