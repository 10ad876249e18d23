/**
 * Records with a real browser the colours of grounds at points, and writes them into the case file.
 *   npm run record:grounds
 * Needs Chromium.
 */
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { chromium } from 'playwright-core';
import { format, resolveConfig } from 'prettier';
import { cases } from '../tests/paint/cases/grounds.js';
import { GROUND_POINTS, groundPage, type GroundCase } from '../tests/support/ground-case.js';

const FILE = 'tests/paint/cases/grounds.ts';
const FLAGS =
  '--no-sandbox --disable-gpu --disable-quic --no-first-run --disable-background-networking --disable-component-update --disable-sync';
const executablePath = ['/usr/bin/chromium', '/usr/bin/chromium-browser'].find((path) => existsSync(path))!;

/** Runs in a page: the pixels of a picture at points. */
const READ = `async ([url, points]) => {
  const image = new Image();
  image.src = url;
  await image.decode();
  const canvas = new OffscreenCanvas(image.width, image.height).getContext('2d');
  canvas.drawImage(image, 0, 0);
  return points.map(([x, y]) => [x, y, ...canvas.getImageData(x, y, 1, 1).data.slice(0, 3)]);
}`;

const browser = await chromium.launch({ executablePath, args: FLAGS.split(' ') });
const page = await browser.newPage({ viewport: { width: 200, height: 100 } });
const reader = await browser.newPage();
const recorded: GroundCase[] = [];
for (const one of cases) {
  await page.setContent(groundPage(one));
  const url = `data:image/png;base64,${(await page.screenshot()).toString('base64')}`;
  const points = await reader.evaluate(`(${READ})(${JSON.stringify([url, GROUND_POINTS])})`);
  recorded.push({ ...one, points: points as GroundCase['points'] });
}
await browser.close();
const head = /^[^]*?(?=export const cases)/.exec(readFileSync(FILE, 'utf8'))![0];
const source = `${head}export const cases: readonly GroundCase[] = ${JSON.stringify(recorded)};\n`;
writeFileSync(FILE, await format(source, { ...(await resolveConfig(FILE)), parser: 'typescript' }));
console.log(`${FILE}: ${recorded.length} cases`);
