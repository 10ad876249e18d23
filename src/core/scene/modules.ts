import { SourceText } from '../base/index.js';
import { specifiersOf, type ModuleText, type PageScript } from '../scripts/index.js';
import { absence, baseUrl, type Resource } from '../sheets/index.js';
import type { PageDraft } from './draft.js';
import { importsOf } from './import-map.js';
import { MOST, type Opening, type Question, type Reader } from './opening.js';
import { fileAddress } from './addresses.js';

/** Modules with what they import, read file by file until nothing more is asked for. @spec html §8.1.6.7 */
export function* withImports(
  draft: PageDraft,
  scripts: readonly PageScript[],
  reader: Reader,
): Opening<readonly PageScript[]> {
  const modules = new Map<string, ModuleText>();
  const asked = new Set<string>();
  /** Modules without which others do not run; those that are imported as they run are told when that happens. */
  const needed = new Set<string>();
  const base = baseUrl(draft.document, draft.text.url);
  const resolve = importsOf(draft.document, base);
  const mapOf = (text: string, from: string, type: 'module' | 'script' = 'module'): Map<string, string> =>
    new Map(
      Object.entries(specifiersOf(text, type)).flatMap(([when, specifiers]) =>
        (specifiers as readonly string[]).flatMap((specifier): [string, string][] => {
          const url = resolve(specifier, from);
          if (url !== null && when === 'first') needed.add(url);
          return url === null ? [] : [[specifier, url]];
        }),
      ),
    );
  const own = scripts.map((script) => {
    const { source, module, address } = script;
    if (!source) return { script, imports: null };
    if (!module) {
      const imports = mapOf(source.text, address ?? base, 'script');
      return { script, imports: imports.size > 0 ? imports : null };
    }
    const imports = mapOf(source.text, address ?? base);
    // Others may import it too: it runs once.
    if (address !== null) {
      modules.set(address, { source, imports });
      asked.add(address);
    }
    return { script, imports };
  });
  let wanted = own.flatMap(({ imports }) => [...(imports?.values() ?? [])]);
  while (wanted.length > 0) {
    const all = [...new Set(wanted)].filter((url) => !asked.has(url));
    const fresh = all.slice(0, Math.max(0, MOST.scripts - asked.size));
    if (fresh.length < all.length)
      draft.limits.add('budget', `more than ${MOST.scripts} modules`, 'those beyond were not read');
    if (fresh.length === 0) break;
    const read = yield fresh.map(
      (url): Question =>
        () =>
          reader.script?.(url) ?? null,
    );
    wanted = fresh.flatMap((url, i) => {
      asked.add(url);
      const found = read[i] as Resource | null;
      if (!found) {
        if (reader.script && needed.has(url))
          draft.limits.add(
            'missing',
            `module ${fileAddress(url, draft.text.root ?? null)}`,
            `${absence(url, draft.text.root ?? null)}: what it opens is not known`,
            null,
          );
        return [];
      }
      const imports = mapOf(found.text, url);
      modules.set(url, { source: new SourceText(found.name, found.text), imports });
      return [...imports.values()];
    });
  }
  return own.map(({ script, imports }) => (imports ? { ...script, from: { modules, imports } } : script));
}
