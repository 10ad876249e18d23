import type { ComputedStyle } from '../../cascade/index.js';
import type { Box } from '../box.js';
import type { Layout } from '../layout.js';
import { usedBorder, usedPadding } from '../used/edges.js';
import { faceOf, sizeOf } from './inline/set-text.js';
import type { InlineResult } from './inline/space.js';

/** At which ends the lines of a block are trimmed. */
export interface Trim {
  readonly start: boolean;
  readonly end: boolean;
}

export const NO_TRIM: Trim = { start: false, end: false };

/** What a block container trims: what it is asked, and what those around it ask of their first and last lines. */
export function trimOf({ anonymous, style }: Box, passed: Trim): Trim {
  const { textBoxTrim: own } = style;
  if (anonymous || own === 'none') return passed;
  return {
    start: passed.start || own !== 'trim-end',
    end: passed.end || own !== 'trim-start',
  };
}

/** What a block passes on to a child: edges between keep it from the lines. @spec css-inline-3 §5.2 */
export function passedTo(child: Box, { start, end }: Trim): Trim {
  if (!start && !end) return NO_TRIM;
  const border = usedBorder(child);
  const padding = usedPadding(child, NaN);
  const bare = (side: 'top' | 'bottom') => border[side] === 0 && padding[side] === 0;
  return { start: start && bare('top'), end: end && bare('bottom') };
}

/** Says where trimming is not followed. */
export const noteUntrimmed = (box: Box, why: string, { limits }: Layout): void =>
  limits.add('unsupported', 'text-box-trim', why, box.element?.startTag ?? null);

/** Key of a trim among what layout remembers. */
export const trimKey = ({ start, end }: Trim): string => `${start ? '/start' : ''}${end ? '/end' : ''}`;

/** Lines cut to the edges of their text: those of the first line above, those of the last below. @spec css-inline-3 §5.2 */
export function trimmed<R extends InlineResult>(lines: R, style: ComputedStyle, trim: Trim, layout: Layout): R {
  const { baseline, lastBaseline, height } = lines;
  if ((!trim.start && !trim.end) || baseline === null || lastBaseline === null) return lines;
  const { above, below } = edgesOf(style, layout);
  const up = trim.start ? baseline - above : 0;
  // What a break clears behind the last line stays.
  const cleared = height > (lines.lineEnds.at(-1) ?? height);
  const cut = trim.end && !cleared ? height - lastBaseline - below : 0;
  return {
    ...lines,
    children: lines.children.map((child) => ({ ...child, y: child.y - up })),
    outOfFlow: lines.outOfFlow.map((entry) => ({ ...entry, y: entry.y - up })),
    lineEnds: lines.lineEnds.map((end) => end - up),
    linesReach: { ...lines.linesReach, bottom: lines.linesReach.bottom - up },
    baseline: baseline - up,
    lastBaseline: lastBaseline - up,
    height: height - up - cut,
  };
}

/** How far the text reaches to its chosen edges from the baseline, px. */
function edgesOf(style: ComputedStyle, layout: Layout): { readonly above: number; readonly below: number } {
  const face = faceOf(style, layout);
  const size = sizeOf(style, layout);
  const [over, under = 'text'] = style.textBoxEdge.split(' ');
  const above = over === 'cap' ? face.capHeight(size) : over === 'ex' ? face.xHeight(size) : face.ascent(size);
  return { above: Math.round(above * 64) / 64, below: under === 'alphabetic' ? 0 : face.descent(size) };
}
