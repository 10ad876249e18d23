import { unite, type Rect } from '../../base/index.js';
import { faceIn, usedFontSize } from '../../boxes/index.js';
import type { ElementNode } from '../../html/index.js';
import type { Matrix } from '../../paint/index.js';
import type { Sources } from './graphics.js';
import { lengthOf, type Viewport } from './viewport.js';

/** Where the cells of a text and of its parts lie, user units. */
export interface LaidText {
  readonly bounds: Rect | null;
  readonly parts: ReadonlyMap<ElementNode, Rect>;
}

interface Cell {
  readonly owners: readonly ElementNode[];
  readonly rect: Rect;
  /** A new chunk begins here: it is anchored by itself. */
  readonly starts: boolean;
}

/** The first length of a list. */
const first = (list: string | undefined, basis: number, fontSize: number): number | null =>
  lengthOf(list?.trim().split(/[\s,]+/)[0], basis, fontSize);

/** How far the baseline a text stands on lies below that of its letters, user units. @spec css-inline-3 §4.1, svg-2 §11.10.2 */
function loweredBy(name: string, ascent: number, descent: number, xHeight: number): number {
  switch (name) {
    case 'central':
      return (ascent - descent) / 2;
    case 'middle':
      return xHeight / 2;
    case 'hanging':
      return ascent * 0.8;
    case 'mathematical':
      return ascent / 2;
    case 'text-before-edge':
    case 'text-top':
    case 'before-edge':
      return ascent;
    case 'ideographic':
    case 'text-after-edge':
    case 'text-bottom':
    case 'after-edge':
      return -descent;
    default:
      return 0;
  }
}

/**
 * Sets a text in one line; fonts are measured at the size they show at, as browsers do.
 * @spec svg-2 §11.4 (text layout, the part that has one position a run)
 */
export function layText(
  text: ElementNode,
  { metrics, style: styleOf }: Pick<Sources, 'metrics' | 'style'>,
  matrix: Matrix,
  port: Viewport,
): LaidText {
  const scale = Math.sqrt(Math.abs(matrix.a * matrix.d - matrix.b * matrix.c)) || 1;
  const cells: Cell[] = [];
  let [x, y] = [0, 0];
  let collapsed = true;
  const visit = (element: ElementNode, owners: readonly ElementNode[]) => {
    const style = styleOf(element);
    if (style.display === 'none') return;
    const along = (name: string) => first(element.attributes.get(name), port.width, style.fontSize);
    const down = (name: string) => first(element.attributes.get(name), port.height, style.fontSize);
    const moves = along('x') !== null || down('y') !== null;
    x = (along('x') ?? x) + (along('dx') ?? 0);
    y = (down('y') ?? y) + (down('dy') ?? 0);
    const face = faceIn(style, metrics);
    const size = usedFontSize(style, face) * scale;
    const [ascent, descent] = [face.ascent(size) / scale, face.descent(size) / scale];
    const { alignmentBaseline, dominantBaseline } = style;
    const stands = alignmentBaseline === 'auto' ? dominantBaseline : alignmentBaseline;
    const top = y - ascent + loweredBy(stands, ascent, descent, face.xHeight(size) / scale);
    let starts = moves;
    for (const child of element.children) {
      if (child.kind === 'element') {
        if (/^(tspan|textPath|a)$/.test(child.tag)) visit(child, [...owners, child]);
        continue;
      }
      let shown = child.data.replace(/\s+/g, ' ');
      if (collapsed) shown = shown.trimStart();
      if (shown === '') continue;
      collapsed = shown.endsWith(' ');
      const width = face.width(shown, size, true) / scale;
      cells.push({ owners, rect: { x, y: top, width, height: ascent + descent }, starts });
      starts = false;
      x += width;
    }
  };
  visit(text, [text]);
  return gather(anchored(cells, styleOf(text).textAnchor), text);
}

/** Moves each chunk so that its middle or end lies where it begins. @spec svg-2 §11.10.1 */
function anchored(cells: readonly Cell[], anchor: string): readonly Cell[] {
  if (anchor !== 'middle' && anchor !== 'end') return cells;
  const chunks: Cell[][] = [];
  for (const cell of cells)
    if (cell.starts || chunks.length === 0) chunks.push([cell]);
    else chunks[chunks.length - 1]!.push(cell);
  return chunks.flatMap((chunk) => {
    const width = chunk.reduce((sum, { rect }) => sum + rect.width, 0);
    const by = anchor === 'middle' ? width / 2 : width;
    return chunk.map((cell) => ({ ...cell, rect: { ...cell.rect, x: cell.rect.x - by } }));
  });
}

function gather(cells: readonly Cell[], text: ElementNode): LaidText {
  const parts = new Map<ElementNode, Rect>();
  for (const { owners, rect } of cells)
    for (const owner of owners) parts.set(owner, unite(parts.get(owner) ?? null, rect));
  const bounds = parts.get(text) ?? null;
  parts.delete(text);
  return { bounds, parts };
}
