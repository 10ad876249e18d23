import { languageOf, resolveLength } from '../../../css/index.js';
import type { ComputedStyle } from '../../../cascade/index.js';
import type { Box } from '../../box.js';
import type { Layout } from '../../layout.js';
import { featuresOf, hangsSpaces, scriptAtEnd, scriptOf, wraps, type TextMetrics } from '../../text/index.js';
import { usedBorder, usedMargins, usedPadding } from '../../used/edges.js';
import { breaksWords, cutText, kernBetween, type Piece } from './cut-text.js';
import type { Paragraph } from './items.js';
import { textWidth } from './set-text.js';

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
    (breaks.has(offset) || (styleBefore !== null && insideWord(offset, styleBefore))) &&
    wraps(styleBefore ?? style) &&
    (styleBefore !== null || wraps(style));
  const insideWord = (offset: number, style: ComputedStyle): boolean => {
    const [before, after] = [whole[offset - 1], whole[offset]];
    return before !== undefined && after !== undefined && breaksWords(style, before, after);
  };
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

/** Moves break opportunities in front of the opening tags that precede them, and of empty boxes in between. */
function settleOpenings(pieces: Piece[]): Piece[] {
  for (let i = 1; i < pieces.length; i++) {
    const piece = pieces[i]!;
    if (!piece.breakBefore || piece.kind === 'block') continue;
    let first = i;
    let closed = 0;
    for (let at = i - 1; at >= 0 && /^(open|close|float|out)$/.test(pieces[at]!.kind); at--) {
      if (pieces[at]!.kind === 'close') closed++;
      else if (pieces[at]!.kind === 'open' && closed > 0) closed--;
      else if (pieces[at]!.kind === 'open') first = at;
    }
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
  while (at >= 0 && isEdgeInLine(pieces[at]!)) at--;
  const left = pieces[at];
  if (left?.kind !== 'text' || left.forced || left.box === box || left.text === '' || left.level !== level) return;
  const { style } = box;
  const before = left.box.style;
  if (!sameFont(style, before) || style.fontKerning === 'none' || !sharesScript(pieces, at, text)) return;
  const a = left.text[left.text.length - 1]!;
  const b = text[0]!;
  const kern = kernBetween(a, b, style, layout);
  if (Math.abs(kern) < 1e-6 || languageAt(left.box) !== languageAt(box)) return;
  pieces[at] = { ...left, width: left.width + kern, trailing: left.trailing > 0 ? left.trailing + kern : 0 };
}

/** The edge of an inline box that takes no room and stands on the line of what is around it. */
const isEdgeInLine = ({ kind, width, box: { anonymous, style } }: Piece): boolean =>
  (kind === 'open' || kind === 'close') &&
  width === 0 &&
  (anonymous || (style.verticalAlign === 'baseline' && style.unicodeBidi === 'normal'));

/** What is written in another language is shaped by itself. */
function languageAt(box: Box): string {
  let at = box;
  while (at.element === null && at.parent) at = at.parent;
  return at.element ? languageOf(at.element) : '';
}

/** Whether two styles ask for the same font: being given the same is not enough. */
const sameFont = (a: ComputedStyle, b: ComputedStyle): boolean =>
  a.fontSize === b.fontSize &&
  a.fontWeight === b.fontWeight &&
  a.fontStyle === b.fontStyle &&
  a.fontKerning === b.fontKerning &&
  a.textRendering === b.textRendering &&
  a.fontOpticalSizing === b.fontOpticalSizing &&
  a.fontSizeAdjust === b.fontSizeAdjust &&
  resolveLength(a.letterSpacing, a.fontSize) === resolveLength(b.letterSpacing, b.fontSize) &&
  resolveLength(a.wordSpacing, a.fontSize) === resolveLength(b.wordSpacing, b.fontSize) &&
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
