import { establishesFormattingContext, hasInlineContent, isFloating, isInFlow, isOutOfFlow, type Box } from '../box.js';
import {
  carriedFrom,
  horizontal,
  makeFragment,
  vertical,
  type Edges,
  type Fragment,
  type OutOfFlow,
  type Placed,
} from '../fragment.js';
import type { Intrinsic, Layout, Space } from '../layout.js';
import type { Moving } from '../memory.js';
import { alignmentOf, aligningOf, edgeOf, offsetTo, type Alignment } from '../used/alignment.js';
import { containedHeight } from '../used/containment.js';
import { specifiedMargins, usedBorder, usedMargins, usedPadding } from '../used/edges.js';
import { relativeOffset } from '../used/relative.js';
import {
  clampHeight,
  clampWidth,
  frameHeight,
  frameWidth,
  heightFor,
  preferredRatio,
  shrinkToFit,
  widthFor,
  type Frame,
} from '../used/sizes.js';
import { Floats } from './floats.js';
import { layoutInline } from './inline/layout.js';
import { lineHeightOf } from './inline/place.js';
import { trims, withoutEndMargins } from './margin-trim.js';
import { keepsSpaces } from '../text/index.js';
import { joinMargin, joinStruts, NO_STRUT, strutSize, type Strut } from './margins.js';
import { adoptOutOfFlow } from './positioned.js';
import { alignedIn } from './static-position.js';

/** The block formatting context a box takes part in, and where its content box lies in it. */
interface Flow {
  readonly floats: Floats;
  readonly x: number;
  readonly y: number;
}

interface Content {
  /** Relative to the content box. */
  readonly children: readonly Placed[];
  readonly height: number;
  readonly baseline: number | null;
  readonly lastBaseline: number | null;
  readonly outOfFlow: readonly OutOfFlow[];
  /** Margins left over at the end. */
  readonly end: Strut;
  /** Nothing inside has height: the box's own margins may meet. */
  readonly through: boolean;
}

interface InFlow {
  readonly fragment: Fragment;
  readonly end: Strut;
  readonly through: boolean;
}

/**
 * Lays out a block container that is a formatting context of its own.
 * @spec css2 §9.4.1, §10.3.3, §10.6
 */
export function layoutFlowRoot(
  box: Box,
  width: number,
  frame: Frame,
  margin: Edges,
  space: Space,
  layout: Layout,
): Fragment {
  const contentWidth = Math.max(0, width - frameWidth(frame));
  const specified = space.fixedHeight ?? specifiedHeight(box, space, frame, width);
  const basis = percentBasis(box, specified, frame, space, margin, layout);
  const { content, floatsBottom } = rootContent(box, contentWidth, basis, layout);
  const contained = containedHeight(box);
  const natural =
    contained ??
    Math.max(
      content.height + strutSize(content.end),
      floatsBottom,
      box.marker !== '' && content.height === 0 ? lineHeightOf(box.style, layout) : 0,
      0,
    );
  const automatic = Math.max(natural + frameHeight(frame), filledHeight(box, margin, space.height, layout));
  const height = space.fixedHeight ?? clampHeight(box, specified ?? automatic, space.height, frame, automatic);
  const shift = box.centred ? Math.max(0, (height - automatic) / 2) : 0;
  return finish(box, width, height, frame, margin, content, layout, shift);
}

interface RootContent {
  readonly content: Content;
  readonly floatsBottom: number;
}

/** What lies inside a formatting context depends on its width, and on its height only where percentages refer to it. */
function rootContent(box: Box, width: number, basis: number, layout: Layout): RootContent {
  const key = dependsOnHeight(box) ? `${width}/${basis}` : String(width);
  return layout.recall(
    box,
    key,
    () => {
      const floats = new Floats();
      const content = layoutContent(box, width, basis, { floats, x: 0, y: 0 }, false, layout);
      return { content, floatsBottom: floats.bottom };
    },
    movedRoot,
  );
}

const movedRoot = ({ content, floatsBottom }: RootContent, moving: Moving): RootContent | null => {
  const children = moving.placed(content.children);
  const outOfFlow = moving.outOfFlow(content.outOfFlow);
  return children && outOfFlow && { content: { ...content, children, outOfFlow }, floatsBottom };
};

const heightDependence = new WeakMap<Box, boolean>();

/** Whether anything inside a box refers to its height. */
export function dependsOnHeight(box: Box): boolean {
  let known = heightDependence.get(box);
  if (known === undefined) {
    known = box.children.some(
      (child) => (!child.anonymous && child.inner !== 'text' && refersToHeight(child)) || dependsOnHeight(child),
    );
    heightDependence.set(box, known);
  }
  return known;
}

function refersToHeight(box: Box): boolean {
  const { style } = box;
  if (isPage(box)) return true;
  const relative = (value: typeof style.height) =>
    typeof value !== 'string' && ('fit' in value || value.percent !== 0 || value.curve !== null);
  const inset = (value: typeof style.top) => value !== 'auto' && (value.percent !== 0 || value.curve !== null);
  if (style.height === 'stretch' || relative(style.height) || relative(style.minHeight) || relative(style.maxHeight))
    return true;
  return style.position === 'relative' && (inset(style.top) || inset(style.bottom));
}

export function specifiedHeight(box: Box, space: Space, frame: Frame, width: number): number | null {
  if (box.anonymous) return null;
  const height = space.byContent ? null : heightFor(box, box.style.height, space.height, frame);
  if (height !== null) return height;
  const ratio = preferredRatio(box);
  if (ratio === null || (box.style.height !== 'auto' && !space.byContent)) return null;
  return box.style.boxSizing === 'border-box'
    ? width / ratio
    : (width - frameWidth(frame)) / ratio + frameHeight(frame);
}

/** What percentage heights inside refer to. @spec css2 §10.5 */
function percentBasis(
  box: Box,
  specified: number | null,
  frame: Frame,
  space: Space,
  margin: Edges,
  layout: Layout,
): number {
  if (box.anonymous) return space.height;
  if (space.fixedHeight !== undefined) return space.definite === false ? NaN : space.fixedHeight - frameHeight(frame);
  if (specified === null) return passesHeight(box, layout) ? heightPassed(box, space.height, margin, frame) : NaN;
  return Math.max(0, clampHeight(box, specified, space.height, frame) - frameHeight(frame));
}

/** In quirks mode percentages look through automatic heights. @spec quirks §3.5 */
const passesHeight = (box: Box, { quirks }: Layout): boolean =>
  quirks &&
  !isOutOfFlow(box) &&
  box.outer !== 'table-part' &&
  box.style.height === 'auto' &&
  !['flex', 'grid'].includes(box.parent?.inner ?? '');

const isPage = ({ element }: Box): boolean =>
  element !== null && (element.parent === null || (element.tag === 'body' && element.parent.parent === null));

const heightPassed = (box: Box, height: number, margin: Edges, frame: Frame): number =>
  isPage(box) ? Math.max(0, height - vertical(margin) - frameHeight(frame)) : height;

/** In quirks mode html and body fill the viewport. @spec quirks §3.6, §3.7 */
const filledHeight = (box: Box, margin: Edges, height: number, { quirks }: Layout): number =>
  quirks && isPage(box) && isInFlow(box) && !isFloating(box) && !Number.isNaN(height) ? height - vertical(margin) : 0;

function finish(
  box: Box,
  width: number,
  height: number,
  frame: Frame,
  margin: Edges,
  content: Content,
  layout: Layout,
  shift: number,
): Fragment {
  const dx = frame.border.left + frame.padding.left;
  const dy = frame.border.top + frame.padding.top + shift;
  const children = content.children.map((child): Placed => ({ ...child, x: child.x + dx, y: child.y + dy }));
  const outOfFlow = content.outOfFlow.map((entry): OutOfFlow => ({ ...entry, x: entry.x + dx, y: entry.y + dy }));
  const lift = (line: number | null) => (line === null ? null : line + dy);
  const bare = makeFragment({
    box,
    width,
    height,
    children,
    margin,
    border: frame.border,
    padding: frame.padding,
    baseline: lift(content.baseline),
    lastBaseline: lift(content.lastBaseline),
    outOfFlow,
  });
  return adoptOutOfFlow(bare, layout);
}

function layoutContent(box: Box, width: number, basis: number, flow: Flow, absorbs: boolean, layout: Layout): Content {
  return hasInlineContent(box)
    ? inlineContent(box, width, basis, flow, layout)
    : blockContent(box, width, basis, flow, absorbs, layout);
}

function inlineContent(box: Box, width: number, basis: number, flow: Flow, layout: Layout): Content {
  const placeBlock = (child: Box, y: number) => {
    const run = new BlockRun(width, basis, flow, false, layout, box);
    run.startAt(y);
    run.child(child);
    const placed = run.children[run.children.length - 1]!;
    return { placed, bottom: run.cursor + strutSize(run.strut), outOfFlow: run.outOfFlow };
  };
  const result = layoutInline(
    box,
    {
      width,
      height: basis,
      floats: flow.floats,
      x: flow.x,
      y: flow.y,
      block: placeBlock,
      float: (child, top) => placeFloat(child, top, width, basis, flow, layout),
    },
    layout,
  );
  return { ...result, end: NO_STRUT, through: result.height === 0 && !result.lined };
}

function blockContent(box: Box, width: number, basis: number, flow: Flow, absorbs: boolean, layout: Layout): Content {
  const run = new BlockRun(width, basis, flow, absorbs || trims(box, 'start'), layout, box);
  for (const child of box.children) run.child(child);
  const trimming = trims(box, 'end');
  return {
    children: trimming ? withoutEndMargins(run.children, run.cursor, width) : run.children,
    height: run.cursor,
    baseline: run.baseline,
    lastBaseline: run.lastBaseline,
    outOfFlow: run.outOfFlow,
    end: trimming ? NO_STRUT : run.strut,
    through: run.empty,
  };
}

function placeFloat(box: Box, top: number, width: number, basis: number, flow: Flow, layout: Layout): Placed {
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
  );
  const offset = relativeOffset(box, width, basis);
  return { fragment, x: at.x - flow.x + margin.left + offset.x, y: at.y - flow.y + margin.top + offset.y };
}

function floatSide(box: Box): 'left' | 'right' {
  const { float } = box.style;
  const rtl = box.parent?.style.direction === 'rtl';
  if (float === 'inline-start') return rtl ? 'right' : 'left';
  if (float === 'inline-end') return rtl ? 'left' : 'right';
  return float === 'right' ? 'right' : 'left';
}

type Clear = 'left' | 'right' | 'both';

function clearValue(box: Box): Clear | null {
  if (box.anonymous) return null;
  const { clear } = box.style;
  const rtl = box.parent?.style.direction === 'rtl';
  if (clear === 'none') return null;
  if (clear === 'inline-start') return rtl ? 'right' : 'left';
  if (clear === 'inline-end') return rtl ? 'left' : 'right';
  return clear;
}

/** Stacks block-level children, collapsing their margins. Positions are relative to the content box. */
class BlockRun {
  cursor = 0;
  strut: Strut = NO_STRUT;
  empty = true;
  baseline: number | null = null;
  lastBaseline: number | null = null;
  readonly children: Placed[] = [];
  readonly outOfFlow: OutOfFlow[] = [];

  constructor(
    readonly width: number,
    readonly basis: number,
    readonly flow: Flow,
    /** The parent's own top margin already holds the margins of the first children. */
    public absorbing: boolean,
    readonly layout: Layout,
    readonly parent: Box,
  ) {}

  startAt(y: number): void {
    this.cursor = y;
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
    const rect = { x: 0, y: this.cursor + this.pending, width: this.width, height: 0 };
    this.outOfFlow.push(alignedIn(box, this.parent, rect));
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
    return low - this.flow.y > own ? { y: low - this.flow.y, cleared: true } : { y, cleared: false };
  }

  /** A first child further down that has to clear floats keeps its margins to itself. */
  private settled(top: TopStrut): Pick<TopStrut, 'strut' | 'through' | 'place'> {
    const { clearing } = top;
    const low = clearing ? this.flow.floats.clearance(clearing.clear) : null;
    if (!clearing || low === null) return top;
    const joined = this.absorbing ? clearing.strut : joinStruts(this.strut, clearing.strut);
    const { without } = clearing;
    return low - this.flow.y > this.cursor + strutSize(joined)
      ? { strut: without, place: without, through: false }
      : top;
  }

  private inFlow(box: Box): void {
    const { layout, width, basis } = this;
    const found = topStrut(box, width, this.flow.floats.empty, layout);
    const top = this.settled(found);
    const { y, cleared } = this.topFor(box, top.place);
    const { fragment, end, through } = layoutBlock(box, width, basis, { ...this.flow, y: this.flow.y + y }, layout);
    this.put(fragment, y);
    if (through && !cleared) {
      if (!this.absorbing) this.strut = joinStruts(this.strut, joinStruts(top.strut, end));
      return;
    }
    this.advance(fragment, y, end);
  }

  private independent(box: Box): void {
    const { width, flow } = this;
    const margins = usedMargins(box, width);
    const top = joinMargin(NO_STRUT, margins.top);
    const { y } = this.topFor(box, top);
    const { fragment, y: at, x } = besideFloats(box, y, width, this.basis, flow, this.layout);
    const offset = relativeOffset(box, width, this.basis);
    this.children.push({ fragment, x: x + offset.x, y: at + offset.y });
    this.advance(fragment, at, joinMargin(NO_STRUT, fragment.margin.bottom));
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
    this.empty = false;
    this.cursor = y + fragment.height;
    this.strut = end;
    if (fragment.baseline !== null) this.baseline ??= y + fragment.baseline;
    if (fragment.lastBaseline !== null) this.lastBaseline = y + fragment.lastBaseline;
  }
}

/** A formatting context does not overlap floats: it narrows or moves down. @spec css2 §9.5 */
function besideFloats(
  box: Box,
  top: number,
  width: number,
  basis: number,
  flow: Flow,
  layout: Layout,
): { fragment: Fragment; x: number; y: number } {
  const { floats } = flow;
  const alone = layout.place(box, { width, height: basis });
  const margins = usedMargins(box, width);
  if (floats.empty) return { fragment: alone, x: alone.margin.left, y: top };
  const automatic = box.anonymous || box.style.width === 'auto';
  for (let y = top; ;) {
    const gap = floats.gap(flow.y + y, flow.y + y + Math.max(1, alone.height), flow.x, flow.x + width);
    const left = Math.max(gap.left - flow.x, margins.left);
    const right = Math.min(gap.right - flow.x, width - margins.right);
    const free = gap.left <= flow.x && gap.right >= flow.x + width;
    if (free) return { fragment: alone, x: alone.margin.left, y };
    const stretches = automatic && box.inner !== 'table' && box.inner !== 'replaced' && box.frame === box.mode;
    const shrinks = automatic && box.inner === 'table';
    const narrowest = stretches || shrinks ? layout.intrinsic(box).min + frameWidth(frameOf(box, width)) : alone.width;
    if (narrowest <= right - left + 1 / 64) {
      const fragment = stretches
        ? layout.place(box, { width, height: basis, fixedWidth: Math.min(alone.width, right - left) })
        : shrinks && alone.width > right - left
          ? layout.place(box, { width: right - left, height: basis })
          : alone;
      const rtl = box.parent?.style.direction === 'rtl';
      return {
        fragment,
        x: rtl
          ? right - fragment.width
          : gap.left > flow.x
            ? left
            : Math.max(left, Math.min(fragment.margin.left, right - fragment.width)),
        y,
      };
    }
    const next = floats.nextBottom(flow.y + y);
    if (next === null) return { fragment: alone, x: alone.margin.left, y };
    y = next - flow.y;
  }
}

export function frameOf(box: Box, basis: number): Frame {
  return { border: usedBorder(box), padding: usedPadding(box, basis) };
}

/** Used horizontal margins of a block-level box whose width is known. @spec css2 §10.3.3, css-align-3 §5.1 (-webkit- alignment) */
export function horizontalMargins(box: Box, width: number, containing: number): { left: number; right: number } {
  const { left, right } = specifiedMargins(box, containing);
  const spare = containing - width - (left ?? 0) - (right ?? 0);
  const rtl = box.parent?.style.direction === 'rtl';
  if (left === null && right === null) {
    if (spare < 0) return rtl ? { left: spare, right: 0 } : { left: 0, right: 0 };
    return { left: spare / 2, right: spare / 2 };
  }
  if (left === null) return { left: rtl || spare >= 0 ? spare : 0, right: right ?? 0 };
  if (right === null) return { left, right: Math.max(0, spare) };
  const justified = blockJustification(box);
  if (justified) {
    const edge =
      justified.safe !== false && spare < 0 ? (rtl ? 'high' : 'low') : edgeOf(justified, rtl ? 'high' : 'low');
    const shift = offsetTo(edge, spare);
    return { left: left + shift, right: right + spare - shift };
  }
  const align = box.parent?.style.textAlign;
  if (spare > 0 && align === '-webkit-center') return { left: left + spare / 2, right };
  if (spare > 0 && align === '-webkit-right') return { left: left + spare, right };
  if (rtl && align !== '-webkit-left') return { left: left + spare, right };
  return { left, right };
}

/** How a block-level box is justified in its containing block, where it does not simply fill it. @spec css-align-3 §6.1 */
function blockJustification(box: Box): Alignment | null {
  const { parent, style } = box;
  if (box.anonymous || !parent || style.justifySelf === 'auto') return null;
  const made = alignmentOf(style.justifySelf, 'inline', aligningOf(parent), aligningOf(box));
  return made.to === 'normal' || made.to === 'stretch' ? null : made;
}

/** Border-box width of a block-level box in normal flow. @spec css2 §10.3.3, §10.4 */
export function blockWidth(box: Box, containing: number, frame: Frame, layout: Layout): number {
  const margins = usedMargins(box, containing);
  const available = containing - horizontal(margins);
  if (box.anonymous) return Math.max(available, 0);
  const intrinsic = () => layout.intrinsic(box);
  const width =
    widthFor(box, box.style.width, containing, available, frame, intrinsic) ??
    widthByRatio(box, frame) ??
    (blockJustification(box)
      ? fitting(available, intrinsic(), frameWidth(frame))
      : Math.max(available, frameWidth(frame)));
  return clampWidth(box, width, containing, available, frame, intrinsic);
}

const fitting = (available: number, { min, max }: Intrinsic, extra: number): number =>
  shrinkToFit(min + extra, max + extra, available);

/** A fixed height and a preferred ratio give the width. @spec css-sizing-4 §4.2 */
function widthByRatio(box: Box, frame: Frame): number | null {
  const ratio = preferredRatio(box);
  const height = ratio === null ? null : heightFor(box, box.style.height, NaN, frame);
  if (ratio === null || height === null) return null;
  return box.style.boxSizing === 'border-box'
    ? height * ratio
    : (height - frameHeight(frame)) * ratio + frameWidth(frame);
}

/** An in-flow block container that shares its parent's formatting context: away from floats it is laid out once for a room. */
function layoutBlock(box: Box, containing: number, basis: number, flow: Flow, layout: Layout): InFlow {
  if (!flow.floats.empty || holdsFloats(box)) return layoutBlockAnew(box, containing, basis, flow, layout);
  const make = () => layoutBlockAnew(box, containing, basis, flow, layout);
  return layout.recall(box, `in/${containing}/${basis}`, make, (found, moving) => {
    const fragment = moving.fragment(found.fragment);
    return fragment && { ...found, fragment };
  });
}

function layoutBlockAnew(box: Box, containing: number, basis: number, flow: Flow, layout: Layout): InFlow {
  const frame = frameOf(box, containing);
  const width = blockWidth(box, containing, frame, layout);
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
  const content = layoutContent(
    box,
    Math.max(0, width - frameWidth(frame)),
    percentBasis(box, specified, frame, space, margin, layout),
    inner,
    joinsTop,
    layout,
  );
  const openBelow = frame.border.bottom === 0 && frame.padding.bottom === 0;
  const joinsBottom = openBelow && specified === null;
  const lineless = box.marker !== '' && content.height === 0 && content.through ? lineHeightOf(box.style, layout) : 0;
  const natural =
    (containedHeight(box) ?? Math.max(0, lineless, content.height + (joinsBottom ? 0 : strutSize(content.end)))) +
    frameHeight(frame);
  const filled = Math.max(natural, filledHeight(box, margin, basis, layout));
  const height = clampHeight(box, specified ?? filled, basis, frame, filled);
  const through = content.through && joinsTop && openBelow && height === 0;
  const fragment = finish(box, width, height, frame, margin, content, layout, 0);
  const bottom = joinMargin(NO_STRUT, margin.bottom);
  const end = through || (joinsBottom && height <= natural) ? joinStruts(content.end, bottom) : bottom;
  return { fragment, end, through };
}

interface TopStrut {
  /** A first child that clears floats: where clearance moves it, its margins stay out of the strut. */
  readonly clearing: { readonly clear: Clear; readonly strut: Strut; readonly without: Strut } | null;
  readonly strut: Strut;
  readonly through: boolean;
  /** The margins that decide where the box itself stands. */
  readonly place: Strut;
}

/**
 * The margins that meet at the top of a box: its own and those of its first children, looked up ahead of layout.
 * @spec css2 §8.3.1
 */
function topStrut(box: Box, containing: number, noFloats: boolean, layout: Layout): TopStrut {
  // Every ancestor looks down the same first children: each box answers once.
  return layout.recall(
    box,
    `top/${containing}/${noFloats}`,
    () => findTopStrut(box, containing, noFloats, layout),
    (found) => found,
  );
}

function findTopStrut(box: Box, containing: number, noFloats: boolean, layout: Layout): TopStrut {
  const margins = usedMargins(box, containing);
  const own = joinMargin(NO_STRUT, margins.top);
  let strut = own;
  let clearing: TopStrut['clearing'] = null;
  const stop = (): TopStrut => ({ strut, through: false, place: strut, clearing });
  /** The margins meet right through: the box itself is placed as if its bottom margin were not there. */
  const pass = (): TopStrut => ({
    strut: joinMargin(strut, margins.bottom),
    through: true,
    place: strut,
    clearing,
  });
  if (establishesFormattingContext(box) || trims(box, 'start')) return stop();
  const frame = frameOf(box, containing);
  if (frame.border.top > 0 || frame.padding.top > 0) return stop();
  if (hasInlineContent(box)) return through(box, frame) && isBlank(box) ? pass() : stop();
  const width = Math.max(0, blockWidth(box, containing, frame, layout) - frameWidth(frame));
  let inside = false;
  for (const child of box.children) {
    if (isFloating(child)) inside = true;
    if (!isInFlow(child)) continue;
    const clear = clearValue(child);
    if (clear && (inside || (!noFloats && clearing))) return stop();
    const inner = topStrut(child, width, noFloats && !inside, layout);
    if (clear && !noFloats) clearing = { clear, strut: joinStruts(strut, inner.place), without: strut };
    else if (inner.clearing) {
      if (clearing || inside) {
        strut = joinStruts(strut, inner.clearing.without);
        return stop();
      }
      const { clear: side, strut: met, without } = inner.clearing;
      clearing = { clear: side, strut: joinStruts(strut, met), without: joinStruts(strut, without) };
    }
    if (holdsFloats(child)) inside = true;
    strut = joinStruts(strut, inner.strut);
    if (!inner.through) return stop();
  }
  return through(box, frame) ? pass() : stop();
}

const floating = new WeakMap<Box, boolean>();

/** Whether floats inside a box belong to the formatting context around it. */
function holdsFloats(box: Box): boolean {
  if (establishesFormattingContext(box)) return false;
  let known = floating.get(box);
  if (known === undefined) {
    known = box.children.some((child) => isFloating(child) || holdsFloats(child));
    floating.set(box, known);
  }
  return known;
}

/** Whether a box without content would let its margins meet. */
function through(box: Box, frame: Frame): boolean {
  if (box.anonymous) return true;
  const { height, minHeight } = box.style;
  const none = (value: typeof height) =>
    typeof value === 'string' || (!('fit' in value) && value.px === 0 && value.percent === 0 && !value.curve);
  return (
    box.marker === '' &&
    frame.border.bottom === 0 &&
    frame.padding.bottom === 0 &&
    none(height) &&
    none(minHeight) &&
    preferredRatio(box) === null
  );
}

/** Inline content that makes no line: collapsible space and empty inline boxes. */
function isBlank(box: Box): boolean {
  return box.children.every((child) => {
    if (!isInFlow(child)) return true;
    if (child.inner === 'text') return /^[ \t\r\n\f\u200b]*$/.test(child.text) && !keepsSpaces(child.style);
    if (child.outer !== 'inline' || child.inner !== 'flow') return false;
    const edges = [usedMargins(child, 0), usedBorder(child), usedPadding(child, 0)];
    return edges.every((e) => e.left === 0 && e.right === 0) && isBlank(child);
  });
}
