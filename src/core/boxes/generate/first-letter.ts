import type { ElementNode } from '../../html/index.js';
import { isInFlow, type Box } from '../box.js';
import { transformText } from '../text/index.js';
import { withValues } from '../../cascade/index.js';
import { initialLetter } from './initial-letter.js';
import { make, push, type Building } from './make.js';

/** Punctuation that belongs to a first letter before and after it: all of it but dashes and connectors. */
const PUNCTUATION = '[\\p{Ps}\\p{Pe}\\p{Pi}\\p{Pf}\\p{Po}]';
const FIRST_LETTER = new RegExp(
  `^([\\s\\u200b]*)(${PUNCTUATION}*(?:\\s?)[\\p{L}\\p{N}\\p{S}\\p{M}][\\p{M}\\u200d\\ufe0f]*${PUNCTUATION}*|${PUNCTUATION}+)`,
  'u',
);

/** The text box that holds the first letter of a block container's first line; null where something else comes first. @spec css-pseudo-4 §2.2.1 */
function firstTextOf(box: Box): Box | null {
  for (const child of box.children) {
    if (child.inner === 'text') {
      if (/^[\s\u200b]*$/.test(child.text)) continue;
      return child.parent?.pseudo === 'first-letter' ? null : child;
    }
    if (!isInFlow(child)) {
      if (child.pseudo === 'first-letter') return null;
      continue;
    }
    if (child.inner !== 'flow' || child.outer === 'atomic') return null;
    const inside = firstTextOf(child);
    if (inside || child.children.length > 0) return inside;
  }
  return null;
}

/** Splits a text at its first letter: space in front, the letter with its punctuation, the rest; null without one. */
export function splitFirstLetter(
  text: string,
): { readonly space: string; readonly letter: string; readonly rest: string } | null {
  const match = FIRST_LETTER.exec(text);
  if (!match) return null;
  const [whole, space = '', letter = ''] = match;
  return { space, letter, rest: text.slice(whole.length) };
}

/** Puts the first letter of a block container into a box of its own where the page styles it. @spec css-pseudo-4 §2.2 */
export function firstLetter(box: Box, element: ElementNode, building: Building): void {
  const given = building.styles.pseudo(element, 'first-letter');
  const text = given && given.display !== 'none' ? firstTextOf(box) : null;
  const parts = text ? splitFirstLetter(text.text) : null;
  if (!given || !text || !parts) return;
  const parent = text.parent!;
  const initial = initialLetter(parts.letter, given, box.computed, building.metrics);
  const style = initial?.style ?? given;
  const floats = style.float !== 'none';
  const part = make(building, {
    element,
    pseudo: 'first-letter',
    style,
    outer: floats ? 'block' : 'inline',
    inner: 'flow',
    parent,
  });
  const lettered = transformText(parts.letter, style.textTransform, '');
  push(part, make(building, { style, outer: 'inline', inner: 'text', parent: part, text: lettered }));
  const plain = (content: string): Box[] =>
    content === ''
      ? []
      : [make(building, { style: text.computed, outer: 'inline', inner: 'text', parent, text: content })];
  const lowering = initial?.lowered == null ? [] : [strut(parent, initial.lowered, building)];
  const made = [...plain(parts.space), part, ...lowering, ...plain(parts.rest)];
  parent.children.splice(parent.children.indexOf(text), 1, ...made);
}

/** Holds the baseline of its line down. */
const strut = (parent: Box, height: number, building: Building): Box =>
  make(building, {
    style: withValues(parent.computed, { verticalAlign: 'baseline' }),
    outer: 'atomic',
    inner: 'replaced',
    parent,
    anonymous: true,
    natural: { width: 0, height, ratio: null },
  });
