import { MARKUP, type ElementNode, type MarkupView } from '../../html/index.js';

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

/** That an element is in a state. */
export interface StateFact {
  readonly op: 'state';
  readonly name: FactName;
  readonly element: ElementNode;
}

/** What a selector asks of a class or attribute that some opening can change. */
export interface MarkupFact {
  readonly op: 'markup';
  readonly element: ElementNode;
  /** As in the selector: `.is-open`, `[aria-expanded=true]`. */
  readonly text: string;
  readonly holds: (markup: MarkupView) => boolean;
  /** Whether attributes of elements around it have a say too. */
  readonly reads: 'own' | 'around';
}

export type Fact = StateFact | MarkupFact;

/** Under which facts a selector matches: always, never, or a formula over them. */
export type Guard =
  | boolean
  | Fact
  | { readonly op: 'and' | 'or'; readonly parts: readonly Guard[] }
  | { readonly op: 'not'; readonly part: Guard }
  /** How many of the parts hold decides. */
  | { readonly op: 'count'; readonly parts: readonly Guard[]; readonly holds: (count: number) => boolean };

/** What is true of elements in one pose. */
export interface StateView extends MarkupView {
  has(name: FactName, element: ElementNode): boolean;
}

/** Which attributes of which elements some opening can change; everything else is decided while matching. */
export interface Changeable {
  /** Whether an attribute may change; the name `class` asks for any class. */
  attribute(element: ElementNode, name: string): boolean;
  hasClass(element: ElementNode, name: string): boolean;
  /** Class names an element may be given. */
  classes(element: ElementNode): readonly string[];
  /** Whether any attribute of the element or of something around it may change. */
  near(element: ElementNode): boolean;
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
    case 'state':
      return state.has(guard.name, guard.element);
    case 'markup':
      return guard.holds(state);
    case 'not':
      return !holds(guard.part, state);
    case 'and':
      return guard.parts.every((part) => holds(part, state));
    case 'or':
      return guard.parts.some((part) => holds(part, state));
    case 'count':
      return guard.holds(guard.parts.filter((part) => holds(part, state)).length);
  }
}

/** Every fact the guard asks about. */
export function* factsOf(guard: Guard): Generator<Fact> {
  if (typeof guard === 'boolean') return;
  if (guard.op === 'state' || guard.op === 'markup') yield guard;
  else if (guard.op === 'not') yield* factsOf(guard.part);
  else for (const part of guard.parts) yield* factsOf(part);
}

/** A fact as a selector would write it. */
export const printFact = (fact: Fact): string => (fact.op === 'state' ? `:${fact.name}` : fact.text);

/** Decides a question about the markup at once, or keeps it as a fact where its answer may change. */
export const decide = (
  mayChange: boolean,
  element: ElementNode,
  text: string,
  test: (markup: MarkupView) => boolean,
  reads: MarkupFact['reads'] = 'around',
): Guard => (mayChange ? { op: 'markup', element, text, holds: test, reads } : test(MARKUP));
