import { SourceText, type LimitLog, type Span } from '../base/index.js';
import {
  and,
  dimensionsOf,
  not,
  or,
  presentationalHints,
  restContext,
  type BucketKey,
  type Changeable,
  type Guard,
  type MatchContext,
  type MediaCondition,
  type PseudoElement,
  type Selector,
} from '../css/index.js';
import type { ElementNode, HtmlDocument } from '../html/index.js';
import {
  parseStyleAttribute,
  type ContainerQuery,
  type Declaration,
  type Layer,
  type Origin,
  type RuleSet,
  type StyleRule,
} from '../sheets/index.js';
import { noteLacking, noteShadowTrees } from './lacking.js';

/** Strength classes within one origin and importance. @spec css-cascade-5 §6.1 */
export type Rank = 'hint' | 'sheet' | 'inline' | 'animation';

/** A guarded group of declarations on one element: what a rule, a style attribute or hints say of it. */
export interface Match {
  /** Equal for equal declarations: elements with equal lists of these share one block. */
  readonly id: string;
  readonly origin: Origin;
  readonly rank: Rank;
  readonly layer: Layer | null;
  readonly specificity: number;
  readonly order: number;
  /** Steps from the scope's root; Infinity outside scopes. */
  readonly proximity: number;
  readonly declarations: readonly Declaration[];
  readonly conditions: readonly MediaCondition[];
  readonly containers: readonly ContainerQuery[];
  readonly guard: Guard;
  readonly selector: Selector | null;
  readonly rule: StyleRule | null;
}

/** A match of no rule, as keyframes are: it wins over all normal declarations. @spec css-cascade-5 §6.1 */
export const NO_RULE: Omit<Match, 'id' | 'declarations'> = {
  origin: 'author',
  rank: 'animation',
  layer: null,
  specificity: 0,
  order: 0,
  proximity: Infinity,
  conditions: [],
  containers: [],
  guard: true,
  selector: null,
  rule: null,
};

/** Matches of an element, weakest first by the normal (not important) order. */
export interface ElementMatches {
  readonly own: readonly Match[];
  readonly pseudo: ReadonlyMap<PseudoElement, readonly Match[]>;
}

export interface MatchedDocument {
  readonly document: HtmlDocument;
  readonly ruleSet: RuleSet;
  readonly byElement: readonly ElementMatches[];
}

interface Candidate {
  readonly rule: StyleRule;
  readonly selector: Selector;
  readonly id: string;
}

interface Buckets {
  readonly id: Map<string, Candidate[]>;
  readonly class: Map<string, Candidate[]>;
  readonly tag: Map<string, Candidate[]>;
  readonly any: Candidate[];
}

const WORK_PER_ELEMENT = 20_000;

/**
 * Matches every selector once against every element it may concern.
 * @param changeable attributes some opening can change: what selectors ask of them stays open; null where there are none
 * @spec selectors-4 §17; css-cascade-5 §6 (sorting)
 */
export function matchDocument(
  document: HtmlDocument,
  ruleSet: RuleSet,
  limits: LimitLog,
  changeable: Changeable | null = null,
): MatchedDocument {
  const buckets = fill(ruleSet, document.quirks);
  const context: MatchContext = {
    ...restContext(document.root, document),
    changeable,
    budget: { left: 2_000_000 + WORK_PER_ELEMENT * document.elements.length },
  };
  const byElement = document.elements.map((element) => matchElement(element, buckets, context));
  noteLacking(byElement, limits);
  noteShadowTrees(document, limits);
  if (context.budget.left < 0)
    limits.add(
      'budget',
      'selectors too costly to match',
      'some :has(), :nth-child(of) or long descendant selectors were taken as not matching',
    );
  return { document, ruleSet, byElement };
}

function fill(ruleSet: RuleSet, quirks: boolean): Buckets {
  const buckets: Buckets = { id: new Map(), class: new Map(), tag: new Map(), any: [] };
  for (const rule of ruleSet.rules) {
    rule.selectors.forEach((selector, i) => {
      const list = bucket(buckets, selector.bucket, quirks);
      list.push({ rule, selector, id: `${rule.order}.${i}` });
    });
  }
  return buckets;
}

function bucket(buckets: Buckets, key: BucketKey, quirks: boolean): Candidate[] {
  if (key.by === 'any') return buckets.any;
  const name = quirks && key.by !== 'tag' ? key.name.toLowerCase() : key.name;
  let list = buckets[key.by].get(name);
  if (!list) buckets[key.by].set(name, (list = []));
  return list;
}

function matchElement(element: ElementNode, buckets: Buckets, context: MatchContext): ElementMatches {
  const own: Match[] = [];
  const pseudo = new Map<PseudoElement, Match[]>();
  const fold = (text: string) => (context.quirks ? text.toLowerCase() : text);
  const consider = (list: readonly Candidate[] | undefined) => {
    if (!list) return;
    for (const { rule, selector, id } of list) {
      if (selector.pseudoElement === 'other') continue;
      if (rule.namespace !== null && rule.namespace !== element.namespace) continue;
      for (const { guard, proximity } of matchScoped(element, rule, selector, context)) {
        const made: Match = {
          id: proximity === Infinity ? id : `${id}@${proximity}`,
          origin: rule.origin,
          rank: 'sheet',
          layer: rule.layer,
          specificity: selector.specificity,
          order: rule.order,
          proximity,
          declarations: rule.declarations,
          conditions: rule.conditions,
          containers: rule.containers,
          guard,
          selector,
          rule,
        };
        if (selector.pseudoElement === null) own.push(made);
        else pseudo.set(selector.pseudoElement, [...(pseudo.get(selector.pseudoElement) ?? []), made]);
      }
    }
  };
  consider(buckets.any);
  consider(buckets.tag.get(element.tag.toLowerCase()));
  const classes = context.changeable?.classes(element) ?? NO_CLASSES;
  for (const name of new Set(classes.length === 0 ? element.classes : [...element.classes, ...classes]))
    consider(buckets.class.get(fold(name)));
  if (element.id !== null) consider(buckets.id.get(fold(element.id)));
  own.push(...fromAttributes(element, element.attributes));
  own.sort(byStrength);
  for (const list of pseudo.values()) list.sort(byStrength);
  return { own, pseudo };
}

const NO_CLASSES: readonly string[] = [];
const NOWHERE: readonly Placed[] = [];

/** A match below one root of a scope, or without scopes. */
interface Placed {
  readonly guard: Guard;
  readonly proximity: number;
}

/** A scoped selector is tried below every root the element lies under, the nearest one first. @spec css-cascade-6 §2.5 */
function matchScoped(
  element: ElementNode,
  rule: StyleRule,
  selector: Selector,
  context: MatchContext,
): readonly Placed[] {
  const scope = rule.scopes[rule.scopes.length - 1];
  if (!scope) {
    const guard = selector.match(element, context);
    return guard === false ? NOWHERE : [{ guard, proximity: Infinity }];
  }
  const matches = (list: readonly Selector[], e: ElementNode, root: ElementNode | null) =>
    list.reduce<Guard>((found, s) => or(found, s.match(e, { ...context, scope: root })), false);
  const out: Placed[] = [];
  const passed: ElementNode[] = [];
  let steps = 0;
  for (let root: ElementNode | null = element; root; root = root.parent, steps++) {
    passed.push(root);
    const holder = root;
    const begins = scope.roots ? matches(scope.roots, root, null) : root === context.root;
    if (begins === false) continue;
    const ended = passed.reduce<Guard>(
      (found, e) => (e === holder ? found : or(found, matches(scope.limits, e, holder))),
      false,
    );
    const guard = and(and(begins, not(ended)), selector.match(element, { ...context, scope: root }));
    if (guard === false) continue;
    out.push({ guard, proximity: steps });
    if (guard === true) break;
  }
  return out;
}

/** What hints and the style attribute say of an element with the given attributes. */
export function fromAttributes(element: ElementNode, attributes: ElementNode['attributes']): Match[] {
  const out: Match[] = [];
  const dimensions = dimensionsOf(element, attributes);
  if (dimensions.length === 0) out.push(...fromHints(element, attributes, []));
  for (const one of dimensions) out.push(...fromHints(element, one.attributes, [one.condition]));
  const style = attributes.get('style');
  if (style !== undefined && style.trim() !== '') {
    const declarations = parseStyleAttribute(styleSource(element, style));
    const own = style === element.attributes.get('style');
    if (declarations.length > 0)
      out.push(fixed(own ? `s:${element.index}` : `s:${element.index}:${style}`, 'inline', declarations));
  }
  return out;
}

function fromHints(
  element: ElementNode,
  attributes: ElementNode['attributes'],
  conditions: readonly MediaCondition[],
): readonly Match[] {
  const hints = presentationalHints(element, attributes);
  if (hints.length === 0) return [];
  const span = hintSpan(element);
  const declarations = hints.map(([name, text]): Declaration => ({ name, text, important: false, span }));
  return [{ ...fixed(`h:${hints.map((h) => h.join(':')).join(';')}`, 'hint', declarations), conditions }];
}

function fixed(id: string, rank: Rank, declarations: readonly Declaration[]): Match {
  return {
    id,
    origin: 'author',
    rank,
    layer: null,
    specificity: 0,
    order: 0,
    proximity: Infinity,
    declarations,
    conditions: [],
    containers: [],
    guard: true,
    selector: null,
    rule: null,
  };
}

function hintSpan(element: ElementNode): Span {
  return element.startTag ?? { source: new SourceText('markup', ''), start: 0, end: 0 };
}

function styleSource(element: ElementNode, style: string): SourceText {
  const span = element.attributeSpan('style');
  if (!span) return new SourceText('style attribute', style);
  const raw = span.source.text.slice(span.start, span.end);
  const value = raw.indexOf(style);
  return new SourceText(span.source.name, style, span.start + Math.max(0, value), span.source);
}

const RANKS: Readonly<Record<Rank, number>> = { hint: 0, sheet: 1, inline: 2, animation: 3 };

/** Nearer scopes are stronger. @spec css-cascade-6 §2.6 */
const byProximity = (a: Match, b: Match): number =>
  a.proximity === b.proximity ? 0 : a.proximity < b.proximity ? 1 : -1;
const layerOrder = (match: Match): number => (match.layer ? match.layer.order : Number.MAX_SAFE_INTEGER);

/** Normal declarations: origin, then style attribute, layer, specificity, order. */
export function byStrength(a: Match, b: Match): number {
  if (a.origin !== b.origin) return a.origin === 'user-agent' ? -1 : 1;
  return (
    RANKS[a.rank] - RANKS[b.rank] ||
    layerOrder(a) - layerOrder(b) ||
    a.specificity - b.specificity ||
    byProximity(a, b) ||
    a.order - b.order
  );
}

/** Important declarations: origins and layers in reverse. @spec css-cascade-5 §6.4.1 */
export function byImportantStrength(a: Match, b: Match): number {
  if (a.origin !== b.origin) return a.origin === 'user-agent' ? 1 : -1;
  return (
    RANKS[a.rank] - RANKS[b.rank] ||
    layerOrder(b) - layerOrder(a) ||
    a.specificity - b.specificity ||
    byProximity(a, b) ||
    a.order - b.order
  );
}
