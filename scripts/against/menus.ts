/** Random menus from a seed: bars of a brand, a row of entries and a button, in the ways people build them. */
import fc from 'fast-check';

const one = <T>(...values: readonly T[]) => fc.constantFrom(...values);
const px = (min: number, max: number) => fc.integer({ min, max }).map((n) => `${n}px`);
const ENTRIES = 'Home Fares Timetable Islands Crew Shop Contact Harbour Weather Tickets News Careers'.split(' ');

const entries = fc.uniqueArray(fc.constantFrom(...ENTRIES), { minLength: 3, maxLength: 9 });
const font = one(
  '16px/1.5 Arial',
  '15px/1.4 "Times New Roman"',
  '14px/1.3 "Courier New"',
  'bold 17px/1.5 Arial',
  '1.1em/1.2 Arial',
  '13.5px/1.6 Arial',
);

/** How the row is set. */
const row = fc.oneof(
  fc
    .tuple(px(0, 30), one('nowrap', 'wrap', 'wrap'), one('normal', 'flex-end', 'space-between', 'center'))
    .map(([gap, wrap, justify]) => `.row{display:flex;gap:${gap};flex-wrap:${wrap};justify-content:${justify}}`),
  px(0, 20).map((margin) => `.row li{display:inline-block;margin-right:${margin}}`),
  px(0, 20).map(
    (margin) => `.row li{float:left;margin-right:${margin}}.row::after{content:"";display:block;clear:both}`,
  ),
  px(0, 20).map((gap) => `.row{display:inline-flex;column-gap:${gap};white-space:nowrap}`),
  one('auto', 'max-content').map(
    (track) => `.row{display:grid;grid-auto-flow:column;grid-auto-columns:${track};gap:8px}`,
  ),
);

/** How brand, row and button stand to each other. */
const bar = fc.oneof(
  fc
    .tuple(one('nowrap', 'wrap'), px(0, 24))
    .map(
      ([wrap, gap]) =>
        `.bar{display:flex;align-items:center;justify-content:space-between;flex-wrap:${wrap};gap:${gap}}`,
    ),
  px(60, 200).map(
    (left) => `.bar{position:relative;min-height:48px}.brand{position:absolute;left:0;top:0}.row{margin-left:${left}}`,
  ),
  fc.constant('.brand{float:left}.go{float:right}.bar::after{content:"";display:block;clear:both}'),
  px(140, 260).map((side) => `.bar{display:grid;grid-template-columns:${side} 1fr auto;align-items:center}`),
  px(0, 60).map(
    (right) =>
      `.bar{position:relative;padding-right:${right}}.go{position:absolute;right:0;top:0}.brand{display:inline-block}nav{display:inline-block;vertical-align:top}`,
  ),
);

const query = fc
  .tuple(
    fc.integer({ min: 360, max: 1200 }),
    one('max-width', 'min-width'),
    one(
      '.row{gap:2px}',
      '.row{display:none}',
      'a{padding:4px}',
      '.row li{font-size:80%}',
      '.brand{display:none}',
      '.bar{padding:0 40px}',
      '.row{flex-wrap:nowrap}',
      'body{font-size:20px}',
    ),
  )
  .map(([width, feature, css]) => `@media(${feature}:${width}px){${css}}`);

const menu = fc
  .tuple(
    entries,
    font,
    row,
    bar,
    px(0, 20),
    fc.array(query, { maxLength: 2 }),
    fc.integer({ min: 0, max: 900 }),
    fc.boolean(),
  )
  .map(([names, face, rows, bars, padding, queries, most, button]) => ({
    css: `body{font:${face}}a,.go{padding:6px ${padding}}a{display:inline-block}${rows}${bars}${most > 400 ? `.bar{max-width:${most + 200}px;margin:0 auto}` : ''}${queries.join('')}`,
    body: `<header class="bar"><b class="brand">Tidewrack</b><nav><ul class="row">${names.map((name) => `<li><a href="#">${name}</a></li>`).join('')}</ul></nav>${button ? '<span class="go">Book a crossing</span>' : ''}</header><p>Boats leave on time.</p>`,
  }));

/** `count` menus from a seed. */
export const makeMenus = (count: number, seed: number) => fc.sample(menu, { numRuns: count, seed });
