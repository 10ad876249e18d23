import { isAncestorOrSelf, type ElementNode } from '../../html/index.js';
import type { Scene } from '../../scene/index.js';
import type { Subject } from '../subject.js';
import { shownPanels, type ShownPanel } from './shown-panels.js';
import { middleOf } from './presses.js';
import { mayStick, sticksNow } from './stuck.js';

/** A panel painted under other content, and what covers most of it. */
export interface Bury {
  readonly panel: ShownPanel;
  readonly cover: ElementNode;
  /** Share of its controls that cannot be pressed, and of the points of its box that are covered. */
  readonly share: number;
}

/** A panel of which less is covered is told item by item. */
const LEAST = 0.25;
const GRID = [0.1, 0.3, 0.5, 0.7, 0.9];

const known = new WeakMap<Scene, readonly Bury[]>();

/** Opened panels that lie under other content in this pose. */
export function buriedPanels(subject: Subject): readonly Bury[] {
  let found = known.get(subject.scene);
  if (!found) known.set(subject.scene, (found = shownPanels(subject).flatMap((panel) => buryIn(panel, subject) ?? [])));
  return found;
}

/** The buried panel an element stands in. */
export const buryOf = (subject: Subject, element: ElementNode): Bury | null =>
  buriedPanels(subject).find(({ panel }) => isAncestorOrSelf(panel.root, element)) ?? null;

function buryIn(panel: ShownPanel, { scene }: Subject): Bury | null {
  const rect = scene.seen(panel.root);
  const points = rect
    ? GRID.flatMap((v) => GRID.map((u) => ({ x: rect.x + u * rect.width, y: rect.y + v * rect.height })))
    : [];
  const middles = panel.controls.flatMap((e) => middleOf(e, scene) ?? []);
  const covers = new Map<ElementNode, number>();
  let covered = 0;
  const all = [...points, ...middles];
  for (const { x, y } of all) {
    const cover = coverAt(x, y, panel, scene);
    if (!cover) continue;
    covered++;
    covers.set(cover, (covers.get(cover) ?? 0) + 1);
  }
  const [most] = [...covers].sort((a, b) => b[1] - a[1]);
  return most && covered / all.length >= LEAST ? { panel, cover: most[0], share: covered / all.length } : null;
}

/** What is painted over a panel at a point, as far as it takes presses; what scrolls away from under a stuck part is not. */
function coverAt(x: number, y: number, panel: ShownPanel, scene: Scene): ElementNode | null {
  const hit = scene.hit(x, y);
  if (!hit || isAncestorOrSelf(panel.root, hit) || isAncestorOrSelf(hit, panel.root)) return null;
  if (panel.handle && (isAncestorOrSelf(panel.handle, hit) || isAncestorOrSelf(hit, panel.handle))) return null;
  if (sticksNow(hit, scene) && !mayStick(panel.root, scene)) return null;
  return hit;
}
