import type { TextMetrics } from '../boxes/index.js';
import type { ComputedStyle } from '../cascade/index.js';

const NAMED = /(^|[\s_-])(icons?|iconfont|symbols?|glyphs?)($|[\s_-])|icons?$/i;

/** Whether a style's text is set in a font that holds pictures instead of letters. */
export const isIconFont = (style: ComputedStyle, metrics: TextMetrics): boolean =>
  NAMED.test(style.fontFamily[0]?.name ?? '') || metrics.isSymbolic(style.fontFamily);

/** Whether a text is nothing but glyphs without a meaning of their own. @spec Unicode §23.5 (private use) */
export const isPrivate = (text: string): boolean =>
  /[\ue000-\uf8ff]|[\u{f0000}-\u{10fffd}]/u.test(text) &&
  text.replace(/[\s\ue000-\uf8ff]|[\u{f0000}-\u{10fffd}]/gu, '') === '';
