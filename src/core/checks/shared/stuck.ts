import { bottom, intersect, right, type Rect } from '../../base/index.js';
import { closest, isAncestorOrSelf, type ElementNode } from '../../html/index.js';
import type { Scene } from '../../scene/index.js';

/** A part that keeps its place on the screen while the page scrolls. */
export interface StuckPart {
  readonly element: ElementNode;
  /** What shows of it, px from the screen's corner. */
  readonly rect: Rect;
  /** A bar lies along the top or the foot of the screen, a rail along a side; anything else is a patch. */
  readonly kind: 'top' | 'foot' | 'rail' | 'patch';
}

/** Shorter shifts than this are rounding, px. */
const MOVED = 0.75;
/** Less of a part on the screen is none, px. */
const LEAST = 4;
/** How far from the edge of the screen a bar may stand, px. */
const NEAR_EDGE = 160;

const known = new WeakMap<Scene, readonly StuckPart[]>();

/**
 * Parts stuck at a scroll position, outermost only: what is fixed, and what is sticky and has left its place.
 * @param rest the same page at its top
 */
export function stuckAt(scene: Scene, rest: Scene): readonly StuckPart[] {
  let parts = known.get(scene);
  if (!parts) known.set(scene, (parts = found(scene, rest)));
  return parts;
}

function found(scene: Scene, rest: Scene): readonly StuckPart[] {
  const out: StuckPart[] = [];
  for (const element of scene.document.elements) {
    const { position } = scene.style(element);
    if (position !== 'fixed' && position !== 'sticky') continue;
    if (out.some((part) => isAncestorOrSelf(part.element, element)) || !isStuck(element, scene, rest)) continue;
    const rect = onScreen(element, scene);
    if (rect) out.push({ element, rect, kind: kindOf(rect, scene) });
  }
  return out;
}

/** Whether an element keeps its place on the screen just now. */
function isStuck(element: ElementNode, scene: Scene, rest: Scene): boolean {
  if (scene.style(element).position === 'fixed') return scene.nodes(element).some(({ fixed }) => fixed);
  const [now, before] = [scene.rect(element), rest.rect(element)];
  return now !== null && before !== null && Math.abs(now.y - before.y) > MOVED;
}

/** What shows of an element, px from the corner of the screen. */
export function onScreen(element: ElementNode, scene: Scene): Rect | null {
  const seen = scene.seen(element);
  const { width, height } = scene.medium;
  const { x, y } = scene.setting.scroll;
  const part = seen && intersect(seen, { x, y, width, height });
  return part && part.width >= LEAST && part.height >= LEAST ? { ...part, x: part.x - x, y: part.y - y } : null;
}

function kindOf(rect: Rect, { medium }: Scene): StuckPart['kind'] {
  if (rect.width >= medium.width / 2 && rect.height <= medium.height * 0.75) {
    if (rect.y <= NEAR_EDGE && rect.y + rect.height / 2 < medium.height / 2) return 'top';
    if (medium.height - bottom(rect) <= NEAR_EDGE) return 'foot';
  }
  const atSide = rect.x <= 1 || right(rect) >= medium.width - 1;
  return atSide && rect.height >= medium.height / 2 && rect.width < medium.width / 2 ? 'rail' : 'patch';
}

/** The stuck part an element belongs to; null if it moves with the page. */
export const partAround = (element: ElementNode, parts: readonly StuckPart[]): StuckPart | null =>
  parts.find((part) => isAncestorOrSelf(part.element, element)) ?? null;

/** Whether an element stands where it does because it is fixed, or sticks: elsewhere it scrolls like all else. */
export const sticksNow = (element: ElementNode, scene: Scene): boolean =>
  closest(element, (e) =>
    scene.nodes(e).some(({ fixed, stuck }) => fixed || (stuck !== null && (stuck.x !== 0 || stuck.y !== 0))),
  ) !== null;

/** Whether an element or something around it is fixed or sticky. */
export const mayStick = (element: ElementNode, scene: Scene): boolean =>
  closest(element, (e) => ['fixed', 'sticky'].includes(scene.style(e).position)) !== null;
