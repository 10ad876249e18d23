import { right, type Rect } from '../../base/index.js';
import type { Scene } from '../../scene/index.js';

/** How far a box reaches beyond the edge that the page can be scrolled over sideways, px; negative inside it. */
export const pastEdge = (rect: Rect, { scrollsLeftwards, medium }: Scene): number =>
  scrollsLeftwards ? -rect.x : right(rect) - medium.width;
