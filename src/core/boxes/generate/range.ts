import type { ComputedStyle } from '../../cascade/index.js';
import type { ControlPart } from '../../css/index.js';
import type { NaturalSize } from '../box.js';
import { DOWN, partSize, sized } from './sized.js';

/** Length of a slider and thickness of its thumb as the system draws them, px. */
const LENGTH = 129;
const THICKNESS = 16;

/** Natural size of a slider: as thick as its track, which is as thick as its thumb unless told. @spec html §15.5.9 (browsers agree) */
export function range(style: ComputedStyle, part: (name: ControlPart) => ComputedStyle | null): NaturalSize {
  const track = part('-webkit-slider-runnable-track');
  const thumb = part('-webkit-slider-thumb');
  const drawn = !thumb || thumb.appearance !== 'none' || style.appearance !== 'none';
  const filled = drawn ? THICKNESS : partSize(thumb, DOWN, 0);
  const across = track ? partSize(track, DOWN, filled) : filled;
  return sized(LENGTH, across);
}
