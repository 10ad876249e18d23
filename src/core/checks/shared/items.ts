import type { Rect } from '../../base/index.js';
import { isAncestorOrSelf, type ElementNode } from '../../html/index.js';
import { boundsOf, elementOf, type PaintItem } from '../../paint/index.js';

/** Where something painted lies, document px. */
export const placeOfItem = ({ node }: PaintItem): Rect => boundsOf(node.matrix, node.rect);

/** Whether something painted belongs to an element or to what it holds. */
export const isOf = (item: PaintItem, element: ElementNode): boolean => {
  const own = elementOf(item);
  return own !== null && isAncestorOrSelf(element, own);
};
