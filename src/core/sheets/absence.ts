/**
 * Why a file that a page asks for is not there, in words. An address without a scheme on a page from disk names a
 * server.
 * @param root folder of the site as a URL; null where none is known
 */
export function absence(url: string, root: string | null): string {
  if (/^https?:|^file:\/\/[^/]/.test(url)) return 'it lies on the network, which is not asked';
  if (url.startsWith('file:') && root !== null && !url.startsWith(root))
    return 'it lies outside of the site root, and nothing beyond that is read: name a root that holds it';
  return 'it could not be read';
}
