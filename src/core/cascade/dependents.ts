import { factsOf, type Fact, type FactName, type MarkupFact } from '../css/index.js';
import { sameAttributes, type ElementNode } from '../html/index.js';
import type { ElementMatches } from './match.js';
import type { PoseView } from './state.js';

/** Elements by what the rules about them ask. */
export interface Dependents {
  readonly states: ReadonlyMap<FactName, ReadonlyMap<ElementNode, readonly number[]>>;
  /** By the element asked of, then by the question. */
  readonly markup: ReadonlyMap<
    ElementNode,
    ReadonlyMap<string, { readonly fact: MarkupFact; readonly indexes: readonly number[] }>
  >;
}

function entryOf<K, V>(map: Map<K, V>, key: K, make: () => V): V {
  let value = map.get(key);
  if (value === undefined) map.set(key, (value = make()));
  return value;
}

/** Facts that rules ask for, by the element they are asked of, and the elements those rules are about. */
export function dependentsOf(byElement: readonly ElementMatches[]): Dependents {
  const states = new Map<FactName, Map<ElementNode, number[]>>();
  const markup = new Map<ElementNode, Map<string, { fact: MarkupFact; indexes: number[] }>>();
  const add = (list: number[], index: number) => {
    if (list[list.length - 1] !== index) list.push(index);
  };
  const dependOn = (fact: Fact, index: number) => {
    if (fact.op === 'markup') {
      const facts = entryOf(markup, fact.element, () => new Map());
      add(entryOf(facts, fact.text, () => ({ fact, indexes: [] })).indexes, index);
    } else {
      const byElement = entryOf(states, fact.name, () => new Map());
      add(
        entryOf(byElement, fact.element, () => []),
        index,
      );
    }
  };
  byElement.forEach(({ own, pseudo }, index) => {
    for (const match of [own, ...pseudo.values()].flat())
      for (const fact of factsOf(match.guard)) dependOn(fact, index);
  });
  return { states, markup };
}

function standsIn(element: ElementNode, some: ReadonlySet<ElementNode>): boolean {
  for (let at: ElementNode | null = element; at; at = at.parent) if (some.has(at)) return true;
  return false;
}

/** Elements whose own rules ask for something the pose may have changed, in document order. */
export function touchedBy(dependents: Dependents, one: PoseView, other: PoseView): readonly number[] {
  const out = new Set<number>();
  const views = [one, other];
  const same = (element: ElementNode) => sameAttributes(one.changes.get(element), other.changes.get(element));
  const differs = new Set([...one.changes.keys(), ...other.changes.keys()].filter((element) => !same(element)));
  // Only what is true in one of them and not in the other can make a difference.
  const asks = ([name, element]: PoseView['touches'][number]) =>
    name !== 'markup' && one.has(name, element) !== other.has(name, element);
  for (const [name, element] of views.flatMap((view) => view.touches).filter(asks))
    for (const index of dependents.states.get(name as FactName)?.get(element) ?? []) out.add(index);
  // A question about an element's attributes may also read those around it.
  for (const element of differs) out.add(element.index);
  for (const [asked, facts] of differs.size > 0 ? dependents.markup : [])
    if (standsIn(asked, differs))
      for (const { fact, indexes } of facts.values())
        if (fact.holds(one) !== fact.holds(other)) for (const index of indexes) out.add(index);
  return [...out].sort((a, b) => a - b);
}
