import { auditPage, poseAfter, setting, type Page } from '../../src/core/index.js';
import { find, pageFrom, type Files } from '../support/page.js';

const page = (script: string, files: Files): Page =>
  pageFrom(
    `<!doctype html><html lang="en"><head><title>Fares</title><meta name="viewport" content="width=device-width"><style>#m{display:none}#m.open{display:block}</style></head><body><nav><button id="b">Menu</button><ul id="m"><li><a id="a" href="x.html">X</a></li><li><a href="y.html">Y</a></li><li><a href="z.html">Z</a></li></ul></nav>${script}</body></html>`,
    files,
  );

function opens(on: Page): boolean {
  const at = setting(1000);
  const pose = poseAfter(on, [{ by: 'press', element: find(on, '#b') }], at);
  return on.scene({ ...at, pose }).seen(find(on, '#a')) !== null;
}

const LISTEN = "document.querySelector('#b').addEventListener('click', () => m.classList.toggle('open'))";
const put = (address: string, more = '') =>
  `(function () { var s = document.createElement('script'); s.src = '${address}'; ${more} document.head.appendChild(s) })();`;

/** As long as the library is, and named inside as it is. */
const LIBRARY = `!function (w) { var q = function () {}; q.fn = q.prototype = { jquery: '3.7.1' }; w.$ = q; /*${'.'.repeat(20_000)}*/ }(window);`;

describe('scripts that others put into the page', () => {
  const cases: readonly (readonly [string, string, Files])[] = [
    ['one', put('menu.js'), { 'menu.js': LISTEN }],
    [
      'one from a folder, of which another puts in the next',
      put('./js/a.js'),
      { 'js/a.js': put('js/b.js'), 'js/b.js': LISTEN },
    ],
    [
      'who waits for it',
      put('lib.js', `s.onload = function () { start('#b') };`),
      { 'lib.js': `function start() { ${LISTEN} }` },
    ],
    [
      'who listens for it',
      put(
        'lib.js',
        `s.async = true; s.addEventListener('load', function (e) { if (e.currentTarget === s) start() }, false);`,
      ),
      { 'lib.js': `window.start = function () { ${LISTEN} }` },
    ],
    [
      'once the page is there',
      `addEventListener('DOMContentLoaded', function () { ${put('menu.js')} })`,
      { 'menu.js': LISTEN },
    ],
    [
      'after a while, before patience ends',
      `var from = new Date(); setTimeout(function () { ${put('menu.js')} }, 60)`,
      { 'menu.js': `if (new Date() - from < 5000) ${LISTEN}` },
    ],
    [
      'a small loader of modules, which knows the library by name',
      `var queue = [], asked = {}; function define(name, needs, make) { queue.push([name, make]) } define.amd = {};
       function load(name, then) { asked[name] = then; ${put("' + name + '.js", `s.setAttribute('data-name', name); s.addEventListener('load', function (e) { var one = queue.shift(); asked[e.currentTarget.getAttribute('data-name')](one[1]()) });`)} }
       load('jquery', function ($) { $('#b').on('click', function () { $('#m').toggleClass('open') }) })`,
      {
        'jquery.js': LIBRARY,
      },
    ],
  ];

  test.each(cases)('%s', (_name, script, files) => {
    expect(opens(page(`<script>${script}</script>`, files))).toBe(true);
  });

  test('one written into the page', () => {
    const script = `<script>document.write('<script src="menu.js"><\\/script>')</script>`;
    expect(opens(page(script, { 'menu.js': LISTEN }))).toBe(true);
  });

  test('what is not put in does not run', () => {
    expect(
      opens(
        page(`<script>var s = document.createElement('script'); s.src = 'menu.js'</script>`, { 'menu.js': LISTEN }),
      ),
    ).toBe(false);
  });

  test.each([
    ['one of the site that is not there', 'gone.js', 'look', 'script gone.js'],
    [
      'one of another site',
      'https://counter.example/c.js',
      'fault',
      'another site’s script https://counter.example/c.js',
    ],
  ])('%s is said, and a dead toggle is judged by that', (_name, address, verdict, subject) => {
    const result = auditPage(page(`<script>${put(address)}</script>`, {}), { at: [800] });
    expect(result.limits.map((limit) => limit.subject)).toContain(subject);
    expect(result.findings.find(({ check }) => check === 'toggle-dead')?.verdict).toBe(verdict);
  });
});
