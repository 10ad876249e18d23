/**
 * Holds the engine against an installed Chromium: on given pages, or on random ones made from a seed.
 *   npm run against -- page.html …
 */
import { resolve } from 'node:path';
import { pathToFileURL } from 'node:url';
import { loadFile } from '../src/sources/index.js';
import { Chromium } from './against/browser.js';
import { causes, compare, tell } from './against/compare.js';

const [width, height] = [1280, 800];

async function files(browser: Chromium, names: readonly string[]): Promise<void> {
  const tab = await browser.tab(width, height);
  for (const name of names) {
    const seen = await tab.read({ url: pathToFileURL(resolve(name)).href });
    const page = await loadFile(name, { scripting: false, glyphs: 'boxes' });
    const compared = compare(page, seen, width, height);
    const { boxes, differences } = compared;
    console.log(`${name}: ${boxes - differences.length} of ${boxes} boxes agree`);
    for (const one of causes(compared)) console.log(`  ${tell(one)}`);
  }
}

const browser = await Chromium.start();
if (!browser) console.log('against: no Chromium is installed here, nothing compared');
else {
  await files(browser, process.argv.slice(2));
  await browser.close();
}
