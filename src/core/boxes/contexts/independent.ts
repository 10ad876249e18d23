import type { Rect } from '../../base/index.js';
import { isLengthPercentage, resolveLength, type Sizing } from '../../css/index.js';
import { containerOf, isInFlow, scrollsContent, type Box } from '../box.js';
import {
  carriedFrom,
  horizontal,
  makeFragment,
  type Edges,
  type Fragment,
  type OutOfFlow,
  type Placed,
} from '../fragment.js';
import { spaceKey, UNKNOWN, type Across, type Intrinsic, type Layout, type Space } from '../layout.js';
import { fromTwin, type LayoutMemory, type Moving } from '../memory.js';
import { isOrthogonal, isVertical } from '../flows/modes.js';
import { baselinesAcross, boxInFlow, sizeTurned, turnFragment, turnPlaced } from '../flows/turn.js';
import { containsLayout } from '../used/containment.js';
import { usedMargins } from '../used/edges.js';
import { gutterWidth, pageGutter, withGutter } from '../used/gutters.js';
import { replacedSize } from '../used/replaced.js';
import {
  acrossRatio,
  clampWidth,
  frameHeight,
  frameWidth,
  heightFor,
  isByContent,
  preferredRatio,
  shrinkToFit,
  widthFor,
  yieldsToContent,
  type Frame,
} from '../used/sizes.js';
import type { Job } from './job.js';
import { legendOf } from '../generate/fieldset.js';
import { layoutFieldset } from './fieldset.js';
import { layoutFlex } from './flex.js';
import { layoutFlowRoot } from './flow.js';
import {
  blockWidth,
  dependsOnHeight,
  frameOf,
  horizontalMargins,
  refersToHeight,
  specifiedHeight,
} from './flow-sizes.js';
import { layoutGrid, repeatsByRoom } from './grid.js';
import { contributionOf, intrinsicWidths } from './intrinsic.js';
import { adoptAtRoot, layoutAbsolute } from './positioned.js';
import { replacedBaseline } from './replaced-baselines.js';
import { layoutTable } from './table.js';
import { tableIntrinsic } from './table-intrinsic.js';
import { askedHeight } from './table-rows.js';

type Shared = Pick<Layout, 'metrics' | 'breaks' | 'limits' | 'quirks' | 'looseLines' | 'viewport' | 'near'>;

/** Formatting contexts inside each other that are laid out: more than any page has, less than the stack holds. */
const DEEPEST = 200;
const NOTHING: Intrinsic = Object.freeze({ min: 0, max: 0 });

/** Makes the functions that formatting contexts call back for their children, with memory of their results. */
export function makeLayout(shared: Shared, memory: LayoutMemory): Layout {
  const layout: Layout = {
    ...shared,
    place: (box, space) => {
      const known = memory.fragments.get(box);
      const key = spaceKey(space);
      const found = known?.get(key);
      if (found) return found;
      const made =
        fromTwin(
          memory,
          box,
          (other, twin) => other.fragments.get(twin)?.get(key),
          (one, moving) => moving.fragment(one),
        ) ??
        deeper(() => usableBaselines(layoutIndependent(box, space, layout))) ??
        makeFragment({ box, width: 0, height: 0 });
      if (known) known.set(key, made);
      else memory.fragments.set(box, new Map([[key, made]]));
      return made;
    },
    recall: <T>(box: Box, key: string, make: () => T, move: (found: T, moving: Moving) => T | null): T => {
      let known = memory.recalled.get(box);
      if (!known) memory.recalled.set(box, (known = new Map()));
      if (known.has(key)) return known.get(key) as T;
      const made =
        fromTwin<T>(memory, box, (other, twin) => other.recalled.get(twin)?.get(key) as T | undefined, move) ?? make();
      known.set(key, made);
      return made;
    },
    intrinsic: (box, across = UNKNOWN) => {
      const make = () => deeper(() => intrinsicOf(box, across, layout)) ?? NOTHING;
      const { basis, fixed, width } = across;
      if (width !== undefined && repeatsByRoom(box))
        return layout.recall(box, `intrinsic/${basis}/${fixed ?? ''}/${width}`, make, (found) => found);
      return dependsOnHeight(box) && isKnown(across)
        ? layout.recall(box, `intrinsic/${basis}/${fixed ?? ''}`, make, (found) => found)
        : remember(memory, 'intrinsic', box, make);
    },
    contribution: (box, across = UNKNOWN) => {
      const make = () => contributionOf(box, across, layout);
      return isKnown(across) && (dependsOnHeight(box) || refersToHeight(box) || preferredRatio(box) !== null)
        ? layout.recall(box, `contribution/${across.basis}/${across.fixed ?? ''}`, make, (found) => found)
        : remember(memory, 'contribution', box, make);
    },
  };
  let depth = 0;
  /** Goes down one formatting context; null beyond the deepest that is laid out. */
  const deeper = <T>(make: () => T): T | null => {
    if (depth >= DEEPEST) {
      layout.limits.add(
        'budget',
        `formatting contexts nested more than ${DEEPEST} deep`,
        'what lies deeper has no size',
      );
      return null;
    }
    depth++;
    try {
      return make();
    } finally {
      depth--;
    }
  };
  return layout;
}

const isKnown = ({ basis, fixed }: Across): boolean => !Number.isNaN(basis) || fixed !== undefined;

function remember(
  memory: LayoutMemory,
  which: 'intrinsic' | 'contribution',
  box: Box,
  make: () => Intrinsic,
): Intrinsic {
  let known = memory[which].get(box);
  if (!known) {
    known =
      fromTwin(
        memory,
        box,
        (other, twin) => other[which].get(twin),
        (found) => found,
      ) ?? make();
    memory[which].set(box, known);
  }
  return known;
}

/** The room kept for scroll bars lies inside the content box. */
function intrinsicOf(box: Box, across: Across, layout: Layout): Intrinsic {
  const { min, max } = intrinsicWidths(box, across, layout);
  const gutter = gutterWidth(box);
  return { min: min + gutter, max: max + gutter };
}

/** Boxes that contain their layout have no baseline; lines that a scroll container may move lie within its edges. @spec css-contain-2 §3.3, css-align-3 §9.1 */
function usableBaselines(fragment: Fragment): Fragment {
  const { box, baseline, lastBaseline, height } = fragment;
  if (baseline === null && lastBaseline === null) return fragment;
  if (containsLayout(box)) return makeFragment({ ...fragment, baseline: null, lastBaseline: null });
  if (!scrollsContent(box)) return fragment;
  const within = (line: number | null) => line && Math.max(0, Math.min(line, height));
  return makeFragment({ ...fragment, baseline: within(baseline), lastBaseline: within(lastBaseline) });
}

function layoutIndependent(box: Box, space: Space, layout: Layout): Fragment {
  if (box.frame !== box.mode) return layoutTurned(box, space, layout);
  const frame = frameOf(box, space.edges ?? space.width);
  if (box.inner === 'replaced') return layoutReplaced(box, frame, space, layout);
  const width = space.fixedWidth ?? outerWidth(box, frame, space, layout);
  const margin = marginsFor(box, width, space);
  const natural = space.byContent === 'height' ? {} : { natural: () => heightByContent(box, width, space, layout) };
  const job: Job = { box, width, frame: withGutter(box, frame), margin, space, layout, ...natural };
  switch (box.inner) {
    case 'flex':
      return layoutFlex(job);
    case 'grid':
      return layoutGrid(job);
    case 'table': {
      const table = layoutTable(job);
      // It may be wider than asked: the margins that are left follow.
      return table.width === width ? table : makeFragment({ ...table, margin: marginsFor(box, table.width, space) });
    }
    default: {
      const legend = legendOf(box);
      return legend ? layoutFieldset(job, legend) : layoutFlowRoot(job);
    }
  }
}

/** Border-box height a box has by its content at a width, px. */
const heightByContent = (box: Box, fixedWidth: number, { width, height }: Space, layout: Layout): number =>
  layout.place(box, { width, height, fixedWidth, byContent: 'height' }).height;

/**
 * Lays out a box whose content flows another way than the flow it stands in.
 * @spec css-writing-modes-4 §7.2, §7.3 (orthogonal flows: automatic sizes fit the content)
 */
function layoutTurned(box: Box, space: Space, layout: Layout): Fragment {
  const inside = boxInFlow(box, box.mode);
  const crossed = isOrthogonal(box.frame, box.mode);
  const own = layout.place(inside, crossed ? spaceAcross(box, space, layout) : space);
  const fragment = turnFragment(own, box.mode, box.frame);
  const ownBaselines = baselinesAcross(own, box.mode, box.frame);
  return makeFragment({ ...fragment, box, ownBaselines, margin: marginsFor(box, fragment.width, space) });
}

function spaceAcross(box: Box, space: Space, layout: Layout): Space {
  const { width, height, fixedWidth, fixedHeight, definite, byContent } = space;
  const port = fallbackAcross(box, layout);
  return {
    width: Number.isNaN(height) ? port : height,
    ...(Number.isNaN(height) && box.parent?.inner === 'grid' ? { basis: NaN } : {}),
    height: width,
    shrink: true,
    edges: Number.isNaN(width) ? 0 : width,
    ...(byContent === undefined ? {} : { byContent: byContent === 'width' ? 'height' : 'width' }),
    ...(fixedHeight === undefined ? {} : { fixedWidth: fixedHeight }),
    ...(fixedWidth === undefined ? {} : { fixedHeight: fixedWidth, definite: definite ?? true }),
  };
}

/** The room along a box's lines where nothing else limits it: that of the viewport, or of its parent as it is told to be. @spec css-writing-modes-4 §7.3.1 */
function fallbackAcross(box: Box, { viewport }: Layout): number {
  const { frame } = box;
  const parent = containerOf(box);
  const port = isVertical(frame) ? viewport.width : viewport.height;
  if (!parent || parent.anonymous) return port;
  const around = boxInFlow(parent, frame);
  const edges = frameOf(around, NaN);
  const told = (value: Sizing) => heightFor(around, value, NaN, edges) ?? Infinity;
  const most = Math.min(told(around.style.height), told(around.style.maxHeight));
  const least = heightFor(around, around.style.minHeight, NaN, edges) ?? 0;
  return Math.min(port, Math.max(0, most - frameHeight(edges), least - frameHeight(edges)));
}

const fillsLine = (box: Box, space: Space): boolean =>
  !space.shrink && box.outer === 'block' && isInFlow(box) && box.inner !== 'table';

function marginsFor(box: Box, width: number, space: Space): Edges {
  const used = usedMargins(box, space.width);
  const inBlockFlow =
    box.outer === 'block' && isInFlow(box) && !space.shrink && !['flex', 'grid'].includes(box.parent?.inner ?? '');
  return inBlockFlow ? { ...used, ...horizontalMargins(box, width, space.width) } : used;
}

/** Border-box width where the parent did not decide it. @spec css2 §10.3.3, §10.3.5, §10.3.9 */
function outerWidth(box: Box, frame: Frame, space: Space, layout: Layout): number {
  if (fillsLine(box, space)) return blockWidth(box, space.width, frame, layout, space.height);
  const margins = horizontal(usedMargins(box, space.edges ?? space.width));
  const available = space.width - margins;
  const basis = space.basis ?? space.width;
  const intrinsic = () =>
    box.inner === 'table' && box.style.width !== 'max-content'
      ? layout.recall(
          box,
          'scaled',
          () => tableIntrinsic(box, layout, true),
          (found) => found,
        )
      : layout.intrinsic(box, acrossOf(space));
  const extra = frameWidth(frame);
  const free = box.anonymous || space.byContent === 'width';
  const ratio = preferredRatio(box);
  const height = ratio === null ? null : (space.fixedHeight ?? specifiedHeight(box, space, frame, NaN));
  const across =
    ratio === null || height === null || Number.isNaN(height) ? null : acrossRatio(box, height, ratio, frame);
  const least = () => (yieldsToContent(box, box.style.minWidth) ? intrinsic().min + extra : 0);
  // With a ratio and a height, the words for sizes by content mean the width that follows from these.
  const specified =
    free || (across !== null && isByContent(box.style.width))
      ? null
      : widthFor(box, box.style.width, basis, available, frame, intrinsic);
  let width = specified ?? (across === null ? null : Math.max(across, least()));
  if (width === null) {
    const { min, max } = intrinsic();
    width = shrinkToFit(min + extra, max + extra, available);
  }
  return clampWidth(box, width, basis, available, frame, intrinsic, space.height);
}

const acrossOf = ({ width, basis, height, fixedHeight, definite }: Space): Across => ({
  width: basis ?? width,
  basis: height,
  fixed: definite === false ? undefined : fixedHeight,
});

function layoutReplaced(box: Box, frame: Frame, space: Space, layout: Layout): Fragment {
  const basis = Number.isNaN(space.height) ? heightOfCell(box, layout) : space.height;
  const size = replacedSize(box, space.width, basis, frame, {
    width: space.fixedWidth,
    height: space.fixedHeight,
  });
  const margin = marginsFor(box, size.width, space);
  const baseline = replacedBaseline(box, size.height, frame, layout);
  return makeFragment({
    box,
    ...size,
    children: box.children.map((child) => embeddedIn(child, box, size, layout)),
    margin,
    border: frame.border,
    padding: frame.padding,
    baseline,
    lastBaseline: baseline,
  });
}

/** What a picture embeds, in the picture's own units: where it stands there is known to who draws the picture. @spec svg-2 §12.4 */
function embeddedIn(child: Box, picture: Box, shown: { width: number; height: number }, layout: Layout): Placed {
  const [, , across, along] = (picture.element?.attributes.get('viewBox') ?? '')
    .trim()
    .split(/[\s,]+/)
    .map(Number);
  const sizeBy = (value: Sizing, basis: number) =>
    isLengthPercentage(value) ? Math.max(0, resolveLength(value, basis)) : 0;
  const width = sizeBy(child.style.width, across || shown.width);
  const height = sizeBy(child.style.height, along || shown.height);
  const fragment = layout.place(child, { width, height, fixedWidth: width, fixedHeight: height, definite: true });
  return { fragment, x: 0, y: 0 };
}

/** Shares of a height that is not known yet refer to that of the cell, where this asks for one; px, NaN without. */
function heightOfCell(box: Box, layout: Layout): number {
  let around = box.parent;
  while (around && !around.anonymous && around.outer === 'inline' && around.inner === 'flow') around = around.parent;
  const asked = around?.outer === 'table-part' && around.inner === 'flow' ? askedHeight(around, layout) : null;
  return asked === null ? NaN : Math.max(0, asked - frameHeight(frameOf(around!, 0)));
}

export interface DocumentLayout {
  /** Width of the viewport less what is kept free for scroll bars, px. */
  readonly width: number;
  /** The root element's fragment and where it lies; then boxes whose containing block is the initial one. */
  readonly placed: readonly Placed[];
}

/** Lays out a whole document. @spec css2 §10.1 (initial containing block), css-writing-modes-4 §8 */
export function layoutDocument(root: Box, layout: Layout): DocumentLayout {
  const page = layout.viewport;
  const { width, height } = sizeTurned(page, isVertical(root.mode));
  const gutter = pageGutter(root);
  const viewport: Rect = { x: gutter.left, y: 0, width: width - horizontal(gutter), height };
  const first = isInFlow(root) ? rootInFlow(root, viewport, layout) : rootOutOfFlow(root, viewport, layout);
  const lifted = makeFragment({ ...first.fragment, outOfFlow: carriedFrom(first) });
  const placed: Placed[] = [first, ...adoptAtRoot({ ...first, fragment: lifted }, viewport, layout)];
  return {
    width: page.width - horizontal(gutter),
    placed: placed.map((one) => turnPlaced(one, { width, height }, root.mode, 'horizontal-tb')),
  };
}

function rootInFlow(root: Box, { x, width, height }: Rect, layout: Layout): Placed {
  const fragment = layout.place(root, { width, height });
  return { fragment, x: x + fragment.margin.left, y: fragment.margin.top };
}

function rootOutOfFlow(root: Box, viewport: Rect, layout: Layout): Placed {
  const entry: OutOfFlow = { box: root, x: 0, y: 0, alignX: 'start', alignY: 'start', inlineContainer: null };
  return layoutAbsolute(entry, viewport, root, layout).placed;
}
