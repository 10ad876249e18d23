import { distance } from 'fastest-levenshtein';
import { compareText } from './limits.js';

/** The names most like a word, the nearest first; none where all are far off. */
export function nearest(word: string, names: readonly string[], most = 1): readonly string[] {
  const far = Math.max(2, Math.floor(word.length * 0.4));
  return names
    .map((name) => ({ name, steps: distance(word.toLowerCase(), name.toLowerCase()) }))
    .filter(({ steps }) => steps <= far)
    .sort((a, b) => a.steps - b.steps || compareText(a.name, b.name))
    .slice(0, most)
    .map(({ name }) => name);
}
