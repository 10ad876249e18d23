import { poseAfter, setting, type Page } from '../../src/core/index.js';
import { find, pageFrom, type Files } from '../support/page.js';

const page = (script: string, files: Files): Page =>
  pageFrom(
    `<!doctype html><html><head><style>#m{display:none}#m.open{display:block}</style></head><body><button id="b">Menu</button><ul id="m"><li><a id="a" href="x.html">X</a></li></ul>${script}</body></html>`,
    files,
  );

/** Whether the button opens the menu, and a second press closes it. */
function toggles(on: Page): boolean {
  const at = setting(1000);
  const press = { by: 'press', element: find(on, '#b') } as const;
  const seen = (moves: readonly (typeof press)[]) =>
    on.scene({ ...at, pose: poseAfter(on, moves, at) }).seen(find(on, '#a')) !== null;
  return !seen([]) && seen([press]) && !seen([press, press]);
}

const LISTEN = "document.querySelector('#b').addEventListener('click',";
const inline = (text: string) => `<script type="module">${text}</script>`;
const MENU = `export function toggle(menu) { menu.classList.toggle('open') }
export const find = (selector) => document.querySelector(selector)`;

describe('modules that import others', () => {
  const cases: readonly (readonly [string, string, Files])[] = [
    [
      'names',
      inline(`import { toggle, find as one } from './menu.js'; ${LISTEN} () => toggle(one('#m')))`),
      { 'menu.js': MENU },
    ],
    [
      'a default function without a name',
      inline(`import start from './start.js'; start('#b')`),
      { 'start.js': `export default function (handle) { ${LISTEN} () => m.classList.toggle('open')) }` },
    ],
    [
      'a default class',
      inline(`import Menu from './menu.js'; new Menu(document.querySelector('#m'))`),
      {
        'menu.js': `export default class Menu { constructor(list) { this.list = list; ${LISTEN} () => this.turn()) } turn() { this.list.classList.toggle('open') } }`,
      },
    ],
    [
      'all names at once',
      inline(`import * as menu from './menu.js'; ${LISTEN} () => menu.toggle(menu.find('#m')))`),
      { 'menu.js': MENU },
    ],
    [
      'as it runs',
      inline(`import('./menu.js').then(({ toggle, find }) => { ${LISTEN} () => toggle(find('#m'))) })`),
      { 'menu.js': MENU },
    ],
    [
      'as a press asks for it, in a classic script',
      `<script>${LISTEN} async () => { const menu = await import('./menu.js'); menu.toggle(menu.find('#m')) })</script>`,
      { 'menu.js': MENU },
    ],
    [
      'by names of an import map',
      `<script type="importmap">{"imports":{"menu":"./lib/menu.js","parts/":"./lib/"}}</script>${inline(`import { toggle } from 'menu'; import { find } from 'parts/menu.js'; ${LISTEN} () => toggle(find('#m')))`)}`,
      { 'lib/menu.js': MENU },
    ],
    ['only what it does', inline(`import './run.js'`), { 'run.js': `${LISTEN} () => m.classList.toggle('open'))` }],
    [
      'from a file in a folder, one from another',
      '<script type="module" src="js/main.js"></script>',
      {
        'js/main.js': `import { toggle } from './parts/menu.js'; ${LISTEN} () => toggle(m))`,
        'js/parts/menu.js': `import { NAME } from '../names.js'; export const toggle = (menu) => menu.classList.toggle(NAME)`,
        'js/names.js': `export const NAME = 'open'`,
      },
    ],
    [
      'what is passed on',
      inline(`import { toggle, pick } from './index.js'; ${LISTEN} () => toggle(pick('#m')))`),
      { 'index.js': `export * from './menu.js'; export { find as pick } from './menu.js'`, 'menu.js': MENU },
    ],
    [
      'a list of names behind the body',
      inline(`import { turn } from './menu.js'; ${LISTEN} turn)`),
      {
        'menu.js': `const list = document.querySelector('#m'); const go = () => list.classList.toggle('open'); export { go as turn }`,
      },
    ],
    [
      'each other',
      inline(`import { start } from './a.js'; start()`),
      {
        'a.js': `import { list } from './b.js'; export function start() { ${LISTEN} () => list().classList.toggle(word())) } export function word() { return 'open' }`,
        'b.js': `import { word } from './a.js'; export function list() { return word() === 'open' ? document.querySelector('#m') : null }`,
      },
    ],
    [
      'one module twice, which runs once',
      inline(`import './run.js'; import './other.js'`),
      { 'run.js': `${LISTEN} () => m.classList.toggle('open'))`, 'other.js': `import './run.js'` },
    ],
    [
      'one that the page loads too',
      '<script type="module" src="run.js"></script><script type="module" src="other.js"></script>',
      { 'run.js': `${LISTEN} () => m.classList.toggle('open'))`, 'other.js': `import './run.js'` },
    ],
  ];
  test.each(cases)('%s', (_name, script, files) => {
    expect(toggles(page(script, files))).toBe(true);
  });

  test('a module that is missing is told', () => {
    const on = page(inline(`import { toggle } from './gone.js'; ${LISTEN} () => toggle(m))`), {});
    expect(toggles(on)).toBe(false);
    expect(on.limits.map(({ kind, subject }) => `${kind} ${subject}`)).toEqual([
      expect.stringMatching(/^missing module .*gone\.js$/),
    ]);
  });

  test('classic scripts import nothing', () => {
    const on = page(`<script>import './run.js'</script>`, { 'run.js': `m.classList.add('open')` });
    expect(toggles(on)).toBe(false);
  });
});
