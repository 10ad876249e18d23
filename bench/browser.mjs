/**
 * The same looks by a headless browser: `node bench/browser.mjs PAGE LOOKS.json EXECUTABLE`. Where a look is whole, box
 * and computed style of every element are read, else those of the element that is pointed at.
 */
import { readFileSync } from 'node:fs';
import { pathToFileURL } from 'node:url';
import { resolve } from 'node:path';
import { chromium } from 'playwright-core';

const [, , file, looksFile, executablePath] = process.argv;
const looks = JSON.parse(readFileSync(looksFile, 'utf8'));
const flags =
  '--no-sandbox --disable-gpu --disable-quic --no-first-run --disable-background-networking --disable-component-update --disable-sync';
const READERS = {
  'large-text': 'html { font-size: 200% }',
  'text-spacing':
    '* { line-height: 1.5 !important; letter-spacing: 0.12em !important; word-spacing: 0.16em !important }',
};

/** Puts the page into a pose and reads it. */
function read({ changed, toggled, focused, scroll, whole, at }) {
  const { document, getComputedStyle, scrollTo } = globalThis;
  const undo = [];
  const set = (element, name, value) => {
    const before = element.getAttribute(name);
    undo.push(() => (before === null ? element.removeAttribute(name) : element.setAttribute(name, before)));
    if (value === null) element.removeAttribute(name);
    else element.setAttribute(name, value);
  };
  for (const [path, attributes] of changed)
    for (const [name, value] of attributes) set(document.querySelector(path), name, value);
  for (const [path, on] of toggled) {
    const element = document.querySelector(path);
    if ('checked' in element) {
      const before = element.checked;
      undo.push(() => (element.checked = before));
      element.checked = on;
    } else set(element, 'open', on ? '' : null);
  }
  if (focused) document.querySelector(focused).focus({ focusVisible: true });
  scrollTo(0, scroll);
  const out = [];
  for (const element of whole ? document.querySelectorAll('*') : [document.querySelector(at)]) {
    const style = getComputedStyle(element);
    const values = {};
    for (let i = 0; i < style.length; i++) values[style[i]] = style.getPropertyValue(style[i]);
    const { x, y, width, height } = element.getBoundingClientRect();
    out.push({ x, y, width, height, values });
  }
  document.activeElement?.blur();
  for (const back of undo.reverse()) back();
  return JSON.stringify(out).length;
}

const browser = await chromium.launch({ executablePath, args: flags.split(' ') });
for (const visitor of new Set(looks.map((look) => look.visitor))) {
  const page = await browser.newPage({
    javaScriptEnabled: visitor !== 'no-script' && visitor !== 'crawler',
    reducedMotion: visitor === 'reduced-motion' ? 'reduce' : 'no-preference',
    hasTouch: visitor === 'touch',
  });
  await page.goto(pathToFileURL(resolve(file)).href);
  if (READERS[visitor]) await page.addStyleTag({ content: READERS[visitor] });
  let size = '';
  for (const look of looks.filter((one) => one.visitor === visitor)) {
    const { height, hovered } = look;
    const width = Math.round(look.width);
    if (size !== (size = `${width}x${height}`)) await page.setViewportSize({ width, height });
    if (hovered) await page.hover(hovered, { force: true, timeout: 200 }).catch(() => {});
    await page.evaluate(read, look);
    if (hovered) await page.mouse.move(0, 0);
  }
  await page.close();
}
await browser.close();
