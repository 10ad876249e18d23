import type { Rect } from '../base/index.js';
import type { Box, DocumentLayout } from '../boxes/index.js';
import type { Medium } from '../css/index.js';
import type { ElementNode } from '../html/index.js';
import { locate, paintOrder, PointIndex, type FramesOf, type PaintItem, type PaintNode } from '../paint/index.js';
import type { Setting } from './setting.js';

/**
 * Where the boxes of a page lie and in which order they are painted. Scenes that differ in colours alone share one;
 * what is not asked for is not worked out.
 */
export class Painting {
  #roots: readonly PaintNode[] | null = null;
  #items: readonly PaintItem[] | null = null;
  #points: PointIndex | null = null;
  #byNode: Map<PaintNode, PaintItem> | null = null;
  #byBox: Map<Box, PaintNode[]> | null = null;
  /** What scenes have worked out of it that hangs on no colour. */
  readonly rects = new Map<ElementNode, Rect | null>();
  readonly visible = new Map<ElementNode, boolean>();
  readonly seen = new Map<ElementNode, Rect | null>();
  readonly reach = new Map<ElementNode, Rect | null>();
  scrollSize: { readonly width: number; readonly height: number } | null = null;

  constructor(
    readonly layout: DocumentLayout,
    readonly medium: Medium,
    readonly setting: Setting,
    readonly framesOf: FramesOf,
  ) {}

  /** The root of the page, then what lies in the top layer. */
  get roots(): readonly PaintNode[] {
    return (this.#roots ??= this.#inOrderOfOpening(
      locate(this.layout, this.medium, this.setting.scroll, this.framesOf),
    ));
  }

  /** What was opened last stands on top. @spec css-position-4 §4.2 */
  #inOrderOfOpening([root, ...top]: readonly PaintNode[]): readonly PaintNode[] {
    if (!root || top.length === 0) return root ? [root] : [];
    const opened = [...(this.setting.pose.toggled?.keys() ?? [])];
    const turn = ({ box }: PaintNode) => (box.element ? opened.indexOf(box.element) : -1);
    return [root, ...top.sort((a, b) => turn(a) - turn(b) || a.box.id - b.box.id)];
  }

  /** The paint list, lowest first. */
  get items(): readonly PaintItem[] {
    return (this.#items ??= paintOrder(this.roots));
  }

  get points(): PointIndex {
    return (this.#points ??= new PointIndex(this.items));
  }

  /** The entry of the paint list that paints a node, or null. */
  itemOf(node: PaintNode): PaintItem | null {
    this.#byNode ??= new Map(this.items.map((item) => [item.node, item]));
    return this.#byNode.get(node) ?? null;
  }

  /** Every fragment of a box. */
  nodesOf(box: Box): readonly PaintNode[] {
    this.#byBox ??= byBox(this.roots);
    return this.#byBox.get(box) ?? [];
  }
}

function byBox(roots: readonly PaintNode[]): Map<Box, PaintNode[]> {
  const map = new Map<Box, PaintNode[]>();
  const stack = [...roots];
  for (let node = stack.pop(); node; node = stack.pop()) {
    const list = map.get(node.box);
    if (list) list.push(node);
    else map.set(node.box, [node]);
    for (let i = node.children.length - 1; i >= 0; i--) stack.push(node.children[i]!);
  }
  return map;
}
