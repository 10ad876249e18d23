import type { Box } from '../box.js';
import { physicalStart, type Mode } from '../flows/modes.js';

export type AxisName = 'inline' | 'block';

/** Where a box goes along one axis of a flow: towards its low end (line-left, block start), middle or high end. */
export type Edge = 'low' | 'center' | 'high';

/** A self-alignment value once its directions are known. */
export interface Alignment {
  readonly to: Edge | 'normal' | 'stretch' | 'baseline' | 'last baseline';
  /** Whether overflow is kept at the start; null leaves it to the layout mode. */
  readonly safe: boolean | null;
}

/** The flow that aligns something: the container's mode and direction. */
export interface Aligning {
  readonly mode: Mode;
  readonly rtl: boolean;
}

export const aligningOf = (box: Box): Aligning => ({ mode: box.mode, rtl: box.style.direction === 'rtl' });

/** The end of an axis that a flow starts from. */
export const startEdge = (axis: AxisName, flow: Aligning): 'low' | 'high' =>
  axis === 'inline' && flow.rtl ? 'high' : 'low';

/**
 * @param value of align-self or justify-self, other than auto
 * @param own the aligned box's mode and direction, for self-start and self-end
 * @spec css-align-3 §4.1, §4.4
 */
export function alignmentOf(value: string, axis: AxisName, flow: Aligning, own: Aligning): Alignment {
  const safe = value.startsWith('safe ') ? true : value.startsWith('unsafe ') ? false : null;
  const word = value.replace(/^(safe|unsafe) /, '');
  const start = startEdge(axis, flow);
  const end = start === 'low' ? 'high' : 'low';
  const to = (edge: Alignment['to']): Alignment => ({ to: edge, safe });
  switch (word) {
    case 'center':
    case 'anchor-center':
      return to('center');
    case 'end':
    case 'flex-end':
      return to(end);
    case 'left':
      return to(axis === 'inline' ? 'low' : start);
    case 'right':
      return to(axis === 'inline' ? 'high' : start);
    case 'self-start':
      return to(sharesStart(axis, flow, own) ? start : end);
    case 'self-end':
      return to(sharesStart(axis, flow, own) ? end : start);
    case 'stretch':
      return to('stretch');
    case 'baseline':
    case 'first baseline':
      return to('baseline');
    case 'last baseline':
      return to('last baseline');
    case 'start':
    case 'flex-start':
      return to(start);
    default:
      return to('normal');
  }
}

const sharesStart = (axis: AxisName, flow: Aligning, own: Aligning): boolean =>
  physicalStart(axis, flow.mode, flow.rtl, flow.mode) === physicalStart(axis, own.mode, own.rtl, flow.mode);

/** How a box is aligned by its container along an axis: by its own value, or by what the container says for all. */
export function alignmentIn(box: Box, container: Box, axis: AxisName): Alignment {
  const [own, items] =
    axis === 'inline'
      ? [box.style.justifySelf, container.style.justifyItems]
      : [box.style.alignSelf, container.style.alignItems];
  const value = box.anonymous || own === 'auto' ? items : own;
  return alignmentOf(value, axis, aligningOf(container), aligningOf(box));
}

/** The edge an alignment comes down to where there is no baseline to share and nothing to stretch. */
export function edgeOf({ to }: Alignment, start: 'low' | 'high'): Edge {
  if (to === 'normal' || to === 'stretch' || to === 'baseline') return start;
  if (to === 'last baseline') return start === 'low' ? 'high' : 'low';
  return to;
}

/** Offset from the low end of the room to the box's, px. @param spare room less the box's margin-box size */
export function offsetTo(edge: Edge, spare: number): number {
  return edge === 'center' ? spare / 2 : edge === 'high' ? spare : 0;
}
