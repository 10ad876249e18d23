import { extname } from 'node:path';
import { readBytes, type Site } from './reader.js';

const TYPES: Readonly<Record<string, string>> = {
  '.png': 'image/png',
  '.jpg': 'image/jpeg',
  '.jpeg': 'image/jpeg',
  '.gif': 'image/gif',
  '.webp': 'image/webp',
  '.avif': 'image/avif',
  '.svg': 'image/svg+xml',
};
/** A larger picture is not put into a report, bytes. */
const MOST_EACH = 150 * 1024;
/** All pictures of a page together, bytes. */
const MOST_ALL = 600 * 1024;

/** Gives the pictures of a site from disk as data addresses, within bounds; null for the rest. */
export function picturesOf(site: Site): (url: string) => string | null {
  const known = new Map<string, string | null>();
  let left = MOST_ALL;
  const read = (url: string): string | null => {
    const type = TYPES[extname(url.replace(/[?#].*$/s, '')).toLowerCase()];
    const bytes = type && url.startsWith('file:') ? readBytes(url, site) : null;
    if (!bytes || bytes.length > MOST_EACH || bytes.length > left) return null;
    left -= bytes.length;
    return `data:${type};base64,${Buffer.from(bytes).toString('base64')}`;
  };
  return (url) => {
    if (!known.has(url)) known.set(url, read(url));
    return known.get(url)!;
  };
}
