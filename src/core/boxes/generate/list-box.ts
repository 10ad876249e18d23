import { withValues, type ComputedStyle } from '../../cascade/index.js';
import { px, ZERO } from '../../css/index.js';
import { displaySize, type ElementNode, type MarkupView } from '../../html/index.js';
import type { Box } from '../box.js';
import { make, push, type Building } from './make.js';
import { text } from './text-boxes.js';

/** Rows a `select` shows at once. */
export const rowsOf = (select: ElementNode, markup: MarkupView): number =>
  displaySize((name) => markup.attribute(select, name));

/** Whether an element is a list box, whose options are boxes that scroll. @spec html §15.5.15 */
export const isListBox = (element: ElementNode, markup: MarkupView): boolean =>
  element.tag === 'select' && element.namespace === 'html' && rowsOf(element, markup) > 1;

/** What an option or a group of them is called. @spec html §4.10.10 */
export function labelOf(option: ElementNode, markup: MarkupView): string {
  const label = markup.attribute(option, 'label');
  if (label || option.tag === 'optgroup') return label ?? '';
  const own = option.children.map((child) => (child.kind === 'text' ? child.data : '')).join('');
  return own.trim().replace(/\s+/g, ' ');
}

/** A row for the name of a group of options. */
export function groupLabel(box: Box, group: ElementNode, style: ComputedStyle, building: Building): void {
  const row = withValues(style, {
    lineHeight: 'normal',
    boxSizing: 'content-box',
    paddingTop: ZERO,
    minHeight: px(1.2 * style.fontSize),
    paddingLeft: px(2),
    paddingRight: px(2),
    paddingBottom: px(1),
  });
  const line = push(box, make(building, { style: row, outer: 'block', inner: 'flow', parent: box }));
  text(line, labelOf(group, building.styles.view), row, building);
}
