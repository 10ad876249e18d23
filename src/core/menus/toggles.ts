import { collapseSpace, isAncestorOrSelf, textContent, type ElementNode, type HtmlDocument } from '../html/index.js';
import { labelOf } from '../naming/index.js';
import type { Glance } from '../scene/index.js';
import type { Toggle } from './types.js';
import { CLOSE_WORDS, hasWord, TOGGLE_TEXT, TOGGLE_WORDS, wordsOf } from './words.js';

const isPressable = (e: ElementNode): boolean =>
  e.tag === 'button' ||
  e.tag === 'a' ||
  e.tag === 'label' ||
  e.tag === 'summary' ||
  e.attributes.get('role') === 'button' ||
  e.attributes.has('onclick') ||
  e.attributes.has('data-toggle');

/** Attributes whose value names what a control opens, by id or by `#id`. */
const REFERENCES: readonly (readonly [attribute: string, by: Toggle['by']])[] = [
  ['aria-controls', 'aria-controls'],
  ['popovertarget', 'popovertarget'],
  ['commandfor', 'commandfor'],
  ['data-target', 'data-target'],
  ['data-bs-target', 'data-target'],
  ['data-controls', 'data-target'],
];

function referenced(e: ElementNode, document: HtmlDocument): { panel: ElementNode; by: Toggle['by'] } | null {
  for (const [attribute, by] of REFERENCES) {
    const value = e.attributes.get(attribute)?.trim();
    const panel = value ? bySelector(value, document) : null;
    if (panel) return { panel, by };
  }
  if (e.tag === 'label') {
    const input = document.byId(e.attributes.get('for') ?? '');
    return input?.tag === 'input' && input.attributes.get('type') === 'checkbox' ? { panel: input, by: 'label' } : null;
  }
  if (e.tag === 'summary' && e.parent?.tag === 'details') return { panel: e.parent, by: 'details' };
  const href = e.attributes.get('href');
  if (e.tag === 'a' && href && /^#./.test(href)) {
    const panel = document.byId(decodeFragment(href.slice(1)));
    return panel ? { panel, by: 'fragment' } : null;
  }
  return null;
}

function decodeFragment(text: string): string {
  try {
    return decodeURIComponent(text);
  } catch {
    return text;
  }
}

function bySelector(value: string, document: HtmlDocument): ElementNode | null {
  const name = value.replace(/^[#.]/, '');
  if (value.startsWith('.')) return document.elements.find((e) => e.classes.includes(name)) ?? null;
  return document.byId(name);
}

/** The controls that open a menu: by reference to it or to something around it, or by their wording nearby. */
export function togglesOf(root: ElementNode, view: Glance, roots: readonly ElementNode[]): readonly Toggle[] {
  const { document } = view;
  const found: Toggle[] = [];
  for (const e of document.elements) {
    if (!isPressable(e) || isBackControl(e)) continue;
    const reference = referenced(e, document);
    if (reference && opens(reference, root, e, roots))
      found.push({
        element: e,
        label: labelOf(e, view),
        panel: reference.by === 'label' ? root : reference.panel,
        by: reference.by,
      });
    else if (!reference && worded(e) && nearest(e, roots) === root)
      found.push({ element: e, label: labelOf(e, view), panel: null, by: 'wording' });
  }
  return found;
}

const isBackControl = (e: ElementNode): boolean => hasWord(e, CLOSE_WORDS) && !hasWord(e, TOGGLE_WORDS);

function opens(
  reference: { panel: ElementNode; by: Toggle['by'] },
  root: ElementNode,
  control: ElementNode,
  roots: readonly ElementNode[],
): boolean {
  const { panel, by } = reference;
  if (by === 'fragment' && !worded(control)) return false;
  if (by === 'label')
    return worded(control)
      ? nearest(control, roots) === root
      : isAncestorOrSelf(root, control) === false &&
          panel.parent !== null &&
          panel.parent.elements.some((s) => s.position > panel.position && isAncestorOrSelf(s, root));
  if (by === 'details') return isAncestorOrSelf(panel, root) && panel !== root;
  if (panel === root || isAncestorOrSelf(panel, root)) return true;
  // A part of the menu that holds most of it: the panel of a bar whose landmark is around both.
  return (
    isAncestorOrSelf(root, panel) &&
    isAncestorOrSelf(root, control) &&
    linkCount(panel) * 2 >= linkCount(root) &&
    !isNestedList(panel, root)
  );
}

const linkCount = (e: ElementNode): number =>
  (e.tag === 'a' ? 1 : 0) + e.elements.reduce((sum, child) => sum + linkCount(child), 0);

function isNestedList(panel: ElementNode, root: ElementNode): boolean {
  for (let e = panel.parent; e && e !== root; e = e.parent) if (e.tag === 'li') return true;
  return false;
}

function worded(e: ElementNode): boolean {
  if (e.tag === 'a' && e.attributes.has('href') && !/^(#|javascript:|$)/i.test(e.attributes.get('href') ?? ''))
    return false;
  const words = wordsOf(e);
  const byClass =
    words.some((w) => TOGGLE_WORDS.has(w)) &&
    words.some((w) => /^(menu|nav|navbar|drawer|navigation|burger|hamburger|sidebar|mobile)/.test(w));
  const text =
    `${e.attributes.get('aria-label') ?? ''} ${collapseSpace(textContent(e))} ${e.attributes.get('title') ?? ''}`.trim();
  return (byClass && !isInList(e)) || (e.tag !== 'a' && text.length <= 30 && TOGGLE_TEXT.test(text) && !isInList(e));
}

const isInList = (e: ElementNode): boolean => {
  for (let a = e.parent; a; a = a.parent) if (a.tag === 'li') return true;
  return false;
};

/** The menu a worded control stands next to: inside it, or the first after it under their nearest common wrapper. */
function nearest(e: ElementNode, roots: readonly ElementNode[]): ElementNode | null {
  const holding = roots.find((root) => isAncestorOrSelf(root, e));
  if (holding) return holding;
  for (let wrapper = e.parent; wrapper && wrapper.tag !== 'html'; wrapper = wrapper.parent) {
    const inside = roots.filter((root) => isAncestorOrSelf(wrapper, root));
    const chosen = inside.find((root) => root.index > e.index) ?? inside[0];
    if (chosen) return chosen;
  }
  return null;
}
