/**
 * Records with a real browser where it puts the boxes of the layout cases, and writes them into the case files.
 *   npm run record -- tests/boxes/cases/flex.ts …
 * Needs Chromium and the Liberation fonts.
 */
import { readFileSync, rmSync, writeFileSync } from 'node:fs';
import { basename, resolve } from 'node:path';
import { pathToFileURL } from 'node:url';
import { build } from 'esbuild';
import { format, resolveConfig } from 'prettier';
import { launched } from './chromium.js';
import { pageOf, type LayoutCase } from '../tests/support/layout-case.js';

/** Runs in the page: boxes of all elements with an id, to hundredths of a px. */
const READ = `Object.fromEntries([...document.querySelectorAll('[id]')].map((element) => {
  const r = element.getBoundingClientRect();
  const round = (v) => Math.round(v * 100) / 100;
  const box = element.getClientRects().length === 0 || !element.checkVisibility() ? null : [round(r.x), round(r.y), round(r.width), round(r.height)];
  return [element.id, box];
}))`;

async function load(file: string): Promise<LayoutCase[]> {
  const outfile = resolve(`.cache/cases-${basename(file, '.ts')}-${process.pid}.mjs`);
  await build({ entryPoints: [file], bundle: true, format: 'esm', outfile, logLevel: 'error' });
  const { cases } = (await import(pathToFileURL(outfile).href)) as { cases: LayoutCase[] };
  rmSync(outfile);
  return cases;
}

const browser = await launched();
const page = await browser.newPage();
for (const file of process.argv.slice(2)) {
  const recorded: LayoutCase[] = [];
  for (const one of await load(file)) {
    await page.setViewportSize({ width: one.width ?? 800, height: 600 });
    await page.setContent(pageOf(one));
    const boxes = (await page.evaluate(READ)) as LayoutCase['boxes'];
    recorded.push({ ...one, boxes });
  }
  const head = /^[^]*?(?=export const cases)/.exec(readFileSync(file, 'utf8'))![0];
  const source = `${head}export const cases: readonly LayoutCase[] = ${JSON.stringify(recorded)};\n`;
  writeFileSync(file, await format(source, { ...(await resolveConfig(file)), parser: 'typescript' }));
  console.log(`${file}: ${recorded.length} cases`);
}
await browser.close();
