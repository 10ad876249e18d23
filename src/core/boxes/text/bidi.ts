import bidiFactory, { type Bidi } from 'bidi-js';

let bidi: Bidi | null = null;

/** Embedding level of each character, formatting characters included, and whether the first paragraph runs from the right. @spec uax9 */
export function embeddingLevels(
  text: string,
  base: 'ltr' | 'rtl' | 'auto',
): { readonly levels: Uint8Array; readonly rtl: boolean } {
  bidi ??= bidiFactory();
  const { levels, paragraphs } = bidi.getEmbeddingLevels(text, base);
  return { levels, rtl: (paragraphs[0]?.level ?? 0) % 2 === 1 };
}

const BACKWARDS =
  /[\u0590-\u08ff\u202b\u202d-\u202e\u2067-\u2068\ufb1d-\ufdff\ufe70-\ufefc]|[\ud802\ud803\ud83a\ud83b]/;

/** Whether text may have parts that run from right to left. */
export const mayRunBackwards = (text: string): boolean => BACKWARDS.test(text);
