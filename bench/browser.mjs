/** The same look by a headless browser: box and computed style of every element at every width given. */
import { pathToFileURL } from 'node:url';
import { resolve } from 'node:path';
import { chromium } from 'playwright-core';

const [, , file, widths, executablePath] = process.argv;
const flags =
  '--no-sandbox --disable-gpu --disable-quic --no-first-run --disable-background-networking --disable-component-update --disable-sync';
const browser = await chromium.launch({ executablePath, args: flags.split(' ') });
const page = await browser.newPage();
for (const width of widths.split(',').map(Number)) {
  await page.setViewportSize({ width, height: 800 });
  await page.goto(pathToFileURL(resolve(file)).href);
  await page.evaluate(() => {
    const out = [];
    for (const element of globalThis.document.querySelectorAll('*')) {
      const style = globalThis.getComputedStyle(element);
      const values = {};
      for (let i = 0; i < style.length; i++) values[style[i]] = style.getPropertyValue(style[i]);
      const { x, y, width: w, height: h } = element.getBoundingClientRect();
      out.push({ x, y, w, h, values });
    }
    return JSON.stringify(out).length;
  });
}
await browser.close();
