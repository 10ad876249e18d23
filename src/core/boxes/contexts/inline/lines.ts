import { isBlankText } from '../../box.js';
import { clonedEdges } from './cloned-edges.js';
import type { Layout } from '../../layout.js';
import { snapUp } from '../../fragment.js';
import { hangsSpaces, keepsBreaks, keepsSpaces, wraps } from '../../text/index.js';
import { isEmptyHere } from './pieces.js';
import type { Piece } from './cut-text.js';
import { textWidth } from './set-text.js';

/** The pieces of one line and how wide they are together, hanging spaces left out. */
export interface Line {
  readonly pieces: readonly Piece[];
  readonly width: number;
  /** Width of preserved spaces that hang at its end. */
  readonly hanging: number;
  /** Whether a line box is made for it: it holds more than collapsed space. */
  readonly visible: boolean;
  readonly endsForced: boolean;
}

/** One step of breaking: what goes onto a line of the given room, and where the next one starts. */
export interface Taken {
  readonly line: Line;
  readonly next: number;
  /** Pieces with an overlong piece cut, if one was. */
  readonly pieces: readonly Piece[];
}

/** End of the unbreakable unit that begins at `from`, exclusive. */
export function unitEnd(pieces: readonly Piece[], from: number): number {
  let i = from;
  do i++;
  while (i < pieces.length && !pieces[i]!.breakBefore && !pieces[i - 1]!.forced);
  return i;
}

/** Adds up pieces the way they are set: neighbouring pieces of one text are one run, rounded up once. */
export class Sum {
  #done = 0;
  /** The last run of text, and what stands behind it. */
  #run = 0;
  #behind = 0;
  #box: Piece['box'] | null = null;
  #level = 0;

  add(piece: Piece): void {
    if (piece.kind !== 'text') this.#behind += piece.width;
    else if (piece.box === this.#box && piece.level === this.#level && this.#behind === 0) this.#run += piece.width;
    else {
      this.#done = this.value;
      this.#box = piece.box;
      this.#run = piece.width;
      this.#level = piece.level;
      this.#behind = 0;
    }
  }

  /** Width so far, with the given width of hanging spaces taken off the last run. */
  without(trailing: number): number {
    return this.#done + snapUp(this.#run - trailing) + this.#behind;
  }

  get value(): number {
    return this.without(0);
  }
}

/** Width of a run of pieces, with and without the spaces that hang at its end. */
export function widthOf(pieces: readonly Piece[], from: number, to: number): { whole: number; held: number } {
  const sum = new Sum();
  for (let i = from; i < to; i++) sum.add(pieces[i]!);
  return { whole: sum.value, held: sum.without(trailingOf(pieces, from, to)) };
}

/** Neighbouring pieces of one text as one piece. */
export function mergeText(pieces: readonly Piece[]): Piece[] {
  const out: Piece[] = [];
  for (let i = 0; i < pieces.length;) {
    const first = pieces[i]!;
    let end = i + 1;
    if (first.kind === 'text') while (end < pieces.length && joins(first, pieces[end]!)) end++;
    out.push(end === i + 1 ? first : joined(pieces, i, end));
    i = end;
  }
  return out;
}

const joins = (a: Piece, b: Piece): boolean => b.kind === 'text' && a.box === b.box && a.level === b.level;

function joined(pieces: readonly Piece[], from: number, to: number): Piece {
  const { kind, box, breakBefore, level } = pieces[from]!;
  let text = '';
  let width = 0;
  let trailing = 0;
  for (let i = from; i < to; i++) {
    const piece = pieces[i]!;
    text += piece.text;
    width += piece.width;
    trailing = piece.trailing + (piece.trailing === piece.width ? trailing : 0);
  }
  return { kind, box, text, width, trailing, breakBefore, forced: pieces[to - 1]!.forced, level };
}

/** Spaces hanging at the end of a run of pieces. */
function trailingOf(pieces: readonly Piece[], from: number, to: number): number {
  let trailing = 0;
  for (let i = to - 1; i >= from; i--) {
    const piece = pieces[i]!;
    if (piece.kind === 'text') {
      trailing += piece.trailing;
      if (piece.trailing < piece.width || piece.text.trimEnd() !== '') break;
    } else if (piece.kind === 'break') continue;
    else if (piece.kind === 'atomic' || piece.kind === 'block') break;
  }
  return trailing;
}

/**
 * Edges that do not have to fit at the end of a unit: those of inline boxes that end right after a space, where the line
 * may be broken, and those of empty ones; at the end of a paragraph all behind the first empty one.
 */
function edgesLeft(pieces: readonly Piece[], from: number, to: number): number {
  let at = to - 1;
  while (at >= from && isEmptyHere(pieces[at]!)) at--;
  const text = pieces[at];
  // A block ends its line as a break does: all counts.
  if (at < from || !text || pieces[to]?.kind === 'block') return 0;
  const tail = pieces.slice(at + 1, to);
  if (to === pieces.length) {
    const first = tail.findIndex(({ kind }) => kind === 'open');
    return first < 0 ? 0 : widthsOf(tail.slice(first));
  }
  return text.kind === 'text' && text.trailing > 0 ? widthsOf(tail) : 0;
}

/** How far negative edges behind the last text of a unit draw its end back: the text has to fit without them. */
function drawnBack(pieces: readonly Piece[], from: number, to: number): number {
  let width = 0;
  for (let at = to - 1; at >= from && isEmptyHere(pieces[at]!); at--) width += pieces[at]!.width;
  return Math.max(0, -width);
}

const widthsOf = (pieces: readonly Piece[]): number =>
  Math.max(
    0,
    pieces.reduce((sum, { width }) => sum + width, 0),
  );

function isVisible(pieces: readonly Piece[], loose = false): boolean {
  return pieces.some((piece) => {
    if (piece.kind === 'text')
      return (
        !isBlankText(piece.text) ||
        piece.width > piece.trailing ||
        (piece.text !== '' && keepsSpaces(piece.box.style)) ||
        (piece.forced && keepsBreaks(piece.box.style))
      );
    return (
      piece.kind === 'atomic' ||
      piece.kind === 'break' ||
      ((piece.kind === 'open' || piece.kind === 'close') && hasEdges(piece, loose))
    );
  });
}

/** Whether a line may end behind some pieces: not where they are nothing but edges of inline boxes. */
const endsHere = (pieces: readonly Piece[]): boolean =>
  pieces.some(({ kind }) => !/^(open|close|out)$/.test(kind)) && isVisible(pieces);

/** An inline box that begins or ends on a line holds it by what it has on that side; not by its margins in quirks modes. @spec css2 §9.4.2, quirks §3.3 */
function hasEdges({ kind, box: { style } }: Piece, loose: boolean): boolean {
  const some = (v: { px: number; percent: number } | 'auto') => v !== 'auto' && (v.px !== 0 || v.percent !== 0);
  return (kind === 'open') === (style.direction === 'ltr')
    ? some(style.paddingLeft) || (!loose && some(style.marginLeft)) || style.borderLeftWidth > 0
    : some(style.paddingRight) || (!loose && some(style.marginRight)) || style.borderRightWidth > 0;
}

/** The floats a line meets while it is filled. */
export interface FloatsMet {
  /** How much of the room they leave the line, each met where the line is as wide as said. */
  readonly leave: (floats: readonly MetFloat[], room: number) => number;
  readonly place: (floats: readonly MetFloat[], room: number) => void;
}

export interface MetFloat {
  readonly box: Piece['box'];
  /** Width of the line in front of it, px. */
  readonly used: number;
}

/** Takes the pieces that fit into a line. @spec css2 §9.4.2, css-text-3 §5 */
export function takeLine(
  pieces: readonly Piece[],
  from: number,
  width: number,
  layout: Layout,
  beside?: FloatsMet,
): Taken {
  let end = from;
  let room = width;
  const sum = new Sum();
  let work = pieces;
  while (end < work.length) {
    if (work[end]!.kind === 'block') {
      if (end === from) end++;
      break;
    }
    const stop = unitEnd(work, end);
    const before = sum.value;
    const floats: MetFloat[] = [];
    for (let i = end; i < stop; i++) {
      sum.add(work[i]!);
      if (work[i]!.kind === 'float') floats.push({ box: work[i]!.box, used: sum.without(trailingOf(work, from, i)) });
    }
    const hyphen = stop < work.length ? hyphenWidth(work[stop - 1]!, layout) : 0;
    const left = floats.length > 0 && beside ? beside.leave(floats, room) : room;
    const needed = sum.without(trailingOf(work, from, stop)) - edgesLeft(work, end, stop) + drawnBack(work, end, stop);
    const fits = needed + hyphen <= left + 1 / 64;
    if (!fits) {
      const cut =
        mayCut(work, end, stop) && (!work[end]!.breakBefore || !isVisible(work.slice(from, end)))
          ? cutUnit(work, end, stop, room - before, layout)
          : null;
      if (cut) {
        work = cut.pieces;
        end = cut.end;
        break;
      }
      if (endsHere(work.slice(from, end))) {
        if (before > room + 1 / 64) end = beforeStray(work, from, end);
        break;
      }
    }
    beside?.place(floats, room);
    room = left;
    end = fits ? stop : beforeStray(work, end, stop);
    if (end < stop) break;
    if (work[end - 1]!.forced) {
      // Boxes that end right after the break end on its line.
      while (work[end]?.kind === 'close') end++;
      break;
    }
  }
  const cloned = end < work.length ? clonedEdges(work, from, end) : null;
  const taken = asLineEnd(work.slice(from, end), end < work.length, layout);
  if (cloned) {
    taken.push(...cloned.closers);
    work = [...work.slice(0, end), ...cloned.closers, ...cloned.openers, ...heldTogether(work.slice(end))];
    end += cloned.closers.length;
  }
  const { whole, held } = widthOf(taken, 0, taken.length);
  return {
    line: {
      pieces: taken,
      width: held,
      hanging: lostAtEnd(taken, 0, taken.length) === 0 ? whole - held : 0,
      visible: isVisible(taken, layout.looseLines),
      endsForced: taken.some((p) => p.forced),
    },
    next: end,
    pieces: work,
  };
}

/** What follows the edge of an inline box that is opened again stays with it. */
const heldTogether = ([first, ...rest]: readonly Piece[]): readonly Piece[] =>
  first ? [{ ...first, breakBefore: false }, ...rest] : rest;

/** Absolute boxes behind a space or break that reaches out of its line go to the next one: the end of what stays. */
function beforeStray(pieces: readonly Piece[], from: number, to: number): number {
  let end = to;
  while (end > from + 1 && /^(out|open|close)$/.test(pieces[end - 1]!.kind)) end--;
  const last = pieces[end - 1]!;
  const breaks =
    last.kind === 'text' && wraps(last.box.style) && (last.trailing > 0 || /[-\u00ad\u200b]$/.test(last.text));
  const stray = breaks ? pieces.slice(end, to).findIndex(({ kind }) => kind === 'out') : -1;
  return stray < 0 ? to : end + stray;
}

const HYPHEN = '-';

/** Width of the hyphen a piece ends in when its line is broken after it. @spec css-text-3 §6.1 */
const hyphenWidth = ({ kind, text, box: { style } }: Piece, layout: Layout): number =>
  kind === 'text' && text.endsWith('\u00ad') && style.hyphens !== 'none' ? textWidth(HYPHEN, style, layout) : 0;

/** Where a line is broken its last text shows a hyphen, or stands no longer nearer to what came next. */
function asLineEnd(pieces: readonly Piece[], broken: boolean, layout: Layout): Piece[] {
  const last = pieces[pieces.length - 1];
  if (!last || !broken || last.kind !== 'text' || last.forced) return [...pieces];
  const hyphen = hyphenWidth(last, layout);
  if (hyphen > 0)
    return [...pieces.slice(0, -1), { ...last, text: last.text.slice(0, -1) + HYPHEN, width: last.width + hyphen }];
  if (last.trailing > 0 || last.text === '' || last.text.includes('\t')) return [...pieces];
  return [...pieces.slice(0, -1), { ...last, width: textWidth(last.text, last.box.style, layout) }];
}

function mayCut(pieces: readonly Piece[], from: number, to: number): boolean {
  return pieces.slice(from, to).some(isCuttable);
}

const isCuttable = ({ kind, box: { style } }: Piece): boolean =>
  kind === 'text' && (style.overflowWrap !== 'normal' || style.wordBreak === 'break-word') && wraps(style);

/** Width of the closing edges right behind a piece. */
function edgesAfter(pieces: readonly Piece[], at: number, to: number): number {
  let width = 0;
  for (let i = at + 1; i < to && pieces[i]!.kind === 'close'; i++) width += pieces[i]!.width;
  return width;
}

/** Breaks inside a word where overflow-wrap allows it. @spec css-text-3 §5.5 */
function cutUnit(
  pieces: readonly Piece[],
  from: number,
  to: number,
  room: number,
  layout: Layout,
): { pieces: readonly Piece[]; end: number } | null {
  let left = room;
  for (let i = from; i < to; i++) {
    const piece = pieces[i]!;
    if (!isCuttable(piece) || piece.width - piece.trailing <= left - edgesAfter(pieces, i, to)) {
      left -= piece.width;
      continue;
    }
    const characters = [...piece.text];
    let fit = 0;
    // The last character goes to the next line with the end edges that do not fit.
    const held = piece.trailing > 0 ? [...piece.text.trimEnd()].length : characters.length;
    const most = held - 1;
    const widthTo = (end: number) => textWidth(characters.slice(0, end).join(''), piece.box.style, layout);
    while (fit < most && widthTo(fit + 1) <= left + 1 / 64) fit++;
    if (fit === 0) {
      let at = i;
      while (at > from && pieces[at - 1]!.kind === 'open') at--;
      if (at > from)
        return {
          pieces: [...pieces.slice(0, at), { ...pieces[at]!, breakBefore: true }, ...pieces.slice(at + 1)],
          end: at,
        };
      fit = 1;
    }
    if (fit >= held) return null;
    const part = (text: string, rest: boolean): Piece => ({
      ...piece,
      text,
      width: textWidth(text, piece.box.style, layout),
      trailing: rest ? piece.trailing : 0,
      breakBefore: rest || piece.breakBefore,
      forced: rest && piece.forced,
    });
    const made = [part(characters.slice(0, fit).join(''), false), part(characters.slice(fit).join(''), true)];
    return { pieces: [...pieces.slice(0, i), ...made, ...pieces.slice(i + 1)], end: i + 1 };
  }
  return null;
}

/** What a line loses at its end: preserved spaces hang only where they do not fit, and here everything does. */
export function lostAtEnd(pieces: readonly Piece[], start: number, end: number): number {
  const last = pieces.slice(start, end).findLast(({ kind }) => kind === 'text');
  return last && hangsSpaces(last.box.style) ? 0 : trailingOf(pieces, start, end);
}
