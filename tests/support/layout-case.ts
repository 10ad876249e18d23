/** A small page and where a browser puts every element of it that has an id. */
export interface LayoutCase {
  readonly name: string;
  readonly css: string;
  readonly body: string;
  readonly width?: number;
  /** Other than that of a page in no-quirks mode. */
  readonly doctype?: string;
  /** Border boxes by id: x, y, width, height in px; null without a box. Recorded with `npm run record`. */
  readonly boxes: Readonly<Record<string, readonly [number, number, number, number] | null>>;
}

/** The page of a case. Text is set in a family whose advances every machine agrees on. */
export const pageOf = (c: Pick<LayoutCase, 'css' | 'body' | 'doctype'>): string =>
  `${c.doctype ?? '<!doctype html>'}<html><head><meta charset="utf-8"><style>html{font:16px/20px Arial}body{margin:0}${c.css}</style></head><body>${c.body}</body></html>`;
