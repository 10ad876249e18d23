import type { Rect } from '../../base/index.js';
import type { Box, NaturalSize } from '../box.js';
import { makeFragment, NO_LINES, type Fragment, type OutOfFlow, type OwnBaselines, type Placed } from '../fragment.js';
import { edgesToFlow, edgesToPage, isOrthogonal, isVertical, styleInFlow, type Mode } from './modes.js';

const views = new WeakMap<Box, Map<Mode, Box>>();

/** A box as a flow of another mode sees it: the same box, its sizes and sides named in that flow's terms. */
export function boxInFlow(box: Box, mode: Mode): Box {
  if (box.frame === mode) return box;
  let known = views.get(box);
  if (!known) views.set(box, (known = new Map()));
  let view = known.get(mode);
  if (!view) {
    const natural = isOrthogonal(box.frame, mode) ? naturalTurned(box.natural) : box.natural;
    const own = box.inner === 'replaced' || box.inner === 'text' || box.inner === 'break' ? mode : box.mode;
    known.set(mode, (view = { ...box, natural, frame: mode, mode: own, style: styleInFlow(box.computed, mode) }));
  }
  return view;
}

export function naturalTurned(natural: NaturalSize | null): NaturalSize | null {
  if (!natural) return null;
  const { width, height, ratio } = natural;
  return { width: height, height: width, ratio: ratio === null ? null : 1 / ratio };
}

interface Size {
  readonly width: number;
  readonly height: number;
}

export const sizeTurned = ({ width, height }: Size, across: boolean): Size =>
  across ? { width: height, height: width } : { width, height };

/** A rectangle of a flow on the page. @param size of the box it lies in, in the flow's terms */
function toPage(r: Rect, size: Size, mode: Mode): Rect {
  switch (mode) {
    case 'horizontal-tb':
      return r;
    case 'vertical-rl':
    case 'sideways-rl':
      return { x: size.height - r.y - r.height, y: r.x, width: r.height, height: r.width };
    case 'vertical-lr':
      return { x: r.y, y: r.x, width: r.height, height: r.width };
    case 'sideways-lr':
      return { x: r.y, y: size.width - r.x - r.width, width: r.height, height: r.width };
  }
}

/** The other way round. @param size of the box it lies in, on the page */
function fromPage(r: Rect, size: Size, mode: Mode): Rect {
  switch (mode) {
    case 'horizontal-tb':
      return r;
    case 'vertical-rl':
    case 'sideways-rl':
      return { x: r.y, y: size.width - r.x - r.width, width: r.height, height: r.width };
    case 'vertical-lr':
      return { x: r.y, y: r.x, width: r.height, height: r.width };
    case 'sideways-lr':
      return { x: size.height - r.y - r.height, y: r.x, width: r.height, height: r.width };
  }
}

/** A rectangle of one flow in the terms of another. @param size of the box around it, in the first flow's terms */
function across(r: Rect, size: Size, from: Mode, to: Mode): Rect {
  return fromPage(toPage(r, size, from), sizeTurned(size, isVertical(from)), to);
}

/** A fragment laid out in one flow, with all it holds, in the terms of another. */
export function turnFragment(fragment: Fragment, from: Mode, to: Mode): Fragment {
  if (from === to) return fragment;
  const turned = isOrthogonal(from, to);
  const edges = (of: Fragment['margin']) => edgesToFlow(edgesToPage(of, from), to);
  return makeFragment({
    ...fragment,
    ...sizeTurned(fragment, turned),
    margin: edges(fragment.margin),
    border: edges(fragment.border),
    padding: edges(fragment.padding),
    baseline: null,
    lastBaseline: null,
    ownBaselines: null,
    linesReach: NO_LINES,
    children: fragment.children.map((child) => turnPlaced(child, fragment, from, to)),
    containing: fragment.containing && across(fragment.containing, fragment, from, to),
    outOfFlow: fragment.outOfFlow.map((entry) => turnOutOfFlow(entry, fragment, from, to)),
  });
}

/** A fragment's baselines along the axis of another flow that they lie on; null where it has none. */
export function baselinesAcross(fragment: Fragment, from: Mode, to: Mode): OwnBaselines | null {
  const { baseline, lastBaseline } = fragment;
  if (baseline === null && lastBaseline === null) return null;
  const turned = isOrthogonal(from, to);
  const at = (y: number | null) => {
    if (y === null) return null;
    const point = across({ x: 0, y, width: 0, height: 0 }, fragment, from, to);
    return turned ? point.x : point.y;
  };
  return { first: at(baseline), last: at(lastBaseline) };
}

export function turnPlaced({ fragment, x, y }: Placed, size: Size, from: Mode, to: Mode): Placed {
  const at = across({ x, y, width: fragment.width, height: fragment.height }, size, from, to);
  return { fragment: turnFragment(fragment, from, to), x: at.x, y: at.y };
}

type Align = OutOfFlow['alignX'];
const ENDS: Readonly<Record<Align, number>> = { start: 0, center: 0, end: 1 };

/** The corner an absolute box binds to stays the same corner of the page. */
function turnOutOfFlow(entry: OutOfFlow, size: Size, from: Mode, to: Mode): OutOfFlow {
  const point = across({ x: entry.x, y: entry.y, width: 0, height: 0 }, size, from, to);
  const unit = { width: 1, height: 1 };
  const corner = across({ x: ENDS[entry.alignX], y: ENDS[entry.alignY], width: 0, height: 0 }, unit, from, to);
  const [wasX, wasY] = isOrthogonal(from, to) ? [entry.alignY, entry.alignX] : [entry.alignX, entry.alignY];
  const end = (was: Align, at: number): Align => (was === 'center' ? 'center' : at > 0.5 ? 'end' : 'start');
  return { ...entry, x: point.x, y: point.y, alignX: end(wasX, corner.x), alignY: end(wasY, corner.y) };
}
