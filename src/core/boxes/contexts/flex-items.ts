import { hasPercent, isLengthPercentage, type Sizing } from '../../css/index.js';
import { isFormControl, type Box } from '../box.js';
import { horizontal, vertical, type Fragment } from '../fragment.js';
import type { Intrinsic, Layout, Space } from '../layout.js';
import { isOrthogonal } from '../flows/modes.js';
import { boxInFlow } from '../flows/turn.js';
import type { Job } from './job.js';
import { gapOf } from '../used/gaps.js';
import { specifiedMargins, usedMargins, type Margins } from '../used/edges.js';
import {
  clampHeight,
  isByContent,
  limitWidth,
  frameHeight,
  frameWidth,
  heightFor,
  acrossRatio,
  alongRatio,
  preferredRatio,
  transferred,
  widthFor,
  type Frame,
} from '../used/sizes.js';
import { isSqueezed, replacedSize } from '../used/replaced.js';
import { filledHeight, limitedHeight, frameOf, leastByRatio } from './flow-sizes.js';

/** The container's axes and sizes; all lengths px, NaN where not definite. */
export interface Container {
  readonly box: Box;
  readonly row: boolean;
  /** Main and cross axis run against x or y. */
  readonly mainBackwards: boolean;
  readonly crossBackwards: boolean;
  readonly wraps: boolean;
  readonly width: number;
  readonly height: number;
  readonly mainSize: number;
  readonly crossSize: number;
  readonly mainGap: number;
  readonly crossGap: number;
  /** Its border-box height within its limits. */
  readonly clamped: (outer: number) => number;
  /** Border-box height it takes at least where none is given. */
  readonly filled: number;
  readonly layout: Layout;
}

export interface Item {
  readonly box: Box;
  readonly frame: Frame;
  readonly margins: Margins;
  readonly mainMargin: number;
  readonly crossMargin: number;
  /** Border-box sizes along the main axis. */
  readonly base: number;
  /** Border and padding along the main axis. */
  readonly minFrame: number;
  readonly min: number;
  readonly max: number;
  readonly hypothetical: number;
  main: number;
  frozen: boolean;
  fragment: Fragment | null;
  mainAt: number;
  /** What each auto margin got, along each axis. */
  autoMain: number;
  autoCross: number;
  crossAt: number;
  align: string;
}

export function byOrder(a: Item, b: Item): number {
  return orderOf(a.box) - orderOf(b.box);
}

const orderOf = (box: Box): number => (box.anonymous ? 0 : box.style.order);

/** @param height of its content box, NaN if that is unknown; percentages inside refer to it where it is definite */
export function container(job: Job, width: number, height: number): Container {
  const { box, space, layout } = job;
  const { style } = box;
  const row = style.flexDirection.startsWith('row');
  const rtl = style.direction === 'rtl';
  const reverse = style.flexDirection.endsWith('reverse');
  const filled = Number.isNaN(height) ? filledHeight(box, () => job.margin, space.height, layout) : 0;
  const gaps = { x: gapOf(style.columnGap, width), y: gapOf(style.rowGap, height) };
  return {
    box,
    row,
    mainBackwards: row ? rtl !== reverse : reverse,
    crossBackwards: (style.flexWrap === 'wrap-reverse') !== (!row && rtl),
    wraps: style.flexWrap !== 'nowrap',
    width,
    height: space.definite === false ? NaN : height,
    mainSize: row ? width : height,
    crossSize: row ? height : width,
    mainGap: row ? gaps.x : gaps.y,
    crossGap: row ? gaps.y : gaps.x,
    clamped: (outer) => limitedHeight(job, row ? Math.max(outer, filled) : outer, job.natural),
    filled,
    layout,
  };
}

export function alignOf(box: Box, c: Pick<Container, 'box'>): string {
  const own = box.anonymous ? 'auto' : box.style.alignSelf;
  const value = own === 'auto' ? c.box.style.alignItems : own;
  return value === 'normal' ? 'stretch' : value;
}

export const crossAuto = (box: Box, row: boolean): boolean =>
  box.anonymous || (row ? box.style.height : box.style.width) === 'auto';

export const hasAutoCross = (margins: Margins, row: boolean): boolean =>
  row ? margins.top === null || margins.bottom === null : margins.left === null || margins.right === null;

/** Flex base size, automatic minimum and hypothetical size. @spec css-flexbox-1 §9.2, §4.5 */
export function makeItem(box: Box, c: Container, definite: boolean): Item {
  const frame = frameOf(box, c.width);
  const margins = specifiedMargins(box, c.width);
  const used = usedMargins(box, c.width);
  const { row } = c;
  const base = {
    box,
    frame,
    margins,
    mainMargin: row ? horizontal(used) : vertical(used),
    crossMargin: row ? vertical(used) : horizontal(used),
    align: alignOf(box, c),
  };
  const extra = row ? frameWidth(frame) : frameHeight(frame);
  const size = Math.max(extra, baseSize(box, frame, base, c, definite));
  const max = mainLimit(box, 'max', frame, base, c) ?? Infinity;
  const min = Math.max(extra, leastMain(box, frame, base, c, max));
  return {
    ...base,
    base: size,
    minFrame: extra,
    min,
    max,
    hypothetical: Math.max(min, Math.min(max, size)),
    main: size,
    frozen: false,
    fragment: null,
    mainAt: 0,
    crossAt: 0,
    autoMain: 0,
    autoCross: 0,
  };
}

type Partial_ = Pick<Item, 'margins' | 'crossMargin' | 'align'>;

function mainLimit(box: Box, which: 'min' | 'max', frame: Frame, item: Partial_, c: Single): number | null {
  if (box.anonymous) return null;
  const { style } = box;
  if (c.row) {
    const limit = which === 'min' ? style.minWidth : style.maxWidth;
    const room = limit === 'fit-content' ? Math.max(0, c.width - horizontal(usedMargins(box, c.width))) : NaN;
    return widthFor(box, limit, c.width, room, frame, () => widthsOf(box, item, c));
  }
  const limit = which === 'min' ? style.minHeight : style.maxHeight;
  return isByContent(limit) ? contentSize(box, frame, item, c) : heightFor(box, limit, c.height, frame);
}

function baseSize(box: Box, frame: Frame, item: Partial_, c: Container, definite: boolean): number {
  const { style } = box;
  const intrinsic = () => widthsOf(box, item, c);
  const basis = box.anonymous ? 'auto' : style.flexBasis;
  const value = basis === 'auto' ? (box.anonymous ? 'auto' : c.row ? style.width : style.height) : basis;
  if (value !== 'content') {
    const size = c.row
      ? widthFor(box, value, c.width, c.width - horizontal(usedMargins(box, c.width)), frame, intrinsic)
      : heightFor(box, value, definite ? c.height : NaN, frame);
    if (size !== null) return size;
  }
  return contentSize(box, frame, item, c);
}

/** The border-box main size the content asks for. */
function contentSize(box: Box, frame: Frame, item: Partial_, c: Single): number {
  if (box.inner === 'replaced') {
    const cross = stretchedCross(box, item, c);
    return c.row
      ? replacedSize(box, c.width, c.height, frame, { height: cross, byContent: 'width' }).width
      : replacedSize(box, c.width, c.height, frame, { width: cross, byContent: 'height' }).height;
  }
  if (c.row) {
    return byRatio(box, frame, item, c) ?? withinRatio(box, frame, widthsOf(box, item, c).max + frameWidth(frame), c);
  }
  return contentHeights(box, frame, item, c).max;
}

/** Width of an item of a row that follows from its height; null where that is not known or there is no ratio. */
function byRatio(box: Box, frame: Frame, item: Partial_, c: Single): number | null {
  const ratio = preferredRatio(box);
  if (ratio === null) return null;
  const cross = heightFor(box, box.style.height, c.height, frame) ?? stretchedCross(box, item, c);
  return cross === undefined ? null : acrossRatio(box, cross, ratio, frame);
}

/** Border-box heights the content of an item of a column asks for: one, or two where its lines run along the column. */
function contentHeights(box: Box, frame: Frame, item: Partial_, c: Single): Intrinsic {
  if (isOrthogonal(box.frame, box.mode)) {
    const across = { basis: c.width, fixed: stretchedCross(box, item, c) };
    const { min, max } = c.layout.intrinsic(boxInFlow(box, box.mode), across);
    return { min: min + frameHeight(frame), max: max + frameHeight(frame) };
  }
  const { width, height } = c.layout.place(box, { ...columnSpace(box, item, c), byContent: 'height' });
  const ratio = preferredRatio(box);
  if (ratio === null) return { min: height, max: height };
  const along = (value: number) => alongRatio(box, value, ratio, frame);
  const asked = Math.max(along(width), leastByRatio(box, c, frame, height));
  const limit = (value: Sizing) => widthFor(box, value, c.width, NaN, frame, () => widthsOf(box, item, c));
  const within = Math.max(
    along(limit(box.style.minWidth) ?? 0),
    Math.min(asked, along(limit(box.style.maxWidth) ?? Infinity)),
  );
  return { min: within, max: within };
}

/** Intrinsic widths of an item, its height known where the container gives it. */
const widthsOf = (box: Box, item: Partial_, c: Single): Intrinsic =>
  c.layout.intrinsic(box, { width: c.width, basis: c.height, fixed: c.row ? stretchedCross(box, item, c) : undefined });

/** What of a container decides how far it stretches an item. */
type Single = Pick<Container, 'row' | 'wraps' | 'width' | 'height' | 'crossSize' | 'layout'>;

/** Definite cross size a stretched item of a single line has. @spec css-flexbox-1 §9.9 */
export function stretchedCross(box: Box, item: Partial_, c: Single): number | undefined {
  if (
    c.wraps ||
    item.align !== 'stretch' ||
    !crossAuto(box, c.row) ||
    hasAutoCross(item.margins, c.row) ||
    Number.isNaN(c.crossSize)
  )
    return undefined;
  const size = Math.max(0, c.crossSize - item.crossMargin);
  return c.row
    ? clampHeight(box, size, c.height, frameOf(box, c.width))
    : limitWidth(box, size, c.width, size, frameOf(box, c.width), () =>
        c.layout.intrinsic(box, { width: c.width, basis: c.height }),
      );
}

/** Border-box height of an item that a single row of definite height stretches, before anything is laid out. */
export function stretchedHeight(box: Box, child: Box, height: number, layout: Layout): number | undefined {
  if (!box.style.flexDirection.startsWith('row')) return undefined;
  return stretchedCross(child, itemOf(child, box), rowOf(box, height, layout));
}

const itemOf = (child: Box, box: Box): Partial_ => ({
  margins: specifiedMargins(child, 0),
  crossMargin: vertical(usedMargins(child, 0)),
  align: alignOf(child, { box }),
});

/** A row whose width is not known yet. */
const rowOf = (box: Box, height: number, layout: Layout): Single => ({
  row: true,
  wraps: box.style.flexWrap !== 'nowrap',
  width: NaN,
  height,
  crossSize: height,
  layout,
});

/** Border-box widths of an item of a row whose flex basis is a length, and its margins; px. */
export interface KnownBasis {
  readonly base: number;
  readonly min: number;
  readonly max: number;
  readonly margin: number;
}

const isPercent = (value: Sizing): boolean => isLengthPercentage(value) && hasPercent(value);

/** Null where the basis is of the content or of the room there is. @param height of the row's content box, NaN if unknown */
export function knownBasis(box: Box, child: Box, height: number, layout: Layout): KnownBasis | null {
  const basis = child.anonymous ? 'auto' : child.style.flexBasis;
  if (basis === 'content' || !isLengthPercentage(basis)) return null;
  const frame = frameOf(child, 0);
  const c = rowOf(box, height, layout);
  const item = itemOf(child, box);
  const base = widthFor(child, basis, NaN, NaN, frame, () => widthsOf(child, item, c));
  if (base === null) return null;
  const max = mainLimit(child, 'max', frame, item, c) ?? Infinity;
  const least = isPercent(child.style.minWidth) ? 0 : leastMain(child, frame, item, c, max);
  const min = Math.max(frameWidth(frame), least);
  return { base, min, max, margin: horizontal(usedMargins(child, 0)) };
}

export function columnSpace(box: Box, item: Partial_, c: Single): Space {
  const fixed = stretchedCross(box, item, c);
  return fixed !== undefined
    ? { width: c.width, height: c.height, fixedWidth: fixed }
    : { width: c.width, height: c.height, shrink: true };
}

/** Tables are never smaller than their cells, whatever is asked of them. */
function leastMain(box: Box, frame: Frame, item: Partial_, c: Single, max: number): number {
  const least = automaticMinimum(box, frame, item, c, max);
  return box.inner === 'table' ? Math.max(least, minContent(box, frame, item, c)) : least;
}

/** @spec css-flexbox-1 §4.5 */
function automaticMinimum(box: Box, frame: Frame, item: Partial_, c: Single, max: number): number {
  const own = mainLimit(box, 'min', frame, item, c);
  if (own !== null) return own;
  const scrolls =
    !box.anonymous &&
    (c.row ? box.style.overflowX : box.style.overflowY) !== 'visible' &&
    (c.row ? box.style.overflowX : box.style.overflowY) !== 'clip';
  if (scrolls) return 0;
  const specified = box.anonymous
    ? null
    : c.row
      ? widthFor(box, box.style.width, c.width, NaN, frame, () => widthsOf(box, item, c))
      : heightFor(box, box.style.height, c.height, frame);
  const content = minContent(box, frame, item, c);
  return Math.min(specified ?? Infinity, content, max);
}

function minContent(box: Box, frame: Frame, item: Partial_, c: Single): number {
  if (c.row && isFormControl(box) && isSqueezed(box)) return frameWidth(frame) + (box.natural!.least ?? 0);
  if (box.inner === 'replaced') return contentSize(box, frame, item, c);
  if (!c.row) return contentHeights(box, frame, item, c).min;
  const content = widthsOf(box, item, c).min + frameWidth(frame);
  const across = byRatio(box, frame, item, c);
  return across === null ? withinRatio(box, frame, content, c) : Math.max(across, content);
}

/** A width by content within what limits of the height leave it. */
function withinRatio(box: Box, frame: Frame, width: number, c: Single): number {
  const { min, max } = transferred(box, frame, c.height);
  return Math.max(min, Math.min(width, max));
}
