import type { Box } from '../../box.js';
import type { Layout } from '../../layout.js';
import { wraps } from '../../text/index.js';
import { takeLine, unitEnd, widthOf } from './lines.js';
import type { Piece } from './pieces.js';

/** Browsers leave longer paragraphs as they are. */
const MOST_LINES = 6;
const FITS = 1 / 64;

/** Where a line may end, and the best way there. */
interface Stop {
  readonly end: number;
  score: number;
  from: number;
  lines: number;
}

/**
 * Widths of the lines of a block's first paragraph where they are to come out alike, px: the breaks leave the least sum
 * of the squares of what the lines lack. Empty where lines are not balanced.
 * @param room width of its lines, px
 * @spec css-text-4 §6.2 (text-wrap-style: balance)
 */
export function balancedWidths(
  { style, firstLine }: Box,
  pieces: readonly Piece[],
  room: number,
  indent: number,
  layout: Layout,
): readonly number[] {
  if (style.textWrapStyle !== 'balance' || !wraps(style) || firstLine) return [];
  const last = pieces.findIndex(({ forced }) => forced);
  const paragraph = last < 0 ? pieces : pieces.slice(0, last + 1);
  if (paragraph.some(({ kind }) => kind === 'block' || kind === 'float')) return [];
  const lines = linesOf(paragraph, room, indent, layout);
  return lines < 2 || lines > MOST_LINES ? [] : evenly(paragraph, room, indent);
}

/** Lines a paragraph takes; counted no further than told from too many. */
function linesOf(all: readonly Piece[], room: number, indent: number, layout: Layout): number {
  let pieces = all;
  let count = 0;
  for (let from = 0; from < pieces.length && count <= MOST_LINES;) {
    const taken = takeLine(pieces, from, room - (count === 0 ? indent : 0), layout);
    // A word that is cut or stands out leaves nothing to choose.
    if (taken.pieces !== pieces || taken.line.width > room + FITS) return 0;
    from = Math.max(taken.next, from + 1);
    if (taken.line.visible) count++;
  }
  return count;
}

function evenly(pieces: readonly Piece[], room: number, indent: number): readonly number[] {
  const stops: Stop[] = [{ end: 0, score: 0, from: 0, lines: 0 }];
  const width = (from: number, to: number) => widthOf(pieces, from, to).held;
  let active = 0;
  for (let end = unitEnd(pieces, 0); ; end = unitEnd(pieces, end)) {
    const stop: Stop = { end, score: Infinity, from: -1, lines: 0 };
    for (let i = active; i < stops.length; i++) {
      const start = stops[i]!;
      const spare = room - (start.lines === 0 ? indent : 0) - width(start.end, end);
      if (spare < -FITS) {
        active = i + 1;
        continue;
      }
      const score = start.score + spare * spare;
      if (score <= stop.score) Object.assign(stop, { score, from: i, lines: start.lines + 1 });
    }
    if (stop.from < 0) return [];
    stops.push(stop);
    if (end >= pieces.length) break;
  }
  const widths: number[] = [];
  for (let at = stops.length - 1; at > 0; at = stops[at]!.from)
    widths.unshift(width(stops[stops[at]!.from]!.end, stops[at]!.end));
  return widths;
}
