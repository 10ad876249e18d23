import type { ElementNode } from '../../html/index.js';

/** Where an element's href leads, as far as the markup tells. */
export interface Address {
  /** `top`: `#` alone, the top of the page; `empty`: nothing between the quotes. */
  readonly kind: 'page' | 'fragment' | 'top' | 'empty' | 'script' | 'none';
  readonly href: string;
}

/** @spec html §4.6.3 (following hyperlinks), §7.4.6.4 */
export function addressOf(element: ElementNode): Address {
  const href = element.attributes.get('href')?.trim();
  if (href === undefined) return { kind: 'none', href: '' };
  if (href === '') return { kind: 'empty', href };
  if (/^\s*javascript:/i.test(href) || /^void\s*\(/i.test(href)) return { kind: 'script', href };
  if (href === '#' || href.toLowerCase() === '#top') return { kind: 'top', href };
  return { kind: href.startsWith('#') ? 'fragment' : 'page', href };
}

const GOES =
  /(?:\b(?:window|document|top|parent|self)\s*\.\s*)?\blocation\b\s*(?:\.\s*(?:href|assign|replace)\b)?\s*[=(]|\bnavigate(?:To)?\s*\(/;

/** Whether a handler's text goes to another page. */
export const goesByScript = (handler: string): boolean => GOES.test(handler);
