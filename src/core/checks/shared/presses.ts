import { centre, type Rect } from '../../base/index.js';
import { isAncestorOrSelf, type ElementNode } from '../../html/index.js';
import { boundsOf } from '../../paint/index.js';
import { poseAfter, type Scene } from '../../scene/index.js';
import type { Subject } from '../subject.js';
import { isSameTarget } from './targets.js';

/** Whether a press on something leads to another page, by itself or by what scripts make of it. */
export const leavesByPress = (element: ElementNode, { page, setting }: Subject): boolean =>
  poseAfter(page, [{ by: 'press', element }], setting).left === true;

/** Events a press sets going. */
export const PRESSES = ['click', 'pointerdown', 'pointerup', 'mousedown', 'mouseup', 'touchstart', 'touchend'];
/** The same of a listener. */
export const IS_PRESS = new RegExp(`^(${PRESSES.join('|')})$`);

/** The pieces of an element, one for each line it stands in; document px, clipped parts left out. */
export function piecesOf(element: ElementNode, scene: Scene): readonly Rect[] {
  return scene
    .nodes(element)
    .map(({ matrix, rect }) => boundsOf(matrix, rect))
    .filter(({ width, height }) => width >= 1 && height >= 1);
}

/** The middle of what shows of an element, or of its first piece; null where nothing shows. */
export function middleOf(element: ElementNode, scene: Scene): { readonly x: number; readonly y: number } | null {
  const pieces = piecesOf(element, scene);
  if (pieces.length > 1) return centre(pieces[0]!);
  const seen = scene.seen(element);
  return seen && centre(seen);
}

/** What a press on the middle of an element reaches instead of it; null where it reaches the element. */
export function pressedInstead(element: ElementNode, scene: Scene): ElementNode | null {
  const middle = middleOf(element, scene);
  const hit = middle && scene.hit(middle.x, middle.y);
  return hit && !meansSame(hit, element) ? hit : null;
}

/** Whether a press on one element does what a press on another one does. */
export function meansSame(hit: ElementNode, element: ElementNode): boolean {
  if (isAncestorOrSelf(element, hit)) return true;
  if (!isAncestorOrSelf(hit, element) && isSameTarget(hit, element)) return true;
  const [a, b] = [linkAround(hit), linkAround(element)];
  return a !== null && b !== null && (a === b || (hrefOf(a) !== '' && hrefOf(a) === hrefOf(b)));
}

function linkAround(element: ElementNode): ElementNode | null {
  for (let e: ElementNode | null = element; e; e = e.parent) if (e.tag === 'a' || e.tag === 'label') return e;
  return null;
}

const hrefOf = (element: ElementNode): string => element.attributes.get('href') ?? element.attributes.get('for') ?? '';
