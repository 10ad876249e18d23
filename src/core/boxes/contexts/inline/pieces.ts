import { resolveLength } from '../../../css/index.js';
import type { ComputedStyle } from '../../../cascade/index.js';
import type { Box } from '../../box.js';
import { snap } from '../../fragment.js';
import type { Layout } from '../../layout.js';
import {
  faceIn,
  featuresOf,
  usedFontSize,
  breaksInsideWords,
  breaksSpaces,
  hangsSpaces,
  keepsBreaks,
  keepsSpaces,
  scriptAtEnd,
  scriptOf,
  wraps,
  type Face,
  type TextMetrics,
} from '../../text/index.js';
import { usedBorder, usedMargins, usedPadding } from '../../used/edges.js';
import type { Item, Paragraph } from './items.js';

/** An unbreakable part of a paragraph with its width, px. */
export interface Piece {
  readonly kind: Item['kind'];
  readonly box: Box;
  readonly text: string;
  readonly width: number;
  /** Width of the spaces at its end that hang at the end of a line. */
  readonly trailing: number;
  /** A line may begin with it. */
  readonly breakBefore: boolean;
  /** A line must end after it. */
  readonly forced: boolean;
  /** False where an inline box only goes on or leaves off, without its edge. */
  readonly edge?: boolean;
  /** Embedding level: even ones run from left to right. @spec uax9 */
  readonly level: number;
}

/** How a style sets text; lengths in px. */
interface Type {
  readonly metrics: TextMetrics;
  readonly face: Face;
  readonly size: number;
  readonly kerning: boolean;
  readonly letter: number;
  readonly word: number;
}

const types = new WeakMap<ComputedStyle, Type>();

function typeOf(style: ComputedStyle, { metrics }: Pick<Layout, 'metrics'>): Type {
  const known = types.get(style);
  if (known?.metrics === metrics) return known;
  const { fontSize } = style;
  const face = faceIn(style, metrics);
  const made: Type = {
    metrics,
    face,
    size: usedFontSize(style, face),
    kerning: style.fontKerning !== 'none',
    letter: resolveLength(style.letterSpacing, fontSize),
    word: resolveLength(style.wordSpacing, fontSize),
  };
  types.set(style, made);
  return made;
}

/** @see usedFontSize */
export const sizeOf = (style: ComputedStyle, layout: Pick<Layout, 'metrics'>): number => typeOf(style, layout).size;

/** The face a style is set in; remembered by style. */
export const faceOf = (style: ComputedStyle, layout: Pick<Layout, 'metrics'>): Face => typeOf(style, layout).face;

const SEPARATORS = /[ \u00a0\u1361\u{10100}\u{10101}\u{1039f}\u{1091f}]/gu;

/** How many characters separate words in a text. @spec css-text-4 §8.1 (word-separator characters) */
export const separatorsIn = (text: string): number => text.match(SEPARATORS)?.length ?? 0;

/** Width of text in a style, letter and word spacing included. */
export function textWidth(text: string, style: ComputedStyle, layout: Pick<Layout, 'metrics'>): number {
  const { face, size, kerning, letter, word } = typeOf(style, layout);
  let width = face.width(text, size, kerning);
  if (letter !== 0) width += letter * [...text].filter((c) => c !== '\u200b' && c !== '\n').length;
  if (word !== 0) width += word * separatorsIn(text);
  return width;
}

/**
 * Cuts a paragraph at its break opportunities and measures the pieces.
 * @param basis width percentages refer to, px (0 while intrinsic widths are measured)
 * @param atomicWidth margin-box width of an atomic inline
 */
export function piecesOf(
  paragraph: Paragraph,
  basis: number,
  layout: Layout,
  atomicWidth: (box: Box) => number,
): Piece[] {
  if (!paragraph.rigid) return cutParagraph(paragraph, basis, layout, atomicWidth);
  let known = rigid.get(paragraph);
  if (known?.metrics !== layout.metrics)
    rigid.set(
      paragraph,
      (known = { metrics: layout.metrics, pieces: cutParagraph(paragraph, 0, layout, atomicWidth) }),
    );
  return known.pieces;
}

/** Pieces of paragraphs that are the same at every width. */
const rigid = new WeakMap<Paragraph, { readonly metrics: TextMetrics; readonly pieces: Piece[] }>();

function cutParagraph(paragraph: Paragraph, basis: number, layout: Layout, atomicWidth: (box: Box) => number): Piece[] {
  const pieces: Piece[] = [];
  const { items, breaks, text: whole, levels } = paragraph;
  let styleBefore: ComputedStyle | null = null;
  // A break before an item is possible where the text allows it and the text in front of it may wrap.
  const opportunity = (offset: number, style: ComputedStyle): boolean =>
    breaks.has(offset) && wraps(styleBefore ?? style) && (styleBefore !== null || wraps(style));
  for (const [i, item] of items.entries()) {
    const { box } = item;
    const level = levels?.[i]?.[0] ?? 0;
    const base = { kind: item.kind, box, text: '', width: 0, trailing: 0, breakBefore: false, forced: false, level };
    switch (item.kind) {
      case 'text':
        kernAcross(pieces, { box: item.box, text: item.text, level }, layout);
        cutText(
          { paragraph, box, text: item.text, start: item.start, levels: levels?.[i] ?? null, layout },
          pieces,
          opportunity(item.start, box.style),
        );
        styleBefore = box.style;
        break;
      case 'open':
        pieces.push({
          ...base,
          width: edgeWidth(box, basis, box.style.direction === 'rtl' ? 'right' : 'left'),
          breakBefore:
            opportunity(item.start, box.parent?.style ?? box.style) ||
            (leadsToBlock(items, i) && whole[item.start - 1] === ' ' && wraps(styleBefore ?? box.style)),
        });
        break;
      case 'close':
        pieces.push({ ...base, width: edgeWidth(box, basis, box.style.direction === 'rtl' ? 'left' : 'right') });
        break;
      case 'atomic': {
        const around = box.parent?.style ?? box.style;
        const previous = whole[item.start - 1];
        pieces.push({
          ...base,
          width: atomicWidth(box),
          breakBefore:
            previous !== undefined &&
            wraps(around) &&
            (styleBefore === null || wraps(styleBefore)) &&
            !hasOpenBefore(pieces),
        });
        styleBefore = around;
        break;
      }
      case 'break':
        pieces.push({ ...base, forced: true });
        styleBefore = null;
        break;
      case 'block':
        pieces.push({ ...base, forced: true, breakBefore: true });
        styleBefore = null;
        break;
      default:
        pieces.push(base);
    }
  }
  return settleOpenings(setTabs(pieces, paragraph.style, layout));
}

/** Whether nothing but further tags open between a tag and a block: the line may end in front of it, behind a space. */
const leadsToBlock = (items: Paragraph['items'], open: number): boolean =>
  items.slice(open).find(({ kind }) => kind !== 'open')?.kind === 'block';

/** Whether the last thing on the line is an opening tag: a break belongs in front of that. */
function hasOpenBefore(pieces: readonly Piece[]): boolean {
  for (let i = pieces.length - 1; i >= 0; i--) {
    const { kind } = pieces[i]!;
    if (kind === 'open') return true;
    if (kind !== 'float' && kind !== 'out') return false;
  }
  return false;
}

/** Moves break opportunities in front of the opening tags that precede them. */
function settleOpenings(pieces: Piece[]): Piece[] {
  for (let i = 1; i < pieces.length; i++) {
    const piece = pieces[i]!;
    if (!piece.breakBefore || piece.kind === 'block') continue;
    let first = i;
    for (let at = i - 1; at >= 0 && /^(open|float|out)$/.test(pieces[at]!.kind); at--)
      if (pieces[at]!.kind === 'open') first = at;
    if (first < i) {
      pieces[i] = { ...piece, breakBefore: false };
      pieces[first] = { ...pieces[first]!, breakBefore: true };
    }
  }
  return passEmpty(pieces);
}

/** What neither holds text nor stands in the line. */
export const isEmptyHere = ({ kind, text, width }: Piece): boolean =>
  kind === 'open' || kind === 'close' || kind === 'float' || (kind === 'text' && text === '' && width === 0);

/** Where a line could begin with an empty inline box, it begins behind it. */
function passEmpty(pieces: Piece[]): Piece[] {
  for (let i = 0; i < pieces.length; i++) {
    const piece = pieces[i]!;
    if (piece.kind !== 'open' || !piece.breakBefore) continue;
    const end = emptyEnd(pieces, i);
    if (end === null) continue;
    pieces[i] = { ...piece, breakBefore: false };
    let next = end;
    while (pieces[next]?.kind === 'close') next++;
    const after = pieces[next];
    if (after && /^(text|atomic|open)$/.test(after.kind)) pieces[next] = { ...after, breakBefore: true };
  }
  return pieces;
}

/** The piece behind an inline box without content; null where it has some. */
function emptyEnd(pieces: readonly Piece[], open: number): number | null {
  let depth = 0;
  for (let i = open; i < pieces.length && isEmptyHere(pieces[i]!); i++) {
    const { kind } = pieces[i]!;
    depth += kind === 'open' ? 1 : kind === 'close' ? -1 : 0;
    if (depth === 0) return i + 1;
  }
  return null;
}

/**
 * Widths of preserved tabs: each run of them ends at a tab stop, counted from the start of its line.
 * @param block the style whose spaces measure the stops: that of the block container
 * @spec css-text-3 §4.2
 */
function setTabs(pieces: Piece[], block: ComputedStyle, layout: Layout): Piece[] {
  let space: number | null = null;
  let x = 0;
  return pieces.map((piece) => {
    const tabs = piece.kind === 'text' && piece.text[0] === '\t' ? piece.text.length : 0;
    if (tabs > 0) space ??= textWidth(' ', block, layout);
    const width = tabs > 0 ? tabWidth(piece.box.style, tabs, x, space!) : piece.width;
    x = piece.forced ? 0 : x + width;
    return tabs > 0 ? { ...piece, width, trailing: hangsSpaces(piece.box.style) ? width : 0 } : piece;
  });
}

function tabWidth({ tabSize, fontSize }: ComputedStyle, tabs: number, x: number, space: number): number {
  const interval = typeof tabSize === 'number' ? tabSize * space : resolveLength(tabSize, fontSize);
  if (interval <= 0) return 0;
  const rest = interval - (x % interval);
  // Browsers pass over a stop nearer than half a space, where the standard says half a digit.
  return (rest < space / 2 ? rest + interval : rest) + (tabs - 1) * interval;
}

/** Text of one font is shaped as one, across the edges of inline boxes that take no room. @spec css-text-3 §7.3 (shaping across element boundaries) */
function kernAcross(
  pieces: Piece[],
  { box, text, level }: Pick<Piece, 'box' | 'text' | 'level'>,
  layout: Layout,
): void {
  let at = pieces.length - 1;
  while (at >= 0 && (pieces[at]!.kind === 'open' || pieces[at]!.kind === 'close') && pieces[at]!.width === 0) at--;
  const left = pieces[at];
  if (left?.kind !== 'text' || left.forced || left.box === box || left.text === '' || left.level !== level) return;
  const { style } = box;
  const before = left.box.style;
  const alike =
    sameFont(style, before) && style.fontKerning !== 'none' && resolveLength(style.letterSpacing, style.fontSize) === 0;
  if (!alike || !sharesScript(pieces, at, text)) return;
  const a = left.text[left.text.length - 1]!;
  const b = text[0]!;
  const kern = kernBetween(a, b, style, layout);
  if (Math.abs(kern) < 1e-6) return;
  pieces[at] = { ...left, width: left.width + kern, trailing: left.trailing > 0 ? left.trailing + kern : 0 };
}

/** How much nearer two characters stand than by themselves, px: the first of them makes the room. */
const kernBetween = (a: string, b: string, style: ComputedStyle, layout: Layout): number =>
  textWidth(a + b, style, layout) - textWidth(a, style, layout) - textWidth(b, style, layout);

/** The same at a place inside a text: what begins in another script is shaped by itself. */
function kernInside(text: string, at: number, style: ComputedStyle, layout: Layout): number {
  const [a, b] = [text[at - 1], text[at]];
  const kern = a === undefined || b === undefined ? 0 : kernBetween(a, b, style, layout);
  if (kern === 0) return 0;
  const script = scriptOf(b!);
  const before = script === '' ? '' : scriptAtEnd(text.slice(0, at));
  return before === '' || before === script ? kern : 0;
}

/** Whether two styles ask for the same font: being given the same is not enough. */
const sameFont = (a: ComputedStyle, b: ComputedStyle): boolean =>
  a.fontSize === b.fontSize &&
  a.fontWeight === b.fontWeight &&
  a.fontStyle === b.fontStyle &&
  featuresOf(a)?.key === featuresOf(b)?.key &&
  (a.fontFamily === b.fontFamily ||
    (a.fontFamily.length === b.fontFamily.length &&
      a.fontFamily.every(({ name }, i) => name === b.fontFamily[i]!.name)));

/** Whether a text goes on in the script that the pieces up to an index end in. */
function sharesScript(pieces: readonly Piece[], at: number, text: string): boolean {
  const own = scriptOf(text[0]!);
  for (let i = at; own !== '' && i >= 0 && !pieces[i]!.forced; i--) {
    const script = scriptAtEnd(pieces[i]!.text);
    if (script !== '') return script === own;
  }
  return true;
}

/** Margin, border and padding of an inline box at one end, px. */
export function edgeWidth(box: Box, basis: number, edge: 'left' | 'right'): number {
  return usedMargins(box, basis)[edge] + usedBorder(box)[edge] + usedPadding(box, basis)[edge];
}

/** A text of a paragraph that is to be cut where it may be broken. */
interface Cutting {
  readonly paragraph: Paragraph;
  readonly box: Box;
  readonly text: string;
  /** Where it begins in the paragraph. */
  readonly start: number;
  readonly levels: Uint8Array | null;
  readonly layout: Layout;
}

function cutText({ paragraph, box, text, start, levels, layout }: Cutting, pieces: Piece[], first: boolean): void {
  const { style } = box;
  const wrap = wraps(style);
  let from = 0;
  const emit = (to: number, forced: boolean) => {
    const part = text.slice(from, to);
    const shown = forced ? part.slice(0, -1) : part;
    const bullet = box.pseudo === 'marker';
    const kern = forced || bullet || shown === '' ? 0 : kernInside(text, to, style, layout);
    const width = bullet ? bulletWidth(style, layout) : textWidth(shown, style, layout) + kern;
    const spaces = keepsSpaces(style) ? (hangsSpaces(style) ? /[ ]+$/.exec(shown) : null) : /[ ]+$/.exec(shown);
    // The last letter stays as near to the spaces behind it as it was.
    const trailing = spaces && !bullet ? textWidth(spaces[0], style, layout) + kern : 0;
    pieces.push({
      kind: 'text',
      box,
      text: shown,
      width,
      trailing,
      breakBefore: from === 0 ? first : wrap && text[from - 1] !== '\n' && mayBreak(from),
      forced,
      level: levels?.[from] ?? 0,
    });
    from = to;
  };
  const mayBreak = (i: number): boolean =>
    (style.lineBreak === 'anywhere' && !(text[i] === ' ' && hangsSpaces(style))) ||
    (style.wordBreak === 'break-all' && breaksInsideWords(text[i - 1]!, text[i]!)) ||
    (breaksSpaces(style) && text[i - 1] === ' ') ||
    (paragraph.breaks.has(start + i) && !(style.hyphens === 'none' && text[i - 1] === '\u00ad'));
  for (let i = 0; i < text.length; i++) {
    if (levels && i > from && levels[i] !== levels[i - 1]) emit(i, false);
    if (keepsSpaces(style) && i > from && (text[i] === '\t') !== (text[i - 1] === '\t')) emit(i, false);
    if (text[i] === '\n' && keepsBreaks(style)) emit(i + 1, true);
    else if (i > from && wrap && mayBreak(i)) emit(i, false);
  }
  if (from < text.length) emit(text.length, false);
}

/** Width of a bullet and the room beside it, px: browsers draw them by rules of their own. */
function bulletWidth(style: ComputedStyle, layout: Pick<Layout, 'metrics'>): number {
  const { listStyleType: type, fontSize } = style;
  if ('name' in type && type.name.startsWith('disclosure')) return snap(fontSize * 0.66) + snap(fontSize * 0.4);
  const ascent = faceOf(style, layout).ascent(sizeOf(style, layout));
  return Math.floor((Math.floor((ascent * 2) / 3) + 1) / 2) + 1 + fontSize;
}
