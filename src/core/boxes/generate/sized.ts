import type { NaturalSize } from '../box.js';

export const sized = (width: number | null, height: number | null): NaturalSize => ({ width, height, ratio: null });

/** The number an attribute begins with; null where it is none. @spec html §2.3.4.3 */
export const number = (text: string | undefined): number | null => {
  const match = /^\s*(\d+\.?\d*|\.\d+)/.exec(text ?? '');
  return match ? Number(match[1]) : null;
};
