import { KEYWORD_SIZES, type ComputedValues, type FontFamily } from '../css/index.js';
import type { Winner } from './block.js';
import type { ComputedStyle } from './style.js';

/** Where a font size comes from: a length, a share of the parent's, or an absolute-size keyword such as `small`. */
export type FontSizing = 'absolute' | 'relative' | SizeKeyword;

type SizeKeyword = keyof typeof KEYWORD_SIZES;

/** Sizes of keywords in the lone family `monospace`, px: in standards mode, in quirks mode. Browsers agree on them. */
const MONOSPACE: Readonly<Record<SizeKeyword, readonly [number, number]>> = {
  'xx-small': [9, 9],
  'x-small': [10, 9],
  small: [12, 10],
  medium: [13, 13],
  large: [16, 16],
  'x-large': [20, 20],
  'xx-large': [26, 26],
  'xxx-large': [39, 40],
};
const SCALE = 13 / 16;

/** What browsers make of smaller sizes that are shares of others, px; a size of nothing stays nothing. */
const SMALLEST = 6;

/** The size used for what is asked for, px. */
export const legible = (asked: number, sizing: FontSizing): number =>
  sizing === 'absolute' || asked === 0 ? asked : Math.max(asked, SMALLEST);

/** Whether the list is the bare keyword monospace, which browsers set smaller. */
export const isMonospace = (families: readonly FontFamily[]): boolean =>
  families.length === 1 && families[0]!.name.toLowerCase() === 'monospace';

interface Given {
  readonly families: ComputedValues['fontFamily'];
  readonly parent: ComputedStyle | null;
  readonly winner: Winner | undefined;
  readonly quirks: boolean;
  /** As computed so far, px; and what it comes to where an em is longer. */
  readonly size: number;
  readonly withLargerEm: () => number;
}

/** The font size as browsers have it where the family is `monospace` or was above, px, and where it comes from. */
export function settleFontSize(given: Given): { readonly size: number; readonly sizing: FontSizing } {
  const { families, parent, winner, quirks, size } = given;
  const before = parent ? isMonospace(parent.fontFamily) : false;
  const now = isMonospace(families);
  const own = keywordOf(winner);
  const sizing = own ?? sizingOf(given);
  if (sizing === 'absolute' || (own === null && before === now)) return { size, sizing };
  if (sizing !== 'relative') return { size: now ? MONOSPACE[sizing][quirks ? 1 : 0] : KEYWORD_SIZES[sizing], sizing };
  return { size: now ? size * SCALE : size / SCALE, sizing };
}

const KEYWORD = /(?:^|\s)((?:xx?-)?small|medium|(?:x{1,3}-)?large)(?=$|[\s/])/i;

/** The keyword a winner sets the size by; null for anything else. */
function keywordOf(winner: Winner | undefined): SizeKeyword | null {
  if (winner?.value === 'initial') return 'medium';
  if (typeof winner?.value !== 'function' || !/^font(-size)?$/.test(winner.declaration.name)) return null;
  return (KEYWORD.exec(winner.declaration.text)?.[1]?.toLowerCase() as SizeKeyword | undefined) ?? null;
}

function sizingOf({ parent, winner, size, withLargerEm }: Given): FontSizing {
  const above = parent?.fontSizing ?? 'medium';
  const relative = above === 'absolute' ? 'absolute' : 'relative';
  if (!winner || winner.value === 'inherit' || winner.value === 'unset') return above;
  if (typeof winner.value === 'string') return 'relative';
  if (typeof winner.value !== 'function')
    return /\d(em|%)|larger|smaller/i.test(winner.declaration.text) ? relative : 'absolute';
  // Sums of lengths are lengths, whatever they are made of.
  const sum = /\b(calc|min|max|clamp)\(/i.test(winner.declaration.text);
  return sum || withLargerEm() === size ? 'absolute' : relative;
}
