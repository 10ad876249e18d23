/** Neighbouring characters that share a key, as runs. */
export function split<K>(text: string, keyOf: (character: string) => K): { key: K; text: string }[] {
  const out: { key: K; text: string }[] = [];
  for (const character of text) {
    const key = keyOf(character);
    const last = out[out.length - 1];
    if (last && last.key === key) last.text += character;
    else out.push({ key, text: character });
  }
  return out;
}
