import type { Job } from './job.js';
import { hasInlineContent, type Box } from '../box.js';
import { NO_LINES, type Fragment, type LinesReach, type OutOfFlow, type Placed } from '../fragment.js';
import type { Layout } from '../layout.js';
import { containerFragment } from './container-fragment.js';
import { markerWidth } from './marker.js';
import { strutSize, withinEdge, type Strut } from './margins.js';

export interface Content {
  /** Relative to the content box. */
  readonly children: readonly Placed[];
  readonly height: number;
  readonly baseline: number | null;
  readonly lastBaseline: number | null;
  readonly outOfFlow: readonly OutOfFlow[];
  /** Where its own lines end, px. */
  readonly lineEnds?: readonly number[];
  readonly linesReach?: LinesReach;
  /** Margins left over at the end. */
  readonly end: Strut;
  /** Nothing inside has height: the box's own margins may meet. */
  readonly through: boolean;
  /** The margins at the end stay inside: they are those of an empty box that clearance has moved down. */
  readonly keepsEnd?: boolean;
}

/** What the margins left over at the end of a box add to its height, px. */
export const endSize = (box: Box, { end }: Content, layout: Layout): number => strutSize(withinEdge(box, end, layout));

/** The fragment of a block container whose content is laid out. @param shift how far the content is moved down, px */
export function finish(job: Omit<Job, 'space'>, height: number, content: Content, shift = 0): Fragment {
  const { border, padding } = job.frame;
  const dx = border.left + padding.left;
  const dy = border.top + padding.top + shift;
  const children = content.children.map((child): Placed => ({ ...child, x: child.x + dx, y: child.y + dy }));
  const outOfFlow = content.outOfFlow.map((entry): OutOfFlow => ({ ...entry, x: entry.x + dx, y: entry.y + dy }));
  const lift = (line: number | null) => (line === null ? null : line + dy);
  return containerFragment(job, {
    height,
    children,
    baseline: lift(content.baseline),
    lastBaseline: lift(content.lastBaseline),
    outOfFlow,
    ...(content.lineEnds && { lineEnds: content.lineEnds.map((end) => end + dy) }),
    linesReach: besideMarker(job, moved(content.linesReach ?? NO_LINES, dx, dy)),
  });
}

/** A marker to the right of an item reaches out of it: one can scroll to it. @spec css-lists-3 §3.1, css-overflow-3 §2.2 */
function besideMarker({ box, width, frame, layout }: Omit<Job, 'space'>, reach: LinesReach): LinesReach {
  if (!box.marker || box.style.direction !== 'rtl') return reach;
  const edge = hasInlineContent(box) ? width - frame.border.right - frame.padding.right : width;
  return { ...reach, right: Math.max(reach.right, edge + markerWidth(box.marker, layout)) };
}

const moved = ({ right, bottom }: LinesReach, dx: number, dy: number): LinesReach => ({
  right: right + dx,
  bottom: bottom + dy,
});
