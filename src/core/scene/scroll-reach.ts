import { bottom, intersect, right, unite, type Rect } from '../base/index.js';
import { boundsOf, type PaintNode } from '../paint/index.js';

/** @spec css-overflow-3 §2.2 */
export interface Reach {
  readonly width: number;
  readonly height: number;
}

/** How far a page can be scrolled, px. @param least where it reaches without what stands out */
export function reachOf(roots: readonly PaintNode[], least: Reach): Reach {
  let { width, height } = least;
  const add = (rect: Rect) => {
    width = Math.max(width, right(rect));
    height = Math.max(height, bottom(rect));
  };
  /** What is transformed together counts together, with the rectangle around it. */
  const moved = new Map<NonNullable<PaintNode['matrix']>, Rect>();
  const stack = [...roots];
  for (let node = stack.pop(); node; node = stack.pop()) {
    const held = keepsOverflow(node);
    if (!held) for (const child of node.children) stack.push(child);
    if (node.fixed) continue;
    const own = held ? node.rect : withLines(node);
    // What has no extent is nowhere to scroll to.
    if (own.width <= 0 || own.height <= 0) continue;
    const { matrix } = node;
    if (!matrix) {
      // Clips only take away: what lies within what is known already adds nothing.
      if (right(own) <= width && bottom(own) <= height) continue;
      const rect = scrolled(node, own);
      if (rect) add(rect);
    } else if (node.clips.some((clip) => !clip.paintOnly && clip.matrix !== matrix)) {
      const rect = scrolled(node, boundsOf(matrix, own));
      if (rect) add(rect);
    } else {
      const rect = localPart(node, own);
      if (rect) moved.set(matrix, unite(moved.get(matrix) ?? null, rect));
    }
  }
  for (const [matrix, rect] of moved) add(boundsOf(matrix, rect));
  return { width, height };
}

/** What stands out of a box with layout containment is only seen. @spec css-contain-3 §3.3 */
const keepsOverflow = ({ fragment, box }: PaintNode): boolean =>
  fragment.kind === 'box' &&
  !box.anonymous &&
  box.inner !== 'text' &&
  box.outer !== 'inline' &&
  box.computed.contain.some((word) => /^(layout|strict|content)$/.test(word));

/** What a node takes with its lines: those of a block that is too low for them reach out of it. */
function withLines({ fragment, box, rect }: PaintNode): Rect {
  const { linesReach, height } = fragment;
  return linesReach > height && box.computed.overflowY === 'visible' ? { ...rect, height: linesReach } : rect;
}

/** The part of a node that can be scrolled to, in the page's coordinates. */
function scrolled(node: PaintNode, whole: Rect): Rect | null {
  let rect: Rect | null = whole;
  for (const clip of node.clips) if (!clip.paintOnly) rect = rect && intersect(rect, boundsOf(clip.matrix, clip.rect));
  return rect;
}

/** The same in the coordinates it shares with all that clips it. */
function localPart(node: PaintNode, whole: Rect): Rect | null {
  let rect: Rect | null = whole;
  for (const clip of node.clips) if (!clip.paintOnly) rect = rect && intersect(rect, clip.rect);
  return rect;
}
