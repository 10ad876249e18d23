import LineBreaker from 'linebreak';
import { breaksBetween } from './break-pairs.js';
import { isShortPair, type LineBreaks } from './breaks.js';

/**
 * Break opportunities by the whole of UAX 14. Loading its tables takes a while: only pages that need them should.
 * @spec UAX 14
 */
export const fullBreaks: LineBreaks = (text) => {
  const out = new Set<number>();
  const breaker = new LineBreaker(text);
  for (let next = breaker.nextBreak(); next; next = breaker.nextBreak()) {
    if (next.position <= 0 || next.position >= text.length) continue;
    out.add(next.position);
  }
  for (let i = 1; i < text.length; i++) {
    if (!isShortPair(text[i - 1]!, text[i]!)) continue;
    if (breaksBetween(text[i - 1]!, text[i]!, text[i - 2] ?? '')) out.add(i);
    else out.delete(i);
  }
  return out;
};
