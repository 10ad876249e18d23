import type { Rect } from '../../core/base/index.js';
import { SourceText } from '../../core/base/index.js';
import { parseHtml } from '../../core/html/index.js';
import { repeatedBy, type ElementNode, type Scene } from '../../core/index.js';
import type { Definitions } from './definitions.js';
import { paint } from './paint.js';
import { shape, type Shape } from './xml.js';

/** The shapes and attributes a drawing inside a page may pass on: outlines and paint, nothing that runs or loads. */
const SHAPES = new Set(['g', 'path', 'rect', 'circle', 'ellipse', 'line', 'polyline', 'polygon', 'svg']);
const KEPT =
  /^(d|x|y|x1|y1|x2|y2|cx|cy|r|rx|ry|width|height|points|transform|viewBox|preserveAspectRatio|fill-rule|clip-rule|stroke-width|stroke-linecap|stroke-linejoin|stroke-dasharray|stroke-miterlimit|opacity|fill-opacity|stroke-opacity)$/;
const SAFE = /^[\w\s.,+\-%()#]*$/;

/** An inline SVG, rebuilt from its shapes inside the room it has. */
export function drawVector(element: ElementNode, room: Rect, scene: Scene, definitions: Definitions): Shape[] {
  const made = rebuild(element, scene.graphics, definitions);
  if (!made || room.width <= 0 || room.height <= 0) return [];
  const { width, height } = element.attributes.has('viewBox')
    ? { width: null, height: null }
    : {
        width: Number.parseFloat(element.attributes.get('width') ?? ''),
        height: Number.parseFloat(element.attributes.get('height') ?? ''),
      };
  const view = element.attributes.get('viewBox') ?? (width && height ? `0 0 ${width} ${height}` : null);
  return [shape('svg', { ...made.attributes, ...room, viewBox: view }, made.children)];
}

/** A drawing inside an address (`data:image/svg+xml,…`), rebuilt the same way; null where there is none to read. */
export function drawAddress(url: string, room: Rect): Shape | null {
  const match = /^data:image\/svg\+xml[^,]*?(;base64)?,([^]*)$/i.exec(url);
  if (!match || room.width <= 0 || room.height <= 0) return null;
  try {
    const text = match[1] ? Buffer.from(match[2]!, 'base64').toString('utf8') : decodeURIComponent(match[2]!);
    const { elements } = parseHtml(new SourceText('drawing', text), { scripting: false });
    const root = elements.find((element) => element.tag === 'svg');
    const made = root ? bare(root) : null;
    return made ? shape('svg', { ...made.attributes, ...room }, made.children) : null;
  } catch {
    return null;
  }
}

/** Shapes by their own attributes alone. */
function bare(element: ElementNode): Shape | null {
  if (!SHAPES.has(element.tag)) return null;
  const attributes: Record<string, string> = {};
  for (const [name, value] of element.attributes)
    if ((KEPT.test(name) || name === 'fill' || name === 'stroke') && SAFE.test(value) && !/url/i.test(value))
      attributes[name] = value;
  return shape(
    element.tag,
    attributes,
    element.elements.flatMap((child) => bare(child) ?? []),
  );
}

/** Copies of copies are followed this far. */
const DEEPEST = 8;

/** What a `use` copies, from the page or from a file of graphics. @spec svg2 §5.6 */
function copied(element: ElementNode, from: Sources, definitions: Definitions, depth: number): Shape | null {
  const repeated = depth > DEEPEST ? null : repeatedBy(element, from, from.files);
  if (!repeated) return null;
  const { target } = repeated;
  const inside: Sources = {
    ...repeated.from,
    files: from.files,
    host: { ...paintOf(element, from), around: target.parent ? repeated.from.style(target.parent) : null },
  };
  const length = (name: string) => Number.parseFloat(element.attributes.get(name) ?? '') || 0;
  const move = { transform: `translate(${length('x')} ${length('y')})` };
  if (target.tag !== 'symbol') {
    const made = rebuild(target, inside, definitions, depth + 1);
    return made && shape('g', move, [made]);
  }
  const size = (name: string) => element.attributes.get(name) ?? '100%';
  const style = paintOf(element, from);
  const children = target.elements.flatMap((child) => rebuild(child, inside, definitions, depth + 1) ?? []);
  const inherited = { ...painted('fill', style.fill, style), ...painted('stroke', style.stroke, style) };
  const view = target.attributes.get('viewBox') ?? null;
  const room = {
    width: SAFE.test(size('width')) ? size('width') : '100%',
    height: SAFE.test(size('height')) ? size('height') : '100%',
  };
  return shape('g', { ...move, ...inherited }, [
    shape('svg', { ...room, viewBox: view !== null && SAFE.test(view) ? view : null }, children),
  ]);
}

type Style = Pick<ReturnType<Scene['style']>, 'fill' | 'stroke' | 'color'>;

/** What shapes are read from, and the paint of the element which repeats them, beside that around where they stand. */
type Sources = Scene['graphics'] & { readonly host?: Style & { readonly around: Style | null } };

/** The paint of a shape: what it does not have of its own is that of the element which repeats it. @spec svg2 §5.6 */
function paintOf(element: ElementNode, { style, host }: Sources): Style {
  const { fill, stroke, color } = style(element);
  if (!host) return { fill, stroke, color };
  const inherits = (name: 'fill' | 'stroke', own: string) =>
    own === host.around?.[name] && !element.attributes.has(name);
  return {
    fill: inherits('fill', fill) ? host.fill : fill,
    stroke: inherits('stroke', stroke) ? host.stroke : stroke,
    color: host.color,
  };
}

function rebuild(element: ElementNode, from: Sources, definitions: Definitions, depth = 0): Shape | null {
  if (element.tag === 'use') return copied(element, from, definitions, depth);
  if (!SHAPES.has(element.tag) || from.style(element).display === 'none') return null;
  const style = paintOf(element, from);
  const attributes: Record<string, string | number | null> = {};
  for (const [name, value] of element.attributes) if (KEPT.test(name) && SAFE.test(value)) attributes[name] = value;
  Object.assign(attributes, painted('fill', style.fill, style), painted('stroke', style.stroke, style));
  const children = element.elements.flatMap((child) => rebuild(child, from, definitions, depth) ?? []);
  return shape(element.tag, attributes, children);
}

/** Colours pass; anything a drawing would have to look up is drawn as its own text colour. */
function painted(name: 'fill' | 'stroke', value: string, style: Style): Record<string, string | number> {
  if (value === 'none') return { [name]: 'none' };
  if (/^currentcolor$/i.test(value)) return paint(name, style.color);
  return SAFE.test(value) && !/url/i.test(value) ? { [name]: value } : paint(name, style.color);
}
