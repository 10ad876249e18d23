import type { ComputedStyle } from '../../cascade/index.js';
import { isLengthPercentage, type LengthPercentage } from '../../css/index.js';
import type { NaturalSize } from '../box.js';

export const sized = (width: number | null, height: number | null): NaturalSize => ({ width, height, ratio: null });

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

/** A length that does not hang on the control's own size; null for others. */
export const definite = (value: unknown): number | null =>
  isLengthPercentage(value as LengthPercentage) && (value as LengthPercentage).percent === 0
    ? (value as LengthPercentage).px
    : null;

/** The same, nothing for others. */
export const fixed = (value: unknown): number => definite(value) ?? 0;
