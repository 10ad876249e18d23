import type { LayoutCase } from '../../support/layout-case.js';

/** Controls without the looks of the system, and what else takes these. CSS UI §7.2, HTML §15.5 */
export const cases: readonly LayoutCase[] = [
  {
    name: 'controls that are parts of a table stand by themselves',
    css: '.n{appearance:none}',
    body: "<div>a<input id=a class=n style='display:table-cell;width:80px;height:20px'>b</div><div>a<canvas id=b style='display:inline-table;width:80px;height:20px'></canvas>b</div><div>a<textarea id=c class=n style='display:table-row;width:80px;height:20px'></textarea>b</div><div>a<fieldset id=d style='display:table-cell;width:80px;height:30px'>z</fieldset>b</div><div>a<fieldset id=e style='display:inline;width:80px;height:30px'>z</fieldset>b</div>",
    boxes: {
      a: [0, 20, 88, 26],
      b: [8.91, 66, 80, 20],
      c: [0, 111, 86, 26],
      d: [2, 177, 108, 49.59],
      e: [10.91, 246.59, 108, 49.59],
    },
  },
  {
    name: 'controls with the looks of the system are no parts of a table',
    css: '.r{display:table;width:300px}.r span{display:table-cell;width:1%}',
    body: "<div class=r id=r><input id=a style='display:table-cell;width:100%'><span id=b>add</span></div><div>a<i id=c style='appearance:button;padding:5px'>x</i><i id=d style='-webkit-appearance:button;display:table;padding:5px'>x</i><i id=e style='appearance:push-button;padding:5px'>x</i></div>",
    boxes: {
      r: [0, 0, 300, 21],
      a: [0, 0, 281.3, 21],
      b: [273.3, 0, 26.7, 21],
      c: [8.91, 21, 18, 30],
      d: [0, 51, 800, 30],
      e: [0, 77, 18, 27],
    },
  },
  {
    name: 'what is ticked without looks is an empty box',
    css: '.n{appearance:none}.a::before{content:"abc"}.b::before{content:"";display:block;width:30px;height:20px}',
    body: "<div>x<input id=a type=checkbox class='n a'>y</div><div>x<input id=b type=checkbox class='n b' style='display:inline-grid'>y</div><div><input id=c type=radio class='n b' style='display:block'></div><div>x<input id=d type=radio class='n b' style='display:inline'>y</div><div>x<input id=e type=radio class='n b' style='display:table'>y</div><div>x<progress id=f class='n a'></progress>y</div><div>x<meter id=g class='n a' style='width:auto;height:auto'></meter>y</div>",
    boxes: {
      a: [12, 3, 21.5, 15],
      b: [12, 24, 30, 20],
      c: [5, 52, 30, 20],
      d: [0, 92, 800, 20],
      e: [5, 155, 30, 20],
      f: [8, 198.19, 160, 16],
      g: [8, 218.19, 25.8, 20],
    },
  },
  {
    name: 'list boxes fit their options',
    css: 'select{font:13.3333px Arial}',
    body: "<select id=a size=3 style='display:block'><option id=b>a</select>",
    boxes: { a: [0, 0, 13.42, 52.95], b: [1, 1, 11.42, 16.98] },
  },
  {
    name: 'options outside of a select',
    css: 'option{font:16px Arial}',
    body: "<option id=a>free</option><p><option id=b>in a paragraph</option></p><datalist style='display:block'><option id=d value=v>data<option value=w id=e></datalist>",
    boxes: { a: [0, 0, 800, 20.19], b: [0, 36.19, 800, 20.19], d: [0, 72.38, 800, 20.19], e: [0, 92.56, 800, 20.19] },
  },
  {
    name: 'sliders are as thick as their track',
    css: 'input{appearance:none}\n.a::-webkit-slider-runnable-track{height:2px}.b::-webkit-slider-thumb{appearance:none;height:30px;width:10px}\n.d::-webkit-slider-runnable-track{height:2px;border:1px solid;margin:4px;padding:3px}\n.e::-webkit-slider-thumb{appearance:none;height:30px;margin-top:-8px;border:3px solid}.f::-webkit-slider-thumb{height:30px}\n.g::-webkit-slider-runnable-track{min-height:24px}.i::-webkit-slider-runnable-track{height:50%}\n.k::-webkit-slider-thumb{appearance:none}.z{appearance:auto}',
    body: "<div>x<input id=a type=range class='a'>y</div><div>x<input id=b type=range class='b'>y</div><div>x<input id=c type=range class='d'>y</div><div>x<input id=d type=range class='e'>y</div><div>x<input id=e type=range class='f'>y</div><div>x<input id=f type=range class='g'>y</div><div>x<input id=g type=range class='i'>y</div><div>x<input id=h type=range class='k'>y</div><div>x<input id=i type=range class='a e'>y</div><div>x<input id=j type=range class='b z'>y</div><div>x<input id=k type=range class='d e'>y</div><div>x<input id=l type=range class='a' style='height:40px'>y</div><div>x<input id=m type=range class='' style='writing-mode:vertical-lr'>y</div>",
    boxes: {
      a: [10, 13, 129, 2],
      b: [10, 22, 129, 30],
      c: [10, 59, 129, 16],
      d: [10, 82, 129, 22],
      e: [10, 111, 129, 16],
      f: [10, 134, 129, 24],
      g: [10, 165, 129, 16],
      h: [10, 201, 129, 0],
      i: [10, 219, 129, 2],
      j: [10, 228, 129, 16],
      k: [10, 251, 129, 16],
      l: [10, 274, 129, 40],
      m: [10, 321, 16, 129],
    },
  },
];
