import type { Rect } from '../../core/base/index.js';
import type { Gradient } from '../../core/css/index.js';
import {
  gradientColour,
  gradientEllipse,
  gradientLine,
  mix,
  placedStops,
  type PlacedStop,
} from '../../core/paint/index.js';
import type { Definitions } from './definitions.js';
import { paint } from './paint.js';
import { group, shape, type Shape } from './xml.js';

/** Draws a gradient over the rectangle it is sized for. */
export function drawGradient(gradient: Gradient, rect: Rect, definitions: Definitions): Shape {
  if (gradient.shape === 'conic') return fan(gradient, rect, definitions);
  const key = JSON.stringify([gradient, rect]);
  const fill = `url(#${definitions.id('f', key, (id) => (gradient.shape === 'linear' ? linear(id, gradient, rect) : radial(id, gradient, rect)))})`;
  return shape('rect', { ...rect, fill });
}

/** Stops as shares of the span between the first and the last, which the drawing's gradient runs over. */
function stopsOver(gradient: Gradient, length: number): { stops: Shape[]; from: number; to: number } {
  const placed = placedStops(gradient, length);
  const from = gradient.repeating ? placed[0]!.at : Math.min(0, placed[0]!.at);
  const last = placed[placed.length - 1]!.at;
  const to = Math.max(gradient.repeating ? last : Math.max(length, last), from + 0.01);
  const stops = placed
    .flatMap(withSteps)
    .map(({ at, colour }) =>
      shape('stop', { offset: String(Math.round(((at - from) / (to - from)) * 1e4) / 1e4), ...paint('stop', colour) }),
    );
  return { stops, from, to };
}

const STEPS = 8;

/** Drawings mix see-through colours another way than pages: steps in between keep them close. */
function withSteps(stop: PlacedStop, i: number, all: readonly PlacedStop[]): readonly PlacedStop[] {
  const next = all[i + 1];
  if (!next || next.colour.a === stop.colour.a) return [stop];
  return Array.from({ length: STEPS }, (_, n) => ({
    at: stop.at + ((next.at - stop.at) * n) / STEPS,
    colour: mix(stop.colour, next.colour, n / STEPS),
  }));
}

const spread = ({ repeating }: Gradient): string | null => (repeating ? 'repeat' : null);

function linear(id: string, gradient: Gradient, rect: Rect): Shape {
  const { from, to, length } = gradientLine(gradient, rect);
  const over = stopsOver(gradient, length);
  const point = (at: number, axis: 0 | 1) => from[axis] + ((to[axis] - from[axis]) * at) / (length || 1);
  return shape(
    'linearGradient',
    {
      id,
      gradientUnits: 'userSpaceOnUse',
      x1: point(over.from, 0),
      y1: point(over.from, 1),
      x2: point(over.to, 0),
      y2: point(over.to, 1),
      spreadMethod: spread(gradient),
    },
    over.stops,
  );
}

function radial(id: string, gradient: Gradient, rect: Rect): Shape {
  const { x, y, rx, ry } = gradientEllipse(gradient, rect);
  const over = stopsOver(gradient, rx);
  return shape(
    'radialGradient',
    {
      id,
      gradientUnits: 'userSpaceOnUse',
      cx: 0,
      cy: 0,
      r: over.to,
      gradientTransform: `translate(${x} ${y}) scale(1 ${rx > 0 ? ry / rx : 1})`,
      spreadMethod: spread(gradient),
    },
    over.stops,
  );
}

const WEDGES = 180;

/** Drawings know no conic gradients: narrow wedges, each in the colour of its middle. */
function fan(gradient: Gradient, rect: Rect, definitions: Definitions): Shape {
  const { x, y } = gradientEllipse(gradient, rect);
  const reach = 2 * Math.hypot(rect.width, rect.height);
  const point = (turn: number) => `${x + reach * Math.sin(turn)} ${y - reach * Math.cos(turn)}`;
  const wedges = Array.from({ length: WEDGES }, (_, i) => {
    const [from, to] = [(i / WEDGES) * 2 * Math.PI, ((i + 1.1) / WEDGES) * 2 * Math.PI];
    const middle = ((i + 0.5) / WEDGES) * 2 * Math.PI;
    const colour = gradientColour(gradient, rect, x + Math.sin(middle), y - Math.cos(middle));
    return shape('path', { d: `M${x} ${y}L${point(from)}L${point(to)}Z`, ...paint('fill', colour!) });
  });
  const id = definitions.id('c', JSON.stringify(rect), (name) =>
    shape('clipPath', { id: name }, [shape('rect', { ...rect })]),
  );
  return group(wedges, { 'clip-path': `url(#${id})`, 'shape-rendering': 'crispEdges' });
}
