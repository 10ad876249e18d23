import { alignmentOf, aligningOf, type Alignment } from '../used/alignment.js';
import type { Container, Item } from './flex-items.js';

/** @spec css-flexbox-1 §8.3 */
export function crossAlignment({ align, box }: Pick<Item, 'align' | 'box'>, c: Container): Alignment {
  const plain = align.replace(/^(safe|unsafe) /, '');
  const made = alignmentOf(align, c.row ? 'block' : 'inline', aligningOf(c.box), aligningOf(box));
  if (plain === 'flex-start') return { ...made, to: c.crossBackwards ? 'high' : 'low' };
  if (plain === 'flex-end') return { ...made, to: c.crossBackwards ? 'low' : 'high' };
  return made;
}
