/** Shares of the em, or what the advance is taken from, of spaces that a font lacks. */
const SPACES: Readonly<Record<number, number | 'digit' | 'period' | 'half' | 'space'>> = {
  0xa0: 'space',
  0x2000: 1 / 2,
  0x2001: 1,
  0x2002: 1 / 2,
  0x2003: 1,
  0x2004: 1 / 3,
  0x2005: 1 / 4,
  0x2006: 1 / 6,
  0x2007: 'digit',
  0x2008: 'period',
  0x2009: 1 / 5,
  0x200a: 1 / 16,
  0x202f: 'half',
  0x205f: 4 / 18,
  0x3000: 1,
};

export const isSpaceOfSize = (code: number): boolean => code in SPACES;

/**
 * Advance of a space that a font lacks, in the font's units: shapers make it from the glyph of the plain space. Null for
 * what is no such space.
 * @param advanceOf of characters the font has; undefined where it lacks them
 */
export function madeSpace(
  code: number,
  unitsPerEm: number,
  advanceOf: (code: number) => number | undefined,
): number | null {
  const size = SPACES[code];
  const space = advanceOf(0x20);
  if (size === undefined || space === undefined) return null;
  if (typeof size === 'number') return size * unitsPerEm;
  if (size === 'digit') return advanceOf(0x30) ?? space;
  if (size === 'period') return advanceOf(0x2e) ?? advanceOf(0x2c) ?? space;
  return size === 'half' ? space / 2 : space;
}
