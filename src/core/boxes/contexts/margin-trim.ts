import { establishesFormattingContext, isFloating, type Box } from '../box.js';
import { makeFragment, type Fragment, type Placed } from '../fragment.js';
import { relativeOffset } from '../used/relative.js';

/** Whether a block container cuts off the margins at its start or end. @spec css-box-4 §3.3 */
export function trims(box: Box, end: 'start' | 'end'): boolean {
  return !box.anonymous && box.style.marginTrim.some((word) => word === 'block' || word === `block-${end}`);
}

/**
 * The children of a block container whose last margins are cut off: boxes without height that follow the last
 * content lie where that ends, however deep they are.
 * @param end where the content ends, px in the coordinates of the children
 * @spec css-box-4 §3.3 (margins that collapse with the container's edge are trimmed with it)
 */
export function withoutEndMargins(children: readonly Placed[], end: number, width: number): readonly Placed[] {
  const out = [...children];
  for (let i = out.length - 1; i >= 0; i--) {
    const placed = out[i]!;
    const { box, height } = placed.fragment;
    if (isFloating(box)) continue;
    const { y } = relativeOffset(box, width, NaN);
    if (collapsed(placed.fragment)) {
      out[i] = { fragment: trimmed(placed.fragment, 0), x: placed.x, y: end + y };
      continue;
    }
    if (joinsEnd(placed.fragment)) out[i] = { fragment: trimmed(placed.fragment, height), x: placed.x, y: placed.y };
    break;
  }
  return out;
}

const trimmed = (fragment: Fragment, end: number): Fragment =>
  fragment.children.length === 0
    ? fragment
    : makeFragment({ ...fragment, children: withoutEndMargins(fragment.children, end, fragment.width) });

/** A block whose margins meet right through it. */
const collapsed = ({ kind, box, height, border, padding, children }: Fragment): boolean =>
  kind === 'box' &&
  height === 0 &&
  !establishesFormattingContext(box) &&
  border.top + border.bottom + padding.top + padding.bottom === 0 &&
  children.every(({ fragment }) => isFloating(fragment.box) || collapsed(fragment));

/** A block whose last margin is that of its last child too. */
const joinsEnd = ({ kind, box, border, padding }: Fragment): boolean =>
  kind === 'box' &&
  !establishesFormattingContext(box) &&
  border.bottom + padding.bottom === 0 &&
  (box.anonymous || box.style.height === 'auto');
