import { isAncestorOrSelf, type ElementNode, type HtmlDocument } from '../html/index.js';
import { isLink, linkCount, linksIn, roleWritten as role } from './links.js';
import { referred } from './references.js';
import { BRAND_WORDS, hasWord } from './words.js';

/** Attributes by which markup says that a control shows something. */
const DISCLOSING = [
  'aria-expanded',
  'aria-haspopup',
  'aria-controls',
  'popovertarget',
  'commandfor',
  'data-toggle',
  'data-bs-toggle',
];

export const discloses = (e: ElementNode): boolean => DISCLOSING.some((name) => e.attributes.has(name));

/** Whether an element is an entry of a list of items, or a cell of a layout table. */
const isEntry = (e: ElementNode): boolean =>
  e.tag === 'li' || e.tag === 'td' || role(e) === 'none' || role(e) === 'listitem';

/**
 * The part of a menu that belongs to one of its controls: markup discloses it by nesting in a list entry, by `details`
 * or by what it says of the control. That links come next is not enough.
 */
export function panelOf(control: ElementNode, root: ElementNode, document: HtmlDocument): ElementNode | null {
  const named = referred(control, document)?.panel;
  if (
    named &&
    named !== root &&
    isAncestorOrSelf(root, named) &&
    !isAncestorOrSelf(named, control) &&
    !isLink(named) &&
    linkCount(named) > 0
  )
    return named;
  if (control.tag === 'summary' && control.parent) {
    const [first, second] = control.parent.elements.filter((e) => e !== control && linkCount(e) > 0);
    // Links without a wrapper are the panel together.
    return first && (second || isLink(first)) ? control.parent : (first ?? null);
  }
  const said = discloses(control) || control.tag === 'label';
  for (let own: ElementNode = control, a = control.parent; a && a !== root.parent; own = a, a = a.parent) {
    const after = a.elements.slice(own.position + 1).find((e) => !isLink(e) && linkCount(e) > 0);
    const before = a.elements.slice(0, own.position).some((e) => linkCount(e) > 0);
    if (isEntry(a)) return before ? null : (after ?? null);
    if (a === root || ['ul', 'ol', 'nav', 'menu'].includes(a.tag))
      return said && after && !before && a !== root ? after : null;
    if (said && after) return after;
  }
  return null;
}

/** Whether a control only shows a part of a menu that stands in it. */
export function isOwnDisclosure(control: ElementNode, root: ElementNode, document: HtmlDocument): boolean {
  if (!isAncestorOrSelf(root, control)) return false;
  const panel = panelOf(control, root, document);
  return (
    panel !== null &&
    linksIn(root).some((link) => link !== control && !isAncestorOrSelf(panel, link) && !hasWord(link, BRAND_WORDS))
  );
}
