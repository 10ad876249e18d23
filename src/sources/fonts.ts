import { existsSync, readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import type { Font, FontCollection } from 'fontkit';
import type { FeatureSettings, Glyph, OpenFont, WebFace } from '../core/boxes/index.js';
import { SourceError } from './errors.js';
import { unpackedFont } from './unpack-font.js';
import { asked, holds, known, outlineOf, shaped } from './shaping.js';

/** Opens font files by their own names, families and weights. Throws SourceError where one cannot be used. */
export async function openFontFiles(paths: readonly string[]): Promise<WebFace[]> {
  if (paths.length === 0) return [];
  const { create } = await import('fontkit');
  const open = async (path: string): Promise<WebFace> => {
    if (!existsSync(path)) throw new SourceError(`the font ${path} does not exist`, 'Check the path given to --font.');
    try {
      const bytes = await unpackedFont(readFileSync(path));
      const font = firstOf(create(Buffer.from(bytes)));
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
    const unpacked = await unpackedFont(bytes);
    return await opened(firstOf(create(Buffer.from(unpacked))), unpacked);
  } catch {
    return null;
  }
}

const firstOf = (made: Font | FontCollection): Font =>
  'fonts' in made ? (made as FontCollection).fonts[0]! : (made as Font);

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
  const ascent = typo?.typoAscender ?? font.ascent;
  return {
    unitsPerEm: font.unitsPerEm,
    ascent,
    descent: -(typo?.typoDescender ?? font.descent),
    lineGap: typo?.typoLineGap ?? font.lineGap,
    xHeight: (os2?.xHeight || heightOf('x', font)) ?? ascent,
    capHeight: (os2?.capHeight || heightOf('H', font)) ?? ascent,
    average: os2?.xAvgCharWidth || font.unitsPerEm / 2,
    widest: head ? head.xMax - head.xMin : font.unitsPerEm,
    holds: (feature) => known(() => (font.availableFeatures as readonly string[]).includes(feature)) ?? false,
    featured: (asked) => wrap(font, asked),
    has: (code) => known(() => holds(font, code)) ?? false,
    advance: (text, kerning) => shaped(font, text, asked(settings, kerning)).advanceWidth,
    outline: (text, kerning) => outlineOf(font, text, asked(settings, kerning)),
  };
}

/** How high a letter is, font units; null in a font without it. An empty one counts as half an em, as browsers have it. */
function heightOf(letter: string, font: Font): number | null {
  const code = letter.codePointAt(0)!;
  const read = () => (font.hasGlyphForCodePoint(code) ? font.glyphForCodePoint(code).bbox.maxY : null);
  const height = known(read);
  return height === 0 ? font.unitsPerEm / 2 : height;
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
