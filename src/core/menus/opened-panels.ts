import { collapseSpace, descendants, textContent, type ElementNode } from '../html/index.js';
import { setting, type Move, type Page, type Setting } from '../scene/index.js';
import { isControl } from './items.js';
import { isLink, linkCount, linksIn } from './links.js';
import { laysOut, sceneAfter } from './openings.js';

/** Where panels are hidden: on a wide screen those of drop-downs, on a narrow one those of accordions. */
const WIDTHS = [1280, 375] as const;
const ROUTES = ['hover', 'focus', 'press'] as const;
/** More panels than this are not tried one by one. */
const MOST = 40;

/**
 * Panels no markup gives to an item: what stands behind a handle, out of reach, and comes into view when that is
 * pointed at, focused or pressed; or stands open, and goes when that is pressed. By handle.
 */
export function panelsOpened(
  root: ElementNode,
  toggles: ReadonlySet<ElementNode>,
  page: Page,
): ReadonlyMap<ElementNode, ElementNode> {
  const out = new Map<ElementNode, ElementNode>();
  const pairs = candidates(root, toggles);
  if (pairs.length === 0) return out;
  for (const width of WIDTHS) {
    const at = setting(width);
    const rest = page.scene(at);
    for (const { handle, panel } of pairs) {
      if (out.has(handle) || rest.reach(handle) === null) continue;
      const links = linksIn(panel);
      if (links.some((link) => rest.reach(link) !== null)) {
        if (!isLink(handle) && shuts(links, handle, page, at)) out.set(handle, panel);
        continue;
      }
      const opens = ROUTES.some((by) => brings(links, { by, element: handle }, page, at));
      // What opens wherever the menu is pointed at is no panel of one of its items.
      if (opens && !brings(links, { by: 'hover', element: root }, page, at)) out.set(handle, panel);
    }
  }
  return out;
}

/** Whether a press hides links that stand open at rest. */
function shuts(links: readonly ElementNode[], element: ElementNode, page: Page, at: Setting): boolean {
  const after = sceneAfter({ by: 'press', element }, page, at);
  return after !== null && links.every((link) => after.reach(link) === null);
}

/** Whether a move makes some links available that were not, be they cut off all the same. */
function brings(links: readonly ElementNode[], move: Move, page: Page, at: Setting): boolean {
  const [rest, after] = [page.scene(at), sceneAfter(move, page, at)];
  return (
    after !== null &&
    links.some((link) => laysOut(link, rest, after) || (after.reach(link) !== null && !rest.reach(link)))
  );
}

interface Pair {
  readonly handle: ElementNode;
  readonly panel: ElementNode;
}

/** Blocks with links and the handle right before each, where list entries do not say the same. */
function candidates(root: ElementNode, toggles: ReadonlySet<ElementNode>): readonly Pair[] {
  const out: Pair[] = [];
  for (const panel of descendants(root)) {
    if (out.length === MOST) break;
    const { parent } = panel;
    if (!parent || isLink(panel) || panel.tag === 'li' || parent.tag === 'li' || linkCount(panel) === 0) continue;
    const before = parent.elements[panel.position - 1];
    const handle = before && handleIn(before);
    if (handle && !toggles.has(handle) && !out.some((one) => one.handle === handle)) out.push({ handle, panel });
  }
  return out;
}

/** The first control in what stands before a panel, or its words where it has none; null where it is another panel. */
function handleIn(before: ElementNode): ElementNode | null {
  if (before.tag === 'input' || before.tag === 'li' || linkCount(before) > 1) return null;
  const control = [before, ...descendants(before)].find(isControl);
  return control ?? (collapseSpace(textContent(before)) === '' ? null : before);
}
