import { factsOf, type Fact, type FactName, type MarkupFact } from '../css/index.js';
import { sameAttributes, type ElementNode } from '../html/index.js';
import type { ElementMatches } from './match.js';
import type { PoseView } from './state.js';

/** Elements by what the rules about them ask. */
export interface Dependents {
  readonly states: ReadonlyMap<FactName, ReadonlyMap<ElementNode, readonly number[]>>;
  /** Questions about an element's own attributes, and those that read others around it: by the element, then by the question. */
  readonly own: Questions;
  readonly around: Questions;
}

type Questions = ReadonlyMap<
  ElementNode,
  ReadonlyMap<string, { readonly fact: MarkupFact; readonly indexes: readonly number[] }>
>;

function entryOf<K, V>(map: Map<K, V>, key: K, make: () => V): V {
  let value = map.get(key);
  if (value === undefined) map.set(key, (value = make()));
  return value;
}

/** Facts that rules ask for, by the element they are asked of, and the elements those rules are about. */
export function dependentsOf(byElement: readonly ElementMatches[]): Dependents {
  const states = new Map<FactName, Map<ElementNode, number[]>>();
  const markup = { own: new Map(), around: new Map() } as Record<
    MarkupFact['reads'],
    Map<ElementNode, Map<string, { fact: MarkupFact; indexes: number[] }>>
  >;
  const add = (list: number[], index: number) => {
    if (list[list.length - 1] !== index) list.push(index);
  };
  const dependOn = (fact: Fact, index: number) => {
    if (fact.op === 'markup') {
      const facts = entryOf(markup[fact.reads], fact.element, () => new Map());
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
  return { states, ...markup };
}

function standsIn(element: ElementNode, some: ReadonlySet<ElementNode>): boolean {
  for (let at: ElementNode | null = element; at; at = at.parent) if (some.has(at)) return true;
  return false;
}

/** States that attributes bring about. */
const BY_ATTRIBUTES: readonly FactName[] = ['open', 'checked'];
const NONE: ReadonlySet<ElementNode> = new Set();
const NO_QUESTIONS = new Map<string, never>();

/** Elements with other attributes in one pose than in another. */
function changedBetween({ changes: one }: PoseView, { changes: other }: PoseView): ReadonlySet<ElementNode> {
  if (one === other) return NONE;
  return new Set([...one.keys(), ...other.keys()].filter((e) => !sameAttributes(one.get(e), other.get(e))));
}

/** Elements whose own rules ask for something the pose may have changed, in document order. */
export function touchedBy(dependents: Dependents, one: PoseView, other: PoseView): readonly number[] {
  const out = new Set<number>();
  const views = [one, other];
  const differs = changedBetween(one, other);
  // Only what is true in one of them and not in the other can make a difference.
  const ask = (name: FactName, element: ElementNode) => {
    if (one.has(name, element) !== other.has(name, element))
      for (const index of dependents.states.get(name)?.get(element) ?? []) out.add(index);
  };
  for (const [name, element] of views.flatMap((view) => view.touches)) ask(name, element);
  for (const element of differs) for (const name of BY_ATTRIBUTES) ask(name, element);
  const askAll = (facts: NonNullable<ReturnType<Questions['get']>>) => {
    for (const { fact, indexes } of facts.values())
      if (fact.holds(one) !== fact.holds(other)) for (const index of indexes) out.add(index);
  };
  for (const element of differs) {
    out.add(element.index);
    askAll(dependents.own.get(element) ?? NO_QUESTIONS);
  }
  for (const [asked, facts] of differs.size > 0 ? dependents.around : []) if (standsIn(asked, differs)) askAll(facts);
  return [...out].sort((a, b) => a - b);
}
