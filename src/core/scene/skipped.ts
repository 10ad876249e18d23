import { newMemory, type Box, type DocumentLayout, type Fragment, type LayoutMemory } from '../boxes/index.js';
import type { Scene } from './scene.js';

/** The fragments of everything that is laid out and not shown. */
export function skippedFragments({ placed }: DocumentLayout): ReadonlyMap<Box, Fragment> {
  const found = new Map<Box, Fragment>();
  const visit = (fragment: Fragment, skipped: boolean) => {
    if (skipped && !found.has(fragment.box)) found.set(fragment.box, fragment);
    for (const child of fragment.children) visit(child.fragment, skipped || fragment.box.locked);
  };
  for (const { fragment } of placed) visit(fragment, false);
  return found;
}

/** How far beyond the screen content is still made, in screens. */
const MARGIN = 1.5;

/**
 * Lays a page out whose boxes skip content away from the screen: first all of them do, then those that come near it
 * are shown, until no more come. @spec css-contain-3 §4.2
 */
export function settleNear(
  deferring: readonly Box[],
  lay: (near: ReadonlySet<Box>, memory: LayoutMemory) => Scene,
): Scene {
  const near = new Set<Box>();
  for (;;) {
    const scene = lay(new Set(near), newMemory());
    const { height } = scene.medium;
    const reached = deferring.filter((box) => {
      const rect = near.has(box) ? undefined : scene.nodesOf(box)[0]?.rect;
      return rect && rect.y < height * (1 + MARGIN) && rect.y + rect.height > -height * MARGIN;
    });
    if (reached.length === 0) return scene;
    for (const box of reached) near.add(box);
  }
}
