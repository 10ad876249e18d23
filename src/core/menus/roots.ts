import { closest, descendants, isAncestorOrSelf, type ElementNode, type HtmlDocument } from '../html/index.js';
import { discloses } from './disclosure.js';
import { controlsIn, isControl } from './items.js';
import { isLink, isStep, leadsWithin, linkCount, linksIn, LISTS, roleWritten, textShare } from './links.js';
import { ownKindOf } from './kinds.js';
import type { MenuKind } from './types.js';
import { DRAWER_WORDS, hasWord, isEdge, MENU_WORDS, wordsIn, wordsOf } from './words.js';

export const isLandmark = (e: ElementNode): boolean => {
  const role = roleWritten(e);
  return role === 'navigation' || (e.tag === 'nav' && role === '');
};

/** A menu by role; the panel of a control that shows it belongs to the menu of the control. */
function isMenuRole(e: ElementNode): boolean {
  const role = roleWritten(e);
  if (role === 'menubar') return true;
  if (role !== 'menu') return false;
  const before = e.parent?.elements.slice(0, e.position) ?? [];
  return !before.some((s) => [s, ...descendants(s)].some((x) => isControl(x) && (discloses(x) || isLink(x))));
}

/** What may hold a menu that no landmark marks. */
const CONTAINERS: ReadonlySet<string> = new Set(
  'ul ol menu div section aside p table td nav details dl header footer span'.split(' '),
);
const ROWS: ReadonlySet<string> = new Set([
  ...['ul', 'ol', 'menu', 'div', 'p', 'section', 'nav', 'span'],
  ...['footer', 'details', 'dl'],
]);

const CONTENT: ReadonlySet<string> = new Set(['main', 'article']);
const inContent = (e: ElementNode): boolean =>
  closest(e, (a) => CONTENT.has(a.tag) || roleWritten(a) === 'main') !== null;
const FIXED: ReadonlySet<string> = new Set(['bottomnav', 'tabbar', 'bottombar']);

const inEdge = (e: ElementNode): boolean =>
  closest(
    e,
    (a) => ['header', 'footer'].includes(a.tag) || /^(banner|contentinfo)$/.test(roleWritten(a)) || isEdge(a),
  ) !== null;

const inDrawer = (e: ElementNode): boolean => closest(e, (a) => hasWord(a, DRAWER_WORDS)) !== null;

/** How much a container of a kind may hold: links at least and at most, and their part of the text. */
const HOLDS: Partial<Readonly<Record<MenuKind, readonly [least: number, most: number, share: number, text: number]>>> =
  {
    breadcrumb: [1, 14, 0.1, 300],
    pager: [1, 40, 0.3, 400],
    contents: [2, 400, 0.5, Infinity],
    languages: [2, 120, 0.3, 1200],
  };

function isKind(e: ElementNode, kind: MenuKind): boolean {
  const holds = HOLDS[kind];
  if (!holds) return false;
  const [least, most, share, text] = holds;
  const count = linkCount(e);
  if (count < least || count > most) return false;
  const measured = textShare(e);
  return measured.share >= share && measured.all <= text;
}

const usable = (root: ElementNode): number => controlsIn(root).filter((e) => e.tag !== 'summary').length;

/**
 * The roots of a page's menus, in document order: landmarks, then what is named after a kind of menu, then what is
 * named a menu or stands like one. A landmark inside a landmark is a menu of its own; anything else inside a menu
 * belongs to it.
 */
export function menuRoots(document: HtmlDocument): readonly ElementNode[] {
  const roots: ElementNode[] = [];
  const apart = (e: ElementNode) => !roots.some((r) => isAncestorOrSelf(r, e) || isAncestorOrSelf(e, r));
  const claim = (e: ElementNode) => {
    if (apart(e)) roots.push(e);
  };
  const marked = document.elements.filter((e) => isLandmark(e));
  const landmarks = marked.filter((e) => !isPanelWithin(e, marked));
  const nested = (e: ElementNode) =>
    landmarks.filter(
      (l) =>
        l !== e &&
        isAncestorOrSelf(e, l) &&
        !landmarks.some((m) => m !== l && m !== e && isAncestorOrSelf(e, m) && isAncestorOrSelf(m, l)),
    );
  const own = (e: ElementNode) => usable(e) - nested(e).reduce((sum, l) => sum + usable(l), 0);
  for (const e of landmarks) {
    const kind = ownKindOf(e);
    if (own(e) >= 2 || (own(e) === 1 && kind !== null && isKind(e, kind))) roots.push(e);
  }
  const rest = document.elements.filter((e) => CONTAINERS.has(e.tag) && linkCount(e) > 0);
  for (const e of document.elements) if (isMenuRole(e) && usable(e) >= 2) claim(e);
  for (const e of rest) {
    const kind = ownKindOf(e);
    if (kind && isKind(e, kind)) claim(e);
  }
  for (const e of rest) if (isNamed(e)) claim(e);
  for (const e of rest) if (isPlaced(e)) claim(e);
  for (const e of rest) if (isPager(e) || isContents(e, document)) claim(e);
  return roots.sort((a, b) => a.index - b.index);
}

/** Whether a landmark inside another is what one of the other's controls shows: it belongs to that one. */
function isPanelWithin(e: ElementNode, landmarks: readonly ElementNode[]): boolean {
  const outer = landmarks.find((l) => l !== e && isAncestorOrSelf(l, e));
  if (!outer) return false;
  const ids = new Set<string>();
  for (let a: ElementNode | null = e; a && a !== outer; a = a.parent) if (a.id) ids.add(a.id);
  return [...descendants(outer)].some((x) =>
    [...x.attributes].some(
      ([name, value]) =>
        /^(aria-controls|popovertarget|data-.*)$/.test(name) && ids.has(value.trim().replace(/^#/, '')),
    ),
  );
}

/** One class says that it is the panel of a drop-down. */
const isDropDown = (e: ElementNode): boolean =>
  e.classes
    .map(wordsIn)
    .some((words) => words.includes('menu') && (words.includes('dropdown') || words.includes('drop')));

/** Named as a menu; lists may hold whole panels with words of their own. */
function isNamed(e: ElementNode): boolean {
  // Of a list in the head or foot of the page two links are enough.
  const least = LISTS.has(e.tag) && closest(e, (a) => a !== e && isEdge(a)) !== null ? 2 : 3;
  // A drop-down belongs to the control that drops it.
  if (!hasWord(e, MENU_WORDS) || isDropDown(e) || usable(e) < least) return false;
  if (inContent(e) && closest(e, (a) => hasWord(a, FIXED)) === null) return false;
  return textShare(e).share >= (LISTS.has(e.tag) ? 0.25 : 0.6);
}

/** Several fields to fill in, whatever links stand beside them. */
export const isForm = (e: ElementNode): boolean =>
  [...descendants(closest(e, ({ tag }) => tag === 'form') ?? e)].filter(
    (x) => x.tag === 'textarea' || (x.tag === 'input' && FIELDS.test(x.attributes.get('type') ?? 'text')),
  ).length >= 2;
const FIELDS = /^(text|password|email|tel|url|number|date)$/i;

/** Mostly links, in the header, the footer or what slides in from the side. */
function isPlaced(e: ElementNode): boolean {
  if (!ROWS.has(e.tag) || !(inEdge(e) || inDrawer(e)) || inContent(e) || isForm(e)) return false;
  const links = linksIn(e).length;
  const controls = LISTS.has(e.tag) ? Math.max(links, usable(e)) : links;
  return controls >= 3 && textShare(e).share >= 0.6;
}

/** Few links, of which at least two lead a page on and back. */
function isPager(e: ElementNode): boolean {
  const links = linksIn(e);
  if (links.length < 2 || links.length > 6 || e.tag === 'span') return false;
  const steps = links.filter(isStep).length;
  if (!links.some((link) => isStep(link) && !/^\s*(#|javascript:)/i.test(link.attributes.get('href')!))) return false;
  if (steps < 2 || steps * 2 < links.length) return false;
  const { all, share } = textShare(e);
  return share >= 0.5 || (all <= 200 && wordsOf(e).some((word) => MENU_WORDS.has(word)));
}

/** A list whose links lead to parts of the page itself, and that says little else. */
function isContents(e: ElementNode, document: HtmlDocument): boolean {
  if (!LISTS.has(e.tag)) return false;
  const links = linksIn(e);
  const tabs = [...descendants(e)].some((x) => /^tab$/i.test(x.attributes.get('role') ?? '') || discloses(x));
  return links.length >= 3 && !tabs && leadsWithin(links, document) && textShare(e).share >= 0.7;
}
