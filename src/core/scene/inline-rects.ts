import { unite, type Rect } from '../base/index.js';
import { establishesFormattingContext, isInFlow, type Box } from '../boxes/index.js';
import { boundsOf, stackingReasons, type PaintNode } from '../paint/index.js';

/**
 * Rectangles of an element's fragments, document px. Blocks that follow each other in an inline box are one part of it:
 * it begins with the first that has height or a formatting context, and has the height of all of them.
 */
export function partsOf(nodes: readonly PaintNode[]): readonly Rect[] {
  const parts: Rect[] = [];
  let blocks: Rect | null = null;
  for (const node of nodes) {
    const rect = boundsOf(node.matrix, inlineRect(node));
    const held = node.fragment.kind === 'line' ? node.fragment.children[0]?.fragment.box : undefined;
    if (!held) {
      if (blocks) parts.push(blocks);
      blocks = null;
      parts.push(rect);
    } else if (rect.height > 0 || establishesFormattingContext(held)) blocks = unite(blocks, rect);
    else if (!blocks) parts.push(rect);
  }
  return blocks ? [...parts, blocks] : parts;
}

/** An inline box that paints nothing of its own: browsers keep no fragment for it and take the room of what it holds. */
function isBare(box: Box): boolean {
  const { style, inner, outer, anonymous } = box;
  const edges = [style.paddingTop, style.paddingRight, style.paddingBottom, style.paddingLeft];
  const margins = [style.marginTop, style.marginRight, style.marginBottom, style.marginLeft];
  const widths = [style.borderTopWidth, style.borderRightWidth, style.borderBottomWidth, style.borderLeftWidth];
  return (
    outer === 'inline' &&
    inner === 'flow' &&
    !anonymous &&
    style.position === 'static' &&
    style.backgroundColor.a === 0 &&
    style.backgroundImage.length === 0 &&
    style.outlineStyle === 'none' &&
    style.boxShadow.length === 0 &&
    stackingReasons(box).length === 0 &&
    edges.every((e) => e.px === 0 && e.percent === 0) &&
    margins.every((m) => m !== 'auto' && m.px === 0 && m.percent === 0) &&
    widths.every((w) => w === 0)
  );
}

/** Room of an inline box: its own fragment's, or that of what it holds where browsers keep no fragment for it. */
function inlineRect(node: PaintNode): Rect {
  if (!isCulled(node)) return node.rect;
  let known = culledRects.get(node);
  if (!known) culledRects.set(node, (known = heldRect(node)));
  return known;
}

const culledRects = new WeakMap<PaintNode, Rect>();

function heldRect(node: PaintNode): Rect {
  return node.children.filter(isInlineBox).reduce((all, child) => {
    const { border, padding } = child.fragment;
    const raised = border.top + padding.top + border.bottom + padding.bottom > 0;
    return raised ? unite(all, child.rect) : isCulled(child) ? unite(all, inlineRect(child)) : all;
  }, node.rect);
}

const isInlineBox = (node: PaintNode): boolean =>
  node.fragment.kind === 'box' && node.box.outer === 'inline' && node.box.inner === 'flow';

/** Bare, and every inline box inside, as far as they are bare too, stands on the same baseline in the same metrics. */
function isCulled(node: PaintNode): boolean {
  if (!isInlineBox(node) || !isBare(node.box)) return false;
  let known = culled.get(node);
  if (known === undefined)
    culled.set(
      node,
      (known = !holdsBoxes(node.box) && node.children.filter(isInlineBox).every((c) => standsWith(c, node))),
    );
  return known;
}

const culled = new WeakMap<PaintNode, boolean>();

/** Whether blocks, atomic boxes or boxes with margins stand in an inline box: browsers keep a fragment for it then. */
const holdsBoxes = (box: Box): boolean =>
  box.children.some(
    (child) =>
      isInFlow(child) &&
      (child.outer !== 'inline' ||
        (child.inner === 'flow' && hasMargins(child.style)) ||
        (isBare(child) && holdsBoxes(child))),
  );

const hasMargins = ({ marginLeft, marginRight }: Box['style']): boolean =>
  [marginLeft, marginRight].some((m) => m !== 'auto' && (m.px !== 0 || m.percent !== 0));

function standsWith(child: PaintNode, outer: PaintNode): boolean {
  const above = (of: PaintNode) => (of.fragment.baseline ?? 0) - of.fragment.border.top - of.fragment.padding.top;
  const area = ({ fragment: { height, border, padding } }: PaintNode) =>
    height - border.top - padding.top - border.bottom - padding.bottom;
  return (
    child.box.style.verticalAlign === 'baseline' &&
    above(child) === above(outer) &&
    area(child) === area(outer) &&
    (!isBare(child.box) || isCulled(child))
  );
}
