import { bottom, intersect, right, unite, type Rect } from '../base/index.js';
import { containsAbsolute, containsLayout, isOutOfFlow } from '../boxes/index.js';
import { boundsOf, type Clip, type PaintNode } from '../paint/index.js';

/** @spec css-overflow-3 §2.2 */
export interface Reach {
  readonly width: number;
  readonly height: number;
}

/**
 * How far a page can be scrolled, px.
 * @param least where it reaches without what stands out
 * @param leftwards whether it grows to the left, as pages written from right to left do
 */
export function reachOf(roots: readonly PaintNode[], least: Reach, leftwards = false): Reach {
  let { width, height } = least;
  const far = (rect: Rect): number => (leftwards ? least.width - rect.x : right(rect));
  const add = (rect: Rect) => {
    width = Math.max(width, far(rect));
    height = Math.max(height, bottom(rect));
  };
  /** What is transformed together counts together, with the rectangle around it. */
  const moved = new Map<NonNullable<PaintNode['matrix']>, Rect>();
  const stack = [...roots];
  for (let node = stack.pop(); node; node = stack.pop()) {
    const held = node.fragment.kind === 'box' && containsLayout(node.box);
    if (!held) for (const child of node.children) stack.push(child);
    if (node.fixed) continue;
    const own = unstuck(node, held ? node.rect : withLines(node));
    const { matrix } = node;
    if (!matrix) {
      // Clips only take away: what lies within what is known already adds nothing.
      if (far(own) <= width && bottom(own) <= height) continue;
      if (isEmpty(own) && !isFilled(node, own, leftwards ? least.width : null)) continue;
      const rect = kept(node, own, onPage);
      if (rect) add(rect);
    } else if (node.clips.some((clip) => !clip.paintOnly && clip.matrix !== matrix)) {
      const rect = kept(node, boundsOf(matrix, own), onPage);
      if (rect && !isEmpty(rect)) add(rect);
    } else {
      const rect = kept(node, own, ({ rect: clip }) => clip);
      if (rect) moved.set(matrix, unite(moved.get(matrix) ?? null, rect));
    }
  }
  for (const [matrix, rect] of moved) {
    const seen = boundsOf(matrix, rect);
    if (!isEmpty(seen)) add(seen);
  }
  return { width, height };
}

/** Sticking moves what is seen, not what can be scrolled to. @spec css-position-3 §3.4 */
const unstuck = ({ stuck }: PaintNode, rect: Rect): Rect =>
  stuck ? { ...rect, x: rect.x - stuck.x, y: rect.y - stuck.y } : rect;

const isEmpty = ({ width, height }: Rect): boolean => width <= 0 || height <= 0;

/** What has no extent is nowhere to scroll to, unless what stands in it has some that can be reached. */
function isFilled(node: PaintNode, own: Rect, leftwardsFrom: number | null): boolean {
  if (clipsOwn(node)) return false;
  let all = own;
  const visit = ({ children }: PaintNode, holds: boolean) => {
    for (const child of children) {
      const held = !isOutOfFlow(child.box) || (holds && !child.fixed);
      if (held && !isEmpty(child.rect)) all = unite(all, child.rect);
      visit(child, holds || containsAbsolute(child.box));
    }
  };
  visit(node, containsAbsolute(node.box));
  const meets = leftwardsFrom === null ? right(all) > 0 : all.x < leftwardsFrom;
  return !isEmpty(all) && meets && bottom(all) > 0;
}

const clipsOwn = ({ box, children }: PaintNode): boolean =>
  children.some((child) => child.clips.some((clip) => clip.box === box && !clip.paintOnly));

/** What a node takes with its lines: those that a block is too low or too narrow for reach out of it; what hangs does not count. */
function withLines({ fragment, box, rect }: PaintNode): Rect {
  if (fragment.scrollableWidth !== null) return { ...rect, width: fragment.scrollableWidth };
  const { linesReach, height, width } = fragment;
  const { overflowX, overflowY } = box.computed;
  const tall = linesReach.bottom > height && overflowY === 'visible';
  const wide = linesReach.right > width && overflowX === 'visible';
  if (!tall && !wide) return rect;
  return { ...rect, width: wide ? linesReach.right : rect.width, height: tall ? linesReach.bottom : rect.height };
}

/** The part of a node that can be scrolled to, in the coordinates of `rectOf`. */
function kept({ clips }: PaintNode, whole: Rect, rectOf: (clip: Clip) => Rect): Rect | null {
  let rect: Rect | null = whole;
  for (const clip of clips) if (!clip.paintOnly) rect = rect && intersect(rect, rectOf(clip));
  return rect;
}

const onPage = (clip: Clip): Rect => boundsOf(clip.matrix, clip.rect);
