import { bottom } from '../../base/index.js';
import { closest, type ElementNode } from '../../html/index.js';
import type { Menu } from '../../menus/index.js';
import { scrolledScene, scrollEnd, type Scene } from '../../scene/index.js';
import type { Subject } from '../subject.js';
import type { ShownPanel } from './shown-panels.js';

/** Less than this share of an item below the edge leaves it usable. */
export const PART_LOST = 0.5;
/** Low screens are phones held sideways: wider ones are not low. */
const SIDEWAYS = 960;
/** What begins farther below the last item in view, px, is parked there on purpose. */
const GAP = 150;

/** Whether most of an item lies below the screen in something that keeps to it, and no scrolling brings it back. */
export const isKeptBelow = (element: ElementNode, subject: Subject): boolean =>
  isBelow(element, subject.scene) && !isReached(element, subject);

/** A part of a menu that stands open, keeps to the screen and is taller than it. */
export interface StandingPart {
  readonly root: ElementNode;
  readonly menu: Menu;
  readonly members: readonly ElementNode[];
  readonly below: readonly ElementNode[];
}

/** The items of an opened panel and those beside them. */
export function itemsBeside({ menu, controls }: ShownPanel): readonly ElementNode[] {
  const parents = new Set(menu.items.filter(({ element }) => controls.includes(element)).map(({ parent }) => parent));
  return menu.items.filter((item) => parents.has(item.parent)).map(({ element }) => element);
}

const kept = new WeakMap<Scene, ReadonlySet<ElementNode>>();

/** Every item that menus too tall for the screen keep below it, in part or as a whole: that is told of the panel. */
export function keptBelow(subject: Subject): ReadonlySet<ElementNode> {
  const { scene, menus, parts } = subject;
  if (parts.opened === null) return new Set(standingBelow(subject).flatMap(({ below }) => below));
  let found = kept.get(scene);
  if (!found) {
    const reachesLower = (e: ElementNode) => {
      const rect = scene.isVisible(e) ? scene.rect(e) : null;
      return rect !== null && bottom(rect) > scene.medium.height;
    };
    const low = menus.flatMap(({ items }) => items.map(({ element }) => element)).filter(reachesLower);
    kept.set(scene, (found = new Set(low.some((e) => isKeptBelow(e, subject)) ? low : [])));
  }
  return found;
}

const known = new WeakMap<Scene, readonly StandingPart[]>();

/** The menus at rest of which nobody gets to the end. */
export function standingBelow(subject: Subject): readonly StandingPart[] {
  const { scene, parts, visitor } = subject;
  if (parts.opened !== null || (visitor === 'short-screen' && scene.medium.width > SIDEWAYS)) return [];
  let found = known.get(scene);
  if (!found) known.set(scene, (found = subject.menus.flatMap((menu) => standing(menu, subject))));
  return found;
}

function standing(menu: Menu, subject: Subject): StandingPart[] {
  const { scene } = subject;
  const parts = new Map<ElementNode, ElementNode[]>();
  for (const { element } of menu.items) {
    const root = scene.isVisible(element) ? keeper(element, scene) : null;
    if (root) parts.set(root, [...(parts.get(root) ?? []), element]);
  }
  return [...parts].flatMap(([root, members]): StandingPart[] => {
    const below = members.filter((e) => isKeptBelow(e, subject));
    const last = Math.max(
      ...members
        .filter((e) => !below.includes(e))
        .flatMap((e) => scene.seen(e) ?? [])
        .map(bottom),
    );
    const first = Math.min(...below.map((e) => scene.rect(e)!.y));
    return below.length > 0 && first - last < GAP ? [{ root, menu, members, below }] : [];
  });
}

/** The fixed or sticky element around something, itself included. */
const keeper = (element: ElementNode, scene: Scene): ElementNode | null =>
  closest(element, (e) => /^(fixed|sticky)$/.test(scene.style(e).position));

function isBelow(element: ElementNode, scene: Scene): boolean {
  const rect = scene.rect(element);
  const { height } = scene.medium;
  if (!rect || !scene.isVisible(element) || bottom(rect) - height < rect.height * PART_LOST) return false;
  const nodes = scene.nodes(element);
  if (nodes.some(({ clips }) => clips.some((clip) => clip.scrolls))) return false;
  return nodes.some(({ fixed }) => fixed) || closest(element, (e) => scene.style(e).position === 'sticky') !== null;
}

/** Whether scrolling the page brings an item of a sticky part into view, at the latest at its end. */
function isReached(element: ElementNode, { page, setting, scene }: Subject): boolean {
  if (scene.nodes(element).some(({ fixed }) => fixed)) return false;
  return [bottom(scene.rect(element)!), scrollEnd(scene)].some((y) => {
    const at = scrolledScene(page, setting, y);
    const now = at.rect(element);
    return now !== null && bottom(now) - at.setting.scroll.y <= at.medium.height + 1;
  });
}
