import type { MatchedDocument } from '../cascade/index.js';
import { AFFECTS, affectsOf, factsOf } from '../css/index.js';
import type { ElementNode } from '../html/index.js';

/** Fact → element it is asked of → how much the rules that ask can change, as a place in AFFECTS. */
export type Touched = Map<string, Map<ElementNode, number>>;

export function touchedProperties({ byElement }: MatchedDocument): Touched {
  const out: Touched = new Map();
  for (const { own, pseudo } of byElement)
    for (const { guard, declarations } of [own, ...pseudo.values()].flat()) {
      if (guard === true) continue;
      const most = Math.max(0, ...declarations.map(({ name }) => AFFECTS.indexOf(affectsOf(name))));
      for (const fact of factsOf(guard)) {
        if (fact.op !== 'state') continue;
        let byElementOf = out.get(fact.name);
        if (!byElementOf) out.set(fact.name, (byElementOf = new Map()));
        byElementOf.set(fact.element, Math.max(most, byElementOf.get(fact.element) ?? 0));
      }
    }
  return out;
}
