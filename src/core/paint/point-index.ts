import Flatbush from 'flatbush';
import type { Rect } from '../base/index.js';
import type { ElementNode } from '../html/index.js';
import { elementOf, pressedAt } from './hit.js';
import { boundsOf } from './matrix.js';
import type { PaintItem } from './order.js';
import type { PaintNode } from './nodes.js';

const FAR = 1e9;
const tame = (value: number): number => (Number.isFinite(value) ? Math.max(-FAR, Math.min(FAR, value)) : 0);

/** Finds what is painted at a point without reading the whole paint list. Points and rectangles in document px. */
export class PointIndex {
  readonly #tree: Flatbush | null;

  constructor(readonly items: readonly PaintItem[]) {
    this.#tree = items.length === 0 ? null : new Flatbush(items.length);
    for (const { node } of items) {
      const { x, y, width, height } = boundsOf(node.matrix, node.rect);
      this.#tree!.add(tame(x), tame(y), tame(x + width), tame(y + height));
    }
    this.#tree?.finish();
  }

  /** Items whose bounds hold a point, lowest first. */
  at(x: number, y: number): readonly PaintItem[] {
    if (!this.#tree || !Number.isFinite(x) || !Number.isFinite(y)) return [];
    const found = this.#tree.search(x, y, x, y).sort((a, b) => a - b);
    return found.map((i) => this.items[i]!);
  }

  /** Items whose bounds meet a rectangle, lowest first. */
  within({ x, y, width, height }: Rect): readonly PaintItem[] {
    if (!this.#tree) return [];
    const found = this.#tree.search(tame(x), tame(y), tame(x + width), tame(y + height)).sort((a, b) => a - b);
    return found.map((i) => this.items[i]!);
  }

  /** The item a press at a point reaches. @spec css2 appendix E, css-ui-4 §6.1 (pointer-events), §6.2 (interactivity) */
  hit(x: number, y: number, reached: (element: ElementNode | null) => boolean): PaintItem | null {
    if (!Number.isFinite(x) || !Number.isFinite(y)) return null;
    const pressed = ({ node }: PaintItem) => pressable(node) && pressedAt(node, x, y);
    const near = this.within({ x: x - 1, y: y - 1, width: 3, height: 3 });
    return near.findLast((item) => pressed(item) && reached(elementOf(item))) ?? null;
  }
}

function pressable(node: PaintNode): boolean {
  const { style, element, anonymous } = node.box;
  if (style.pointerEvents === 'none' || style.visibility !== 'visible' || style.interactivity === 'inert') return false;
  return element !== null || anonymous || node.fragment.kind === 'text';
}
