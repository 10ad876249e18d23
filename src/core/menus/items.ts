import {
  closest,
  collapseSpace,
  descendants,
  isAncestorOrSelf,
  textContent,
  type ElementNode,
  type HtmlDocument,
} from '../html/index.js';
import { isFocusable, labelOf } from '../naming/index.js';
import type { Glance } from '../scene/index.js';
import { discloses, panelOf } from './disclosure.js';
import { isLink, linkCount, LISTS, navigatesByData, roleWritten as role } from './links.js';
import { referred } from './references.js';
import type { MenuItem } from './types.js';
import { BRAND_WORDS, CURRENT_WORDS, hasWord, wordsOfClass } from './words.js';

/** Whether an element is something to use rather than to look at. */
export function isControl(e: ElementNode): boolean {
  if (isLink(e) || e.tag === 'button' || e.tag === 'summary') return true;
  if (['button', 'link', 'menuitem', 'tab'].includes(role(e))) return true;
  if (navigatesByData(e) && linkCount(e) === 0) return true;
  return e.attributes.has('onclick') || (e.attributes.has('tabindex') && isFocusable(e) && e.elements.length === 0);
}

export const controlsIn = (root: ElementNode): readonly ElementNode[] => [...descendants(root)].filter(isControl);

/** Controls of forms are no menu items, nor is the button beside a field. */
const inForm = (e: ElementNode, root: ElementNode): boolean => {
  for (let a = e.parent; a && a !== root; a = a.parent) {
    if (a.tag === 'form') return true;
    const list = a.tag === 'ul' || a.tag === 'ol';
    if (e.tag === 'button' && !discloses(e) && list)
      return linkCount(a) === 0 && [...descendants(a)].some((x) => x.tag === 'input' || x.tag === 'select');
  }
  return false;
};

const inList = (e: ElementNode, root: ElementNode): boolean => {
  for (let a: ElementNode | null = e; a; a = a === root ? null : a.parent) if (LISTS.has(a.tag)) return true;
  return false;
};

/** Whether an element or what it stands in is called the name or sign of the site. */
export const saysBrand = (e: ElementNode): boolean =>
  hasWord(e, BRAND_WORDS) || (e.parent !== null && hasWord(e.parent, BRAND_WORDS));

/** The name of the site beside a list of links is no entry of it. */
const isBrand = (e: ElementNode, root: ElementNode): boolean =>
  isLink(e) && (hasWord(e, BRAND_WORDS) || (e.parent !== root && saysBrand(e))) && !inList(e, root);

/** A plain element that names the panel nested below it in a list entry. */
function headOf(entry: ElementNode): ElementNode | null {
  if (entry.tag !== 'li') return null;
  const list = entry.elements.find((e) => LISTS.has(e.tag) && linkCount(e) > 0);
  if (!list) return null;
  const before = entry.elements.slice(0, list.position);
  if (before.some((e) => linkCount(e) > 0 || [e, ...descendants(e)].some(isControl))) return null;
  return before.find((e) => e.tag !== 'input' && collapseSpace(textContent(e)) !== '') ?? null;
}

/**
 * The items below a menu's root in document order, with the submenus they own.
 * @param toggles controls that open the menu itself: they are no items
 * @param others roots of other menus: what stands in them is theirs
 * @param isHeard whether a script answers to presses on an element: plain words that do are items too
 * @param opened panels by the handle that opens them, where markup does not say so
 */
export function itemsOf(
  root: ElementNode,
  toggles: ReadonlySet<ElementNode>,
  view: Glance,
  others: readonly ElementNode[] = [],
  isHeard: (element: ElementNode) => boolean = () => false,
  opened: ReadonlyMap<ElementNode, ElementNode> = NONE,
): readonly MenuItem[] {
  const items: MenuItem[] = [];
  const owners = new Map<ElementNode, MenuItem>();
  const nested = others.filter((other) => other !== root && isAncestorOrSelf(root, other));
  const listed = [...descendants(root)].some((e) => LISTS.has(e.tag) && linkCount(e) >= 2) || LISTS.has(root.tag);
  const add = (element: ElementNode, submenu: ElementNode | null) => {
    const parent = ownerOf(element, root, owners);
    const item: MenuItem = {
      element,
      label: labelOf(element, view) || collapseSpace(textContent(element)),
      href: element.attributes.get('href') ?? null,
      level: parent ? parent.level + 1 : 1,
      parent,
      submenu,
      current: currentOf(element, root),
    };
    items.push(item);
    if (submenu && !owners.has(submenu)) owners.set(submenu, item);
  };
  for (const element of descendants(root)) {
    if (nested.some((other) => isAncestorOrSelf(other, element))) continue;
    const head = headOf(element);
    if (head)
      add(
        head,
        element.elements.find((e) => LISTS.has(e.tag) && linkCount(e) > 0)!,
      );
    if (!isControl(element) && !opened.has(element) && !(isPlain(element) && isHeard(element))) continue;
    if (toggles.has(element) || inForm(element, root) || insideControl(element, root)) continue;
    if ((listed && isBrand(element, root)) || closesAround(element, view.document)) continue;
    const panel = panelOf(element, root, view.document) ?? opened.get(element) ?? null;
    add(element, panel && !owners.has(panel) ? panel : null);
  }
  return items;
}

const NONE: ReadonlyMap<ElementNode, ElementNode> = new Map();

/** Events by which a script answers to a press. */
export const PRESSED = /^(click|mouseup|pointerup)$/;

/** Words alone, with nothing to use in them. */
const isPlain = (e: ElementNode): boolean =>
  ['li', 'span', 'div', 'p', 'b', 'strong', 'em'].includes(e.tag) &&
  collapseSpace(textContent(e)) !== '' &&
  ![...descendants(e)].some(isControl);

/** A button that refers to what it stands in shuts it. */
function closesAround(element: ElementNode, document: HtmlDocument): boolean {
  if (element.tag !== 'button') return false;
  const panel = referred(element, document)?.panel;
  return !!panel && panel !== element && isAncestorOrSelf(panel, element) && !isInList(element);
}

/** Whether an element stands in an entry of a list. */
export const isInList = (e: ElementNode): boolean =>
  e.parent !== null && closest(e.parent, (a) => a.tag === 'li') !== null;

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

/** By attribute, or by class words on the item or on what holds it alone; ids and words of more than that say nothing. */
function currentOf(element: ElementNode, root: ElementNode): MenuItem['current'] {
  const aria = element.attributes.get('aria-current');
  if (aria !== undefined && aria !== 'false') return { by: 'aria-current' };
  for (let e: ElementNode | null = element; e && e !== root; e = e.parent) {
    const alone = e === element || linkCount(e) <= 1 || panelsAside(e, element);
    if (!alone) break;
    if (wordsOfClass(e).some((word) => CURRENT_WORDS.has(word))) return { by: 'class' };
    if (e.tag === 'li' || e.tag === 'ul') break;
  }
  return null;
}

/** Whether an entry holds nothing but an item and the panel it owns. */
const panelsAside = (entry: ElementNode, item: ElementNode): boolean =>
  entry.tag === 'li' &&
  entry.elements.filter((e) => !LISTS.has(e.tag)).every((e) => isAncestorOrSelf(e, item) || linkCount(e) === 0);
