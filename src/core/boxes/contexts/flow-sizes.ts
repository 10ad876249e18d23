import { hasPercent, isLengthPercentage } from '../../css/index.js';
import { containerOf, isFloating, isInFlow, isOutOfFlow, isPage, type Box } from '../box.js';
import { horizontal, snap, vertical, type Edges } from '../fragment.js';
import type { Job } from './job.js';
import type { Across, Intrinsic, Layout, Space } from '../layout.js';
import { alignmentOf, aligningOf, edgeOf, offsetTo, type Alignment } from '../used/alignment.js';
import { specifiedMargins, usedBorder, usedMargins, usedPadding } from '../used/edges.js';
import {
  clampHeight,
  clampWidth,
  frameHeight,
  frameWidth,
  heightFor,
  preferredRatio,
  shrinkToFit,
  acrossRatio,
  alongRatio,
  widthFor,
  yieldsToContent,
  type Frame,
  isByContent,
} from '../used/sizes.js';

const heightDependence = new WeakMap<Box, boolean>();

/** Whether anything inside a box refers to its height. */
export function dependsOnHeight(box: Box): boolean {
  let known = heightDependence.get(box);
  if (known === undefined) {
    known = box.children.some((child) => refersToHeight(child) || dependsOnHeight(child));
    heightDependence.set(box, known);
  }
  return known;
}

/** Whether the height of a box is told by what it stands in. */
export function refersToHeight(box: Box): boolean {
  const { style } = box;
  if (box.anonymous || box.inner === 'text') return false;
  if (isPage(box)) return true;
  const relative = (value: typeof style.height) =>
    typeof value !== 'string' && ('fit' in value || value.percent !== 0 || value.curve !== null);
  const inset = (value: typeof style.top) => value !== 'auto' && (value.percent !== 0 || value.curve !== null);
  if (style.height === 'stretch' || relative(style.height) || relative(style.minHeight) || relative(style.maxHeight))
    return true;
  return style.position === 'relative' && (inset(style.top) || inset(style.bottom));
}

/** Border-box height a box is given by its style or its ratio, px; null where it is that of its content. */
export function specifiedHeight(box: Box, space: Space, frame: Frame, width: number): number | null {
  if (box.anonymous) return null;
  const height = space.byContent === 'height' ? null : heightFor(box, box.style.height, space.height, frame);
  if (height !== null) return height;
  if (space.byContent !== 'height' && yieldsToCell(box)) return frameHeight(frame);
  const ratio = preferredRatio(box);
  return ratio === null ? null : alongRatio(box, width, ratio, frame);
}

/**
 * Whether a block asks a cell for no height of its own: it scrolls, its height is a share of the cell's, and the cell or
 * the table is told a height. @spec css-tables-3 §3.9.3 (as browsers have it)
 */
function yieldsToCell({ anonymous, style, parent, outer }: Box): boolean {
  if (outer !== 'block' || parent?.outer !== 'table-part' || parent.inner !== 'flow') return false;
  if (anonymous || !isLengthPercentage(style.height) || !hasPercent(style.height)) return false;
  if ((style.overflowY !== 'auto' && style.overflowY !== 'scroll') || style.float !== 'none') return false;
  const told = (at: Box) => !at.anonymous && at.style.height !== 'auto';
  if (told(parent)) return true;
  let table: Box | null = parent;
  while (table && table.inner !== 'table') table = table.parent;
  return table !== null && told(table);
}

/** What percentage heights inside refer to. @spec css2 §10.5 */
export function percentBasis(
  box: Box,
  specified: number | null,
  frame: Frame,
  space: Space,
  margin: Edges,
  layout: Layout,
): number {
  if (box.anonymous && (box.outer !== 'table-part' || space.fixedHeight === undefined)) return space.height;
  if (space.fixedHeight !== undefined) return space.definite === false ? NaN : space.fixedHeight - frameHeight(frame);
  if (specified === null) return passesHeight(box, layout) ? heightPassed(box, space.height, margin, frame) : NaN;
  return Math.max(0, clampHeight(box, specified, space.height, frame) - frameHeight(frame));
}

/** What percentage heights inside refer to while the width is still to be found. */
export function basisWithin(box: Box, { basis, fixed }: Across, layout: Layout): number {
  if (box.anonymous) return fixed ?? basis;
  const frame = frameOf(box, 0);
  const height = fixed ?? heightFor(box, box.style.height, basis, frame);
  if (height === null) return passesHeight(box, layout) ? heightPassed(box, basis, usedMargins(box, 0), frame) : NaN;
  return Math.max(0, (fixed ?? clampHeight(box, height, basis, frame)) - frameHeight(frame));
}

/** In quirks mode percentages look through automatic heights. @spec quirks §3.5 */
const passesHeight = (box: Box, { quirks }: Layout): boolean =>
  quirks &&
  !isOutOfFlow(box) &&
  box.outer !== 'table-part' &&
  box.style.height === 'auto' &&
  !['flex', 'grid'].includes(box.parent?.inner ?? '');

const heightPassed = (box: Box, height: number, margin: Edges, frame: Frame): number =>
  isPage(box) ? Math.max(0, height - vertical(margin) - frameHeight(frame)) : height;

/** In quirks mode html and body fill the viewport, less the margins that meet theirs. @spec quirks §3.6, §3.7 */
export const filledHeight = (box: Box, margin: () => Edges, height: number, { quirks }: Layout): number =>
  quirks && isPage(box) && isInFlow(box) && !isFloating(box) && !Number.isNaN(height) ? height - vertical(margin()) : 0;

export function frameOf(box: Box, basis: number): Frame {
  return { border: usedBorder(box), padding: usedPadding(box, basis) };
}

/** Used horizontal margins of a block-level box whose width is known. @spec css2 §10.3.3, css-align-3 §5.1 (-webkit- alignment) */
export function horizontalMargins(
  box: Box,
  width: number,
  containing: number,
  { left, right } = specifiedMargins(box, containing),
): { left: number; right: number } {
  const spare = containing - width - (left ?? 0) - (right ?? 0);
  const parent = containerOf(box);
  const rtl = parent?.style.direction === 'rtl';
  if (left === null && right === null) {
    if (spare < 0) return rtl ? { left: spare, right: 0 } : { left: 0, right: spare };
    const half = snap(spare / 2);
    return { left: half, right: spare - half };
  }
  if (left === null) return { left: rtl || spare >= 0 ? spare : 0, right: right ?? 0 };
  if (right === null) return rtl && spare < 0 ? { left: left + spare, right: 0 } : { left, right: spare };
  const justified = blockJustification(box);
  if (justified) {
    const edge =
      justified.safe === true && spare < 0 ? (rtl ? 'high' : 'low') : edgeOf(justified, rtl ? 'high' : 'low');
    const shift = offsetTo(edge, spare);
    return { left: left + shift, right: right + spare - shift };
  }
  const align = parent?.style.textAlign;
  if (spare > 0 && align === '-webkit-center') return { left: left + snap(spare / 2), right };
  if (spare > 0 && align === '-webkit-right') return { left: left + spare, right };
  if (rtl && align !== '-webkit-left') return { left: left + spare, right };
  return { left, right };
}

/** How a block-level box is justified in its containing block, where it does not simply fill it. @spec css-align-3 §6.1 */
function blockJustification(box: Box): Alignment | null {
  const made = askedJustification(box);
  return !made || made.to === 'normal' || made.to === 'stretch' ? null : made;
}

function askedJustification(box: Box): Alignment | null {
  const { parent, style } = box;
  if (box.anonymous || !parent) return null;
  const asked = style.justifySelf === 'auto' ? parent.style.justifyItems.replace(/^legacy ?/, '') : style.justifySelf;
  if (asked === '' || asked === 'normal' || asked === 'auto') return null;
  return alignmentOf(asked, 'inline', aligningOf(parent), aligningOf(box));
}

/**
 * Border-box width of a block-level box in normal flow.
 * @param basis what percentage heights refer to, px
 * @spec css2 §10.3.3, §10.4
 */
export function blockWidth(box: Box, containing: number, frame: Frame, layout: Layout, basis = NaN): number {
  const margins = usedMargins(box, containing);
  const available = containing - horizontal(margins);
  if (box.anonymous) return Math.max(available, 0);
  const content = () => layout.intrinsic(box, { width: containing, basis });
  const stretches = box.style.width === 'auto' && askedJustification(box)?.to === 'stretch';
  const byRatio = stretches ? null : widthByRatio(box, frame, basis, content);
  // With a ratio and a height, the words for sizes by content mean the width that follows from these.
  const intrinsic = byRatio === null ? content : () => alone(byRatio - frameWidth(frame));
  const width =
    widthFor(box, box.style.width, containing, available, frame, intrinsic) ??
    byRatio ??
    (blockJustification(box) || isControl(box)
      ? fitting(available, intrinsic(), frameWidth(frame))
      : Math.max(available, frameWidth(frame)));
  return clampWidth(box, width, containing, available, frame, intrinsic, basis);
}

/** Controls fit their content, whatever their display. @spec html §15.5.2 */
const isControl = ({ element, pseudo }: Box): boolean =>
  !pseudo && element?.namespace === 'html' && /^(button|input|select|textarea)$/.test(element.tag);

const alone = (width: number): Intrinsic => ({ min: width, max: width });

const fitting = (available: number, { min, max }: Intrinsic, extra: number): number =>
  shrinkToFit(min + extra, max + extra, available);

/** A fixed height and a preferred ratio give the width. @spec css-sizing-4 §4.2 */
function widthByRatio(box: Box, frame: Frame, basis: number, intrinsic: () => Intrinsic): number | null {
  const ratio = preferredRatio(box);
  const height = ratio === null ? null : heightFor(box, box.style.height, basis, frame);
  if (ratio === null || height === null) return null;
  const least = yieldsToContent(box, box.style.minWidth) ? intrinsic().min + frameWidth(frame) : 0;
  return Math.max(least, acrossRatio(box, height, ratio, frame));
}

/** A border-box height within the limits of the style; the content alone knows none. @spec css2 §10.7 */
export const limitedHeight = (
  { box, frame, space }: Pick<Job, 'box' | 'frame' | 'space'>,
  height: number,
  natural?: () => number,
): number =>
  space.byContent === 'height'
    ? Math.max(height, frameHeight(frame))
    : clampHeight(box, height, space.height, frame, natural);

/** The height that follows from a ratio, which words of limits such as max-content mean then; null without one. */
export const heightByRatio = (box: Box, specified: number | null): number | null =>
  !box.anonymous && preferredRatio(box) !== null && isAutomatic(box.style.height) ? specified : null;

/** Words for sizes by content mean what follows from the ratio too. @spec css-sizing-4 §5.1 */
const isAutomatic = (height: Box['style']['height']): boolean => height === 'auto' || isByContent(height);

/** The least height of a box whose height follows from a ratio: that of its content, where it may not be cut. @spec css-sizing-4 §4.3 */
export function leastByRatio(
  box: Box,
  space: Pick<Space, 'height' | 'fixedHeight'>,
  frame: Frame,
  natural: number,
  byRatio: number | null = null,
): number {
  if (box.anonymous || space.fixedHeight !== undefined || preferredRatio(box) === null) return 0;
  if (!isAutomatic(box.style.height) || !yieldsToContent(box, box.style.minHeight)) return 0;
  const { maxHeight } = box.style;
  const most = heightFor(box, maxHeight, space.height, frame) ?? (isByContent(maxHeight) ? byRatio : null);
  return Math.min(natural, most ?? Infinity);
}
