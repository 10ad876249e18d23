import { containsFixed, type Box } from '../../boxes/index.js';
import type { ElementNode } from '../../html/index.js';
import type { Scene } from '../../scene/index.js';

/** The nearest box around a fixed one that it keeps to; null for the screen. @spec css-position-3 §2.1 */
export function holderOf(box: Box): Box | null {
  for (let b = box.parent; b?.parent; b = b.parent) if (containsFixed(b)) return b;
  return null;
}

/** Whether a fixed part takes its size from something around it that does not fill the screen. */
export function isResized(element: ElementNode, scene: Scene): boolean {
  const box = scene.style(element).position === 'fixed' ? scene.box(element) : null;
  const holder = box && holderOf(box)?.element;
  return !!holder && isStretched(element, scene) && !fillsScreen(holder, scene);
}

/** Whether the size of a part comes from what it keeps to. */
function isStretched(element: ElementNode, scene: Scene): boolean {
  const { top, bottom, left, right, height, width } = scene.style(element);
  const given = (value: unknown) => value !== 'auto';
  const share = (value: unknown) =>
    typeof value === 'object' && value !== null && 'percent' in value && value.percent !== 0;
  return (
    (given(top) && given(bottom) && !given(height)) ||
    share(height) ||
    (given(left) && given(right) && !given(width)) ||
    share(width)
  );
}

function fillsScreen(holder: ElementNode, scene: Scene): boolean {
  const rect = scene.rect(holder);
  const { width, height } = scene.medium;
  return rect !== null && rect.x <= 1 && rect.width >= width - 1 && rect.height >= height - 1;
}
