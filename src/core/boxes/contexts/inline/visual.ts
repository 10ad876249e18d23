import type { Box } from '../../box.js';
import { inVisualOrder } from './bidi.js';
import type { Piece } from './cut-text.js';

/** What a line is set from, left to right: its pieces, and inline boxes that begin and end around them. */
export type Step =
  | { readonly kind: 'open'; readonly box: Box; readonly edge: boolean }
  | { readonly kind: 'close'; readonly box: Box; readonly edge: boolean }
  | { readonly kind: 'piece'; readonly piece: Piece };

interface Leaf {
  /** Null where an inline box holds nothing on this line. */
  readonly piece: Piece | null;
  readonly inside: readonly Box[];
  readonly level: number;
}

interface Logical {
  readonly leaves: readonly Leaf[];
  /** Boxes whose start or end lies on this line. */
  readonly starts: ReadonlySet<Box>;
  readonly ends: ReadonlySet<Box>;
}

/** The leaves of a line in the order of the document, each with the inline boxes around it. */
function leavesOf(pieces: readonly Piece[], open: readonly Box[], base: number): Logical {
  const stack = [...open];
  const leaves: Leaf[] = [];
  const filled = new Set<Box>();
  const starts = new Set<Box>();
  const ends = new Set<Box>();
  const add = (piece: Piece | null, level: number) => {
    for (const box of stack) filled.add(box);
    leaves.push({ piece, inside: [...stack], level });
  };
  // An empty inline box goes with the character behind it, and at the end of a line with the paragraph.
  const fill = (next: number) => {
    if (stack.length > 0 && !filled.has(stack[stack.length - 1]!))
      add(null, pieces.slice(next).find(hasLevel)?.level ?? base);
  };
  pieces.forEach((piece, i) => {
    if (piece.kind === 'open') {
      stack.push(piece.box);
      if (piece.edge !== false) starts.add(piece.box);
    } else if (piece.kind === 'close') {
      fill(i);
      stack.pop();
      if (piece.edge !== false) ends.add(piece.box);
    } else if (piece.kind !== 'float' && piece.kind !== 'block') add(piece, piece.level);
  });
  while (stack.length > 0) {
    fill(pieces.length);
    stack.pop();
  }
  return { leaves, starts, ends };
}

const hasLevel = ({ kind, text }: Piece): boolean => kind === 'atomic' || (kind === 'text' && text !== '');

/** Spaces at the end of a line are at the level of the paragraph. @spec uax9 L1 */
export function withEndReset(pieces: readonly Piece[], base: number): readonly Piece[] {
  const at = pieces.findLastIndex(hasLevel);
  const last = pieces[at];
  if (last?.kind !== 'text' || last.trailing === 0 || last.level === base) return pieces;
  const spaces = / *$/.exec(last.text)![0];
  const end: Piece = { ...last, text: spaces, width: last.trailing, level: base };
  const word = last.text.slice(0, last.text.length - spaces.length);
  const rest = { ...last, text: word, width: last.width - last.trailing, trailing: 0, forced: false };
  return [...pieces.slice(0, at), ...(word === '' ? [] : [rest]), end, ...pieces.slice(at + 1)];
}

/**
 * Sets the pieces of a line in visual order. An inline box whose pieces come apart has a part for each run of them;
 * its edges go to the outermost parts.
 * @spec uax9 L2, css2 §8.6
 */
export function visualSteps(pieces: readonly Piece[], open: readonly Box[], base: number): Step[] {
  const { leaves, starts, ends } = leavesOf(pieces, open, base);
  const steps: Step[] = [];
  let around: readonly Box[] = [];
  const reach = (inside: readonly Box[]) => {
    let shared = 0;
    while (shared < around.length && around[shared] === inside[shared]) shared++;
    for (const box of around.slice(shared).reverse()) steps.push({ kind: 'close', box, edge: false });
    for (const box of inside.slice(shared)) steps.push({ kind: 'open', box, edge: false });
    around = inside;
  };
  for (const { piece, inside } of inVisualOrder(leaves)) {
    reach(inside);
    if (piece) steps.push({ kind: 'piece', piece });
  }
  reach([]);
  return withEdges(steps, starts, ends);
}

function withEdges(steps: Step[], starts: ReadonlySet<Box>, ends: ReadonlySet<Box>): Step[] {
  const first = new Map<Box, number>();
  const last = new Map<Box, number>();
  steps.forEach((step, i) => {
    if (step.kind === 'open' && !first.has(step.box)) first.set(step.box, i);
    if (step.kind === 'close') last.set(step.box, i);
  });
  const edge = (index: number, box: Box, which: 'left' | 'right') => {
    const starting = (box.style.direction === 'rtl') === (which === 'right');
    steps[index] = { kind: which === 'left' ? 'open' : 'close', box, edge: (starting ? starts : ends).has(box) };
  };
  for (const [box, i] of first) edge(i, box, 'left');
  for (const [box, i] of last) edge(i, box, 'right');
  return steps;
}
