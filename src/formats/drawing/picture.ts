import type { Rect } from '../../core/base/index.js';
import { faceIn, usedFontSize, isFormControl, type Box } from '../../core/boxes/index.js';
import type { ComputedStyle } from '../../core/cascade/index.js';
import type { ElementNode, Page, Scene } from '../../core/index.js';
import { canvasGround, readFilter } from '../../core/paint/index.js';
import type { Group, Matrix, Outline, PaintItem, PaintNode } from '../../core/paint/index.js';
import { drawControl, drawNative } from './controls.js';
import type { Definitions } from './definitions.js';
import { roundedPath } from './corners.js';
import { drawCanvas, drawGround, TINT } from './grounds.js';
import { drawMarker } from './markers.js';
import { drawVector } from './vector.js';
import { paint } from './paint.js';
import { drawRun, drawText, type Outlines } from './text.js';
import { group, shape, type Shape } from './xml.js';

/** What a picture is drawn with. */
export interface Brush {
  readonly page: Page;
  readonly outlines: Outlines;
  readonly definitions: Definitions;
}

/**
 * A region of a page as visitors see it, in the page's own coordinates: the paint list drawn in its order.
 * What lies wholly outside the region is left out.
 */
export function drawScene(scene: Scene, region: Rect, brush: Brush): Shape {
  const canvas = scene.canvas;
  const ground = canvasGround(scene.items, scene.paintStyle);
  const stack = new Groups();
  for (const item of scene.items) {
    const { node } = item;
    if (!touches(node, region) || node.box.computed.visibility !== 'visible') continue;
    const shapes = drawItem(item, scene, brush, node.box === ground?.from);
    if (shapes.length === 0) continue;
    stack.put(item.group, placed(node, shapes, brush.definitions));
  }
  const pictures = ground ? drawCanvas(ground, region, brush.definitions) : [];
  return group([shape('rect', { ...region, ...paint('fill', canvas) }), ...pictures, ...stack.finish()]);
}

/** Groups made see-through as a whole, nested as they are painted. */
class Groups {
  readonly #open: { readonly group: Group | null; readonly shapes: Shape[] }[] = [{ group: null, shapes: [] }];

  put(to: Group | null, made: Shape): void {
    const wanted: Group[] = [];
    for (let g = to; g; g = g.parent) wanted.unshift(g);
    while (this.#open.length > 1 && !wanted.includes(this.#open[this.#open.length - 1]!.group!)) this.#close();
    for (const g of wanted) if (!this.#open.some((o) => o.group === g)) this.#open.push({ group: g, shapes: [] });
    this.#open[this.#open.length - 1]!.shapes.push(made);
  }

  #close(): void {
    const done = this.#open.pop()!;
    const { opacity, filter } = done.group!;
    const attributes = {
      ...(opacity < 1 ? { opacity } : {}),
      ...(readFilter(filter) && filter !== 'none' ? { filter } : {}),
    };
    this.#open[this.#open.length - 1]!.shapes.push(group(done.shapes, attributes));
  }

  finish(): readonly Shape[] {
    while (this.#open.length > 1) this.#close();
    return this.#open[0]!.shapes;
  }
}

const OVERHANG = 60;

function touches(node: PaintNode, region: Rect): boolean {
  if (node.matrix) return true;
  const { x, y, width, height } = node.rect;
  return (
    x < region.x + region.width + OVERHANG &&
    x + width > region.x - OVERHANG &&
    y < region.y + region.height + OVERHANG &&
    y + height > region.y - OVERHANG
  );
}

const matrixText = (m: Matrix): string =>
  `matrix(${[m.a, m.b, m.c, m.d, m.e, m.f].map((v) => +v.toFixed(4)).join(' ')})`;

/** Turns what was drawn by the node's transform and cuts it by the clips around it. */
function placed(node: PaintNode, shapes: readonly Shape[], definitions: Definitions): Shape {
  let made = group(shapes, node.matrix ? { transform: matrixText(node.matrix) } : {});
  for (const clip of node.clips.toReversed()) {
    const { rect, outline, matrix } = clip;
    const transform = matrix ? matrixText(matrix) : null;
    const id = definitions.id('c', JSON.stringify([rect, outline, matrix]), (name) =>
      shape('clipPath', { id: name }, [outline ? outlined(outline, transform) : shape('rect', { ...rect, transform })]),
    );
    made = group([made], { 'clip-path': `url(#${id})` });
  }
  return made;
}

function outlined(outline: Outline, transform: string | null): Shape {
  switch (outline.kind) {
    case 'ellipse':
      return shape('ellipse', { cx: outline.x, cy: outline.y, rx: outline.rx, ry: outline.ry, transform });
    case 'polygon':
      return shape('polygon', {
        points: outline.points.map(([x, y]) => `${x},${y}`).join(' '),
        'clip-rule': outline.evenOdd ? 'evenodd' : null,
        transform,
      });
    case 'rounded':
      return shape('path', { d: roundedPath(outline.rect, outline.radii), transform });
  }
}

function drawItem({ node }: PaintItem, scene: Scene, brush: Brush, isCanvas: boolean): Shape[] {
  const { fragment, box, rect } = node;
  if (fragment.kind === 'text') return drawTextNode(node, scene, brush);
  if (fragment.kind !== 'box' || box.anonymous || rect.width <= 0 || rect.height <= 0) return [];
  const style = scene.paintStyle(box);
  const native = box.pseudo === null ? drawNative(box.element, style, rect) : null;
  const ground = native ?? drawGround(style, node, brush.definitions, isCanvas);
  const out = [...ground, ...pictureNames(style, rect, brush)];
  if (box.inner === 'replaced' && box.element) out.push(...drawReplaced(node, style, scene, brush));
  if (box.marker && box.element && node === scene.nodes(box.element)[0]) out.push(...marker(node, style, scene, brush));
  return out;
}

function marker(node: PaintNode, style: ComputedStyle, scene: Scene, brush: Brush): Shape[] {
  const face = faceIn(style, brush.page.metrics);
  const { color } = scene.pseudo(node.box.element!, 'marker') ?? style;
  return drawMarker(node, style, color, face, (text, x, baseline, colour) =>
    drawRun({ text, face, size: style.fontSize, x, baseline, colour }, brush.outlines, brush.definitions),
  );
}

/** File names of background pictures, in the corner of where they show. */
function pictureNames(style: ComputedStyle, rect: Rect, brush: Brush): Shape[] {
  const names = style.backgroundImage.flatMap((image) =>
    image.kind === 'url' && !image.url.startsWith('data:') && !brush.definitions.picture(image.url, rect, style)
      ? [nameOf('', image.url)]
      : [],
  );
  const face = labelFace(brush);
  const text = names.join(', ');
  const width = face.width(text, LABEL, true);
  if (text === '' || width > rect.width - 12 || rect.height < 3 * LABEL) return [];
  const run = {
    text,
    face,
    size: LABEL,
    colour: LABEL_INK,
    x: rect.x + rect.width - width - 6,
    baseline: rect.y + rect.height - 6,
  };
  return [drawRun(run, brush.outlines, brush.definitions)];
}

function drawTextNode(node: PaintNode, scene: Scene, brush: Brush): Shape[] {
  const { fragment, rect, box } = node;
  const style = scene.paintStyle(box);
  if (fragment.text.trim() === '' || style.fontSize < 1) return [];
  const face = faceIn(style, brush.page.metrics);
  const size = usedFontSize(style, face);
  const upright = box.mode === 'horizontal-tb';
  const baseline = fragment.baseline ?? face.ascent(size);
  const at = upright
    ? { x: rect.x, baseline: rect.y + baseline, width: rect.width }
    : { x: 0, baseline: face.ascent(size), width: rect.height };
  const text = drawText(fragment.text, style, face, at, brush.outlines, brush.definitions);
  const lines = decorations(box, scene).map(({ line, colour }) => {
    const thick = Math.max(1, Math.round(size / 14));
    const y =
      line === 'underline'
        ? at.baseline + thick + 0.5
        : line === 'overline'
          ? at.baseline - face.ascent(size)
          : at.baseline - size * 0.3;
    return shape('rect', { x: at.x, y, width: at.width, height: thick, ...paint('fill', colour) });
  });
  const made = [...lines, text];
  if (upright) return made;
  const turned =
    box.mode === 'sideways-lr'
      ? `translate(${rect.x} ${rect.y + rect.height}) rotate(-90)`
      : `translate(${rect.x + rect.width} ${rect.y}) rotate(90)`;
  return [group(made, { transform: turned })];
}

/** Lines drawn on text by it and by what holds it in flow. @spec css-text-decor-3 §2 */
function decorations(box: Box, scene: Scene) {
  const out: { line: string; colour: ComputedStyle['color'] }[] = [];
  for (let at: Box | null = box.parent; at; at = at.parent) {
    if (!at.anonymous) {
      const style = scene.paintStyle(at);
      for (const line of style.textDecorationLine)
        if (line !== 'blink') out.push({ line, colour: style.textDecorationColor });
    }
    if (at.outer === 'atomic' || ['absolute', 'fixed'].includes(at.computed.position) || at.computed.float !== 'none')
      break;
  }
  return out;
}

function drawReplaced(node: PaintNode, style: ComputedStyle, scene: Scene, brush: Brush): Shape[] {
  const element = node.box.element!;
  const { border, padding } = node.fragment;
  const inner: Rect = {
    x: node.rect.x + border.left + padding.left,
    y: node.rect.y + border.top + padding.top,
    width: Math.max(0, node.rect.width - border.left - border.right - padding.left - padding.right),
    height: Math.max(0, node.rect.height - border.top - border.bottom - padding.top - padding.bottom),
  };
  if (element.tag === 'svg') return drawVector(element, inner, scene, brush.definitions);
  const face = faceIn(style, brush.page.metrics);
  if (isFormControl(node.box))
    return drawControl(element, inner, style, (text, x, baseline, colour) =>
      drawRun({ text, face, size: style.fontSize, x, baseline, colour }, brush.outlines, brush.definitions),
    );
  const shown = element.tag === 'img' ? ownPicture(element, inner, style, brush) : null;
  if (shown) return [shown];
  return labelledTint(
    inner,
    nameOf(element.attributes.get('alt') ?? '', element.attributes.get('src') ?? element.tag),
    brush,
  );
}

/** How `object-fit` and SVG say the same. @spec css-images-3 §5.5 */
const FITS: Readonly<Record<string, string>> = {
  cover: 'xMidYMid slice',
  contain: 'xMidYMid meet',
  'scale-down': 'xMidYMid meet',
};

function ownPicture(element: ElementNode, room: Rect, { objectFit }: ComputedStyle, brush: Brush): Shape | null {
  const source = element.attributes.get('src');
  return source ? brush.definitions.picture(source, room, null, FITS[objectFit] ?? 'none') : null;
}

/** What a picture shows is not known: its alternative text or file name stands in. */
const nameOf = (alt: string, source: string): string =>
  alt.trim() || source.startsWith('data:')
    ? alt.trim() || 'picture'
    : source
        .replace(/[?#].*$/, '')
        .split('/')
        .pop()!;

const LABEL = 11;
const LABEL_INK = { r: 60, g: 72, b: 88, a: 1 };
const labelFace = (brush: Brush) => brush.page.metrics.face([{ name: 'sans-serif', generic: true }], 400, false);

function labelledTint(rect: Rect, label: string, brush: Brush): Shape[] {
  const tint = shape('rect', { ...rect, ...TINT });
  const face = labelFace(brush);
  const width = face.width(label, LABEL, true);
  if (width > rect.width - 4 || rect.height < LABEL + 2) return [tint];
  const run = {
    text: label,
    face,
    size: LABEL,
    colour: LABEL_INK,
    x: rect.x + (rect.width - width) / 2,
    baseline: rect.y + rect.height / 2 + 4,
  };
  return [tint, drawRun(run, brush.outlines, brush.definitions)];
}
