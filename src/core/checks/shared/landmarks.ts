import { closest, type ElementNode } from '../../html/index.js';
import { roleOf } from '../../naming/index.js';
import type { Scene } from '../../scene/index.js';

/** Whether an element is there for a screen reader: rendered and not taken out. */
export const isExposed = (element: ElementNode, scene: Scene): boolean =>
  (scene.box(element) !== null || scene.style(element).display === 'contents') &&
  scene.style(element).visibility === 'visible' &&
  closest(element, (e) => scene.attribute(e, 'aria-hidden') === 'true' || scene.attribute(e, 'inert') !== undefined) ===
    null;

const withRole = (scene: Scene, role: string, candidates: (e: ElementNode) => boolean): readonly ElementNode[] =>
  scene.document.elements.filter((e) => candidates(e) && isExposed(e, scene) && roleOf(e, scene) === role);

export const mainLandmarks = (scene: Scene): readonly ElementNode[] =>
  withRole(scene, 'main', (e) => e.tag === 'main' || e.attributes.has('role'));

export const navigationLandmarks = (scene: Scene): readonly ElementNode[] =>
  withRole(scene, 'navigation', (e) => e.tag === 'nav' || e.attributes.has('role'));
