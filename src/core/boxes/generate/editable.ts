import type { ElementNode, MarkupView } from '../../html/index.js';
import { isFloating, isInlineLevel, isOutOfFlow, type Box } from '../box.js';

const asked = (element: ElementNode, markup: MarkupView): boolean | null => {
  const value = markup.attribute(element, 'contenteditable')?.trim().toLowerCase();
  if (value === 'false') return false;
  return value === '' || value === 'true' || value === 'plaintext-only' ? true : null;
};

/** Whether an element is edited, and nothing around it. @spec html §6.8.1 (editing host) */
function isEditingHost(element: ElementNode, markup: MarkupView): boolean {
  if (element.namespace !== 'html' || asked(element, markup) !== true) return false;
  for (let a = element.parent; a; a = a.parent) {
    const own = asked(a, markup);
    if (own !== null) return !own;
  }
  return true;
}

/** Whether a box just filled needs a line where someone could write: editing hosts have one though they are empty. */
export const needsLine = (box: Box, element: ElementNode, markup: MarkupView): boolean =>
  (box.inner === 'flow' || box.inner === 'flex') &&
  box.outer !== 'inline' &&
  isEditingHost(element, markup) &&
  box.children.every(
    (child) =>
      isOutOfFlow(child) ||
      isFloating(child) ||
      (isInlineLevel(child) && child.inner !== 'break' && child.outer === 'inline' && !/\S/.test(child.text)),
  );
