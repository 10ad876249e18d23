/**
 * Records with a real browser the colours of grounds and what presses reach at points, and where fragments lead, and
 * writes them into their case files.
 *   npm run record:looks
 * Needs Chromium.
 */
import { readFileSync, writeFileSync } from 'node:fs';
import { format, resolveConfig } from 'prettier';
import { cases as grounds } from '../tests/paint/cases/grounds.js';
import { cases as destinations } from '../tests/scene/cases/destinations.js';
import { cases as presses } from '../tests/paint/cases/presses.js';
import { destinationPage, type DestinationCase } from '../tests/support/destination-case.js';
import { markupOf } from './against/generate.js';
import { makeOverlaps, named, OVERLAP_CSS } from './against/overlaps.js';
import { pressedThere } from './against/presses.js';
import { launched } from './chromium.js';
import { GROUND_POINTS, groundPage, type GroundCase } from '../tests/support/ground-case.js';
import { PRESS_SIZE, type PressCase } from '../tests/support/press-case.js';

/** Runs in a page: the pixels of a picture at points. */
const READ = `async ([url, points]) => {
  const image = new Image();
  image.src = url;
  await image.decode();
  const canvas = new OffscreenCanvas(image.width, image.height).getContext('2d');
  canvas.drawImage(image, 0, 0);
  return points.map(([x, y]) => [x, y, ...canvas.getImageData(x, y, 1, 1).data.slice(0, 3)]);
}`;

/** Runs in the page: follows a fragment and waits until the page stands still. */
const FOLLOW = `async (fragment) => {
  location.hash = fragment;
  let before = -1;
  while (scrollY !== before) {
    before = scrollY;
    await new Promise((done) => setTimeout(done, 150));
  }
  const target = document.querySelector(':target');
  const rect = target?.getClientRects().length ? target.getBoundingClientRect() : null;
  return [scrollX, scrollY, rect ? rect.top : null];
}`;

/** How many random pages of overlapping boxes are kept as cases. */
const OVERLAPS = 200;
const OVERLAP_SEED = 23;

async function write(file: string, type: string, recorded: readonly unknown[]): Promise<void> {
  const head = /^[^]*?(?=export const cases)/.exec(readFileSync(file, 'utf8'))![0];
  const source = `${head}export const cases: readonly ${type}[] = ${JSON.stringify(recorded)};\n`;
  writeFileSync(file, await format(source, { ...(await resolveConfig(file)), parser: 'typescript' }));
  console.log(`${file}: ${recorded.length} cases`);
}

const browser = await launched();
const page = await browser.newPage({ viewport: PRESS_SIZE });
const reader = await browser.newPage();
const painted: GroundCase[] = [];
for (const one of grounds) {
  await page.setContent(groundPage(one));
  const url = `data:image/png;base64,${(await page.screenshot()).toString('base64')}`;
  const points = await reader.evaluate(`(${READ})(${JSON.stringify([url, GROUND_POINTS])})`);
  painted.push({ ...one, points: points as GroundCase['points'] });
}
const pressed: PressCase[] = [];
for (const one of presses) pressed.push({ ...one, reached: await pressedThere(page, one) });
const overlapping: object[] = [];
for (const { parts, scroll } of makeOverlaps(OVERLAPS, OVERLAP_SEED)) {
  const one = { css: OVERLAP_CSS, body: markupOf(named(parts)), scroll };
  overlapping.push({ ...one, reached: await pressedThere(page, one) });
}
const followed: DestinationCase[] = [];
for (const one of destinations) {
  await page.goto('about:blank');
  await page.setContent(destinationPage(one));
  const [x, y, top] = (await page.evaluate(`(${FOLLOW})(${JSON.stringify(one.fragment)})`)) as [number, number, number];
  followed.push({ ...one, scroll: [x, y], top });
}
await browser.close();
const lines = overlapping.map((one) => JSON.stringify(one)).join(',\n');
writeFileSync('tests/paint/cases/overlaps.json', `[\n${lines}\n]\n`);
await write('tests/scene/cases/destinations.ts', 'DestinationCase', followed);
await write('tests/paint/cases/grounds.ts', 'GroundCase', painted);
await write('tests/paint/cases/presses.ts', 'PressCase', pressed);
