import type { Rect } from '../../base/index.js';
import { containsAbsolute, containsFixed, isInTopLayer, type Box } from '../box.js';
import { makeFragment, paddingBox, type Fragment, type OutOfFlow, type Placed } from '../fragment.js';
import type { Layout } from '../layout.js';
import { isVertical } from '../flows/modes.js';
import { boxInFlow } from '../flows/turn.js';
import { usedBorder, usedPadding } from '../used/edges.js';
import type { Frame } from '../used/sizes.js';
import { absoluteSize } from './absolute-size.js';
import { axisOf, solve, type Axis } from './absolute-axis.js';
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
