import { breaksBetween } from './break-pairs.js';

/** Stands for an atomic inline in the text of a paragraph. */
export const OBJECT = '\ufffc';

/** Offsets at which a paragraph may be broken (before the character at the offset), forced breaks left out. */
export type LineBreaks = (text: string) => Set<number>;

/** Letters, digits and punctuation of European scripts, arrows and icon glyphs: what the short rules are right for. */
const SHORT =
  /^[\u0009-\u007e\u00a0-\u024f\u0370-\u03ff\u0400-\u052f\u200b\u2013\u2014\u2018-\u201e\u2022\u2026\u20ac\u2190-\u21ff\u2500-\u25ff\ue000-\uf8ff\ufffc]*$/;

/** Whether a text needs the full rules of UAX 14. */
export const needsFullBreaks = (text: string): boolean => !SHORT.test(text);

/** Space in front of which no line ends, and behind which any may. */
const SPACE = /[ \n\t\u200b]/;

const GLUE = /[\s\u200b\ufffc]/;

/** Whether the pairs decide between two characters even where the full rules are in use. */
export const isShortPair = (before: string, after: string): boolean =>
  SHORT.test(before + after) && !GLUE.test(before + after);

/**
 * Break opportunities of European text: after spaces, around objects, and between the pairs that break.
 * @spec UAX 14, the part that concerns these characters; css-text-3 §5.1 (objects beside U+00A0)
 */
export const shortBreaks: LineBreaks = (text) => {
  const out = new Set<number>();
  for (let i = 1; i < text.length; i++) {
    const before = text[i - 1]!;
    const after = text[i]!;
    if (SPACE.test(after)) continue;
    if (before === ' ' || before === '\t' || before === '\u200b') out.add(i);
    else if (before === '\n') continue;
    else if (before === OBJECT || after === OBJECT) out.add(i);
    else if (before === '\u00a0' || after === '\u00a0') continue;
    else if (breaksBetween(before, after, text[i - 2] ?? '')) out.add(i);
  }
  return out;
};
