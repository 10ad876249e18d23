import { descendants, type ElementNode } from '../html/index.js';
import { isFocusable, labelOf } from '../naming/index.js';
import type { Glance } from '../scene/index.js';
import type { MenuItem } from './types.js';
import { CURRENT_WORDS, wordsOf } from './words.js';

const isLink = (e: ElementNode): boolean => e.tag === 'a' && e.namespace === 'html';
const role = (e: ElementNode): string => (e.attributes.get('role') ?? '').toLowerCase();

/** Whether an element is something to use rather than to look at. */
export function isControl(e: ElementNode): boolean {
  if (isLink(e) || e.tag === 'button' || e.tag === 'summary') return true;
  if (['button', 'link', 'menuitem', 'tab'].includes(role(e))) return true;
  return e.attributes.has('onclick') || (e.attributes.has('tabindex') && isFocusable(e) && e.elements.length === 0);
}

/** Controls of forms are no menu items. */
const inForm = (e: ElementNode, root: ElementNode): boolean => {
  for (let a = e.parent; a && a !== root; a = a.parent) if (a.tag === 'form') return true;
  return false;
};

/**
 * The items below a menu's root in document order, with the submenus they own.
 * @param toggles controls that open the menu itself: they are no items
 */
export function itemsOf(root: ElementNode, toggles: ReadonlySet<ElementNode>, view: Glance): readonly MenuItem[] {
  const items: MenuItem[] = [];
  const owners = new Map<ElementNode, MenuItem>();
  for (const element of descendants(root)) {
    if (!isControl(element) || toggles.has(element) || inForm(element, root) || insideControl(element, root)) continue;
    const parent = ownerOf(element, root, owners);
    const submenu = submenuOf(element, root, items, parent);
    const item: MenuItem = {
      element,
      label: labelOf(element, view),
      href: element.attributes.get('href') ?? null,
      level: parent ? parent.level + 1 : 1,
      parent,
      submenu,
      current: currentOf(element, root),
    };
    items.push(item);
    if (submenu) owners.set(submenu, item);
  }
  return items;
}

function insideControl(element: ElementNode, root: ElementNode): boolean {
  for (let a = element.parent; a && a !== root; a = a.parent) if (isLink(a) || a.tag === 'button') return true;
  return false;
}

function ownerOf(element: ElementNode, root: ElementNode, owners: ReadonlyMap<ElementNode, MenuItem>): MenuItem | null {
  for (let a = element.parent; a && a !== root; a = a.parent) {
    const owner = owners.get(a);
    if (owner) return owner;
  }
  return null;
}

/** The list entry or wrapper around a control and its submenu. */
function entryOf(element: ElementNode, root: ElementNode): ElementNode | null {
  for (let a = element.parent; a && a !== root; a = a.parent) {
    if (a.tag === 'li' || role(a) === 'none' || role(a) === 'listitem') return a;
    if (['ul', 'ol', 'nav', 'menu'].includes(a.tag)) return null;
    if (
      a.tag === 'div' &&
      a.elements.some((e) => contains(e, element)) &&
      a.elements.some((e) => !contains(e, element) && linksIn(e) >= 2)
    )
      return a;
  }
  return null;
}

const contains = (outer: ElementNode, inner: ElementNode): boolean => {
  for (let e: ElementNode | null = inner; e; e = e.parent) if (e === outer) return true;
  return false;
};

function linksIn(element: ElementNode): number {
  let count = isLink(element) ? 1 : 0;
  for (const e of descendants(element)) if (isLink(e)) count++;
  return count;
}

/** The part of an entry that holds further links and comes after its control. */
function submenuOf(
  element: ElementNode,
  root: ElementNode,
  before: readonly MenuItem[],
  parent: MenuItem | null,
): ElementNode | null {
  if (element.tag === 'summary' && element.parent)
    return element.parent.elements.find((e) => e !== element && linksIn(e) > 0) ?? null;
  const entry = entryOf(element, root);
  if (!entry) return null;
  const taken = before.find((item) => item.submenu && item.parent === parent && entryOf(item.element, root) === entry);
  if (taken) return null;
  const own = entry.elements.find((e) => contains(e, element));
  if (!own) return null;
  return entry.elements.slice(own.position + 1).find((e) => !isControl(e) && linksIn(e) > 0) ?? null;
}

function currentOf(element: ElementNode, root: ElementNode): MenuItem['current'] {
  const aria = element.attributes.get('aria-current');
  if (aria !== undefined && aria !== 'false') return { by: 'aria-current' };
  for (let e: ElementNode | null = element; e && e !== root; e = e.parent) {
    if (wordsOf(e).some((word) => CURRENT_WORDS.has(word))) return { by: 'class' };
    if (e.tag === 'li' || e.tag === 'ul') break;
  }
  return null;
}
