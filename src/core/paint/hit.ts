import { contains, type Rect } from '../base/index.js';
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

/** Whether a square from a point to the right and down meets a rectangle; without a size, whether the point lies in it. */
const meets = (rect: Rect, { x, y }: { x: number; y: number }, size: number): boolean =>
  size === 0
    ? contains(rect, x, y)
    : rect.x < x + size && rect.x + rect.width > x && rect.y < y + size && rect.y + rect.height > y;

/** Where a square that meets a rectangle first reaches into it. */
const reaching = (rect: Rect, { x, y }: { x: number; y: number }) => ({
  x: Math.max(x, rect.x),
  y: Math.max(y, rect.y),
});

export const clipped = (clips: readonly Clip[], x: number, y: number, size = 0): boolean =>
  clips.some(({ rect, outline, matrix }) => {
    const at = localPoint(matrix, x, y);
    if (at === null || !meets(rect, at, size)) return true;
    const { x: px, y: py } = reaching(rect, at);
    return outline !== null && !insideOutline(outline, px, py);
  });

/**
 * Whether a node's own area covers a point of the document; the part of an inline box around a block has none.
 * @param size side of the square from the point to the right and down that stands for it, px
 */
export function covers(node: PaintNode, x: number, y: number, size = 0): boolean {
  if (node.fragment.kind === 'line') return false;
  const at = localPoint(node.matrix, x, y);
  if (!at || !meets(node.rect, at, size)) return false;
  const radii = node.fragment.kind === 'box' && !node.box.anonymous ? cornerRadii(node.box.computed, node.rect) : null;
  const { x: px, y: py } = reaching(node.rect, at);
  const within = !radii || insideOutline({ kind: 'rounded', rect: node.rect, radii }, px, py);
  return within && !clipped(node.clips, x, y, size);
}

/** The element an item belongs to: of text, the element around it. */
export function elementOf(item: PaintItem): ElementNode | null {
  for (let box: PaintNode['box'] | null = item.node.box; box; box = box.parent) if (box.element) return box.element;
  return null;
}
