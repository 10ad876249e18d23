import { isLengthPercentage, resolveLength, type Sizing } from '../../css/index.js';
import { establishesFormattingContext, hasInlineContent, isFloating, isOutOfFlow, type Box } from '../box.js';
import { horizontal } from '../fragment.js';
import type { Across, Intrinsic, Layout } from '../layout.js';
import { isOrthogonal } from '../flows/modes.js';
import { boxInFlow } from '../flows/turn.js';
import { containedWidth } from '../used/containment.js';
import { usedBorder, usedMargins, usedPadding } from '../used/edges.js';
import { isSqueezed, replacedSize } from '../used/replaced.js';
import {
  acrossRatio,
  frameWidth,
  heightFor,
  preferredRatio,
  transferred,
  widthFor,
  yieldsToContent,
  type Frame,
} from '../used/sizes.js';
import { flexIntrinsic } from './flex-intrinsic.js';
import { FloatWidths } from './float-widths.js';
import { basisWithin } from './flow-sizes.js';
import { emptyGridWidth, gridIntrinsic } from './grid.js';
import { inlineIntrinsic } from './inline/intrinsic.js';
import { columnsIntrinsic, isMulticol } from './columns/count.js';
import { tableIntrinsic } from './table-intrinsic.js';

/** Content-box min-content and max-content widths. @spec css-sizing-3 §5.1 */
export function intrinsicWidths(box: Box, across: Across, layout: Layout): Intrinsic {
  if (isOrthogonal(box.frame, box.mode)) return acrossFlow(box, across, layout);
  if (box.frame !== box.mode) return layout.intrinsic(boxInFlow(box, box.mode), across);
  const contained = containedWidth(box, layout, box.inner === 'grid' ? () => emptyGridWidth(box) : undefined);
  if (contained !== null && box.inner !== 'replaced') return { min: contained, max: contained };
  switch (box.inner) {
    case 'replaced': {
      const frame = frameAtZero(box);
      const width = replacedSize(box, NaN, across.basis, frame).width - frameWidth(frame);
      return { min: width, max: width };
    }
    case 'flex':
      return flexIntrinsic(box, basisWithin(box, across, layout), layout);
    case 'grid':
      return gridIntrinsic(box, layout, across.width);
    case 'table':
      return tableIntrinsic(box, layout);
    default: {
      const inside: Across = { basis: basisWithin(box, across, layout) };
      const content = hasInlineContent(box)
        ? inlineIntrinsic(box, inside, layout)
        : blockIntrinsic(box, inside, layout);
      return isMulticol(box) ? columnsIntrinsic(box, content) : content;
    }
  }
}

/** Where the flows cross, the width is the block size of the content. @spec css-writing-modes-4 §7.3.2 */
function acrossFlow(box: Box, { basis, fixed }: Across, layout: Layout): Intrinsic {
  const known = fixed === undefined ? {} : { fixedHeight: fixed };
  const { width } = layout.place(box, { width: NaN, height: basis, shrink: true, byContent: 'width', ...known });
  const content = Math.max(0, width - frameWidth(frameAtZero(box)));
  return { min: content, max: content };
}

const frameAtZero = (box: Box): Frame => ({ border: usedBorder(box), padding: usedPadding(box, 0) });

function blockIntrinsic(box: Box, inside: Across, layout: Layout): Intrinsic {
  let min = 0;
  let max = 0;
  const floats = new FloatWidths();
  for (const child of box.children) {
    if (isOutOfFlow(child)) continue;
    const size = layout.contribution(child, inside);
    min = Math.max(min, size.min);
    if (isFloating(child)) {
      floats.add(child, size.max);
      continue;
    }
    floats.clearedBy(child);
    max = Math.max(max, besideFloats(child, size.max, floats));
    floats.end();
  }
  max = Math.max(max, floats.widest);
  return { min, max: Math.max(min, max) };
}

/** Lines and formatting contexts stand beside floats, over which their margins lie; floats stand inside of other blocks. */
function besideFloats(child: Box, width: number, { left, right }: FloatWidths): number {
  if (child.anonymous && child.inner === 'flow') return width + left + right;
  if (!establishesFormattingContext(child)) return width;
  const margins = usedMargins(child, 0);
  const inner = width - margins.left - margins.right;
  const edge = (floats: number, margin: number) => (floats > 0 ? Math.max(floats, margin) : margin);
  return edge(left, margins.left) + inner + edge(right, margins.right);
}

/** Margin-box widths a box contributes to its container's intrinsic size. @spec css-sizing-3 §5.2 */
export function contributionOf(box: Box, across: Across, layout: Layout): Intrinsic {
  const margins = horizontal(usedMargins(box, 0));
  const frame = frameAtZero(box);
  const extra = frameWidth(frame);
  if (box.anonymous) {
    const inner = layout.intrinsic(box, across);
    return { min: inner.min + extra, max: inner.max + extra };
  }
  if (box.inner === 'replaced') {
    const width = replacedSize(box, NaN, across.basis, frame, { height: across.fixed }).width;
    const narrow = widthFor(box, box.style.minWidth, 0, NaN, frame, () => ({ min: 0, max: 0 })) ?? 0;
    const natural = extra + (box.natural?.least ?? 0);
    return { min: (isSqueezed(box) ? Math.max(narrow, natural) : width) + margins, max: width + margins };
  }
  const { style } = box;
  const intrinsic = () => layout.intrinsic(box, across);
  const fixed = (value: Sizing) =>
    value === 'fit-content' ? null : widthFor(box, percentAsAuto(value), NaN, NaN, frame, intrinsic);
  const ratio = preferredRatio(box);
  const byHeight = ratio === null ? null : (across.fixed ?? heightFor(box, style.height, across.basis, frame));
  const byRatio = byHeight === null ? null : acrossRatio(box, byHeight, ratio!, frame);
  const least = byRatio !== null && yieldsToContent(box, style.minWidth) ? intrinsic().min + extra : 0;
  const asked =
    (byRatio === null || isLengthPercentage(style.width) ? fixed(style.width) : null) ??
    (byRatio === null ? blockSizeByRatio(box, ratio, layout) : Math.max(least, byRatio));
  // A table is never narrower than its columns.
  const own = asked === null || box.inner !== 'table' ? asked : Math.max(asked, intrinsic().min + extra);
  const inner = own === null ? intrinsic() : null;
  const fits = style.minWidth === 'fit-content';
  const narrow = fits ? null : widthFor(box, style.minWidth, 0, NaN, frame, intrinsic);
  const low = (which: 'min' | 'max') => Math.max(fits ? intrinsic()[which] + extra : (narrow ?? 0), extra);
  const high = fixed(style.maxWidth) ?? Infinity;
  const limits = transferred(box, frame, across.basis);
  const clamp = (which: 'min' | 'max') => {
    const value = own ?? inner![which] + extra;
    return Math.max(low(which), Math.min(high, Math.max(limits.min, Math.min(value, limits.max)))) + margins;
  };
  const isList = box.element?.tag === 'select' && isSqueezed(box);
  return { min: isList ? low('min') + margins : clamp('min'), max: clamp('max') };
}

/** Border-box width of a box whose lines run the other way and that has a ratio: it follows from their length. */
const blockSizeByRatio = (box: Box, ratio: number | null, layout: Layout): number | null =>
  ratio !== null && isOrthogonal(box.frame, box.mode) && box.style.width === 'auto'
    ? layout.place(box, { width: NaN, height: NaN, shrink: true }).width
    : null;

const percentAsAuto = (value: Sizing): Sizing =>
  isLengthPercentage(value) && Number.isNaN(resolveLength(value, NaN)) ? 'auto' : value;
