import type { AtRule, Declaration as PostDeclaration } from 'postcss';
import type { Span } from '../base/index.js';
import type { Declaration, Keyframes } from './rules.js';

const FIRST = /(^|,)\s*(from|0%)\s*(,|$)/i;
const LAST = /(^|,)\s*(to|100%)\s*(,|$)/i;

/**
 * @param read a declaration of a frame; null drops it
 * @spec css-animations-1 §4 (important declarations in frames are dropped)
 */
export function keyframesOf(node: AtRule, span: Span, read: (item: PostDeclaration) => Declaration | null): Keyframes {
  const first: Declaration[] = [];
  const last: Declaration[] = [];
  const names = new Set<string>();
  for (const frame of node.nodes ?? []) {
    if (frame.type !== 'rule') continue;
    for (const item of frame.nodes) {
      const made = item.type === 'decl' ? read(item) : null;
      if (!made || made.important) continue;
      names.add(made.name);
      if (FIRST.test(frame.selector)) first.push(made);
      if (LAST.test(frame.selector)) last.push(made);
    }
  }
  return { first, last, animates: { name: 'animates', text: [...names].join(' '), important: false, span } };
}
