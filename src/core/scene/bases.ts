import type { StyleTree } from '../cascade/index.js';
import type { ElementNode } from '../html/index.js';
import type { BoxTrees } from './box-trees.js';
import type { Scene } from './scene.js';
import type { Setting } from './setting.js';

/** Sizes of the viewport whose scene is kept for others to start from. */
const MOST = 64;

/**
 * Scenes of a page at rest that others start from: what visitors have in common at one size, and what neighbouring
 * widths have, is laid out once.
 */
export class Bases {
  readonly #bySize = new Map<string, Scene>();
  #latest: Scene | null = null;

  constructor(
    readonly trees: BoxTrees,
    readonly elements: readonly ElementNode[],
  ) {}

  /** @param layOut lays the page out, with a scene like the one to come if there is any */
  scene(s: Setting, styles: StyleTree, layOut: (near: Scene | null) => Scene): Scene {
    const { width, height } = styles.medium;
    const size = `${width}x${height}`;
    const same = this.#bySize.get(size);
    if (same && this.trees.recolours(same.styles, styles, this.elements)) return same.recoloured(s, styles);
    const scene = layOut(same ?? this.#latest);
    if (!same) {
      if (this.#bySize.size >= MOST) this.#bySize.delete(this.#bySize.keys().next().value!);
      this.#bySize.set(size, scene);
    }
    this.#latest = scene;
    return scene;
  }
}
