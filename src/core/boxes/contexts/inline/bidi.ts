import type { Box } from '../../box.js';
import { embeddingLevels, mayRunBackwards, OBJECT } from '../../text/index.js';
import type { Item } from './items.js';

/** Embedding levels of each item's characters; even ones run from left to right. */
export type Levels = readonly Uint8Array[];

/** Formatting characters a box's unicode-bidi stands for. @spec css-writing-modes-4 §2.4.2 */
function controlsOf({ style }: Box): readonly [string, string] {
  const rtl = style.direction === 'rtl';
  switch (style.unicodeBidi) {
    case 'embed':
      return [rtl ? '\u202b' : '\u202a', '\u202c'];
    case 'isolate':
      return [rtl ? '\u2067' : '\u2066', '\u2069'];
    case 'bidi-override':
      return [rtl ? '\u202e' : '\u202d', '\u202c'];
    case 'isolate-override':
      return [`\u2068${rtl ? '\u202e' : '\u202d'}`, '\u202c\u2069'];
    case 'plaintext':
      return ['\u2068', '\u2069'];
    default:
      return ['', ''];
  }
}

function needsLevels(block: Box, items: readonly Item[], text: string): boolean {
  return (
    block.style.direction === 'rtl' ||
    mayRunBackwards(text) ||
    items.some((item) => item.kind === 'open' && item.box.style.direction === 'rtl')
  );
}

/** The text the bidirectional algorithm sees, and where in it each item begins. */
function spelledOut(
  items: readonly Item[],
  [before, after]: readonly [string, string],
): { text: string; starts: number[] } {
  const open: Box[] = [];
  const starts: number[] = [];
  let text = before;
  for (const { kind, box, ...item } of items) {
    if (kind === 'open') {
      open.push(box);
      text += controlsOf(box)[0];
    }
    // A forced break ends the bidi paragraph: what is open is closed before it and opened again after it.
    const breaks = kind === 'break' || kind === 'block';
    if (breaks)
      text += `${[...open]
        .reverse()
        .map((b) => controlsOf(b)[1])
        .join('')}${after}`;
    starts.push(text.length);
    if (breaks) text += `\n${before}${open.map((b) => controlsOf(b)[0]).join('')}`;
    else if (kind === 'close') {
      open.pop();
      text += controlsOf(box)[1];
    } else if (kind !== 'open') text += 'text' in item ? item.text : OBJECT;
  }
  return { text: text + after, starts };
}

/**
 * Levels of a paragraph's items, null where all of it runs from left to right, and from where its lines begin.
 * Inline boxes and blocks with a unicode-bidi of their own count as the formatting characters they stand for.
 * @spec css-writing-modes-4 §2.4, uax9
 */
export function levelsOf(
  container: Box,
  items: readonly Item[],
  text: string,
): { readonly levels: Levels | null; readonly rtl: boolean } {
  const block = container.anonymous ? (container.parent ?? container) : container;
  if (!needsLevels(block, items, text)) return { levels: null, rtl: false };
  const { direction, unicodeBidi } = block.style;
  const overriding = /override/.test(unicodeBidi) && block.outer !== 'inline';
  const spelled = spelledOut(items, overriding ? [direction === 'rtl' ? '\u202e' : '\u202d', '\u202c'] : ['', '']);
  const { levels, rtl } = embeddingLevels(spelled.text, unicodeBidi === 'plaintext' ? 'auto' : direction);
  // Without a character there is no paragraph to the algorithm, and its lines begin where the block's do.
  const backwards = spelled.text === '' ? direction === 'rtl' : rtl;
  const byItem = items.map((item, i) => {
    const length = item.kind === 'text' ? item.text.length : item.kind === 'open' || item.kind === 'close' ? 0 : 1;
    return levels.subarray(spelled.starts[i]!, spelled.starts[i]! + length);
  });
  return { levels: byItem, rtl: backwards };
}

/** The parts of a line from left to right. @spec uax9 L2 */
export function inVisualOrder<T extends { readonly level: number }>(parts: readonly T[]): T[] {
  const out = [...parts];
  let highest = 0;
  let lowestOdd = Infinity;
  for (const { level } of parts) {
    highest = Math.max(highest, level);
    lowestOdd = Math.min(lowestOdd, level % 2 === 1 ? level : level + 1);
  }
  for (let at = highest; at >= lowestOdd; at--)
    for (let i = 0; i < out.length; i++) {
      let end = i;
      while (end < out.length && out[end]!.level >= at) end++;
      turnRound(out, i, end);
      i = Math.max(i, end - 1);
    }
  return out;
}

/** Turns a part of a list round in place: lines may hold more parts than a call can take arguments. */
function turnRound<T>(list: T[], from: number, to: number): void {
  for (let a = from, b = to - 1; a < b; a++, b--) [list[a], list[b]] = [list[b]!, list[a]!];
}
