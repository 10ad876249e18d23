import {
  closest,
  collapseSpace,
  descendants,
  isAncestorOrSelf,
  textContent,
  type ElementNode,
  type HtmlDocument,
} from '../html/index.js';
import type { Glance, Page } from '../scene/index.js';
import { isControl, itemsOf } from './items.js';
import { togglesOf } from './toggles.js';
import type { Menu, MenuKind } from './types.js';
import { hasWord, MENU_WORDS, wordsOf } from './words.js';

const isLandmark = (e: ElementNode): boolean => {
  const role = (e.attributes.get('role') ?? '').toLowerCase();
  return role === 'navigation' || (e.tag === 'nav' && role === '');
};
const isMenuRole = (e: ElementNode): boolean => /^(menubar|menu)$/.test((e.attributes.get('role') ?? '').toLowerCase());

const links = (root: ElementNode): ElementNode[] =>
  [...descendants(root)].filter((e) => isControl(e) && e.tag !== 'summary');

/** A wrapper whose links are at least a share of its text: a menu rather than a paragraph with links. */
function isLinkList(root: ElementNode, share: number): boolean {
  const found = links(root);
  if (found.length < 3) return false;
  const linked = found.reduce((sum, e) => sum + collapseSpace(textContent(e)).length, 0);
  const all = collapseSpace(textContent(root)).length;
  return linked >= all * share;
}

/** Lists named as menus may hold whole panels with words of their own. */
const LISTS = new Set(['ul', 'ol', 'menu']);

const inHeaderOrFooter = (e: ElementNode): boolean =>
  closest(
    e,
    (a) =>
      ['header', 'footer'].includes(a.tag) ||
      /^(banner|contentinfo)$/.test(a.attributes.get('role') ?? '') ||
      hasWord(a, EDGES),
  ) !== null;
const EDGES = new Set(['header', 'masthead', 'footer', 'topbar', 'bottombar', 'tabbar']);
const CONTENT = new Set(['main', 'article']);
const inContent = (e: ElementNode): boolean => closest(e, (a) => CONTENT.has(a.tag)) !== null;

/**
 * Finds the menus of a page from its markup: navigation landmarks first, then lists of links that are named or placed
 * like menus. A menu inside another belongs to it.
 */
export function findMenus(page: Page): readonly Menu[] {
  const { document, glance } = page;
  const roots: ElementNode[] = [];
  const claim = (e: ElementNode) => {
    if (!roots.some((r) => isAncestorOrSelf(r, e) || isAncestorOrSelf(e, r))) roots.push(e);
  };
  for (const e of document.elements) if ((isLandmark(e) || isMenuRole(e)) && links(e).length >= 2) claim(e);
  for (const e of document.elements) {
    const listed = ['ul', 'ol', 'div', 'section', 'aside', 'menu'].includes(e.tag);
    if (!listed) continue;
    const named = hasWord(e, MENU_WORDS);
    const placed = inHeaderOrFooter(e) && (e.tag === 'ul' || e.tag === 'ol' || e.tag === 'menu');
    if (
      (named ? !inContent(e) || closest(e, isFixedByName) !== null : placed) &&
      isLinkList(e, named && LISTS.has(e.tag) ? 0.25 : 0.6)
    )
      claim(e);
  }
  const sorted = roots.sort((a, b) => a.index - b.index);
  return sorted.map((root, i) => makeMenu(root, i, glance, sorted));
}

const isFixedByName = (e: ElementNode): boolean => hasWord(e, new Set(['bottomnav', 'tabbar', 'bottombar']));

function makeMenu(root: ElementNode, index: number, view: Glance, roots: readonly ElementNode[]): Menu {
  const toggles = togglesOf(root, view, roots);
  const items = itemsOf(root, new Set(toggles.map((t) => t.element)), view);
  const kind = kindOf(root);
  return {
    id: `menu-${index + 1}`,
    kind,
    root,
    label: labelFor(root, kind, view.document),
    landmark: closest(root, isLandmark) !== null,
    items,
    toggles,
  };
}

/** The landmark's own name, or where the menu stands. */
function labelFor(root: ElementNode, kind: MenuKind, document: HtmlDocument): string {
  const landmark = closest(root, isLandmark) ?? root;
  const label = landmark.attributes.get('aria-label')?.trim();
  if (label) return label;
  const ids = (landmark.attributes.get('aria-labelledby') ?? '').split(/\s+/).filter(Boolean);
  const named = ids
    .map((id) => document.byId(id))
    .filter((e) => e !== null)
    .map((e) => collapseSpace(textContent(e)))
    .join(' ');
  return named || KIND_LABELS[kind];
}

const KIND_LABELS: Readonly<Record<MenuKind, string>> = {
  main: 'main menu',
  utility: 'menu in the header',
  footer: 'footer menu',
  'bottom-bar': 'bottom bar',
  breadcrumb: 'breadcrumb trail',
  'page-contents': 'contents of the page',
  pagination: 'page by page',
  other: 'menu',
};

function kindOf(root: ElementNode): MenuKind {
  const words = new Set<string>();
  for (let e: ElementNode | null = root; e; e = e.parent)
    if (e === root || isLandmark(e)) for (const word of wordsOf(e)) words.add(word);
  const label = (root.attributes.get('aria-label') ?? '').toLowerCase();
  const says = (...names: string[]) => names.some((name) => words.has(name) || label.includes(name));
  if (says('breadcrumb', 'breadcrumbs')) return 'breadcrumb';
  if (says('pagination', 'pager')) return 'pagination';
  if (says('toc', 'contents')) return 'page-contents';
  if (
    says('bottomnav', 'tabbar', 'bottombar', 'dock') ||
    (words.has('bottom') && ['nav', 'bar', 'menu', 'tabs'].some((w) => words.has(w)))
  )
    return 'bottom-bar';
  if (
    closest(
      root,
      (e) => e.tag === 'footer' || e.attributes.get('role') === 'contentinfo' || hasWord(e, new Set(['footer'])),
    ) !== null
  )
    return 'footer';
  if (says('utility', 'topbar', 'secondary', 'meta', 'service')) return 'utility';
  if (says('main', 'primary', 'mainnav', 'mainmenu', 'navbar', 'site')) return 'main';
  return closest(root, (e) => e.tag === 'header' || e.attributes.get('role') === 'banner' || hasWord(e, EDGES)) !== null
    ? 'main'
    : 'other';
}
