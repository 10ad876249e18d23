import type { LayoutCase } from '../../support/layout-case.js';

/** Fields for dates and times; recorded in Chromium with `npm run record`. */
export const cases: readonly LayoutCase[] = [
  {
    name: 'parts of dates and times in their font',
    css: 'input{display:block}.i{font:inherit}.l{font:20px/40px serif}',
    body: '<input type=date id=a><input type=date id=b class=i><input type=time id=c><input type=time id=d class=i><input type=month id=e class=i><input type=week id=f class=l><input type=datetime-local id=g class=i><input type=datetime-local id=h class=l style="letter-spacing:1px">',
    boxes: {
      a: [0, 0, 124.33, 21.33],
      b: [0, 21.33, 138, 26],
      c: [0, 47.33, 99, 24],
      d: [0, 71.33, 108.8, 26.8],
      e: [0, 98.13, 166, 26],
      f: [0, 124.13, 174, 46],
      g: [0, 170.13, 219, 26],
      h: [0, 196.13, 275, 46],
    },
  },
  {
    name: 'parts of dates and times by their limits',
    css: 'input{display:block}',
    body: '<input type=date max=2030-12-31 id=a><input type=month max=2030-02 id=b><input type=time step=1 id=c><input type=time step=.001 id=d><input type=time value=12:00:30 id=e><input type=datetime-local step=1 id=f><input type=time step=any id=g>',
    boxes: {
      a: [0, 0, 108.33, 21.33],
      b: [0, 21.33, 138.33, 21.33],
      c: [0, 42.66, 125, 24],
      d: [0, 66.66, 159, 24],
      e: [0, 90.66, 125, 24],
      f: [0, 114.66, 232.33, 21.33],
      g: [0, 135.98, 99, 24],
    },
  },
  {
    name: 'what opens the picker, and what the fields stand in',
    css: 'input{display:block;border:0;padding:0}#a::-webkit-calendar-picker-indicator{display:none}#b::-webkit-calendar-picker-indicator{width:30px;height:30px}#c::-webkit-datetime-edit-fields-wrapper{padding:0}#c{line-height:30px}#d::-webkit-datetime-edit{padding:3px}#e::-webkit-inner-spin-button{-webkit-appearance:none}',
    body: '<input type=date id=a><input type=time id=b><input type=date id=c><input type=week id=d><input type=number min=1 max=10 id=e><input type=number min=1 max=10 id=f>',
    boxes: {
      a: [0, 0, 102, 17],
      b: [0, 17, 110, 36],
      c: [0, 53, 119.33, 30],
      d: [0, 83, 147.33, 23],
      e: [0, 106, 25, 15],
      f: [0, 121, 40, 15],
    },
  },
];
