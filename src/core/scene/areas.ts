import type { ElementNode } from '../html/index.js';
import type { Scene } from './scene.js';

/** The picture an area of an image map is shown on; null where none uses the map. @spec html §4.8.14 */
export function pictureOf(area: ElementNode, scene: Pick<Scene, 'document' | 'attribute' | 'box'>): ElementNode | null {
  let map = area.parent;
  while (map && map.tag !== 'map') map = map.parent;
  const name = map?.attributes.get('name');
  if (!name) return null;
  const uses = (e: ElementNode) =>
    e.tag === 'img' && scene.attribute(e, 'usemap') === `#${name}` && scene.box(e) !== null;
  return scene.document.elements.find(uses) ?? null;
}
