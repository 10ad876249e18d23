import {
  BLACK,
  factsOf,
  holds,
  linkColour,
  printFact,
  type Medium,
  type MediaCondition,
  type PseudoElement,
} from '../css/index.js';
import { attributesOf, type ElementNode } from '../html/index.js';
import { heldByAnimations } from './animations.js';
import { makeBlock, type Block } from './block.js';
import type { PoseView } from './state.js';
import { containerHolds, nearestSize, NO_CONTAINERS, type ContainerSizes } from './containers.js';
import { dependentsOf, touchedBy, type Dependents } from './dependents.js';
import { explainMatches, type Explanation, type Idle } from './explain.js';
import { computeStyle, flowOf, type ComputeOptions, type FontUnits } from './compute.js';
import { Heirs, type Heir } from './heirs.js';
import { fromAttributes, NO_RULE, type Match, type MatchedDocument } from './match.js';
import { insideOf, placementCode, placementOf, type Placement } from './placement.js';
import { hasSameValues, type ComputedStyle } from './style.js';

/** The computed styles of a page at one setting. */
export interface StyleTree {
  readonly medium: Medium;
  /** The states and attributes the styles were made for. */
  readonly view: PoseView;
  /** Sizes the container queries were answered with. */
  readonly sizes: ContainerSizes;
  of(element: ElementNode): ComputedStyle;
  /** Style of a pseudo-element, or null where no rule speaks of it. */
  pseudo(element: ElementNode, name: PseudoElement): ComputedStyle | null;
  /** Its pseudo-elements that rules speak of. */
  pseudosOf(element: ElementNode): readonly PseudoElement[];
  /** The styles this tree was made from; null if it was worked out whole. */
  readonly base: StyleTree | null;
  /** Elements that may differ from those; empty without such. */
  readonly changed: readonly ElementNode[];
}

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
  /** Computed styles below parents that hand down the same, by block and placement. */
  readonly #styles = new Map<Heir, Map<number, Shared>>();
  readonly #heirs = new Heirs();
  /** Blocks of each element by which of its conditional matches are active. */
  readonly #byElement: (Map<number, Block> | null)[];
  readonly #pseudoNames: (readonly PseudoElement[] | undefined)[] = [];
  /** Matches of each element that count only under some condition or state. */
  readonly #conditional: readonly (readonly Match[])[];
  /** Of elements whose attributes change: matches of rules, and with what their attributes say, by these. */
  readonly #byRules: {
    readonly matches: readonly Match[];
    readonly changed: Map<string, readonly Match[]>;
  }[] = [];
  #dependents: Dependents | null = null;
  readonly #pseudoStateful: boolean[];

  constructor(
    readonly matched: MatchedDocument,
    readonly fontUnits: FontUnits,
    readonly textZoom = 1,
  ) {
    this.#byElement = new Array<Map<number, Block> | null>(matched.document.elements.length).fill(null);
    this.#conditional = matched.byElement.map((m) => m.own.filter(isConditional));
    this.#pseudoStateful = matched.byElement.map((m) => [...m.pseudo.values()].some(stateful));
  }

  /** All styles at a medium and a state. */
  styles(medium: Medium, view: PoseView, sizes: ContainerSizes = NO_CONTAINERS): StyleTree {
    const { elements } = this.matched.document;
    const all: ComputedStyle[] = new Array(elements.length);
    const run = this.#run({ medium, view, sizes, read: (index) => all[index]! });
    for (const element of elements) all[element.index] = this.#compute(element, run);
    return this.#treeOf(run, null, []);
  }

  /** Styles in a pose, worked out only where it may differ from styles at the same medium in another pose. */
  posed(base: StyleTree, view: PoseView): StyleTree {
    const { elements } = this.matched.document;
    const own = new Map<number, ComputedStyle>();
    const read = (index: number) => own.get(index) ?? base.of(elements[index]!);
    const run = this.#run({ medium: base.medium, view, sizes: base.sizes, read });
    const changed: ElementNode[] = [];
    const done = new Set<number>();
    const visit = (element: ElementNode) => {
      const { index } = element;
      if (done.has(index)) return;
      done.add(index);
      const style = this.#compute(element, run);
      const before = base.of(element);
      if (style !== before) own.set(index, style);
      if (style !== before || this.#pseudoStateful[index]) changed.push(element);
      if (style !== before) for (const child of element.elements) visit(child);
    };
    this.#dependents ??= dependentsOf(this.matched.byElement);
    for (const index of touchedBy(this.#dependents, view, base.view)) visit(elements[index]!);
    if (view.scrolled !== base.view.scrolled)
      for (const element of elements)
        if (read(element.index).animationTimeline.some((name) => name !== 'auto')) visit(element);
    return this.#treeOf(run, base, changed);
  }

  #run({ medium, view, sizes, read }: Pick<Run, 'medium' | 'view' | 'sizes' | 'read'>): Run {
    const { body } = this.matched.document;
    const options: ComputeOptions = {
      medium,
      fontUnits: this.fontUnits,
      quirks: this.matched.document.quirks,
      registry: this.matched.ruleSet.properties,
      textZoom: this.textZoom,
      linkColor: linkColour(body),
      // What stands before the body has none.
      bodyColor: () => (body && (read(body.index) as ComputedStyle | undefined)?.color) ?? BLACK,
      container: null,
    };
    return { truth: new Map(), medium, view, sizes, read, options };
  }

  /** The style of an element whose parent's is known. */
  #compute(element: ElementNode, run: Run): ComputedStyle {
    const { read, sizes, options } = run;
    const root = element.parent ? read(0) : null;
    const parent = element.parent ? this.#around(element.parent, element, run) : null;
    const block = this.#blockOf(element, run);
    const placement = placementOf(element, read);
    const own = sizes.size === 0 ? options : { ...options, container: nearestSize(element, read, sizes) };
    return this.#moved(block, run.view, (b) => this.#style(b, parent, root, placement, own));
  }

  /**
   * The style that what stands in an element inherits from. In details and list boxes it stands in a slot of the
   * browser's own, which takes of them what is inherited by itself and no more. @spec css-scoping-1 §3.3.2
   */
  #around(element: ElementNode, child: ElementNode, run: Run): ComputedStyle {
    const { read, options } = run;
    const style = read(element.index);
    if (element.namespace !== 'html' || !SLOTTING.has(element.tag)) return style;
    const contents = this.matched.byElement[element.index]!.pseudo.get('details-content');
    const content = contents && child.tag !== 'summary' ? this.#pseudoStyle(element, contents, run) : null;
    if (content) return content;
    return this.#style(this.#block([]), style, read(0), insideOf(style), options);
  }

  #treeOf(run: Run, base: StyleTree | null, changed: readonly ElementNode[]): StyleTree {
    const { medium, view, sizes, read } = run;
    const pseudos = new Map<PseudoElement, Map<number, ComputedStyle | null>>();
    const pseudo = (element: ElementNode, name: PseudoElement): ComputedStyle | null => {
      const matches = this.matched.byElement[element.index]!.pseudo.get(name);
      if (!matches) return null;
      if (base && !this.#pseudoStateful[element.index] && read(element.index) === base.of(element))
        return base.pseudo(element, name);
      let known = pseudos.get(name);
      if (!known) pseudos.set(name, (known = new Map()));
      let style = known.get(element.index);
      if (style === undefined) known.set(element.index, (style = this.#pseudoStyle(element, matches, run)));
      return style;
    };
    return {
      medium,
      view,
      sizes,
      of: (element) => read(element.index),
      pseudo,
      base,
      changed,
      pseudosOf: (element) => this.#pseudosOf(element),
    };
  }

  #pseudosOf({ index }: ElementNode): readonly PseudoElement[] {
    return (this.#pseudoNames[index] ??= [...this.matched.byElement[index]!.pseudo.keys()]);
  }

  #pseudoStyle(element: ElementNode, matches: readonly Match[], run: Run): ComputedStyle | null {
    const active = matches.filter((m) => isActive(m, element, run));
    if (active.length === 0) return null;
    const parent = run.read(element.index);
    const root = run.read(0);
    return this.#moved(this.#block(active), run.view, (b) =>
      this.#style(b, parent, root, insideOf(parent), run.options),
    );
  }

  #blockOf(element: ElementNode, run: Run): Block {
    const { index } = element;
    const conditional = this.#conditional[index]!;
    let bits = 0;
    let bit = 1;
    for (const match of conditional) {
      if (isActive(match, element, run)) bits += bit;
      bit *= 2;
    }
    // Beyond 52 conditional matches a number no longer tells the sets apart.
    const known = conditional.length <= MOST_BITS ? this.#byElement[index] : null;
    const changes = run.view.changes.get(element);
    if (changes) return this.#changedBlock(element, attributesOf(element, changes), run);
    const found = known?.get(bits);
    if (found) return found;
    const matches = this.matched.byElement[index]!.own;
    const block = this.#block(conditional.length === 0 ? matches : matches.filter((m) => isActive(m, element, run)));
    if (known) known.set(bits, block);
    else this.#byElement[index] = new Map([[bits, block]]);
    return block;
  }

  /** The block of an element whose attributes differ from the markup: hints and the style attribute are read anew. */
  #changedBlock(element: ElementNode, attributes: ElementNode['attributes'], run: Run): Block {
    const rules = this.#matchesOf(element, attributes);
    return this.#block(rules.filter((m) => isActive(m, element, run)));
  }

  #matchesOf(element: ElementNode, attributes: ElementNode['attributes']): readonly Match[] {
    const { own } = this.matched.byElement[element.index]!;
    if (attributes === element.attributes) return own;
    let rules = this.#byRules[element.index];
    if (!rules) {
      rules = { matches: own.filter(({ rank }) => rank !== 'hint' && rank !== 'inline'), changed: new Map() };
      this.#byRules[element.index] = rules;
    }
    const key = JSON.stringify([...attributes]);
    let known = rules.changed.get(key);
    if (!known) rules.changed.set(key, (known = [...rules.matches, ...fromAttributes(element, attributes)]));
    return known;
  }

  /** Every declaration of one longhand on an element, strongest first, and what became of each. */
  explain(element: ElementNode, index: number, tree: StyleTree): Explanation {
    const { view } = tree;
    const { elements } = this.matched.document;
    const run = this.#run({ ...tree, read: (i) => tree.of(elements[i]!) });
    const flow = flowOf(tree.of(element));
    const idle = (match: Match) => whyInactive(match, element, run);
    const { quirks } = this.matched.document;
    const matches = this.#matchesOf(element, attributesOf(element, view.changes.get(element)));
    return explainMatches(matches, index, flow, idle, { quirks });
  }

  /** A style and what animations make of it. */
  #moved(block: Block, view: PoseView, styleOf: (block: Block) => ComputedStyle): ComputedStyle {
    const style = styleOf(block);
    const animated = this.#animated(block, style, view);
    return animated ? styleOf(animated) : style;
  }

  /** The block with what animations in effect set, or null. @spec css-cascade-5 §6.1 */
  #animated(block: Block, style: ComputedStyle, { scrolled }: PoseView): Block | null {
    const { keyframes } = this.matched.ruleSet;
    if (keyframes.size === 0 || style.animationName.every((name) => name === 'none')) return null;
    const held = heldByAnimations(style, keyframes, scrolled);
    if (held.length === 0) return null;
    const added = held.map(({ id, declarations }): Match => ({ ...NO_RULE, id: `k:${id}`, declarations }));
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
    const place = this.#heirs.place(block, parent);
    let siblings = this.#styles.get(place);
    if (!siblings) this.#styles.set(place, (siblings = new Map()));
    const key = block.id * 256 + placementCode(placement) * 2 + Number(medium.dark);
    let shared = siblings.get(key);
    if (!shared) siblings.set(key, (shared = { style: null, byViewport: null }));
    const { container } = options;
    const around = `${medium.width}x${medium.height}${container ? `/${container.width}x${container.height}` : ''}`;
    const known = shared.byViewport ? shared.byViewport.get(around) : shared.style;
    if (known) return known;
    const { style, readViewport } = computeStyle(block, parent, root, placement, options);
    if (!readViewport) return (shared.style = style);
    shared.byViewport ??= new Map();
    const one = [...shared.byViewport.values()].findLast((other) => hasSameValues(other, style)) ?? style;
    shared.byViewport.set(around, one);
    return one;
  }
}

const SLOTTING: ReadonlySet<string> = new Set(['details', 'select', 'optgroup']);
/** One computation of styles: what decides whether a match counts, and the styles known so far. */
interface Run {
  readonly truth: Map<MediaCondition, boolean>;
  readonly medium: Medium;
  readonly view: PoseView;
  readonly sizes: ContainerSizes;
  /** The style of an element by its index. */
  readonly read: (index: number) => ComputedStyle;
  readonly options: ComputeOptions;
}

/** Why a match does not count just now; null if it does. */
function whyInactive(match: Match, element: ElementNode, run: Run): Idle | null {
  const { truth, medium, view, read, sizes } = run;
  for (const condition of match.conditions) {
    let value = truth.get(condition);
    if (value === undefined) truth.set(condition, (value = condition.evaluate(medium)));
    if (!value) return { why: 'media', text: condition.text };
  }
  const query = match.containers.find((q) => !containerHolds(q, element, { styles: read, sizes, medium }));
  if (query) return { why: 'container', text: query.text };
  return holds(match.guard, view)
    ? null
    : { why: 'state', text: [...new Set([...factsOf(match.guard)].map(printFact))].join(' ') };
}

/** The same as a plain answer, for the many times it is asked. */
function isActive(match: Match, element: ElementNode, run: Run): boolean {
  const { conditions, containers, guard } = match;
  for (const condition of conditions) {
    let value = run.truth.get(condition);
    if (value === undefined) run.truth.set(condition, (value = condition.evaluate(run.medium)));
    if (!value) return false;
  }
  if (containers.length > 0 && whyInactive(match, element, run) !== null) return false;
  return guard === true || holds(guard, run.view);
}
