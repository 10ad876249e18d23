/** A box of 100 by 60 px in the page's corner and the colours a browser paints at points of it. */
export interface GroundCase {
  readonly name: string;
  readonly css: string;
  /** x, y in px; red, green, blue. Recorded with `npm run record:looks`. */
  readonly points: readonly (readonly [number, number, number, number, number])[];
}

export const GROUND_POINTS: readonly (readonly [number, number])[] = [
  [5, 5],
  [50, 5],
  [95, 5],
  [22, 30],
  [50, 30],
  [71, 33],
  [5, 55],
  [50, 55],
  [95, 55],
];

export const groundPage = ({ css }: Pick<GroundCase, 'css'>): string =>
  `<!doctype html><style>html{background:#fff}body{margin:0}#a{width:100px;height:60px;${css}}</style><div id=a></div>`;
