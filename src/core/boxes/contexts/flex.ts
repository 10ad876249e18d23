import { resolveLength } from '../../css/index.js';
import { isFormControl, isInFlow, isOutOfFlow, type Box } from '../box.js';
import {
  horizontal,
  makeFragment,
  snap,
  vertical,
  type Edges,
  type Fragment,
  type OutOfFlow,
  type Placed,
} from '../fragment.js';
import type { Intrinsic, Layout, Space } from '../layout.js';
import { containedHeight } from '../used/containment.js';
import { specifiedMargins, usedMargins, type Margins } from '../used/edges.js';
import { relativeOffset } from '../used/relative.js';
import {
  clampHeight,
  clampWidth,
  frameHeight,
  frameWidth,
  heightFor,
  preferredRatio,
  widthFor,
  type Frame,
} from '../used/sizes.js';
import { hasPercentSize, replacedSize } from '../used/replaced.js';
import { alignmentOf, aligningOf, edgeOf, offsetTo, startEdge, type Alignment, type Edge } from '../used/alignment.js';
import { groupOf, NO_GROUP, standingOf, type BaselineGroup, type Standing } from './baselines.js';
import { staticAt } from './static-position.js';
import { dependsOnHeight, frameOf, specifiedHeight } from './flow.js';
import { adoptOutOfFlow } from './positioned.js';
import { distribute } from './distribute.js';

/** The container's axes and sizes; all lengths px, NaN where not definite. */
interface Container {
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
  readonly layout: Layout;
}

interface Item {
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

interface Line {
  readonly items: readonly Item[];
  cross: number;
  at: number;
  /** What the items aligned by their first and by their last baselines share. */
  first: BaselineGroup;
  last: BaselineGroup;
}

/**
 * Lays out a flex container.
 * @spec css-flexbox-1 §9
 */
export function layoutFlex(
  box: Box,
  width: number,
  frame: Frame,
  margin: Edges,
  space: Space,
  layout: Layout,
): Fragment {
  const specified = space.fixedHeight ?? specifiedHeight(box, space, frame, width);
  const height =
    specified === null
      ? NaN
      : Math.max(0, (space.fixedHeight ?? clampHeight(box, specified, space.height, frame)) - frameHeight(frame));
  const c = container(box, Math.max(0, width - frameWidth(frame)), height, layout);
  const items = box.children
    .filter(isInFlow)
    .map((child) => makeItem(child, c, space.definite !== false))
    .sort(byOrder);
  const lines = collectLines(items, c, space, frame);
  const mainSize = Number.isNaN(c.mainSize) ? columnMain(lines, c, space, frame) : c.mainSize;
  for (const line of lines)
    resolveFlexible(
      line.items,
      mainSize - c.mainGap * Math.max(0, line.items.length - 1),
      Number.isNaN(c.mainSize) && Number.isNaN(mainSize),
    );
  for (const line of lines) for (const item of line.items) item.fragment = layoutItem(item, c, null);
  const crossSize = settleLines(lines, c, space, frame);
  for (const line of lines) for (const item of line.items) stretch(item, line, c);
  for (const line of lines) placeMain(line, mainSize, c);
  for (const line of lines) placeCross(line, c);
  const content = { width: c.width, height: c.row ? crossSize : mainSize };
  return assemble(c, lines, content, { width, frame, margin, space, specified });
}

function byOrder(a: Item, b: Item): number {
  return orderOf(a.box) - orderOf(b.box);
}
const orderOf = (box: Box): number => (box.anonymous ? 0 : box.style.order);

function container(box: Box, width: number, height: number, layout: Layout): Container {
  const { style } = box;
  const row = style.flexDirection.startsWith('row');
  const rtl = style.direction === 'rtl';
  const reverse = style.flexDirection.endsWith('reverse');
  const gap = (value: typeof style.rowGap, basis: number) =>
    value === 'normal' ? 0 : snap(resolveLength(value, basis) || 0);
  const gaps = { x: gap(style.columnGap, width), y: gap(style.rowGap, height) };
  return {
    box,
    row,
    mainBackwards: row ? rtl !== reverse : reverse,
    crossBackwards: (style.flexWrap === 'wrap-reverse') !== (!row && rtl),
    wraps: style.flexWrap !== 'nowrap',
    width,
    height,
    mainSize: row ? width : height,
    crossSize: row ? height : width,
    mainGap: row ? gaps.x : gaps.y,
    crossGap: row ? gaps.y : gaps.x,
    layout,
  };
}

function alignOf(box: Box, c: Container): string {
  const own = box.anonymous ? 'auto' : box.style.alignSelf;
  const value = own === 'auto' ? c.box.style.alignItems : own;
  return value === 'normal' ? 'stretch' : value;
}

const crossAuto = (box: Box, row: boolean): boolean =>
  box.anonymous || (row ? box.style.height : box.style.width) === 'auto';
const hasAutoCross = (margins: Margins, row: boolean): boolean =>
  row ? margins.top === null || margins.bottom === null : margins.left === null || margins.right === null;

/** Flex base size, automatic minimum and hypothetical size. @spec css-flexbox-1 §9.2, §4.5 */
function makeItem(box: Box, c: Container, definite: boolean): Item {
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
  const max = mainLimit(box, 'max', frame, c) ?? Infinity;
  const min = Math.max(extra, automaticMinimum(box, frame, base, c, max));
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

function mainLimit(box: Box, which: 'min' | 'max', frame: Frame, c: Container): number | null {
  if (box.anonymous) return null;
  const { style } = box;
  if (c.row)
    return widthFor(box, which === 'min' ? style.minWidth : style.maxWidth, c.width, NaN, frame, () =>
      c.layout.intrinsic(box),
    );
  return heightFor(box, which === 'min' ? style.minHeight : style.maxHeight, c.height, frame);
}

function baseSize(box: Box, frame: Frame, item: Partial_, c: Container, definite: boolean): number {
  const { style } = box;
  const intrinsic = () => c.layout.intrinsic(box);
  const basis = box.anonymous ? 'auto' : style.flexBasis;
  const value = basis === 'auto' ? (box.anonymous ? 'auto' : c.row ? style.width : style.height) : basis;
  if (value !== 'content') {
    const size = c.row
      ? widthFor(box, value, c.width, c.width, frame, intrinsic)
      : heightFor(box, value, definite ? c.height : NaN, frame);
    if (size !== null) return size;
  }
  return contentSize(box, frame, item, c);
}

/** The border-box main size the content asks for. */
function contentSize(box: Box, frame: Frame, item: Partial_, c: Container): number {
  if (box.inner === 'replaced') {
    const cross = stretchedCross(box, item, c);
    return c.row
      ? replacedSize(box, c.width, c.height, frame, { height: cross, byContent: 'width' }).width
      : replacedSize(box, c.width, c.height, frame, { width: cross, byContent: 'height' }).height;
  }
  if (c.row) {
    const ratio = preferredRatio(box);
    const cross =
      ratio === null
        ? null
        : (heightFor(box, box.style.height, c.height, frame) ?? stretchedCross(box, item, c) ?? null);
    if (ratio !== null && cross !== null) return (cross - frameHeight(frame)) * ratio + frameWidth(frame);
    return c.layout.intrinsic(box).max + frameWidth(frame);
  }
  return c.layout.place(box, { ...columnSpace(box, item, c), byContent: true }).height;
}

/** Definite cross size a stretched item of a single line has. @spec css-flexbox-1 §9.9 */
function stretchedCross(box: Box, item: Partial_, c: Container): number | undefined {
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
    : clampWidth(box, size, c.width, size, frameOf(box, c.width), () => c.layout.intrinsic(box));
}

function columnSpace(box: Box, item: Partial_, c: Container): Space {
  const fixed = stretchedCross(box, item, c);
  return fixed !== undefined
    ? { width: c.width, height: c.height, fixedWidth: fixed }
    : { width: c.width, height: c.height, shrink: true };
}

/** @spec css-flexbox-1 §4.5 */
function automaticMinimum(box: Box, frame: Frame, item: Partial_, c: Container, max: number): number {
  const own = mainLimit(box, 'min', frame, c);
  if (own !== null) return own;
  const scrolls =
    !box.anonymous &&
    (c.row ? box.style.overflowX : box.style.overflowY) !== 'visible' &&
    (c.row ? box.style.overflowX : box.style.overflowY) !== 'clip';
  if (scrolls) return 0;
  const specified = box.anonymous
    ? null
    : c.row
      ? widthFor(box, box.style.width, c.width, NaN, frame, () => c.layout.intrinsic(box))
      : heightFor(box, box.style.height, c.height, frame);
  const content = minContent(box, frame, item, c);
  return Math.min(specified ?? Infinity, content, max);
}

/** Form controls sized by a percentage may be squeezed to nothing. @spec css-sizing-3 §5.2.2 */
const isCompressible = (box: Box): boolean => isFormControl(box) && hasPercentSize(box);

function minContent(box: Box, frame: Frame, item: Partial_, c: Container): number {
  if (c.row && isCompressible(box)) return frameWidth(frame);
  if (box.inner === 'replaced' || !c.row) return contentSize(box, frame, item, c);
  return c.layout.intrinsic(box).min + frameWidth(frame);
}

/** @spec css-flexbox-1 §9.3 */
function collectLines(items: readonly Item[], c: Container, space: Space, frame: Frame): Line[] {
  const line = (of: readonly Item[]): Line => ({ items: of, cross: 0, at: 0, first: NO_GROUP, last: NO_GROUP });
  let room = c.mainSize;
  if (Number.isNaN(room))
    room = (heightFor(c.box, c.box.style.maxHeight, space.height, frame) ?? Infinity) - frameHeight(frame);
  if (!c.wraps) return [line(items)];
  const lines: Line[] = [];
  let run: Item[] = [];
  let used = 0;
  for (const item of items) {
    const size = item.hypothetical + item.mainMargin;
    if (run.length > 0 && used + c.mainGap + size > room + 1 / 64) {
      lines.push(line(run));
      run = [];
      used = 0;
    }
    used += size + (run.length > 0 ? c.mainGap : 0);
    run.push(item);
  }
  lines.push(line(run));
  return lines;
}

/** Main size of a column whose height follows its content. */
function columnMain(lines: readonly Line[], c: Container, space: Space, frame: Frame): number {
  const contained = containedHeight(c.box);
  const longest =
    contained ??
    Math.max(
      0,
      ...lines.map(
        (line) =>
          line.items.reduce((sum, item) => sum + item.hypothetical + item.mainMargin, 0) +
          c.mainGap * Math.max(0, line.items.length - 1),
      ),
    );
  return Math.max(0, clampHeight(c.box, longest + frameHeight(frame), space.height, frame) - frameHeight(frame));
}

/** @spec css-flexbox-1 §9.7 */
function resolveFlexible(items: readonly Item[], room: number, indefinite: boolean): void {
  if (indefinite) {
    for (const item of items) item.main = item.hypothetical;
    return;
  }
  const outer = (size: (item: Item) => number) => items.reduce((sum, item) => sum + size(item) + item.mainMargin, 0);
  const growing = outer((item) => item.hypothetical) < room;
  const factor = (item: Item) =>
    item.box.anonymous ? (growing ? 0 : 1) : growing ? item.box.style.flexGrow : item.box.style.flexShrink;
  for (const item of items) {
    item.frozen = factor(item) === 0 || (growing ? item.base > item.hypothetical : item.base < item.hypothetical);
    item.main = item.frozen ? item.hypothetical : item.base;
  }
  const initial = room - outer((item) => (item.frozen ? item.main : item.base));
  for (let round = 0; round <= items.length; round++) {
    const free = items.filter((item) => !item.frozen);
    if (free.length === 0) return;
    let remaining = room - outer((item) => (item.frozen ? item.main : item.base));
    const sum = free.reduce((total, item) => total + factor(item), 0);
    if (sum < 1 && Math.abs(initial * sum) < Math.abs(remaining)) remaining = initial * sum;
    share(free, remaining, growing, factor, sum);
    freezeViolations(free);
  }
}

function share(
  free: readonly Item[],
  remaining: number,
  growing: boolean,
  factor: (item: Item) => number,
  sum: number,
): void {
  const scaled = free.reduce((total, item) => total + factor(item) * shrinkBase(item), 0);
  for (const item of free) {
    if (growing) item.main = item.base + (sum > 0 ? (remaining * factor(item)) / sum : 0);
    else item.main = item.base + (scaled > 0 ? (remaining * factor(item) * shrinkBase(item)) / scaled : 0);
  }
}

/** Shrinking is weighed by the inner base size. */
function shrinkBase(item: Item): number {
  return Math.max(0, item.base - item.minFrame);
}

function freezeViolations(free: readonly Item[]): void {
  let total = 0;
  const clamped = free.map((item) => {
    const target = Math.max(item.min, Math.min(item.max, item.main));
    total += target - item.main;
    return target;
  });
  free.forEach((item, i) => {
    const violation = clamped[i]! - item.main;
    item.frozen = total === 0 || (total > 0 ? violation > 0 : violation < 0);
    if (item.frozen) item.main = clamped[i]!;
  });
}

/** Lays an item out at its main size; `cross` is its stretched border-box cross size. */
function layoutItem(item: Item, c: Container, cross: number | null): Fragment {
  const { box } = item;
  const main = snap(item.main);
  if (c.row) {
    const fixed = cross ?? stretchedCross(box, item, c);
    return c.layout.place(box, {
      width: c.width,
      height: c.height,
      fixedWidth: main,
      ...(fixed === undefined || fixed === null ? {} : { fixedHeight: fixed, definite: true }),
    });
  }
  const base = cross === null ? columnSpace(box, item, c) : { width: c.width, height: c.height, fixedWidth: cross };
  const definite =
    !Number.isNaN(c.height) || (!box.anonymous && heightFor(box, box.style.height, c.height, item.frame) !== null);
  return c.layout.place(box, { ...base, fixedHeight: main, definite });
}

const crossOf = (item: Item, row: boolean): number =>
  (row ? item.fragment!.height : item.fragment!.width) + item.crossMargin;

const alignsBaseline = (item: Item, c: Container, which: 'baseline' | 'last baseline'): boolean =>
  c.row && crossAlignment(item, c).to === which && !hasAutoCross(item.margins, true);

/** The item's margin box and the baseline it is aligned by. */
const standing = (item: Item, c: Container, which: 'baseline' | 'last baseline'): Standing =>
  standingOf(item.fragment!, item.margins.top ?? 0, item.margins.bottom ?? 0, c.box, which);

/** Cross sizes of lines and of the container. @spec css-flexbox-1 §9.4 (8, 9, 15, 16) */
function settleLines(lines: Line[], c: Container, space: Space, frame: Frame): number {
  for (const line of lines) {
    const group = (which: 'baseline' | 'last baseline') =>
      groupOf(line.items.filter((item) => alignsBaseline(item, c, which)).map((item) => standing(item, c, which)));
    line.first = group('baseline');
    line.last = group('last baseline');
    line.cross = line.items.reduce(
      (most, item) => Math.max(most, crossOf(item, c.row)),
      Math.max(0, line.first.above + line.first.below, line.last.above + line.last.below),
    );
  }
  const definite = !Number.isNaN(c.crossSize);
  const single = !c.wraps;
  const gaps = c.crossGap * Math.max(0, lines.length - 1);
  if (single && lines[0]) {
    if (definite) lines[0].cross = c.crossSize;
    else if (c.row && containedHeight(c.box) !== null) lines[0].cross = containedHeight(c.box)!;
    else if (c.row)
      lines[0].cross =
        clampHeight(c.box, lines[0].cross + frameHeight(frame), space.height, frame) - frameHeight(frame);
  }
  const contained = c.row && !definite ? containedHeight(c.box) : null;
  const natural = contained ?? lines.reduce((sum, line) => sum + line.cross, 0) + gaps;
  let size = definite ? c.crossSize : natural;
  if (!definite && c.row)
    size = Math.max(0, clampHeight(c.box, natural + frameHeight(frame), space.height, frame) - frameHeight(frame));
  const align = linesTowards(c);
  const spare = size - natural;
  if (!single && (align === 'normal' || align === 'stretch') && spare > 0)
    for (const line of lines) line.cross += spare / lines.length;
  const used = lines.reduce((sum, line) => sum + line.cross, 0) + gaps;
  const { offset, between } = distribute(
    single ? 'flex-start' : align === 'normal' ? 'stretch' : align,
    size - used,
    lines.length,
  );
  let at = offset;
  for (const line of lines) {
    line.at = at;
    at += line.cross + between + c.crossGap;
  }
  if (c.crossBackwards) for (const line of lines) line.at = size - line.at - line.cross;
  return size;
}

/** align-content with start and end turned into the words that follow the wrapping. @spec css-align-3 §4.5 */
function linesTowards(c: Container): string {
  const align = c.box.style.alignContent.replace(/^(safe|unsafe) /, '');
  if (align !== 'start' && align !== 'end') return align;
  const along = c.crossBackwards === (!c.row && c.box.style.direction === 'rtl');
  return (align === 'start') === along ? 'flex-start' : 'flex-end';
}

/** @spec css-flexbox-1 §9.4 (11) */
function stretch(item: Item, line: Line, c: Container): void {
  if (item.align !== 'stretch' || !crossAuto(item.box, c.row) || hasAutoCross(item.margins, c.row)) return;
  const size = Math.max(0, line.cross - item.crossMargin);
  const used = c.row
    ? clampHeight(item.box, size, c.height, item.frame)
    : clampWidth(item.box, size, c.width, size, item.frame, () => c.layout.intrinsic(item.box));
  const before = c.row ? item.fragment!.height : item.fragment!.width;
  // Nothing changes for an item that has the size already, unless something inside refers to it.
  if (c.row && Math.abs(before - used) < 1 / 128 && !dependsOnHeight(item.box)) return;
  item.fragment = layoutItem(item, c, used);
}

/** @spec css-flexbox-1 §9.5 */
function placeMain(line: Line, mainSize: number, c: Container): void {
  const { items } = line;
  const sizes = items.map((item) => (c.row ? item.fragment!.width : item.fragment!.height));
  const used =
    items.reduce((sum, item, i) => sum + sizes[i]! + item.mainMargin, 0) + c.mainGap * Math.max(0, items.length - 1);
  const spare = mainSize - used;
  const ends = items.map(({ margins }): [number | null, number | null] =>
    c.row ? [margins.left, margins.right] : [margins.top, margins.bottom],
  );
  if (c.mainBackwards) for (const pair of ends) pair.reverse();
  const autos = ends.flat().filter((m) => m === null).length;
  const auto = autos > 0 && spare > 0 ? spare / autos : 0;
  const justify = c.box.style.justifyContent;
  const { offset, between } =
    autos > 0 && spare > 0 ? { offset: 0, between: 0 } : distribute(mainJustify(justify, c), spare, items.length);
  let at = offset;
  items.forEach((item, i) => {
    const [start, end] = ends[i]!;
    at += start ?? auto;
    item.autoMain = auto;
    item.mainAt = c.mainBackwards ? mainSize - at - sizes[i]! : at;
    at += sizes[i]! + (end ?? auto) + between + c.mainGap;
  });
}

/** Turns start, end, left and right into flow-relative words. */
function mainJustify(value: string, c: Container): string {
  const plain = value.replace(/^(safe|unsafe) /, '');
  const rtl = c.box.style.direction === 'rtl';
  const towards = (left: boolean) =>
    (c.row ? left !== c.mainBackwards : !c.mainBackwards) ? 'flex-start' : 'flex-end';
  const safe = value.startsWith('safe') ? 'safe ' : '';
  if (plain === 'normal') return 'flex-start';
  if (plain === 'left' || plain === 'right') return c.row ? towards(plain === 'left') : 'flex-start';
  if (plain === 'start') return c.row ? towards(!rtl) : towards(true);
  if (plain === 'end') return c.row ? towards(rtl) : c.mainBackwards ? 'flex-start' : 'flex-end';
  return `${safe}${plain}`;
}

/** @spec css-flexbox-1 §9.6 */
function placeCross(line: Line, c: Container): void {
  for (const item of line.items) {
    const size = c.row ? item.fragment!.height : item.fragment!.width;
    const [start, end] = c.row ? [item.margins.top, item.margins.bottom] : [item.margins.left, item.margins.right];
    const spare = line.cross - size - item.crossMargin;
    item.crossAt = line.at + (start ?? 0) + crossOffset(item, spare, start === null, end === null, line, c);
  }
}

function crossOffset(
  item: Item,
  spare: number,
  autoStart: boolean,
  autoEnd: boolean,
  line: Line,
  c: Container,
): number {
  if (autoStart || autoEnd) {
    if (spare <= 0) return 0;
    item.autoCross = autoStart && autoEnd ? spare / 2 : spare;
    return autoStart && autoEnd ? spare / 2 : autoStart ? spare : 0;
  }
  const start = c.crossBackwards ? 'high' : 'low';
  const alignment = crossAlignment(item, c);
  for (const which of ['baseline', 'last baseline'] as const)
    if (alignsBaseline(item, c, which)) {
      const stands = standing(item, c, which);
      // Wrapping in reverse, the first baselines hold to the far edge.
      return (which === 'baseline') !== c.crossBackwards
        ? line[which === 'baseline' ? 'first' : 'last'].above - stands.above
        : line.cross - line[which === 'baseline' ? 'first' : 'last'].below - stands.above;
    }
  return offsetTo(
    alignment.safe && spare < 0 ? startEdge(c.row ? 'block' : 'inline', aligningOf(c.box)) : edgeOf(alignment, start),
    spare,
  );
}

/** @spec css-flexbox-1 §8.3 */
function crossAlignment({ align, box }: Pick<Item, 'align' | 'box'>, c: Container): Alignment {
  const plain = align.replace(/^(safe|unsafe) /, '');
  const made = alignmentOf(align, c.row ? 'block' : 'inline', aligningOf(c.box), aligningOf(box));
  if (plain === 'flex-start') return { ...made, to: c.crossBackwards ? 'high' : 'low' };
  if (plain === 'flex-end') return { ...made, to: c.crossBackwards ? 'low' : 'high' };
  return made;
}

interface Outer {
  readonly width: number;
  readonly frame: Frame;
  readonly margin: Edges;
  readonly space: Space;
  readonly specified: number | null;
}

function assemble(
  c: Container,
  lines: readonly Line[],
  content: { width: number; height: number },
  outer: Outer,
): Fragment {
  const { frame, margin, space, specified, width } = outer;
  const { box, layout } = c;
  const height =
    space.fixedHeight ?? clampHeight(box, specified ?? content.height + frameHeight(frame), space.height, frame);
  const dx = frame.border.left + frame.padding.left;
  const dy = frame.border.top + frame.padding.top;
  const children: Placed[] = [];
  const outOfFlow: OutOfFlow[] = [];
  for (const line of lines) {
    for (const item of line.items) {
      const offset = relativeOffset(item.box, c.width, c.height);
      const x = dx + (c.row ? item.mainAt : item.crossAt) + offset.x;
      const y = dy + (c.row ? item.crossAt : item.mainAt) + offset.y;
      children.push({ fragment: withMargins(item, c.row), x, y });
      for (const entry of item.fragment!.outOfFlow) outOfFlow.push({ ...entry, x: entry.x + x, y: entry.y + y });
    }
  }
  const inner = { width: c.width, height: Math.max(0, height - frameHeight(frame)) };
  for (const child of box.children) if (isOutOfFlow(child)) outOfFlow.push(staticPosition(child, c, inner, dx, dy));
  const [baseline, lastBaseline] = (['baseline', 'last baseline'] as const).map((which) =>
    containerBaseline(lines, c, which, dy),
  ) as [number | null, number | null];
  const bare = makeFragment({
    box,
    width,
    height,
    children,
    margin,
    border: frame.border,
    padding: frame.padding,
    baseline,
    lastBaseline,
    outOfFlow,
  });
  return adoptOutOfFlow(bare, layout);
}

/** @spec css-flexbox-1 §8.5 */
function containerBaseline(
  lines: readonly Line[],
  c: Container,
  which: 'baseline' | 'last baseline',
  dy: number,
): number | null {
  const { flexDirection, flexWrap } = c.box.style;
  // The first baseline is that of what comes first along the block axis, or along the line.
  const fromEnd = (reversed: boolean) => (which === 'baseline') === reversed;
  const line = fromEnd(flexWrap === 'wrap-reverse') ? lines[lines.length - 1] : lines[0];
  if (!line || line.items.length === 0) return null;
  const items = fromEnd(flexDirection.endsWith('reverse')) ? [...line.items].reverse() : line.items;
  const sharing = items.find((item) => alignsBaseline(item, c, 'baseline') || alignsBaseline(item, c, 'last baseline'));
  const item = sharing ?? items[0]!;
  const { above } = standingOf(item.fragment!, 0, 0, c.box, which);
  return dy + (c.row ? item.crossAt : item.mainAt) + above;
}

/** The item's fragment with its auto margins as used. */
function withMargins(item: Item, row: boolean): Fragment {
  const { margins } = item;
  const fragment = item.fragment!;
  if (Object.values(margins).every((m) => m !== null)) return fragment;
  const [x, y] = row ? [item.autoMain, item.autoCross] : [item.autoCross, item.autoMain];
  return makeFragment({
    ...fragment,
    margin: { top: margins.top ?? y, right: margins.right ?? x, bottom: margins.bottom ?? y, left: margins.left ?? x },
  });
}

/** An absolute child stands as if it were the only item. @spec css-flexbox-1 §4.1 */
function staticPosition(
  child: Box,
  c: Container,
  inner: { width: number; height: number },
  dx: number,
  dy: number,
): OutOfFlow {
  const main = mainJustify(c.box.style.justifyContent, c).replace('safe ', '');
  const m: Edge = /center|space-around|space-evenly/.test(main)
    ? 'center'
    : /end/.test(main) !== c.mainBackwards
      ? 'high'
      : 'low';
  const cross = edgeOf(crossAlignment({ align: alignOf(child, c), box: child }, c), c.crossBackwards ? 'high' : 'low');
  const rect = { x: dx, y: dy, ...inner };
  return c.row ? staticAt(child, rect, m, cross) : staticAt(child, rect, cross, m);
}

/** @spec css-flexbox-1 §9.9.1, in the simpler form browsers use: items at their content sizes */
export function flexIntrinsic(box: Box, layout: Layout): Intrinsic {
  const children = box.children.filter(isInFlow);
  const items = children.map((child) => layout.contribution(child));
  const { style } = box;
  const gap = style.columnGap === 'normal' ? 0 : resolveLength(style.columnGap, 0) || 0;
  const gaps = gap * Math.max(0, items.length - 1);
  const sum = (key: 'min' | 'max') => items.reduce((total, item) => total + item[key], 0) + gaps;
  const most = (key: 'min' | 'max') => items.reduce((all, item) => Math.max(all, item[key]), 0);
  if (style.flexDirection.startsWith('row'))
    return { min: style.flexWrap === 'nowrap' ? sum('min') : most('min'), max: sum('max') };
  const max = style.flexWrap === 'nowrap' ? most('max') : columnsTogether(box, children, items, gap, layout);
  return { min: Math.min(max, most('min')), max };
}

/** Width of the columns a container of known height wraps its items into. @spec css-flexbox-1 §9.9.2 */
function columnsTogether(
  box: Box,
  children: readonly Box[],
  items: readonly Intrinsic[],
  gap: number,
  layout: Layout,
): number {
  const frame = frameOf(box, 0);
  const known = (value: Box['style']['height']) => heightFor(box, value, NaN, frame);
  const height =
    Math.min(known(box.style.height) ?? Infinity, known(box.style.maxHeight) ?? Infinity) - frameHeight(frame);
  const between = box.style.rowGap === 'normal' ? 0 : resolveLength(box.style.rowGap, 0) || 0;
  const columns: number[] = [];
  let used = 0;
  let widest = 0;
  children.forEach((child, i) => {
    const { max } = items[i]!;
    const margins = usedMargins(child, 0);
    const tall = layout.place(child, { width: max, height: NaN, shrink: true }).height + vertical(margins);
    if (used > 0 && used + between + tall > height + 1 / 64) {
      columns.push(widest);
      used = 0;
      widest = 0;
    }
    used += tall + (used > 0 ? between : 0);
    widest = Math.max(widest, max);
  });
  columns.push(widest);
  return columns.reduce((a, b) => a + b, 0) + gap * (columns.length - 1);
}
