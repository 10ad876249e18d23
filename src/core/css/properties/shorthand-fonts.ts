import { isIdent, type Component } from '../values/index.js';
import { parseFamilies } from './fonts.js';
import { type Piece, type Shorthand, accepts } from './shorthand-parts.js';

/** @spec css-fonts-4 §3.7 */
const FONT_LONGHANDS = [
  'font-style',
  'font-variant-caps',
  'font-weight',
  'font-stretch',
  'font-size',
  'line-height',
  'font-family',
  'font-size-adjust',
  'font-kerning',
  'font-variant-ligatures',
  'font-variant-numeric',
  'font-feature-settings',
  'font-variation-settings',
  'font-optical-sizing',
];

/** Size of the fonts of the system where the browser shows no window, px. */
const SYSTEM_SIZE = 16;
const SYSTEM_FONTS = ['caption', 'icon', 'menu', 'message-box', 'small-caption', 'status-bar'];

const STRETCHES =
  /^(ultra-condensed|extra-condensed|condensed|semi-condensed|semi-expanded|expanded|extra-expanded|ultra-expanded)$/;

export const font: Shorthand = {
  longhands: FONT_LONGHANDS,
  expand: (items) => {
    if (items.length === 1 && isIdent(items[0], ...SYSTEM_FONTS))
      return { 'font-size': () => SYSTEM_SIZE, 'font-family': () => [{ name: 'Arial', generic: false }] };
    const pieces: Record<string, Piece> = {};
    let i = 0;
    for (; i < items.length && i < 4; i++) {
      const item = items[i]!;
      if (isIdent(item, 'normal')) continue;
      if (isIdent(item) && STRETCHES.test((item as { name: string }).name)) pieces['font-stretch'] = [item];
      else if (accepts('font-style', [item])) pieces['font-style'] = [item];
      else if (isIdent(item, 'small-caps')) pieces['font-variant-caps'] = [item];
      else if (accepts('font-weight', [item])) pieces['font-weight'] = [item];
      else break;
    }
    const size = items[i];
    if (!size || !accepts('font-size', [size])) return null;
    pieces['font-size'] = [size];
    let rest = items.slice(i + 1);
    if (rest[0]?.type === 'delim' && rest[0].value === '/') {
      if (!rest[1] || !accepts('line-height', [rest[1]])) return null;
      pieces['line-height'] = [rest[1]];
      rest = rest.slice(2);
    }
    const families = rest.length > 0 ? parseFamilies(rest) : null;
    return families ? { ...pieces, 'font-family': families } : null;
  },
};

const VARIANTS: readonly (readonly [string, RegExp])[] = [
  ['font-variant-caps', /^(small-caps|all-small-caps|petite-caps|all-petite-caps|unicase|titling-caps)$/],
  ['font-variant-ligatures', /^((no-)?(common|discretionary|historical)-ligatures|(no-)?contextual)$/],
  [
    'font-variant-numeric',
    /^((lining|oldstyle|proportional|tabular)-nums|(diagonal|stacked)-fractions|ordinal|slashed-zero)$/,
  ],
];
/** Words of longhands that are not followed. */
const OTHER_VARIANTS =
  /^(sub|super|text|emoji|unicode|historical-forms|jis(78|83|90|04)|simplified|traditional|(full|proportional)-width|ruby)$/;

/** @spec css-fonts-4 §6.11 */
export const fontVariant: Shorthand = {
  longhands: VARIANTS.map(([name]) => name),
  expand: (items) => {
    if (items.length === 1 && isIdent(items[0], 'none')) return { 'font-variant-ligatures': [items[0]!] };
    if (items.length === 1 && isIdent(items[0], 'normal')) return {};
    const pieces: Record<string, Component[]> = {};
    for (const item of items) {
      if (!isIdent(item)) return null;
      const word = (item as { name: string }).name.toLowerCase();
      const longhand = VARIANTS.find(([, words]) => words.test(word))?.[0];
      if (longhand) (pieces[longhand] ??= []).push(item);
      else if (!OTHER_VARIANTS.test(word)) return null;
    }
    return items.length === 0 || (pieces['font-variant-caps']?.length ?? 0) > 1 ? null : pieces;
  },
};
