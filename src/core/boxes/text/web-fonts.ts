import { grouped } from '../../base/index.js';
import type { FontFamily } from '../../css/index.js';
import { isSpaceOfSize, madeSpace } from './spaces.js';
import type { Features, FeatureSettings } from './features.js';
import { withLeading, type Extent } from './extent.js';
import { scaledEm, type Face, type FontRun, type TextMetrics } from './metrics.js';
import { smallCapsFace } from './small-caps.js';
import { split } from './split.js';

/** The values an axis of a variable font may take. */
interface AxisRange {
  readonly min: number;
  readonly max: number;
}

/** By tag. */
export type FontAxes = Readonly<Partial<Record<string, AxisRange>>>;

/** What layout needs of an opened font file; lengths in font units. */
export interface OpenFont {
  readonly unitsPerEm: number;
  readonly ascent: number;
  /** Below the baseline, positive. */
  readonly descent: number;
  readonly lineGap: number;
  readonly xHeight: number;
  readonly capHeight: number;
  /** Average and greatest width of a glyph. */
  readonly average: number;
  readonly widest: number;
  /** Axes along which its glyphs vary, by tag, and the same font at values of them. @spec css-fonts-4 §7.12 */
  readonly axes?: FontAxes;
  at?(settings: Readonly<Record<string, number>>): OpenFont;
  /** Whether it holds an OpenType feature, by tag, and the same font with some of them set. @spec css-fonts-4 §7 */
  holds?(feature: string): boolean;
  featured?(settings: FeatureSettings): OpenFont;
  has(codePoint: number): boolean;
  /** Advance of a run shaped as a whole. */
  advance(text: string, kerning: boolean): number;
  /** Outlines of such a run. */
  outline(text: string, kerning: boolean): readonly Glyph[];
}

/** One drawn glyph; lengths in font units, y up. */
export interface Glyph {
  /** SVG path data. */
  readonly path: string;
  readonly x: number;
  readonly y: number;
}

/** One face a page declares, with its file opened. */
export interface WebFace {
  readonly family: string;
  /** Lightest and heaviest weight it serves: what the rule says, or the file. */
  readonly weights: readonly [number, number];
  readonly italic: boolean;
  /** First and last code points it serves; null for all. @spec css-fonts-4 §4.5 (unicode-range) */
  readonly characters: readonly (readonly [number, number])[] | null;
  /** Factors and overrides of the rule; null where it has none. @spec css-fonts-5 §4.9, css-fonts-4 §11.2 */
  readonly sizeAdjust: number;
  readonly ascentOverride: number | null;
  readonly descentOverride: number | null;
  readonly lineGapOverride: number | null;
  readonly font: OpenFont;
}

/** Whether a face is used for a character. */
const serves = (face: WebFace, code: number): boolean => claims(face, code) && face.font.has(code);

const claims = ({ characters }: WebFace, code: number): boolean =>
  characters === null || characters.some(([first, last]) => code >= first && code <= last);

/** Whether a face makes a character, a space of some size, from its plain one. */
const isMade = ({ font }: WebFace, code: number): boolean => isSpaceOfSize(code) && !font.has(code);

const LETTERS = [...'aeinorst'].map((letter) => letter.codePointAt(0)!);

/** A page's own fonts in front of the bundled tables. */
export function webMetrics(faces: readonly WebFace[], base: TextMetrics): TextMetrics {
  const byFamily = grouped(faces, ({ family }) => family.toLowerCase());
  const known = new Map<readonly FontFamily[], Map<string, Face>>();
  return {
    isSymbolic(families) {
      const there = families.find((f) => byFamily.has(f.name.toLowerCase()) || base.knows(f.name));
      const own = there && byFamily.get(there.name.toLowerCase());
      return own !== undefined && own.every((face) => !LETTERS.some((letter) => serves(face, letter)));
    },
    knows: (family) => byFamily.has(family.toLowerCase()) || base.knows(family),
    face(families, weight, italic, features = null) {
      let byCut = known.get(families);
      if (!byCut) known.set(families, (byCut = new Map()));
      const key = `${weight} ${italic} ${features?.key ?? ''}`;
      let face = byCut.get(key);
      if (!face) byCut.set(key, (face = pick(families, weight, italic, features)));
      return face;
    },
  };

  function pick(families: readonly FontFamily[], weight: number, italic: boolean, features: Features | null): Face {
    const at = families.findIndex((f) => byFamily.has(f.name.toLowerCase()) || base.knows(f.name));
    const own = at < 0 ? undefined : byFamily.get(families[at]!.name.toLowerCase());
    if (!own) return base.face(families, weight, italic, features);
    const cut = bestCut(own, weight, italic);
    const caps = features?.caps;
    const drawn = !caps || cut.every(({ font }) => caps.tags.every((tag) => font.holds?.(tag)));
    const settings = {
      ...(caps && drawn ? Object.fromEntries(caps.tags.map((tag) => [tag, 1])) : {}),
      ...features?.settings,
    };
    const inner = features && !drawn ? { ...features, caps: null, key: `${features.key} made` } : features;
    const rest = webMetrics(faces, base).face(families.slice(at + 1), weight, italic, inner);
    const face = new WebFontFace(cut, weight, Object.keys(settings).length > 0 ? settings : null, rest);
    return drawn ? face : smallCapsFace(face, caps!.made);
  }
}

/** The faces of a family nearest to a weight and style; several where the family is split by characters. @spec css-fonts-4 §5.2 */
function bestCut(faces: readonly WebFace[], weight: number, italic: boolean): readonly WebFace[] {
  const sameStyle = faces.filter((f) => f.italic === italic);
  const pool = sameStyle.length > 0 ? sameStyle : faces;
  const distance = ({ weights: [low, high] }: WebFace): number => {
    if (weight >= low && weight <= high) return 0;
    const gap = weight < low ? low - weight : weight - high;
    return gap + 1000 * detour(low, high);
  };
  // Heavy weights look up first and light ones down; the middle looks up to 500, then down, then up.
  const detour = (low: number, high: number): number => {
    if (weight > 500) return Number(high < weight);
    if (weight < 400) return Number(low > weight);
    if (low > 500) return 2;
    return Number(high < weight);
  };
  const least = Math.min(...pool.map(distance));
  // Of rules that serve the same character the last one counts.
  return pool.filter((f) => distance(f) === least).reverse();
}

const SPACE = 0x20;

/** Widths of a text in em: what fonts of the family set, and what others do. */
interface Widths {
  readonly own: number;
  readonly others: number;
}

class WebFontFace implements Face {
  readonly name: string;
  /** The face that gives line heights; null where none claims the space: the next family does then. */
  readonly #lead: WebFace | null;
  readonly #widths = new Map<string, Widths>();
  /** Glyphs differ by size. */
  readonly #sized: boolean;
  readonly #featured = new WeakMap<OpenFont, OpenFont>();
  /** What of a text no face of the family has. */
  readonly #lacking = new Map<string, string>();

  constructor(
    readonly faces: readonly WebFace[],
    private readonly weight: number,
    private readonly settings: FeatureSettings | null,
    readonly fallback: Face,
  ) {
    this.#sized = faces.some(({ font }) => font.axes?.['opsz']);
    this.#lead = faces.find((f) => serves(f, SPACE)) ?? faces.find((f) => claims(f, SPACE)) ?? null;
    this.name = faces[0]!.family;
  }

  width(text: string, size: number, kerning: boolean): number {
    const key = `${this.#sized ? size : ''}${kerning ? ' ' : '\0'}${text}`;
    let em = this.#widths.get(key);
    if (em === undefined) {
      if (this.#widths.size > 20_000) this.#widths.clear();
      em = this.#measure(text, size, kerning);
      this.#widths.set(key, em);
    }
    return em.own * scaledEm(size, (this.#lead ?? this.faces[0]!).font.unitsPerEm) + em.others * size;
  }

  /** Runs of one font are shaped together, what no font of the family has is set in the next family. */
  #measure(text: string, size: number, kerning: boolean): Widths {
    let own = 0;
    let others = 0;
    let run = '';
    let owner: WebFace | null = null;
    const flush = () => {
      if (run === '') return;
      if (owner) own += (this.#fontOf(owner, size).advance(run, kerning) / owner.font.unitsPerEm) * owner.sizeAdjust;
      else others += this.fallback.width(run, 64, kerning) / 64;
      run = '';
    };
    for (const character of text) {
      const code = character.codePointAt(0)!;
      const next = this.#ownerOf(code);
      if (next && isMade(next, code)) {
        flush();
        own += this.#madeSpace(next, code, size);
        continue;
      }
      if (next !== owner) flush();
      owner = next;
      run += character;
    }
    flush();
    return { own, others };
  }

  /** The face that draws a character, be it as the box the first of all has for what no font draws. */
  #ownerOf(code: number): WebFace | null {
    const owner = this.#holderOf(code);
    if (owner || this.fallback.draws(code)) return owner;
    return this.faces.find((f) => claims(f, code)) ?? null;
  }

  /** The face that has a character, be it a space it makes from its plain one. */
  #holderOf(code: number): WebFace | null {
    const owner = this.faces.find((f) => serves(f, code));
    if (owner || !isSpaceOfSize(code)) return owner ?? null;
    return this.faces.find((f) => claims(f, code) && f.font.has(SPACE)) ?? null;
  }

  has(code: number): boolean {
    return this.#holderOf(code) !== null;
  }

  draws(code: number): boolean {
    return this.has(code) || this.fallback.draws(code);
  }

  /** In em. */
  #madeSpace(face: WebFace, code: number, size: number): number {
    const font = this.#fontOf(face, size);
    const advanceOf = (c: number) => (font.has(c) ? font.advance(String.fromCodePoint(c), false) : undefined);
    return ((madeSpace(code, font.unitsPerEm, advanceOf) ?? 0) / font.unitsPerEm) * face.sizeAdjust;
  }

  /** The file of a face with the features asked for, at the weight and the optical size a variable one is used with. */
  #fontOf(face: WebFace, size: number): OpenFont {
    const font = this.#varied(face, size);
    if (!this.settings || !font.featured) return font;
    let made = this.#featured.get(font);
    if (!made) this.#featured.set(font, (made = font.featured(this.settings)));
    return made;
  }

  /** @spec css-fonts-4 §5.2, §6.13 */
  #varied({ font, weights: [low, high] }: WebFace, size: number): OpenFont {
    if (!font.axes || !font.at) return font;
    const { wght, opsz } = font.axes;
    const held = (value: number, { min, max }: AxisRange) => Math.max(min, Math.min(max, value));
    return font.at({
      ...(wght && { wght: held(Math.max(low, Math.min(high, this.weight)), wght) }),
      ...(opsz && { opsz: held(size, opsz) }),
    });
  }

  /** A metric of the face that leads, in em. */
  #share(of: 'ascent' | 'descent' | 'lineGap' | 'xHeight' | 'capHeight' | 'average' | 'widest', lead: WebFace): number {
    const override = of === 'ascent' || of === 'descent' || of === 'lineGap' ? lead[`${of}Override`] : null;
    return (override ?? lead.font[of] / lead.font.unitsPerEm) * lead.sizeAdjust;
  }

  runs(text: string, size: number): readonly FontRun[] {
    const drawn = (c: string): WebFace | 'made' | null => {
      const owner = this.#ownerOf(c.codePointAt(0)!);
      return owner && isMade(owner, c.codePointAt(0)!) ? 'made' : owner;
    };
    return split(text, drawn).flatMap(({ key, text: part }): readonly FontRun[] => {
      if (key === 'made') return [{ text: part, font: null, name: 'missing', scale: 1 }];
      return key
        ? [{ text: part, font: this.#fontOf(key, size), name: key.family, scale: key.sizeAdjust }]
        : this.fallback.runs(part, size);
    });
  }

  reach(text: string, size: number): Extent | null {
    let rest = this.#lacking.get(text);
    if (rest === undefined) {
      const lacks = (c: string) => !/[\t\n\r\u200b]/.test(c) && this.#ownerOf(c.codePointAt(0)!) === null;
      rest = [...text].filter(lacks).join('');
      if (this.#lacking.size > 20_000) this.#lacking.clear();
      this.#lacking.set(text, rest);
    }
    if (rest === '') return null;
    const { fallback } = this;
    const beyond = fallback.reach(rest, size);
    if (![...rest].some((c) => fallback.has(c.codePointAt(0)!))) return beyond;
    const content = { above: fallback.ascent(size), below: fallback.descent(size) };
    const own = withLeading(content, fallback.lineHeight(size));
    return {
      above: Math.max(own.above, beyond?.above ?? 0),
      below: Math.max(own.below, beyond?.below ?? 0),
    };
  }

  ascent(size: number): number {
    return this.#lead ? Math.round(this.#share('ascent', this.#lead) * size) : this.fallback.ascent(size);
  }
  descent(size: number): number {
    return this.#lead ? Math.round(this.#share('descent', this.#lead) * size) : this.fallback.descent(size);
  }
  lineHeight(size: number): number {
    if (!this.#lead) return this.fallback.lineHeight(size);
    return this.ascent(size) + this.descent(size) + Math.round(this.#share('lineGap', this.#lead) * size);
  }
  xHeight(size: number): number {
    return this.#lead ? this.#share('xHeight', this.#lead) * size : this.fallback.xHeight(size);
  }
  capHeight(size: number): number {
    return this.#lead ? this.#share('capHeight', this.#lead) * size : this.fallback.capHeight(size);
  }
  average(size: number): number {
    return this.#lead ? this.#share('average', this.#lead) * size : this.fallback.average(size);
  }
  widest(size: number): number {
    return this.#lead ? this.#share('widest', this.#lead) * size : this.fallback.widest(size);
  }
}
