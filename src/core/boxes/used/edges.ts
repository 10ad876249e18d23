import { resolveLength, type LengthPercentage } from '../../css/index.js';
import type { Box } from '../box.js';
import { NO_EDGES, snap, type Edges } from '../fragment.js';

const bare = (box: Box): boolean => box.anonymous || box.inner === 'text';

/** Table rows, groups and columns have neither padding nor margin. @spec css-tables-3 §3.1 */
const noPadding = (box: Box): boolean => bare(box) || PARTS.has(box.inner);
const PARTS: ReadonlySet<string> = new Set(['row', 'row-group', 'column', 'column-group']);

export function usedBorder(box: Box): Edges {
  if (box.collapsed) return box.collapsed;
  if (noPadding(box)) return NO_EDGES;
  const { borderTopWidth: top, borderRightWidth: right, borderBottomWidth: bottom, borderLeftWidth: left } = box.style;
  return top === 0 && right === 0 && bottom === 0 && left === 0 ? NO_EDGES : { top, right, bottom, left };
}

/** @param basis width of the containing block. @spec css-box-4 §4 */
export function usedPadding(box: Box, basis: number): Edges {
  if (noPadding(box) || (box.collapsed && box.inner === 'table')) return NO_EDGES;
  const { style } = box;
  const top = padding(style.paddingTop, basis);
  const right = padding(style.paddingRight, basis);
  const bottom = padding(style.paddingBottom, basis);
  const left = padding(style.paddingLeft, basis);
  return top === 0 && right === 0 && bottom === 0 && left === 0 ? NO_EDGES : { top, right, bottom, left };
}

const padding = (value: LengthPercentage, basis: number): number => Math.max(0, snap(resolveLength(value, basis) || 0));

/** Margins with auto as null. @spec css-box-4 §3 */
export interface Margins {
  readonly top: number | null;
  readonly right: number | null;
  readonly bottom: number | null;
  readonly left: number | null;
}

const margin = (value: LengthPercentage | 'auto', basis: number): number | null =>
  value === 'auto' ? null : snap(resolveLength(value, basis) || 0);

export function specifiedMargins(box: Box, basis: number): Margins {
  if (noPadding(box) || (box.outer === 'table-part' && box.style.display === 'table-cell')) return NO_EDGES;
  const { style } = box;
  return {
    top: margin(style.marginTop, basis),
    right: margin(style.marginRight, basis),
    bottom: margin(style.marginBottom, basis),
    left: margin(style.marginLeft, basis),
  };
}

/** Margins with auto as zero. */
export function usedMargins(box: Box, basis: number): Edges {
  const { top, right, bottom, left } = specifiedMargins(box, basis);
  return { top: top ?? 0, right: right ?? 0, bottom: bottom ?? 0, left: left ?? 0 };
}
