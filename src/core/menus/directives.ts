import { closest, type ElementNode } from '../html/index.js';
import type { Page } from '../scene/index.js';

/** An attribute that tells a template library what an event does, as in `@click`, `(click)` or `on:click`. */
const DIRECTIVE = /^(?:@|\(|(?:[a-z]+-)?on:)[a-z][\w:.-]*\)?$/;
const EVENTS = ['click', 'mousedown', 'pointerdown', 'keydown', 'mouseenter', 'focusin'];

/** What an element has a template library do, in an attribute that no script at hand was seen to follow. */
export interface Directive {
  readonly element: ElementNode;
  /** Name of the attribute. */
  readonly name: string;
}

/** Attributes of that kind outside the page's own content. */
export const directivesOf = ({ document, hearing }: Page): readonly Directive[] =>
  document.elements.flatMap((element): Directive[] => {
    const name = [...element.attributes.keys()].find((one) => DIRECTIVE.test(one));
    if (name === undefined || closest(element, ({ tag }) => tag === 'main') || hearing.of(element, EVENTS)) return [];
    return [{ element, name }];
  });
