import type { Piece } from './cut-text.js';

/** What a line that is broken inside inline boxes ends in, and what the next one begins with. */
export interface ClonedEdges {
  readonly closers: readonly Piece[];
  readonly openers: readonly Piece[];
}

/**
 * Inline boxes whose edges are set at every break are closed at the end of a line and opened again in the next one, and
 * so are those in them, these without edges. Null where no such box goes on.
 * @spec css-break-4 §4.1 (box-decoration-break)
 */
export function clonedEdges(pieces: readonly Piece[], from: number, end: number): ClonedEdges | null {
  const open: Piece[] = [];
  for (let i = from; i < end; i++)
    if (pieces[i]!.kind === 'open') open.push(pieces[i]!);
    else if (pieces[i]!.kind === 'close') open.pop();
  const first = open.findIndex(isCloned);
  if (first < 0 || pieces[end]?.kind === 'block') return null;
  const going = open.slice(first);
  const endOf = ({ box }: Piece) => pieces.find((piece, i) => i >= end && piece.kind === 'close' && piece.box === box);
  const ends = going.map((piece) => endOf(piece));
  if (ends.some((piece) => piece === undefined)) return null;
  const edged = (piece: Piece): Piece => (isCloned(piece) ? piece : { ...piece, width: 0, edge: false });
  return { closers: ends.map((piece) => edged(piece!)).reverse(), openers: going.map(edged) };
}

const isCloned = ({ box }: Piece): boolean => box.style.boxDecorationBreak === 'clone';

/** Width of the edges that boxes open at the start and at the end of a run of pieces have there, px; by start and end. */
export function clonedWidth(pieces: readonly Piece[]): (from: number, end: number) => number {
  if (!pieces.some((piece) => piece.kind === 'open' && isCloned(piece))) return () => 0;
  const opened = pieces.flatMap((piece, from) => {
    if (piece.kind !== 'open' || !isCloned(piece)) return [];
    const to = pieces.findIndex((one, i) => i > from && one.kind === 'close' && one.box === piece.box);
    return to < 0 ? [] : [{ from, to, start: piece.width, end: pieces[to]!.width }];
  });
  return (from, end) =>
    opened.reduce(
      (sum, box) =>
        sum + (box.from < from && box.to >= from ? box.start : 0) + (box.from < end && box.to >= end ? box.end : 0),
      0,
    );
}
