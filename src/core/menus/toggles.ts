import { collapseSpace, descendants, isAncestorOrSelf, textContent, type ElementNode } from '../html/index.js';
import { AFFECTS } from '../css/index.js';
import { labelOf } from '../naming/index.js';
import { poseAfter, setting, type Page, type Scene } from '../scene/index.js';
import { isOwnDisclosure } from './disclosure.js';
import { isControl, isInList } from './items.js';
import { linkCount, linksIn } from './links.js';
import { referred, switchedBy } from './references.js';
import type { MenuKind, Toggle } from './types.js';
import {
  BARS_WORDS,
  BRAND_WORDS,
  CLOSE_TEXT,
  CLOSE_WORDS,
  hasWord,
  OTHER_TEXT,
  TOGGLE_TEXT,
  TOGGLE_WORDS,
  wordsOf,
  wordsOfClass,
} from './words.js';

/** A toggle and the menu it opens. */
export interface ToggleOf {
  readonly root: ElementNode;
  readonly toggle: Toggle;
}

const NARROW = setting(375);

const isPressable = (e: ElementNode): boolean =>
  ['button', 'a', 'label', 'summary'].includes(e.tag) ||
  e.attributes.get('role') === 'button' ||
  e.attributes.has('onclick') ||
  e.attributes.has('data-toggle') ||
  (e.tag === 'div' || e.tag === 'span'
    ? hasWord(e, TOGGLE_WORDS) &&
      (e.elements.length > 0 || textContent(e).trim() !== '') &&
      e.elements.every((c) => ['span', 'i', 'svg', 'div', 'b'].includes(c.tag)) &&
      linkCount(e) === 0
    : false);

/** Leads to another page. */
const leadsAway = (e: ElementNode): boolean =>
  e.tag === 'a' && e.attributes.has('href') && !/^\s*(#|javascript:|$)/i.test(e.attributes.get('href') ?? '');

/**
 * The controls that open menus, wherever they stand: by what they refer to, by the box they switch, and last by their
 * icon or words. What closes one, and what shows a part of a menu it stands in, is none.
 */
export function togglesOf(kinds: ReadonlyMap<ElementNode, MenuKind>, page: Page): readonly ToggleOf[] {
  const { glance } = page;
  const roots = [...kinds.keys()];
  const found: ToggleOf[] = [];
  const waiting: ElementNode[] = [];
  const add = (element: ElementNode, root: ElementNode, panel: ElementNode | null, by: Toggle['by']) => {
    if (!found.some((f) => f.toggle.element === element))
      found.push({ root, toggle: { element, label: labelOf(element, glance), panel, by } });
  };
  for (const e of page.document.elements) {
    if (e.tag === 'input' || !isPressable(e) || leadsAway(e) || saysClose(e) || insidePressable(e) || isAroundField(e))
      continue;
    const pointer = referred(e, page.document);
    const root = pointer && openedBy(e, pointer, roots);
    // Links to a part of the page are links where that part is no menu.
    const reference = pointer?.by === 'fragment' && !root ? null : pointer;
    if (root && reference) add(e, root, reference.panel, reference.by);
    else if (switchedBy(e, page.document)) {
      const opened = isAsked(e, page) ? switchedOpen(e, roots, page) : null;
      if (opened) add(e, opened, opened, 'label');
      else if (looksLikeToggle(e)) waiting.push(e);
    } else if (!reference && looksLikeToggle(e) && !roots.some((r) => isOwnDisclosure(e, r, page.document)))
      waiting.push(e);
  }
  const bound = () => new Set(found.map((f) => f.root));
  // What a press does is surer than what a control is called.
  const tied = bound();
  for (const { element, root } of openedByPress(
    roots.filter((root) => !tied.has(root)),
    page,
  ))
    add(element, root, root, 'effect');
  const opened = bound();
  const free = new Map([...kinds].filter(([root]) => !opened.has(root)));
  for (const e of waiting) {
    const root = found.some((f) => f.toggle.element === e) ? null : likeliest(e, free, page);
    if (root) add(e, root, null, switchedBy(e, page.document) ? 'label' : 'wording');
  }
  return found.sort((a, b) => a.toggle.element.index - b.toggle.element.index);
}

const PRESSES = ['click', 'mousedown', 'mouseup', 'pointerdown', 'pointerup', 'touchstart', 'touchend'];
const PRESS = new RegExp(`^(${PRESSES.join('|')})$`);
/** More elements than this are not pressed to see what they open. */
const MOST_PRESSED = 24;

/** Whether a press on an element is listened to: on itself, or, where it looks as if it can be pressed, around it. */
function isHeard(e: ElementNode, { hearing }: Page, scene: Scene): boolean {
  if (hearing.on(e, PRESS)) return true;
  const inviting =
    ['button', 'a'].includes(e.tag) || e.attributes.get('role') === 'button' || scene.style(e).cursor === 'pointer';
  return inviting && hearing.of(e, PRESSES);
}

/** Whether a link leads to a part of the page that a menu is in, or that is in it: `:target` may show it. */
function aimsAt(e: ElementNode, roots: readonly ElementNode[], { document }: Page): boolean {
  const href = e.tag === 'a' ? (e.attributes.get('href')?.trim() ?? '') : '';
  const target =
    href.startsWith('#') && href.length > 1 ? document.elements.find(({ id }) => id === href.slice(1)) : null;
  return !!target && roots.some((root) => isAncestorOrSelf(target, root) || isAncestorOrSelf(root, target));
}

/** Elements that bring a menu into view that a narrow window hides, whatever they are called: some script listens to them. */
function openedByPress(
  roots: readonly ElementNode[],
  page: Page,
): readonly { readonly element: ElementNode; readonly root: ElementNode }[] {
  if (roots.length === 0) return [];
  const narrow = page.scene(NARROW);
  const shut = roots.filter((root) => isShut(root, narrow));
  if (shut.length === 0) return [];
  const pressed = page.document.elements.filter(
    (e) =>
      (e.tag === 'a' || linkCount(e) === 0) &&
      !leadsAway(e) &&
      !saysClose(e) &&
      !insidePressable(e) &&
      !isInList(e) &&
      narrow.reach(e) !== null &&
      !shut.some((root) => isAncestorOrSelf(e, root)) &&
      (isHeard(e, page, narrow) || aimsAt(e, shut, page)),
  );
  // What is pressed inside of a control is the control.
  const outer = pressed.filter((e) => !pressed.some((other) => other !== e && isAncestorOrSelf(other, e)));
  return outer.slice(0, MOST_PRESSED).flatMap((element) => {
    const root = switchedOpen(element, shut, page);
    if (!root) return [];
    const own = onlyControl(element);
    return [{ element: own && switchedOpen(own, shut, page) === root ? own : element, root }];
  });
}

/** Whether none of a menu's links is in reach, or the way home alone, which stands before its button. */
function isShut(root: ElementNode, scene: Scene): boolean {
  const all = linkCount(root);
  return all > 0 && reached(root, scene) <= (all > FEW ? 1 : 0);
}
const FEW = 3;

/** The one control in a wrapper that is none itself; null where there are several. */
function onlyControl(e: ElementNode): ElementNode | null {
  if (isControl(e) || e.tag === 'label') return null;
  const [first, second] = [...descendants(e)].filter(isControl);
  return first && !second ? first : null;
}

const insidePressable = (e: ElementNode): boolean => {
  for (let a = e.parent; a; a = a.parent) if (a.tag === 'a' || a.tag === 'button' || a.tag === 'label') return true;
  return false;
};

/** A label around its own field switches that, whatever its words. */
const isAroundField = (e: ElementNode): boolean =>
  e.tag === 'label' && [...descendants(e)].some(({ tag }) => tag === 'input' || tag === 'select');

/** A control without a word before the menus it leads to; one behind them leads back to the top of the page. */
const leadsDown = (e: ElementNode, roots: readonly ElementNode[]): boolean =>
  textOf(e) === '' &&
  !isInList(e) &&
  ![...descendants(e)].some(({ tag }) => tag === 'img') &&
  roots.some((root) => e.index < root.index);

const textOf = (e: ElementNode): string =>
  [e.attributes.get('aria-label'), collapseSpace(textContent(e)), e.attributes.get('title')]
    .filter(Boolean)
    .join(' ')
    .trim();

export function saysClose(e: ElementNode): boolean {
  const words = wordsOf(e);
  if (words.some((w) => w === 'overlay' || w === 'backdrop' || w === 'scrim') && !words.includes('icon')) return true;
  return (
    (words.some((w) => CLOSE_WORDS.has(w)) && !words.some((w) => TOGGLE_WORDS.has(w) || w === 'icon')) ||
    CLOSE_TEXT.test(textOf(e))
  );
}

/** The menu a reference opens: the largest inside of what it names, or the one whose main part that is. */
function openedBy(
  control: ElementNode,
  { panel, by }: NonNullable<ReturnType<typeof referred>>,
  roots: readonly ElementNode[],
): ElementNode | null {
  if (panel.tag === 'body' || panel.tag === 'html' || panel.tag === 'main') return null;
  if (isAncestorOrSelf(panel, control) && by !== 'details') return null;
  const within = roots.filter((root) => isAncestorOrSelf(panel, root) && panel !== control);
  if (by === 'fragment' && within.length > 0 && !looksLikeToggle(control) && !leadsDown(control, within)) return null;
  const largest = within.reduce<ElementNode | null>(
    (best, root) => (best && linkCount(best) >= linkCount(root) ? best : root),
    null,
  );
  if (largest) return linkCount(largest) * 2 >= linkCount(panel) ? largest : null;
  if (by === 'fragment') return null;
  const holder = roots.find((root) => isAncestorOrSelf(root, panel));
  if (!holder || linkCount(panel) * 2 < linkCount(holder) || linkCount(panel) < 2) return null;
  if (!isAncestorOrSelf(holder, control)) return holder;
  return inEntry(panel, holder) || othersBeside(control, panel, holder) ? null : holder;
}

/** Whether a menu has entries beside a control and its panel: then the control is one of them. */
const othersBeside = (control: ElementNode, panel: ElementNode, root: ElementNode): boolean =>
  linksIn(root).filter((link) => link !== control && !isAncestorOrSelf(panel, link) && !hasWord(link, BRAND_WORDS))
    .length >= 2;

const inEntry = (panel: ElementNode, root: ElementNode): boolean => {
  for (let e = panel.parent; e && e !== root; e = e.parent) if (e.tag === 'li') return true;
  return false;
};

/** Whether some rule asks if the box a label switches is checked. */
const isAsked = (label: ElementNode, page: Page): boolean =>
  AFFECTS.indexOf(page.touchedBy('checked', switchedBy(label, page.document)!)) > 0;

/** The menu that comes into view in a narrow window when something is pressed. */
function switchedOpen(label: ElementNode, roots: readonly ElementNode[], page: Page): ElementNode | null {
  const closed = page.scene(NARROW);
  const open = page.scene({ ...NARROW, pose: poseAfter(page, [{ by: 'press', element: label }], NARROW) }, closed);
  const gain = (root: ElementNode) => reached(root, open) - reached(root, closed);
  const gains = roots.map((root) => ({ root, more: isOwnDisclosure(label, root, page.document) ? 0 : gain(root) }));
  const best = gains.reduce<(typeof gains)[number] | null>((a, b) => (a && a.more >= b.more ? a : b), null);
  return best && best.more > 0 && best.more * 2 >= linkCount(best.root) ? best.root : null;
}

const reached = (root: ElementNode, scene: Scene, except?: ElementNode): number =>
  [root, ...descendants(root)].filter((e) => e.tag === 'a' && e !== except && scene.reach(e) !== null).length;

const MENU_STEM =
  /^(menu|nav|navbar|drawer|navigation|burger|hamburger|sidebar|sidenav|mobile|offcanvas|canvas|toc|lang)/;

export function looksLikeToggle(e: ElementNode): boolean {
  const words = wordsOf(e);
  const text = textOf(e);
  if (OTHER_TEXT.test(text) && !/\b(site|main) (menu|nav)/i.test(text)) return false;
  if (words.includes('dropdown')) return false;
  if (words.some((w) => TOGGLE_WORDS.has(w)) && words.some((w) => MENU_STEM.test(w))) return !isInList(e);
  if (hasBars(e) && text.length <= 30) return true;
  return e.tag !== 'a' && text.length <= 40 && TOGGLE_TEXT.test(text) && !isInList(e);
}

/** Three bars: as an icon by its class, as a glyph, or as three empty boxes. */
function hasBars(e: ElementNode): boolean {
  if (/[☰≡𝌆]/u.test(textContent(e))) return true;
  return [e, ...descendants(e)].some((x) => {
    const words = wordsOfClass(x);
    const drawn = textContent(x).trim() === '' && ['i', 'b', 'span', 'svg'].includes(x.tag);
    if ((drawn || words.includes('icon')) && words.some((w) => BARS_WORDS.has(w))) return true;
    const bars = x.elements.filter(
      (c) => ['span', 'i', 'div', 'b'].includes(c.tag) && c.elements.length === 0 && textContent(c).trim() === '',
    );
    return bars.length === 3 && x.elements.length <= 4;
  });
}

const LIKELY: readonly MenuKind[] = ['main', 'sidebar', 'other', 'utility', 'contents', 'tabs', 'languages'];

/**
 * The menu a control that looks like a toggle opens: of those that no other control opens and that a narrow window
 * hides, the one named with the same words, then the one it stands in, then the most important.
 */
function likeliest(e: ElementNode, kinds: ReadonlyMap<ElementNode, MenuKind>, page: Page): ElementNode | null {
  const narrow = page.scene(NARROW);
  const likely = (root: ElementNode) => LIKELY.indexOf(kinds.get(root)!);
  const open = [...kinds.keys()].filter((root) => likely(root) >= 0);
  const hidden = open.filter((root) => reached(root, narrow, e) === 0);
  const own = wordsOf(e)
    .concat([...descendants(e)].flatMap(wordsOf))
    .filter((w) => MENU_STEM.test(w) && w !== 'menu' && w !== 'nav' && !TOGGLE_WORDS.has(w));
  const named = (root: ElementNode) => {
    for (let a: ElementNode | null = root; a && linkCount(a) <= linkCount(root) * 1.5; a = a.parent)
      if (wordsOf(a).some((w) => own.includes(w))) return true;
    return false;
  };
  const rank = (root: ElementNode) =>
    Number(named(root)) * 4 + Number(isAncestorOrSelf(root, e)) * 2 + Number(beside(root, e)) - likely(root) / 10;
  const best = (list: readonly ElementNode[]) =>
    list.reduce<ElementNode | null>((a, b) => (a && rank(a) >= rank(b) ? a : b), null);
  const near = (root: ElementNode) => isAncestorOrSelf(root, e) || beside(root, e);
  const worthy = (root: ElementNode) => near(root) || ['main', 'sidebar'].includes(kinds.get(root)!);
  return (
    best(hidden.filter(named)) ?? best(open.filter(named)) ?? best(hidden.filter(worthy)) ?? best(open.filter(near))
  );
}

/** Whether a menu stands under the nearest wrapper of a control; right behind it where that is the page. */
function beside(root: ElementNode, e: ElementNode): boolean {
  for (let a = e.parent, steps = 0; a && steps < 3 && a.tag !== 'body'; a = a.parent, steps++)
    if (isAncestorOrSelf(a, root)) return true;
  const next = e.parent?.tag === 'body' ? e.parent.elements[e.position + 1] : undefined;
  return next !== undefined && isAncestorOrSelf(next, root);
}
