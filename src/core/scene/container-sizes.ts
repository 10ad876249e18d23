import { isContainer, type ContainerSizes } from '../cascade/index.js';
import type { ElementNode } from '../html/index.js';
import type { Scene } from './scene.js';

/** Content boxes of all size containers of a scene. */
export function containerSizes(scene: Scene): ContainerSizes {
  const out = new Map<ElementNode, { width: number; height: number }>();
  for (const element of scene.document.elements) {
    const fragment = isContainer(scene.style(element)) ? scene.fragment(element) : null;
    if (!fragment) continue;
    const { border, padding } = fragment;
    out.set(element, {
      width: fragment.width - border.left - border.right - padding.left - padding.right,
      height: fragment.height - border.top - border.bottom - padding.top - padding.bottom,
    });
  }
  return out;
}
