import type { ElementNode } from '../../html/index.js';

/** A state of an element that a pose may change. `checked`, `open` and `target` start from the markup. */
export type FactName =
  | 'hover'
  | 'active'
  | 'focus'
  | 'focus-visible'
  | 'focus-within'
  | 'target'
  | 'target-within'
  | 'checked'
  | 'open'
  | 'popover-open'
  | 'modal';

export interface Fact {
  readonly op: 'fact';
  readonly name: FactName;
  readonly element: ElementNode;
}

/** Under which states a selector matches: always, never, or a formula over facts. */
export type Guard =
  | boolean
  | Fact
  | { readonly op: 'and' | 'or'; readonly parts: readonly Guard[] }
  | { readonly op: 'not'; readonly part: Guard };

/** What is true of elements in one pose. */
export interface StateView {
  has(name: FactName, element: ElementNode): boolean;
}

export function and(a: Guard, b: Guard): Guard {
  if (a === false || b === false) return false;
  if (a === true) return b;
  if (b === true) return a;
  return { op: 'and', parts: [a, b] };
}

export function or(a: Guard, b: Guard): Guard {
  if (a === true || b === true) return true;
  if (a === false) return b;
  if (b === false) return a;
  return { op: 'or', parts: [a, b] };
}

export function not(a: Guard): Guard {
  return typeof a === 'boolean' ? !a : { op: 'not', part: a };
}

export function holds(guard: Guard, state: StateView): boolean {
  if (typeof guard === 'boolean') return guard;
  switch (guard.op) {
    case 'fact':
      return state.has(guard.name, guard.element);
    case 'not':
      return !holds(guard.part, state);
    case 'and':
      return guard.parts.every((part) => holds(part, state));
    case 'or':
      return guard.parts.some((part) => holds(part, state));
  }
}

/** Every fact the guard asks about. */
export function* factsOf(guard: Guard): Generator<Fact> {
  if (typeof guard === 'boolean') return;
  if (guard.op === 'fact') yield guard;
  else if (guard.op === 'not') yield* factsOf(guard.part);
  else for (const part of guard.parts) yield* factsOf(part);
}
