import { collapseSpace, textContent, type ElementNode } from '../html/index.js';
import type { Glance } from '../scene/index.js';
import { isIconFont } from './icons.js';
import { nameOf } from './name.js';
import { roleOf } from './role.js';

const LONGEST = 60;
const clip = (text: string): string => (text.length > LONGEST ? `${text.slice(0, LONGEST - 3)}…` : text);

/** What a reader would call a control: its accessible name without the words icon fonts are drawn with; empty if there is none. */
export function labelOf(element: ElementNode, view: Glance): string {
  const name = nameOf(element, view, { ligatures: false });
  if (name !== '') return clip(name);
  // What has no role of its own has no name either, but may well have words.
  const wordy = roleOf(element, view) === 'generic' && !isIconFont(view.style(element), view.metrics);
  return wordy ? clip(collapseSpace(textContent(element).replace(/[\ue000-\uf8ff]/g, ''))) : '';
}

/** How a sentence speaks of a control: `“Fares”`, or where a nameless one leads or stands. */
export function subjectOf(element: ElementNode, view: Glance): string {
  const label = labelOf(element, view);
  if (label !== '') return `“${label}”`;
  const href = element.attributes.get('href')?.trim();
  if (href) return `The link without a name to ${clip(href)}`;
  const named = element.id !== null ? `#${element.id}` : element.classes[0] ? `.${element.classes[0]}` : element.tag;
  const kind = roleOf(element, view);
  return `The ${kind === 'button' || kind === 'link' ? kind : element.tag} without a name (${named})`;
}
