import { descendants, textContent, type ElementNode } from '../../html/index.js';
import type { Subject } from '../subject.js';

const PICTURES = new Set(['img', 'svg', 'canvas', 'video', 'object', 'embed', 'picture', 'input']);

type Looked = Pick<Subject, 'page' | 'scene'>;

/** An element of nothing, without size, on a page with scripts: one of them may draw an icon there. */
export function isHollow(element: ElementNode, { page, scene }: Looked): boolean {
  if (page.scripts.length === 0 || element.attributes.size === 0 || textContent(element).trim() !== '') return false;
  if ([element, ...descendants(element)].some(({ tag }) => PICTURES.has(tag))) return false;
  const rect = scene.rect(element);
  return rect !== null && rect.width * rect.height === 0 && scene.style(element).visibility === 'visible';
}

/** A link or button of such elements alone. */
export const isUndrawn = (element: ElementNode, looked: Looked): boolean =>
  ['a', 'button'].includes(element.tag) && element.elements.length > 0 && isHollow(element, looked);
