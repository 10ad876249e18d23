/** Asks an installed Chromium where it puts the boxes of a page. */
import type { Browser } from 'playwright-core';
import { launch } from '../chromium.js';
import { PRESS_SIZE } from '../../tests/support/press-case.js';
import { pressedThere, type PressAsked } from './presses.js';

/** Border box of an element in the page's px; null where it has none. */
export type Place = readonly [x: number, y: number, width: number, height: number] | null;

export interface Seen {
  readonly boxes: Readonly<Record<string, Place>>;
  readonly scrollWidth: number;
}

/** Runs in the page; paths are those of the engine. */
const READ = `(() => {
  const path = (e) => {
    const own = e.parentElement;
    if (!own) return 'html';
    if (e.localName === 'body' || e.localName === 'head') return path(own) + '>' + e.localName;
    return path(own) + '>' + e.localName + ':nth-child(' + ([...own.children].indexOf(e) + 1) + ')';
  };
  const boxes = {};
  for (const e of document.querySelectorAll('html, body, body *')) {
    const r = e.getBoundingClientRect();
    boxes[path(e)] = e.getClientRects().length === 0 || !e.checkVisibility() ? null : [r.x + scrollX, r.y + scrollY, r.width, r.height];
  }
  return { boxes, scrollWidth: document.scrollingElement.scrollWidth };
})()`;

export class Chromium {
  private constructor(private readonly browser: Browser) {}

  /** Null where no Chromium is installed. */
  static async start(): Promise<Chromium | null> {
    const browser = await launch();
    return browser && new Chromium(browser);
  }

  /** A tab of a given size in which pages can be read one after the other, their scripts not run. */
  async tab(width: number, height: number): Promise<{ read(page: { html: string } | { url: string }): Promise<Seen> }> {
    const page = await this.browser.newPage({ viewport: { width, height }, javaScriptEnabled: false });
    return {
      async read(source) {
        if ('html' in source) await page.setContent(source.html);
        else await page.goto(source.url, { waitUntil: 'load' });
        return (await page.evaluate(READ)) as Seen;
      },
    };
  }

  /** A tab that tells what presses reach. */
  async presses(): Promise<{ pressed(page: PressAsked): Promise<readonly string[]> }> {
    const tab = await this.browser.newPage({ viewport: PRESS_SIZE });
    return { pressed: (page) => pressedThere(tab, page) };
  }

  close(): Promise<void> {
    return this.browser.close();
  }
}
