import type { LayoutCase } from '../../support/layout-case.js';

/** Tab stops, measured in spaces of the block */
export const cases: readonly LayoutCase[] = [
  {
    name: 'tabs 1',
    css: 'body{margin:0;font:19px Times New Roman}pre{tab-size:4;font-size:15px;margin:0}code{font:13px Arial}',
    body: '<pre id=e0>&#9;<code id=e1>&#9;list:</code></pre><pre id=e2><code id=e3>&#9;list:</code></pre><pre id=e4><code id=e5>a&#9;list:</code></pre><pre id=e6>abc<code id=e7>&#9;x</code></pre><pre id=e8><code id=e9 style="tab-size:8">&#9;x&#9;y</code></pre><pre id=e10><code id=e11 style="padding-left:10px">&#9;x&#9;y</code></pre>',
    boxes: {
      e0: [0, 0, 800, 17],
      e1: [36.02, 0, 55.5, 15],
      e2: [0, 17, 800, 17],
      e3: [0, 17, 55.52, 15],
      e4: [0, 34, 800, 17],
      e5: [0, 34, 55.52, 15],
      e6: [0, 51, 800, 17],
      e7: [27.02, 51, 15.5, 15],
      e8: [0, 68, 800, 17],
      e9: [0, 68, 150.53, 15],
      e10: [0, 85, 800, 17],
      e11: [0, 85, 78.52, 15],
    },
  },
  {
    name: 'tabs 2',
    css: 'body{margin:0;font:19px Times New Roman}pre{tab-size:4;font-size:15px;margin:0}code{font:13px Arial}',
    body: '<pre id=e0><code id=e1 style="padding-left:30px;font-size:20px">&#9;x&#9;y&#10;&#9;z</code></pre><pre id=e2 style="padding-left:13px"><code id=e3>&#9;x&#9;y</code></pre><pre id=e4 style="tab-size:20px"><code id=e5>&#9;x&#9;y</code></pre><pre id=e6 style="letter-spacing:2px"><code id=e7>&#9;x&#9;y</code></pre><pre id=e8 style="word-spacing:5px"><code id=e9>&#9;x&#9;y</code></pre>',
    boxes: {
      e0: [0, 0, 800, 46],
      e1: [0, 0, 82.02, 45],
      e2: [0, 46, 800, 17],
      e3: [13, 46, 78.52, 15],
      e4: [0, 63, 800, 17],
      e5: [0, 63, 46.5, 15],
      e6: [0, 80, 800, 17],
      e7: [0, 80, 96.52, 15],
      e8: [0, 97, 800, 17],
      e9: [0, 97, 118.52, 15],
    },
  },
];
