import { isAncestorOrSelf, type ElementNode } from '../../html/index.js';
import { lastMove, type Menu } from '../../menus/index.js';
import { movesOf, type Scene } from '../../scene/index.js';
import type { Subject } from '../subject.js';

/** A panel that an opened pose brought into view. */
export interface ShownPanel {
  /** The element that came into view as a whole. */
  readonly root: ElementNode;
  readonly handle: ElementNode | null;
  readonly menu: Menu;
  /** Controls it shows. */
  readonly controls: readonly ElementNode[];
}

const known = new WeakMap<Scene, readonly ShownPanel[]>();

/** The panels the pose of a subject opened; none at rest. */
export function shownPanels(subject: Subject): readonly ShownPanel[] {
  const { opened } = subject.parts;
  if (opened === null || opened.size === 0) return [];
  let panels = known.get(subject.scene);
  if (!panels) known.set(subject.scene, (panels = found(subject, opened)));
  return panels;
}

function found(subject: Subject, opened: ReadonlySet<ElementNode>): readonly ShownPanel[] {
  const moves = movesOf(subject.setting.pose);
  const handle = moves.length > 0 ? lastMove(moves).element : null;
  const before = subject.parts.before();
  return subject.menus.flatMap((menu): ShownPanel[] => {
    const controls = [...menu.items, ...menu.toggles].map(({ element }) => element).filter((e) => opened.has(e));
    const first = controls[0];
    if (!first) return [];
    const item = menu.items.find(({ element, submenu }) => element === handle && submenu !== null);
    const root = rootOf(controls, item?.submenu ?? null, before, subject.scene);
    return root ? [{ root, handle, menu, controls }] : [];
  });
}

/** The outermost element around all of them that was not in view before. */
function rootOf(
  controls: readonly ElementNode[],
  submenu: ElementNode | null,
  before: Scene,
  scene: Scene,
): ElementNode | null {
  if (submenu && controls.every((e) => isAncestorOrSelf(submenu, e))) return submenu;
  let root: ElementNode | null = null;
  for (let e: ElementNode | null = controls[0]!; e && e.tag !== 'body' && e.tag !== 'html'; e = e.parent) {
    if (!controls.every((one) => isAncestorOrSelf(e, one))) continue;
    root ??= e;
    // A wrapper that showed before, or has no extent of its own, is not what was opened.
    if (before.seen(e) !== null || scene.rect(e)?.height === 0) break;
    root = e;
  }
  return root;
}
