/** What presses reach on pages of overlapping boxes, in an installed Chromium and in the engine. */
import type { Page as Tab } from 'playwright-core';
import { setting } from '../../src/core/index.js';
import { loadText } from '../../src/sources/index.js';
import { PRESS_COLUMNS, PRESS_ROWS, pressPage, pressPoint, type PressCase } from '../../tests/support/press-case.js';

export const PRESS_SIZE = { width: 200, height: 120 };

/** Runs in the page: what a press reaches, row by row. */
const PRESS = `([shown, scroll, rows]) => {
  for (const id of shown) {
    const element = document.getElementById(id);
    if (element.tagName === 'DIALOG') element.showModal();
    else element.showPopover();
  }
  scrollTo(0, scroll);
  return rows.map((row) => row.map(({ x, y }) => document.elementFromPoint(x, y)?.id || '-').join(' '));
}`;

const ROWS = Array.from({ length: PRESS_ROWS }, (_, row) =>
  Array.from({ length: PRESS_COLUMNS }, (_, column) => pressPoint(column, row)),
);

export type PressAsked = Omit<PressCase, 'name' | 'reached'>;

/** In the browser. @param tab of `PRESS_SIZE` */
export async function pressedThere(tab: Tab, one: PressAsked): Promise<readonly string[]> {
  await tab.setContent(pressPage(one));
  const reached = await tab.evaluate(`(${PRESS})(${JSON.stringify([one.shown ?? [], one.scroll ?? 0, ROWS])})`);
  return reached as string[];
}

/** In the engine, for pages that show nothing before the press. */
export async function pressedHere(one: PressAsked): Promise<readonly string[]> {
  const page = await loadText(pressPage(one), { scripting: false, glyphs: 'boxes' });
  const at = (y: number) => page.scene(setting(PRESS_SIZE.width, { height: PRESS_SIZE.height, scroll: { x: 0, y } }));
  const by = Math.min(one.scroll ?? 0, Math.max(0, at(0).scrollSize.height - PRESS_SIZE.height));
  const scene = at(by);
  return ROWS.map((row) => row.map(({ x, y }) => scene.hit(x, y + by)?.id ?? '-').join(' '));
}
