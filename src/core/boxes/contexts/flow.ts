import type { Job } from './job.js';
import type { Box } from '../box.js';
import type { Fragment, Placed } from '../fragment.js';
import type { Layout } from '../layout.js';
import type { Moving } from '../memory.js';
import { containedHeight } from '../used/containment.js';
import { clampHeight, frameHeight, frameWidth } from '../used/sizes.js';
import { distribute } from './distribute.js';
import { Floats } from './floats.js';
import { lineHeightOf } from './inline/extents.js';
import {
  dependsOnHeight,
  heightByRatio,
  leastByRatio,
  limitedHeight,
  specifiedHeight,
  percentBasis,
  filledHeight,
} from './flow-sizes.js';
import { layoutColumns } from './columns/container.js';
import { isMulticol } from './columns/count.js';
import { layoutContent } from './block-run.js';
import { type Content, endSize, finish } from './content.js';
import { clamped } from './line-clamp.js';
import { scrolledBy } from './list-box.js';
import { besideNoLine } from './marker.js';
import { NO_TRIM, noteUntrimmed, trimOf } from './text-box.js';

/**
 * Lays out a block container that is a formatting context of its own.
 * @spec css2 §9.4.1, §10.3.3, §10.6
 */
export function layoutFlowRoot(job: Job): Fragment {
  const { box, width, frame, margin, space, layout } = job;
  const contentWidth = Math.max(0, width - frameWidth(frame));
  const specified = space.fixedHeight ?? specifiedHeight(box, space, frame, width);
  const basis = percentBasis(box, specified, frame, space, margin, layout);
  const { content: whole, floatsBottom } = isMulticol(box)
    ? columnContent(job, contentWidth, basis, specified)
    : rootContent(box, contentWidth, basis, layout);
  const content = clamped(box, whole, mostOf(job, specified), layout);
  // A list box keeps its rows.
  const contained = containedHeight(box, layout, () => box.rows * emptyRow(box, layout));
  const natural =
    contained ??
    Math.max(
      rowsHeight(box, content, layout) ?? content.height + endSize(box, content, layout),
      floatsBottom,
      besideNoLine(box, content, layout),
      0,
    );
  const automatic = Math.max(
    natural + frameHeight(frame),
    filledHeight(box, () => margin, space.height, layout),
  );
  const byRatio = space.fixedHeight === undefined ? heightByRatio(box, specified) : null;
  const least = leastByRatio(box, space, frame, automatic, byRatio);
  const clamp = (value: number) =>
    Math.max(
      least,
      limitedHeight(job, value, () => byRatio ?? automatic),
    );
  const height = space.byContent === 'height' ? clamp(automatic) : (space.fixedHeight ?? clamp(specified ?? automatic));
  const shift = box.centred ? Math.max(0, (height - automatic) / 2) : alignedBy(box, height - automatic);
  return finish(job, height, content, shift - scrolledBy(box, content.children, height, frame));
}

/** How far the content of a block is moved to stand where align-content asks, px. @spec css-align-3 §5.1.1 */
function alignedBy({ anonymous, outer, style: { alignContent } }: Box, spare: number): number {
  if (anonymous || outer === 'table-part' || alignContent === 'normal') return 0;
  return spare < 0 && !alignContent.startsWith('unsafe') ? 0 : distribute(alignContent, spare, 1).offset;
}

/** Height of a list box: its rows are as tall as the tallest; null for other boxes. */
function rowsHeight(box: Box, { children }: Content, layout: Layout): number | null {
  const { rows } = box;
  if (rows === 0) return null;
  const tallest = (list: readonly Placed[]): number =>
    list.reduce((most, { fragment }) => {
      const group = fragment.box.element?.tag === 'optgroup';
      return Math.max(most, group ? tallest(fragment.children) : fragment.height);
    }, 0);
  return rows * (children.length > 0 ? tallest(children) : emptyRow(box, layout));
}

const emptyRow = ({ style }: Box, layout: Layout): number =>
  Math.max(1.2 * style.fontSize, lineHeightOf(style, layout));

/** Content in columns, which may be no higher than the container. */
function columnContent(job: Job, width: number, basis: number, specified: number | null) {
  const { box, layout } = job;
  if (box.style.textBoxTrim !== 'none') noteUntrimmed(box, 'lines in columns are not trimmed', layout);
  return { content: layoutColumns(box, { width, basis, height: mostOf(job, specified) }, layout), floatsBottom: 0 };
}

/** How high its content may be at most, px. */
const mostOf = ({ box, frame, space }: Job, specified: number | null): number =>
  Math.max(0, clampHeight(box, specified ?? Infinity, space.height, frame) - frameHeight(frame));

interface RootContent {
  readonly content: Content;
  readonly floatsBottom: number;
}

/** What lies inside a formatting context depends on its width, and on its height only where percentages refer to it. */
function rootContent(box: Box, width: number, basis: number, layout: Layout): RootContent {
  const key = dependsOnHeight(box) ? `${width}/${basis}` : String(width);
  return layout.recall(
    box,
    key,
    () => {
      const floats = new Floats();
      const content = layoutContent(
        box,
        { width, basis, flow: { floats, x: 0, y: 0 }, absorbs: false, trim: trimOf(box, NO_TRIM) },
        layout,
      );
      return { content, floatsBottom: floats.bottom };
    },
    movedRoot,
  );
}

const movedRoot = ({ content, floatsBottom }: RootContent, moving: Moving): RootContent | null => {
  const children = moving.placed(content.children);
  const outOfFlow = moving.outOfFlow(content.outOfFlow);
  return children && outOfFlow && { content: { ...content, children, outOfFlow }, floatsBottom };
};
