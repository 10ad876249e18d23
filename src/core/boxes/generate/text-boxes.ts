import { withValues, type ComputedStyle } from '../../cascade/index.js';
import { px } from '../../css/index.js';
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

/** Text of an element that has no box: a line takes its style all the same. @spec css-display-3 §2.5 (contents) */
export function textOfUnboxed(parent: Box, data: string, owner: ElementNode, building: Building): void {
  const style = building.styles.of(owner);
  if (!/\S/.test(data)) return text(parent, data, style, building, owner);
  const around = make(building, { style: inLine(style), outer: 'inline', inner: 'flow', parent, anonymous: true });
  text(push(parent, around), data, style, building, owner);
}

const PLAIN_PLACE = {
  verticalAlign: 'baseline',
  position: 'static',
  paddingLeft: px(0),
  paddingRight: px(0),
  borderLeftWidth: 0,
  borderRightWidth: 0,
} as const;
const inLines = new WeakMap<ComputedStyle, ComputedStyle>();

/** What an element would give its place in the line does not apply to one without a box. */
function inLine(style: ComputedStyle): ComputedStyle {
  let known = inLines.get(style);
  if (!known) inLines.set(style, (known = withValues(style, PLAIN_PLACE)));
  return known;
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
