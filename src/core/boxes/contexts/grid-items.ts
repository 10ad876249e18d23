import { hasPercent, isLengthPercentage } from '../../css/index.js';
import { isFormControl, type Box } from '../box.js';
import { horizontal, vertical, type Fragment } from '../fragment.js';
import type { Layout, Space, Subgrid } from '../layout.js';
import {
  alignmentIn,
  aligningOf,
  edgeOf,
  offsetTo,
  startEdge,
  type Alignment,
  type AxisName,
} from '../used/alignment.js';
import { specifiedMargins, usedMargins } from '../used/edges.js';
import { acrossRatio, clampHeight, clampWidth, heightFor, isByContent, preferredRatio } from '../used/sizes.js';
import { frameOf } from './flow-sizes.js';

interface InArea {
  readonly fragment: Fragment;
  /** Of the border box from the area's corner, px. */
  readonly x: number;
  readonly y: number;
}

/** Pictures keep their size where nothing else is asked; form controls fill their area. @spec css-grid-2 §6.2 */
const keepsSize = (box: Box): boolean => box.inner === 'replaced' && !isFormControl(box);

const hasRatio = ({ anonymous, style }: Box): boolean => !anonymous && style.aspectRatio.ratio !== null;

/** Whether the height of an item is known before its width: that follows from it through a ratio. */
const hasHeight = (box: Box, { to }: Alignment, area: number): boolean =>
  box.style.height === 'auto'
    ? to === 'stretch' && !Number.isNaN(area)
    : heightFor(box, box.style.height, area, frameOf(box, 0)) !== null;

const fills = ({ to }: Alignment, keeps: boolean): boolean => to === 'stretch' || (to === 'normal' && !keeps);

/**
 * Border-box height of an item that fills its area; undefined where it does not: one with a ratio fills one axis, the
 * other where it is aligned along the first and has no size there.
 * @spec css-grid-2 §6.2
 */
export function heightInArea(
  box: Box,
  width: number,
  height: number,
  container: Box,
  layout: Layout,
): number | undefined {
  const justify = alignmentIn(box, container, 'inline');
  const aside =
    box.inner !== 'replaced' && box.style.width === 'auto' && justify.to !== 'normal' && justify.to !== 'stretch';
  const keeps = hasRatio(box) && !aside && alignmentIn(box, container, 'block').to !== 'stretch';
  return keeps ? undefined : heightForRatio(box, width, height, container, layout);
}

/** Whether the width an item asks for follows from the height of its row, through its ratio. */
export const widensByHeight = (box: Box): boolean =>
  hasRatio(box) && box.inner !== 'replaced' && box.style.height === 'auto' && !isLength(box.style.width);

const isLength = (width: Box['style']['width']): boolean => isLengthPercentage(width) && !hasPercent(width);

/** The height from which an item with a ratio tells how wide its content is: that of its area, where it may fill it. */
export function heightForRatio(
  box: Box,
  width: number,
  height: number,
  container: Box,
  layout: Layout,
): number | undefined {
  const automatic = box.anonymous || box.style.height === 'auto';
  const { top, bottom } = specifiedMargins(box, width);
  const whole = fills(alignmentIn(box, container, 'block'), keepsSize(box));
  if (!automatic || Number.isNaN(height) || !whole || top === null || bottom === null) return undefined;
  const natural = () => layout.place(box, { width, height: NaN, shrink: true, byContent: 'height' }).height;
  return clampHeight(box, Math.max(0, height - top - bottom), height, frameOf(box, width), natural);
}

/**
 * Lays an item out in an area; a height of NaN leaves it to the content.
 * @param subgrid the tracks it takes from its grid: it fills them
 */
export function placeInArea(
  box: Box,
  width: number,
  height: number,
  container: Box,
  layout: Layout,
  subgrid?: Subgrid,
): InArea {
  const justify = alignmentIn(box, container, 'inline');
  const align = alignmentIn(box, container, 'block');
  const margins = specifiedMargins(box, width);
  const used = usedMargins(box, width);
  const fillsX =
    (box.anonymous || box.style.width === 'auto') &&
    fills(justify, keepsSize(box) || (hasRatio(box) && hasHeight(box, align, height))) &&
    margins.left !== null &&
    margins.right !== null;
  const given = (axis: keyof Subgrid, size: number) => (subgrid?.[axis] && !Number.isNaN(size) ? size : undefined);
  const takenWidth = given('columns', Math.max(0, width - horizontal(used)));
  const fixedHeight =
    given('rows', Math.max(0, height - vertical(used))) ?? heightInArea(box, width, height, container, layout);
  const byContent = fixedHeight === undefined ? widthByRatio(box, width, height, container, layout) : undefined;
  const filled = () =>
    clampWidth(box, Math.max(0, width - horizontal(used)), width, width, frameOf(box, width), () =>
      layout.intrinsic(box),
    );
  const fixedWidth = takenWidth ?? byContent ?? (fillsX ? filled() : undefined);
  const space: Space = {
    width,
    height,
    shrink: true,
    ...(subgrid ? { subgrid } : {}),
    ...(fixedWidth === undefined ? {} : { fixedWidth }),
    ...(fixedHeight === undefined ? {} : { fixedHeight, definite: true }),
  };
  const fragment = layout.place(box, space);
  const along = (axis: AxisName, spare: number, low: number | null, high: number | null, to: Alignment) => {
    if (low === null || high === null) return autoMargin(spare, low, high);
    const start = startEdge(axis, aligningOf(container));
    return offsetTo(to.safe && spare < 0 ? start : edgeOf(to, start), spare);
  };
  return {
    fragment,
    x: along('inline', width - fragment.width - horizontal(used), margins.left, margins.right, justify) + used.left,
    y: Number.isNaN(height)
      ? used.top
      : along('block', height - fragment.height - vertical(used), margins.top, margins.bottom, align) + used.top,
  };
}

/** Width that an item asks for by its content and has by its ratio; undefined for others. */
function widthByRatio(box: Box, width: number, height: number, container: Box, layout: Layout): number | undefined {
  if (!hasRatio(box) || box.inner === 'replaced' || !isByContent(box.style.width)) return undefined;
  const tall = heightForRatio(box, width, height, container, layout);
  if (tall === undefined) return undefined;
  const frame = frameOf(box, width);
  const asked = acrossRatio(box, tall, preferredRatio(box)!, frame);
  return clampWidth(box, asked, width, width, frame, () => layout.intrinsic(box));
}

function autoMargin(spare: number, low: number | null, high: number | null): number {
  const room = Math.max(0, spare);
  return low === null ? (high === null ? room / 2 : room) : 0;
}
