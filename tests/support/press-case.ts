import { setting, type Page, type Scene } from '../../src/core/index.js';

/** A page and what a press reaches at points of it. */
export interface PressCase {
  readonly name: string;
  readonly css: string;
  readonly body: string;
  /** Ids of popovers that are shown and dialogs that are opened as modal ones before the press. */
  readonly shown?: readonly string[];
  readonly scroll?: number;
  /** Ids in rows of points, every 20 px from 10,10 in the upper left 200 by 120 px; `-` without one. Recorded with `npm run record:looks`. */
  readonly reached: readonly string[];
}

export const PRESS_COLUMNS = 10;
export const PRESS_ROWS = 6;
export const pressPoint = (column: number, row: number) => ({ x: 10 + 20 * column, y: 10 + 20 * row });

/** Size of the window the points lie in, px. */
export const PRESS_SIZE = { width: 200, height: 120 };

/** Points in rows. */
export const PRESS_POINTS = Array.from({ length: PRESS_ROWS }, (_, row) =>
  Array.from({ length: PRESS_COLUMNS }, (_column, column) => pressPoint(column, row)),
);

/** What presses reach in a scene that is scrolled by so much. */
export const reachedOn = (scene: Scene, scroll: number): string[] =>
  PRESS_POINTS.map((row) => row.map(({ x, y }) => scene.hit(x, y + scroll)?.id ?? '-').join(' '));

/** The same on a page scrolled as far as asked and as it goes. */
export function reachedFrom(page: Page, asked: number): string[] {
  const { width, height } = PRESS_SIZE;
  const at = (y: number) => page.scene(setting(width, { height, scroll: { x: 0, y } }));
  const scroll = Math.min(asked, Math.max(0, at(0).scrollSize.height - height));
  return reachedOn(at(scroll), scroll);
}

export const pressPage = ({ css, body }: Pick<PressCase, 'css' | 'body'>): string =>
  `<!doctype html><meta charset=utf-8><style>body{margin:0;font:16px/20px Arial}${css}</style>${body}`;
