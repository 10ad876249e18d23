import { baseUrl, resolveUrl } from '../sheets/index.js';
import { withoutFragment } from './draft.js';
import type { Page } from './page.js';

/** The absolute URL an item leads to; null where it leads nowhere by itself: no address, `#`, a script. */
export function urlOf(href: string | null, page: Page): string | null {
  const text = href?.trim() ?? '';
  if (text === '' || text === '#' || /^(javascript:|void\b)/i.test(text)) return null;
  return resolveUrl(text, baseUrl(page.document, page.url));
}

/** Whether an absolute URL lies on the machine another one does. */
export function isOfSite(url: string, other: string): boolean {
  const [a, b] = [new URL(url), new URL(other)];
  return a.protocol === b.protocol && a.host === b.host;
}

/**
 * An address as the site's own pages would write it, from its root on where that is known: the same for all ways to
 * write it, the folder standing for its first page.
 */
export function siteAddress(url: string, { root }: Page): string {
  const plain = url.replace(/\/index\.html?(?=$|[?#])/, '/');
  return root !== null && plain.startsWith(root) ? `/${plain.slice(root.length)}` : fileAddress(plain, root);
}

/** The address of a file as one would look for it: from the root of the site on, or as a path. */
export function fileAddress(url: string, root: string | null): string {
  if (root !== null && url.startsWith(root)) return url.slice(root.length);
  return url.startsWith('file:///') ? url.slice('file://'.length) : url;
}

/** The same of an item's address as it is written; null where it leads nowhere by itself. */
export function addressFrom(href: string | null, page: Page): string | null {
  const url = urlOf(href, page);
  return url === null ? null : siteAddress(url, page);
}

/** Whether an address means the page it stands on, or a part of it. */
export const isOwnAddress = (url: string, page: Page): boolean =>
  siteAddress(withoutFragment(url), page) === siteAddress(withoutFragment(page.url), page);
