import type { Rect } from '../../base/index.js';
import type { Box } from '../box.js';
import type { OutOfFlow } from '../fragment.js';
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

/** Where a container's alignment puts such a child along one axis of its static-position rectangle. @spec css-position-3 §3.5.2, css-align-3 §4 */
function staticEdge(child: Box, container: Box, axis: AxisName): Edge {
  return edgeOf(alignmentIn(child, container, axis), startEdge(axis, aligningOf(container)));
}

/** Static position of a child of a block container or grid. */
export const alignedIn = (child: Box, container: Box, rect: Rect): OutOfFlow =>
  staticAt(child, rect, staticEdge(child, container, 'inline'), staticEdge(child, container, 'block'));
