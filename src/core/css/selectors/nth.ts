import type { ElementNode } from '../../html/index.js';
import { and, type Guard } from './guard.js';
import type { MatchContext, Matcher } from './types.js';

export interface AnPlusB {
  readonly a: number;
  readonly b: number;
}

/** Reads An+B; null if it is none. @spec css-syntax-3 §6 */
export function parseAnPlusB(text: string): AnPlusB | null {
  const compact = text.trim().toLowerCase();
  if (compact === 'odd') return { a: 2, b: 1 };
  if (compact === 'even') return { a: 2, b: 0 };
  const whole = /^[+-]?\d+$/.exec(compact);
  if (whole) return { a: 0, b: Number(compact) };
  const match = /^([+-]?\d*)n(?:\s*([+-])\s*(\d+))?$/.exec(compact);
  if (!match) return null;
  const lead = match[1]!;
  const a = lead === '' || lead === '+' ? 1 : lead === '-' ? -1 : Number(lead);
  return { a, b: match[3] === undefined ? 0 : Number(match[3]) * (match[2] === '-' ? -1 : 1) };
}

export function satisfies({ a, b }: AnPlusB, index: number): boolean {
  if (a === 0) return index === b;
  const steps = (index - b) / a;
  return steps >= 0 && Number.isInteger(steps);
}

const typeIndexes = new WeakMap<ElementNode, { fromStart: number[]; fromEnd: number[] }>();

function typeIndex(element: ElementNode): { first: number; last: number } {
  if (!element.parent) return { first: 1, last: 1 };
  let table = typeIndexes.get(element.parent);
  if (!table) {
    const counts = new Map<string, number>();
    const count = (e: ElementNode) => {
      const n = (counts.get(e.tag) ?? 0) + 1;
      counts.set(e.tag, n);
      return n;
    };
    const fromStart = element.parent.elements.map(count);
    counts.clear();
    const fromEnd = [...element.parent.elements].reverse().map(count).reverse();
    table = { fromStart, fromEnd };
    typeIndexes.set(element.parent, table);
  }
  return { first: table.fromStart[element.position]!, last: table.fromEnd[element.position]! };
}

/** Matcher of the four :nth-* classes; `of` filters the counted siblings. @spec selectors-4 §14 */
export function nthMatcher(name: string, formula: AnPlusB, of: Matcher | null): Matcher {
  const fromEnd = name.includes('last');
  if (name.endsWith('of-type')) return (e) => satisfies(formula, fromEnd ? typeIndex(e).last : typeIndex(e).first);
  if (!of) return (e) => satisfies(formula, fromEnd ? (e.parent?.elements.length ?? 1) - e.position : e.position + 1);
  return (e, context) => {
    const own = of(e, context);
    if (own === false) return false;
    const counted = countedSiblings(e, of, fromEnd, context);
    if (counted.every((guard) => guard === true)) return and(own, satisfies(formula, counted.length));
    return and(own, { op: 'count', parts: counted, holds: (count) => satisfies(formula, count) });
  };
}

/** Under which facts each sibling up to the element counts; those that never do are left out. */
function countedSiblings(element: ElementNode, of: Matcher, fromEnd: boolean, context: MatchContext): Guard[] {
  const all = element.parent?.elements ?? [element];
  const counted = fromEnd ? all.slice(element.position) : all.slice(0, element.position + 1);
  context.budget.left -= counted.length;
  if (context.budget.left < 0) return [];
  return counted.map((s) => of(s, context)).filter((guard) => guard !== false);
}
