import fc from 'fast-check';
import { poseAfter, setting, type Move } from '../../src/core/index.js';
import { launch } from '../../scripts/chromium.js';
import { find, pageFrom } from '../support/page.js';

const FIND = [
  "document.getElementById('b')",
  "document.querySelector('.b')",
  "document.getElementsByTagName('button')[0]",
  "[...document.querySelectorAll('[data-t]')].pop()",
  "document.body.querySelector('header > button')",
];
const PANEL = [
  "document.querySelector('#m')",
  'b.nextElementSibling',
  "b.parentElement.querySelector('ul')",
  'document.getElementById(b.dataset.t)',
  "b.closest('header').children[1]",
];
const EFFECT = [
  "m.classList.toggle('open')",
  'm.hidden = !m.hidden',
  "m.style.display = m.style.display === 'block' ? '' : 'block'",
  "b.setAttribute('aria-expanded', String(b.getAttribute('aria-expanded') !== 'true'))",
  "m.className = m.className ? '' : 'open wide'",
  "document.body.classList[n++ % 2 ? 'remove' : 'add']('on')",
  "m.dataset.state = m.dataset.state === 'open' ? 'shut' : 'open'",
  "m.toggleAttribute('data-open')",
  "m.style.setProperty('--n', String(++n))",
  "b.ariaExpanded = n++ % 2 ? 'false' : 'true'",
];
const LISTEN = [
  (f: string) => `b.addEventListener('click', () => { ${f} });`,
  (f: string) => `b.onclick = function () { ${f} };`,
  (f: string) => `document.addEventListener('click', (e) => { if (e.target.closest('.b')) { ${f} } });`,
  (f: string) => `b.addEventListener('mousedown', function handler() { ${f} });`,
  (f: string) => `b.addEventListener('mouseenter', () => { ${f} }); b.addEventListener('mouseleave', () => { ${f} });`,
  (f: string) => `b.addEventListener('focus', () => { ${f} });`,
  (f: string) => `b.addEventListener('click', () => setTimeout(() => { ${f} }, 5));`,
  (f: string) =>
    `document.body.addEventListener('click', ({ target }) => { switch (true) { case target === b: ${f}; break; case !b.contains(target): m.classList.remove('open'); } });`,
];
const WRAP = [
  (s: string) => s,
  (s: string) => `(function () { ${s} })();`,
  (s: string) => `document.addEventListener('DOMContentLoaded', () => { ${s} });`,
  (s: string) => `class Menu { constructor(b) { this.b = b; this.start(b); } start(b) { ${s} } } new Menu();`,
  (s: string) => `const start = ({ again = 1 } = {}) => { for (let i = 0; i < again; i++) { ${s} } }; start();`,
  (s: string) => `try { ${s} } catch { document.body.className = 'broken'; }`,
];

const script = fc
  .record({
    find: fc.constantFrom(...FIND),
    panel: fc.constantFrom(...PANEL),
    effects: fc.array(fc.constantFrom(...EFFECT), { minLength: 1, maxLength: 3 }),
    listen: fc.constantFrom(...LISTEN),
    wrap: fc.constantFrom(...WRAP),
  })
  .map(({ find: b, panel, effects, listen, wrap }) =>
    wrap(`let n = 0; const b = ${b}; const m = ${panel}; ${listen(effects.join('; '))}`),
  );
const moves = fc.array(fc.constantFrom('press:i', 'press:p', 'hover:i', 'hover:p'), {
  minLength: 1,
  maxLength: 4,
});

const html = (text: string) =>
  `<!doctype html><style>body{margin:0}button,p{display:block;width:200px;height:40px;margin:0}ul{display:none}.open{display:block}</style><header id="h"><button id="b" class="b" data-t="m"><span id="i">Menu</span></button><ul id="m"><li>x</li></ul></header><p id="p" style="margin-top:80px">text</p><script>${text}</script>`;
const NAMES = ['class', 'style', 'hidden', 'aria-expanded', 'data-state', 'data-open'];

/** What a reader makes of the page after the moves: the attributes of every element with an id, and of the body. */
function read(text: string, made: readonly string[]): string[] {
  const page = pageFrom(html(text));
  const at = setting(800, { height: 600 });
  const pose = poseAfter(
    page,
    made.map((one): Move => ({ by: one.split(':')[0] as Move['by'], element: find(page, `#${one.split(':')[1]!}`) })),
    at,
  );
  const scene = page.scene({ ...at, pose });
  return ['body', '#h', '#b', '#m'].flatMap((selector) =>
    NAMES.map((name) => `${selector} ${name}=${normal(scene.attribute(find(page, selector), name) ?? null)}`),
  );
}

/** Declarations without the spaces and semicolons writers differ in. */
const normal = (value: string | null): string =>
  value === null
    ? '-'
    : value
        .replace(/\s*;\s*$/, '')
        .replace(/\s*([:;])\s*/g, '$1')
        .trim();

const browser = await launch();
if (!browser) console.log('scripts against a browser: skipped, no Chromium is installed here');
afterAll(() => browser?.close());

(browser ? test : test.skip)(
  'random small scripts are read as a browser runs them',
  async () => {
    const tab = await browser!.newPage({ viewport: { width: 800, height: 600 } });
    try {
      await fc.assert(
        fc.asyncProperty(script, moves, async (text, made) => {
          await tab.goto('about:blank');
          await tab.mouse.move(700, 590);
          await tab.setContent(html(text));
          for (const one of made) {
            const [by, id] = one.split(':') as [string, string];
            const box = (await tab.locator(`#${id}`).boundingBox())!;
            await tab.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
            if (by === 'press') await tab.mouse.click(box.x + box.width / 2, box.y + box.height / 2);
            await tab.waitForTimeout(25);
          }
          const shown = (await tab.evaluate(
            `['body', '#h', '#b', '#m'].flatMap((s) => ${JSON.stringify(NAMES)}.map((name) => [s, name, document.querySelector(s).getAttribute(name)]))`,
          )) as readonly (readonly [string, string, string | null])[];
          expect(read(text, made)).toEqual(
            shown.map(([selector, name, value]) => `${selector} ${name}=${normal(value)}`),
          );
        }),
        { numRuns: 60, seed: 23 },
      );
    } finally {
      await tab.close();
    }
  },
  120_000,
);
