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

export const pressPage = ({ css, body }: Pick<PressCase, 'css' | 'body'>): string =>
  `<!doctype html><meta charset=utf-8><style>body{margin:0;font:16px/20px Arial}${css}</style>${body}`;
