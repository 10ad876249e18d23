import { isLengthPercentage, resolveLength, type Sizing } from '../../css/index.js';
import { establishesFormattingContext, isInFlow, type Box } from '../box.js';
import { isOrthogonal } from '../flows/modes.js';
import { horizontal, NO_EDGES, snap, vertical, type Edges } from '../fragment.js';
import type { Intrinsic } from '../layout.js';
import { usedBorder, usedMargins, usedPadding } from './edges.js';

/** Border and padding together, as box-sizing needs them. */
export interface Frame {
  readonly border: Edges;
  readonly padding: Edges;
}

/** No border, no padding. */
export const NO_FRAME: Frame = Object.freeze({ border: NO_EDGES, padding: NO_EDGES });

export const frameWidth = (frame: Frame): number => horizontal(frame.border) + horizontal(frame.padding);
export const frameHeight = (frame: Frame): number => vertical(frame.border) + vertical(frame.padding);

const outer = (box: Box, content: number, extra: number): number =>
  box.style.boxSizing === 'border-box' ? Math.max(content, extra) : content + extra;

/**
 * The border-box width a sizing value stands for; null for auto, none and what cannot be resolved.
 * @param basis width of the containing block, px or NaN
 * @param available border-box width a stretched box would take
 */
export function widthFor(
  box: Box,
  value: Sizing | 'content',
  basis: number,
  available: number,
  frame: Frame,
  intrinsic: () => Intrinsic,
): number | null {
  if (value === 'auto' || value === 'none' || value === 'content') return null;
  const extra = frameWidth(frame);
  if (value === 'min-content') return intrinsic().min + extra;
  if (value === 'max-content') return intrinsic().max + extra;
  if (value === 'stretch') return Number.isNaN(available) ? null : available;
  if (value === 'fit-content') return fit(available - extra, intrinsic()) + extra;
  if (!isLengthPercentage(value)) return fit(resolveLength(value.fit, basis), intrinsic()) + extra;
  const length = resolveLength(value, basis);
  return Number.isNaN(length) ? null : snap(outer(box, Math.max(0, length), extra));
}

/** @spec css2 §10.3.5 */
export const shrinkToFit = (min: number, max: number, available: number): number =>
  Math.max(min, Math.min(max, available));

const fit = (available: number, { min, max }: Intrinsic): number =>
  Number.isNaN(available) ? max : shrinkToFit(min, max, available);

/** The border-box height a sizing value stands for; null where it is automatic or its percentage basis is not definite. */
export function heightFor(box: Box, value: Sizing, basis: number, frame: Frame): number | null {
  if (typeof value === 'string' && value !== 'stretch') return null;
  if (value === 'stretch') return Number.isNaN(basis) ? null : Math.max(0, basis - marginsApart(box));
  if (!isLengthPercentage(value)) return null;
  const length = resolveLength(value, basis);
  return Number.isNaN(length) ? null : snap(outer(box, Math.max(0, length), frameHeight(frame)));
}

/** Vertical margins that stay apart from those of the parent, px: the others do not keep a box from filling it. @spec css-sizing-4 §6.1 */
function marginsApart(box: Box): number {
  const { top, bottom } = usedMargins(box, 0);
  const { parent } = box;
  const joins =
    parent &&
    parent.inner === 'flow' &&
    !isOrthogonal(box.frame, parent.mode) &&
    box.outer === 'block' &&
    isInFlow(box) &&
    !establishesFormattingContext(parent);
  if (!joins) return top + bottom;
  const [border, padding] = [usedBorder(parent), usedPadding(parent, 0)];
  return (border.top + padding.top > 0 ? top : 0) + (border.bottom + padding.bottom > 0 ? bottom : 0);
}

/** min-width and max-width applied to a border-box width. @param heights what percentage heights refer to, px @spec css2 §10.4 */
export function clampWidth(
  box: Box,
  width: number,
  basis: number,
  available: number,
  frame: Frame,
  intrinsic: () => Intrinsic,
  heights = NaN,
): number {
  if (box.anonymous) return width;
  const across = transferred(box, frame, heights);
  const within = Math.max(across.min, Math.min(width, across.max));
  return limitWidth(box, within, basis, available, frame, intrinsic);
}

/** The box's own min-width and max-width applied to a border-box width, without what follows through a ratio. @spec css2 §10.4 */
export function limitWidth(
  box: Box,
  width: number,
  basis: number,
  available: number,
  frame: Frame,
  intrinsic: () => Intrinsic,
): number {
  if (box.anonymous) return width;
  const max = widthFor(box, box.style.maxWidth, basis, available, frame, intrinsic) ?? Infinity;
  const min = widthFor(box, box.style.minWidth, basis, available, frame, intrinsic) ?? 0;
  return Math.max(Math.min(width, max), min, frameWidth(frame));
}

/** Limits of the height as they limit a width that is automatic or by content through a ratio. @spec css-sizing-4 §5.1.2 */
export function transferred(box: Box, frame: Frame, heights = NaN): { readonly min: number; readonly max: number } {
  const told = box.style.width !== 'auto' && !isByContent(box.style.width);
  const ratio = box.inner === 'replaced' || told ? null : preferredRatio(box);
  if (ratio === null) return { min: 0, max: Infinity };
  const width = (limit: number | null) => (limit === null ? null : acrossRatio(box, limit, ratio, frame));
  return {
    min: width(leastHeight(box, heights, frame)) ?? 0,
    max: width(heightFor(box, box.style.maxHeight, heights, frame)) ?? Infinity,
  };
}

/** Border-box width that goes with a border-box height. @spec css-sizing-4 §4.2 */
export const acrossRatio = (box: Box, height: number, ratio: number, frame: Frame): number =>
  box.style.boxSizing === 'border-box' ? height * ratio : (height - frameHeight(frame)) * ratio + frameWidth(frame);

/** Border-box height that goes with a border-box width. @spec css-sizing-4 §4.2 */
export const alongRatio = (box: Box, width: number, ratio: number, frame: Frame): number =>
  box.style.boxSizing === 'border-box' ? width / ratio : (width - frameWidth(frame)) / ratio + frameHeight(frame);

/** Whether a size that follows from a ratio gives way to the content. @spec css-sizing-4 §4.3 */
export const yieldsToContent = ({ style }: Box, limit: Sizing): boolean =>
  limit === 'auto' && [style.overflowX, style.overflowY].every((v) => v === 'visible' || v === 'clip');

/** Block sizes by content are all the same: that of the content. @spec css-sizing-3 §3.2 */
export const isByContent = (value: Sizing): boolean =>
  value === 'min-content' || value === 'max-content' || value === 'fit-content';

/**
 * min-height and max-height applied to a border-box height; browsers leave them out for table cells.
 * @param natural border-box height of the content, px; worked out where a limit asks for it
 * @spec css2 §10.7
 */
export function clampHeight(box: Box, height: number, basis: number, frame: Frame, natural?: () => number): number {
  if (box.anonymous || box.outer === 'table-part') return height;
  const { minHeight, maxHeight } = box.style;
  const limit = (value: Sizing) => heightFor(box, value, basis, frame) ?? (isByContent(value) ? natural?.() : null);
  const max = limit(maxHeight) ?? Infinity;
  const min = limit(minHeight) ?? leastHeight(box, basis, frame) ?? 0;
  return Math.max(Math.min(height, max), min, frameHeight(frame));
}

/** The border-box height of min-height: of a sum with a percentage of something unknown, the length is left. */
const leastHeight = (box: Box, basis: number, frame: Frame): number | null =>
  heightFor(box, box.style.minHeight, Number.isNaN(basis) ? 0 : basis, frame);

/** The ratio a box keeps between its sizes, or null. @spec css-sizing-4 §4 */
export function preferredRatio(box: Box): number | null {
  if (box.anonymous && !box.natural) return null;
  const { aspectRatio } = box.style;
  const natural = box.natural?.ratio ?? null;
  if (aspectRatio.auto && natural !== null) return natural;
  return aspectRatio.ratio ?? (box.natural ? natural : null);
}
