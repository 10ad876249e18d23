import { itemsOfLike } from '../evaluate/iteration.js';
import { findAll, matcher } from '../dom/find.js';
import { isShown } from '../dom/geometry.js';
import { isMenuMarkup, madeLike } from '../dom/loose.js';
import type { Reading } from '../reading.js';
import { Arr, Chain, El, Loose, Obj, text, Unknown, type Value } from '../values.js';
import { splitList } from '../../css/index.js';
import type { ElementNode } from '../../html/index.js';

export const chainOf = (reading: Reading, items: readonly Value[], before: Chain | null = null, vague = false): Chain =>
  new Chain(reading.realm.protos.chain, [...new Set(items)], before, vague);

/** The elements of a chain. */
export const elementsOf = (chain: Value): readonly El[] =>
  chain instanceof Chain ? chain.items.filter((item): item is El => item instanceof El) : [];

/** `$(what, context)`. */
export function select(reading: Reading, what: Value, context: Value): Chain {
  if (what instanceof Chain) return chainOf(reading, what.items, null, what.vague);
  if (what instanceof Unknown) return chainOf(reading, [], null, true);
  if (what instanceof Arr) return chainOf(reading, itemsOfLike(reading, what) ?? []);
  if (what instanceof Obj) return chainOf(reading, [what]);
  const written = text(what);
  if (written === null || what === null || what === undefined || written.trim() === '') return chainOf(reading, []);
  if (written.trim().startsWith('<')) return chainOf(reading, [loose(reading, written)]);
  if (context === undefined || context === null || context === reading.realm.documentObject)
    return found(reading, written, null);
  const roots = context instanceof Chain ? context : select(reading, context, undefined);
  return below(reading, roots, written);
}

/** An element made from markup. */
function loose(reading: Reading, markup: string): Loose {
  const [, tag = 'div', rest = ''] = /^\s*<([\w-]+)([^>]*)>/.exec(markup) ?? [];
  const made = new Loose(reading.realm.protos.loose, tag);
  made.holdsMenu = isMenuMarkup(markup);
  for (const [, name, value] of rest.matchAll(/([\w-]+)=["']([^"']*)["']/g)) made.attributes.set(name!, value!);
  return made;
}

/** Elements below those of a chain. */
export function below(reading: Reading, roots: Chain, selector: string): Chain {
  if (roots.vague) return chainOf(reading, [], roots, true);
  const all = roots.items.flatMap((root) => {
    if (root instanceof El) return found(reading, selector, root.node).items;
    return root === reading.realm.documentObject ? found(reading, selector, null).items : [];
  });
  return chainOf(reading, all, roots);
}

function found(reading: Reading, selector: string, root: ElementNode | null): Chain {
  const parts = splitList(selector).map((part) => one(reading, part.trim(), root));
  const nodes = [...new Set(parts.flat())].sort((a, b) => a.index - b.index);
  if (nodes.length === 0 && root === null) return chainOf(reading, madeLike(reading, selector.trim()));
  return chainOf(
    reading,
    nodes.map((node) => reading.wrap(node)),
  );
}

/** Filters that only selectors of the library have. */
const OWN =
  /:(visible|hidden|first|last|even|odd|eq\(\s*-?\d+\s*\)|gt\(\s*\d+\s*\)|lt\(\s*\d+\s*\)|input|button|animated|parent|header|has\([^)]*\)|contains\([^)]*\))(?![\w-])/;

function one(reading: Reading, selector: string, root: ElementNode | null): readonly ElementNode[] {
  const text = /^[>+~]/.test(selector) ? `:scope ${selector}` : selector;
  const own = OWN.exec(text);
  if (!own || own[1]!.startsWith('has(')) return findAll(reading, quoted(text), root) ?? [];
  const before = text.slice(0, own.index) || '*';
  const kept = filtered(
    reading,
    findAll(reading, quoted(/[\s>+~]$/.test(before) ? `${before}*` : before), root) ?? [],
    own[1]!,
  );
  const after = text.slice(own.index + own[0].length);
  if (after.trim() === '') return kept;
  if (/^[.#[:]/.test(after)) {
    const matches = matcher(reading, `*${after}`);
    return matches ? kept.filter(matches) : [];
  }
  return kept.flatMap((node) => one(reading, after.trim(), node));
}

/** Attribute values without quotes are taken as text. */
const quoted = (selector: string): string =>
  selector
    .replace(/\[([\w-]+)([~|^$*!]?)=([^"'\]\s]+)\]/g, (_m, name: string, how: string, value: string) =>
      how === '!' ? `:not([${name}="${value}"])` : `[${name}${how}="${value}"]`,
    )
    .replace(/\[([\w-]+)!=("[^"]*"|'[^']*')\]/g, ':not([$1=$2])');

function filtered(reading: Reading, nodes: readonly ElementNode[], filter: string): readonly ElementNode[] {
  const at = Number(/-?\d+/.exec(filter)?.[0] ?? 0);
  const kind = filter.replace(/\(.*/s, '');
  switch (kind) {
    case 'first':
      return nodes.slice(0, 1);
    case 'last':
      return nodes.slice(-1);
    case 'eq':
      return nodes.slice(at, at === -1 ? undefined : at + 1);
    case 'gt':
      return nodes.slice(at + 1);
    case 'lt':
      return nodes.slice(0, at);
    case 'even':
      return nodes.filter((_, i) => i % 2 === 0);
    case 'odd':
      return nodes.filter((_, i) => i % 2 === 1);
    case 'visible':
      return nodes.filter((node) => isShown(reading, reading.wrap(node)!) !== false);
    case 'hidden':
      return nodes.filter((node) => isShown(reading, reading.wrap(node)!) === false);
    case 'input':
      return nodes.filter((node) => ['input', 'select', 'textarea', 'button'].includes(node.tag));
    case 'button':
      return nodes.filter((node) => node.tag === 'button' || node.attributes.get('type') === 'button');
    case 'header':
      return nodes.filter((node) => /^h[1-6]$/.test(node.tag));
    case 'parent':
      return nodes.filter((node) => node.children.length > 0);
    case 'animated':
      return [];
    default:
      return nodes;
  }
}

/** A test of elements by a selector, a function, or being among others. */
export function tester(reading: Reading, by: Value): (item: Value, at: number) => boolean {
  if (by instanceof Chain) return (item) => by.items.includes(item);
  if (by instanceof El) return (item) => item === by;
  const written = text(by);
  if (written === null) return () => true;
  const tests = splitList(written).map((part) => testOf(reading, part.trim()));
  return (item, at) => item instanceof El && tests.some((test) => test(item.node, at));
}

function testOf(reading: Reading, selector: string): (node: ElementNode, at: number) => boolean {
  const own = OWN.exec(selector);
  if (!own || own[1]!.startsWith('has(')) {
    const matches = matcher(reading, quoted(selector));
    return (node) => matches?.(node) ?? false;
  }
  const rest = selector.slice(0, own.index) + selector.slice(own.index + own[0].length);
  const matches = rest === '' ? () => true : matcher(reading, quoted(rest));
  return (node, at) => {
    if (!(matches?.(node) ?? false)) return false;
    if (own[1] === 'first') return at === 0;
    return filtered(reading, [node], own[1]!).length > 0;
  };
}
