import { resolveLength } from '../../../css/index.js';
import type { ComputedStyle } from '../../../cascade/index.js';
import type { Layout } from '../../layout.js';
import { faceIn, usedFontSize, type Face, type TextMetrics } from '../../text/index.js';

/** How a style sets text; lengths in px. */
interface Type {
  readonly metrics: TextMetrics;
  readonly face: Face;
  readonly size: number;
  readonly kerning: boolean;
  readonly letter: number;
  readonly word: number;
}

const types = new WeakMap<ComputedStyle, Type>();

function typeOf(style: ComputedStyle, { metrics }: Pick<Layout, 'metrics'>): Type {
  const known = types.get(style);
  if (known?.metrics === metrics) return known;
  const { fontSize } = style;
  const face = faceIn(style, metrics);
  const made: Type = {
    metrics,
    face,
    size: usedFontSize(style, face),
    kerning: style.fontKerning !== 'none',
    letter: resolveLength(style.letterSpacing, fontSize),
    word: resolveLength(style.wordSpacing, fontSize),
  };
  types.set(style, made);
  return made;
}

/** @see usedFontSize */
export const sizeOf = (style: ComputedStyle, layout: Pick<Layout, 'metrics'>): number => typeOf(style, layout).size;

/** The face a style is set in; remembered by style. */
export const faceOf = (style: ComputedStyle, layout: Pick<Layout, 'metrics'>): Face => typeOf(style, layout).face;

const SEPARATORS = /[ \u00a0\u1361\u{10100}\u{10101}\u{1039f}\u{1091f}]/gu;

/** How many characters separate words in a text. @spec css-text-4 §8.1 (word-separator characters) */
export const separatorsIn = (text: string): number => text.match(SEPARATORS)?.length ?? 0;

const CURSIVE =
  /^[\p{Script=Arabic}\p{Script=Hanifi_Rohingya}\p{Script=Mandaic}\p{Script=Mongolian}\p{Script=Nko}\p{Script=Phags_Pa}\p{Script=Syriac}]$/u;
const PLAIN = /^[\x20-\x7e]*$/;
const UNSPACED = /[\u200b\n\p{M}\p{Cf}]/gu;

/**
 * How many characters of a text are spaced: marks stand with their letters, and letters that join one another, with the
 * digits and signs among them, stay together.
 * @spec css-text-4 §8.2 (letter-spacing; cursive scripts)
 */
function lettersIn(text: string): number {
  if (PLAIN.test(text)) return text.length;
  let count = 0;
  let joined = false;
  for (const c of text.replace(UNSPACED, '')) {
    if (CURSIVE.test(c)) joined = true;
    else if (/\p{L}/u.test(c)) joined = false;
    if (!joined || c === ' ') count++;
  }
  return count;
}

/** Width of text in a style, letter and word spacing included. */
export function textWidth(text: string, style: ComputedStyle, layout: Pick<Layout, 'metrics'>): number {
  const { face, size, kerning, letter, word } = typeOf(style, layout);
  let width = face.width(text, size, kerning);
  if (letter !== 0) width += letter * lettersIn(text);
  if (word !== 0) width += word * separatorsIn(text);
  return width;
}
