/** Applies text-transform to one text run; `before` is the character in front of it. @spec css-text-3 §2.1 */
export function transformText(text: string, transform: string, before: string): string {
  if (transform === 'none') return text;
  let out = text;
  const names = transform.split(' ');
  if (names.includes('uppercase')) out = out.toUpperCase();
  else if (names.includes('lowercase')) out = out.toLowerCase();
  else if (names.includes('capitalize')) out = capitalise(out, before);
  return out;
}

function capitalise(text: string, before: string): string {
  let inWord = /[\p{L}\p{N}'’]$/u.test(before);
  let out = '';
  for (const character of text) {
    const letter = /[\p{L}\p{N}]/u.test(character);
    out += letter && !inWord ? character.toUpperCase() : character;
    inWord = letter || (inWord && /['’\u00ad\p{M}]/u.test(character));
  }
  return out;
}
