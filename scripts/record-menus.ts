/**
 * Records with a real browser over which widths random menus wrap, overflow and collide.
 *   npm run record:menus
 * Needs Chromium.
 */
import { writeFileSync } from 'node:fs';
import { makeMenus } from './against/menus.js';
import { launched } from './chromium.js';
import {
  MENU_WIDTHS,
  menuCasePage,
  TROUBLES,
  troublesOf,
  type MenuCase,
  type Trouble,
} from '../tests/support/menu-case.js';

const MENUS = 300;
const SEED = 7;

/** Runs in the page: the troubles at every width, in a frame that is made ever wider. */
const READ = `async ([html, from, to]) => {
  const troublesOf = ${troublesOf.toString()};
  const frame = document.querySelector('iframe');
  const loaded = new Promise((done) => frame.addEventListener('load', done, { once: true }));
  frame.srcdoc = html;
  await loaded;
  const inside = frame.contentDocument;
  const rects = (selector) => [...inside.querySelectorAll(selector)].map((e) => (e.getClientRects().length > 0 ? e.getBoundingClientRect() : null));
  const out = [];
  for (let width = from; width <= to; width++) {
    frame.style.width = width + 'px';
    out.push(troublesOf(rects('li'), rects('.brand, .go'), { reach: inside.scrollingElement.scrollWidth, width }));
  }
  return out;
}`;

function runs(at: readonly Trouble[][], trouble: Trouble): [number, number][] {
  const out: [number, number][] = [];
  at.forEach((found, i) => {
    if (!found.includes(trouble)) return;
    const width = MENU_WIDTHS.from + i;
    const last = out[out.length - 1];
    if (last && last[1] === width - 1) last[1] = width;
    else out.push([width, width]);
  });
  return out;
}

const browser = await launched();
const page = await browser.newPage({ viewport: { width: 1500, height: 900 } });
await page.setContent('<!doctype html><iframe style="border:0;height:800px"></iframe>');
const recorded: MenuCase[] = [];
for (const one of makeMenus(MENUS, SEED)) {
  const asked = [menuCasePage(one), MENU_WIDTHS.from, MENU_WIDTHS.to];
  const at = (await page.evaluate(`(${READ})(${JSON.stringify(asked)})`)) as Trouble[][];
  const ranges = Object.fromEntries(TROUBLES.map((trouble) => [trouble, runs(at, trouble)]));
  recorded.push({ ...one, ranges: ranges as unknown as MenuCase['ranges'] });
}
await browser.close();
const lines = recorded.map((one) => JSON.stringify(one)).join(',\n');
writeFileSync('tests/ladder/cases/menus.json', `[\n${lines}\n]\n`);
console.log(`tests/ladder/cases/menus.json: ${recorded.length} menus`);
