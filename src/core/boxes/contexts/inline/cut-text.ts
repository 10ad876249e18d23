import type { ComputedStyle } from '../../../cascade/index.js';
import type { Box } from '../../box.js';
import { snap } from '../../fragment.js';
import type { Layout } from '../../layout.js';
import {
  breaksInsideWords,
  breaksSpaces,
  hangsSpaces,
  keepsBreaks,
  keepsSpaces,
  scriptAtEnd,
  scriptOf,
  wraps,
  type TextMetrics,
} from '../../text/index.js';
import type { Item, Paragraph } from './items.js';
import { faceOf, sizeOf, textWidth } from './set-text.js';

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

/** How much nearer two characters stand than by themselves, px: the first of them makes the room. */
export const kernBetween = (a: string, b: string, style: ComputedStyle, layout: Layout): number =>
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

/** Whether a style has lines end between two characters where there is no other occasion. @spec css-text-3 §5.2, §5.3 */
export const breaksWords = (style: ComputedStyle, before: string, after: string): boolean =>
  (style.lineBreak === 'anywhere' && !(after === ' ' && hangsSpaces(style))) ||
  (style.wordBreak === 'break-all' && breaksInsideWords(before, after));

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

/** Pieces of texts, by the text as it stands in its paragraph; a text set the same way again is cut the same way. */
interface Cuts {
  readonly metrics: TextMetrics;
  readonly breaks: Layout['breaks'];
  readonly pieces: Map<string, readonly Piece[]>;
}
const cuts = new WeakMap<ComputedStyle, Cuts>();

/** The same, remembered by style as long as that is in use. */
export function cutText(cutting: Cutting, pieces: Piece[], first: boolean): void {
  const { paragraph, box, text, start, levels, layout } = cutting;
  if (box.pseudo === 'marker') return cutTextAnew(cutting, pieces, first);
  const { metrics, breaks } = layout;
  let known = cuts.get(box.style);
  if (known?.metrics !== metrics || known.breaks !== breaks)
    cuts.set(box.style, (known = { metrics, breaks, pieces: new Map() }));
  const key = `${first ? 'b' : ''}${start}/${text.length}/${levels?.join('') ?? ''}/${paragraph.text}`;
  let made = known.pieces.get(key);
  if (!made) {
    const own: Piece[] = [];
    cutTextAnew(cutting, own, first);
    known.pieces.set(key, (made = own));
  }
  for (const piece of made) pieces.push(piece.box === box ? piece : { ...piece, box });
}

function cutTextAnew({ paragraph, box, text, start, levels, layout }: Cutting, pieces: Piece[], first: boolean): void {
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
    breaksWords(style, text[i - 1]!, text[i]!) ||
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
