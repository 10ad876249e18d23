import type { Span } from '../base/index.js';
import { compileMedia } from '../css/index.js';
import { widthQuestions, type Look, type Program } from '../scripts/index.js';
import type { SheetThreshold } from '../sheets/index.js';
import { setting, type Setting } from './setting.js';

/** A width scripts are looked at for what they ask. */
const LOOKED_AT = 1280;
/** More questions than this are no breakpoints of a page. */
const MOST = 24;

/** A page's scripts, and how they are looked at. */
interface Asking {
  readonly program: Program;
  look(s: Setting): Look;
}

/** Widths at which scripts decide otherwise, as conditions: media queries they ask, comparisons of the window's width. */
export function scriptThresholds(scripted: Asking): readonly SheetThreshold[] {
  const { program } = scripted;
  const found = new Map<string, { px: number; side: 'from' | 'above'; places: { text: string; span: Span }[] }>();
  const add = (px: number, side: 'from' | 'above', text: string, span: Span) => {
    const key = `${px} ${side}`;
    const known = found.get(key);
    if (!known) found.set(key, { px, side, places: [{ text, span }] });
    else if (!known.places.some((place) => place.text === text)) known.places.push({ text, span });
  };
  for (const { query, span } of program.mediaAsked(scripted.look(setting(LOOKED_AT))))
    for (const { px, side } of compileMedia(query).thresholds) add(px, side, query, span);
  for (const { source } of program.scripts)
    for (const { px, side, span } of source ? widthQuestions(source) : [])
      add(px, side, side === 'from' ? `(width >= ${px}px)` : `(width > ${px}px)`, span);
  return found.size > MOST ? [] : [...found.values()].sort(byWidth);
}

/** In order of px, `from` before `above`. */
export const byWidth = (a: SheetThreshold, b: SheetThreshold): number =>
  a.px - b.px || (a.side === b.side ? 0 : a.side === 'from' ? -1 : 1);
