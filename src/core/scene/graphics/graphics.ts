import { contains, unite, type Rect } from '../../base/index.js';
import { UNDRAWN, type TextMetrics } from '../../boxes/index.js';
import type { ComputedStyle } from '../../cascade/index.js';
import type { ElementNode } from '../../html/index.js';
import {
  apply,
  boundsOf,
  boxMatrix,
  IDENTITY,
  invert,
  isTransformed,
  multiply,
  type Frame,
  type Matrix,
  type Point,
} from '../../paint/index.js';
import { repeatedBy, type GraphicFile, type GraphicFiles } from './files.js';
import { shapeOf, sizeBy } from './outlines.js';
import { distanceFrom, winding, type Shape } from './shape.js';
import { layText } from './text.js';
import { lengthOf, viewportIn, type Viewport } from './viewport.js';

/** What graphics are worked out from. */
export interface Sources extends GraphicFile {
  readonly metrics: TextMetrics;
  readonly files: GraphicFiles;
}

/** Something that can be pressed, in its own user units. */
interface Pressable {
  readonly element: ElementNode;
  readonly style: ComputedStyle;
  readonly matrix: Matrix;
  /** Null where the whole of the bounds counts. */
  readonly shape: Shape | null;
  readonly bounds: Rect;
}

const DEEPEST = 40;

/** Whether an element stands inside an SVG picture, whose outermost element is a box of the page. */
export const isGraphic = (element: ElementNode): boolean =>
  element.namespace === 'svg' && element.parent?.namespace === 'svg';

/**
 * The rectangles of the graphics inside one `svg` element: the bounds of what each fills, without strokes, mapped
 * through viewports and transforms. @spec svg-2 §8.10, cssom-view-1 §6
 */
export class Graphics {
  /** Document px. */
  readonly rects = new Map<ElementNode, Rect>();
  /** Where pictures and what is embedded of HTML stand, in their own units, and how these lie in the document. */
  readonly frames = new Map<ElementNode, Frame>();
  readonly #pressable: Pressable[] = [];
  /** Where what is walked stands: in the page, or in a file that it repeats parts of. */
  #from: GraphicFile;

  constructor(
    private readonly sources: Sources,
    svg: ElementNode,
    content: Rect,
    matrix: Matrix | null,
  ) {
    this.#from = sources;
    const viewport = viewportIn(svg, content);
    const inside = multiply(matrix ?? IDENTITY, viewport.matrix);
    for (const child of svg.elements) this.#walk(child, inside, viewport, null, 0);
  }

  /** The topmost graphic a point of the document presses; null where it meets none. @spec svg-2 §15.6 (pointer-events) */
  hit(x: number, y: number): ElementNode | null {
    return this.#pressable.findLast((one) => isPressed(one, x, y))?.element ?? null;
  }

  /** @param as the `use` element that what it repeats belongs to; gives bounds in the coordinates around the element */
  #walk(element: ElementNode, around: Matrix, port: Viewport, as: ElementNode | null, depth: number): Rect | null {
    const style = this.#from.style(element);
    if (element.namespace !== 'svg' || UNDRAWN.has(element.tag) || depth > DEEPEST) return null;
    if (style.display === 'none') return null;
    const own = isTransformed(style) ? boxMatrix(style, { x: 0, y: 0, width: port.width, height: port.height }) : null;
    const matrix = own ? multiply(around, own) : around;
    const bounds = this.#bounds(element, style, matrix, port, as, depth);
    if (!as) this.rects.set(element, boundsOf(matrix, bounds ?? { x: 0, y: 0, width: 0, height: 0 }));
    return bounds && boundsOf(own, bounds);
  }

  #children(elements: readonly ElementNode[], matrix: Matrix, port: Viewport, as: ElementNode | null, depth: number) {
    let all: Rect | null = null;
    for (const child of elements) {
      const bounds = this.#walk(child, matrix, port, as, depth + 1);
      if (bounds) all = unite(all, bounds);
    }
    return all;
  }

  #bounds(
    element: ElementNode,
    style: ComputedStyle,
    matrix: Matrix,
    port: Viewport,
    as: ElementNode | null,
    depth: number,
  ): Rect | null {
    const press = (bounds: Rect, shape: Shape | null) =>
      this.#pressable.push({ element: as ?? element, style, matrix, shape, bounds });
    const shape = shapeOf(element, style, port);
    if (shape) {
      if (shape.bounds) press(shape.bounds, shape);
      return shape.bounds;
    }
    switch (element.tag) {
      case 'text': {
        const laid = layText(element, { metrics: this.sources.metrics, style: this.#from.style }, matrix, port);
        for (const [part, bounds] of laid.parts) if (!as) this.rects.set(part, boundsOf(matrix, bounds));
        if (laid.bounds) press(laid.bounds, null);
        return laid.bounds;
      }
      case 'image':
      case 'foreignObject': {
        const area = this.#area(element, style, port);
        if (!as) this.frames.set(element, { matrix, area });
        press(area, null);
        return area;
      }
      case 'svg':
        return this.#inViewport(element, this.#area(element, style, port), matrix, as, depth);
      case 'use':
        return this.#used(element, style, matrix, port, as ?? element, depth);
      case 'switch': {
        const first = element.elements.find((e) => !UNDRAWN.has(e.tag) && !e.attributes.has('systemLanguage'));
        return this.#children(first ? [first] : [], matrix, port, as, depth);
      }
      default:
        return this.#children(element.elements, matrix, port, as, depth);
    }
  }

  /** Viewports have the size of their attributes, whatever style asks for, as browsers have it. @spec svg-2 §7.2, §8.2 */
  #area({ attributes, tag }: ElementNode, style: ComputedStyle, { width, height }: Viewport): Rect {
    const isPort = tag === 'svg' || tag === 'symbol';
    const given = (name: 'x' | 'y' | 'width' | 'height', basis: number) =>
      lengthOf(attributes.get(name), basis, style.fontSize);
    const size = (name: 'width' | 'height', basis: number) =>
      (isPort || tag === 'use' ? null : sizeBy(style[name], basis)) ?? given(name, basis) ?? (isPort ? basis : 0);
    return {
      x: given('x', width) ?? 0,
      y: given('y', height) ?? 0,
      width: size('width', width),
      height: size('height', height),
    };
  }

  #inViewport(element: ElementNode, area: Rect, matrix: Matrix, as: ElementNode | null, depth: number): Rect | null {
    const port = viewportIn(element, area);
    const held = this.#children(element.elements, multiply(matrix, port.matrix), port, as, depth);
    return held && boundsOf(port.matrix, held);
  }

  /** What a `use` element repeats, moved to its place. @spec svg-2 §5.5 */
  #used(
    element: ElementNode,
    style: ComputedStyle,
    matrix: Matrix,
    port: Viewport,
    as: ElementNode,
    depth: number,
  ): Rect | null {
    const { attributes } = element;
    const repeated = depth > DEEPEST ? null : repeatedBy(element, this.#from, this.sources.files);
    if (!repeated) return null;
    const { target, from } = repeated;
    const place = {
      ...IDENTITY,
      e: lengthOf(attributes.get('x'), port.width, style.fontSize) ?? 0,
      f: lengthOf(attributes.get('y'), port.height, style.fontSize) ?? 0,
    };
    const moved = multiply(matrix, place);
    const viewed = target.tag === 'symbol' || target.tag === 'svg';
    const size = this.#area(element, style, port);
    const around = this.#from;
    this.#from = from;
    // Sizes of what repeats it come before its own.
    const own = this.#area(target, from.style(target), port);
    const asked = (name: 'width' | 'height') => (attributes.has(name) ? size : own)[name];
    const held = viewed
      ? this.#inViewport(target, { ...own, width: asked('width'), height: asked('height') }, moved, as, depth + 1)
      : this.#walk(target, moved, port, as, depth + 1);
    this.#from = around;
    return held && boundsOf(place, held);
  }
}

function isPressed({ element, style, matrix, shape, bounds }: Pressable, x: number, y: number): boolean {
  const { pointerEvents: mode } = style;
  if (mode === 'none' || (style.visibility !== 'visible' && !/^(all|painted|fill|stroke)$/.test(mode))) return false;
  const back = invert(matrix);
  const point: Point | null = back && apply(back, x, y);
  if (!point) return false;
  if (!shape || mode === 'bounding-box') return contains(bounds, point.x, point.y);
  const whole = mode === 'all';
  const filled = whole || style.fill !== 'none';
  if (filled) {
    const { turns, crossings } = winding(shape, point);
    if (element.attributes.get('fill-rule') === 'evenodd' ? crossings % 2 === 1 : turns !== 0) return true;
  }
  if (!whole && style.stroke === 'none') return false;
  return distanceFrom(shape, point, false) <= (parseFloat(style.strokeWidth) || 0) / 2;
}
