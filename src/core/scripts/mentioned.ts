import { compileSelectors, restContext } from '../css/index.js';
import type { ElementNode, HtmlDocument } from '../html/index.js';

/** How a listener around many elements asks which of them was pressed. */
const ASKS = /\.(closest|matches|contains)\(\s*(['"`])([^'"`]{2,80})\2\s*\)/g;
/** More than this are no controls. */
const MOST = 40;

/** Elements that listeners around them ask for by a selector or a class: pressing them may do something. */
export function mentionedBy(document: HtmlDocument, texts: readonly string[]): ReadonlySet<ElementNode> {
  const selectors = new Set<string>();
  for (const text of texts)
    for (const [, method, , asked] of text.matchAll(ASKS))
      selectors.add(method === 'contains' ? `.${asked!.trim()}` : asked!.trim());
  const out = new Set<ElementNode>();
  for (const selector of selectors) {
    const found = matching(selector, document);
    if (found.length > MOST) continue;
    for (const element of found) out.add(element);
  }
  return out;
}

function matching(selector: string, document: HtmlDocument): readonly ElementNode[] {
  try {
    const compiled = compileSelectors(selector);
    const context = restContext(document.root, document);
    return document.elements.filter((e) => compiled.some((one) => one.match(e, context) === true));
  } catch {
    return [];
  }
}
