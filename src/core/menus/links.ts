import {
  collapseSpace,
  decoded,
  descendants,
  textContent,
  type ElementNode,
  type HtmlDocument,
} from '../html/index.js';
import { wordsOfClass } from './words.js';

export const isLink = (e: ElementNode): boolean => e.tag === 'a' && e.namespace === 'html';

/** The links that lead somewhere, in an element. */
export const linksIn = (root: ElementNode): readonly ElementNode[] =>
  [...descendants(root)].filter((e) => isLink(e) && e.attributes.has('href'));

const ADDRESS_DATA = ['data-href', 'data-url', 'data-link'];

/** Whether an element carries an address for a script to go to. */
export const navigatesByData = (element: ElementNode): boolean =>
  ADDRESS_DATA.some((name) => /^(?!#?$|javascript:)/i.test(element.attributes.get(name)?.trim() ?? ''));

/** The role attribute as written, in lower case. */
export const roleWritten = (e: ElementNode): string => (e.attributes.get('role') ?? '').toLowerCase();

export const LISTS: ReadonlySet<string> = new Set(['ul', 'ol', 'menu']);

/** Links below an element, itself included. */
export const linkCount = (e: ElementNode): number =>
  (isLink(e) ? 1 : 0) + e.elements.reduce((sum, child) => sum + linkCount(child), 0);

/** What people set between the entries of a row of links says nothing. */
const SEPARATORS = /[\s|·•>»›‹«/\\–—,:;()[\]→←.]+/g;
const inked = (text: string): number => text.replace(SEPARATORS, '').length;

/** Length of all text of an element but separators, and the part of it that is linked. */
export function textShare(root: ElementNode): { readonly all: number; readonly share: number } {
  const linked = [...descendants(root)]
    .filter((e) => isLink(e) || e.tag === 'button')
    .reduce((sum, e) => sum + inked(textContent(e)), 0);
  const all = inked(textContent(root));
  return { all, share: all === 0 ? 1 : linked / all };
}

const STEP_TEXT =
  /^\W*(prev(ious)?|next|back(?!\s+to\b)|zurück|weiter|vorherige\w*|nächste\w*|précédente?|suivante?|anterior|siguiente|próxim[ao]|precedente|successiv[ao]|older|newer)\b/i;
const STEP_WORDS: ReadonlySet<string> = new Set(['prev', 'previous', 'next', 'older', 'newer']);

/** Whether a link leads one page on or back. @spec html §4.6.7.12, §4.6.7.13 (next, prev) */
export const isStep = (link: ElementNode): boolean =>
  /(^|\s)(prev|next)(\s|$)/i.test(link.attributes.get('rel') ?? '') ||
  wordsOfClass(link).some((word) => STEP_WORDS.has(word)) ||
  STEP_TEXT.test(collapseSpace(textContent(link))) ||
  STEP_TEXT.test(link.attributes.get('title') ?? '');

/** Whether nearly all links lead to parts of the page itself. */
export function leadsWithin(links: readonly ElementNode[], document: HtmlDocument): boolean {
  if (links.length < 2) return false;
  const within = links.filter((link) => {
    const href = link.attributes.get('href')!;
    return /^#[^!/]/.test(href) && (href === '#top' || document.byId(decoded(href.slice(1))) !== null);
  });
  return within.length >= links.length * 0.8 && within.length >= 2;
}
