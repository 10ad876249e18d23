import type { ElementNode, HtmlDocument } from './document.js';

/** The attributes of elements as they stand: as shipped, or as moves of a visitor left them. */
export interface MarkupView {
  /** An attribute's value; undefined without it. */
  attribute(element: ElementNode, name: string): string | undefined;
  hasClass(element: ElementNode, name: string): boolean;
}

/** The attributes of one element that differ from the markup; null where one was taken away. */
export type AttributeChanges = ReadonlyMap<string, string | null>;
export type MarkupChanges = ReadonlyMap<ElementNode, AttributeChanges>;

/** The page as it was shipped. */
export const MARKUP: MarkupView = Object.freeze({
  attribute: (element: ElementNode, name: string) => element.attributes.get(name),
  hasClass: (element: ElementNode, name: string) => element.classes.includes(name),
});

const TOKENS = /[ \t\n\f\r]+/;

/** The page with some attributes changed. */
export class ChangedMarkup implements MarkupView {
  readonly #classes = new Map<ElementNode, readonly string[]>();

  constructor(readonly changes: MarkupChanges) {}

  attribute(element: ElementNode, name: string): string | undefined {
    const changed = this.changes.get(element)?.get(name);
    return changed === undefined ? element.attributes.get(name) : (changed ?? undefined);
  }

  hasClass(element: ElementNode, name: string): boolean {
    const changed = this.changes.get(element)?.get('class');
    if (changed === undefined) return element.classes.includes(name);
    if (changed === null) return false;
    let classes = this.#classes.get(element);
    if (!classes) this.#classes.set(element, (classes = changed.split(TOKENS)));
    return classes.includes(name);
  }
}

/** The page as shipped, or with changes where there are any. */
export const markupWith = (changes: MarkupChanges | undefined): MarkupView =>
  changes === undefined || changes.size === 0 ? MARKUP : new ChangedMarkup(changes);

/** The element an id names as things stand: scripts give ids, and take them away. */
export function namedNow(document: HtmlDocument, changes: MarkupChanges, id: string): ElementNode | null {
  const shipped = document.byId(id);
  if (shipped && !changes.get(shipped)?.has('id')) return shipped;
  for (const [element, own] of changes) if (own.get('id') === id) return element;
  return null;
}

/** All attributes of an element as they stand. */
export function attributesOf(element: ElementNode, changes: AttributeChanges | undefined): ReadonlyMap<string, string> {
  if (!changes || changes.size === 0) return element.attributes;
  const out = new Map(element.attributes);
  for (const [name, value] of changes)
    if (value === null) out.delete(name);
    else out.set(name, value);
  return out;
}

/** A class attribute with names added and taken away, the rest in its order. */
export function withClasses(value: string, add: Iterable<string>, remove: Iterable<string>): string {
  const names = new Set(value.split(TOKENS).filter((name) => name !== ''));
  for (const name of remove) names.delete(name);
  for (const name of add) names.add(name);
  return [...names].join(' ');
}

/** Whether two elements' changes, or one element's at two times, are the same. */
export const sameAttributes = (one: AttributeChanges | undefined, other: AttributeChanges | undefined): boolean =>
  one === other || (one?.size === other?.size && [...(one ?? [])].every(([name, value]) => other!.get(name) === value));

export const sameChanges = (one: MarkupChanges | undefined, other: MarkupChanges | undefined): boolean =>
  one === other ||
  (one?.size === other?.size && [...(one ?? [])].every(([element, own]) => sameAttributes(own, other!.get(element))));
