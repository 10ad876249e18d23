/** Forms of a letter: standing alone, joined to the one before, to the one after, to both. */
type Forms = readonly string[];

const ALONE = 0;
const AFTER = 1;
const BEFORE = 2;
const BETWEEN = 3;

const TATWEEL = '\u0640';
const JOINER = '\u200d';
const MARK = /\p{Mn}/u;
const LAM = '\u0644';

let known: ReadonlyMap<string, Forms> | null = null;

/**
 * Presentation forms by the letters they stand for. Unicode lists them letter by letter, in the order of `Forms`;
 * the older block goes first where a letter has forms in both.
 */
function forms(): ReadonlyMap<string, Forms> {
  if (known) return known;
  const found = new Map<string, string[]>();
  for (const [first, last] of [
    [0xfe80, 0xfefc],
    [0xfb50, 0xfbff],
  ] as const)
    for (let code = first; code <= last; code++) {
      const form = String.fromCodePoint(code);
      const base = form.normalize('NFKC');
      if (base !== form) found.set(base, [...(found.get(base) ?? []), form]);
    }
  return (known = found);
}

export const isArabic = (text: string): boolean => /[\u0620-\u06d5]/.test(text);

const joinsBefore = (letter: string | undefined): boolean =>
  letter !== undefined && (letter === TATWEEL || letter === JOINER || (forms().get(letter)?.length ?? 0) >= 4);
const joinsAfter = (letter: string | undefined): boolean =>
  letter !== undefined && (letter === TATWEEL || letter === JOINER || (forms().get(letter)?.length ?? 0) >= 2);

/** Arabic letters in the forms they take beside each other, lam and alef as one. @spec Unicode §9.2 (cursive joining) */
export function joinedForms(text: string): string {
  const characters = [...text];
  const letters = characters.flatMap((c, i) => (MARK.test(c) ? [] : [i]));
  const out = [...characters];
  for (let n = 0; n < letters.length; n++) {
    const at = letters[n]!;
    const letter = characters[at]!;
    const before = characters[letters[n - 1]!];
    const after = characters[letters[n + 1]!];
    const ligature = letter === LAM && after !== undefined ? forms().get(letter + after) : undefined;
    const previous = joinsBefore(before) && joinsAfter(letter);
    if (ligature) {
      out[at] = ligature[previous ? AFTER : ALONE] ?? letter;
      out[letters[n + 1]!] = '';
      n++;
      continue;
    }
    const own = forms().get(letter);
    if (!own) continue;
    const next = joinsBefore(letter) && joinsAfter(after);
    out[at] = own[previous && next ? BETWEEN : next ? BEFORE : previous ? AFTER : ALONE] ?? own[ALONE]!;
  }
  return out.join('');
}
