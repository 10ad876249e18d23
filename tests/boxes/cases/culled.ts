import type { LayoutCase } from '../../support/layout-case.js';

/** Inline boxes without edges or ground of their own: browsers give them the room of what they hold */
export const cases: readonly LayoutCase[] = [
  {
    name: 'a plain span around text',
    css: '',
    body: '<div><span id=a>text</span></div>',
    boxes: { a: [0, 1, 25.8, 17] },
  },
  {
    name: 'around a padded span',
    css: '#b{padding:10px}',
    body: '<div><span id=a><span id=b>text</span></span></div>',
    boxes: { a: [0, -9, 45.8, 37], b: [0, -9, 45.8, 37] },
  },
  {
    name: 'around a padded span and text',
    css: '#b{padding:10px}',
    body: '<div><span id=a>x <span id=b>text</span> y</span></div>',
    boxes: { a: [0, -9, 70.7, 37], b: [12.45, -9, 45.8, 37] },
  },
  {
    name: 'around a picture',
    css: '',
    body: '<div><span id=a><svg id=b width=50 height=40></svg></span></div>',
    boxes: { a: [0, 26, 50, 17], b: [0, 0, 50, 40] },
  },
  {
    name: 'a link around a picture',
    css: '',
    body: '<div><a href=x id=a><svg id=b width=50 height=40></svg></a></div>',
    boxes: { a: [0, 26, 50, 17], b: [0, 0, 50, 40] },
  },
  {
    name: 'a link around a picture and text',
    css: '',
    body: '<div><a href=x id=a><svg id=b width=50 height=40></svg> text</a></div>',
    boxes: { a: [0, 26, 80.23, 17], b: [0, 0, 50, 40] },
  },
  {
    name: 'with a ground of its own',
    css: '#a{background:red}',
    body: '<div><span id=a><svg id=b width=50 height=40></svg></span></div>',
    boxes: { a: [0, 26, 50, 17], b: [0, 0, 50, 40] },
  },
  {
    name: 'with padding of its own',
    css: '#a{padding:3px}',
    body: '<div><span id=a><svg id=b width=50 height=40></svg></span></div>',
    boxes: { a: [0, 23, 56, 23], b: [3, 0, 50, 40] },
  },
  {
    name: 'positioned',
    css: '#a{position:relative}',
    body: '<div><span id=a><svg id=b width=50 height=40></svg></span></div>',
    boxes: { a: [0, 26, 50, 17], b: [0, 0, 50, 40] },
  },
  {
    name: 'around bigger text',
    css: '#b{font-size:30px}',
    body: '<div><span id=a>x <span id=b>big</span></span></div>',
    boxes: { a: [0, 6, 52.5, 17], b: [12.45, -7, 40.05, 33] },
  },
  {
    name: 'smaller itself',
    css: '#a{font-size:10px}',
    body: '<div>text <span id=a>small</span></div>',
    boxes: { a: [30.23, 6, 23.34, 11] },
  },
  {
    name: 'around an inline-block',
    css: '#b{display:inline-block;padding:8px}',
    body: '<div><span id=a><span id=b>text</span></span></div>',
    boxes: { a: [0, 9, 41.8, 17], b: [0, 0, 41.8, 36] },
  },
  {
    name: 'over two lines',
    css: 'div{width:60px}',
    body: '<div><span id=a>one two three</span></div>',
    boxes: { a: [0, 1, 56.05, 37] },
  },
  {
    name: 'empty between words',
    css: '',
    body: '<div>one <span id=a></span>two</div>',
    boxes: { a: [31.14, 1, 0, 17] },
  },
  {
    name: 'holding only a line break',
    css: '',
    body: '<div>one<span id=a><br></span>two</div>',
    boxes: { a: [26.7, 1, 0, 17] },
  },
  {
    name: 'with an outline',
    css: '#a{outline:1px solid}',
    body: '<div><span id=a><svg id=b width=50 height=40></svg></span></div>',
    boxes: { a: [0, 26, 50, 17], b: [0, 0, 50, 40] },
  },
  {
    name: 'with margin',
    css: '#a{margin:0 4px}',
    body: '<div>x<span id=a><svg id=b width=50 height=40></svg></span></div>',
    boxes: { a: [12, 26, 50, 17], b: [12, 0, 50, 40] },
  },
  {
    name: 'with vertical-align',
    css: '#a{vertical-align:middle}',
    body: '<div>x<span id=a><svg id=b width=50 height=40></svg></span></div>',
    boxes: { a: [8, 26, 50, 17], b: [8, 0, 50, 40] },
  },
  {
    name: 'with its own line-height',
    css: '#a{line-height:40px}',
    body: '<div>x<span id=a><svg id=b width=50 height=40></svg></span></div>',
    boxes: { a: [8, 26, 50, 17], b: [8, 0, 50, 40] },
  },
  {
    name: 'list items made inline',
    css: 'ul{padding:0;margin:0}li{display:inline}a{padding:6px}',
    body: '<ul><li id=a><a id=b href=#>One</a></li> <li id=c><a id=d href=#>Two</a></li></ul>',
    boxes: { a: [0, -5, 42.25, 29], b: [0, -5, 42.25, 29], c: [46.7, -5, 41.34, 29], d: [46.7, -5, 41.34, 29] },
  },
];
