import { baseUrl, resolveUrl } from '../sheets/index.js';
import type { Page } from '../scene/index.js';

/** The absolute URL an item leads to; null where it leads nowhere by itself: no address, `#`, a script. */
export function urlOf(href: string | null, page: Page): string | null {
  const text = href?.trim() ?? '';
  if (text === '' || text === '#' || /^(javascript:|void\b)/i.test(text)) return null;
  return resolveUrl(text, baseUrl(page.document, page.url));
}

/** The same page under one address: its folder for the first page of it. */
export const plainUrl = (url: string): string => url.replace(/\/index\.html?(?=$|[?#])/, '/');

/** An address as the site's own pages would write it: from its root on, where that is known. */
export function siteAddress(url: string, { root }: Page): string {
  const plain = plainUrl(url);
  if (root !== null && plain.startsWith(root)) return `/${plain.slice(root.length)}`;
  return plain.startsWith('file:///') ? plain.slice('file://'.length) : plain;
}

/** The same of an item's address as it is written. */
export function addressFrom(href: string | null, page: Page): string | null {
  const url = urlOf(href, page);
  return url === null ? null : siteAddress(url, page);
}
