import { intersect, type Rect } from '../../base/index.js';
import { selectorOf, type ElementNode } from '../../html/index.js';
import { boundsOf, elementOf, type Clip, type PaintItem } from '../../paint/index.js';
import type { Scene } from '../../scene/index.js';
import { textsIn } from './texts.js';

/** A text of a control that something cuts off. */
export interface CutText {
  readonly item: PaintItem;
  readonly by: ElementNode;
  /** Share of it that is lost. */
  readonly share: number;
}

/** Less lost is a hair of a letter. */
const LEAST = 0.12;

const placeOf = ({ node }: PaintItem): Rect => boundsOf(node.matrix, node.rect);

/** The text of a control of which most is cut off; what can be scrolled to, and what a clamp or ellipsis ends, is not meant. */
export function cutText(element: ElementNode, scene: Scene): CutText | null {
  let worst: CutText | null = null;
  for (const item of textsIn(element, scene)) {
    const owner = elementOf(item);
    if (!owner || !scene.isVisible(owner)) continue;
    // What a part that scrolls keeps below its fold is scrolled to, whatever lies around that part.
    const { clips } = item.node;
    for (const clip of clips.slice(clips.findLastIndex(({ scrolls }) => scrolls) + 1)) {
      if (!clip.box.element || isMeant(clip, scene)) continue;
      const whole = placeOf(item);
      const left = intersect(whole, boundsOf(clip.matrix, clip.rect));
      const share = 1 - (left ? (left.width * left.height) / (whole.width * whole.height) : 0);
      if (share >= LEAST && (!worst || share > worst.share)) worst = { item, by: clip.box.element, share };
    }
  }
  return worst;
}

/** A clip that ends long text on purpose. */
function isMeant({ box }: Clip, scene: Scene): boolean {
  const style = scene.paintStyle(box);
  return style.textOverflow !== 'clip' || style.webkitLineClamp !== 'none';
}

export const cutterOf = ({ by }: CutText): string => selectorOf(by);
