import {
  isIdent,
  printLength,
  printNumber,
  printPx,
  px,
  readAngle,
  readLength,
  readNumber,
  resolveLength,
  splitCommas,
  type Component,
  type Computation,
  type LengthPercentage,
} from '../values/index.js';
import { affecting, keyword, lengthOr, row, single, text } from './define.js';

/** Absolute-size keywords, px. @spec css-fonts-4 §3.5.1 */
export const KEYWORD_SIZES = {
  'xx-small': 9,
  'x-small': 10,
  small: 13,
  medium: 16,
  large: 18,
  'x-large': 24,
  'xx-large': 32,
  'xxx-large': 48,
} as const;

const isSizeKeyword = (name: string): name is keyof typeof KEYWORD_SIZES => Object.hasOwn(KEYWORD_SIZES, name);

/** A computed font size in px; the context's em is the parent's size. @spec css-fonts-4 §3.5 */
function readFontSize(item: Component): Computation<number> | null {
  if (item.type === 'ident') {
    if (item.name === 'smaller') return (c) => Math.fround(c.fontSize / 1.2);
    if (item.name === 'larger') return (c) => Math.fround(c.fontSize * 1.2);
    if (item.name === '-webkit-xxx-large') return () => 48;
    const { name } = item;
    return isSizeKeyword(name) ? () => KEYWORD_SIZES[name] : null;
  }
  const read = readLength(item, { negative: false });
  return read ? (c) => Math.fround(Math.min(10_000, Math.max(0, resolveLength(read(c), c.fontSize)))) : null;
}

function readWeight(item: Component): Computation<number> | null {
  if (item.type === 'ident') {
    if (item.name === 'normal') return () => 400;
    if (item.name === 'bold') return () => 700;
    if (item.name === 'bolder')
      return (c) =>
        c.parentFontWeight < 350 ? 400 : c.parentFontWeight < 550 ? 700 : Math.max(900, c.parentFontWeight);
    if (item.name === 'lighter')
      return (c) =>
        c.parentFontWeight < 100
          ? c.parentFontWeight
          : c.parentFontWeight < 550
            ? 100
            : c.parentFontWeight < 750
              ? 400
              : 700;
    return null;
  }
  const read = readNumber(item, { min: 1 });
  return read && !(item.type === 'number' && item.value > 1000) ? read : null;
}

export interface FontFamily {
  readonly name: string;
  /** A keyword of CSS such as sans-serif, not a name in quotes. */
  readonly generic: boolean;
}

const GENERIC = new Set([
  'serif',
  'sans-serif',
  'monospace',
  'cursive',
  'fantasy',
  'system-ui',
  'ui-serif',
  'ui-sans-serif',
  'ui-monospace',
  'ui-rounded',
  'math',
  'emoji',
  'fangsong',
  '-apple-system',
  'blinkmacsystemfont',
]);
const KEYWORDS_BARRED = new Set(['inherit', 'initial', 'unset', 'revert', 'revert-layer', 'default']);

/** @spec css-fonts-4 §3.1 */
export function parseFamilies(items: readonly Component[]): Computation<readonly FontFamily[]> | null {
  const out: FontFamily[] = [];
  for (const part of splitCommas(items)) {
    const [first] = part;
    if (first?.type === 'string' && part.length === 1) out.push({ name: first.value, generic: false });
    else if (part.length > 0 && part.every((p): p is Extract<Component, { type: 'ident' }> => p.type === 'ident')) {
      if (part.length === 1 && KEYWORDS_BARRED.has(part[0]!.name)) return null;
      const name = part.map((p) => p.raw).join(' ');
      out.push({ name, generic: part.length === 1 && GENERIC.has(part[0]!.name) });
    } else return null;
  }
  const families = Object.freeze(out);
  return () => families;
}

const printFamilies = (families: readonly FontFamily[]) =>
  families
    .map((f) => (f.generic || /^[a-z_-][\w-]*$/i.test(f.name) ? f.name : `"${f.name.replace(/["\\]/g, '\\$&')}"`))
    .join(', ');

/** `normal`, a multiple of the font size, or px. @spec css-inline-3 §5.1 */
export type LineHeight = 'normal' | { readonly factor: number } | { readonly px: number };

function readLineHeight(item: Component): Computation<LineHeight> | null {
  if (isIdent(item, 'normal')) return () => 'normal';
  const factor = readNumber(item, { min: 0 });
  if (factor) return (c) => ({ factor: factor(c) });
  const read = readLength(item, { negative: false });
  return read ? (c) => ({ px: resolveLength(read(c), c.fontSize) }) : null;
}

const printLineHeight = (value: LineHeight, fontSize: number) =>
  value === 'normal' ? 'normal' : printPx('factor' in value ? value.factor * fontSize : value.px);

/** Degrees of an oblique face; `italic` counts as a style of its own. */
export type FontStyle = 'normal' | 'italic' | 'oblique';
function parseFontStyle(items: readonly Component[]): Computation<FontStyle> | null {
  const [first, second] = items;
  if (items.length === 1 && isIdent(first, 'normal', 'italic', 'oblique')) {
    const { name } = first as Extract<Component, { type: 'ident' }>;
    return () => name as FontStyle;
  }
  return items.length === 2 && isIdent(first, 'oblique') && readAngle(second) ? () => 'oblique' : null;
}

const spacing = () =>
  row<LengthPercentage>(
    px(0),
    single((item) => (isIdent(item, 'normal') ? () => px(0) : readLength(item))),
    (v) => (v.px === 0 && v.percent === 0 && !v.curve ? 'normal' : printLength(v)),
    { inherited: true, percent: 'font-size' },
  );

export const FONTS = affecting('text', {
  fontSize: row<number>(16, single(readFontSize), printPx, { inherited: true, percent: 'font-size' }),
  fontWeight: row<number>(400, single(readWeight), printNumber, { inherited: true }),
  fontStyle: row<FontStyle>('normal', parseFontStyle, (v) => v, { inherited: true }),
  fontFamily: row<readonly FontFamily[]>([{ name: 'Times New Roman', generic: false }], parseFamilies, printFamilies, {
    inherited: true,
  }),
  fontStretch: text('100%', undefined, { inherited: true }),
  fontVariantCaps: keyword(
    ['normal', 'small-caps', 'all-small-caps', 'petite-caps', 'all-petite-caps', 'unicase', 'titling-caps'],
    { inherited: true },
  ),
  fontVariantLigatures: text('normal', undefined, { inherited: true }),
  fontVariantNumeric: text('normal', undefined, { inherited: true }),
  fontFeatureSettings: text('normal', undefined, { inherited: true }),
  fontVariationSettings: text('normal', undefined, { inherited: true }),
  fontKerning: keyword(['auto', 'normal', 'none'], { inherited: true }),
  fontSizeAdjust: text('none', undefined, { inherited: true }),
  fontOpticalSizing: keyword(['auto', 'none'], { inherited: true }),
  lineHeight: row<LineHeight>('normal', single(readLineHeight), (v, c) => printLineHeight(v, c.fontSize), {
    inherited: true,
    percent: 'font-size',
  }),
  letterSpacing: spacing(),
  wordSpacing: spacing(),
  textRendering: keyword(['auto', 'optimizespeed', 'optimizelegibility', 'geometricprecision'], { inherited: true }),
  webkitFontSmoothing: text('auto', undefined, { inherited: true }),
  webkitTextSizeAdjust: text('auto', undefined, { inherited: true }),
  tabSize: row<number | LengthPercentage>(
    8,
    single<number | LengthPercentage>(
      (item) => readNumber(item, { min: 0 }) ?? readLength(item, { percent: false, negative: false }),
    ),
    (v) => (typeof v === 'number' ? printNumber(v) : printLength(v)),
    { inherited: true },
  ),
  textIndent: lengthOr(0, [], {}, { inherited: true, percent: 'inline-size' }),
} as const);
