/**
 * Records with a real browser where it puts the boxes of the layout cases, and writes them into the case files.
 *   npm run record -- tests/boxes/cases/flex.ts …
 * Needs Chromium and the Liberation fonts.
 */
import { existsSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { basename, resolve } from 'node:path';
import { pathToFileURL } from 'node:url';
import { build } from 'esbuild';
import { chromium } from 'playwright-core';
import { format, resolveConfig } from 'prettier';
import { pageOf, type LayoutCase } from '../tests/support/layout-case.js';

const browserPath = ['/usr/bin/chromium', '/usr/bin/chromium-browser'].find((path) => existsSync(path));
const FLAGS =
  '--no-sandbox --disable-gpu --disable-quic --no-first-run --disable-background-networking --disable-component-update --disable-sync --font-render-hinting=none --enable-font-subpixel-positioning';

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

// Where it is there, the fonts are those the engine's tables hold and no others.
const FONTS = '../shared/conformance/oracle/fonts.conf';
const env = { ...process.env, ...(existsSync(FONTS) ? { FONTCONFIG_FILE: resolve(FONTS) } : {}) } as Record<
  string,
  string
>;
const browser = await chromium.launch({ executablePath: browserPath!, args: FLAGS.split(' '), env });
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
