import { textContent, type HtmlDocument } from '../html/index.js';
import { resolveUrl } from '../sheets/index.js';

/** Where names that modules import lead, the longest first. */
type Names = readonly (readonly [name: string, url: string | null])[];

/** Finds the address behind a specifier in a module of an address; null where there is none. */
export type Resolve = (specifier: string, from: string) => string | null;

const ADDRESS = /^(\.{0,2}\/|[a-z][a-z+.-]*:)/i;

/** How the modules of a page find one another, by its import map where it has one. @spec html §8.1.6.2, §8.1.6.4 */
export function importsOf(document: HtmlDocument, base: string): Resolve {
  const map = document.elements.find((e) => e.tag === 'script' && /^importmap$/i.test(e.attributes.get('type') ?? ''));
  const { imports, scopes } = map ? readMap(textContent(map)) : {};
  const names = namesOf(imports, base);
  const scoped = Object.entries(entriesOf(scopes))
    .map(([prefix, own]) => [resolveUrl(prefix, base) ?? prefix, namesOf(own, base)] as const)
    .sort(([a], [b]) => b.length - a.length);
  return (specifier, from) => {
    const url = ADDRESS.test(specifier) ? resolveUrl(specifier, from) : null;
    const asked = url ?? specifier;
    const own = scoped.filter(([scope]) => from === scope || (scope.endsWith('/') && from.startsWith(scope)));
    for (const list of [...own.map(([, inner]) => inner), names]) {
      const found = lookUp(asked, list);
      if (found !== undefined) return found;
    }
    return url;
  };
}

function readMap(text: string): { readonly imports?: unknown; readonly scopes?: unknown } {
  try {
    return entriesOf(JSON.parse(text));
  } catch {
    // Browsers leave a map out that is none.
    return {};
  }
}

const entriesOf = (value: unknown): Readonly<Record<string, unknown>> =>
  typeof value === 'object' && value !== null && !Array.isArray(value) ? (value as Record<string, unknown>) : {};

const namesOf = (value: unknown, base: string): Names =>
  Object.entries(entriesOf(value))
    .map(([name, to]) => {
      const key = ADDRESS.test(name) ? (resolveUrl(name, base) ?? name) : name;
      return [key, typeof to === 'string' && ADDRESS.test(to) ? resolveUrl(to, base) : null] as const;
    })
    .sort(([a], [b]) => b.length - a.length);

/** Undefined where a list says nothing of a name. */
function lookUp(asked: string, names: Names): string | null | undefined {
  for (const [name, url] of names) {
    if (name === asked) return url;
    if (name.endsWith('/') && asked.startsWith(name)) return url && resolveUrl(asked.slice(name.length), url);
  }
  return undefined;
}
