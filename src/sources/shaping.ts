import type { Font, Glyph as FontGlyph } from 'fontkit';
import type { FeatureSettings, Glyph } from '../core/boxes/index.js';

interface Advances {
  readonly hmtx?: { readonly metrics: { readonly length: number; get(i: number): { readonly advance: number } } };
}

/** Whether a font draws a character, be it put together. */
export const holds = (font: Font, code: number): boolean =>
  font.hasGlyphForCodePoint(code) || (code > 0x7f && partsIn(font, String.fromCodePoint(code)) !== null);

/** Features turned on and off beside those every text has. */
export const asked = (settings: FeatureSettings, kerning: boolean): Record<string, boolean> => ({
  ...Object.fromEntries(Object.entries(settings).map(([tag, value]) => [tag, value > 0])),
  ...(kerning ? {} : { kern: false }),
});

const PLAIN = /^[\u0000-\u007f]*$/;
const SIMPLE = /^[\u0000-\u036f]*$/;

interface Run {
  readonly glyphs: readonly FontGlyph[];
  readonly positions: readonly { readonly xAdvance: number; readonly xOffset: number; readonly yOffset: number }[];
  readonly advanceWidth: number;
}

/** A run set in glyphs; where a table of the file is broken, glyph by glyph. */
export function shaped(font: Font, text: string, features: Record<string, boolean>): Run {
  try {
    return laid(font, text, features);
  } catch {
    mendGlyphs(font, text);
  }
  try {
    return laid(font, text, features);
  } catch {
    return oneByOne(font, text);
  }
}

/** Glyphs are kept with the characters they were first made for, which may have been others: how letters join depends on them. */
function laid(font: Font, text: string, features: Record<string, boolean>): Run {
  if (PLAIN.test(text)) return font.layout(text, features);
  const spelled = [...text].map((character) => spelledIn(font, character)).join('');
  if (!SIMPLE.test(spelled))
    for (const character of spelled) {
      const code = character.codePointAt(0)!;
      font.glyphForCodePoint(code).codePoints = [code];
    }
  return font.layout(spelled, features);
}

/** As shapers have it: an accented letter that a font lacks is put together. */
function spelledIn(font: Font, character: string): string {
  return font.hasGlyphForCodePoint(character.codePointAt(0)!) ? character : (partsIn(font, character) ?? character);
}

/** A letter as its base and marks, where the font has them all; null where it lacks some, or the letter has no parts. */
function partsIn(font: Font, character: string): string | null {
  const parts = character.normalize('NFD');
  const held = parts !== character && [...parts].every((part) => font.hasGlyphForCodePoint(part.codePointAt(0)!));
  return held ? parts : null;
}

/** A glyph without outline at the very end of a file is looked for beyond it: it counts as empty, and keeps its advance. */
function mendGlyphs(font: Font, text: string): void {
  for (const character of text) {
    const glyph = glyphOf(font, character);
    if (!glyph || known(() => glyph.advanceWidth) !== null) continue;
    const advanceWidth = advanceIn(font, glyph.id);
    for (const [name, value] of Object.entries({ advanceWidth, cbox: EMPTY, bbox: EMPTY }))
      known(() => Object.defineProperty(glyph, name, { value, configurable: true }));
  }
}

/** What the table of advances says of a glyph: the last entry holds for all that follow. @spec opentype (hmtx) */
function advanceIn(font: Font, glyph: number): number {
  const metrics = (font as unknown as Advances).hmtx?.metrics;
  const read = () => metrics && metrics.get(Math.min(glyph, metrics.length - 1)).advance;
  return known(read) ?? font.unitsPerEm / 2;
}

const EMPTY = { minX: 0, minY: 0, maxX: 0, maxY: 0, width: 0, height: 0 };

/** What is read of a font; null where its file is broken there. */
export function known<T>(read: () => T): T | null {
  try {
    return read();
  } catch {
    return null;
  }
}

const glyphOf = (font: Font, character: string): FontGlyph | null =>
  known(() => font.glyphForCodePoint(character.codePointAt(0)!));

function oneByOne(font: Font, text: string): Run {
  const glyphs = [...text].flatMap((character) => glyphOf(font, character) ?? []);
  const positions = glyphs.map((glyph) => ({
    xAdvance: known(() => glyph.advanceWidth) ?? advanceIn(font, glyph.id),
    xOffset: 0,
    yOffset: 0,
  }));
  return { glyphs, positions, advanceWidth: positions.reduce((sum, { xAdvance }) => sum + xAdvance, 0) };
}

/** Glyph outlines of a run; glyphs no path can be read from are left out. */
export function outlineOf(font: Font, text: string, features: Record<string, boolean>): Glyph[] {
  const out: Glyph[] = [];
  let x = 0;
  const { glyphs, positions } = shaped(font, text, features);
  glyphs.forEach((glyph, i) => {
    const { xAdvance, xOffset, yOffset } = positions[i]!;
    const path = pathOf(glyph);
    if (path !== '') out.push({ path, x: x + xOffset, y: yOffset });
    x += xAdvance;
  });
  return out;
}

function pathOf(glyph: FontGlyph): string {
  try {
    return glyph.path.toSVG();
  } catch {
    return '';
  }
}
