import type { ElementNode, TextNode } from '../../html/index.js';
import type { Reading } from '../reading.js';
import { El, Loose, type Value } from '../values.js';
import { writeStyle } from './targets.js';

type Child = ElementNode | TextNode;

const texts = new WeakMap<TextNode, Loose>();
const nodes = new WeakMap<Loose, TextNode>();

/** A child of an element of the page as scripts see it. */
export function childOf(reading: Reading, child: Child | undefined): Value {
  if (!child) return null;
  if (child.kind === 'element') return reading.wrap(child);
  let known = texts.get(child);
  if (!known) {
    known = new Loose(reading.realm.protos.loose, '#text');
    texts.set(child, known);
    nodes.set(known, child);
    known.props.set('textContent', child.data);
    known.props.set('nodeValue', child.data);
    const next = besideOf(child, 1);
    const before = besideOf(child, -1);
    known.props.set('nextSibling', next?.kind === 'element' ? reading.wrap(next) : null);
    known.props.set('previousSibling', before?.kind === 'element' ? reading.wrap(before) : null);
  }
  return known;
}

const besideOf = (child: Child, step: 1 | -1): Child | undefined => {
  const all = child.parent?.children ?? [];
  return all[all.indexOf(child) + step];
};

const keyOf = (child: Child): string =>
  child.kind === 'element' ? `${child.index}` : `${child.parent.index}/${child.parent.children.indexOf(child)}`;

const isThere = (reading: Reading, child: Child): boolean => reading.gone.size === 0 || !reading.gone.has(keyOf(child));

/** What an element of the page still holds of what it was shipped with. */
export const childrenOf = (reading: Reading, { children }: ElementNode): readonly Child[] =>
  reading.gone.size === 0 ? children : children.filter((child) => isThere(reading, child));

export const elementsOf = (reading: Reading, { elements }: ElementNode): readonly ElementNode[] =>
  reading.gone.size === 0 ? elements : elements.filter((child) => isThere(reading, child));

/** The next of the children beside one, or the one before it, that is still there. */
export function sibling(reading: Reading, child: Child, step: 1 | -1): Child | undefined {
  let at = besideOf(child, step);
  while (at && !isThere(reading, at)) at = besideOf(at, step);
  return at;
}

/**
 * A part of the page is taken from where it was shipped.
 * @param to where it is put; null where it is only taken out
 */
export function takeAway(reading: Reading, value: Value, to: Value = null): void {
  const child = value instanceof El ? value.node : value instanceof Loose ? nodes.get(value) : undefined;
  if (!child || (to instanceof El && to.node === child.parent) || reading.unsure > 0) return;
  reading.put(reading.gone, keyOf(child), true);
}

/** An element of the page is taken out of it: it shows no more. */
export function takeOut(reading: Reading, self: El): void {
  writeStyle(reading, self, 'display', 'none !important');
  takeAway(reading, self);
}

/** All an element holds is taken out of it. */
export function emptyOut(reading: Reading, { children }: ElementNode): void {
  for (const child of children)
    if (child.kind === 'element') takeOut(reading, reading.wrap(child)!);
    else takeAway(reading, childOf(reading, child));
}
