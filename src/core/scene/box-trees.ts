import type { LimitLog } from '../base/index.js';
import {
  generateBoxes,
  newMemory,
  pairTwins,
  type BoxTree,
  type ImageSizes,
  type LayoutMemory,
  type TextMetrics,
} from '../boxes/index.js';
import { differsInColourOnly, type ComputedStyle, type StyleTree } from '../cascade/index.js';
import { choiceFor, CONTROL_PARTS, hasChoices, type PseudoElement } from '../css/index.js';
import type { ElementNode, HtmlDocument, MarkupChanges } from '../html/index.js';
import type { RuleSet } from '../sheets/index.js';
import { changesKey } from './change-keys.js';
import { shownSize } from './pictures.js';
import type { Scene } from './scene.js';

/** A box tree, and what layout remembers of its boxes. */
interface Made {
  readonly styles: StyleTree;
  readonly markup: string;
  readonly tree: BoxTree;
  readonly memory: LayoutMemory;
}

/** Pseudo-elements that have boxes of their own. */
const MAKE_BOXES: ReadonlySet<PseudoElement> = new Set<PseudoElement>([
  'before',
  'after',
  'marker',
  'first-line',
  'first-letter',
  'backdrop',
  'details-content',
  ...CONTROL_PARTS,
]);
/** Attributes read while boxes are made. */
const MAKE_CONTENT: ReadonlySet<string> = new Set(
  'alt cols contenteditable data height label multiple open poster reversed rows size src start type value width viewBox'.split(
    ' ',
  ),
);
const MOST = 40;
const MOST_TELLING = 12;

/** Box trees of a page: they depend on styles and some attributes alone, and are shared where those are the same. */
export class BoxTrees {
  readonly #made: Made[] = [];
  /** Elements in which trees differed that were compared: others are likely to differ there too. */
  readonly #telling: ElementNode[] = [];
  /** Images whose picture depends on the screen. */
  readonly #choosing: readonly ElementNode[];
  /** Attributes that boxes are made from: by themselves, or because generated content reads them. */
  readonly #making: ReadonlySet<string>;
  /** Of changes of the markup what of them boxes are made from, as text. */
  readonly #changed = new WeakMap<MarkupChanges, string>();

  constructor(
    readonly document: HtmlDocument,
    ruleSet: RuleSet,
    readonly images: ImageSizes,
    readonly metrics: TextMetrics,
    readonly limits: LimitLog,
  ) {
    this.#choosing = document.elements.filter(hasChoices);
    const read = ruleSet.rules.flatMap((r) => r.declarations.flatMap(({ text }) => attributesRead(text)));
    this.#making = new Set([...MAKE_CONTENT, ...read]);
  }

  /** @param near a scene like the one to come: what it shares with that is not laid out again */
  for(styles: StyleTree, near: Scene | null): Made {
    const { document, images, metrics, limits } = this;
    const markup = this.#markupOf(styles);
    const known = this.#made.findLast((entry) => entry.markup === markup && this.#same(entry.styles, styles));
    if (known) return known;
    const pictures = (image: ElementNode) => shownSize(image, styles.medium, images);
    const tree = generateBoxes(document, styles, { images, pictures }, metrics, limits);
    const like = near && { memory: near.made.memory, twins: pairTwins(near.boxes.root, tree.root) };
    const made = { styles, markup, tree, memory: newMemory(like) };
    if (this.#made.length >= MOST) this.#made.shift();
    this.#made.push(made);
    return made;
  }

  /** Whether styles worked out from others differ from them in colours alone, so that the same boxes stand in the same order. */
  recolours(before: StyleTree, after: StyleTree, changed = after.changed): boolean {
    if (this.#markupOf(before) !== this.#markupOf(after)) return false;
    const alike = (a: ComputedStyle | null, b: ComputedStyle | null) =>
      a === b || (a !== null && b !== null && differsInColourOnly(a, b));
    return changed.every(
      (element) =>
        alike(before.of(element), after.of(element)) &&
        after
          .pseudosOf(element)
          .every((name) => !MAKE_BOXES.has(name) || alike(before.pseudo(element, name), after.pseudo(element, name))),
    );
  }

  /** The same of styles that were both worked out from the same others. */
  recoloursBeside(one: StyleTree, other: StyleTree): boolean {
    return one.base === other.base && this.recolours(one, other, [...new Set([...one.changed, ...other.changed])]);
  }

  #same(one: StyleTree, other: StyleTree): boolean {
    if (one === other) return true;
    const differs = (e: ElementNode) =>
      one.of(e) !== other.of(e) ||
      other.pseudosOf(e).some((name) => MAKE_BOXES.has(name) && one.pseudo(e, name) !== other.pseudo(e, name));
    if (this.#telling.some(differs)) return false;
    const telling = other.changed.find(differs) ?? this.document.elements.find(differs);
    if (!telling) return true;
    this.#telling.unshift(telling);
    if (this.#telling.length > MOST_TELLING) this.#telling.pop();
    return false;
  }

  /** What boxes are made from beside styles: changed attributes that stand for content or size, and the pictures chosen. */
  #markupOf({ view, medium }: StyleTree): string {
    const chosen = this.#choosing.map((image) => choiceFor(image, medium)?.reference ?? '').join('\n');
    if (view.changes.size === 0) return chosen;
    let changed = this.#changed.get(view.changes);
    if (changed === undefined)
      this.#changed.set(view.changes, (changed = changesKey(view.changes, (name) => this.#making.has(name))));
    return `${chosen}\0${changed}`;
  }
}

const attributesRead = (value: string): readonly string[] =>
  [...value.matchAll(/\battr\(\s*([-\w]+)/gi)].map(([, name]) => name!.toLowerCase());
