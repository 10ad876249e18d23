import LineBreaker from 'linebreak';

/** Stands for an atomic inline in the text of a paragraph. */
export const OBJECT = '\ufffc';

const SIMPLE = /^[\u0009-\u007e\u00a0]*$/;

/**
 * Offsets at which a paragraph may be broken (before the character at the offset), forced breaks left out.
 * @spec UAX 14; ASCII follows the same rules by a shorter way
 */
export function breakOffsets(text: string): Set<number> {
  return SIMPLE.test(text) ? simpleBreaks(text) : unicodeBreaks(text);
}

function simpleBreaks(text: string): Set<number> {
  const out = new Set<number>();
  for (let i = 1; i < text.length; i++) {
    const before = text[i - 1]!;
    const after = text[i]!;
    if (after === ' ' || after === '\n' || after === '\t') continue;
    if (before === ' ' || before === '\t') out.add(i);
    else if (before === '-' && /[A-Za-z]/.test(after) && i > 1 && /[A-Za-z0-9]/.test(text[i - 2]!)) out.add(i);
    else if (before === '?' && /[A-Za-z0-9]/.test(after)) out.add(i);
  }
  return out;
}

function unicodeBreaks(text: string): Set<number> {
  const out = new Set<number>();
  const breaker = new LineBreaker(text);
  for (let next = breaker.nextBreak(); next; next = breaker.nextBreak()) {
    if (next.position <= 0 || next.position >= text.length) continue;
    // A slash between letters is kept whole by browsers.
    if (text[next.position - 1] === '/' && /[A-Za-z]/.test(text[next.position]!)) continue;
    out.add(next.position);
  }
  return out;
}
