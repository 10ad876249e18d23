/** What presses reach on pages of overlapping boxes, in an installed Chromium and in the engine. */
import type { Page as Tab } from 'playwright-core';
import { loadText } from '../../src/sources/index.js';
import { PRESS_POINTS, pressPage, reachedFrom, type PressCase } from '../../tests/support/press-case.js';

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

export type PressAsked = Omit<PressCase, 'name' | 'reached'>;

/** In the browser. @param tab of the size of `PRESS_SIZE` */
export async function pressedThere(tab: Tab, one: PressAsked): Promise<readonly string[]> {
  await tab.setContent(pressPage(one));
  const reached = await tab.evaluate(`(${PRESS})(${JSON.stringify([one.shown ?? [], one.scroll ?? 0, PRESS_POINTS])})`);
  return reached as string[];
}

/** In the engine, for pages that show nothing before the press. */
export async function pressedHere(one: PressAsked): Promise<readonly string[]> {
  const page = await loadText(pressPage(one), { scripting: false, glyphs: 'boxes' });
  return reachedFrom(page, one.scroll ?? 0);
}
