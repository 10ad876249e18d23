import { establishesFormattingContext, hasInlineContent, isFloating, isInFlow, isOutOfFlow, type Box } from '../box.js';
import { carriedFrom, type Edges, type Fragment, type OutOfFlow, type Placed } from '../fragment.js';
import type { Layout, Space } from '../layout.js';
import { containedHeight } from '../used/containment.js';
import { usedMargins } from '../used/edges.js';
import { relativeOffset } from '../used/relative.js';
import { clampHeight, frameHeight, frameWidth } from '../used/sizes.js';
import { layoutInline } from './inline/layout.js';
import type { BlockAmongLines } from './inline/space.js';
import { besideNoLine, markerExtent, standsAlone } from './marker.js';
import { isMulticol } from './columns/count.js';
import { trims, withoutEndMargins } from './margin-trim.js';
import {
  isByDefault,
  isThroughByDefault,
  joinMargin,
  joinStruts,
  NO_STRUT,
  strutSize,
  withinEdge,
  type Strut,
} from './margins.js';
import { NO_TRIM, noteUntrimmed, passedTo, trimKey, trimmed, trimOf, type Trim } from './text-box.js';
import { endSize, finish, type Content } from './content.js';
import { alignedIn, standsInLine, staticInLine } from './static-position.js';
import {
  heightByRatio,
  leastByRatio,
  specifiedHeight,
  percentBasis,
  filledHeight,
  frameOf,
  horizontalMargins,
  blockWidth,
} from './flow-sizes.js';
import { clearValue, holdsFloats, type Clear } from './float-sides.js';
import { startsWithin, type TopStrut, topStrut } from './flow-margins.js';
import { type Flow, placeFloat, widthBeside, besideFloats } from './flow-floats.js';

interface InFlow {
  readonly fragment: Fragment;
  readonly end: Strut;
  readonly through: boolean;
}

/** Where the content of a block container is laid out. Lengths in px. */
export interface ContentRoom {
  readonly width: number;
  /** What percentage heights refer to. */
  readonly basis: number;
  readonly flow: Flow;
  /** The container's own top margin already holds the margins of the first children. */
  readonly absorbs: boolean;
  /** At which ends its lines are trimmed; not at all if left out. */
  readonly trim?: Trim;
}

export const layoutContent = (box: Box, room: ContentRoom, layout: Layout): Content =>
  hasInlineContent(box) ? inlineContent(box, room, layout) : blockContent(box, room, layout);

/** Lines, and the blocks among inline content: the margins of those meet where no line stands between. @spec css2 §9.2.1.1 */
function inlineContent(box: Box, room: ContentRoom, layout: Layout): Content {
  const { width, basis, flow } = room;
  const run = new BlockRun(room, layout, box);
  const result = layoutInline(
    box,
    {
      width,
      height: basis,
      floats: flow.floats,
      x: flow.x,
      y: flow.y,
      block: (child, line) => run.amongLines(child, line),
      float: (child, top) => placeFloat(child, top, width, basis, flow, layout),
      beside: (child, top) => widthBeside(child, top, width, basis, flow, layout),
    },
    layout,
  );
  const content = {
    ...trimmed(result, box.style, room.trim ?? NO_TRIM, layout),
    end: NO_STRUT,
    through: result.height === 0 && !result.lined && run.empty,
  };
  return result.endsInBlock ? { ...content, height: run.cursor, end: run.strut, keepsEnd: run.keepsEnd } : content;
}

/** @param children those of the box to be stacked */
export function blockContent(
  box: Box,
  room: ContentRoom,
  layout: Layout,
  children: readonly Box[] = box.children,
): Content {
  const run = new BlockRun({ ...room, absorbs: room.absorbs || trims(box, 'start') }, layout, box);
  if (children[0] && standsAlone(box, children[0], layout)) run.markerAlone();
  run.passTrim(children, room.trim ?? NO_TRIM);
  for (const child of children) run.child(child);
  const trimming = trims(box, 'end');
  return {
    children: trimming ? withoutEndMargins(run.children, run.cursor, room.width) : run.children,
    height: run.cursor,
    baseline: run.baseline,
    lastBaseline: run.lastBaseline,
    outOfFlow: run.outOfFlow,
    end: trimming ? NO_STRUT : run.strut,
    through: run.empty,
    keepsEnd: run.keepsEnd,
  };
}

/** Stacks block-level children, collapsing their margins. Positions are relative to the content box. */
class BlockRun {
  cursor = 0;
  strut: Strut = NO_STRUT;
  empty = true;
  /** Nothing stands between the start of the container and the next margin. */
  starting = true;
  baseline: number | null = null;
  lastBaseline: number | null = null;
  keepsEnd = false;
  /** Whether floats have moved the last child down. */
  private pushed = false;
  readonly children: Placed[] = [];
  readonly outOfFlow: OutOfFlow[] = [];

  readonly width: number;
  readonly basis: number;
  readonly flow: Flow;
  absorbing: boolean;
  /** How far the marker of a list item reaches above the baseline it shares, until a child has one. */
  private marker: number | null;
  #trims: { readonly first: Box | undefined; readonly last: Box | undefined } | null = null;

  constructor(
    { width, basis, flow, absorbs }: ContentRoom,
    readonly layout: Layout,
    readonly parent: Box,
  ) {
    this.width = width;
    this.basis = basis;
    this.flow = flow;
    this.absorbing = absorbs;
    this.marker = parent.marker && !isMulticol(parent) ? markerExtent(parent.marker, layout).above : null;
  }

  /** The marker of a list item stands on a line of its own. */
  markerAlone(): void {
    const { above, below } = markerExtent(this.parent.marker!, this.layout);
    this.baseline = this.lastBaseline = above;
    this.cursor = above + below;
    this.absorbing = this.starting = this.empty = false;
    this.marker = null;
  }

  /** A marker that is taller than the first line beside it moves that down. @spec css-lists-3 §3.1 */
  private besideMarker({ baseline }: Fragment): number {
    if (this.marker === null || baseline === null) return 0;
    const down = Math.max(0, this.marker - baseline);
    this.marker = null;
    return down;
  }

  /** The first and the last child in flow hold the lines that are trimmed. */
  passTrim(children: readonly Box[], { start, end }: Trim): void {
    if (!start && !end) return;
    const inFlow = children.filter((child) => isInFlow(child));
    this.#trims = { first: start ? inFlow[0] : undefined, last: end ? inFlow[inFlow.length - 1] : undefined };
  }

  private trimFor(box: Box): Trim {
    return passedTo(box, { start: box === this.#trims?.first, end: box === this.#trims?.last });
  }

  /** Lays out a block found among inline content. @param line where the line before it ends, null if none is between */
  amongLines(box: Box, line: number | null): BlockAmongLines {
    if (line !== null) {
      this.cursor = line;
      this.strut = NO_STRUT;
      this.absorbing = false;
      this.starting = false;
      this.marker = null;
    }
    const carried = this.outOfFlow.length;
    const start = this.cursor + this.pending;
    this.pushed = false;
    this.child(box);
    const placed = this.children[this.children.length - 1]!;
    const from = this.pushed ? start : placed.y - relativeOffset(box, this.width, this.basis).y;
    return { placed, from, bottom: this.cursor + this.pending, outOfFlow: this.outOfFlow.slice(carried) };
  }

  child(box: Box): void {
    if (isOutOfFlow(box)) this.static(box);
    else if (isFloating(box)) this.float(box);
    else if (establishesFormattingContext(box)) this.independent(box);
    else this.inFlow(box);
  }

  private get pending(): number {
    return this.absorbing ? 0 : strutSize(this.strut);
  }

  private static(box: Box): void {
    const { parent, width, flow } = this;
    const y = this.cursor + this.pending;
    this.outOfFlow.push(
      standsInLine(box)
        ? staticInLine(box, parent, flow, y, width)
        : alignedIn(box, parent, { x: 0, y, width, height: 0 }),
    );
  }

  private float(box: Box): void {
    const placed = placeFloat(box, this.cursor + this.pending, this.width, this.basis, this.flow, this.layout);
    this.children.push(placed);
    this.outOfFlow.push(...carriedFrom(placed));
  }

  /** Top of a child whose margins begin with the given strut, and whether clearance put it there. */
  private topFor(box: Box, top: Strut): { y: number; cleared: boolean } {
    const joined = this.absorbing ? NO_STRUT : joinStruts(this.strut, top);
    const y = this.cursor + strutSize(joined);
    const clear = clearValue(box);
    const low = clear ? this.flow.floats.clearance(clear) : null;
    if (low === null) return { y, cleared: false };
    // A child that clears floats keeps its margin apart from the parent's.
    const own = this.absorbing ? this.cursor + strutSize(top) : y;
    return this.isPast(low, own, clear!) ? { y, cleared: false } : { y: low - this.flow.y, cleared: true };
  }

  /**
   * Whether a child at a height stands past the floats it clears, the lowest of which ends at `low`; it is never past one
   * without height that stands there too. @spec css2 §9.5.2 (clearance)
   */
  private isPast(low: number, at: number, clear: Clear): boolean {
    const edge = low - this.flow.y;
    return edge < at || (edge === at && !this.flow.floats.standsFlat(clear, low));
  }

  /**
   * Whether an empty box that clears floats keeps the margins before it from those behind it, though it stands past the
   * floats: browsers hold these against the top of the block. @spec css2 §9.5.2 (clearance, as browsers have it)
   */
  private separates(box: Box, top: Strut): boolean {
    const clear = clearValue(box);
    const low = clear && !this.absorbing ? this.flow.floats.clearance(clear) : null;
    return low !== null && low > this.flow.y + strutSize(joinStruts(this.strut, top));
  }

  /** A first child further down that has to clear floats, or does not fit beside them, keeps its margins to itself. */
  private settled(top: TopStrut): Pick<TopStrut, 'strut' | 'through' | 'place'> {
    const { clearing, fitting } = top;
    if (fitting && !this.absorbing && !this.flow.floats.empty) {
      const { flow, layout } = this;
      const y = this.cursor + strutSize(joinStruts(this.strut, top.strut));
      const beside = besideFloats(fitting.box, y, fitting.width, NaN, { ...flow, x: flow.x + fitting.x }, layout);
      if (beside.y > y) return { strut: fitting.without, place: fitting.without, through: false };
    }
    const low = clearing ? this.flow.floats.clearance(clearing.clear) : null;
    if (!clearing || low === null) return top;
    const joined = this.absorbing ? clearing.strut : joinStruts(this.strut, clearing.strut);
    const { without } = clearing;
    return this.isPast(low, this.cursor + strutSize(joined), clearing.clear)
      ? top
      : { strut: without, place: without, through: false };
  }

  private inFlow(box: Box): void {
    const { layout, width, starting, parent } = this;
    const found = topStrut(box, width, this.flow.floats.empty, layout);
    const top = this.settled(starting ? startsWithin(parent, found, layout) : found);
    const { y, cleared } = this.topFor(box, top.place);
    this.pushed = cleared;
    const { fragment, end, through } = layoutBlock(box, this, { ...this.flow, y: this.flow.y + y }, this.trimFor(box));
    const at = y + this.besideMarker(fragment);
    this.put(fragment, at);
    if (through && !cleared && !this.separates(box, top.place)) {
      const met = joinStruts(top.strut, end);
      if (!this.absorbing) this.strut = joinStruts(this.strut, starting ? withinEdge(parent, met, layout) : met);
      return;
    }
    this.advance(fragment, at, end);
    // Margins of an empty box lie about the place where clearance puts it, unless it holds an inline box.
    if (!through || box.children.some((child) => child.outer === 'inline' && child.inner === 'flow')) return;
    this.cursor = y - strutSize(top.place);
    this.strut = joinStruts(top.strut, end);
    this.keepsEnd = true;
  }

  private independent(box: Box): void {
    const { width, flow, layout, parent } = this;
    const trim = this.trimFor(box);
    if (box.inner === 'flow' && (trim.start || trim.end))
      noteUntrimmed(box, 'it does not reach into formatting contexts inside', layout);
    const margins = usedMargins(box, width);
    const own = joinMargin(NO_STRUT, margins.top, isByDefault(box, 'marginTop', layout));
    const top = this.starting ? withinEdge(parent, own, layout) : own;
    const { y, cleared } = this.topFor(box, top);
    const beside = besideFloats(box, y, width, this.basis, flow, layout);
    this.pushed = cleared || beside.y > y;
    const { fragment, x } = beside;
    const at = beside.y + this.besideMarker(fragment);
    const offset = relativeOffset(box, width, this.basis);
    this.children.push({ fragment, x: x + offset.x, y: at + offset.y });
    const byDefault = isByDefault(box, 'marginBottom', layout);
    this.advance(fragment, at, joinMargin(NO_STRUT, fragment.margin.bottom, byDefault));
  }

  private put(fragment: Fragment, y: number): void {
    const offset = relativeOffset(fragment.box, this.width, this.basis);
    this.children.push({ fragment, x: fragment.margin.left + offset.x, y: y + offset.y });
    const { outOfFlow } = fragment;
    if (outOfFlow.length > 0)
      this.outOfFlow.push(...carriedFrom({ fragment, x: fragment.margin.left + offset.x, y: y + offset.y }));
  }

  private advance(fragment: Fragment, y: number, end: Strut): void {
    if (establishesFormattingContext(fragment.box)) {
      this.outOfFlow.push(...carriedFrom(this.children[this.children.length - 1]!));
    }
    this.absorbing = false;
    this.starting = false;
    this.empty = false;
    this.keepsEnd = false;
    this.cursor = y + fragment.height;
    this.strut = end;
    if (fragment.baseline !== null) this.baseline ??= y + fragment.baseline;
    if (fragment.lastBaseline !== null) this.lastBaseline = y + fragment.lastBaseline;
  }
}

/** The room of the containing block. */
type Around = Pick<BlockRun, 'width' | 'basis' | 'layout'>;

/** An in-flow block container that shares its parent's formatting context: away from floats it is laid out once for a room. */
function layoutBlock(box: Box, around: Around, flow: Flow, trim: Trim): InFlow {
  const { width, basis, layout } = around;
  const make = () => layoutBlockAnew(box, around, flow, trim);
  if (!flow.floats.empty || holdsFloats(box)) return make();
  return layout.recall(box, `in/${width}/${basis}${trimKey(trim)}`, make, (found, moving) => {
    const fragment = moving.fragment(found.fragment);
    return fragment && { ...found, fragment };
  });
}

function layoutBlockAnew(box: Box, { width: containing, basis, layout }: Around, flow: Flow, passed: Trim): InFlow {
  const frame = frameOf(box, containing);
  const width = blockWidth(box, containing, frame, layout, basis);
  const side = horizontalMargins(box, width, containing);
  const own = usedMargins(box, containing);
  const margin: Edges = { ...own, ...side };
  const space: Space = { width: containing, height: basis };
  const specified = specifiedHeight(box, space, frame, width);
  const inner: Flow = {
    floats: flow.floats,
    x: flow.x + margin.left + frame.border.left + frame.padding.left,
    y: flow.y + frame.border.top + frame.padding.top,
  };
  const joinsTop = frame.border.top === 0 && frame.padding.top === 0;
  const room: ContentRoom = {
    width: Math.max(0, width - frameWidth(frame)),
    basis: percentBasis(box, specified, frame, space, margin, layout),
    flow: inner,
    absorbs: joinsTop,
    trim: trimOf(box, passed),
  };
  const content = layoutContent(box, room, layout);
  const bottom = joinMargin(NO_STRUT, margin.bottom, isByDefault(box, 'marginBottom', layout));
  const openBelow = frame.border.bottom === 0 && frame.padding.bottom === 0;
  const joinsBottom = openBelow && specified === null && !content.keepsEnd;
  const lineless = besideNoLine(box, content, layout);
  const contained = containedHeight(box, layout);
  const heightWith = (end: number) => (contained ?? Math.max(0, lineless, content.height + end)) + frameHeight(frame);
  const natural = heightWith(joinsBottom ? 0 : endSize(box, content, layout));
  const fills = () => {
    const above = strutSize(topStrut(box, containing, true, layout).strut);
    const below = strutSize(openBelow ? joinStruts(content.end, bottom) : bottom);
    return { ...margin, top: above, bottom: below };
  };
  const filled = Math.max(natural, filledHeight(box, fills, basis, layout));
  // Where the height is not that of the content, margins at its end count only in front of an edge.
  const byContent = openBelow && specified !== null ? heightWith(0) : filled;
  const byRatio = heightByRatio(box, specified);
  const least = leastByRatio(box, space, frame, byContent, byRatio);
  const height = Math.max(
    least,
    clampHeight(box, specified ?? filled, basis, frame, () => byRatio ?? byContent),
  );
  const through = content.through && joinsTop && openBelow && height === 0;
  const fragment = finish({ box, width, frame, margin, layout }, height, content);
  const end = through
    ? joinMargin(content.end, margin.bottom, isThroughByDefault(box, layout))
    : joinsBottom && height === natural
      ? joinStruts(content.end, bottom)
      : bottom;
  return { fragment, end, through };
}
