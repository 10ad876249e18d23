import type { ComputedStyle } from '../../cascade/index.js';
import { isLengthPercentage, type LengthPercentage } from '../../css/index.js';
import type { NaturalSize } from '../box.js';
import { snap } from '../fragment.js';

/** A natural size of a control, in 64ths of a px as browsers have it. */
export const sized = (width: number | null, height: number | null): NaturalSize => ({
  width: width === null ? null : snap(width),
  height: height === null ? null : snap(height),
  ratio: null,
});

/** The number an attribute begins with; null where it is none. @spec html §2.3.4.3 */
export const number = (text: string | undefined): number | null => {
  const match = /^\s*(\d+\.?\d*|\.\d+)/.exec(text ?? '');
  return match ? Number(match[1]) : null;
};

/** The whole number above zero an attribute begins with; null where it is none. @spec html §2.3.4.2 */
export const count = (text: string | undefined): number | null => {
  const match = /^\s*\+?(\d+)/.exec(text ?? '');
  return match && Number(match[1]) > 0 ? Number(match[1]) : null;
};

/** Size with border and padding of a part of a control that is given a length. */
export const outer = ({ boxSizing }: ComputedStyle, length: number, edges: number): number =>
  boxSizing === 'border-box' ? length : length + edges;

type Axis = readonly [start: 'Left' | 'Top', end: 'Right' | 'Bottom', size: 'width' | 'height'];
export const ACROSS: Axis = ['Left', 'Right', 'width'];
export const DOWN: Axis = ['Top', 'Bottom', 'height'];

/** Border and padding of a part along an axis, px. */
export const edgesAlong = (style: ComputedStyle, [start, end]: Axis): number =>
  style[`border${start}Width`] +
  style[`border${end}Width`] +
  fixed(style[`padding${start}`]) +
  fixed(style[`padding${end}`]);

/** Margin-box size of a part along an axis, px. @param content what it holds */
export function partSize(style: ComputedStyle, axis: Axis, content: number): number {
  const [start, end, size] = axis;
  const edges = edgesAlong(style, axis);
  const told = definite(style[size]);
  const [min, max] = size === 'width' ? [style.minWidth, style.maxWidth] : [style.minHeight, style.maxHeight];
  const most = definite(max);
  const least = outer(style, definite(min) ?? 0, edges);
  const asked = told === null ? content + edges : outer(style, told, edges);
  const used = Math.max(least, edges, Math.min(asked, most === null ? Infinity : outer(style, most, edges)));
  return Math.max(0, used + fixed(style[`margin${start}`]) + fixed(style[`margin${end}`]));
}

/** Whether a part of a control takes room in its line. */
export const takesRoom = (style: ComputedStyle | null): style is ComputedStyle =>
  style !== null && style.display !== 'none' && style.position !== 'absolute' && style.position !== 'fixed';

/** A length that does not hang on the control's own size; null for others. */
export const definite = (value: unknown): number | null =>
  isLengthPercentage(value as LengthPercentage) && (value as LengthPercentage).percent === 0
    ? (value as LengthPercentage).px
    : null;

/** The same, nothing for others. */
export const fixed = (value: unknown): number => definite(value) ?? 0;
