import { bottom, right, type Rect } from '../base/index.js';
import type { ElementNode } from '../html/index.js';
import { setting, type Page, type Scene } from '../scene/index.js';

/** Where a menu stands in a wide window: in the bar at the top, in a column at a side, fixed at the lower edge. */
export type Place = 'top' | 'side' | 'bottom' | null;

const WIDE = setting(1280);
const NARROW = setting(375);
/** How far down the bar at the top may reach, px, and how much of the width a side column may take. */
const TOP = 260;
const SIDE = 0.36;

/** Rectangles of elements in a wide window, and where what they surround stands. */
export class Places {
  readonly #scene: Scene;

  constructor(readonly page: Page) {
    this.#scene = page.scene(WIDE);
  }

  of(root: ElementNode, items: readonly ElementNode[]): Place {
    const rects = items.flatMap((item) => this.#scene.seen(item) ?? []);
    // Bars at the lower edge are often for narrow windows alone.
    if (rects.length === 0) return items.length > 0 && isAtBottom(items, this.page.scene(NARROW)) ? 'bottom' : null;
    if (isAtBottom(items, this.#scene)) return 'bottom';
    const { width } = this.#scene.medium;
    const area = around(rects);
    const row = isRow(area);
    // A column has its wrapper to itself: lists of narrow words across the page are none.
    const room = this.#scene.rect(root)?.width || area.width;
    const narrow =
      Math.max(room, area.width) <= width * SIDE &&
      area.height >= Math.min(60, 12 * rects.length) &&
      area.height > area.width / 3;
    const aside = area.x < width * 0.16 || right(area) > width * 0.84;
    if (narrow && aside && rects.length >= 3 && !row) return 'side';
    return bottom(area) <= TOP ? 'top' : null;
  }
}

const isRow = ({ width, height }: Rect): boolean => height < 140 && width > height * 3;

/** Whether items stand in a row that is fixed in the lower half of the screen. */
function isAtBottom(items: readonly ElementNode[], scene: Scene): boolean {
  const rects = items.flatMap((item) => scene.seen(item) ?? []);
  if (rects.length === 0 || !items.some((item) => scene.nodes(item)[0]?.fixed)) return false;
  const area = around(rects);
  return isRow(area) && area.y > scene.medium.height / 2;
}

export function around(rects: readonly Rect[]): Rect {
  const x = Math.min(...rects.map((r) => r.x));
  const y = Math.min(...rects.map((r) => r.y));
  return { x, y, width: Math.max(...rects.map(right)) - x, height: Math.max(...rects.map(bottom)) - y };
}
