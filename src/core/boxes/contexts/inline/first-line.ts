import type { Box } from '../../box.js';
import type { Layout } from '../../layout.js';
import { paragraphOf, type Paragraph } from './items.js';
import { takeLine } from './lines.js';
import { piecesOf } from './pieces.js';
import type { Piece } from './cut-text.js';

const firstLines = new WeakMap<Box, { readonly container: Box; readonly paragraph: Paragraph }>();

/** Properties text of the first line takes from it where it has them from the container itself. @spec css-pseudo-4 §2.1.2 */
const FROM_FIRST_LINE = [
  'fontFamily',
  'fontSize',
  'fontWeight',
  'fontStyle',
  'lineHeight',
  'letterSpacing',
  'wordSpacing',
] as const;

export function inFirstLine(container: Box): Box {
  return firstLines.get(container)?.container ?? container;
}

/** The first line in its own style; null where it has none, or where a word has to be cut. */
export function firstLineOf(
  container: Box,
  pieces: readonly Piece[],
  from: number,
  room: number,
  width: number,
  atomicWidth: (box: Box) => number,
  layout: Layout,
): ReturnType<typeof takeLine> | null {
  const { firstLine: style } = container;
  if (!style) return null;
  let known = firstLines.get(container);
  if (!known) {
    const paragraph = paragraphOf(container, layout);
    const items = paragraph.items.map((item) =>
      item.kind === 'text' ? { ...item, box: textInFirstLine(item.box, container, style) } : item,
    );
    known = { container: { ...container, style }, paragraph: { ...paragraph, items, rigid: false } };
    firstLines.set(container, known);
  }
  const own = piecesOf(known.paragraph, width, layout, atomicWidth);
  if (own.length !== pieces.length) return null;
  const taken = takeLine(own, from, room, layout);
  return taken.pieces === own ? taken : null;
}

const textInFirstLine = (box: Box, container: Box, line: Box['style']): Box => ({
  ...box,
  style: styleInFirstLine(box, container, line),
});

export function styleInFirstLine({ style }: Box, container: Box, line: Box['style']): Box['style'] {
  const taken = FROM_FIRST_LINE.filter((key) => style[key] === container.style[key]);
  return Object.create(style, Object.fromEntries(taken.map((key) => [key, { value: line[key] }]))) as Box['style'];
}
