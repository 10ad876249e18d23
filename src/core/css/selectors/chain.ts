import type { ElementNode } from '../../html/index.js';
import { and, or, type Guard } from './guard.js';
import type { MatchContext, Matcher } from './types.js';

export interface Compound {
  readonly match: Matcher;
  readonly combinator: string;
}

export function anyOf(matchers: readonly Matcher[]): Matcher {
  if (matchers.length === 1) return matchers[0]!;
  return (e, c) => {
    let guard: Guard = false;
    for (const match of matchers) {
      guard = or(guard, match(e, c));
      if (guard === true) return true;
    }
    return guard;
  };
}

/** Matches compounds right to left. @spec selectors-4 §17 (the subject is the last compound) */
export function chain(compounds: readonly Compound[]): Matcher {
  if (compounds.length === 1 && compounds[0]!.combinator === '') return compounds[0]!.match;
  return (e, c) => step(compounds, compounds.length - 1, e, c);
}

function step(compounds: readonly Compound[], at: number, element: ElementNode, c: MatchContext): Guard {
  const compound = compounds[at]!;
  const here = compound.match(element, c);
  if (here === false || at === 0) return here;
  switch (compound.combinator) {
    case '>':
      return element.parent ? and(here, step(compounds, at - 1, element.parent, c)) : false;
    case '+': {
      const before = element.parent?.elements[element.position - 1];
      return before ? and(here, step(compounds, at - 1, before, c)) : false;
    }
    case '~': {
      let guard: Guard = false;
      for (let i = element.position - 1; i >= 0 && guard !== true; i--)
        guard = or(guard, step(compounds, at - 1, element.parent!.elements[i]!, c));
      return and(here, guard);
    }
    default: {
      let guard: Guard = false;
      for (let a = element.parent; a && guard !== true; a = a.parent) {
        if (--c.budget.left < 0) return false;
        guard = or(guard, step(compounds, at - 1, a, c));
      }
      return and(here, guard);
    }
  }
}
