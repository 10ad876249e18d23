import type { Rect } from '../base/index.js';
import type { Box } from '../boxes/index.js';
import type { ComputedStyle } from '../cascade/index.js';
import type { BackgroundImage } from '../css/index.js';
import type { PaintNode } from './nodes.js';
import type { PaintItem } from './order.js';
import { tilingOf, type Tiling } from './tiles.js';

/** The pictures the page's canvas takes from the root or the body, and the box they are sized for. */
export interface CanvasGround {
  /** The box whose background it was: it paints none of its own. */
  readonly from: Box;
  readonly style: ComputedStyle;
  readonly root: PaintNode;
}

const FAR: Rect = { x: -1e7, y: -1e7, width: 2e7, height: 2e7 };
const bare = (style: ComputedStyle): boolean => style.backgroundColor.a === 0 && style.backgroundImage.length === 0;

/** @spec css-backgrounds-3 §2.11.2 (the canvas background and the root element) */
export function canvasGround(items: readonly PaintItem[], styleOf: (box: Box) => ComputedStyle): CanvasGround | null {
  const root = items[0]?.node;
  if (!root?.box.element) return null;
  const own = styleOf(root.box);
  if (!bare(own)) return { from: root.box, style: own, root };
  const body = root.box.children.find((box) => box.element?.tag === 'body');
  const taken = body && styleOf(body);
  return taken && !bare(taken) ? { from: body, style: taken, root } : null;
}

/** Where a picture of the canvas lies: it is placed in the root's box and reaches everywhere. */
export function canvasTiling({ style, root }: CanvasGround, image: BackgroundImage): Tiling | null {
  const tiling = tilingOf(root.fragment, root.rect, style, image);
  return tiling && { ...tiling, clip: FAR };
}
