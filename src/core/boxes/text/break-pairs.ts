/**
 * Where a line may end between two characters of European text. Browsers decide between ASCII characters by a table
 * of their own and between others by UAX 14; these are the pairs as Chromium breaks them.
 */

const set = (characters: string): ReadonlySet<string> => new Set(characters);
const LETTERS = 'abcdefghijklmnopqrstuvwxyzABCDEFGHIJKLMNOPQRSTUVWXYZ';
const DIGITS = '0123456789';

const OPENERS = set('(<[{');
const BEFORE_OPENERS = set('!"#%&)*+,.:;=>\\]|}~');
const ALPHANUMERIC = set(LETTERS + DIGITS);
const AFTER_HYPHEN = set(`${LETTERS}"#%&'(*+-<=>@[\\^_\`{|~`);
const AFTER_QUESTION = set(`${LETTERS}${DIGITS}#$%&(*+-<=>@[\\^_\`{|~`);

/** Between two ASCII characters that are no spaces. */
function asciiBreak(before: string, after: string, second: string): boolean {
  if (before === '-') return DIGITS.includes(after) ? ALPHANUMERIC.has(second) : AFTER_HYPHEN.has(after);
  if (before === '?') return AFTER_QUESTION.has(after);
  return OPENERS.has(after) && BEFORE_OPENERS.has(before);
}

const EN_DASH = '\u2013';
const EM_DASH = '\u2014';
/** After these, lines may end before letters, digits and most signs. */
const ENDERS = set('\u2013\u2014\u2026\u00ad');
const NOT_BEFORE_DASH = set(`([{"'\u2014\u00ad`);
/** Never on either side of them. */
const QUOTES = /[\u00ab\u00bb\u2018-\u201e\u2039\u203a]/;
const NEVER_BEFORE = /[\u2013\u2026\u00ad]/;
/** Signs before and after numbers, and opening marks: classes PR, PO and OP of UAX 14. */
const NUMBER_SIGNS = set('\u00a1\u00a2\u00a3\u00a4\u00a5\u00b0\u00b1\u00bf\u20ac\u2212');
const OPENING_MARKS = set('\u00a1\u00bf');
const BEFORE_NUMBER_SIGNS = set('$%)+,.:;]\\');
const BEFORE_OTHERS = set('-/?!}|');
const AFTER_NUMBER_SIGNS = set('$%(+[{\\');
const AFTER_ENDERS = set(`${LETTERS}${DIGITS}$%(+&[{<>=@#*~_\\^\``);

/** A dash at the start of a word stays with it. @spec UAX 14 LB20a */
const STARTS_WORD = /^[\s\u200b\ufffc]?$/;
const IN_WORD = /^[\p{L}#&*<=>@^_`|~]$/u;

const isAscii = (character: string): boolean => character < '\u0080';

function otherBreak(before: string, after: string, second: string): boolean {
  if (QUOTES.test(before) || QUOTES.test(after) || NEVER_BEFORE.test(after)) return false;
  if (after === EM_DASH) return !NOT_BEFORE_DASH.has(before) && !OPENING_MARKS.has(before);
  if (before === EN_DASH && STARTS_WORD.test(second) && IN_WORD.test(after)) return false;
  if (ENDERS.has(before)) return !isAscii(after) || AFTER_ENDERS.has(after);
  if (isAscii(after)) return NUMBER_SIGNS.has(before) && !OPENING_MARKS.has(before) && AFTER_NUMBER_SIGNS.has(after);
  if (BEFORE_OTHERS.has(before)) return before !== '-' || !/^[\s-]?$/.test(second);
  if (!NUMBER_SIGNS.has(after) || OPENING_MARKS.has(before)) return false;
  return BEFORE_NUMBER_SIGNS.has(before) || NUMBER_SIGNS.has(before);
}

/**
 * Whether a line may end between two neighbours that are neither spaces nor glue.
 * @param second the character in front of `before`, empty at the start
 */
export const breaksBetween = (before: string, after: string, second: string): boolean =>
  isAscii(before) && isAscii(after) ? asciiBreak(before, after, second) : otherBreak(before, after, second);

/** Marks that stay with what is behind them, and those that stay with what is in front. */
const STAYS_BEFORE = set(`'([{`);
const STAYS_BEHIND = set(`!"%'),./:;?]}\u00b0\u2013\u2026`);
const NOT_BEHIND_POINTS = set('$\\');
/** Breaks after them are the same as elsewhere. */
const AS_ELSEWHERE = set('"$-\\\u00a3\u00a4\u00a5\u20ac\u2013\u2212');

/** The same where words may be broken: between letters and digits too, punctuation keeps its place. @spec css-text-3 §5.2 (break-all) */
export function breaksInsideWords(before: string, after: string): boolean {
  if (/\s/.test(before + after)) return false;
  if (STAYS_BEFORE.has(before) || QUOTES.test(before) || QUOTES.test(after)) return false;
  if (AS_ELSEWHERE.has(before)) return breaksBetween(before, after, 'a');
  if (',.:;'.includes(before) && NOT_BEHIND_POINTS.has(after)) return false;
  return !STAYS_BEHIND.has(after);
}
