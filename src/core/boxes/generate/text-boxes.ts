import type { ComputedStyle } from '../../cascade/index.js';
import type { ElementNode } from '../../html/index.js';
import type { Box } from '../box.js';
import { transformText } from '../text/index.js';
import { make, push, type Building } from './make.js';

/** Puts text into a box, in the case its style asks for. @spec css-text-3 §2.1 */
export function text(
  parent: Box,
  data: string,
  style: ComputedStyle,
  building: Building,
  owner: ElementNode | null = null,
): void {
  if (data === '') return;
  const before = style.textTransform === 'none' ? '' : characterBefore(parent);
  push(
    parent,
    make(building, {
      style,
      outer: 'inline',
      inner: 'text',
      parent,
      owner,
      text: transformText(data, style.textTransform, before),
    }),
  );
}

/** The character in front of what comes next into a box, across the edges of inline boxes; empty where none is. */
function characterBefore(parent: Box, skip = 0): string {
  for (let i = parent.children.length - 1 - skip; i >= 0; i--) {
    const child = parent.children[i]!;
    if (child.inner === 'text') return child.text.slice(-1);
    if (child.outer !== 'inline' || child.inner !== 'flow') return '';
    const inside = lastCharacter(child);
    if (inside !== '') return inside;
  }
  return parent.outer === 'inline' && parent.parent ? characterBefore(parent.parent, 1) : '';
}

const lastCharacter = (box: Box): string =>
  box.children.reduceRight(
    (found, child) => found || (child.inner === 'text' ? child.text.slice(-1) : lastCharacter(child)),
    '',
  );
