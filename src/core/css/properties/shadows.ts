import {
  isIdent,
  printColour,
  printPx,
  readColour,
  readLength,
  splitCommas,
  type Component,
  type Computation,
  type Rgba,
} from '../values/index.js';
import { row, type PropertyRow, type Traits } from './define.js';

/** One shadow; lengths in px. @spec css-backgrounds-3 §6.1, css-text-decor-4 §5 */
export interface Shadow {
  readonly inset: boolean;
  readonly colour: Rgba;
  readonly x: number;
  readonly y: number;
  readonly blur: number;
  readonly spread: number;
}

function readShadow(items: readonly Component[], ofBox: boolean): Computation<Shadow> | null {
  let colour = null as Computation<Rgba> | null;
  let inset = false;
  const lengths: Computation<{ readonly px: number }>[] = [];
  for (const item of items) {
    const length = readLength(item, { percent: false });
    if (length) lengths.push(length);
    else if (ofBox && isIdent(item, 'inset') && !inset) inset = true;
    else {
      const read: Computation<Rgba> | null = colour === null ? readColour(item) : null;
      if (!read) return null;
      colour = read;
    }
  }
  if (lengths.length < 2 || lengths.length > (ofBox ? 4 : 3)) return null;
  const ink = colour;
  return (c) => {
    const [x = 0, y = 0, blur = 0, spread = 0] = lengths.map((read) => read(c).px);
    return { inset, colour: ink ? ink(c) : c.currentColor, x, y, blur: Math.max(0, blur), spread };
  };
}

/** Shadows, the topmost first. */
export function shadows(of: 'box' | 'text', traits: Traits = {}): PropertyRow<readonly Shadow[]> {
  const print = ({ inset, colour, x, y, blur, spread }: Shadow) =>
    [
      printColour(colour),
      ...(of === 'box' ? [x, y, blur, spread] : [x, y, blur]).map(printPx),
      ...(inset ? ['inset'] : []),
    ].join(' ');
  return row<readonly Shadow[]>(
    [],
    (items) => {
      if (items.length === 1 && isIdent(items[0], 'none')) return () => [];
      const list = splitCommas(items).map((part) => readShadow(part, of === 'box'));
      return list.some((one) => one === null) ? null : (c) => list.map((one) => one!(c));
    },
    (value) => (value.length === 0 ? 'none' : value.map(print).join(', ')),
    traits,
  );
}
