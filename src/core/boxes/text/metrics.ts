import type { FontFamily } from '../../css/index.js';
import type { Features } from './features.js';
import type { OpenFont } from './web-fonts.js';
import { scriptOf } from './scripts.js';
import { smallCapsFace } from './small-caps.js';
import { split } from './split.js';
import { isSpaceOfSize, madeSpace } from './spaces.js';
import type { Extent } from './extent.js';
import { isArabic, joinedForms } from './arabic.js';
import tables from './advances.json' with { type: 'json' };

/** A run of text set in one font file: that of the page, or a shipped one by name. */
export interface FontRun {
  readonly text: string;
  readonly font: OpenFont | null;
  /** `sans bold`, `fallback` or `missing` for shipped faces. */
  readonly name: string;
  /** Factor on the font size. */
  readonly scale: number;
  /** Its width, px, where that is not the width of its text at the font size. */
  readonly width?: number;
}

/** One face of a font: advances in font units, vertical metrics in px by size. */
export interface Face {
  readonly name: string;
  /** Width of a text set in one run, px; kerned unless told otherwise. */
  width(text: string, size: number, kerning: boolean): number;
  ascent(size: number): number;
  descent(size: number): number;
  /** Line height `normal`, px. */
  lineHeight(size: number): number;
  xHeight(size: number): number;
  capHeight(size: number): number;
  /** Average and greatest width of a glyph, px: text controls are sized by them. */
  average(size: number): number;
  widest(size: number): number;
  /** Whether it draws a character itself, be it a space it makes from another, and whether any font does in its place. */
  has(code: number): boolean;
  draws(code: number): boolean;
  /** The font files a text is drawn with at a size in px, run by run. */
  runs(text: string, size: number): readonly FontRun[];
  /**
   * How far the fonts that stand in for missing glyphs reach where a text needs them, with half of their leading on
   * each side, px; null where it needs none.
   */
  reach(text: string, size: number): Extent | null;
}

/** The seam between layout and fonts. */
export interface TextMetrics {
  /** Whether a family name stands for something these metrics hold. */
  knows(family: string): boolean;
  face(families: readonly FontFamily[], weight: number, italic: boolean, features?: Features | null): Face;
  /** Whether the first family that is there holds pictures instead of letters. */
  isSymbolic(families: readonly FontFamily[]): boolean;
}

/** What characters without a glyph take: the width they have in their own scripts' fonts, or that of the missing-glyph box. */
export type Missing = 'assumed' | 'boxes';

interface FallbackTable {
  readonly unitsPerEm: number;
  readonly ascent: number;
  readonly descent: number;
  readonly lineGap: number;
  readonly advances: readonly (readonly number[])[];
}

interface FaceTable {
  readonly missing: number;
  readonly unitsPerEm: number;
  readonly ascent: number;
  readonly descent: number;
  readonly lineGap: number;
  readonly xHeight: number;
  readonly capHeight: number;
  readonly average: number;
  readonly widest: number;
  readonly advances: readonly (readonly number[])[];
  readonly kerning: Readonly<Record<string, Readonly<Record<string, number>>>>;
}

type Kind = 'sans' | 'serif' | 'mono' | 'wide';

/** Names whose advances the tables hold: the families themselves and those they are metric-compatible with. */
const KNOWN: Readonly<Record<string, Kind>> = {
  'sans-serif': 'sans',
  arial: 'sans',
  helvetica: 'sans',
  arimo: 'sans',
  'liberation sans': 'sans',
  'dejavu sans': 'wide',
  // The name fontconfig has for the system's own.
  sans: 'sans',
  'system-ui': 'sans',
  'ui-sans-serif': 'sans',
  'ui-rounded': 'sans',
  cursive: 'sans',
  fantasy: 'sans',
  emoji: 'sans',
  math: 'sans',
  fangsong: 'sans',
  serif: 'serif',
  times: 'serif',
  'times new roman': 'serif',
  tinos: 'serif',
  'liberation serif': 'serif',
  'ui-serif': 'serif',
  monospace: 'mono',
  courier: 'mono',
  'courier new': 'mono',
  cousine: 'mono',
  'liberation mono': 'mono',
  'ui-monospace': 'mono',
};

/** Advance of characters no table holds: wide scripts and pictures take the whole em. */
const WIDE =
  /[\u1100-\u115f\u2e80-\ua4cf\uac00-\ud7a3\uf900-\ufaff\ufe30-\ufe4f\uff00-\uff60\u{1f300}-\u{1faff}\u{20000}-\u{3fffd}]/u;
const ZERO_WIDTH = /[\t\n\r\u00ad\u061c\u200b-\u200f\u202a-\u202e\u2060-\u2064\ufeff\ufe00-\ufe0f\u180e\u0300-\u036f]/;
/** What no font draws: control characters, those of no letter of their own, and those of private use. @spec css-text-3 §2 */
const UNDRAWN = /[\0-\u001f\u007f-\u009f\ue000-\uf8ff\ufff9-\ufffc]/;
const SEPARATORS = /[\u2028\u2029]/;
const FALLBACK_ADVANCE = 0.6;

/**
 * The em glyphs are really scaled to, px: sizes are cut to 64ths of a px, and font units are scaled by a fixed-point
 * factor of 16 binary places, as font rasterisers do. It shows where many glyphs add up to just over a border.
 */
export function scaledEm(size: number, unitsPerEm: number): number {
  const factor = Math.round((Math.trunc(size * 64) * 65536) / unitsPerEm);
  return (factor * unitsPerEm) / 64 / 65536;
}

const byCode = (runs: readonly (readonly number[])[]): Map<number, number> => {
  const map = new Map<number, number>();
  for (const [first, ...list] of runs) list.forEach((advance, i) => map.set(first! + i, advance));
  return map;
};

/** The family that stands in for characters the default ones lack. */
const FALLBACK = tables.fallback as FallbackTable;
let fallbackAdvances: ReadonlyMap<number, number> | null = null;
const fallbackAdvance = (code: number): number | undefined =>
  (fallbackAdvances ??= byCode(FALLBACK.advances)).get(code);

class TableFace implements Face {
  readonly #advances: ReadonlyMap<number, number>;
  readonly #kerning: FaceTable['kerning'];
  readonly #widths = new Map<string, number>();
  readonly #reaching = new Map<string, boolean>();

  constructor(
    readonly name: string,
    readonly table: FaceTable,
    readonly missing: Missing,
  ) {
    this.#advances = byCode(table.advances);
    this.#kerning = table.kerning;
  }

  width(text: string, size: number, kerning: boolean): number {
    const key = kerning ? text : `\0${text}`;
    let units = this.#widths.get(key);
    if (units === undefined) {
      if (this.#widths.size > 20_000) this.#widths.clear();
      units = this.#measure(text, kerning);
      this.#widths.set(key, units);
    }
    return (units * scaledEm(size, this.table.unitsPerEm)) / this.table.unitsPerEm;
  }

  #measure(text: string, kerning: boolean): number {
    let units = 0;
    let before = '';
    let script = '';
    for (const character of isArabic(text) ? joinedForms(text) : text) {
      units += this.#advance(character);
      // Nothing is kerned across scripts: they are shaped one by one.
      const own = scriptOf(character);
      if (own !== '' && own !== script) {
        if (script !== '') before = '';
        script = own;
      }
      // The space that does not break is the same glyph.
      const glyph = character === '\u00a0' ? ' ' : character;
      if (kerning && before !== '') units += this.#kerning[before]?.[glyph] ?? 0;
      before = glyph;
    }
    return units;
  }

  #advance(character: string): number {
    if (ZERO_WIDTH.test(character)) return 0;
    if (SEPARATORS.test(character)) return this.#advance(' ');
    const code = character.codePointAt(0)!;
    const known = this.#advances.get(code);
    if (known !== undefined) return known;
    if (UNDRAWN.test(character)) return this.table.missing;
    const made = madeSpace(code, this.table.unitsPerEm, (c) => this.#advances.get(c));
    if (made !== null) return made;
    const other = fallbackAdvance(code);
    if (other !== undefined) return (other / FALLBACK.unitsPerEm) * this.table.unitsPerEm;
    if (this.missing === 'boxes') return this.table.missing;
    return this.table.unitsPerEm * (WIDE.test(character) ? 1 : FALLBACK_ADVANCE);
  }

  has(code: number): boolean {
    return this.#advances.has(code) || isSpaceOfSize(code);
  }

  /** Other fonts are looked through for letters alone: what stands for none is a box of the first one. */
  draws(code: number): boolean {
    const character = String.fromCodePoint(code);
    if (this.has(code) || ZERO_WIDTH.test(character) || SEPARATORS.test(character)) return true;
    return !UNDRAWN.test(character) && (this.missing === 'assumed' || fallbackAdvance(code) !== undefined);
  }

  runs(text: string): readonly FontRun[] {
    const nameOf = (character: string): string => {
      const code = character.codePointAt(0)!;
      if (this.#advances.has(code) || ZERO_WIDTH.test(character)) return this.name;
      return isSpaceOfSize(code) || UNDRAWN.test(character) || fallbackAdvance(code) === undefined
        ? 'missing'
        : 'fallback';
    };
    return split(text, nameOf).map(({ key, text: part }) => ({ text: part, font: null, name: key, scale: 1 }));
  }

  reach(text: string, size: number): Extent | null {
    let reaching = this.#reaching.get(text);
    if (reaching === undefined) {
      reaching = [...text].some((c) => {
        const code = c.codePointAt(0)!;
        return !this.has(code) && !ZERO_WIDTH.test(c) && !UNDRAWN.test(c) && fallbackAdvance(code) !== undefined;
      });
      if (this.#reaching.size > 20_000) this.#reaching.clear();
      this.#reaching.set(text, reaching);
    }
    if (!reaching) return null;
    const round = (units: number) => Math.round((units / FALLBACK.unitsPerEm) * size);
    return { above: round(FALLBACK.ascent), below: round(FALLBACK.descent) };
  }

  ascent(size: number): number {
    return Math.round((this.table.ascent / this.table.unitsPerEm) * size);
  }
  descent(size: number): number {
    return Math.round((this.table.descent / this.table.unitsPerEm) * size);
  }
  lineHeight(size: number): number {
    return this.ascent(size) + this.descent(size) + Math.round((this.table.lineGap / this.table.unitsPerEm) * size);
  }
  xHeight(size: number): number {
    return (this.table.xHeight / this.table.unitsPerEm) * size;
  }
  capHeight(size: number): number {
    return (this.table.capHeight / this.table.unitsPerEm) * size;
  }
  average(size: number): number {
    return (this.table.average / this.table.unitsPerEm) * scaledEm(size, this.table.unitsPerEm);
  }
  widest(size: number): number {
    return (this.table.widest / this.table.unitsPerEm) * scaledEm(size, this.table.unitsPerEm);
  }
}

const faces = new Map<string, Face>();

function tableFace(kind: Kind, bold: boolean, italic: boolean, missing: Missing): Face {
  // The slanted cuts of the wide family measure as the upright ones.
  const slanted = italic && kind !== 'wide';
  const cut = bold ? (slanted ? 'boldItalic' : 'bold') : slanted ? 'italic' : 'regular';
  const key = `${kind} ${cut} ${missing}`;
  let face = faces.get(key);
  if (!face) {
    const table = (tables as unknown as Record<Kind, Record<string, FaceTable>>)[kind][cut]!;
    face = new TableFace(`${kind} ${cut}`, table, missing);
    faces.set(key, face);
  }
  return face;
}

const resolved = new WeakMap<readonly FontFamily[], Kind>();

/** The first family of the list that is known; browsers end at their standard font, a serif. */
function kindOf(families: readonly FontFamily[]): Kind {
  let kind = resolved.get(families);
  if (!kind) {
    kind = families.map((f) => KNOWN[f.name.toLowerCase()]).find((k) => k !== undefined) ?? 'serif';
    resolved.set(families, kind);
  }
  return kind;
}

const metricsOf = (missing: Missing): TextMetrics => ({
  knows: (family) => family.toLowerCase() in KNOWN,
  isSymbolic: () => false,
  face(families, weight, italic, features) {
    const face = tableFace(kindOf(families), weight >= 600, italic, missing);
    return features?.caps ? smallCapsFace(face, features.caps.made) : face;
  },
});

/** Metrics from the shipped advance tables. */
export const bundledMetrics: TextMetrics = metricsOf('assumed');
/** The same on a machine that has no other fonts: what they lack is set as boxes. */
export const bareMetrics: TextMetrics = metricsOf('boxes');
