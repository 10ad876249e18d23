import parser, { type Node, type Pseudo, type Selector as SelectorNode } from 'postcss-selector-parser';
import type { ElementNode } from '../../html/index.js';
import { and, decide, not, or, type FactName, type Guard } from './guard.js';
import { nthMatcher, parseAnPlusB } from './nth.js';
import { directionOf, languageOf, markupMatcher, matchesLanguage, PSEUDO_CLASSES } from './pseudo.js';
import {
  CONTROL_PARTS,
  pack,
  type BucketKey,
  type MatchContext,
  type Matcher,
  type PseudoElement,
  type Selector,
} from './types.js';
import { attributeMatcher } from './attribute.js';
import { type Compound, anyOf, chain } from './chain.js';

/** A selector that no standard accepts here; the whole list is dropped with it. */
export class SelectorError extends Error {}

export interface CompileOptions {
  /** The selectors `&` stands for; null outside nesting. */
  readonly parent: readonly Selector[] | null;
  /** Whether a selector may begin with a combinator (nested rules, `:has()`). */
  readonly relative?: boolean;
}

const LEGACY_ELEMENTS = new Set(['before', 'after', 'first-line', 'first-letter']);
const ELEMENTS = new Set<string>([
  'before',
  'after',
  'marker',
  'placeholder',
  'backdrop',
  'first-line',
  'first-letter',
  'details-content',
  ...CONTROL_PARTS,
]);
const OTHER_ELEMENTS =
  /^(selection|cue|part|slotted|target-text|spelling-error|grammar-error|highlight|view-transition.*|scroll-.*|column|checkmark|picker|picker-icon|-webkit-.+)$/;
const DYNAMIC = new Set<string>([
  'hover',
  'active',
  'focus',
  'focus-visible',
  'focus-within',
  'target',
  'target-within',
  'checked',
  'open',
  'popover-open',
  'modal',
]);

interface State {
  specificity: number;
  pseudoElement: PseudoElement | null;
  asks: Set<FactName>;
  readonly options: CompileOptions;
  usesParent: boolean;
}

/** Whether a text is a selector list the engine understands. */
export const isSelector = (text: string): boolean => {
  try {
    return compileSelectors(text).length > 0;
  } catch {
    return false;
  }
};

const ENDS_IN_COMMA = /(?:^|[^\\]),(?:\s|\/\*[^]*?\*\/)*$/;

/**
 * Compiles a selector list; throws SelectorError where the standard drops the rule.
 * @spec selectors-4 §4, §18 (invalid selectors), css-nesting-1 §3
 */
export function compileSelectors(text: string, options: CompileOptions = { parent: null }): readonly Selector[] {
  // The parser reads over a comma at the end.
  if (ENDS_IN_COMMA.test(text)) throw new SelectorError('a comma needs a selector after it');
  let nodes: SelectorNode[];
  try {
    nodes = parser().astSync(text).nodes;
  } catch (error) {
    throw new SelectorError(`not a selector: ${(error as Error).message.split('\n')[0]}`);
  }
  return nodes.map((node) => compileOne(node, options));
}

function compileOne(node: SelectorNode, options: CompileOptions): Selector {
  const state: State = { specificity: 0, pseudoElement: null, asks: new Set(), options, usesParent: false };
  const groups = splitCompounds(node, options.relative === true || options.parent !== null);
  if (groups.length === 0) throw new SelectorError('empty selector');
  const compounds: Compound[] = groups.map(({ combinator, nodes }) => ({
    combinator,
    match: compileCompound(nodes, state),
  }));
  const last = groups[groups.length - 1]!;
  const leadsRelative = groups[0]!.combinator !== '';
  if (options.parent && !options.relative && (leadsRelative || !state.usesParent)) {
    compounds.unshift({ combinator: '', match: parentMatcher(state) });
    if (!leadsRelative) compounds[1] = { ...compounds[1]!, combinator: ' ' };
  }
  return Object.freeze({
    text: String(node).trim(),
    specificity: state.specificity,
    bucket: bucketOf(last.nodes),
    pseudoElement: state.pseudoElement,
    asks: state.asks,
    match: chain(compounds),
  });
}

interface Group {
  combinator: string;
  nodes: Node[];
}

function splitCompounds(selector: SelectorNode, relative: boolean): Group[] {
  const groups: Group[] = [];
  let combinator = '';
  let fresh = true;
  for (const node of selector.nodes) {
    if (node.type === 'comment') continue;
    if (node.type === 'combinator') {
      const value = node.value.trim() === '' ? ' ' : node.value.trim();
      if (!['>', '+', '~', ' '].includes(value)) throw new SelectorError(`unknown combinator ${value}`);
      if (fresh && groups.length === 0 && value === ' ') continue;
      if (fresh && (groups.length > 0 || !relative) && value !== ' ')
        throw new SelectorError('two combinators in a row');
      if (!fresh || combinator === '' || combinator === ' ') combinator = value;
      fresh = true;
      continue;
    }
    if (fresh) groups.push({ combinator, nodes: [] });
    groups[groups.length - 1]!.nodes.push(node);
    fresh = false;
    combinator = '';
  }
  if (fresh && combinator.trim() !== '') throw new SelectorError('selector ends with a combinator');
  return groups;
}

function bucketOf(nodes: readonly Node[]): BucketKey {
  const id = nodes.find((n) => n.type === 'id');
  if (id) return { by: 'id', name: id.value! };
  const named = nodes.find((n) => n.type === 'class');
  if (named) return { by: 'class', name: named.value! };
  const tag = nodes.find((n) => n.type === 'tag');
  return tag ? { by: 'tag', name: tag.value!.toLowerCase() } : { by: 'any' };
}

function parentMatcher(state: State): Matcher {
  const { parent } = state.options;
  if (!parent) return PSEUDO_CLASSES.scope!;
  state.specificity += Math.max(0, ...parent.map((p) => p.specificity));
  for (const p of parent) for (const name of p.asks) state.asks.add(name);
  return anyOf(parent.filter((p) => p.pseudoElement === null).map((p) => p.match));
}

function compileCompound(nodes: readonly Node[], state: State): Matcher {
  const parts = nodes.map((node) => compileSimple(node, state)).filter((m): m is Matcher => m !== null);
  if (parts.length === 0) return () => true;
  if (parts.length === 1) return parts[0]!;
  return (e, c) => {
    let guard: Guard = true;
    for (const part of parts) {
      guard = and(guard, part(e, c));
      if (guard === false) return false;
    }
    return guard;
  };
}

function compileSimple(node: Node, state: State): Matcher | null {
  if (state.pseudoElement !== null && !(node.type === 'pseudo' && DYNAMIC.has(node.value.slice(1)))) {
    throw new SelectorError('nothing but a state may follow a pseudo-element');
  }
  switch (node.type) {
    case 'universal':
      return null;
    case 'nesting':
      state.usesParent = true;
      return parentMatcher(state);
    case 'tag': {
      if (/^[\d%]/.test(node.value)) throw new SelectorError(`not a type selector: ${node.value}`);
      state.specificity += pack(0, 0, 1);
      const exact = node.value;
      const lower = exact.toLowerCase();
      return (e) => (e.namespace === 'html' ? e.tag === lower : e.tag === exact);
    }
    case 'id': {
      state.specificity += pack(1, 0, 0);
      const { value } = node;
      const lower = value.toLowerCase();
      return (e, c) => e.id === value || (c.quirks && e.id?.toLowerCase() === lower);
    }
    case 'class': {
      if (node.value === '' || /^\s*\.-?\d/.test(String(node)))
        throw new SelectorError(`not a class name: ${node.value}`);
      state.specificity += pack(0, 1, 0);
      const { value } = node;
      const lower = value.toLowerCase();
      return (e, c) => {
        if (c.changeable?.hasClass(e, value)) return decide(true, e, `.${value}`, (m) => m.hasClass(e, value), 'own');
        return e.classes.includes(value) || (c.quirks && e.classes.some((k) => k.toLowerCase() === lower));
      };
    }
    case 'attribute':
      state.specificity += pack(0, 1, 0);
      return attributeMatcher(node);
    case 'pseudo':
      return node.value.startsWith('::') || LEGACY_ELEMENTS.has(node.value.slice(1).toLowerCase())
        ? pseudoElement(node, state)
        : pseudoClass(node, state);
    default:
      throw new SelectorError(`unexpected ${node.type}`);
  }
}

function pseudoElement(node: Pseudo, state: State): null {
  const given = node.value.replace(/^:+/, '').toLowerCase();
  const name = given === '-webkit-file-upload-button' ? 'file-selector-button' : given;
  if (ELEMENTS.has(name)) state.pseudoElement = name as PseudoElement;
  else if (OTHER_ELEMENTS.test(name)) state.pseudoElement = 'other';
  else throw new SelectorError(`unknown pseudo-element ::${name}`);
  state.specificity += pack(0, 0, 1);
  return null;
}

function pseudoClass(node: Pseudo, state: State): Matcher {
  const name = node.value.slice(1).toLowerCase();
  const functional = node.nodes.length > 0 || /\($/.test(String(node)) || String(node).trim().endsWith(')');
  if (!functional) {
    const matcher = PSEUDO_CLASSES[name];
    if (!matcher) throw new SelectorError(`unknown pseudo-class :${name}`);
    state.specificity += pack(0, 1, 0);
    if (DYNAMIC.has(name)) state.asks.add(name as FactName);
    return matcher;
  }
  const argument = node.nodes.map(String).join(',').trim();
  switch (name) {
    case 'is':
    case '-webkit-any':
    case 'matches':
    case 'where': {
      const list = forgiving(node, state);
      if (name !== 'where') state.specificity += name === '-webkit-any' ? pack(0, 1, 0) : most(list);
      return list.length === 0 ? () => false : anyOf(list.map((s) => s.match));
    }
    case 'not': {
      const list = strict(node, state);
      state.specificity += most(list);
      const inner = anyOf(list.map((s) => s.match));
      return (e, c) => not(inner(e, c));
    }
    case 'has':
      return hasMatcher(node, state);
    case 'nth-child':
    case 'nth-last-child':
    case 'nth-of-type':
    case 'nth-last-of-type':
      return nth(name, argument, state);
    case 'lang': {
      state.specificity += pack(0, 1, 0);
      const ranges = argument.split(',').map((part) => part.trim().replace(/^["']|["']$/g, ''));
      return markupMatcher(`:lang(${argument})`, (e, m) =>
        ranges.some((range) => matchesLanguage(range, languageOf(e, m))),
      );
    }
    case 'dir':
      state.specificity += pack(0, 1, 0);
      return markupMatcher(`:dir(${argument})`, (e, m) => directionOf(e, m) === argument.toLowerCase());
    case 'host':
    case 'host-context':
    case 'state':
    case 'active-view-transition-type':
    case 'nth-col':
    case 'nth-last-col':
      state.specificity += pack(0, 1, 0);
      return () => false;
    default:
      throw new SelectorError(`unknown pseudo-class :${name}()`);
  }
}

const most = (list: readonly Selector[]): number => Math.max(0, ...list.map((s) => s.specificity));

/** @spec selectors-4 §4.1 (forgiving selector list) */
function forgiving(node: Pseudo, state: State): Selector[] {
  const list: Selector[] = [];
  for (const inner of node.nodes) {
    try {
      const made = nested(inner, state, false);
      if (made.pseudoElement === null) list.push(made);
    } catch (error) {
      if (!(error instanceof SelectorError)) throw error;
    }
  }
  return list;
}

function strict(node: Pseudo, state: State): Selector[] {
  const list = node.nodes.map((inner) => nested(inner, state, false));
  if (list.length === 0 || list.some((s) => s.pseudoElement !== null))
    throw new SelectorError(`bad argument of ${node.value}()`);
  return list;
}

function nested(inner: SelectorNode, state: State, relative: boolean): Selector {
  const holdsParent = state.options.parent !== null && inner.toString().includes('&');
  if (holdsParent) state.usesParent = true;
  // Arguments are not themselves nested rules: `&` keeps its meaning but is never implied.
  const options: CompileOptions = { parent: state.options.parent, relative: true };
  if (!relative && /^\s*[>+~]/.test(inner.toString())) throw new SelectorError('a combinator needs a left side');
  const made = compileOne(inner, options);
  for (const name of made.asks) state.asks.add(name);
  return made;
}

function nth(name: string, argument: string, state: State): Matcher {
  const [formulaText, ofText] = argument.split(/\s+of\s+/i) as [string, string | undefined];
  const formula = parseAnPlusB(formulaText);
  if (!formula || (ofText !== undefined && name.endsWith('type')))
    throw new SelectorError(`bad argument of :${name}()`);
  state.specificity += pack(0, 1, 0);
  if (ofText === undefined) return nthMatcher(name, formula, null);
  const list = compileSelectors(ofText, { parent: state.options.parent, relative: true });
  state.specificity += most(list);
  return nthMatcher(name, formula, anyOf(list.map((s) => s.match)));
}

/** @spec selectors-4 §4.5 */
function hasMatcher(node: Pseudo, state: State): Matcher {
  if (node.nodes.length === 0) throw new SelectorError(':has() needs an argument');
  const arms = node.nodes.map((inner) => {
    const text = inner.toString().trim();
    const lead = /^[>+~]/.exec(text)?.[0] ?? ' ';
    const selector = nested(inner, state, true);
    return { lead, selector, anchored: anchor(inner, state.options, lead) };
  });
  state.specificity += most(arms.map((a) => a.selector));
  const self = {};
  return (e, c) => {
    let memo = c.memo.get(self);
    if (!memo) c.memo.set(self, (memo = new WeakMap()));
    let known = memo.get(e);
    if (known === undefined) {
      known = arms.reduce<Guard>(
        (guard, arm) => (guard === true ? true : or(guard, relation(e, arm.lead, arm.anchored, c))),
        false,
      );
      memo.set(e, known);
    }
    return known;
  };
}

/** Matcher of a relative selector whose leftmost compound must be related to `:scope`. */
function anchor(inner: SelectorNode, options: CompileOptions, lead: string): Matcher {
  const state: State = { specificity: 0, pseudoElement: null, asks: new Set(), options, usesParent: false };
  const groups = splitCompounds(inner, true);
  const compounds = groups.map(({ combinator, nodes }) => ({ combinator, match: compileCompound(nodes, state) }));
  compounds.unshift({ combinator: '', match: (e, c) => e === c.scope });
  compounds[1] = { ...compounds[1]!, combinator: lead };
  return chain(compounds);
}

function relation(scope: ElementNode, lead: string, match: Matcher, context: MatchContext): Guard {
  const inside: MatchContext = { ...context, scope };
  let guard: Guard = false;
  const siblings = scope.parent?.elements.slice(scope.position + 1) ?? [];
  const roots = lead === '>' || lead === ' ' ? [scope] : siblings;
  const includeRoots = !(lead === '>' || lead === ' ');
  const stack = [...roots];
  for (let e = stack.pop(); e; e = stack.pop()) {
    if (--context.budget.left < 0) return false;
    if (e !== scope || includeRoots) {
      guard = or(guard, match(e, inside));
      if (guard === true) return true;
    }
    stack.push(...e.elements);
  }
  return guard;
}
