import { bottom, type Rect } from '../base/index.js';
import { closest, isAncestorOrSelf, textContent, type ElementNode } from '../html/index.js';
import { setting, type Page, type Scene } from '../scene/index.js';
import { controlsIn } from './items.js';
import { isLink, linkCount, linksIn, roleWritten, textShare } from './links.js';
import { around, type Places } from './place.js';
import { isForm } from './roots.js';

const WIDE = setting(1280);
/** What a row or a column of links may be made of. */
const HOLDERS: ReadonlySet<string> = new Set([
  ...['ul', 'ol', 'menu', 'div', 'p', 'section', 'span', 'center', 'aside'],
  ...['table', 'td'],
]);
const HEADINGS: ReadonlySet<string> = new Set(['h1', 'h2', 'h3']);
/** Links at least, and how far down the row that heads a page may end, px. */
const FEW = 3;
const COLUMN = 4;
const HEAD = 200;

/**
 * Menus that neither landmark nor name tells: a row of links across the top of the page, above its first heading, a
 * column of them, or of what opens them, at its side, or a row that is fixed at the lower edge.
 * @param roots those known already
 */
export function rootsByPlace(page: Page, roots: readonly ElementNode[], places: Places): readonly ElementNode[] {
  const { document } = page;
  const out: ElementNode[] = [];
  const apart = (e: ElementNode) =>
    ![...roots, ...out].some((root) => isAncestorOrSelf(root, e) || isAncestorOrSelf(e, root));
  const heading = document.elements.find(({ tag }) => HEADINGS.has(tag))?.index ?? Infinity;
  for (const e of document.elements) {
    if (!HOLDERS.has(e.tag) || !mayBe(e) || !apart(e)) continue;
    const scene = page.scene(WIDE);
    const shown = controlsIn(e).filter((one) => scene.seen(one) !== null && leads(one));
    const place = shown.length < FEW ? null : places.of(e, controlsIn(e));
    if (place === 'top' && e.index < heading && headsPage(shown, scene)) out.push(e);
    else if (place === 'side' && (shown.length >= COLUMN || !shown.every(isLink)) && !inSection(e)) out.push(e);
    else if (place === 'bottom') out.push(e);
  }
  return out;
}

/** A link, or a control right before what holds links: it opens them. */
const leads = (e: ElementNode): boolean =>
  isLink(e) ? e.attributes.has('href') : linkCount(e) === 0 && linkCount(e.parent?.elements[e.position + 1] ?? e) > 0;

/** Whether text of a section that has begun with its heading stands around an element: a box in the text, no column beside it. */
function inSection(e: ElementNode): boolean {
  for (let at = e; at.parent !== null && at.parent.tag !== 'body'; at = at.parent) {
    const siblings = at.parent.elements;
    const after = siblings.slice(at.position + 1).some(({ tag }) => tag === 'p');
    if (after && siblings.slice(0, at.position).some(({ tag }) => SECTION_HEADINGS.has(tag))) return true;
  }
  return false;
}

const SECTION_HEADINGS: ReadonlySet<string> = new Set([...HEADINGS, 'h4', 'h5', 'h6']);

/** Mostly links to different pages of the site, and outside its content and its forms. */
function mayBe(e: ElementNode): boolean {
  if (closest(e, (a) => OUTSIDE.has(a.tag) || roleWritten(a) === 'main') !== null) return false;
  const links = linksIn(e);
  if (links.length < FEW || isForm(e)) return false;
  const addresses = new Set(links.map((link) => link.attributes.get('href')!.trim()));
  const away = [...addresses].filter((address) => /^(https?:)?\/\//i.test(address)).length;
  // Numbers of lines are links too.
  const worded = links.filter((link) => /\p{L}/u.test(textContent(link)) || link.elements.length > 0).length;
  return addresses.size >= FEW && away * 2 <= addresses.size && worded >= FEW && textShare(e).share >= 0.6;
}

const OUTSIDE: ReadonlySet<string> = new Set(['main', 'article', 'form', 'footer', 'dialog', 'figure', 'blockquote']);

/** Whether most links stand in one row near the top of the page. */
function headsPage(links: readonly ElementNode[], scene: Scene): boolean {
  const rects = links.map((link) => scene.rect(link)).filter((rect): rect is Rect => rect !== null);
  if (bottom(around(rects)) > HEAD) return false;
  const middles = rects.map(({ y, height }) => y + height / 2);
  const most = Math.max(...middles.map((at) => middles.filter((other) => Math.abs(other - at) < 12).length));
  return most >= FEW && most * 2 > rects.length;
}
