import { contains } from '../base/index.js';
import type { ElementNode } from '../html/index.js';
import { apply, invert, type Matrix } from './matrix.js';
import type { PaintItem } from './order.js';
import { cornerRadii, insideOutline } from './outlines.js';
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

export const clipped = (clips: readonly Clip[], x: number, y: number): boolean =>
  clips.some(({ rect, outline, matrix }) => {
    const at = localPoint(matrix, x, y);
    return at === null || !contains(rect, at.x, at.y) || (outline !== null && !insideOutline(outline, at.x, at.y));
  });

/** Whether a node's own area covers a point of the document. */
export function covers(node: PaintNode, x: number, y: number): boolean {
  const at = localPoint(node.matrix, x, y);
  if (!at || !contains(node.rect, at.x, at.y)) return false;
  const radii = node.fragment.kind === 'box' && !node.box.anonymous ? cornerRadii(node.box.computed, node.rect) : null;
  const within = !radii || insideOutline({ kind: 'rounded', rect: node.rect, radii }, at.x, at.y);
  return within && !clipped(node.clips, x, y);
}

/**
 * The item a press at a point of the document would reach: the paint list read backwards.
 * @param reached whether presses come through to an item at all
 * @spec css2 appendix E, css-ui-4 §6.1 (pointer-events), §6.2 (interactivity)
 */
export function hitTest(
  items: readonly PaintItem[],
  x: number,
  y: number,
  reached: (item: PaintItem) => boolean = () => true,
): PaintItem | null {
  for (let i = items.length - 1; i >= 0; i--) {
    const { node } = items[i]!;
    const { style } = node.box;
    if (style.pointerEvents === 'none' || style.visibility !== 'visible' || style.interactivity === 'inert') continue;
    if (node.box.element === null && node.fragment.kind !== 'text') continue;
    if (covers(node, x, y) && reached(items[i]!)) return items[i]!;
  }
  return null;
}

/** The element an item belongs to: of text, the element around it. */
export function elementOf(item: PaintItem): ElementNode | null {
  for (let box: PaintNode['box'] | null = item.node.box; box; box = box.parent) if (box.element) return box.element;
  return null;
}
