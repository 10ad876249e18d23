import type { ComputedStyle } from '../../cascade/index.js';
import type { ControlPart } from '../../css/index.js';
import type { NaturalSize } from '../box.js';
import { definite, fixed, outer, sized } from './sized.js';

/** Length of a slider and thickness of its thumb as the system draws them, px. */
const LENGTH = 129;
const THICKNESS = 16;

/** Natural size of a slider: as thick as its track, which is as thick as its thumb unless told. @spec html §15.5.9 (browsers agree) */
export function range(style: ComputedStyle, part: (name: ControlPart) => ComputedStyle | null): NaturalSize {
  const track = part('-webkit-slider-runnable-track');
  const thumb = part('-webkit-slider-thumb');
  const drawn = !thumb || thumb.appearance !== 'none' || style.appearance !== 'none';
  const filled = drawn ? THICKNESS : thickness(thumb, 0);
  const across = track ? thickness(track, filled) : filled;
  return sized(LENGTH, across);
}

/** Height of a part's margin box, px. */
function thickness(style: ComputedStyle, content: number): number {
  const edges = style.borderTopWidth + style.borderBottomWidth + fixed(style.paddingTop) + fixed(style.paddingBottom);
  const told = definite(style.height);
  const height = told === null ? content + edges : outer(style, told, edges);
  const least = outer(style, definite(style.minHeight) ?? 0, edges);
  const most = definite(style.maxHeight);
  const used = Math.max(least, edges, Math.min(height, most === null ? Infinity : outer(style, most, edges)));
  return Math.max(0, used + fixed(style.marginTop) + fixed(style.marginBottom));
}
