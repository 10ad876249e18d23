import { elementOf, type PaintItem } from '../../paint/index.js';
import type { ElementNode } from '../../html/index.js';
import type { Scene } from '../../scene/index.js';

const known = new WeakMap<readonly PaintItem[], Map<ElementNode, PaintItem[]>>();

/** Painted text by the element it belongs to and by every element around that. */
function textIndex(scene: Scene): Map<ElementNode, PaintItem[]> {
  let index = known.get(scene.items);
  if (!index) {
    index = new Map();
    for (const item of scene.items) {
      if (item.node.fragment.kind !== 'text' || item.node.fragment.text.trim() === '') continue;
      const owner = elementOf(item);
      // The words that stand in for a picture that is not there are not what visitors see.
      if (owner?.tag === 'img') continue;
      for (let e = owner; e; e = e.parent) {
        const list = index.get(e);
        if (list) list.push(item);
        else index.set(e, [item]);
      }
    }
    known.set(scene.items, index);
  }
  return index;
}

/** All text painted inside an element. */
export const textsIn = (element: ElementNode, scene: Scene): readonly PaintItem[] =>
  textIndex(scene).get(element) ?? [];
