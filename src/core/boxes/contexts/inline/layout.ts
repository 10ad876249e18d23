import { resolveLength } from '../../../css/index.js';
import { isOutOfFlow, type Box } from '../../box.js';
import { carriedFrom, horizontal, makeFragment, type Fragment, type OutOfFlow, type Placed } from '../../fragment.js';
import type { Intrinsic, Layout } from '../../layout.js';
import { relativeOffset } from '../../used/relative.js';
import type { Floats } from '../floats.js';
import { paragraphOf, type Paragraph } from './items.js';
import { intrinsicOf, takeLine, type Line } from './lines.js';
import { piecesOf, separatorsIn, type Piece } from './pieces.js';
import { lineHeightOf, placeLine } from './place.js';

/** Where inline content is laid out: its content box inside the float context. */
export interface InlineSpace {
  readonly width: number;
  readonly height: number;
  readonly floats: Floats;
  /** Content box's corner in the coordinates of the floats. */
  readonly x: number;
  readonly y: number;
  /** Lays out a block-level box found among inline content; gives its fragment and place. */
  readonly block: (
    box: Box,
    y: number,
  ) => { readonly placed: Placed; readonly bottom: number; readonly outOfFlow: readonly OutOfFlow[] };
  /** Lays out a float and finds its place; the result is relative to the content box. */
  readonly float: (box: Box, top: number) => Placed;
}

export interface InlineResult {
  /** Relative to the content box. */
  readonly children: readonly Placed[];
  readonly height: number;
  readonly baseline: number | null;
  readonly lastBaseline: number | null;
  readonly outOfFlow: readonly OutOfFlow[];
  /** Whether any line box was made, be it of no height. */
  readonly lined: boolean;
}

interface Running {
  lined: boolean;
  y: number;
  baseline: number | null;
  lastBaseline: number | null;
  readonly children: Placed[];
  readonly outOfFlow: OutOfFlow[];
  open: readonly Box[];
}

/**
 * Breaks inline content into lines around floats and stacks them.
 * @spec css2 §9.4.2, §9.5, css-text-3 §5, §7
 */
export function layoutInline(container: Box, space: InlineSpace, layout: Layout): InlineResult {
  const atomics = new Map<Box, Fragment>();
  const atomic = (box: Box): Fragment => {
    let known = atomics.get(box);
    if (!known)
      atomics.set(box, (known = layout.place(box, { width: space.width, height: space.height, shrink: true })));
    return known;
  };
  const atomicWidth = (box: Box): number => atomic(box).width + horizontal(atomic(box).margin);
  let pieces = piecesOf(paragraphOf(container, layout), space.width, layout, atomicWidth);
  const run: Running = {
    y: 0,
    baseline: null,
    lastBaseline: null,
    children: [],
    outOfFlow: [],
    open: [],
    lined: false,
  };
  const indent =
    container.anonymous && container.parent?.children[0] !== container
      ? 0
      : resolveLength(container.style.textIndent, space.width);
  const estimate = lineHeightOf(container.style, layout);
  let from = 0;
  let first = true;
  while (from < pieces.length) {
    from = leadingOutOfLine(pieces, from, run, space, container);
    if (from >= pieces.length) break;
    if (pieces[from]!.kind === 'block') {
      blockInInline(pieces[from]!, run, space);
      from++;
      first = false;
      continue;
    }
    const offset = first ? indent : 0;
    const start = findRoom(pieces, from, run.y, estimate, offset, space, layout);
    run.y = start.y;
    const room = start.right - start.left - offset;
    const styled = first ? firstLineOf(container, pieces, from, room, space.width, atomicWidth, layout) : null;
    const taken = styled ?? takeLine(pieces, from, room, layout);
    if (!styled) pieces = taken.pieces;
    const placed = placeInLineFloats(taken.line, start, run, space);
    emit(
      styled ? inFirstLine(container) : container,
      taken.line,
      container.style.direction === 'rtl'
        ? { left: placed.left, right: placed.right - offset }
        : { left: placed.left + offset, right: placed.right },
      run,
      space,
      layout,
      atomics,
      from + taken.line.pieces.length >= pieces.length,
      styled ? { from: container, line: container.firstLine! } : null,
    );
    from = Math.max(taken.next, from + 1);
    if (taken.line.visible) first = false;
  }
  return {
    children: run.children,
    height: run.y,
    baseline: run.baseline,
    lastBaseline: run.lastBaseline,
    outOfFlow: run.outOfFlow,
    lined: run.lined,
  };
}

const firstLines = new WeakMap<Box, { readonly container: Box; readonly paragraph: Paragraph }>();

/** Properties text of the first line takes from it where it has them from the container itself. @spec css-pseudo-4 §2.1.2 */
const FROM_FIRST_LINE = [
  'fontFamily',
  'fontSize',
  'fontWeight',
  'fontStyle',
  'lineHeight',
  'letterSpacing',
  'wordSpacing',
] as const;

function inFirstLine(container: Box): Box {
  return firstLines.get(container)?.container ?? container;
}

/** The first line in its own style; null where it has none, or where a word has to be cut. */
function firstLineOf(
  container: Box,
  pieces: readonly Piece[],
  from: number,
  room: number,
  width: number,
  atomicWidth: (box: Box) => number,
  layout: Layout,
): ReturnType<typeof takeLine> | null {
  const { firstLine: style } = container;
  if (!style) return null;
  let known = firstLines.get(container);
  if (!known) {
    const paragraph = paragraphOf(container, layout);
    const items = paragraph.items.map((item) =>
      item.kind === 'text' ? { ...item, box: textInFirstLine(item.box, container, style) } : item,
    );
    known = { container: { ...container, style }, paragraph: { ...paragraph, items, rigid: false } };
    firstLines.set(container, known);
  }
  const own = piecesOf(known.paragraph, width, layout, atomicWidth);
  if (own.length !== pieces.length) return null;
  const taken = takeLine(own, from, room, layout);
  return taken.pieces === own ? taken : null;
}

const textInFirstLine = (box: Box, container: Box, line: Box['style']): Box => ({
  ...box,
  style: styleInFirstLine(box, container, line),
});

function styleInFirstLine({ style }: Box, container: Box, line: Box['style']): Box['style'] {
  const taken = FROM_FIRST_LINE.filter((key) => style[key] === container.style[key]);
  return Object.create(style, Object.fromEntries(taken.map((key) => [key, { value: line[key] }]))) as Box['style'];
}

/** Floats and absolute boxes at the start of a line take no part in it. */
function leadingOutOfLine(
  pieces: readonly Piece[],
  from: number,
  run: Running,
  space: InlineSpace,
  container: Box,
): number {
  let i = from;
  for (; i < pieces.length; i++) {
    const { kind, box } = pieces[i]!;
    if (kind === 'float') putFloat(box, run, space);
    else if (kind === 'out' && isOutOfFlow(box)) run.outOfFlow.push(staticAtLineStart(box, run, space, container));
    else break;
  }
  return i;
}

function putFloat(box: Box, run: Running, space: InlineSpace): void {
  const placed = space.float(box, run.y);
  run.children.push(placed);
  run.outOfFlow.push(...carriedFrom(placed));
}

/** Absolute boxes inside the atomic inlines of a line; a positioned inline box around them is their containing block. */
function fromAtomics(placed: Placed, inside: Box | null): OutOfFlow[] {
  const { fragment, x, y } = placed;
  const { box } = fragment;
  if (fragment.kind !== 'box') return [];
  if (box.outer !== 'inline')
    return carriedFrom(placed).map((entry) => ({ ...entry, inlineContainer: entry.inlineContainer ?? inside }));
  const around = box.computed.position === 'static' ? inside : box;
  return fragment.children.flatMap((child) => fromAtomics({ ...child, x: child.x + x, y: child.y + y }, around));
}

function staticAtLineStart(box: Box, run: Running, space: InlineSpace, container: Box): OutOfFlow {
  const room = space.floats.gap(space.y + run.y, space.y + run.y, space.x, space.x + space.width);
  const inline = /^inline|^ruby$|^math$/.test(box.style.specifiedDisplay);
  const rtl = container.style.direction === 'rtl';
  const left = inline ? room.left - space.x : 0;
  const right = inline ? room.right - space.x : space.width;
  let x = rtl ? right : left;
  let alignX: OutOfFlow['alignX'] = rtl ? 'end' : 'start';
  if (inline && /center/.test(container.style.textAlign)) {
    x = (left + right) / 2;
    alignX = 'start';
  } else if (inline && (container.style.textAlign === 'right' || container.style.textAlign === '-webkit-right')) {
    x = right;
    alignX = 'start';
  }
  return {
    box,
    x,
    y: run.y,
    alignX,
    alignY: 'start',
    inlineContainer: run.open.findLast((b) => b.style.position !== 'static') ?? null,
  };
}

interface Room {
  readonly y: number;
  readonly left: number;
  readonly right: number;
}

/** The first height at which the next unbreakable part fits beside the floats. */
function findRoom(
  pieces: Piece[],
  from: number,
  y: number,
  height: number,
  indent: number,
  space: InlineSpace,
  layout: Layout,
): Room {
  for (let top = y; ;) {
    const gap = space.floats.gap(space.y + top, space.y + top + height, space.x, space.x + space.width);
    const room = { y: top, left: gap.left - space.x, right: gap.right - space.x };
    const free = room.right - room.left - indent;
    const narrowed = gap.left > space.x || gap.right < space.x + space.width;
    if (!narrowed) return room;
    const need = takeLine(pieces, from, -Infinity, layout).line;
    if (!need.visible || need.width <= free) return room;
    const next = space.floats.nextBottom(space.y + top);
    if (next === null) return room;
    top = next - space.y;
  }
}

/** Floats met inside a line go beside it if they fit, and the line moves over. */
function placeInLineFloats(line: Line, room: Room, run: Running, space: InlineSpace): { left: number; right: number } {
  let { left, right } = room;
  for (const piece of line.pieces) {
    if (piece.kind !== 'float') continue;
    putFloat(piece.box, run, space);
    const gap = space.floats.gap(space.y + run.y, space.y + run.y + 1, space.x, space.x + space.width);
    left = Math.max(left, gap.left - space.x);
    right = Math.min(right, gap.right - space.x);
  }
  return { left, right };
}

/** A block among inline content stands on a line of its own, inside parts of the inline boxes that are open there. @spec css2 §9.2.1.1 */
function blockInInline(piece: Piece, run: Running, space: InlineSpace): void {
  const { placed, bottom, outOfFlow } = space.block(piece.box, run.y);
  const { fragment, y } = placed;
  const container = run.open.findLast((box) => box.computed.position !== 'static') ?? null;
  let part: Placed = placed;
  let carried = outOfFlow.map((entry) => ({ ...entry, inlineContainer: entry.inlineContainer ?? container }));
  for (const box of [...run.open].reverse()) {
    const offset = relativeOffset(box, space.width, space.height);
    part = {
      x: offset.x,
      y: part.y + offset.y,
      fragment: makeFragment({
        kind: 'line',
        box,
        width: space.width,
        height: part.fragment.height,
        children: [{ ...part, y: 0 }],
      }),
    };
    carried = carried.map((entry) => ({ ...entry, x: entry.x + offset.x, y: entry.y + offset.y }));
  }
  run.children.push(part);
  run.outOfFlow.push(...carried);
  run.y = bottom;
  if (fragment.baseline !== null) run.baseline ??= y + fragment.baseline;
  if (fragment.lastBaseline !== null) run.lastBaseline = y + fragment.lastBaseline;
}

function emit(
  container: Box,
  line: Line,
  room: { left: number; right: number },
  run: Running,
  space: InlineSpace,
  layout: Layout,
  atomics: ReadonlyMap<Box, Fragment>,
  last: boolean,
  first: { readonly from: Box; readonly line: Box['style'] } | null,
): void {
  const turned = container.mode === 'vertical-lr';
  const spare = room.right - room.left - line.width;
  const free = Math.max(0, spare);
  const paragraph = paragraphOf(first?.from ?? container, layout);
  const align = alignment(container, paragraph.rtl, last || line.endsForced);
  const spaces =
    align !== 'justify'
      ? 0
      : line.pieces.reduce((n, p) => n + (p.kind === 'text' ? separatorsIn(p.text) : 0), 0) -
        (line.pieces.some((p) => p.trailing > 0) ? 1 : 0);
  const expand = spaces > 0 ? free / spaces : 0;
  const placed = placeLine({
    pieces: line.pieces,
    container,
    basis: space.width,
    layout,
    atomics,
    styleOf: first ? (box) => styleInFirstLine(box, first.from, first.line) : (box) => box.style,
    open: run.open,
    trailing: true,
    reordered: paragraph.levels !== null,
    turned,
    expand,
  });
  run.open = placed.open;
  const rtl = container.style.direction === 'rtl';
  // An overlong line sticks out at its end.
  const over = rtl && spare < 0;
  const slack = over ? spare : expand > 0 ? 0 : align === 'right' ? free : align === 'center' ? free / 2 : 0;
  const left = room.left + slack;
  const upright = turned ? placed.children.map((c) => turnedOver(c, placed.height)) : placed.children;
  const shown = line.visible ? upright : upright.map(flattened);
  const holdsAtomics = line.pieces.some((piece) => piece.kind === 'atomic');
  for (const { fragment, x, y } of shown) {
    const at = { fragment, x: left + x, y: run.y + y };
    run.children.push(at);
    if (holdsAtomics) run.outOfFlow.push(...fromAtomics(at, null));
  }
  for (const entry of placed.outOfFlow) {
    const inline = /^inline|^ruby$|^math$/.test(entry.box.style.specifiedDisplay);
    const x = inline ? left + entry.x : rtl ? space.width : 0;
    run.outOfFlow.push({
      box: entry.box,
      x: x + entry.offset.x,
      y: run.y + (inline || !line.visible ? 0 : placed.height) + entry.offset.y,
      alignX: (inline ? entry.backwards : rtl) ? 'end' : 'start',
      alignY: 'start',
      inlineContainer: entry.inlineContainer,
    });
  }
  if (!line.visible) return;
  run.lined = true;
  run.baseline ??= run.y + placed.baseline;
  run.lastBaseline = run.y + placed.baseline;
  run.y += placed.height;
  const forced = line.pieces.findLast((piece) => piece.forced);
  const clear = forced?.kind === 'break' ? forced.box.style.clear : 'none';
  if (clear !== 'none') {
    const bottom = space.floats.clearance(clear === 'inline-start' ? 'left' : clear === 'inline-end' ? 'right' : clear);
    if (bottom !== null) run.y = Math.max(run.y, bottom - space.y);
  }
}

/** On a line that is not made, inline boxes keep their place but have no height. @spec css2 §9.4.2 */
function flattened(placed: Placed): Placed {
  const { fragment } = placed;
  return {
    x: placed.x,
    y: 0,
    fragment: Object.freeze({
      ...fragment,
      height: 0,
      children: fragment.children.map((c) => ({ ...flattened(c), x: c.x })),
    }),
  };
}

/** Where blocks stack from left to right, the upper side of vertical lines is the far one. @spec css-writing-modes-4 §6.2 */
function turnedOver(placed: Placed, height: number): Placed {
  const { fragment } = placed;
  const inline = fragment.kind === 'box' && fragment.box.outer === 'inline';
  const inner = inline
    ? Object.freeze({ ...fragment, children: fragment.children.map((c) => turnedOver(c, fragment.height)) })
    : fragment;
  return { fragment: inner, x: placed.x, y: height - placed.y - fragment.height };
}

/** @spec css-text-3 §7.1 */
function alignment(container: Box, rtl: boolean, last: boolean): 'left' | 'right' | 'center' | 'justify' {
  const { textAlign, textAlignLast } = container.style;
  const start = rtl ? 'right' : 'left';
  const value =
    last && textAlignLast !== 'auto' ? textAlignLast : last && textAlign === 'justify' ? 'start' : textAlign;
  switch (value) {
    case 'left':
    case '-webkit-left':
      return 'left';
    case 'right':
    case '-webkit-right':
      return 'right';
    case 'center':
    case '-webkit-center':
      return 'center';
    case 'justify':
      return 'justify';
    case 'end':
      return start === 'left' ? 'right' : 'left';
    default:
      return start;
  }
}

/** Intrinsic widths of inline content. */
export function inlineIntrinsic(container: Box, layout: Layout): Intrinsic {
  const widths = new Map<Box, Intrinsic>();
  const outer = (box: Box): Intrinsic => {
    let known = widths.get(box);
    if (!known) widths.set(box, (known = layout.contribution(box)));
    return known;
  };
  const at = (key: 'min' | 'max') =>
    intrinsicOf(
      piecesOf(paragraphOf(container, layout), 0, layout, (box) => outer(box)[key]),
      layout,
      (piece) => outer(piece.box),
    );
  const hasAtomic = paragraphOf(container, layout).items.some((item) => item.kind === 'atomic');
  const max = at('max');
  const min = hasAtomic ? at('min') : max;
  const indent = resolveLength(container.style.textIndent, 0);
  return { min: Math.max(0, min.min), max: Math.max(0, max.max + indent) };
}
