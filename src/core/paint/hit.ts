import { contains, type Rect } from '../base/index.js';
import type { ElementNode } from '../html/index.js';
import { apply, invert, type Matrix } from './matrix.js';
import type { PaintItem } from './order.js';
import { cornerRadii, insideOutline, outlineBounds, type Outline } from './outlines.js';
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

/** Side of the square that is hit-tested, px: browsers test the px that begins at the point. */
const PRESSED = 1;

/** Whether a node's own area covers a point of the document; the part of an inline box around a block has none. */
export function covers(node: PaintNode, x: number, y: number): boolean {
  if (node.fragment.kind === 'line') return false;
  const at = localPoint(node.matrix, x, y);
  if (!at || !contains(node.rect, at.x, at.y)) return false;
  const round = roundedOf(node);
  return (!round || insideOutline(round, at.x, at.y)) && !clipped(node.clips, x, y);
}

/** The outline of a box whose corners are cut. */
function roundedOf({ fragment, box, rect }: PaintNode): Outline | null {
  const radii = fragment.kind === 'box' && !box.anonymous ? cornerRadii(box.computed, rect) : null;
  return radii && { kind: 'rounded', rect, radii };
}

export const clipped = (clips: readonly Clip[], x: number, y: number): boolean =>
  clips.some(({ rect, outline, matrix }) => {
    const at = localPoint(matrix, x, y);
    return at === null || !contains(rect, at.x, at.y) || (outline !== null && !insideOutline(outline, at.x, at.y));
  });

/** Whether a press at a point of the document reaches a node's area. */
export function pressedAt(node: PaintNode, x: number, y: number): boolean {
  if (!node.matrix && !areasOf(node).some((area) => meetsUpright(area, x, y))) return false;
  const square = localSquare(node.matrix, x, y);
  if (!square || !areasOf(node).some((area) => meets(area, square))) return false;
  const round = roundedOf(node);
  if (round && !meetsOutline(round, square)) return false;
  return node.clips.every((clip) => letsThrough(clip, x, y));
}

function letsThrough({ rect, outline, matrix, paintOnly }: Clip, x: number, y: number): boolean {
  // Paths are asked for the point alone.
  if (paintOnly) {
    const at = localPoint(matrix, x, y);
    return at !== null && contains(rect, at.x, at.y) && (!outline || insideOutline(outline, at.x, at.y));
  }
  const square = localSquare(matrix, x, y);
  return square !== null && meets(rect, square) && (!outline || meetsOutline(outline, square));
}

type Quad = readonly { readonly x: number; readonly y: number }[];

const CORNERS = [
  [0, 0],
  [PRESSED, 0],
  [PRESSED, PRESSED],
  [0, PRESSED],
] as const;

/** The pressed square in the coordinates of something transformed. */
function localSquare(matrix: Matrix | null, x: number, y: number): Quad | null {
  const corners = CORNERS.map(([dx, dy]) => localPoint(matrix, x + dx, y + dy));
  return corners.includes(null) ? null : (corners as Quad);
}

/**
 * What stands in lines is painted on whole px, and pressed there; text of a block itself is pressed with its line,
 * which is no wider than the block's content.
 */
function areasOf({ fragment, box, rect, containing }: PaintNode): readonly Rect[] {
  const inline = box.outer === 'inline' && box.inner === 'flow';
  if (fragment.kind !== 'text') return [inline ? snapped(rect) : rect];
  const { parent } = box;
  const own = parent && parent.outer !== 'inline' && !box.owner && !cornerRadii(parent.computed, rect);
  if (!own) return [snapped(rect)];
  return [snapped(rect), { ...rect, width: Math.min(rect.width, containing.x + containing.width - rect.x) }];
}

function snapped({ x, y, width, height }: Rect): Rect {
  const [left, top] = [Math.round(x), Math.round(y)];
  return { x: left, y: top, width: Math.round(x + width) - left, height: Math.round(y + height) - top };
}

/** The same for the square pressed at a point where nothing is transformed. */
const meetsUpright = (rect: Rect, x: number, y: number): boolean =>
  rect.width > 0 &&
  rect.height > 0 &&
  rect.x < x + PRESSED &&
  rect.x + rect.width > x &&
  rect.y < y + PRESSED &&
  rect.y + rect.height > y;

/** No side of either lies between a rectangle and a convex quadrilateral. */
function meets(rect: Rect, quad: Quad): boolean {
  if (rect.width <= 0 || rect.height <= 0) return false;
  const xs = quad.map(({ x }) => x);
  const ys = quad.map(({ y }) => y);
  if (rect.x >= Math.max(...xs) || rect.x + rect.width <= Math.min(...xs)) return false;
  if (rect.y >= Math.max(...ys) || rect.y + rect.height <= Math.min(...ys)) return false;
  const corners = [rect.x, rect.x + rect.width].flatMap((x) => [
    { x, y: rect.y },
    { x, y: rect.y + rect.height },
  ]);
  return quad.every((from, i) => {
    const to = quad[(i + 1) % quad.length]!;
    const side = (p: { x: number; y: number }) => (to.x - from.x) * (p.y - from.y) - (to.y - from.y) * (p.x - from.x);
    const own = side(quad[(i + 2) % quad.length]!);
    return corners.some((corner) => side(corner) * own > 0);
  });
}

/** Whether a quadrilateral that meets the bounds of an outline meets it too, told by its point nearest to the middle. */
function meetsOutline(outline: Outline, quad: Quad): boolean {
  const { x, y, width, height } = outlineBounds(outline);
  const xs = quad.map((p) => p.x);
  const ys = quad.map((p) => p.y);
  return insideOutline(
    outline,
    Math.max(Math.min(...xs), Math.min(Math.max(...xs), x + width / 2)),
    Math.max(Math.min(...ys), Math.min(Math.max(...ys), y + height / 2)),
  );
}

/** The element an item belongs to: of text, the element around it. */
export function elementOf(item: PaintItem): ElementNode | null {
  for (let box: PaintNode['box'] | null = item.node.box; box; box = box.parent) {
    const element = box.element ?? box.owner;
    if (element) return element;
  }
  return null;
}
