import { containerOf, establishesFormattingContext, isFloating, type Box } from '../box.js';

export type Side = 'left' | 'right';

export type Clear = Side | 'both';

/** The floats a box goes below. @spec css2 §9.5.2 */
export function clearValue(box: Box): Clear | null {
  if (box.anonymous) return null;
  const { clear } = box.style;
  const rtl = containerOf(box)?.style.direction === 'rtl';
  if (clear === 'none') return null;
  if (clear === 'inline-start') return rtl ? 'right' : 'left';
  if (clear === 'inline-end') return rtl ? 'left' : 'right';
  return clear;
}

/** The side a float goes to. @spec css2 §9.5, css-logical-1 §2.1 */
export function floatSide(box: Box): Side {
  const { float } = box.style;
  const rtl = containerOf(box)?.style.direction === 'rtl';
  if (float === 'inline-start') return rtl ? 'right' : 'left';
  if (float === 'inline-end') return rtl ? 'left' : 'right';
  return float === 'right' ? 'right' : 'left';
}

const NONE: ReadonlySet<Side> = new Set();
const held = new WeakMap<Box, ReadonlySet<Side>>();

/** Sides of the floats inside a box that belong to the formatting context around it. */
export function sidesHeld(box: Box): ReadonlySet<Side> {
  if (establishesFormattingContext(box)) return NONE;
  let known = held.get(box);
  if (known === undefined) held.set(box, (known = new Set(box.children.flatMap((child) => [...sidesOf(child)]))));
  return known;
}

/** Sides of a box that floats, or of the floats in it. */
const sidesOf = (box: Box): ReadonlySet<Side> => (isFloating(box) ? new Set([floatSide(box)]) : sidesHeld(box));

/** Whether floats inside a box belong to the formatting context around it. */
export const holdsFloats = (box: Box): boolean => sidesHeld(box).size > 0;
