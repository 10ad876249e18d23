import { isAncestorOrSelf, type ElementNode } from '../html/index.js';
import { setting, type Page } from '../scene/index.js';
import { linksIn, textShare } from './links.js';
import { sceneAfter } from './openings.js';
import { looksLikeToggle } from './toggles.js';

const WIDTHS = [375, 1280] as const;
/** Links at least, and controls at most that are pressed to see what they open. */
const FEW = 3;
const MOST = 8;

/**
 * Menus told by nothing but a control that calls itself one: what comes into view when it is pressed, and is mostly
 * links.
 * @param roots those known already
 */
export function rootsByOpening(page: Page, roots: readonly ElementNode[]): readonly ElementNode[] {
  const { document } = page;
  const out: ElementNode[] = [];
  const known = (e: ElementNode) =>
    [...roots, ...out].some((root) => isAncestorOrSelf(root, e) || isAncestorOrSelf(e, root));
  const controls = document.elements.filter((e) => PRESSED.has(e.tag) && looksLikeToggle(e)).slice(0, MOST);
  for (const element of controls)
    for (const width of WIDTHS) {
      const at = setting(width);
      const rest = page.scene(at);
      const after = rest.reach(element) === null ? null : sceneAfter({ by: 'press', element }, page, at);
      if (!after) continue;
      const shown = linksIn(document.root).filter((link) => after.reach(link) !== null && rest.reach(link) === null);
      const root = shown.length < FEW ? null : commonAncestor(shown);
      if (!root || known(root) || isAncestorOrSelf(root, element) || textShare(root).share < 0.6) continue;
      out.push(root);
      break;
    }
  return out;
}

const PRESSED: ReadonlySet<string> = new Set(['button', 'label', 'summary', 'a', 'div', 'span']);

/** The innermost element around all of some; null where that is the page itself. */
function commonAncestor([first, ...others]: readonly ElementNode[]): ElementNode | null {
  let around = first?.parent ?? null;
  while (around && !others.every((e) => isAncestorOrSelf(around!, e))) around = around.parent;
  return around === null || ['html', 'body', 'main'].includes(around.tag) ? null : around;
}
