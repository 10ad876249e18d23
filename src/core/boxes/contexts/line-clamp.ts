import { establishesFormattingContext, isFloating, isOutOfFlow, type Box } from '../box.js';
import { makeFragment, type Fragment, type Placed } from '../fragment.js';
import type { Layout } from '../layout.js';
import { clampHeight, frameHeight } from '../used/sizes.js';
import type { Content } from './content.js';
import { NO_STRUT } from './margins.js';

/** Lines a block container shows; Infinity where it is not clamped. */
function linesShown({ anonymous, style }: Box): number {
  const most = Number.parseInt(style.webkitLineClamp, 10);
  // What was declared an old flexible box is a block container for this alone.
  return anonymous || !(most > 0) || !/flex$/.test(style.specifiedDisplay) ? Infinity : most;
}

/**
 * Content of a block container that is clamped to some lines, of those that fit into it: it and what holds the last of
 * them end there, and what follows counts no longer.
 * @param room the most its content may be high, px
 * @spec css-overflow-4 §4.4 (-webkit-line-clamp; what happens to blocks inside is as browsers have it)
 */
export function clamped(box: Box, content: Content, room: number, { limits }: Layout): Content {
  const asked = linesShown(box);
  if (asked === Infinity) return content;
  const { lineEnds, children } = content;
  const ends = lineEnds ?? [...endsOf(children, 0)];
  const fitting = ends.findIndex((end) => end > room);
  const most = fitting < 0 ? asked : Math.min(asked, fitting);
  if (most === 0) return { ...content, height: 0, end: NO_STRUT };
  if (lineEnds) {
    if (lineEnds.length >= most) return { ...content, height: lineEnds[most - 1]!, end: NO_STRUT };
    if (content.height > (lineEnds.at(-1) ?? 0)) noteBlocks(box, limits);
    return content;
  }
  if (!goesOn(children, { lines: most })) return content;
  const cut = cutBlocks(children, { lines: most });
  return cut.end === null ? content : { ...content, children: cut.children, height: cut.end, end: NO_STRUT };
}

const noteBlocks = ({ element }: Box, limits: Layout['limits']): void =>
  limits.add('unsupported', 'line-clamp', 'lines of blocks inside of inline boxes are all shown', element?.startTag);

interface Left {
  lines: number;
}

const isBeside = ({ box }: Fragment): boolean => isOutOfFlow(box) || isFloating(box);

/** Whether a block's lines are among those that are counted. */
const counts = ({ box, kind }: Fragment): boolean =>
  kind === 'box' && box.inner === 'flow' && box.outer === 'block' && !establishesFormattingContext(box);

/** Where the lines that count end, px. */
function* endsOf(children: readonly Placed[], top: number): Generator<number> {
  for (const { fragment, y } of children) {
    if (isBeside(fragment) || !counts(fragment)) continue;
    const { lineEnds } = fragment;
    if (lineEnds.length > 0) yield* lineEnds.map((end) => top + y + end);
    else yield* endsOf(fragment.children, top + y);
  }
}

/** Whether anything in flow stands behind the last line that is shown. */
function goesOn(children: readonly Placed[], left: Left): boolean {
  return children.some(({ fragment }) => {
    if (isBeside(fragment)) return false;
    if (left.lines === 0) return true;
    if (!counts(fragment)) return false;
    const { lineEnds } = fragment;
    if (lineEnds.length === 0) return goesOn(fragment.children, left);
    if (lineEnds.length > left.lines) return true;
    left.lines -= lineEnds.length;
    return false;
  });
}

/** Blocks cut behind the last line that is shown, and where it ends; null where it is not among them. */
function cutBlocks(children: readonly Placed[], left: Left): { children: readonly Placed[]; end: number | null } {
  let end: number | null = null;
  let moved = 0;
  const out = children.map((child): Placed => {
    const { fragment, y } = child;
    if (end !== null) return { ...child, y: y + moved };
    if (isBeside(fragment) || !counts(fragment)) return child;
    const made = cutBlock(fragment, left);
    if (left.lines > 0) return child;
    end = y + made.height;
    moved = made.height - fragment.height;
    return { ...child, fragment: made };
  });
  return { children: out, end };
}

function cutBlock(fragment: Fragment, left: Left): Fragment {
  const { box, padding, border, lineEnds } = fragment;
  const below = padding.bottom + border.bottom;
  let { children } = fragment;
  let end: number | null;
  if (lineEnds.length > 0) {
    end = lineEnds[left.lines - 1] ?? null;
    left.lines = Math.max(0, left.lines - lineEnds.length);
  } else ({ children, end } = cutBlocks(fragment.children, left));
  if (end === null) return fragment;
  const specified = !box.anonymous && box.style.height !== 'auto';
  const frame = { border, padding };
  const height = specified
    ? fragment.height
    : clampHeight(box, Math.max(frameHeight(frame), end + below), NaN, frame, () => fragment.height);
  return makeFragment({ ...fragment, children, height });
}
