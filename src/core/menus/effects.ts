import type { Rect } from '../base/index.js';
import type { ElementNode } from '../html/index.js';
import { isFocusable } from '../naming/index.js';
import { poseAfter, type Move, type Page, type Scene, type Setting } from '../scene/index.js';
import { findMenus } from './find.js';
import { lastMove, mayOpen } from './openings.js';

/** One move on a page at rest, and what it brings into view or takes out of it. */
export interface Effect {
  readonly move: Move;
  readonly by: 'style' | 'markup' | 'script';
  readonly shows: readonly { readonly element: ElementNode; readonly box: Rect | null }[];
  readonly hides: readonly ElementNode[];
}

/** More controls than this are not tried one by one at a width. */
const MOST = 400;

const isPressable = (e: ElementNode, page: Page): boolean =>
  (['a', 'button', 'label', 'summary'].includes(e.tag) && e.namespace === 'html') ||
  ['button', 'menuitem', 'tab', 'link', 'switch'].includes(e.attributes.get('role') ?? '') ||
  e.attributes.has('onclick') ||
  (e.tag === 'input' && /^(checkbox|radio|button|submit|image)$/i.test(e.attributes.get('type') ?? '')) ||
  isFocusable(e) ||
  page.hearing.on(e, /^(click|mousedown|pointerdown|pointerup|touchstart|touchend)$/);

/** Everything one hover, focus or press opens or closes on a page, menus or not, in document order. */
export function effectsAt(page: Page, at: Setting): readonly Effect[] {
  const rest = page.scene(at);
  const items = new Set(findMenus(page).flatMap((menu) => menu.items.map((item) => item.element)));
  const all = page.document.elements
    .filter((e) => rest.isVisible(e) && (items.has(e) || isPressable(e, page) || page.hearing.on(e, HOVERS)))
    .slice(0, MOST);
  return all.flatMap((element) =>
    (['hover', 'focus', 'press'] as const).flatMap((by): Effect[] => {
      if (by === 'focus' && !isFocusable(element)) return [];
      const move = { by, element };
      const effect = mayOpen(page, at, [move]) ? effectOf(page, at, [move]) : null;
      return effect && effect.shows.length + effect.hides.length > 0 ? [effect] : [];
    }),
  );
}

const HOVERS = /^(mouse|pointer)(enter|over|leave|out)$/;

/** What the last of some moves changes of what shows. */
export function effectOf(page: Page, at: Setting, moves: readonly Move[]): Effect {
  const before = page.scene({ ...at, pose: poseAfter(page, moves.slice(0, -1), at) });
  const pose = poseAfter(page, moves, at);
  const posed = { ...at, pose };
  const cause = causeOf(page, at, moves, pose);
  // What only changes colours neither shows nor hides anything.
  if (!page.preview(posed, before).moves) return { move: lastMove(moves), by: cause, shows: [], hides: [] };
  const after = page.scene(posed, before);
  const shows: { element: ElementNode; box: Rect | null }[] = [];
  const hides: ElementNode[] = [];
  for (const element of page.document.elements) {
    const [was, is] = [shown(before, element), shown(after, element)];
    if ((is.visible && !was.visible) || (is.seen && !was.seen)) {
      if (is.seen || !was.visible) shows.push({ element, box: after.rect(element) });
    } else if (was.seen && !is.seen) hides.push(element);
  }
  return { move: lastMove(moves), by: cause, shows, hides };
}

const shown = (scene: Scene, element: ElementNode) => {
  const visible = scene.isVisible(element);
  return { visible, seen: visible && scene.seen(element) !== null };
};

/** What answers to a move: a script that changes the page, what browsers do of themselves, or style alone. */
function causeOf(page: Page, at: Setting, moves: readonly Move[], pose: Setting['pose']): Effect['by'] {
  const before = moves.length > 1 ? poseAfter(page, moves.slice(0, -1), at) : page.restingPose(at);
  const changed = [...(pose.changed ?? [])].some(([element, own]) => {
    const other = before.changed?.get(element);
    return [...own].some(([name, value]) => other?.get(name) !== value);
  });
  const lost = [...(before.changed ?? [])].some(([element]) => !pose.changed?.has(element));
  if (changed || lost) return 'script';
  const toggles = [...(pose.toggled ?? [])].some(([element, on]) => before.toggled?.get(element) !== on);
  return toggles || pose.target !== before.target ? 'markup' : 'style';
}
