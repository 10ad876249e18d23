import {
  parse,
  html as spec,
  type DefaultTreeAdapterTypes as Tree,
  type ParserOptions,
  type DefaultTreeAdapterMap,
} from 'parse5';
import type { LimitLog, SourceText, Span } from '../base/index.js';
import type { ElementNode, HtmlDocument, TextNode } from './document.js';

/** Browsers cut the depth of the tree here: deeper elements become siblings at the cap. */
export const DEPTH_CAP = 512;

interface Building {
  kind: 'element';
  index: number;
  tag: string;
  namespace: ElementNode['namespace'];
  attributes: Map<string, string>;
  classes: string[];
  id: string | null;
  parent: Building | null;
  children: (Building | TextNode)[];
  elements: Building[];
  position: number;
  startTag: Span | null;
  attributeSpan(name: string): Span | null;
  path: string;
}

/**
 * Parses HTML as a browser does and freezes it into our document.
 * Total: any text gives a document.
 * @param scripting whether `noscript` is parsed as in a browser with scripts on
 * @spec html §13.2 (tree construction), CSSOM-independent
 */
export function parseHtml(source: SourceText, options: { scripting: boolean; limits?: LimitLog }): HtmlDocument {
  const parserOptions: ParserOptions<DefaultTreeAdapterMap> = {
    sourceCodeLocationInfo: true,
    scriptingEnabled: options.scripting,
  };
  const tree = parse(source.text, parserOptions);
  const top = tree.childNodes.find((n): n is Tree.Element => 'tagName' in n)!;
  const elements: Building[] = [];
  const root = convert(top, source, elements, options.limits);
  const ids = new Map<string, ElementNode>();
  for (const element of elements)
    if (element.id !== null && !ids.has(element.id)) ids.set(element.id, element as ElementNode);
  const child = (tag: string) => (root.elements.find((e) => e.tag === tag) as ElementNode | undefined) ?? null;
  return Object.freeze({
    source,
    root: root as ElementNode,
    head: child('head'),
    body: child('body'),
    elements: Object.freeze(elements) as readonly ElementNode[],
    quirks: tree.mode === spec.DOCUMENT_MODE.QUIRKS,
    limitedQuirks: tree.mode !== spec.DOCUMENT_MODE.NO_QUIRKS,
    scripting: options.scripting,
    byId: (id: string) => ids.get(id) ?? null,
  });
}

function convert(top: Tree.Element, source: SourceText, elements: Building[], limits?: LimitLog): Building {
  const root = element(top, null, source, elements);
  const stack: { from: Tree.Element; to: Building; depth: number }[] = [{ from: top, to: root, depth: 1 }];
  // Pre-order with an explicit stack: a document may be nested deeper than the call stack allows.
  const pending: { node: Tree.ChildNode; parent: Building; depth: number }[] = [];
  const push = (from: Tree.Element, to: Building, depth: number) => {
    for (let i = from.childNodes.length - 1; i >= 0; i--)
      pending.push({ node: from.childNodes[i]!, parent: to, depth });
  };
  const first = stack.pop()!;
  push(first.from, first.to, first.depth);
  for (let next = pending.pop(); next; next = pending.pop()) {
    const { node, parent, depth } = next;
    if (node.nodeName === '#text') {
      parent.children.push(
        Object.freeze({ kind: 'text', data: (node as Tree.TextNode).value, parent: parent as ElementNode }),
      );
    } else if ('tagName' in node) {
      const made = element(node, parent, source, elements);
      if (depth + 1 < DEPTH_CAP) push(node, made, depth + 1);
      else if (node.childNodes.length > 0) {
        limits?.add(
          'budget',
          `elements nested deeper than ${DEPTH_CAP}`,
          'they are laid out as siblings, as browsers do',
          made.startTag,
        );
        push(node, parent, depth);
      }
    }
  }
  return root;
}

function element(from: Tree.Element, parent: Building | null, source: SourceText, elements: Building[]): Building {
  const location = from.sourceCodeLocation;
  const span = (at: { startOffset: number; endOffset: number } | undefined | null): Span | null =>
    at ? { source, start: at.startOffset, end: at.endOffset } : null;
  const attributes = new Map(from.attrs.map((a) => [a.prefix ? `${a.prefix}:${a.name}` : a.name, a.value]));
  const position = parent ? parent.elements.length : 0;
  const id = attributes.get('id');
  const made: Building = {
    kind: 'element',
    index: elements.length,
    tag: from.tagName,
    namespace: namespaceOf(from.namespaceURI),
    attributes,
    classes: splitTokens(attributes.get('class') ?? ''),
    id: id === undefined || id === '' ? null : id,
    parent,
    children: [],
    elements: [],
    position,
    startTag: span(location ? (location.startTag ?? location) : null),
    attributeSpan: (name) => span(location?.attrs?.[name]),
    path: pathOf(from.tagName, parent, position),
  };
  if (parent) {
    parent.children.push(made);
    parent.elements.push(made);
  }
  elements.push(made);
  return made;
}

function pathOf(tag: string, parent: Building | null, position: number): string {
  if (!parent) return tag;
  if (tag === 'body' && !parent.parent) return `${parent.path}>body`;
  return `${parent.path}>${tag.replace(/[^a-zA-Z0-9_-]/g, '\\$&')}:nth-child(${position + 1})`;
}

export function splitTokens(text: string): string[] {
  return text.split(/[ \t\n\f\r]+/).filter((part) => part !== '');
}

function namespaceOf(uri: string): ElementNode['namespace'] {
  if (uri === spec.NS.HTML) return 'html';
  if (uri === spec.NS.SVG) return 'svg';
  return uri === spec.NS.MATHML ? 'math' : 'other';
}
