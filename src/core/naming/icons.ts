import type { TextMetrics } from '../boxes/index.js';
import type { ComputedStyle } from '../cascade/index.js';

const NAMED = /(^|[\s_-])(icons?|iconfont|symbols?|glyphs?)($|[\s_-])|icons?$/i;

/** Whether a style's text is set in a font that holds pictures instead of letters. */
export const isIconFont = (style: ComputedStyle, metrics: TextMetrics): boolean =>
  NAMED.test(style.fontFamily[0]?.name ?? '') || metrics.isSymbolic(style.fontFamily);

/** A text without the glyphs that have no meaning of their own. @spec Unicode §23.5 (private use) */
export const withoutPrivate = (text: string): string => text.replace(/\p{Co}/gu, '');

/** Whether a text is nothing but such glyphs. */
export const isPrivate = (text: string): boolean => /\p{Co}/u.test(text) && withoutPrivate(text).trim() === '';
