/** A page of 200 by 120 px and where following a fragment leads. */
export interface DestinationCase {
  readonly name: string;
  readonly css: string;
  readonly body: string;
  readonly fragment: string;
  /** Scroll position and the target's upper edge in the viewport, px; null without one. Recorded with `npm run record:looks`. */
  readonly scroll: readonly [number, number];
  readonly top: number | null;
}

export const destinationPage = ({ css, body }: Pick<DestinationCase, 'css' | 'body'>): string =>
  `<!doctype html><meta charset=utf-8><style>body{margin:0;font:16px/20px Arial}${css}</style>${body}`;
