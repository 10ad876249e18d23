import { contains, type Rect } from '../base/index.js';
import type { ElementNode } from '../html/index.js';
import { apply, invert, type Matrix } from './matrix.js';
import type { PaintItem } from './order.js';
import type { Clip, PaintNode } from './nodes.js';

const inverses = new WeakMap<Matrix, Matrix | null>();

function inverse(matrix: Matrix): Matrix | null {
  let known = inverses.get(matrix);
  if (known === undefined) inverses.set(matrix, (known = invert(matrix)));
  return known;
}

/** A point of the document in the coordinates of something transformed; null where that has no extent. */
export function localPoint(matrix: Matrix | null, x: number, y: number): { x: number; y: number } | null {
  if (!matrix) return { x, y };
  const back = inverse(matrix);
  return back && apply(back, x, y);
}

function inside(rect: Rect, matrix: Matrix | null, x: number, y: number): boolean {
  const local = localPoint(matrix, x, y);
  return local !== null && contains(rect, local.x, local.y);
}

export const clipped = (clips: readonly Clip[], x: number, y: number): boolean =>
  clips.some((clip) => !inside(clip.rect, clip.matrix, x, y));

/** Whether a node's own area covers a point of the document. */
export const covers = (node: PaintNode, x: number, y: number): boolean =>
  inside(node.rect, node.matrix, x, y) && !clipped(node.clips, x, y);

/**
 * The item a press at a point of the document would reach: the paint list read backwards.
 * @spec css2 appendix E, css-ui-4 §6.1 (pointer-events)
 */
export function hitTest(items: readonly PaintItem[], x: number, y: number): PaintItem | null {
  for (let i = items.length - 1; i >= 0; i--) {
    const { node } = items[i]!;
    const { style } = node.box;
    if (style.pointerEvents === 'none' || style.visibility !== 'visible') continue;
    if (node.box.element === null && node.fragment.kind !== 'text') continue;
    if (covers(node, x, y)) return items[i]!;
  }
  return null;
}

/** The element an item belongs to: of text, the element around it. */
export function elementOf(item: PaintItem): ElementNode | null {
  for (let box: PaintNode['box'] | null = item.node.box; box; box = box.parent) if (box.element) return box.element;
  return null;
}
