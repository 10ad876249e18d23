import type { ComputedStyle } from '../../cascade/index.js';

/** OpenType features by tag: 0 off, 1 on, more where a font has alternatives. */
export type FeatureSettings = Readonly<Record<string, number>>;

/** How small capitals are made of a font that has none: of lower-case letters, of capitals, of all characters. */
export type SmallCaps = 'lower' | 'upper' | 'all';

/** What a style asks of a font beyond its plain glyphs. */
export interface Features {
  readonly key: string;
  readonly settings: FeatureSettings;
  /** Features of small capitals, and how they are made without these; null where none are asked for. */
  readonly caps: { readonly tags: readonly string[]; readonly made: SmallCaps } | null;
}

/** @spec css-fonts-4 §6.6 (font-variant-caps) */
const CAPS: Readonly<Record<string, Features['caps']>> = {
  'small-caps': { tags: ['smcp'], made: 'lower' },
  'petite-caps': { tags: ['pcap'], made: 'lower' },
  'all-small-caps': { tags: ['smcp', 'c2sc'], made: 'all' },
  'all-petite-caps': { tags: ['pcap', 'c2pc'], made: 'all' },
  unicase: { tags: ['unic'], made: 'upper' },
};

const OPTIONAL = ['liga', 'clig', 'dlig', 'hlig', 'calt'];

/** @spec css-fonts-4 §6.4, §6.6, §6.7 (font-variant-ligatures, -caps, -numeric) */
const WORDS: Readonly<Record<string, FeatureSettings>> = {
  'common-ligatures': { liga: 1, clig: 1 },
  'no-common-ligatures': { liga: 0, clig: 0 },
  'discretionary-ligatures': { dlig: 1 },
  'no-discretionary-ligatures': { dlig: 0 },
  'historical-ligatures': { hlig: 1 },
  'no-historical-ligatures': { hlig: 0 },
  contextual: { calt: 1 },
  'no-contextual': { calt: 0 },
  none: Object.fromEntries(OPTIONAL.map((tag) => [tag, 0])),
  'titling-caps': { titl: 1 },
  'lining-nums': { lnum: 1 },
  'oldstyle-nums': { onum: 1 },
  'proportional-nums': { pnum: 1 },
  'tabular-nums': { tnum: 1 },
  'diagonal-fractions': { frac: 1 },
  'stacked-fractions': { afrc: 1 },
  ordinal: { ordn: 1 },
  'slashed-zero': { zero: 1 },
};

const SETTING = /["'](.{4})["']\s*(on|off|\d+)?/g;

const known = new WeakMap<ComputedStyle, Features | null>();

/** The features a style asks for; null where it asks for none. @spec css-fonts-4 §7.2 (feature precedence) */
export function featuresOf(style: ComputedStyle): Features | null {
  let found = known.get(style);
  if (found === undefined) known.set(style, (found = read(style)));
  return found;
}

function read(style: ComputedStyle): Features | null {
  const { fontVariantCaps, fontVariantLigatures, fontVariantNumeric, fontFeatureSettings, letterSpacing } = style;
  const caps = CAPS[fontVariantCaps] ?? null;
  const settings: Record<string, number> = {};
  // Letters set apart are not joined. CSS Text 3 §8.2
  if (letterSpacing.px !== 0 || letterSpacing.percent !== 0) Object.assign(settings, WORDS['none']);
  for (const word of `${fontVariantLigatures} ${fontVariantCaps} ${fontVariantNumeric}`.split(' '))
    Object.assign(settings, WORDS[word]);
  for (const [, tag, value] of fontFeatureSettings.matchAll(SETTING))
    settings[tag!] = value === 'off' ? 0 : value === undefined || value === 'on' ? 1 : Number(value);
  const written = Object.entries(settings);
  if (written.length === 0 && caps === null) return null;
  return { key: `${written.map(([tag, value]) => `${tag}${value}`).join()} ${fontVariantCaps}`, settings, caps };
}
