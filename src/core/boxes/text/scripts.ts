/** Scripts that text is told apart by when it is shaped. */
const SCRIPTS = (
  'Latin Greek Cyrillic Armenian Georgian Hebrew Arabic Syriac Thaana Devanagari Bengali Gurmukhi Gujarati Oriya ' +
  'Tamil Telugu Kannada Malayalam Sinhala Thai Lao Tibetan Myanmar Khmer Mongolian Ethiopic Cherokee Hangul ' +
  'Hiragana Katakana Bopomofo Han Yi'
)
  .split(' ')
  .map((name) => [name, new RegExp(`^\\p{Script=${name}}$`, 'u')] as const);

const known = new Map<string, string>();

/** Script of a character; empty for those that all scripts share, such as spaces and punctuation. @spec uax24 */
export function scriptOf(character: string): string {
  if (character < '\u0080') return /[A-Za-z]/.test(character) ? 'Latin' : '';
  let script = known.get(character);
  if (script === undefined)
    known.set(character, (script = SCRIPTS.find(([, pattern]) => pattern.test(character))?.[0] ?? ''));
  return script;
}

/** Script at the end of a text: shared characters take that of what is in front of them. @spec uax24 §5.2 */
export function scriptAtEnd(text: string): string {
  let last = '';
  for (const character of text) last = scriptOf(character) || last;
  return last;
}
