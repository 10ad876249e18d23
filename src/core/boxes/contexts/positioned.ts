import { resolveLength, type LengthPercentage } from '../../css/index.js';
import type { Rect } from '../../base/index.js';
import { containsAbsolute, containsFixed, type Box } from '../box.js';
import {
  horizontal,
  makeFragment,
  paddingBox,
  snap,
  vertical,
  type Fragment,
  type OutOfFlow,
  type Placed,
} from '../fragment.js';
import type { Layout, Space } from '../layout.js';
import type { Mode } from '../flows/modes.js';
import { boxInFlow } from '../flows/turn.js';
import { specifiedMargins, usedBorder, usedPadding } from '../used/edges.js';
import { clampHeight, clampWidth, heightFor, preferredRatio, widthFor, type Frame } from '../used/sizes.js';
import { replacedSize } from '../used/replaced.js';

/**
 * Lays out the absolute and fixed boxes whose containing block is this fragment; the rest is handed on.
 * @spec css-position-3 §2.1, §3.5
 */
export function adoptOutOfFlow(fragment: Fragment, layout: Layout, space: Space): Fragment {
  void space;
  if (fragment.outOfFlow.length === 0) return fragment;
  const { box } = fragment;
  const mine: OutOfFlow[] = [];
  const rest: OutOfFlow[] = [];
  const absolute = containsAbsolute(box);
  const fixed = containsFixed(box);
  for (const entry of fragment.outOfFlow) {
    const isFixed = entry.box.style.position === 'fixed';
    (isFixed ? fixed : absolute || entry.inlineContainer !== null) ? mine.push(entry) : rest.push(entry);
  }
  if (mine.length === 0) return fragment;
  const area = paddingBox(fragment);
  const added: Placed[] = [];
  const later = [...rest];
  for (const entry of mine) {
    const around = entry.inlineContainer ? (inlineArea(fragment, entry.inlineContainer) ?? area) : area;
    const { placed, outOfFlow } = layoutAbsolute(entry, around, box.mode, layout);
    added.push(placed);
    later.push(...outOfFlow);
  }
  return makeFragment({ ...fragment, children: [...fragment.children, ...added], outOfFlow: later });
}

/** Absolute boxes of the root: their containing block is the viewport-sized initial one. */
export function adoptAtRoot(root: Fragment, viewport: Rect, layout: Layout): readonly Placed[] {
  const added: Placed[] = [];
  let pending = root.outOfFlow;
  for (let round = 0; pending.length > 0 && round < 50; round++) {
    const next: OutOfFlow[] = [];
    for (const entry of pending) {
      const { placed, outOfFlow } = layoutAbsolute(entry, viewport, root.box.mode, layout);
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

interface Axis {
  readonly start: number | null;
  readonly end: number | null;
  readonly marginStart: number | null;
  readonly marginEnd: number | null;
  readonly static: number;
  readonly staticAlign: OutOfFlow['alignX'];
  readonly containing: number;
  readonly backwards: boolean;
}

/** Offset of the border box in the containing block once its size is known. @spec css2 §10.3.7, §10.6.4 */
function solve(axis: Axis, size: number): { at: number; marginStart: number; marginEnd: number } {
  const { start, end, containing } = axis;
  const ms = axis.marginStart ?? 0;
  const me = axis.marginEnd ?? 0;
  if (start === null && end === null) {
    const at =
      axis.staticAlign === 'end'
        ? axis.static - size - me
        : axis.staticAlign === 'center'
          ? axis.static - size / 2
          : axis.static + ms;
    return { at, marginStart: ms, marginEnd: me };
  }
  if (start !== null && end !== null) {
    const spare = containing - start - end - size - ms - me;
    if (axis.marginStart === null && axis.marginEnd === null) {
      const half = spare < 0 ? (axis.backwards ? spare : 0) : spare / 2;
      return { at: start + half, marginStart: half, marginEnd: spare - half };
    }
    if (axis.marginStart === null) return { at: start + spare, marginStart: spare, marginEnd: me };
    if (axis.marginEnd === null) return { at: start + ms, marginStart: ms, marginEnd: spare };
    return { at: axis.backwards ? containing - end - me - size : start + ms, marginStart: ms, marginEnd: me };
  }
  return { at: start !== null ? start + ms : containing - end! - me - size, marginStart: ms, marginEnd: me };
}

const inset = (value: LengthPercentage | 'auto', basis: number): number | null =>
  value === 'auto' ? null : snap(resolveLength(value, basis));

function layoutAbsolute(
  entry: OutOfFlow,
  area: Rect,
  mode: Mode,
  layout: Layout,
): { placed: Placed; outOfFlow: readonly OutOfFlow[] } {
  const box = boxInFlow(entry.box, mode);
  const { style } = box;
  const rtl = box.parent?.style.direction === 'rtl';
  const margins = specifiedMargins(box, area.width);
  const x: Axis = {
    start: inset(style.left, area.width),
    end: inset(style.right, area.width),
    marginStart: margins.left,
    marginEnd: margins.right,
    static: entry.x - area.x,
    staticAlign: entry.alignX,
    containing: area.width,
    backwards: rtl,
  };
  const y: Axis = {
    start: inset(style.top, area.height),
    end: inset(style.bottom, area.height),
    marginStart: margins.top,
    marginEnd: margins.bottom,
    static: entry.y - area.y,
    staticAlign: entry.alignY,
    containing: area.height,
    backwards: false,
  };
  const frame: Frame = { border: usedBorder(box), padding: usedPadding(box, area.width) };
  const size = absoluteSize(box, x, y, area, frame, layout);
  const fragment = layout.place(box, {
    width: area.width,
    height: area.height,
    fixedWidth: size.width,
    ...(size.height === null ? {} : { fixedHeight: size.height, definite: true }),
  });
  const solvedX = solve(x, fragment.width);
  const solvedY = solve(y, fragment.height);
  const margin = {
    top: solvedY.marginStart,
    right: solvedX.marginEnd,
    bottom: solvedY.marginEnd,
    left: solvedX.marginStart,
  };
  const placed: Placed = {
    fragment: makeFragment({ ...fragment, box: entry.box, margin }),
    x: area.x + solvedX.at,
    y: area.y + solvedY.at,
  };
  const outOfFlow = fragment.outOfFlow.map((o): OutOfFlow => ({ ...o, x: o.x + placed.x, y: o.y + placed.y }));
  return { placed, outOfFlow };
}

/** Border-box size of an absolutely positioned box; null height is that of its content. @spec css2 §10.3.7, §10.3.8, §10.6.4 */
function absoluteSize(
  box: Box,
  x: Axis,
  y: Axis,
  area: Rect,
  frame: Frame,
  layout: Layout,
): { width: number; height: number | null } {
  const { style } = box;
  const between = (axis: Axis) =>
    axis.start !== null && axis.end !== null
      ? Math.max(0, axis.containing - axis.start - axis.end - (axis.marginStart ?? 0) - (axis.marginEnd ?? 0))
      : null;
  if (box.inner === 'replaced') return replacedSize(box, area.width, area.height, frame);
  const intrinsic = () => layout.intrinsic(box);
  const stretchX = between(x);
  const stretchY = between(y);
  const ratio = preferredRatio(box);
  const outerFrame = horizontal(frame.border) + horizontal(frame.padding);
  const availableX = stretchX ?? Math.max(0, area.width - shift(x, area.width));
  let height = heightFor(box, style.height, area.height, frame);
  let width = widthFor(box, style.width, area.width, availableX, frame, intrinsic);
  if (width === null && ratio !== null && height !== null) width = height * ratio;
  if (width === null && stretchX !== null && box.inner !== 'table') width = stretchX;
  if (width === null) {
    const { min, max } = intrinsic();
    width = Math.max(min + outerFrame, Math.min(max + outerFrame, availableX));
  }
  width = clampWidth(box, width, area.width, availableX, frame, intrinsic);
  if (height === null && ratio !== null)
    height =
      (width - (style.boxSizing === 'border-box' ? 0 : outerFrame)) / ratio +
      (style.boxSizing === 'border-box' ? 0 : vertical(frame.border) + vertical(frame.padding));
  else if (height === null && stretchY !== null && style.height === 'auto' && box.inner !== 'table') height = stretchY;
  return { width, height: height === null ? null : clampHeight(box, height, area.height, frame) };
}

/** What insets, margins and the static position take from the containing block's width. */
function shift(axis: Axis, containing: number): number {
  const margins = (axis.marginStart ?? 0) + (axis.marginEnd ?? 0);
  if (axis.start === null && axis.end === null)
    return margins + (axis.staticAlign === 'end' ? containing - axis.static : axis.static);
  return margins + (axis.start ?? 0) + (axis.end ?? 0);
}
