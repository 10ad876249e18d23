import {
  factsOf,
  holds,
  printFact,
  type Display,
  type FactName,
  type Medium,
  type MediaCondition,
  type PseudoElement,
} from '../css/index.js';
import { attributesOf, isAncestorOrSelf, type ElementNode } from '../html/index.js';
import type { Placement } from './adjust.js';
import { makeBlock, type Block } from './block.js';
import type { PoseView } from './state.js';
import { containerHolds, nearestSize, NO_CONTAINERS, type ContainerSizes } from './containers.js';
import { explainMatches, type Explanation, type Idle } from './explain.js';
import { computeStyle, flowOf, type ComputeOptions, type FontUnits } from './compute.js';
import { fromAttributes, type Match, type MatchedDocument } from './match.js';
import type { ComputedStyle } from './style.js';

/** The computed styles of a page at one setting. */
export interface StyleTree {
  readonly medium: Medium;
  /** The states and attributes the styles were made for. */
  readonly view: PoseView;
  /** Sizes the container queries were answered with. */
  readonly sizes: ContainerSizes;
  /** Styles by element index. */
  readonly all: readonly ComputedStyle[];
  of(element: ElementNode): ComputedStyle;
  /** Style of a pseudo-element, or null where no rule speaks of it. */
  pseudo(element: ElementNode, name: PseudoElement): ComputedStyle | null;
  hasPseudo(element: ElementNode): boolean;
  /** Elements that may differ from the styles this tree was made from; empty without such. */
  readonly changed: readonly ElementNode[];
}

const ATOMIC = new Set([
  'img',
  'video',
  'audio',
  'canvas',
  'iframe',
  'object',
  'embed',
  'input',
  'select',
  'textarea',
  'br',
  'wbr',
  'meter',
  'progress',
  'svg',
]);

const CONTROLS = new Set(['input', 'select', 'textarea', 'button', 'meter', 'progress']);

const ANIMATION: Omit<Match, 'id' | 'declarations'> = {
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

/** A style as computed once; where viewport lengths took part, one for each viewport. */
interface Shared {
  style: ComputedStyle | null;
  byViewport: Map<string, ComputedStyle> | null;
}

const MOST_BITS = 52;
const isConditional = (m: Match): boolean => m.guard !== true || m.conditions.length > 0 || m.containers.length > 0;
const stateful = (matches: readonly Match[]): boolean => matches.some((match) => match.guard !== true);

/** Computes styles of one matched document at any number of settings; blocks and styles are shared between them. */
export class Cascade {
  readonly #blocks = new Map<string, Block>();
  /** Computed styles below each parent style, by block and placement. */
  readonly #styles = new Map<ComputedStyle | null, Map<number, Shared>>();
  /** Blocks of each element by which of its conditional matches are active. */
  readonly #byElement: (Map<number, Block> | null)[];
  /** Matches of each element that count only under some condition or state. */
  readonly #conditional: readonly (readonly Match[])[];
  #asked: Map<FactName | 'markup', Map<ElementNode, number[]>> | null = null;
  readonly #pseudoStateful: boolean[];

  constructor(
    readonly matched: MatchedDocument,
    readonly fontUnits: FontUnits,
  ) {
    this.#byElement = new Array<Map<number, Block> | null>(matched.document.elements.length).fill(null);
    this.#conditional = matched.byElement.map((m) => m.own.filter(isConditional));
    this.#pseudoStateful = matched.byElement.map((m) => [...m.pseudo.values()].some(stateful));
  }

  /** All styles at a medium and a state. */
  styles(medium: Medium, state: PoseView, sizes: ContainerSizes = NO_CONTAINERS): StyleTree {
    const out: ComputedStyle[] = new Array(this.matched.document.elements.length);
    return this.#tree(medium, state, out, null, () => true, sizes);
  }

  /** Styles in a pose, worked out only where it may differ from styles at the same medium in the closed pose. */
  posed(base: StyleTree, view: PoseView): StyleTree {
    const dirty = new Uint8Array(this.matched.document.elements.length);
    for (const [name, element] of view.touches)
      for (const index of this.#dependents().get(name)?.get(element) ?? []) dirty[index] = 1;
    // A question about an element's attributes may also read those around it.
    for (const element of view.changes.keys()) {
      dirty[element.index] = 1;
      for (const [asked, indexes] of this.#dependents().get('markup') ?? [])
        if (isAncestorOrSelf(element, asked)) for (const index of indexes) dirty[index] = 1;
    }
    const out = base.all.slice();
    return this.#tree(
      base.medium,
      view,
      out,
      base,
      (element, parentChanged) => parentChanged || dirty[element.index] === 1,
      base.sizes,
    );
  }

  /** Fact → element it is asked of → elements whose rules ask. */
  #dependents(): Map<FactName | 'markup', Map<ElementNode, number[]>> {
    if (this.#asked) return this.#asked;
    const out = new Map<FactName | 'markup', Map<ElementNode, number[]>>();
    this.matched.byElement.forEach(({ own, pseudo }, index) => {
      for (const match of [own, ...pseudo.values()].flat()) {
        for (const fact of factsOf(match.guard)) {
          const name = fact.op === 'markup' ? 'markup' : fact.name;
          let byElement = out.get(name);
          if (!byElement) out.set(name, (byElement = new Map()));
          const list = byElement.get(fact.element);
          if (!list) byElement.set(fact.element, [index]);
          else if (list[list.length - 1] !== index) list.push(index);
        }
      }
    });
    return (this.#asked = out);
  }

  #tree(
    medium: Medium,
    state: PoseView,
    out: ComputedStyle[],
    base: StyleTree | null,
    stale: (element: ElementNode, parentChanged: boolean) => boolean,
    sizes: ContainerSizes,
  ): StyleTree {
    const truth = new Map<MediaCondition, boolean>();
    const activity: Activity = { truth, medium, state, styles: out, sizes };
    const options: ComputeOptions = {
      medium,
      fontUnits: this.fontUnits,
      quirks: this.matched.document.quirks,
      registry: this.matched.ruleSet.properties,
      container: null,
    };
    const changed: ElementNode[] = [];
    const pseudos = new Map<PseudoElement, Map<number, ComputedStyle | null>>();
    for (const element of this.matched.document.elements) {
      const { index } = element;
      const parent = element.parent ? out[element.parent.index]! : null;
      const parentChanged = base !== null && element.parent !== null && parent !== base.of(element.parent);
      if (!stale(element, parentChanged)) continue;
      const block = this.#blockOf(element, activity);
      const placement = placementOf(element, out);
      const own = sizes.size === 0 ? options : { ...options, container: nearestSize(element, out, sizes) };
      const style = this.#style(block, parent, out[0] ?? null, placement, own);
      const ended = this.#afterAnimations(block, style);
      out[index] = ended ? this.#style(ended, parent, out[0] ?? null, placement, own) : style;
      if (base && (out[index] !== base.of(element) || this.#pseudoStateful[index])) changed.push(element);
    }
    const pseudo = (element: ElementNode, name: PseudoElement): ComputedStyle | null => {
      const matches = this.matched.byElement[element.index]!.pseudo.get(name);
      if (!matches) return null;
      const parent = out[element.index]!;
      if (base && !this.#pseudoStateful[element.index] && parent === base.of(element))
        return base.pseudo(element, name);
      let known = pseudos.get(name);
      if (!known) pseudos.set(name, (known = new Map()));
      let style = known.get(element.index);
      if (style === undefined) {
        const active = matches.filter((m) => isActive(m, element, activity));
        const placement: Placement = { root: false, parentDisplay: parent.display, atomic: false, control: false };
        style =
          active.length === 0 ? null : this.#style(this.#block(active), parent, out[0] ?? null, placement, options);
        known.set(element.index, style);
      }
      return style;
    };
    return {
      medium,
      view: state,
      sizes,
      all: out,
      of: (element) => out[element.index]!,
      pseudo,
      changed,
      hasPseudo: (element) => this.matched.byElement[element.index]!.pseudo.size > 0,
    };
  }

  #blockOf(element: ElementNode, activity: Activity): Block {
    const { index } = element;
    const conditional = this.#conditional[index]!;
    let bits = 0;
    let bit = 1;
    for (const match of conditional) {
      if (isActive(match, element, activity)) bits += bit;
      bit *= 2;
    }
    // Beyond 52 conditional matches a number no longer tells the sets apart.
    const known = conditional.length <= MOST_BITS ? this.#byElement[index] : null;
    const changes = activity.state.changes.get(element);
    if (changes) return this.#changedBlock(element, attributesOf(element, changes), activity);
    const found = known?.get(bits);
    if (found) return found;
    const matches = this.matched.byElement[index]!.own;
    const block = this.#block(
      conditional.length === 0 ? matches : matches.filter((m) => isActive(m, element, activity)),
    );
    if (known) known.set(bits, block);
    else this.#byElement[index] = new Map([[bits, block]]);
    return block;
  }

  /** The block of an element whose attributes differ from the markup: hints and the style attribute are read anew. */
  #changedBlock(element: ElementNode, attributes: ElementNode['attributes'], activity: Activity): Block {
    const rules = this.#matchesOf(element, attributes);
    return this.#block(rules.filter((m) => isActive(m, element, activity)));
  }

  #matchesOf(element: ElementNode, attributes: ElementNode['attributes']): readonly Match[] {
    const { own } = this.matched.byElement[element.index]!;
    if (attributes === element.attributes) return own;
    const rules = own.filter((match) => match.rank !== 'hint' && match.rank !== 'inline');
    return [...rules, ...fromAttributes(element, attributes, this.matched.document.quirks)];
  }

  /** Every declaration of one longhand on an element, strongest first, and what became of each. */
  explain(element: ElementNode, index: number, tree: StyleTree): Explanation {
    const { view } = tree;
    const activity: Activity = {
      truth: new Map(),
      medium: tree.medium,
      state: view,
      styles: tree.all,
      sizes: tree.sizes,
    };
    const flow = flowOf(tree.of(element));
    const idle = (match: Match) => whyInactive(match, element, activity);
    const { quirks } = this.matched.document;
    const matches = this.#matchesOf(element, attributesOf(element, view.changes.get(element)));
    return explainMatches(matches, index, flow, idle, quirks);
  }

  /** The block with the last frames of animations that keep them, or null. @spec css-animations-1 §3.9 (fill-mode) */
  #afterAnimations(block: Block, style: ComputedStyle): Block | null {
    if (style.animationName === 'none' || this.matched.ruleSet.keyframes.size === 0) return null;
    const list = (text: string) => text.split(',').map((part) => part.trim());
    const [fills, counts, directions] = [
      style.animationFillMode,
      style.animationIterationCount,
      style.animationDirection,
    ].map(list) as [string[], string[], string[]];
    const frames = list(style.animationName).flatMap((name, i) => {
      const at = (values: string[]) => values[i % values.length]!;
      const keeps = /^(forwards|both)$/.test(at(fills)) && at(counts) !== 'infinite' && at(directions) === 'normal';
      return keeps ? [{ name, declarations: this.matched.ruleSet.keyframes.get(name) ?? [] }] : [];
    });
    if (frames.every((f) => f.declarations.length === 0)) return null;
    const added = frames.map(({ name, declarations }): Match => ({ ...ANIMATION, id: `k:${name}`, declarations }));
    return this.#block([...new Set(block.entries.map((e) => e.match)), ...added]);
  }

  #block(matches: readonly Match[]): Block {
    let key = '';
    for (const match of matches) key += `${match.id},`;
    let known = this.#blocks.get(key);
    if (!known) {
      known = makeBlock(this.#blocks.size, matches, { quirks: this.matched.document.quirks });
      this.#blocks.set(key, known);
    }
    return known;
  }

  #style(
    block: Block,
    parent: ComputedStyle | null,
    root: ComputedStyle | null,
    placement: Placement,
    options: ComputeOptions,
  ): ComputedStyle {
    const { medium } = options;
    let siblings = this.#styles.get(parent);
    if (!siblings) this.#styles.set(parent, (siblings = new Map()));
    const key = block.id * 256 + placementCode(placement) * 2 + Number(medium.dark);
    let shared = siblings.get(key);
    if (!shared) siblings.set(key, (shared = { style: null, byViewport: null }));
    const { container } = options;
    const around = `${medium.width}x${medium.height}${container ? `/${container.width}x${container.height}` : ''}`;
    const known = shared.byViewport ? shared.byViewport.get(around) : shared.style;
    if (known) return known;
    const { style, readViewport } = computeStyle(block, parent, root, placement, options);
    if (readViewport) (shared.byViewport ??= new Map()).set(around, style);
    else shared.style = style;
    return style;
  }
}

const FLEXIBLE = /^(inline-)?(flex|grid)$/;

/** What computed values depend on beside rules and parent, as a number below 128. */
function placementCode({ root, atomic, control, parentDisplay }: Placement): number {
  return (
    Number(root) +
    2 * Number(atomic) +
    4 * Number(control) +
    8 * Number(parentDisplay !== null && FLEXIBLE.test(parentDisplay))
  );
}

/** What decides whether a match counts. */
interface Activity {
  readonly truth: Map<MediaCondition, boolean>;
  readonly medium: Medium;
  readonly state: PoseView;
  readonly styles: readonly ComputedStyle[];
  readonly sizes: ContainerSizes;
}

/** Why a match does not count just now; null if it does. */
function whyInactive(match: Match, element: ElementNode, activity: Activity): Idle | null {
  const { truth, medium, state, styles, sizes } = activity;
  for (const condition of match.conditions) {
    let value = truth.get(condition);
    if (value === undefined) truth.set(condition, (value = condition.evaluate(medium)));
    if (!value) return { why: 'media', text: condition.text };
  }
  const query = match.containers.find((q) => !containerHolds(q, element, styles, sizes, medium));
  if (query) return { why: 'container', text: query.text };
  return holds(match.guard, state)
    ? null
    : { why: 'state', text: [...new Set([...factsOf(match.guard)].map(printFact))].join(' ') };
}

/** The same as a plain answer, for the many times it is asked. */
function isActive(match: Match, element: ElementNode, activity: Activity): boolean {
  const { conditions, containers, guard } = match;
  for (const condition of conditions) {
    let value = activity.truth.get(condition);
    if (value === undefined) activity.truth.set(condition, (value = condition.evaluate(activity.medium)));
    if (!value) return false;
  }
  if (containers.length > 0 && whyInactive(match, element, activity) !== null) return false;
  return guard === true || holds(guard, activity.state);
}

function placementOf(element: ElementNode, styles: readonly ComputedStyle[]): Placement {
  let parentDisplay: Display | null = null;
  for (let a = element.parent; a; a = a.parent) {
    parentDisplay = styles[a.index]!.display;
    if (parentDisplay !== 'contents') break;
  }
  return {
    root: element.parent === null,
    parentDisplay,
    atomic: ATOMIC.has(element.tag),
    control: CONTROLS.has(element.tag),
  };
}
