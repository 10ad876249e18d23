import type { Rect } from '../../base/index.js';
import type { Box } from '../box.js';
import type { OutOfFlow } from '../fragment.js';
import type { Flow } from './flow-floats.js';
import { alignmentIn, aligningOf, edgeOf, startEdge, type AxisName, type Edge } from '../used/alignment.js';

const BINDS = { low: 'start', center: 'center', high: 'end' } as const;

/** An absolute child that its insets leave where it would have stood: bound to an edge or the middle of a rectangle. */
export function staticAt(child: Box, rect: Rect, x: Edge, y: Edge): OutOfFlow {
  const at = (from: number, size: number, edge: Edge) =>
    edge === 'low' ? from : edge === 'high' ? from + size : from + size / 2;
  return {
    box: child,
    x: at(rect.x, rect.width, x),
    y: at(rect.y, rect.height, y),
    alignX: BINDS[x],
    alignY: BINDS[y],
    inlineContainer: null,
  };
}

/** Whether an absolute box would have stood in a line. */
export const standsInLine = ({ style }: Box): boolean => /^inline|^ruby$|^math$/.test(style.specifiedDisplay);

/** Where such a box stands on a line of its own, beside floats and as the container aligns text. @spec css2 §10.3.7 */
export function staticInLine(
  child: Box,
  { style: { direction, textAlign } }: Box,
  flow: Flow,
  y: number,
  width: number,
): OutOfFlow {
  const room = flow.floats.gap(flow.y + y, flow.y + y, flow.x, flow.x + width);
  const rect = { x: room.left - flow.x, y, width: room.right - room.left, height: 0 };
  const rtl = direction === 'rtl';
  const start = rtl ? 'high' : 'low';
  const named = /(left|right|center|end)$/.exec(textAlign)?.[1];
  const edge = named === 'left' ? 'low' : named === 'right' ? 'high' : named === 'center' ? 'center' : start;
  const at = staticAt(child, rect, named === 'end' ? (rtl ? 'low' : 'high') : edge, 'low');
  return { ...at, alignX: rtl ? 'end' : 'start' };
}

/** Where a container's alignment puts such a child along one axis of its static-position rectangle. @spec css-position-3 §3.5.2, css-align-3 §4 */
function staticEdge(child: Box, container: Box, axis: AxisName): Edge {
  return edgeOf(alignmentIn(child, container, axis), startEdge(axis, aligningOf(container)));
}

/** Static position of a child of a block container or grid. */
export const alignedIn = (child: Box, container: Box, rect: Rect): OutOfFlow =>
  staticAt(child, rect, staticEdge(child, container, 'inline'), staticEdge(child, container, 'block'));
