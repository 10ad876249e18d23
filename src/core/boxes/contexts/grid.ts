import { isInFlow, type Box } from '../box.js';
import type { Edges, Fragment } from '../fragment.js';
import type { Intrinsic, Layout, Space } from '../layout.js';
import type { Frame } from '../used/sizes.js';
import { layoutFlowRoot } from './flow.js';

/**
 * Grid containers are laid out as a column of blocks so far, and the limits say so.
 * @spec css-grid-2 (not built yet)
 */
export function layoutGrid(
  box: Box,
  width: number,
  frame: Frame,
  margin: Edges,
  space: Space,
  layout: Layout,
): Fragment {
  layout.limits.add(
    'unsupported',
    'display: grid',
    'its items are stacked in one column; their places and sizes are uncertain',
    box.element?.startTag ?? null,
  );
  return layoutFlowRoot(box, width, frame, margin, space, layout);
}

export function gridIntrinsic(box: Box, layout: Layout): Intrinsic {
  const sizes = box.children.filter(isInFlow).map((child) => layout.contribution(child));
  return { min: Math.max(0, ...sizes.map((s) => s.min)), max: Math.max(0, ...sizes.map((s) => s.max)) };
}
