/** A random menu, and over which widths its row wraps, the page scrolls sideways, and its parts collide. */
export interface MenuCase {
  readonly css: string;
  readonly body: string;
  /** First and last width of each run, px, from 320 to 1400. Recorded with `npm run record:menus`. */
  readonly ranges: Readonly<Record<Trouble, readonly (readonly [from: number, to: number])[]>>;
}

export const TROUBLES = ['wraps', 'overflows', 'collides'] as const;
export type Trouble = (typeof TROUBLES)[number];

export const MENU_WIDTHS = { from: 320, to: 1400 };

export const menuCasePage = ({ css, body }: Pick<MenuCase, 'css' | 'body'>): string =>
  `<!doctype html><meta charset=utf-8><style>*{box-sizing:border-box}body{margin:0;font:16px/1.5 Arial}ul{list-style:none;margin:0;padding:0}${css}</style>${body}`;

interface Edges {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** What is wrong with a menu whose parts stand there; a px or less does not count. Written without helpers: it runs in pages too. */
export function troublesOf(
  items: readonly (Edges | null)[],
  others: readonly (Edges | null)[],
  sizes: { readonly reach: number; readonly width: number },
): Trouble[] {
  const shown = items.filter((r): r is Edges => r !== null && r.width > 0 && r.height > 0);
  const [first] = shown;
  const out: Trouble[] = [];
  if (first && shown.some((r) => r.y >= first.y + first.height - 1)) out.push('wraps');
  if (sizes.reach > sizes.width + 1) out.push('overflows');
  const meet = (a: Edges, b: Edges) =>
    Math.min(a.x + a.width, b.x + b.width) - Math.max(a.x, b.x) > 1 &&
    Math.min(a.y + a.height, b.y + b.height) - Math.max(a.y, b.y) > 1;
  if (others.some((o) => o !== null && shown.some((r) => meet(o, r)))) out.push('collides');
  return out;
}
