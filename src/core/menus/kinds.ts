import {
  closest,
  collapseSpace,
  descendants,
  textContent,
  type ElementNode,
  type HtmlDocument,
} from '../html/index.js';
import { isStep, leadsWithin, linkCount, linksIn } from './links.js';
import type { Place } from './place.js';
import type { MenuKind } from './types.js';
import { hasWord, isEdge, wordsIn, wordsOf } from './words.js';

/** Words of class and id that tell what a menu is for. Words of looks, such as primary or secondary, do not. */
const WORDS: readonly (readonly [MenuKind, ReadonlySet<string>])[] = (
  [
    ['breadcrumb', 'breadcrumb breadcrumbs crumb crumbs path youarehere'],
    ['pager', 'pager pagination paginator paging prevnext'],
    ['contents', 'toc contents tableofcontents onthispage scrollspy'],
    ['languages', 'lang langs language languages locale locales hreflang'],
    ['tabs', 'tabs tablist'],
    ['bottom-bar', 'bottomnav tabbar bottombar dock'],
  ] as const
).map(([kind, words]) => [kind, new Set(words.split(' '))]);

/** Names people give menus, in a few common languages. */
const NAMES: readonly (readonly [MenuKind, RegExp])[] = [
  ['breadcrumb', /bread ?crumb|you are here|brotkr[uü]m|fil d.ariane|migas/i],
  ['pager', /pag(ination|er)\b|page navigation|prev(ious)?.*next|seiten(wechsel|navigation)/i],
  [
    'contents',
    /table of contents|on this page|in this (page|article)|^contents$|inhalt(sverzeichnis)?|auf dieser seite|sommaire|dans cette page|índice|en esta página/i,
  ],
  ['languages', /languages?\b|sprachen?\b|langues?\b|idiomas?\b|lingu[ae]\b/i],
  ['footer', /\bfooter\b|fußzeile|pied de page/i],
  ['sidebar', /\b(side ?bar|side (menu|nav\w*))\b|seitenleiste/i],
  ['main', /^\W*(main|primary|global|site|haupt\w*|principale?|hoofd\w*)\b/i],
  ['utility', /\b(utility|service|meta|account|user|tools|social)\b/i],
];

const kindNamed = (name: string): MenuKind | null => NAMES.find(([, pattern]) => pattern.test(name))?.[0] ?? null;

export const kindOfWords = (words: readonly string[]): MenuKind | null =>
  WORDS.find(([, set]) => words.some((word) => set.has(word)))?.[0] ?? null;

/** Whether one class or the id names a bar at the lower edge: the bottom of a border is none. */
const isBottomBar = (e: ElementNode): boolean =>
  [...e.classes, e.id ?? ''].some((name) => {
    const words = wordsIn(name);
    return words.includes('bottom') && ['nav', 'bar', 'menu', 'tabs'].some((word) => words.includes(word));
  });

/** The heading right before a list, inside the wrapper it has to itself. */
function headingBefore(root: ElementNode): string {
  for (let e: ElementNode | null = root, steps = 0; e?.parent && steps < 3; e = e.parent, steps++) {
    const before = e.parent.elements[e.position - 1];
    const text = before && linkCount(before) === 0 ? collapseSpace(textContent(before)) : '';
    if (before && text !== '' && text.length <= 40 && (/^h[1-6]$/.test(before.tag) || hasWord(before, HEADINGS)))
      return text;
    if (linkCount(e.parent) > linkCount(root)) return '';
  }
  return '';
}

const HEADINGS: ReadonlySet<string> = new Set(['title', 'heading', 'header', 'label', 'caption']);

const FOOTERS: ReadonlySet<string> = new Set(['footer']);
const inFooter = (root: ElementNode): boolean =>
  closest(root, (e) => e.tag === 'footer' || e.attributes.get('role') === 'contentinfo' || isEdge(e, FOOTERS)) !== null;

const HEADS: ReadonlySet<string> = new Set(['header', 'masthead', 'topbar', 'banner', 'navbar']);
export const inHeader = (root: ElementNode): boolean =>
  closest(root, (e) => e.tag === 'header' || e.attributes.get('role') === 'banner' || isEdge(e, HEADS)) !== null;

const SIDES: ReadonlySet<string> = new Set(['sidebar', 'sidenav', 'drawer', 'offcanvas']);
const UTILITY: ReadonlySet<string> = new Set([
  'utility',
  'util',
  'aux',
  'quicklinks',
  'meta',
  'service',
  'account',
  'user',
  'social',
  'topbar',
  'toolbar',
]);
const MAIN: ReadonlySet<string> = new Set(['main', 'mainnav', 'mainmenu', 'navbar', 'site']);

const isTab = (e: ElementNode): boolean =>
  /^tab$/i.test(e.attributes.get('role') ?? '') ||
  /^(tab|pill)$/i.test(e.attributes.get('data-toggle') ?? e.attributes.get('data-bs-toggle') ?? '');

/** What a menu is for: by its name, its words, what its links are, and where it stands. @param name of its landmark */
export function kindOf(root: ElementNode, name: string, place: Place, document: HtmlDocument): MenuKind {
  const alone: ElementNode[] = [];
  for (let e: ElementNode | null = root; e && e.tag !== 'body'; e = e.parent)
    if (e === root || linkCount(e) === linkCount(root)) alone.push(e);
  const links = linksIn(root);
  const inside = [...descendants(root)].filter((e) => ['ul', 'ol'].includes(e.tag) && linkCount(e) === links.length);
  const words = [...alone, ...inside].flatMap(wordsOf);
  const has = (set: ReadonlySet<string>) => words.some((word) => set.has(word));
  const said = kindNamed(name) ?? kindNamed(headingBefore(root)) ?? kindNamed(root.attributes.get('summary') ?? '');
  if (said) return said;
  const worded = kindOfWords(words) ?? (alone.some(isBottomBar) ? 'bottom-bar' : null);
  if (worded && !(worded === 'contents' && links.length > 3 && !leadsWithin(links, document) && place === 'side'))
    return worded;
  if (links.length > 0 && links.filter((link) => link.attributes.has('hreflang')).length * 2 >= links.length)
    return 'languages';
  if (links.length <= 6 && links.filter(isStep).length * 2 >= Math.max(1, links.length)) return 'pager';
  if ([...descendants(root)].some(isTab)) return 'tabs';
  if (leadsWithin(links, document)) {
    const inBar = (place === 'top' || inHeader(root)) && closest(root, (e) => /^(main|article)$/.test(e.tag)) === null;
    return inBar ? 'main' : has(SIDES) ? 'sidebar' : 'contents';
  }
  if (place === 'bottom') return 'bottom-bar';
  if (inFooter(root)) return 'footer';
  if (place === 'side') return 'sidebar';
  if (place === 'top') return has(UTILITY) ? 'utility' : 'main';
  if (
    has(SIDES) ||
    closest(root, (e) => e.tag === 'aside' || (e.tag !== 'body' && e.tag !== 'html' && hasWord(e, SIDES))) !== null
  )
    return 'sidebar';
  if (has(UTILITY)) return 'utility';
  if (has(MAIN)) return 'main';
  return place === 'top' || inHeader(root) ? 'main' : 'other';
}

export const KIND_LABELS: Readonly<Record<MenuKind, string>> = {
  main: 'main menu',
  utility: 'menu beside the main one',
  sidebar: 'side menu',
  footer: 'footer menu',
  'bottom-bar': 'bottom bar',
  breadcrumb: 'breadcrumb trail',
  contents: 'contents of the page',
  pager: 'page by page',
  languages: 'languages',
  tabs: 'tabs',
  other: 'menu',
};

export const MENU_KINDS = Object.freeze(Object.keys(KIND_LABELS) as MenuKind[]);

/** Kinds a container is known by alone, wherever it stands. */
export const ownKindOf = (e: ElementNode): MenuKind | null => {
  const kind = kindOfWords(wordsOf(e));
  const title = wordsIn(e.attributes.get('aria-label') ?? '');
  return kind ?? kindOfWords(title);
};
