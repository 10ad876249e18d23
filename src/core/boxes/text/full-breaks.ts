import LineBreaker from 'linebreak';
import type { LineBreaks } from './breaks.js';

/**
 * Break opportunities by the whole of UAX 14. Loading its tables takes a while: only pages that need them should.
 * @spec UAX 14
 */
export const fullBreaks: LineBreaks = (text) => {
  const out = new Set<number>();
  const breaker = new LineBreaker(text);
  for (let next = breaker.nextBreak(); next; next = breaker.nextBreak()) {
    if (next.position <= 0 || next.position >= text.length) continue;
    // A slash between letters is kept whole by browsers.
    if (text[next.position - 1] === '/' && /[A-Za-z]/.test(text[next.position]!)) continue;
    out.add(next.position);
  }
  return out;
};
