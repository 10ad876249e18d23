import { intersect } from '../../base/index.js';
import { isAncestorOrSelf, selectorOf, type ElementNode } from '../../html/index.js';
import { boundsOf, elementOf, type Clip, type PaintItem } from '../../paint/index.js';
import type { Scene } from '../../scene/index.js';
import { textsIn } from './texts.js';
import { figure } from '../../findings/index.js';
import { onElement, type Observation } from '../define.js';
import type { Subject } from '../subject.js';
import { causeOf } from './causes.js';
import type { Control } from './controls.js';
import { placeOfItem } from './items.js';
import { keptBelow } from './kept-below.js';

/** A text of a control that something cuts off. */
interface CutText {
  readonly item: PaintItem;
  readonly by: ElementNode;
  /** Share of it that is lost. */
  readonly share: number;
}

/** Less lost is a hair of a letter. */
const LEAST = 0.12;

/** The text of a control of which most is cut off; what can be scrolled to, and what a clamp or ellipsis ends, is not meant. */
function cutText(element: ElementNode, scene: Scene): CutText | null {
  let worst: CutText | null = null;
  for (const item of textsIn(element, scene)) {
    const owner = elementOf(item);
    if (!owner || !scene.isVisible(owner)) continue;
    for (const clip of cuttersOf(item, scene)) {
      const whole = placeOfItem(item);
      const left = intersect(whole, boundsOf(clip.matrix, clip.rect));
      const share = 1 - (left ? (left.width * left.height) / (whole.width * whole.height) : 0);
      if (share >= LEAST && (!worst || share > worst.share)) worst = { item, by: clip.box.element!, share };
    }
  }
  return worst;
}

/** What may cut a text off: what a part that scrolls keeps below its fold is scrolled to, whatever lies around that part. */
function cuttersOf({ node: { clips } }: PaintItem, scene: Scene): readonly Clip[] {
  const around = clips.slice(clips.findLastIndex(({ scrolls }) => scrolls) + 1);
  return around.filter((clip) => clip.box.element && !isMeant(clip, scene));
}

/** A clip that ends long text on purpose. */
function isMeant({ box }: Clip, scene: Scene): boolean {
  const style = scene.paintStyle(box);
  return style.textOverflow !== 'clip' || style.webkitLineClamp !== 'none';
}

/** Controls whose text is cut off for the visitor of a subject and not for most people. */
export function newlyCut(subject: Subject): readonly Observation[] {
  const usual = subject.parts.usual();
  // What nothing can cut off for most people is not cut off for others either.
  const mayBeCut = ({ element }: Control) =>
    textsIn(element, usual.scene).some((item) => cuttersOf(item, usual.scene).length > 0);
  if (!usual.controls.some(mayBeCut)) return [];
  // What cuts off others for everyone is a fault of its own.
  let before: ReadonlySet<ElementNode> | null = null;
  const cutsAnyway = (by: ElementNode) =>
    (before ??= new Set(usual.controls.flatMap(({ element }) => cutText(element, usual.scene)?.by ?? []))).has(by) ||
    [...keptBelow(usual)].some((e) => isAncestorOrSelf(by, e));
  return subject.controls.flatMap((control): Observation[] => {
    const cut = cutText(control.element, subject.scene);
    if (!cut || cutText(control.element, usual.scene) || cutsAnyway(cut.by)) return [];
    const percent = Math.round(cut.share * 100);
    const style = subject.scene.style(cut.by);
    const cause = causeOf(style, 'overflowX') ?? causeOf(style, 'height');
    return [
      {
        at: onElement(control.element),
        menus: control.menus,
        state: 'normal',
        message: 'cut',
        data: { subject: control.subject, percent, cutter: selectorOf(cut.by) },
        measured: figure(percent, '%'),
        needed: figure(0, '%'),
        cause,
        ...(cause ? {} : { common: `by ${cut.by.path}` }),
      },
    ];
  });
}
