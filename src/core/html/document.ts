import type { SourceText, Span } from '../base/index.js';

/** One element of the frozen document; namespaces other than HTML keep their own tag spelling. */
export interface ElementNode {
  readonly kind: 'element';
  /** Position in document order, from 0. */
  readonly index: number;
  readonly tag: string;
  readonly namespace: 'html' | 'svg' | 'math' | 'other';
  readonly attributes: ReadonlyMap<string, string>;
  readonly classes: readonly string[];
  readonly id: string | null;
  readonly parent: ElementNode | null;
  readonly children: readonly (ElementNode | TextNode)[];
  readonly elements: readonly ElementNode[];
  /** Position among the parent's element children, from 0. */
  readonly position: number;
  /** The start tag, or null for an element the parser implied. */
  readonly startTag: Span | null;
  /** Span of one attribute, name and value, or null if unknown. */
  attributeSpan(name: string): Span | null;
  /** `html>body>header:nth-child(1)`: unique, and readable as a selector. */
  readonly path: string;
}

export interface TextNode {
  readonly kind: 'text';
  readonly data: string;
  readonly parent: ElementNode;
}

export interface HtmlDocument {
  readonly source: SourceText;
  readonly root: ElementNode;
  readonly head: ElementNode | null;
  readonly body: ElementNode | null;
  /** All elements in document order; `elements[e.index] === e`. */
  readonly elements: readonly ElementNode[];
  readonly quirks: boolean;
  /** Whether lines are set as in quirks mode: in limited-quirks mode too. @spec dom §4.5 */
  readonly limitedQuirks: boolean;
  /** Whether the document was parsed for a browser with scripting on (`noscript` holds text then). */
  readonly scripting: boolean;
  /** First element in document order with that id. */
  byId(id: string): ElementNode | null;
}

/** Whether an element is for browsers without scripts and stands in a document read for one with them: it has no box. @spec html §15.3.1 */
export const isForScriptless = (element: ElementNode, { scripting }: Pick<HtmlDocument, 'scripting'>): boolean =>
  scripting && element.tag === 'noscript';

/** The element and everything below it, in document order. */
export function* descendants(element: ElementNode): Generator<ElementNode> {
  const stack = [...element.elements].reverse();
  for (let next = stack.pop(); next; next = stack.pop()) {
    yield next;
    for (let i = next.elements.length - 1; i >= 0; i--) stack.push(next.elements[i]!);
  }
}

export function isAncestorOrSelf(ancestor: ElementNode, element: ElementNode): boolean {
  for (let e: ElementNode | null = element; e; e = e.parent) if (e === ancestor) return true;
  return false;
}

export function closest(element: ElementNode, test: (e: ElementNode) => boolean): ElementNode | null {
  for (let e: ElementNode | null = element; e; e = e.parent) if (test(e)) return e;
  return null;
}

/** All text below an element in document order, white space as written. */
export function textContent(element: ElementNode): string {
  let text = '';
  const stack: (ElementNode | TextNode)[] = [...element.children].reverse();
  for (let next = stack.pop(); next; next = stack.pop()) {
    if (next.kind === 'text') text += next.data;
    else for (let i = next.children.length - 1; i >= 0; i--) stack.push(next.children[i]!);
  }
  return text;
}

/** HTML's ASCII white space stripped at the ends and collapsed inside. */
export function collapseSpace(text: string): string {
  return text.replace(/[ \t\n\f\r]+/g, ' ').trim();
}
