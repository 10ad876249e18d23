import { resolveLength, type LengthPercentage } from '../../css/index.js';
import type { Rect } from '../../base/index.js';
import { containsAbsolute, containsFixed, isFormControl, isInTopLayer, type Box } from '../box.js';
import { makeFragment, paddingBox, snap, type Fragment, type OutOfFlow, type Placed } from '../fragment.js';
import type { Layout } from '../layout.js';
import { isOrthogonal, isVertical } from '../flows/modes.js';
import { boxInFlow } from '../flows/turn.js';
import { specifiedMargins, usedBorder, usedPadding } from '../used/edges.js';
import {
  alignmentOf,
  aligningOf,
  edgeOf,
  offsetTo,
  startEdge,
  type Alignment,
  type AxisName,
} from '../used/alignment.js';
import {
  acrossRatio,
  alongRatio,
  clampHeight,
  clampWidth,
  frameWidth,
  heightFor,
  preferredRatio,
  shrinkToFit,
  widthFor,
  yieldsToContent,
  type Frame,
} from '../used/sizes.js';
import { replacedSize } from '../used/replaced.js';
import { placementsOf } from './anchor-fallbacks.js';
import { anchored, refersToAnchor, type Anchored } from './anchored.js';
import { Anchors } from './anchors.js';

/**
 * Lays out the absolute and fixed boxes whose containing block is this fragment; the rest is handed on.
 * @spec css-position-3 §2.1, §3.5
 */
export function adoptOutOfFlow(fragment: Fragment, layout: Layout): Fragment {
  if (fragment.outOfFlow.length === 0) return fragment;
  const { box } = fragment;
  const absolute = containsAbsolute(box);
  const fixed = containsFixed(box);
  const holds = ({ box: { style }, inlineContainer }: OutOfFlow): boolean =>
    style.position === 'fixed' ? fixed : absolute || inlineContainer !== null;
  const area = paddingBox(fragment);
  const added: Placed[] = [];
  const rest: OutOfFlow[] = [];
  // What stands in one of them may be held by this fragment as well: a fixed box in an absolute one.
  for (let pending: readonly OutOfFlow[] = fragment.outOfFlow; pending.length > 0;) {
    const next: OutOfFlow[] = [];
    for (const entry of anchorsFirst(pending)) {
      if (isInTopLayer(entry.box) || !holds(entry)) {
        rest.push(entry);
        continue;
      }
      const inline = entry.inlineContainer ? inlineArea(fragment, entry.inlineContainer) : null;
      const around = new Anchors(() => [{ fragment, x: 0, y: 0 }, ...added]);
      const { placed, outOfFlow } = layoutAbsolute(entry, inline ?? entry.area ?? area, box, layout, around);
      added.push(placed);
      next.push(...outOfFlow);
    }
    pending = next;
  }
  if (added.length === 0) return fragment;
  return makeFragment({ ...fragment, children: [...fragment.children, ...added], outOfFlow: rest });
}

/** Boxes that are placed by others come behind them, in the order of the document. */
function anchorsFirst(entries: readonly OutOfFlow[]): readonly OutOfFlow[] {
  const later = entries.filter(({ box }) => refersToAnchor(box));
  if (later.length === 0) return entries;
  return [...entries.filter(({ box }) => !refersToAnchor(box)), ...later.sort((a, b) => a.box.id - b.box.id)];
}

/** Absolute boxes of the root: their containing block is the viewport-sized initial one. */
export function adoptAtRoot(rootPlaced: Placed, viewport: Rect, layout: Layout): readonly Placed[] {
  const { fragment: root } = rootPlaced;
  const added: Placed[] = [];
  let pending = root.outOfFlow;
  for (let round = 0; pending.length > 0 && round < 50; round++) {
    const next: OutOfFlow[] = [];
    for (const entry of anchorsFirst(pending)) {
      const around = new Anchors(() => [rootPlaced, ...added]);
      const { placed, outOfFlow } = layoutAbsolute(entry, viewport, root.box, layout, around);
      added.push(placed);
      next.push(...outOfFlow);
    }
    pending = next;
  }
  return added;
}

/** Padding box around all parts of an inline box, relative to the fragment. @spec css-position-3 §2.1 */
function inlineArea(fragment: Fragment, inline: Box): Rect | null {
  const found: Rect[] = [];
  const visit = (parent: Fragment, x: number, y: number) => {
    for (const child of parent.children) {
      const at = { x: x + child.x, y: y + child.y };
      if (child.fragment.box === inline && child.fragment.kind === 'box') {
        const inner = paddingBox(child.fragment);
        found.push({ x: at.x + inner.x, y: at.y + inner.y, width: inner.width, height: inner.height });
      } else if (child.fragment.box.outer === 'inline' || child.fragment.box.anonymous)
        visit(child.fragment, at.x, at.y);
    }
  };
  visit(fragment, 0, 0);
  const first = found[0];
  const last = found[found.length - 1];
  if (!first || !last) return null;
  return {
    x: first.x,
    y: first.y,
    width: Math.max(0, last.x + last.width - first.x),
    height: Math.max(0, last.y + last.height - first.y),
  };
}

/** Offset of the border box in the containing block, and how its margins were used. */
interface Solved {
  readonly at: number;
  readonly marginStart: number;
  readonly marginEnd: number;
}

/** @param anchors where others it refers to are found; none for the root */
export function layoutAbsolute(
  entry: OutOfFlow,
  containing: Rect,
  container: Box,
  layout: Layout,
  anchors?: Anchors,
): { placed: Placed; outOfFlow: readonly OutOfFlow[] } {
  const plain = boxInFlow(entry.box, container.mode);
  const refers = anchors && !isVertical(container.mode) && refersToAnchor(plain);
  const attempt = (made: Anchored) => attemptOf(entry, made, containing, container, layout);
  if (!refers) return placedBy(entry, attempt({ box: plain, area: containing, middle: null }));
  let first: Attempt | null = null;
  for (const box of placementsOf(plain)) {
    const made = attempt(anchored(box, containing, anchors));
    if (fits(made)) return placedBy(entry, made);
    first ??= made;
  }
  return placedBy(entry, first!);
}

/** An absolute box laid out in an area, and where it goes there. */
interface Attempt {
  readonly area: Rect;
  readonly x: Axis;
  readonly y: Axis;
  readonly fragment: Fragment;
}

function attemptOf(
  entry: OutOfFlow,
  { box, area, middle }: Anchored,
  containing: Rect,
  container: Box,
  layout: Layout,
): Attempt {
  const x = axisOf(entry, box, area, container, 'inline', { middle: middle?.x, containing });
  const y = axisOf(entry, box, area, container, 'block', { middle: middle?.y, containing });
  const frame: Frame = { border: usedBorder(box), padding: usedPadding(box, area.width) };
  const size = absoluteSize(box, x, y, area, frame, layout);
  const fragment = layout.place(box, {
    width: area.width,
    height: area.height,
    shrink: true,
    ...(size.width === null ? {} : { fixedWidth: size.width }),
    ...(size.height === null ? {} : { fixedHeight: size.height, definite: true }),
  });
  return { area, x, y, fragment };
}

/** Whether a box stays within its insets. @spec css-anchor-position-1 §6 (overflow of the inset-modified containing block) */
const fits = ({ x, y, fragment: { width, height } }: Attempt): boolean =>
  [[x, width] as const, [y, height] as const].every(([axis, size]) => {
    if (axis.start === null && axis.end === null) return true;
    const outer = size + (axis.marginStart ?? 0) + (axis.marginEnd ?? 0);
    return outer <= axis.containing - (axis.start ?? 0) - (axis.end ?? 0) + 1 / 64;
  });

function placedBy(entry: OutOfFlow, { area, x, y, fragment }: Attempt) {
  const solvedX = solve(x, fragment.width);
  const solvedY = solve(y, fragment.height);
  const margin = {
    top: solvedY.marginStart,
    right: solvedX.marginEnd,
    bottom: solvedY.marginEnd,
    left: solvedX.marginStart,
  };
  const placed: Placed = {
    fragment: makeFragment({
      ...fragment,
      box: entry.box,
      margin,
      containing: { ...area, x: -solvedX.at, y: -solvedY.at },
    }),
    x: area.x + solvedX.at,
    y: area.y + solvedY.at,
  };
  const outOfFlow = fragment.outOfFlow.map((o): OutOfFlow => ({ ...o, x: o.x + placed.x, y: o.y + placed.y }));
  return { placed, outOfFlow };
}

/** Insets, margins and alignment of an absolute box along one axis of its containing block's flow; px. */
interface Axis {
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

function axisOf(
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
function solve(axis: Axis, size: number): Solved {
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
    const half = spare < 0 ? (flowStart === 'high' ? spare : 0) : spare / 2;
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

/** Border-box size of an absolutely positioned box; null is that of its content. @spec css2 §10.3.7, §10.3.8, §10.6.4 */
function absoluteSize(
  box: Box,
  x: Axis,
  y: Axis,
  area: Rect,
  frame: Frame,
  layout: Layout,
): { width: number | null; height: number | null } {
  const { style } = box;
  if (box.inner === 'replaced') return replacedAbsolute(box, x, y, area, frame);
  const crossed = isOrthogonal(box.frame, box.mode);
  const stretchX = stretchOf(x, box);
  const stretchY = stretchOf(y, box);
  const ratio = preferredRatio(box);
  const intrinsic = () => layout.intrinsic(box, { basis: area.height, fixed: stretchY ?? undefined });
  const extraX = frameWidth(frame);
  const availableX = roomOf(x);
  const asked = widthFor(box, style.width, area.width, availableX, frame, intrinsic);
  const askedY = heightFor(box, style.height, area.height, frame);
  let width = asked;
  if (width === null && style.width === 'auto') {
    const tall = askedY ?? (stretchX === null ? stretchY : null);
    if (ratio !== null && tall !== null) width = acrossRatio(box, tall, ratio, frame);
    else width = stretchX;
  }
  if (width === null && !crossed) {
    const { min, max } = intrinsic();
    width = shrinkToFit(min + extraX, max + extraX, Math.max(0, availableX));
  }
  if (width !== null) width = clampWidth(box, width, area.width, availableX, frame, intrinsic);
  const natural = () => {
    const fixed = width === null ? { shrink: true } : { fixedWidth: width };
    return layout.place(box, { width: area.width, height: area.height, ...fixed, byContent: 'height' }).height;
  };
  let height = askedY;
  if (height === null && style.height === 'auto') {
    if (ratio !== null && width !== null && (stretchY === null || asked !== null || stretchX !== null))
      height = Math.max(alongRatio(box, width, ratio, frame), yieldsToContent(box, style.minHeight) ? natural() : 0);
    else height = stretchY;
  }
  return { width, height: height === null ? null : clampHeight(box, height, area.height, frame, natural) };
}

function replacedAbsolute(box: Box, x: Axis, y: Axis, area: Rect, frame: Frame): { width: number; height: number } {
  const { style } = box;
  const control = isFormControl(box);
  const only = (axis: Axis, size: typeof style.width) =>
    size === 'auto' && (axis.align.to === 'stretch' || (axis.align.to === 'normal' && control))
      ? (stretchOf(axis, box) ?? undefined)
      : undefined;
  const wide = only(x, style.width) ?? widthByRatio(box, roomOf(x));
  return replacedSize(box, area.width, area.height, frame, {
    width: wide,
    height: only(y, style.height),
  });
}

/** What has a ratio and no size at all is as wide as there is room. */
function widthByRatio(box: Box, room: number): number | undefined {
  const { style, natural } = box;
  const sizeless = style.width === 'auto' && style.height === 'auto' && !natural?.width && !natural?.height;
  return sizeless && preferredRatio(box) !== null ? Math.max(0, room) : undefined;
}

/** Size between the insets where an automatic size fills it, or null. */
function stretchOf(axis: Axis, box: Box): number | null {
  const { start, end, containing, align } = axis;
  const fills = align.to === 'stretch' || (align.to === 'normal' && box.inner !== 'table');
  if (start === null || end === null || !fills) return null;
  return Math.max(0, containing - start - end - (axis.marginStart ?? 0) - (axis.marginEnd ?? 0));
}

/** What is left of the containing block for the box's border box. */
function roomOf(axis: Axis): number {
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
