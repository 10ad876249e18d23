import { hasPercent, resolveLength, type Sizing } from '../../css/index.js';
import type { ComputedStyle } from '../../cascade/index.js';
import type { ElementNode } from '../../html/index.js';
import { ellipse, path, polygon, rectangle, type Shape } from './shape.js';
import { lengthOf, numbersIn, type Viewport } from './viewport.js';

/** Used length of a sizing property in user units; null where it is automatic. */
export function sizeBy(value: Sizing, basis: number): number | null {
  if (typeof value === 'string' || 'fit' in value) return null;
  return hasPercent(value) ? resolveLength(value, basis) : value.px;
}

/** What a basic shape draws, in its own user units; null of elements that are no shapes. @spec svg-2 §9, §10 */
export function shapeOf(element: ElementNode, style: ComputedStyle, { width, height }: Viewport): Shape | null {
  const { attributes, tag } = element;
  const diagonal = Math.hypot(width, height) / Math.SQRT2;
  const x = (name: string) => lengthOf(attributes.get(name), width, style.fontSize) ?? 0;
  const y = (name: string) => lengthOf(attributes.get(name), height, style.fontSize) ?? 0;
  const length = (name: string, basis: number) => lengthOf(attributes.get(name), basis, style.fontSize);
  switch (tag) {
    case 'rect': {
      const size = { width: sizeBy(style.width, width) ?? 0, height: sizeBy(style.height, height) ?? 0 };
      const drawn = size.width > 0 && size.height > 0;
      return drawn ? rectangle({ x: x('x'), y: y('y'), ...size }) : { parts: [], bounds: null };
    }
    case 'circle':
      return ellipse(x('cx'), y('cy'), length('r', diagonal) ?? 0, length('r', diagonal) ?? 0);
    case 'ellipse': {
      const [rx, ry] = [length('rx', width), length('ry', height)];
      return ellipse(x('cx'), y('cy'), rx ?? ry ?? 0, ry ?? rx ?? 0);
    }
    case 'line':
      return polygon([
        { x: x('x1'), y: y('y1') },
        { x: x('x2'), y: y('y2') },
      ]);
    case 'polyline':
    case 'polygon': {
      const n = numbersIn(attributes.get('points') ?? '');
      return polygon(Array.from({ length: n.length >> 1 }, (_, i) => ({ x: n[2 * i]!, y: n[2 * i + 1]! })));
    }
    case 'path':
      return path(attributes.get('d') ?? '');
    default:
      return null;
  }
}
