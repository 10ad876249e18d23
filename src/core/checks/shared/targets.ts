import Flatbush from 'flatbush';
import { unite, type Rect } from '../../base/index.js';
import type { ElementNode } from '../../html/index.js';
import { isFocusable } from '../../naming/index.js';
import type { Scene } from '../../scene/index.js';

/** Something to press and all of it that reacts; document px. */
export interface Target {
  readonly element: ElementNode;
  readonly rect: Rect;
}

/** Every target of a scene, found by where it lies. */
export class TargetIndex {
  readonly all: readonly Target[];
  readonly #tree: Flatbush | null;
  readonly #byElement: ReadonlyMap<ElementNode, Target>;

  constructor(scene: Scene) {
    const rects = new Map<ElementNode, Rect | null>();
    this.all = scene.document.elements
      .filter((e) => (isFocusable(e, scene) || e.tag === 'label') && scene.style(e).pointerEvents !== 'none')
      .flatMap((element) => {
        const rect = pressedArea(element, scene, rects);
        return rect ? [{ element, rect }] : [];
      });
    this.#byElement = new Map(this.all.map((target) => [target.element, target]));
    this.#tree = this.all.length === 0 ? null : new Flatbush(this.all.length);
    for (const { rect } of this.all) this.#tree!.add(rect.x, rect.y, rect.x + rect.width, rect.y + rect.height);
    this.#tree?.finish();
  }

  of(element: ElementNode): Target | null {
    return this.#byElement.get(element) ?? null;
  }

  /** Targets no farther from a rectangle than a distance along either axis. */
  near({ x, y, width, height }: Rect, distance: number): readonly Target[] {
    const found = this.#tree?.search(x - distance, y - distance, x + width + distance, y + height + distance) ?? [];
    return found.sort((a, b) => a - b).map((i) => this.all[i]!);
  }
}

/** An element's own boxes and those inside it that react; each part is worked out once. */
function pressedArea(element: ElementNode, scene: Scene, known: Map<ElementNode, Rect | null>): Rect | null {
  const done = known.get(element);
  if (done !== undefined) return done;
  let rect = scene.style(element).pointerEvents === 'none' ? null : scene.reach(element);
  for (const child of element.elements) {
    const part = pressedArea(child, scene, known);
    if (part && (rect || scene.style(element).display === 'contents')) rect = unite(rect, part);
  }
  known.set(element, rect);
  return rect;
}

/** Whether pressing one means the other: nested, or a control and its label. */
export function isSameTarget(a: ElementNode, b: ElementNode): boolean {
  for (let e: ElementNode | null = a; e; e = e.parent) if (e === b) return true;
  for (let e: ElementNode | null = b; e; e = e.parent) if (e === a) return true;
  const labels = (label: ElementNode, control: ElementNode) =>
    label.tag === 'label' && control.id !== null && label.attributes.get('for') === control.id;
  return labels(a, b) || labels(b, a);
}
