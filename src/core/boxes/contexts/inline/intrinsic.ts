import type { Box } from '../../box.js';
import { snapUp } from '../../fragment.js';
import type { Across, Intrinsic, Layout } from '../../layout.js';
import { wraps } from '../../text/index.js';
import { FloatWidths } from '../float-widths.js';
import { indentOf } from './indent.js';
import { paragraphOf } from './items.js';
import { lostAtEnd, Sum, unitEnd, widthOf } from './lines.js';
import { clonedWidth } from './cloned-edges.js';
import { isEmptyHere, piecesOf } from './pieces.js';
import type { Piece } from './cut-text.js';
import { textWidth } from './set-text.js';

/** Intrinsic widths of inline content. */
export function inlineIntrinsic(container: Box, across: Across, layout: Layout): Intrinsic {
  const widths = new Map<Box, Intrinsic>();
  const outer = (box: Box): Intrinsic => {
    let known = widths.get(box);
    if (!known) widths.set(box, (known = layout.contribution(box, across)));
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

/** Narrowest and widest the pieces can be set behind an indentation, px. @spec css-sizing-3 §5.1 */
function intrinsicOf(
  pieces: readonly Piece[],
  layout: Layout,
  outer: (piece: Piece) => Intrinsic,
  indent: number,
): Intrinsic {
  const widest = new Widest(pieces, indent);
  const narrowest = new Narrowest(pieces, indent, layout);
  for (let i = 0; i < pieces.length;) {
    const piece = pieces[i]!;
    if (piece.kind === 'float' || piece.kind === 'block') {
      const { min, max } = outer(piece);
      narrowest.least(min);
      if (piece.kind === 'float') widest.float(piece.box, max);
      else widest.block(i, max);
      i++;
      continue;
    }
    const end = unitEnd(pieces, i);
    narrowest.unit(i, end);
    for (const inside of pieces.slice(i, end)) {
      widest.add(inside);
      if (inside.kind !== 'float') continue;
      const { min, max } = outer(inside);
      narrowest.least(min);
      widest.float(inside.box, max);
    }
    i = end;
    if (pieces[end - 1]!.forced) {
      // Boxes that end right after the break end on its line.
      for (; pieces[i]?.kind === 'close'; i++) widest.add(pieces[i]!);
      widest.endLine(i);
      narrowest.endLine();
    }
  }
  widest.endLine(pieces.length);
  const min = Math.max(narrowest.value, withEndEdges(pieces, layout));
  return { min, max: Math.max(min, widest.value) };
}

/** The widest line where none breaks but where it must. */
class Widest {
  value = 0;
  #line = new Sum();
  #start = 0;
  readonly #floats = new FloatWidths();

  constructor(
    private readonly pieces: readonly Piece[],
    /** Indentation, until the first line ends. */
    private indent: number,
  ) {}

  add(piece: Piece): void {
    this.#line.add(piece);
  }

  float(box: Box, width: number): void {
    this.#floats.addInLine(box, width);
    this.value = Math.max(this.value, this.#floats.widest);
  }

  block(at: number, width: number): void {
    this.endLine(at);
    this.value = Math.max(this.value, width);
    this.#start = at + 1;
  }

  endLine(end: number): void {
    const text = this.#line.without(lostAtEnd(this.pieces, this.#start, end));
    this.value = Math.max(this.value, text + this.#floats.together + this.indent);
    this.indent = 0;
    this.#line = new Sum();
    this.#floats.end();
    this.#start = end;
  }
}

/** The widest part that cannot be broken. */
class Narrowest {
  #value = 0;
  /** The line as it grows, and where the next part would begin. */
  #line = 0;
  #reached = 0;
  /** The text that is being measured, and how far its words have come. */
  #text: { readonly box: Box; readonly reached: number } | null = null;
  /** Edges that inline boxes around a unit have on its line as well. */
  readonly #cloned: (from: number, end: number) => number;

  constructor(
    private readonly pieces: readonly Piece[],
    private readonly indent: number,
    private readonly layout: Layout,
  ) {
    this.#cloned = clonedWidth(pieces);
  }

  get value(): number {
    return Math.max(this.#value, this.#line);
  }

  least(width: number): void {
    this.#value = Math.max(this.#value, width);
  }

  unit(from: number, end: number): void {
    const { pieces, layout } = this;
    const unit = widthOf(pieces, from, end);
    const own = pieces.slice(from, end);
    const indent = from === 0 ? this.indent : 0;
    const width =
      indent +
      this.#cloned(from, end) +
      (own.some(breaksInside) ? widestCut(own, layout) : this.#within(own, unit.held));
    // Negative margins may draw a part back so far that it fits on the line before it.
    const joins = this.#reached !== 0 && this.#reached + width <= 0;
    if (!joins) this.least(this.#line);
    this.#line = joins ? this.#reached + width : width;
    this.#reached = joins ? this.#reached + unit.whole : unit.whole + indent;
  }

  endLine(): void {
    this.#reached = 0;
  }

  /** Width of a unit of words: browsers take it between two places of its text, each rounded up. */
  #within(own: readonly Piece[], held: number): number {
    const first = own[0]!;
    const last = own[own.length - 1]!;
    const from = this.#text?.box === first.box ? this.#text.reached : 0;
    const alone = own.length === 1;
    this.#text = last.kind === 'text' ? { box: last.box, reached: (alone ? from : 0) + last.width } : null;
    if (first.kind !== 'text') return held;
    if (alone) return between(from, from + first.width - first.trailing);
    // Only the text at its start goes on from the part before.
    return from === 0 || own[1]!.box === first.box
      ? held
      : held + between(from, from + first.width) - snapUp(first.width);
  }
}

const charactersOf = ({ text, box: { style } }: Piece, layout: Layout): number[] =>
  [...text].map((c) => textWidth(c, style, layout));

/** The widest part of a unit that may be cut anywhere: its edges stand with its first and its last character. */
function widestCut(pieces: readonly Piece[], layout: Layout): number {
  let [before, widest, last] = [0, 0, 0];
  let cut = false;
  for (const piece of pieces) {
    if (piece.kind !== 'text') {
      before += piece.width;
      last = cut ? last + piece.width : 0;
      widest = Math.max(widest, last);
      continue;
    }
    const characters = charactersOf({ ...piece, text: piece.text.trimEnd() }, layout);
    if (characters.length === 0) continue;
    widest = Math.max(widest, before + characters[0]!, ...characters);
    last = characters[characters.length - 1]!;
    before = 0;
    cut = true;
  }
  return Math.max(widest, before);
}

/** Whether the narrowest width counts breaks inside words. @spec css-text-3 §5.5 (anywhere) */
const breaksInside = ({ kind, box: { style } }: Piece): boolean =>
  kind === 'text' && (style.overflowWrap === 'anywhere' || style.wordBreak === 'break-word') && wraps(style);

/**
 * Edges behind a text that ends where its line may: browsers count them with the widest part of that text, wherever it
 * stands.
 */
function withEndEdges(pieces: readonly Piece[], layout: Layout): number {
  let value = 0;
  for (let i = 0; i < pieces.length;) {
    const first = pieces[i]!;
    let end = i + 1;
    if (first.kind === 'text') while (pieces[end]?.kind === 'text' && pieces[end]!.box === first.box) end++;
    let next = end;
    let edges = 0;
    while (pieces[next] && isEmptyHere(pieces[next]!) && !pieces[next]!.breakBefore) edges += pieces[next++]!.width;
    const opened = leadingTo(pieces, next, (piece) => piece.kind === 'open');
    if (pieces[opened]?.kind === 'block') for (; next < opened; next++) edges += pieces[next]!.width;
    const ends = pieces[next]?.breakBefore || endsLine(pieces, leadingTo(pieces, next, isLost));
    if (first.kind === 'text' && edges > 0 && ends && !pieces[end - 1]!.forced)
      value = Math.max(value, edges + widestText(pieces.slice(i, end), layout));
    i = end;
  }
  return value;
}

/** The first piece from one on that is not such a one. */
function leadingTo(pieces: readonly Piece[], from: number, passes: (piece: Piece) => boolean): number {
  let at = from;
  while (pieces[at] && passes(pieces[at]!)) at++;
  return at;
}

/** What takes no room at the end of a line: spaces, empty boxes. */
const isLost = (piece: Piece): boolean =>
  isEmptyHere(piece) || piece.kind === 'out' || (piece.kind === 'text' && piece.trailing === piece.width);

const endsLine = (pieces: readonly Piece[], at: number): boolean =>
  at === pieces.length || /^(break|block)$/.test(pieces[at]!.kind);

/** The widest part between two break opportunities of one text. */
function widestText(pieces: readonly Piece[], layout: Layout): number {
  let [at, widest] = [0, 0];
  for (const piece of pieces) {
    const parts = breaksInside(piece) ? charactersOf(piece, layout) : [piece.width - piece.trailing];
    let from = at;
    for (const part of parts) {
      widest = Math.max(widest, between(from, from + part));
      from += part;
    }
    at += piece.width;
  }
  return widest;
}

const between = (from: number, to: number): number => snapUp(to) - snapUp(from);
