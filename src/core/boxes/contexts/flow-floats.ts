import { containerOf, type Box } from '../box.js';
import { horizontal, vertical, type Fragment, type Placed } from '../fragment.js';
import type { Layout } from '../layout.js';
import { specifiedMargins, usedMargins } from '../used/edges.js';
import { relativeOffset } from '../used/relative.js';
import { clampWidth, frameWidth, preferredRatio } from '../used/sizes.js';
import type { Floats, Gap } from './floats.js';
import { frameOf, horizontalMargins } from './flow-sizes.js';
import { clearValue, floatSide } from './float-sides.js';

/** The block formatting context a box takes part in, and where its content box lies in it. */
export interface Flow {
  readonly floats: Floats;
  readonly x: number;
  readonly y: number;
}

export function placeFloat(box: Box, top: number, width: number, basis: number, flow: Flow, layout: Layout): Placed {
  const { floats } = flow;
  const fragment = layout.place(box, { width, height: basis, shrink: true });
  const { margin } = fragment;
  const side = floatSide(box);
  const cleared = clearValue(box);
  const low = cleared ? floats.clearance(cleared) : null;
  const from = low === null ? flow.y + top : Math.max(flow.y + top, low);
  const at = floats.place(
    side,
    fragment.width + horizontal(margin),
    Math.max(0, fragment.height + vertical(margin)),
    from,
    flow.x,
    flow.x + width,
    box.pseudo === 'first-letter' && box.style.initialLetter !== 'normal',
  );
  const offset = relativeOffset(box, width, basis);
  return { fragment, x: at.x - flow.x + margin.left + offset.x, y: at.y - flow.y + margin.top + offset.y };
}

/** Room a float needs beside a line, and how much of it the line loses: what has no height takes none. Px. */
export interface RoomBeside {
  readonly needs: number;
  readonly takes: number;
}

/** Room of a float that may stand at a height; null where others or its `clear` hold it down. @spec css2 §9.5.1 */
export function widthBeside(
  box: Box,
  top: number,
  width: number,
  basis: number,
  { floats, y }: Flow,
  layout: Layout,
): RoomBeside | null {
  const cleared = clearValue(box);
  const low = Math.max(floats.lastTop, cleared ? (floats.clearance(cleared) ?? -Infinity) : -Infinity);
  if (low > y + top) return null;
  const fragment = layout.place(box, { width, height: basis, shrink: true });
  const needs = fragment.width + horizontal(fragment.margin);
  return { needs, takes: fragment.height + vertical(fragment.margin) > 0 ? needs : 0 };
}

/** A formatting context does not overlap floats: it narrows or moves down. @spec css2 §9.5 */
export function besideFloats(
  box: Box,
  top: number,
  width: number,
  basis: number,
  flow: Flow,
  layout: Layout,
): { fragment: Fragment; x: number; y: number } {
  const { floats } = flow;
  const alone = layout.place(box, { width, height: basis });
  if (floats.empty) return { fragment: alone, x: alone.margin.left, y: top };
  const margins = usedMargins(box, width);
  for (let y = top, height = Math.max(1, alone.height); ;) {
    const gap = floats.gap(flow.y + y, flow.y + y + height, flow.x, flow.x + width);
    const left = Math.max(gap.left - flow.x, margins.left);
    const right = Math.min(gap.right - flow.x, width - margins.right);
    const free = gap.left <= flow.x && gap.right >= flow.x + width;
    if (free) return { fragment: alone, x: alone.margin.left, y };
    // A box without width stands at the edge of a float that takes all the room, if its margin is not in the way.
    const between = gap.left > gap.right && gap.left > flow.x && gap.right < flow.x + width;
    const past = containerOf(box)?.style.direction === 'rtl' && gap.left > flow.x + width;
    const none = !between && !past && Math.max(gap.left, gap.right) - flow.x >= margins.left ? 0 : -Infinity;
    const fragment = narrowed(box, alone, { width, height: basis, free: Math.max(right - left, none) }, layout);
    const reached = fragment && floats.gap(flow.y + y, flow.y + y + fragment.height, gap.left, gap.right);
    if (fragment && reached && reached.right - reached.left < gap.right - gap.left) {
      height = fragment.height;
      continue;
    }
    if (fragment) return { fragment, x: besideX(box, fragment.width, { left, right }, width, gap), y };
    const next = floats.nextBottom(flow.y + y);
    if (next === null) return { fragment: alone, x: alone.margin.left, y };
    y = next - flow.y;
    height = Math.max(1, alone.height);
  }
}

/**
 * Where a box stands between floats: automatic margins and alignment share the room between them, less its margins,
 * though a float has taken the place of a margin.
 * @param edges the room between floats and margins
 */
function besideX(box: Box, width: number, edges: Gap, containing: number, gap: Gap): number {
  const specified = specifiedMargins(box, containing);
  const room = gap.right - gap.left;
  const shift = horizontalMargins(box, width, room, specified).left - (specified.left ?? 0);
  if (containerOf(box)?.style.direction !== 'rtl') return edges.left + shift;
  const spare = room - width - (specified.left ?? 0) - (specified.right ?? 0);
  return Math.max(edges.left, edges.right - (spare - shift) - width);
}

interface Beside {
  /** Of the containing block; px. */
  readonly width: number;
  readonly height: number;
  /** Room between the floats. */
  readonly free: number;
}

/**
 * A box made to fit between floats; null where it has to go below them. Boxes of automatic width narrow as far as
 * their border, padding and min-width let them, tables as far as their content.
 */
function narrowed(box: Box, alone: Fragment, { width, height, free }: Beside, layout: Layout): Fragment | null {
  const automatic = box.anonymous || box.style.width === 'auto' || box.style.width === 'stretch';
  const fits = !box.anonymous && box.style.width === 'fit-content' && box.inner !== 'replaced';
  const table = box.inner === 'table';
  const frame = frameOf(box, width);
  const byHeight = preferredRatio(box) !== null && box.style.height !== 'auto';
  const stretches = automatic && !table && box.inner !== 'replaced' && box.frame === box.mode && !byHeight;
  const intrinsic = () => layout.intrinsic(box, { width, basis: height });
  const narrowest = stretches
    ? clampWidth(box, frameWidth(frame), width, width, frame, intrinsic)
    : (table && automatic) || fits
      ? clampWidth(box, intrinsic().min + frameWidth(frame), width, width, frame, intrinsic)
      : alone.width;
  if (narrowest > free + 1 / 64) return null;
  if (stretches) return layout.place(box, { width, height, fixedWidth: Math.min(alone.width, free) });
  if (fits && !table) return layout.place(box, { width, height, fixedWidth: Math.min(alone.width, free) });
  return table && (automatic || fits) && alone.width > free ? layout.place(box, { width: free, height }) : alone;
}
