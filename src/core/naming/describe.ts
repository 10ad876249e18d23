import { collapseSpace, descendants, textContent, type ElementNode } from '../html/index.js';
import type { Glance } from '../scene/index.js';
import { isIconFont, withoutPrivate } from './icons.js';
import { nameOf } from './name.js';
import { roleOf } from './role.js';

const LONGEST = 60;
const clip = (text: string): string => (text.length > LONGEST ? `${text.slice(0, LONGEST - 3)}…` : text);

const ownWords = (element: ElementNode, view: Glance): string =>
  clip(collapseSpace(withoutPrivate(spacedText(element, view))));

/** The text of an element, with a space at the edges of blocks. */
function spacedText(element: ElementNode, view: Glance): string {
  const parts = element.children.map((child) => {
    if (child.kind === 'text') return child.data;
    const text = spacedText(child, view);
    return /^(inline|contents)$/.test(view.style(child).display) ? text : ` ${text} `;
  });
  return parts.join('');
}

/** What a reader would call a control: its accessible name without the words icon fonts are drawn with; empty if there is none. */
export function labelOf(element: ElementNode, view: Glance): string {
  const name = nameOf(element, view, { ligatures: false, cased: false });
  if (name !== '') return clip(name);
  // What has no role of its own has no name either, but may well have words.
  const wordy = roleOf(element, view) === 'generic' && !isIconFont(view.style(element), view.metrics);
  return wordy ? ownWords(element, view) : '';
}

/** What a control without a name is called in a sentence. */
function kindOf(element: ElementNode, view: Glance): string {
  const role = roleOf(element, view);
  if (role === 'link' || element.tag === 'a') return 'link';
  return role === 'generic' ? element.tag : role;
}

/** How a sentence speaks of a control: `“Fares”`, or by hidden words, or by where a nameless one leads or stands. */
export function subjectOf(element: ElementNode, view: Glance): string {
  const words = labelOf(element, view) || hiddenWords(element, view);
  if (words !== '') return `“${words}”`;
  const kind = kindOf(element, view);
  const href = element.attributes.get('href')?.trim();
  if (href && href !== '#') return `the ${kind} without a name to ${clip(href)}`;
  return `the ${kind} without a name (${standsAt(element)})`;
}

/** Words of a control that do not show where it is looked at: they tell a reader which one is meant. */
const hiddenWords = (element: ElementNode, view: Glance): string =>
  isIconFont(view.style(element), view.metrics) ||
  [...descendants(element)].some(
    (e) =>
      isIconFont(view.style(e), view.metrics) &&
      textContent(e).trim() !== '' &&
      textContent(e).trim() === textContent(element).trim(),
  )
    ? ''
    : ownWords(element, view);

/** The nearest id or class at or around an element. */
function standsAt(element: ElementNode): string {
  for (let e: ElementNode | null = element; e; e = e.parent) {
    if (e.id !== null) return e === element ? `#${e.id}` : `in #${e.id}`;
    if (e.classes[0] !== undefined) return e === element ? `.${e.classes[0]}` : `in .${e.classes[0]}`;
  }
  return element.tag;
}
