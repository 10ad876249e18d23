import type { ElementNode, HtmlDocument } from './document.js';

/** The part of a document a fragment names, or null. @param fragment without its # @spec html §7.4.6.4 (find a potential indicated element) */
export function indicated(document: HtmlDocument, fragment: string): ElementNode | null {
  const named = (name: string) =>
    document.byId(name) ?? document.elements.find((e) => e.tag === 'a' && e.attributes.get('name') === name) ?? null;
  return named(fragment) ?? named(decoded(fragment));
}

/** A piece of an address with its escapes read; as written where they are broken. */
export function decoded(fragment: string): string {
  try {
    return decodeURIComponent(fragment);
  } catch {
    return fragment;
  }
}
