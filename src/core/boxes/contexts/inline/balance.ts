import type { Box } from '../../box.js';
import type { Layout } from '../../layout.js';
import { wraps } from '../../text/index.js';
import { takeLine, unitEnd, widthOf } from './lines.js';
import type { Piece } from './cut-text.js';

/** Browsers leave longer paragraphs as they are. */
const MOST_BALANCED = 6;
/** So many lines at the end of a paragraph are looked at for its last line's sake. */
const LAST_LINES = 4;
/** A word alone on the last line is let be from this share of the room on. */
const SHORT = 1 / 3;
const FITS = 1 / 64;

/** Where a line may end, and the best way there. */
interface Stop {
  readonly end: number;
  score: number;
  from: number;
}

/**
 * Widths of the first lines of a block, where its first paragraph is not simply filled line by line: the breaks leave the
 * least sum of the squares of what lines lack, of all of them or so that the last is no short single word. Empty otherwise.
 * @param room width of its lines, px
 * @spec css-text-4 §6.2 (text-wrap-style)
 */
export function chosenWidths(
  { style, firstLine }: Box,
  pieces: readonly Piece[],
  room: number,
  indent: number,
  layout: Layout,
): readonly number[] {
  const { textWrapStyle } = style;
  const alike = textWrapStyle === 'balance';
  if ((!alike && textWrapStyle !== 'pretty') || !wraps(style) || firstLine) return [];
  const last = pieces.findIndex(({ forced }) => forced);
  const paragraph = last < 0 ? pieces : pieces.slice(0, last + 1);
  if (paragraph.some(({ kind }) => kind === 'block' || kind === 'float')) return [];
  const starts = lineStarts(paragraph, room, indent, layout);
  const lines = starts.length;
  if (lines < 2) return [];
  if (alike) return lines > MOST_BALANCED ? [] : evenly(paragraph, 0, room, indent, true);
  const end = starts[lines - 1]!;
  const short = widthOf(paragraph, end, paragraph.length).held < room * SHORT;
  if (!short || unitEnd(paragraph, end) < paragraph.length) return [];
  const first = Math.max(0, lines - LAST_LINES);
  const kept = starts.slice(0, first).map((from, i) => widthOf(paragraph, from, starts[i + 1]!).held);
  const rest = evenly(paragraph, starts[first]!, room, first === 0 ? indent : 0, false);
  return rest.length === 0 ? [] : [...kept, ...rest];
}

/** Where the lines of a paragraph begin that are filled one after the other; empty where a word is cut or stands out. */
function lineStarts(pieces: readonly Piece[], room: number, indent: number, layout: Layout): readonly number[] {
  const starts: number[] = [];
  for (let from = 0; from < pieces.length;) {
    const taken = takeLine(pieces, from, room - (starts.length === 0 ? indent : 0), layout);
    if (taken.pieces !== pieces || taken.line.width > room + FITS) return [];
    if (taken.line.visible) starts.push(from);
    from = Math.max(taken.next, from + 1);
  }
  return starts;
}

/** @param alike whether the last line counts as the others do; otherwise it is to be no single word */
function evenly(
  pieces: readonly Piece[],
  begin: number,
  room: number,
  indent: number,
  alike: boolean,
): readonly number[] {
  const stops: Stop[] = [{ end: begin, score: 0, from: 0 }];
  const width = (from: number, to: number) => widthOf(pieces, from, to).held;
  let active = 0;
  for (let end = unitEnd(pieces, begin); ; end = unitEnd(pieces, end)) {
    const stop: Stop = { end, score: Infinity, from: -1 };
    const last = end >= pieces.length;
    for (let i = active; i < stops.length; i++) {
      const start = stops[i]!;
      const spare = room - (i === 0 ? indent : 0) - width(start.end, end);
      if (spare < -FITS) {
        active = i + 1;
        continue;
      }
      if (last && !alike && i === stops.length - 1) continue;
      const score = start.score + (last && !alike ? 0 : spare * spare);
      if (score <= stop.score) Object.assign(stop, { score, from: i });
    }
    if (stop.from < 0) return [];
    stops.push(stop);
    if (last) break;
  }
  const widths: number[] = [];
  for (let at = stops.length - 1; at > 0; at = stops[at]!.from)
    widths.unshift(width(stops[stops[at]!.from]!.end, stops[at]!.end));
  return widths;
}
