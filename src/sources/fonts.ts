import { existsSync, readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import type { Font, FontCollection, Glyph as FontGlyph } from 'fontkit';
import type { FeatureSettings, Glyph, OpenFont, WebFace } from '../core/boxes/index.js';
import { SourceError } from './errors.js';

/** Opens font files by their own names, families and weights. Throws SourceError where one cannot be used. */
export async function openFontFiles(paths: readonly string[]): Promise<WebFace[]> {
  if (paths.length === 0) return [];
  const { create } = await import('fontkit');
  const open = async (path: string): Promise<WebFace> => {
    if (!existsSync(path)) throw new SourceError(`the font ${path} does not exist`, 'Check the path given to --font.');
    try {
      const bytes = readFileSync(path);
      const made = create(bytes);
      const font = 'fonts' in made ? (made as FontCollection).fonts[0]! : (made as Font);
      return installedFace(font, await opened(font, bytes));
    } catch {
      throw new SourceError(`${path} is not a font that can be read`, 'Name a .woff2, .woff, .ttf or .otf file.');
    }
  };
  return Promise.all(paths.map(open));
}

function installedFace(font: Font, made: OpenFont): WebFace {
  const { 'OS/2': os2, name } = font as unknown as Tables;
  const weight = font.variationAxes['wght'];
  const heavy = os2?.usWeightClass ?? 400;
  return {
    family: name?.records?.preferredFamily?.['en'] ?? font.familyName,
    weights: weight ? [weight.min, weight.max] : [heavy, heavy],
    characters: null,
    italic: os2?.fsSelection?.italic ?? font.italicAngle !== 0,
    sizeAdjust: 1,
    ascentOverride: null,
    descentOverride: null,
    lineGapOverride: null,
    font: made,
  };
}

/** Opens a font file; null where it is none. What reads fonts takes long to load: only pages that bring some pay for it. */
export async function openFont(bytes: Uint8Array): Promise<OpenFont | null> {
  const { create } = await import('fontkit');
  try {
    const made = create(Buffer.from(bytes));
    return await opened('fonts' in made ? (made as FontCollection).fonts[0]! : (made as Font), bytes);
  } catch {
    return null;
  }
}

async function opened(font: Font, bytes: Uint8Array): Promise<OpenFont> {
  const plain = wrap(font);
  const axes = font.variationAxes;
  if (Object.keys(axes).length === 0) return plain;
  const { variableFont } = await import('./variable-fonts.js');
  return (await variableFont(bytes, plain, axes)) ?? plain;
}

interface Tables {
  readonly 'OS/2'?: {
    readonly fsSelection?: { readonly useTypoMetrics?: boolean; readonly italic?: boolean };
    readonly usWeightClass?: number;
    readonly typoAscender: number;
    readonly typoDescender: number;
    readonly typoLineGap: number;
    readonly xHeight?: number;
    readonly capHeight?: number;
    readonly xAvgCharWidth?: number;
  };
  readonly name?: { readonly records?: { readonly preferredFamily?: Readonly<Record<string, string>> } };
  readonly head?: { readonly xMin: number; readonly xMax: number };
}

function wrap(font: Font, settings: FeatureSettings = {}): OpenFont {
  const { 'OS/2': os2, head } = font as unknown as Tables;
  const typo = os2?.fsSelection?.useTypoMetrics ? os2 : null;
  return {
    unitsPerEm: font.unitsPerEm,
    ascent: typo?.typoAscender ?? font.ascent,
    descent: -(typo?.typoDescender ?? font.descent),
    lineGap: typo?.typoLineGap ?? font.lineGap,
    xHeight: os2?.xHeight || font.unitsPerEm / 2,
    capHeight: os2?.capHeight || font.ascent,
    average: os2?.xAvgCharWidth || font.unitsPerEm / 2,
    widest: head ? head.xMax - head.xMin : font.unitsPerEm,
    holds: (feature) => (font.availableFeatures as readonly string[]).includes(feature),
    featured: (asked) => wrap(font, asked),
    has: (code) => font.hasGlyphForCodePoint(code),
    advance: (text, kerning) => {
      try {
        return shaped(font, text, asked(settings, kerning)).advanceWidth;
      } catch {
        return [...text].reduce((sum, c) => sum + font.glyphForCodePoint(c.codePointAt(0)!).advanceWidth, 0);
      }
    },
    outline: (text, kerning) => outlineOf(font, text, asked(settings, kerning)),
  };
}

/** Features turned on and off beside those every text has. */
const asked = (settings: FeatureSettings, kerning: boolean): Record<string, boolean> => ({
  ...Object.fromEntries(Object.entries(settings).map(([tag, value]) => [tag, value > 0])),
  ...(kerning ? {} : { kern: false }),
});

const SIMPLE = /^[\u0000-\u036f]*$/;

/**
 * A run set in glyphs. Glyphs are kept with the characters they were first made for, which may have been others:
 * how letters join depends on them.
 */
function shaped(font: Font, text: string, features: Record<string, boolean>): ReturnType<Font['layout']> {
  if (!SIMPLE.test(text))
    for (const character of text) {
      const code = character.codePointAt(0)!;
      font.glyphForCodePoint(code).codePoints = [code];
    }
  return font.layout(text, features);
}

/** Glyph outlines of a run; glyphs no path can be read from are left out. */
function outlineOf(font: Font, text: string, features: Record<string, boolean>): Glyph[] {
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

/** Outlines in the families the package ships. */
export interface ShippedOutlines {
  /** @param name `sans bold` and the like, `fallback` */
  of(name: string, text: string, kerning: boolean): { readonly unitsPerEm: number; readonly glyphs: readonly Glyph[] };
}

const PACKAGES: Readonly<Record<string, string>> = { sans: 'arimo', serif: 'tinos', mono: 'cousine' };
const CUTS: Readonly<Record<string, string>> = {
  regular: '400-normal',
  bold: '700-normal',
  italic: '400-italic',
  boldItalic: '700-italic',
};

/** Opens the shipped families as they are asked for. */
export async function shippedOutlines(): Promise<ShippedOutlines> {
  const { create } = await import('fontkit');
  const require = createRequire(import.meta.url);
  const opened = new Map<string, Font[]>();
  const open = (file: string) => create(readFileSync(file)) as Font;
  const filesOf = (name: string): Font[] => {
    const known = opened.get(name);
    if (known) return known;
    const [kind, cut] = name.split(' ');
    const family = PACKAGES[kind ?? ''];
    let fonts: Font[];
    if (family && CUTS[cut ?? '']) {
      const folder = join(dirname(require.resolve(`@fontsource/${family}/package.json`)), 'files');
      fonts = ['latin', 'latin-ext', 'greek', 'cyrillic']
        .map((subset) => join(folder, `${family}-${subset}-${CUTS[cut!]}.woff2`))
        .filter((file) => existsSync(file))
        .map(open);
    } else {
      const file = name === 'wide bold' ? 'DejaVuSans-Bold.ttf' : 'DejaVuSans.ttf';
      fonts = [open(join(dirname(require.resolve('dejavu-fonts-ttf/package.json')), 'ttf', file))];
    }
    opened.set(name, fonts);
    return fonts;
  };
  return {
    of(name, text, kerning) {
      const fonts = name === 'missing' ? [] : filesOf(name);
      const has = (font: Font) => [...text].every((c) => font.hasGlyphForCodePoint(c.codePointAt(0)!));
      const font = fonts.find(has) ?? (name === 'fallback' || fonts.length === 0 ? fonts[0] : filesOf('fallback')[0]);
      if (!font) return { unitsPerEm: 1000, glyphs: [] };
      return { unitsPerEm: font.unitsPerEm, glyphs: outlineOf(font, text, asked({}, kerning)) };
    },
  };
}
