import { resolveLength, type LengthPercentage } from '../../css/index.js';
import type { Rect } from '../../base/index.js';
import type { Box } from '../box.js';
import { snap, type OutOfFlow } from '../fragment.js';
import {
  alignmentOf,
  aligningOf,
  edgeOf,
  offsetTo,
  startEdge,
  type Alignment,
  type AxisName,
} from '../used/alignment.js';
import { specifiedMargins } from '../used/edges.js';

/** Offset of the border box in the containing block, and how its margins were used. */
export interface Solved {
  readonly at: number;
  readonly marginStart: number;
  readonly marginEnd: number;
}

/** Insets, margins and alignment of an absolute box along one axis of its containing block's flow; px. */
export interface Axis {
  readonly start: number | null;
  readonly end: number | null;
  readonly marginStart: number | null;
  readonly marginEnd: number | null;
  readonly static: number;
  readonly staticAlign: OutOfFlow['alignX'];
  readonly containing: number;
  readonly flowStart: 'low' | 'high';
  readonly align: Alignment;
  /** Ends of the containing block, from the start of the part of it the box is placed in. */
  readonly bounds: { readonly low: number; readonly high: number };
  /** Where the middle of the box is to be, as far as it stays between the insets; null where its alignment says. */
  readonly middle: number | null;
}

const inset = (value: LengthPercentage | 'auto', basis: number): number | null =>
  value === 'auto' || value.anchored ? null : snap(resolveLength(value, basis));

export function axisOf(
  entry: OutOfFlow,
  box: Box,
  area: Rect,
  container: Box,
  axis: AxisName,
  { middle, containing }: { readonly middle: number | undefined; readonly containing: Rect },
): Axis {
  const { style } = box;
  const flow = aligningOf(container);
  const margins = specifiedMargins(box, area.width);
  const inline = axis === 'inline';
  const self = inline ? style.justifySelf : style.alignSelf;
  const centred = middle !== undefined && self === 'anchor-center';
  const [low, high, basis] = inline ? [style.left, style.right, area.width] : [style.top, style.bottom, area.height];
  const [start, end] = [inset(low, basis), inset(high, basis)];
  return {
    start: centred ? (start ?? 0) : start,
    end: centred ? (end ?? 0) : end,
    middle: centred ? middle : null,
    bounds: inline
      ? { low: containing.x - area.x, high: containing.x + containing.width - area.x }
      : { low: containing.y - area.y, high: containing.y + containing.height - area.y },
    ...(inline
      ? { marginStart: margins.left, marginEnd: margins.right, static: entry.x - area.x, staticAlign: entry.alignX }
      : { marginStart: margins.top, marginEnd: margins.bottom, static: entry.y - area.y, staticAlign: entry.alignY }),
    containing: inline ? area.width : area.height,
    flowStart: startEdge(axis, flow),
    align: alignmentOf(self === 'auto' ? 'normal' : self, axis, flow, aligningOf(box)),
  };
}

/** @spec css-position-3 §3.5, css-align-3 §4.4 (absolutely-positioned boxes), css2 §10.3.7 */
export function solve(axis: Axis, size: number): Solved {
  const { start, end, containing, flowStart } = axis;
  const marginStart = axis.marginStart ?? 0;
  const marginEnd = axis.marginEnd ?? 0;
  const outer = size + marginStart + marginEnd;
  const used = (at: number): Solved => ({ at: at + marginStart, marginStart, marginEnd });
  if (start === null && end === null) return used(axis.static - offsetTo(STATIC_EDGE[axis.staticAlign], outer));
  if (start === null) return used(containing - end! - outer);
  if (end === null) return used(start);
  const spare = containing - start - end - outer;
  if (axis.middle !== null) return used(Math.max(start, Math.min(axis.middle - outer / 2, start + spare)));
  if (axis.marginStart === null || axis.marginEnd === null) return withAutoMargins(axis, spare, start);
  const edge = axis.align.safe && spare < 0 ? flowStart : edgeOf(axis.align, flowStart);
  const at = start + offsetTo(edge, spare);
  return used(axis.align.to === 'normal' ? at : within(at, outer, spare, axis));
}

const STATIC_EDGE = { start: 'low', center: 'center', end: 'high' } as const;

function withAutoMargins({ marginStart, marginEnd, flowStart }: Axis, spare: number, start: number): Solved {
  if (marginStart === null && marginEnd === null) {
    const half = spare < 0 ? (flowStart === 'high' ? spare : 0) : snap(spare / 2);
    return { at: start + half, marginStart: half, marginEnd: spare - half };
  }
  if (marginStart === null) return { at: start + spare, marginStart: spare, marginEnd: marginEnd! };
  return { at: start + marginStart, marginStart, marginEnd: spare };
}

/** An overflowing box keeps inside its containing block where it can. @spec css-align-3 §4.4 (default overflow) */
function within(at: number, outer: number, spare: number, axis: Axis): number {
  const { align, containing, flowStart, start, end, bounds } = axis;
  if (spare >= 0 || align.safe !== null) return at;
  const low = Math.min(bounds.low, start ?? 0);
  const high = Math.max(bounds.high, containing - (end ?? 0));
  const held = (v: number) => Math.max(low, Math.min(v, high - outer));
  if (outer <= high - low) return held(at);
  return flowStart === 'low' ? low : high - outer;
}

/** Size between the insets where an automatic size fills it, or null. */
export function stretchOf(axis: Axis, box: Box): number | null {
  const { start, end, containing, align } = axis;
  const fills = align.to === 'stretch' || (align.to === 'normal' && box.inner !== 'table');
  if (start === null || end === null || !fills) return null;
  return Math.max(0, containing - start - end - (axis.marginStart ?? 0) - (axis.marginEnd ?? 0));
}

/** What is left of the containing block for the box's border box. */
export function roomOf(axis: Axis): number {
  const { containing, start, end } = axis;
  const margins = (axis.marginStart ?? 0) + (axis.marginEnd ?? 0);
  if (start !== null || end !== null) return containing - (start ?? 0) - (end ?? 0) - margins;
  const at = axis.static;
  const room =
    axis.staticAlign === 'start'
      ? containing - at
      : axis.staticAlign === 'end'
        ? at
        : 2 * Math.min(at, containing - at);
  return room - margins;
}
