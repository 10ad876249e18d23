import type { Extent } from '../../text/index.js';
import { resolveLength } from '../../../css/index.js';
import type { ComputedStyle } from '../../../cascade/index.js';
import { hasInlineContent, isInFlow, scrollsContent, type Box } from '../../box.js';
import { makeFragment, snap, type Edges, type Fragment, type Placed } from '../../fragment.js';
import type { Layout } from '../../layout.js';
import { usedBorder, usedMargins, usedPadding } from '../../used/edges.js';
import { relativeOffset } from '../../used/relative.js';
import type { Piece } from './cut-text.js';
import { faceOf, sizeOf } from './set-text.js';
import { lineHeightOf, contentExtent } from './extents.js';
import type { Level, Open, Baselines, Part } from './levels.js';
import type { LineInput } from './place.js';

/** How far below its parent's baseline a level's own goes. @param extent of the level and what it holds */
export function shiftFor(style: ComputedStyle, parent: ComputedStyle, extent: Extent, layout: Layout): number {
  const value = style.verticalAlign;
  if (typeof value !== 'string') return -snap(resolveLength(value, lineHeightOf(style, layout)));
  const area = contentExtent(parent, layout);
  switch (value) {
    case 'sub':
      return snap(parent.fontSize / 5 + 1);
    case 'super':
      return -snap(parent.fontSize / 3 + 1);
    case 'middle':
      return -snap(faceOf(parent, layout).xHeight(sizeOf(parent, layout)) / 2) + (extent.above - extent.below) / 2;
    case '-webkit-baseline-middle':
      return (extent.above - extent.below) / 2;
    case 'text-top':
      return extent.above - area.above;
    case 'text-bottom':
      return area.below - extent.below;
    default:
      return 0;
  }
}

/** @param style of the text on this line */
export function textPart(
  piece: Piece,
  x: number,
  width: number,
  level: Level,
  layout: Layout,
  style: ComputedStyle = piece.box.style,
): Part {
  const { above, below } = contentExtent(style, layout);
  const fragment = makeFragment({
    kind: 'text',
    box: piece.box,
    width,
    height: above + below,
    text: piece.text,
    baseline: above,
  });
  return { fragment: () => fragment, x, top: (baselines) => baselines(level) - above };
}

/** The same without height, on the baseline. */
export const flat = ({ fragment, x }: Part, level: Level): Part => ({
  x,
  fragment: (baselines) => makeFragment({ ...fragment(baselines), height: 0, baseline: 0 }),
  top: (baselines) => baselines(level),
});

export function inlinePart(
  done: Open,
  width: number,
  right: boolean,
  { basis, height, layout, turned }: LineInput,
): Part {
  const { above, below } = contentExtent(done.style, layout);
  const { left } = done;
  const only = (edges: Edges): Edges => ({
    top: edges.top,
    bottom: edges.bottom,
    left: left ? edges.left : 0,
    right: right ? edges.right : 0,
  });
  const margin = only(usedMargins(done.box, basis));
  const border = only(usedBorder(done.box));
  const padding = only(usedPadding(done.box, basis));
  const rise = border.top + padding.top;
  const x = done.startX + margin.left;
  const offset = relativeOffset(done.box, basis, height);
  const top = (baselines: Baselines) => baselines(done) - above - rise;
  return {
    x: x + offset.x,
    top: (baselines) => top(baselines) + (turned ? -offset.y : offset.y),
    fragment: (baselines) => {
      const y = top(baselines);
      return makeFragment({
        box: done.box,
        width: width - margin.left - margin.right,
        height: rise + above + below + padding.bottom + border.bottom,
        margin,
        border,
        padding,
        baseline: rise + above,
        children: done.children.map((part): Placed => ({
          fragment: part.fragment(baselines),
          x: part.x - x,
          y: part.top(baselines) - y,
        })),
      });
    },
  };
}

/** Baseline of an atomic inline from its border-box top; null where it has none of its own. @spec css2 §10.8.1 (inline-block) */
export function atomicBaseline(fragment: Fragment): number | null {
  const { box } = fragment;
  if (box.natural?.framed) return fragment.baseline;
  if (box.inner === 'replaced')
    return box.element && /^(input|select|textarea)$/.test(box.element.tag) ? controlBaseline(fragment) : null;
  if (box.inner === 'flow' && !box.centred && scrollsContent(box)) return null;
  if (box.inner !== 'flow') return fragment.baseline;
  // A button without a line stands on the lower edge of its content.
  const { padding, border, height } = fragment;
  return lastLine(fragment) ?? (box.centred ? height - padding.bottom - border.bottom : null);
}

/** Baseline of the last line box in normal flow: lines inside tables are not. @spec css2 §10.8.1 */
export function lastLine(fragment: Fragment): number | null {
  const { box, children } = fragment;
  if (box.inner !== 'flow' || hasInlineContent(box) || box.frame !== box.mode) return fragment.lastBaseline;
  for (let i = children.length - 1; i >= 0; i--) {
    const { fragment: child, y } = children[i]!;
    if (!isInFlow(child.box) || child.box.inner === 'table') continue;
    // Lines inside of it may be scrolled away: its lower edge stands for them.
    if (scrollsLines(child.box)) return y + child.height + child.margin.bottom;
    // Of flex and grid containers the first line counts.
    if (child.box.inner === 'flex' || child.box.inner === 'grid') {
      if (child.baseline !== null) return y + child.baseline;
      continue;
    }
    const line = lastLine(child);
    if (line !== null) return y + line;
  }
  return null;
}

const isTextarea = ({ element, pseudo }: Box): boolean => element?.tag === 'textarea' && !pseudo;
const scrollsLines = (box: Box): boolean => (box.inner === 'flow' && scrollsContent(box)) || isTextarea(box);

function controlBaseline(fragment: Fragment): number {
  if (isTextarea(fragment.box)) return fragment.height + fragment.margin.bottom;
  const type = (fragment.box.element?.attributes.get('type') ?? 'text').toLowerCase();
  if (type === 'checkbox' || type === 'radio')
    return fragment.height + (fragment.box.style.appearance === 'none' ? fragment.margin.bottom : 0);
  return fragment.baseline ?? fragment.height + fragment.margin.bottom;
}
