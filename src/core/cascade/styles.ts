import { holds, type Display, type Medium, type MediaCondition, type PseudoElement, type StateView } from '../css/index.js';
import type { ElementNode } from '../html/index.js';
import type { Placement } from './adjust.js';
import { makeBlock, type Block } from './block.js';
import { computeStyle, type ComputeOptions, type FontUnits } from './compute.js';
import type { Match, MatchedDocument } from './match.js';
import type { ComputedStyle } from './style.js';

/** The computed styles of a page at one setting. */
export interface StyleTree {
  readonly medium: Medium;
  of(element: ElementNode): ComputedStyle;
  /** Style of a pseudo-element, or null where no rule speaks of it. */
  pseudo(element: ElementNode, name: PseudoElement): ComputedStyle | null;
}

const ATOMIC = new Set(['img', 'video', 'audio', 'canvas', 'iframe', 'object', 'embed', 'input', 'select', 'textarea', 'br', 'wbr', 'meter', 'progress', 'svg']);

const CONTROLS = new Set(['input', 'select', 'textarea', 'button', 'meter', 'progress']);

/** Computes styles of one matched document at any number of settings; blocks and styles are shared between them. */
export class Cascade {
  readonly #blocks = new Map<string, Block>();
  readonly #styles = new Map<string, ComputedStyle>();
  readonly #ids = new Map<ComputedStyle, number>();
  /** Block and parent pairs whose result depends on the viewport. */
  readonly #viewport = new Set<string>();
  readonly #constant: (Block | null)[];
  /** Elements whose own rules ask about states such as :hover. */
  readonly #stateful: boolean[];
  /** Elements with rules for ::before, ::after and the like. */
  readonly withPseudo: readonly ElementNode[];

  constructor(
    readonly matched: MatchedDocument,
    readonly fontUnits: FontUnits,
  ) {
    this.#constant = new Array<Block | null>(matched.document.elements.length).fill(null);
    this.#stateful = matched.byElement.map((m) => m.own.some((match) => match.guard !== true));
    this.withPseudo = matched.document.elements.filter((e) => matched.byElement[e.index]!.pseudo.size > 0);
  }

  /**
   * All styles at a medium and a state.
   * @param base styles at the same medium in another state: elements no state concerns are taken from there
   */
  styles(medium: Medium, state: StateView, base: StyleTree | null = null): StyleTree {
    const { document } = this.matched;
    const truth = new Map<MediaCondition, boolean>();
    const options: ComputeOptions = { medium, fontUnits: this.fontUnits, quirks: document.quirks };
    const out: ComputedStyle[] = new Array(document.elements.length);
    const pseudos = new Map<string, ComputedStyle | null>();
    const root = () => out[0] ?? null;
    for (const element of document.elements) {
      const parent = element.parent ? out[element.parent.index]! : null;
      if (base && !this.#stateful[element.index] && (element.parent === null || parent === base.of(element.parent))) {
        out[element.index] = base.of(element);
        continue;
      }
      const block = this.#blockOf(element, truth, medium, state);
      out[element.index] = this.#style(block, parent, root(), placementOf(element, out), options);
    }
    return {
      medium,
      of: (element) => out[element.index]!,
      pseudo: (element, name) => {
        const matches = this.matched.byElement[element.index]!.pseudo.get(name);
        if (!matches) return null;
        const key = `${element.index}${name}`;
        let known = pseudos.get(key);
        if (known === undefined) {
          const active = matches.filter((m) => isActive(m, truth, medium, state));
          const parent = out[element.index]!;
          const placement: Placement = { root: false, parentDisplay: parent.display, atomic: false, control: false };
          known = active.length === 0 ? null : this.#style(this.#block(active), parent, root(), placement, options);
          pseudos.set(key, known);
        }
        return known;
      },
    };
  }

  #blockOf(element: ElementNode, truth: Map<MediaCondition, boolean>, medium: Medium, state: StateView): Block {
    const constant = this.#constant[element.index];
    if (constant) return constant;
    const matches = this.matched.byElement[element.index]!.own;
    if (matches.every((m) => m.guard === true && m.conditions.length === 0)) {
      return (this.#constant[element.index] = this.#block(matches));
    }
    return this.#block(matches.filter((m) => isActive(m, truth, medium, state)));
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

  #style(block: Block, parent: ComputedStyle | null, root: ComputedStyle | null, placement: Placement, options: ComputeOptions): ComputedStyle {
    const { medium } = options;
    const base = `${block.id}/${parent ? this.#ids.get(parent) : ''}/${root ? this.#ids.get(root) : ''}/${placement.root ? 'r' : ''}${placement.atomic ? 'a' : ''}${placement.control ? 'c' : ''}${placement.parentDisplay ?? ''}/${medium.dark}`;
    const key = this.#viewport.has(base) ? `${base}/${medium.width}x${medium.height}` : base;
    const known = this.#styles.get(key);
    if (known) return known;
    const { style, readViewport } = computeStyle(block, parent, root, placement, options);
    if (readViewport) this.#viewport.add(base);
    this.#styles.set(readViewport ? `${base}/${medium.width}x${medium.height}` : base, style);
    this.#ids.set(style, this.#ids.size);
    return style;
  }
}

function isActive(match: Match, truth: Map<MediaCondition, boolean>, medium: Medium, state: StateView): boolean {
  for (const condition of match.conditions) {
    let value = truth.get(condition);
    if (value === undefined) truth.set(condition, (value = condition.evaluate(medium)));
    if (!value) return false;
  }
  return holds(match.guard, state);
}

function placementOf(element: ElementNode, styles: readonly ComputedStyle[]): Placement {
  let parentDisplay: Display | null = null;
  for (let a = element.parent; a; a = a.parent) {
    parentDisplay = styles[a.index]!.display;
    if (parentDisplay !== 'contents') break;
  }
  return { root: element.parent === null, parentDisplay, atomic: ATOMIC.has(element.tag), control: CONTROLS.has(element.tag) };
}
