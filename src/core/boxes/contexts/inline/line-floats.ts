import { isOutOfFlow, type Box } from '../../box.js';
import { carriedFrom, type OutOfFlow } from '../../fragment.js';
import type { Running } from './emit.js';
import type { FloatsMet, Line, MetFloat } from './lines.js';
import { isEmptyHere } from './pieces.js';
import type { Piece } from './cut-text.js';
import type { InlineSpace } from './space.js';
import { standsInLine, staticAt, staticInLine } from '../static-position.js';

/**
 * Places floats at the start of a line. Absolute boxes there stand where the line begins: they stay in front of it,
 * unless no line follows.
 */
export function leadingOutOfLine(
  pieces: readonly Piece[],
  from: number,
  run: Running,
  space: InlineSpace,
  container: Box,
): { readonly from: number; readonly pieces: readonly Piece[] } {
  const waiting: { readonly piece: Piece; readonly alone: OutOfFlow }[] = [];
  let i = from;
  for (; i < pieces.length; i++) {
    const piece = pieces[i]!;
    const { kind, box } = piece;
    if (kind === 'float') putFloat(box, run, space);
    else if (kind !== 'out' || !isOutOfFlow(box)) break;
    else {
      const alone = staticAtLineStart(box, run, space, container);
      if (standsInLine(box)) waiting.push({ piece, alone });
      else run.outOfFlow.push(alone);
    }
  }
  if (waiting.length > 0 && i < pieces.length && pieces[i]!.kind !== 'block') {
    const start = i - waiting.length;
    return {
      from: start,
      pieces: [...pieces.slice(0, start), ...waiting.map(({ piece }) => piece), ...pieces.slice(i)],
    };
  }
  run.outOfFlow.push(...waiting.map(({ alone }) => alone));
  return { from: i, pieces };
}

/** Places floats that only inline boxes without edges so far stand in front of, and takes them from the line. */
export function hoistFloats(
  pieces: readonly Piece[],
  from: number,
  run: Running,
  space: InlineSpace,
): readonly Piece[] {
  let end = from;
  while (end < pieces.length && isBare(pieces[end]!)) end++;
  const floats = pieces.slice(from, end).filter(({ kind }) => kind === 'float');
  if (floats.length === 0) return pieces;
  for (const { box } of floats) putFloat(box, run, space);
  return pieces.filter((piece, i) => i < from || i >= end || piece.kind !== 'float');
}

const isBare = (piece: Piece): boolean => piece.width === 0 && (piece.kind === 'out' || isEmptyHere(piece));

/** The piece behind the inline boxes that end, and the absolute boxes that stand, before a line has any content. */
export function closedBefore(pieces: readonly Piece[], from: number): number {
  let end = from;
  let closed = from;
  for (; end < pieces.length && isBare(pieces[end]!); end++)
    if (/^(close|out)$/.test(pieces[end]!.kind)) closed = end + 1;
  return end < pieces.length ? closed : from;
}

function putFloat(box: Box, run: Running, space: InlineSpace): void {
  const placed = space.float(box, run.y);
  run.children.push(placed);
  run.outOfFlow.push(...carriedFrom(placed));
}

function staticAtLineStart(box: Box, run: Running, space: InlineSpace, container: Box): OutOfFlow {
  const { floats, x, y, width } = space;
  const at = standsInLine(box)
    ? staticInLine(box, container, { floats, x, y }, run.y, width)
    : staticAt(box, { x: 0, y: run.y, width, height: 0 }, container.style.direction === 'rtl' ? 'high' : 'low', 'low');
  return { ...at, inlineContainer: run.open.findLast((b) => b.style.position !== 'static') ?? null };
}

/** What floats leave of a line that begins where the run has come to. */
export function besideFloats({ y }: Running, { floats, x, y: top, width }: InlineSpace): Omit<Room, 'y'> {
  const gap = floats.gap(top + y, top + y + 1, x, x + width);
  return { left: gap.left - x, right: gap.right - x };
}

export interface Room {
  readonly y: number;
  readonly left: number;
  readonly right: number;
}

/**
 * The first height at which the next part that cannot be broken fits beside the floats; the given one where lines
 * do not wrap.
 */
export function findRoom(
  next: () => Line,
  from: { y: number; height: number },
  indent: number,
  space: InlineSpace,
  mayMove: boolean,
): Room {
  for (let top = from.y; ;) {
    const gap = space.floats.gap(space.y + top, space.y + top + from.height, space.x, space.x + space.width);
    const left = gap.left - space.x;
    const room = { y: top, left, right: Math.max(left, gap.right - space.x) };
    // A block without width leaves its lines as much beside floats as below them.
    const narrowed = (gap.left > space.x || gap.right < space.x + space.width) && room.right - room.left < space.width;
    if (!narrowed || !mayMove) return room;
    const part = next();
    if (!part.visible || part.width <= room.right - room.left - indent) return room;
    const bottom = space.floats.nextBottom(space.y + top);
    if (bottom === null) return room;
    top = bottom - space.y;
  }
}

/** Floats met inside a line: beside it, and the line moves over, or below it where they do not fit. @spec css2 §9.5 */
export class LineFloats implements FloatsMet {
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

  /** Places the floats among the pieces, however little room there is. */
  placeAll(pieces: readonly Piece[]): void {
    const floats = pieces.filter(({ kind }) => kind === 'float').map(({ box }) => ({ box, used: 0 }));
    this.place(floats, Infinity);
  }

  /** Room left beside a float; null where it has to wait. */
  #leaves({ box, used }: MetFloat, room: number | null): number | null {
    const beside = room === null ? null : this.space.beside(box, this.run.y);
    return beside === null || used + beside.needs > room! + 1 / 64 ? null : room! - beside.takes;
  }

  #put(box: Box): void {
    const { run, space } = this;
    putFloat(box, run, space);
    const gap = besideFloats(run, space);
    this.room = { left: Math.max(this.room.left, gap.left), right: Math.min(this.room.right, gap.right) };
  }

  /** Places what did not fit, once the line is done. */
  placeLater(): void {
    for (const box of this.#later) putFloat(box, this.run, this.space);
  }
}
