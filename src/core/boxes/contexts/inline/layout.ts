import { resolveLength } from '../../../css/index.js';
import { isOutOfFlow, type Box } from '../../box.js';
import { carriedFrom, horizontal, makeFragment, type Fragment, type OutOfFlow, type Placed } from '../../fragment.js';
import type { Intrinsic, Layout } from '../../layout.js';
import { relativeOffset } from '../../used/relative.js';
import { paragraphOf } from './items.js';
import { intrinsicOf, takeLine, type FloatsMet, type MetFloat } from './lines.js';
import { piecesOf, type Piece } from './pieces.js';
import { wraps } from '../../text/index.js';
import { lineHeightOf } from './extents.js';
import { inFirstLine, firstLineOf } from './first-line.js';
import { type Running, emit } from './emit.js';
import type { InlineSpace, InlineResult } from './space.js';

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
  const run = newRun();
  const indent = indentOf(container, space.width);
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
    const start = findRoom(pieces, from, run.y, estimate, offset, space, layout, wraps(container.style));
    run.y = start.y;
    const room = start.right - start.left - offset;
    const styled = first ? firstLineOf(container, pieces, from, room, space.width, atomicWidth, layout) : null;
    const floats = new LineFloats(start, run, space);
    const taken = styled ?? takeLine(pieces, from, room, layout, floats);
    if (!styled) pieces = taken.pieces;
    else
      floats.place(
        taken.line.pieces.filter(({ kind }) => kind === 'float').map(({ box }) => ({ box, used: 0 })),
        Infinity,
      );
    emit(
      {
        container: styled ? inFirstLine(container) : container,
        line: taken.line,
        room: indented(floats.room, offset, container),
        space,
        layout,
        atomics,
        last: from + taken.line.pieces.length >= pieces.length,
        first: styled ? { from: container, line: container.firstLine! } : null,
      },
      run,
    );
    floats.placeLater();
    from = Math.max(taken.next, from + 1);
    if (taken.line.visible) first = false;
  }
  return {
    children: run.children,
    height: run.y,
    baseline: run.baseline,
    lastBaseline: run.lastBaseline,
    outOfFlow: run.outOfFlow,
    lineEnds: run.lineEnds,
    lined: run.lined,
    endsInBlock: run.blocks > 0 && !run.fresh,
  };
}

const newRun = (): Running => ({
  y: 0,
  baseline: null,
  lastBaseline: null,
  children: [],
  outOfFlow: [],
  open: [],
  lined: false,
  lineEnds: [],
  fresh: false,
  blocks: 0,
});

/** Indentation of the first line; what goes on after a block inside an inline box has none. @spec css-text-3 §7.1 */
const indentOf = (container: Box, width: number): number =>
  container.anonymous && container.parent?.inner === 'flow' && container.parent.children[0] !== container
    ? 0
    : resolveLength(container.style.textIndent, width);

const indented = ({ left, right }: Omit<Room, 'y'>, offset: number, { style }: Box): { left: number; right: number } =>
  style.direction === 'rtl' ? { left, right: right - offset } : { left: left + offset, right };

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
  mayMove: boolean,
): Room {
  for (let top = y; ;) {
    const gap = space.floats.gap(space.y + top, space.y + top + height, space.x, space.x + space.width);
    const room = { y: top, left: gap.left - space.x, right: gap.right - space.x };
    const free = room.right - room.left - indent;
    const narrowed = gap.left > space.x || gap.right < space.x + space.width;
    if (!narrowed || !mayMove) return room;
    const need = takeLine(pieces, from, -Infinity, layout).line;
    if (!need.visible || need.width <= free) return room;
    const next = space.floats.nextBottom(space.y + top);
    if (next === null) return room;
    top = next - space.y;
  }
}

/** Floats met inside a line: beside it, and the line moves over, or below it where they do not fit. @spec css2 §9.5 */
class LineFloats implements FloatsMet {
  readonly #later: Box[] = [];
  room: { readonly left: number; readonly right: number };

  constructor(
    start: Room,
    private readonly run: Running,
    private readonly space: InlineSpace,
  ) {
    this.room = start;
  }

  readonly leave = (floats: readonly MetFloat[], room: number): number => {
    let left: number | null = this.#later.length > 0 ? null : room;
    let least = room;
    for (const float of floats) {
      left = this.#leaves(float, left);
      least = left ?? least;
    }
    return least;
  };

  readonly place = (floats: readonly MetFloat[], room: number): void => {
    // Nothing goes higher than what is in front of it: where one float waits, so do those behind it.
    let left: number | null = this.#later.length > 0 ? null : room;
    for (const float of floats) {
      left = this.#leaves(float, left);
      if (left === null) this.#later.push(float.box);
      else this.#put(float.box);
    }
  };

  /** Room left beside a float; null where it has to wait. */
  #leaves({ box, used }: MetFloat, room: number | null): number | null {
    const width = room === null ? null : this.space.beside(box, this.run.y);
    return width === null || used + width > room! + 1 / 64 ? null : room! - width;
  }

  #put(box: Box): void {
    const { run, space } = this;
    putFloat(box, run, space);
    const gap = space.floats.gap(space.y + run.y, space.y + run.y + 1, space.x, space.x + space.width);
    this.room = {
      left: Math.max(this.room.left, gap.left - space.x),
      right: Math.min(this.room.right, gap.right - space.x),
    };
  }

  /** Places what did not fit, once the line is done. */
  placeLater(): void {
    for (const box of this.#later) putFloat(box, this.run, this.space);
  }
}

/** A block among inline content stands on a line of its own, inside parts of the inline boxes that are open there. @spec css2 §9.2.1.1 */
function blockInInline(piece: Piece, run: Running, space: InlineSpace): void {
  const { placed, bottom, outOfFlow } = space.block(piece.box, run.fresh ? run.y : null);
  run.fresh = false;
  run.blocks += 1;
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
      indentOf(container, 0),
    );
  const hasAtomic = paragraphOf(container, layout).items.some((item) => item.kind === 'atomic');
  const max = at('max');
  const min = hasAtomic ? at('min') : max;
  return { min: Math.max(0, min.min), max: Math.max(0, max.max) };
}
