import type { Reading } from '../reading.js';
import { Pattern } from '../values.js';

/** Patterns in which one text can be matched in ever so many ways are not tried: that could take for ever. */
const COSTLY = /\([^)]*[+*{][^)]*\)\s*[+*{]|\\[1-9]/;
const MOST = 300;

/** A regular expression of a script; one that could run away is kept unknown. @spec ecma-262 §22.2.4 */
export function makePattern(reading: Reading, source: string, flags: string): Pattern {
  let regexp: RegExp | null = null;
  if (source.length <= MOST && !COSTLY.test(source))
    try {
      regexp = new RegExp(source, flags);
    } catch {
      regexp = null;
    }
  return new Pattern(reading.realm.protos.regexp, regexp);
}

/** Longer texts are not searched. */
export const SEARCHED = 5_000;
