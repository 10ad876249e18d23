/** Stands for an atomic inline in the text of a paragraph. */
export const OBJECT = '\ufffc';

/** Offsets at which a paragraph may be broken (before the character at the offset), forced breaks left out. */
export type LineBreaks = (text: string) => Set<number>;

/** Letters, digits and punctuation of European scripts, arrows and icon glyphs: what the short rules are right for. */
const SHORT =
  /^[\u0009-\u007e\u00a0-\u024f\u0370-\u03ff\u0400-\u052f\u200b\u2013\u2014\u2018-\u201e\u2022\u2026\u20ac\u2190-\u21ff\u2500-\u25ff\ue000-\uf8ff\ufffc]*$/;

/** Whether a text needs the full rules of UAX 14. */
export const needsFullBreaks = (text: string): boolean => !SHORT.test(text);

const LETTER = /[A-Za-z\u00c0-\u024f\u0370-\u03ff\u0400-\u052f]/;
const ALPHANUMERIC = /[A-Za-z0-9\u00c0-\u024f\u0370-\u03ff\u0400-\u052f]/;

/**
 * Break opportunities of European text: after spaces, after hyphens between letters, around dashes and objects.
 * @spec UAX 14, the part that concerns these characters
 */
export const shortBreaks: LineBreaks = (text) => {
  const out = new Set<number>();
  for (let i = 1; i < text.length; i++) {
    const before = text[i - 1]!;
    const after = text[i]!;
    if (after === ' ' || after === '\n' || after === '\t' || after === '\u200b') continue;
    if (before === ' ' || before === '\t' || before === '\u200b') out.add(i);
    else if (before === '\u00a0' || after === '\u00a0') continue;
    else if (before === OBJECT || after === OBJECT) out.add(i);
    else if (before === '-' && LETTER.test(after) && i > 1 && ALPHANUMERIC.test(text[i - 2]!)) out.add(i);
    else if (before === '?' && ALPHANUMERIC.test(after)) out.add(i);
    else if (before === '\u2013' && LETTER.test(after)) out.add(i);
    else if ((before === '\u2014' && ALPHANUMERIC.test(after)) || (after === '\u2014' && before !== '\u2014'))
      out.add(i);
    else if (before === '\u00ad') out.add(i);
  }
  return out;
};
