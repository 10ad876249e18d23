import { bottom, right, type Rect } from '../base/index.js';
import type { Scene } from '../scene/index.js';
import type { Menu } from './types.js';

/** How two boxes that follow one another stand: beside, below, over one another. */
function relation(a: Rect, b: Rect): string {
  const across = Math.min(right(a), right(b)) - Math.max(a.x, b.x) > 0.5;
  const down = Math.min(bottom(a), bottom(b)) - Math.max(a.y, b.y) > 0.5;
  return across && down ? 'x' : down ? 'r' : across ? 'c' : 'd';
}

/**
 * The geometry of menus as a text that stays the same while nothing but lengths changes: what shows, in how many
 * pieces, and how it stands to what comes before.
 */
export function shapeOf(menus: readonly Menu[], scene: Scene): string {
  return menus
    .map((menu) => {
      let before: Rect | null = null;
      return [...menu.toggles, ...menu.items]
        .map(({ element }) => {
          const rect = scene.reach(element);
          if (!rect) return '-';
          const stands: string = before ? relation(before, rect) : '';
          before = rect;
          return `${stands}${scene.nodes(element).length}${linesIn(element, scene)}`;
        })
        .join(' ');
    })
    .join('|');
}

/** How many lines the text of an element's box takes. */
function linesIn(element: Parameters<Scene['nodes']>[0], scene: Scene): string {
  let lines = 0;
  const stack = [...scene.nodes(element)];
  for (let node = stack.pop(); node; node = stack.pop()) {
    if (node.fragment.kind === 'line') lines++;
    stack.push(...node.children);
  }
  return lines > 1 ? `/${lines}` : '';
}
