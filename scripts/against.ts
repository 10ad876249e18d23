/**
 * Holds the engine against an installed Chromium: on given pages, or on random ones made from a seed.
 *   npm run against -- page.html … [--root folder] [--at 375]
 *   npm run against -- --pages 500 --seed 1 [--show 3]
 *   npm run against -- --presses 500 --seed 1 [--show 3]   what presses reach where boxes overlap
 */
import { resolve } from 'node:path';
import { pathToFileURL } from 'node:url';
import { parseArgs } from 'node:util';
import { loadFile, loadText } from '../src/sources/index.js';
import { Chromium } from './against/browser.js';
import { causes, compare, tell, type Comparison } from './against/compare.js';
import { htmlOf, makePages, markupOf, type Part } from './against/generate.js';
import { makeOverlaps, named, OVERLAP_CSS, type Overlap } from './against/overlaps.js';
import { pressedHere } from './against/presses.js';
import { shrink } from './against/shrink.js';

const height = 800;
/** Steps tried to make a page that differs smaller, and how long one page may take. */
const STEPS = 600;
const SLOW_MS = 2000;

const { values, positionals } = parseArgs({
  allowPositionals: true,
  options: {
    pages: { type: 'string' },
    presses: { type: 'string' },
    seed: { type: 'string', default: '1' },
    show: { type: 'string', default: '3' },
    root: { type: 'string' },
    at: { type: 'string', default: '1280' },
  },
});
const width = Number(values.at);

type Tab = Awaited<ReturnType<Chromium['tab']>>;
type PressTab = Awaited<ReturnType<Chromium['presses']>>;

async function files(tab: Tab, names: readonly string[], root: string | undefined): Promise<void> {
  for (const name of names) {
    const seen = await tab.read({ url: pathToFileURL(resolve(name)).href });
    const page = await loadFile(name, { scripting: false, glyphs: 'boxes', ...(root && { root }) });
    const compared = compare(page, seen, width, height);
    const { boxes, differences } = compared;
    console.log(`${name}: ${boxes - differences.length} of ${boxes} boxes agree`);
    for (const one of causes(compared)) console.log(`  ${tell(one)}`);
  }
}

async function compareHtml(tab: Tab, html: string): Promise<Comparison> {
  const seen = await tab.read({ html });
  const page = await loadText(html, { scripting: false, glyphs: 'boxes' });
  return compare(page, seen, width, height);
}

async function random(tab: Tab, count: number, seed: number, show: number): Promise<void> {
  const differing: (readonly Part[])[] = [];
  let [boxes, agreed] = [0, 0];
  for (const [i, parts] of makePages(count, seed).entries()) {
    const start = performance.now();
    const compared = await compareHtml(tab, htmlOf(parts)).catch((error: Error) => {
      console.log(`page ${i}: ${error.stack?.split('\n').slice(0, 3).join(' ')}\n${htmlOf(parts)}`);
      return null;
    });
    if (performance.now() - start > SLOW_MS) console.log(`page ${i} took over ${SLOW_MS / 1000} s`);
    if (!compared) continue;
    boxes += compared.boxes;
    agreed += compared.boxes - compared.differences.length;
    if (compared.differences.length > 0) differing.push(parts);
  }
  const share = ((100 * agreed) / boxes).toFixed(2);
  console.log(
    `${count} pages from seed ${seed}: ${agreed} of ${boxes} boxes agree (${share} %), ${differing.length} pages differ`,
  );
  const holds = async (parts: readonly Part[]) => {
    const compared = await compareHtml(tab, htmlOf(parts)).catch(() => null);
    return compared !== null && compared.differences.length > 0;
  };
  for (const parts of differing.slice(0, show)) {
    const html = htmlOf(await shrink(parts, holds, STEPS));
    console.log(`\n${/<body>([^]*)<\/body>/.exec(html)![1]}`);
    for (const one of causes(await compareHtml(tab, html))) console.log(`  ${tell(one)}`);
  }
}

/** Rows of points where a press reaches another element than in the browser. */
async function misses(tab: PressTab, parts: readonly Part[], scroll: number): Promise<readonly string[]> {
  const page = { css: OVERLAP_CSS, body: markupOf(named(parts)), scroll };
  const there = await tab.pressed(page);
  const here = await pressedHere(page);
  return there.flatMap((row, i) => (row === here[i] ? [] : [`row ${i}: Chromium ${row}  engine ${here[i]}`]));
}

async function presses(tab: PressTab, count: number, seed: number, show: number): Promise<void> {
  const differing: Overlap[] = [];
  for (const one of makeOverlaps(count, seed))
    if ((await misses(tab, one.parts, one.scroll)).length > 0) differing.push(one);
  console.log(`${count} pages of presses from seed ${seed}: ${differing.length} pages differ`);
  for (const { parts, scroll } of differing.slice(0, show)) {
    const small = await shrink(parts, async (p) => (await misses(tab, p, scroll)).length > 0, STEPS);
    console.log(`\nscrolled to ${scroll}: ${markupOf(named(small))}`);
    for (const line of await misses(tab, small, scroll)) console.log(`  ${line}`);
  }
}

const browser = await Chromium.start();
if (!browser) console.log('against: no Chromium is installed here, nothing compared');
else if (values.presses) {
  await presses(await browser.presses(), Number(values.presses), Number(values.seed), Number(values.show));
  await browser.close();
} else {
  const tab = await browser.tab(width, height);
  if (values.pages) await random(tab, Number(values.pages), Number(values.seed), Number(values.show));
  else await files(tab, positionals, values.root);
  await browser.close();
}
