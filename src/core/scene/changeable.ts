import type { Changeable } from '../css/index.js';
import { splitTokens, type ElementNode, type HtmlDocument } from '../html/index.js';

/** An attribute of an element that some opening can change; for `class` the names it may be given or lose. */
export interface PossibleChange {
  readonly element: ElementNode;
  readonly attribute: string;
  readonly classes?: readonly string[];
}

interface Open {
  readonly attributes: Set<string>;
  readonly classes: Set<string>;
}

const NONE: readonly string[] = [];

/** Class names that an element has and would not have, or the other way round, with another class attribute. */
export function classNamesChanged(element: ElementNode, value: string | null): readonly string[] {
  const after = splitTokens(value ?? '');
  return [
    ...after.filter((name) => !element.classes.includes(name)),
    ...element.classes.filter((name) => !after.includes(name)),
  ];
}

/** What openings can change on a page: those handed in, and what browsers change by themselves. */
export class ChangeableMarkup implements Changeable {
  readonly #byElement = new Map<ElementNode, Open>();
  /** Elements at or below one with something to change, as far as they were asked for. */
  readonly #near = new Map<ElementNode, boolean>();

  constructor(changes: Iterable<PossibleChange>) {
    for (const { element, attribute, classes } of changes) {
      const own = this.#byElement.get(element) ?? { attributes: new Set(), classes: new Set() };
      own.attributes.add(attribute);
      for (const name of classes ?? NONE) own.classes.add(name);
      this.#byElement.set(element, own);
    }
  }

  attribute(element: ElementNode, name: string): boolean {
    return this.#byElement.get(element)?.attributes.has(name) ?? false;
  }

  hasClass(element: ElementNode, name: string): boolean {
    return this.#byElement.get(element)?.classes.has(name) ?? false;
  }

  classes(element: ElementNode): readonly string[] {
    const own = this.#byElement.get(element);
    return own && own.classes.size > 0 ? [...own.classes] : NONE;
  }

  near(element: ElementNode): boolean {
    let known = this.#near.get(element);
    if (known === undefined) {
      known = this.#byElement.has(element) || (element.parent !== null && this.near(element.parent));
      this.#near.set(element, known);
    }
    return known;
  }
}

/** What browsers change without a script: `open` of details and dialogs. @spec html §4.11.1, §4.11.4 */
export const nativeChanges = (document: HtmlDocument): readonly PossibleChange[] =>
  document.elements
    .filter((e) => e.namespace === 'html' && (e.tag === 'details' || e.tag === 'dialog'))
    .map((element) => ({ element, attribute: 'open' }));
