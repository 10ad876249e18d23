import type { Box } from '../box.js';
import { carriedFrom, type Fragment, type Placed } from '../fragment.js';
import { relativeOffset } from '../used/relative.js';
import { containedHeight } from '../used/containment.js';
import { specifiedMargins } from '../used/edges.js';
import { clampHeight, frameHeight, frameWidth } from '../used/sizes.js';
import { containerFragment } from './container-fragment.js';
import { filledHeight, percentBasis, specifiedHeight } from './flow-sizes.js';
import type { Job } from './job.js';

/** Lays out a fieldset: the legend lies over the upper border, which makes room for it. @spec html §15.3.13 */
export function layoutFieldset(job: Job, legend: Box): Fragment {
  const { box, width, frame, margin, space, layout } = job;
  const content = box.children[1]!;
  const inner = Math.max(0, width - frameWidth(frame));
  const title = layout.place(legend, { width: inner, height: NaN, shrink: true });
  const own = specifiedMargins(legend, inner);
  const top = Math.max(frame.border.top, title.height + (own.bottom ?? 0));
  const lowered = { ...frame, border: { ...frame.border, top } };
  const specified = space.fixedHeight ?? specifiedHeight(box, space, frame, width);
  const asked =
    specified === null ? null : Math.max(0, clampHeight(box, specified, space.height, frame) - frameHeight(lowered));
  const basis = percentBasis(box, specified, lowered, space, margin, layout);
  const place = (fixedHeight?: number) =>
    layout.place(content, {
      width: inner,
      height: asked ?? basis,
      fixedWidth: inner,
      ...(fixedHeight === undefined ? {} : { fixedHeight, definite: true }),
    });
  const natural = place();
  // Where its content does not count, the legend does not either.
  const contained = containedHeight(box, layout);
  const automatic = Math.max(
    contained === null ? natural.height + frameHeight(lowered) : contained + frameHeight(frame),
    filledHeight(box, () => margin, space.height, layout),
  );
  const height = Math.max(
    space.fixedHeight ?? clampHeight(box, specified ?? automatic, space.height, frame, () => automatic),
    contained === null ? frameHeight(lowered) : 0,
  );
  const room = Math.max(0, height - frameHeight(lowered));
  const body = room === natural.height ? natural : place(room);
  const x = frame.border.left + frame.padding.left;
  const y = top + frame.padding.top;
  const offset = relativeOffset(legend, inner, basis);
  const above = Math.max(0, (frame.border.top - title.height) / 2);
  const beside = legendOffset(legend, inner - title.width, inner);
  const children: Placed[] = [
    { fragment: title, x: x + beside + offset.x, y: above + offset.y },
    { fragment: body, x, y },
  ];
  const lift = (line: number | null) => (line === null ? null : line + y);
  return containerFragment(
    { ...job, frame: lowered },
    {
      height,
      children,
      baseline: lift(body.baseline),
      lastBaseline: lift(body.lastBaseline),
      outOfFlow: children.flatMap(carriedFrom),
    },
  );
}

/** Where a legend stands in the line over the content: by its margins, or to the side or the middle its text is aligned to. */
function legendOffset(legend: Box, spare: number, basis: number): number {
  const { left, right } = specifiedMargins(legend, basis);
  const free = Math.max(0, spare - (left ?? 0) - (right ?? 0));
  if (left === null || right === null) return left === null ? (right === null ? free / 2 : free) : left;
  const { textAlign } = legend.style;
  const backwards = (legend.parent ?? legend).style.direction === 'rtl';
  if (textAlign === 'center') return left + free / 2;
  return left + (textAlign === 'right' || (textAlign !== 'left' && backwards) ? free : 0);
}
