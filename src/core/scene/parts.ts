import { bottom, intersect, right, type Rect } from '../base/index.js';
import { boundsOf, type Clip, type PaintNode } from '../paint/index.js';

/** How far a page reaches. Rectangles in document px. */
export interface Ends {
  readonly screen: Rect;
  /** Everything that can be scrolled to. */
  readonly page: Rect;
}

/** The part of a node that no clip takes away, on the page or, for what is held in place, on the screen. */
export function seenPart(node: PaintNode, { screen, page }: Ends): Rect | null {
  let rect = intersect(boundsOf(node.matrix, node.rect), node.fixed ? screen : page);
  for (const clip of node.clips) rect = rect && intersect(rect, boundsOf(clip.matrix, clip.rect));
  return rect;
}

/** Less than this of a scroll container on the screen is no room to scroll in, px. */
const LEAST_ROOM = 8;
/** What shows of something clipped is a sliver below this, px, unless it is half of it. */
const SLIVER = 5;
const EVERYWHERE = 1e7;
/** Less than this of a text is no letter, px. */
const LEAST_INK = 2;

/** The part of a node that a visitor can scroll to; a sliver counts as nothing. @spec css-overflow-3 §2.2, §3.1 */
export function reachablePart(node: PaintNode, { screen, page }: Ends): Rect | null {
  const whole = boundsOf(node.matrix, node.rect);
  let area: Rect | null = node.fixed ? screen : page;
  for (const clip of node.clips) {
    const edge = boundsOf(clip.matrix, clip.rect);
    area = area && intersect(area, edge);
    if (!area) return null;
    if (clip.scrolls && clip.box !== node.box) area = scrolledArea(area, edge, clip);
    if (!area) return null;
  }
  const part = intersect(whole, area);
  return part && !isSliver(part.width, whole.width) && !isSliver(part.height, whole.height) ? part : null;
}

/** Where things inside a scroll container can be brought into view: from its start edge on. */
function scrolledArea(area: Rect, edge: Rect, { box }: Clip): Rect | null {
  if (area.width < LEAST_ROOM || area.height < LEAST_ROOM) return null;
  const { overflowX, overflowY, direction } = box.computed;
  const free = (value: string) => value === 'auto' || value === 'scroll';
  const leftwards = direction === 'rtl';
  const x = free(overflowX) ? (leftwards ? -EVERYWHERE : edge.x) : area.x;
  const far = free(overflowX) ? (leftwards ? right(edge) : EVERYWHERE) : right(area);
  const y = free(overflowY) ? edge.y : area.y;
  const low = free(overflowY) ? EVERYWHERE : bottom(area);
  return { x, y, width: far - x, height: low - y };
}

const isSliver = (part: number, whole: number): boolean => part < SLIVER && part < whole / 2;

/** The part of a text that is painted and large enough to be read, or the whole of one that waits in a scroll container. */
export function inkPart(node: PaintNode, ends: Ends): { readonly part: Rect | null; readonly kept: Clip | null } {
  const seen = seenPart(node, ends);
  if (seen && seen.width >= LEAST_INK && seen.height >= LEAST_INK) return { part: seen, kept: null };
  const part = reachablePart(node, ends);
  const kept = node.clips.findLast(({ scrolls }) => scrolls) ?? null;
  return part && kept ? { part, kept } : { part: null, kept: null };
}
