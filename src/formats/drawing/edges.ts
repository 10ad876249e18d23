import type { Rect } from '../../core/base/index.js';
import { legendOf } from '../../core/boxes/index.js';
import type { ComputedStyle } from '../../core/cascade/index.js';
import type { PaintNode } from '../../core/paint/index.js';

/** Where the ground and the borders of a box are drawn. */
export interface Edges {
  readonly rect: Rect;
  /** Sides on which the box goes on in another piece: nothing is drawn there. */
  readonly cut: ReadonlySet<string>;
  /** What stands in the line of the border, which makes room for it. */
  readonly gap: Rect | null;
}

const WHOLE: ReadonlySet<string> = new Set();

/** @spec css-break-3 §5.4 (slice), html §15.3.13 (the border of a fieldset runs through the middle of its legend) */
export function edgesOf(style: ComputedStyle, { box, fragment, rect, children }: PaintNode): Edges {
  const legend = legendOf(box);
  const title = legend && children.find((child) => child.box === legend);
  if (title) {
    const down = Math.max(0, (fragment.border.top - style.borderTopWidth) / 2);
    return { rect: { ...rect, y: rect.y + down, height: rect.height - down }, cut: WHOLE, gap: title.rect };
  }
  if (box.outer !== 'block' || box.inner !== 'flow') return { rect, cut: WHOLE, gap: null };
  const { top, bottom } = fragment.border;
  const cut = new Set<string>();
  if (top < style.borderTopWidth) cut.add('Top');
  if (bottom < style.borderBottomWidth) cut.add('Bottom');
  return { rect, cut, gap: null };
}
