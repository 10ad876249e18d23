import {
  compileSelectors,
  holds,
  restContext,
  SelectorError,
  type Changeable,
  type Selector,
  type StateView,
} from '../../css/index.js';
import { isAncestorOrSelf, splitTokens, type ElementNode, type HtmlDocument } from '../../html/index.js';
import type { Reading } from '../reading.js';

const compiled = new Map<string, readonly Selector[] | null>();

function selectorsFor(text: string): readonly Selector[] | null {
  let known = compiled.get(text);
  if (known === undefined) {
    try {
      known = text.length > 2000 ? null : compileSelectors(text);
    } catch (error) {
      if (!(error instanceof SelectorError)) throw error;
      known = null;
    }
    if (compiled.size > 5000) compiled.clear();
    compiled.set(text, known);
  }
  return known;
}

/** Whatever was changed so far may be asked for. */
const changedSoFar = ({ standing }: Reading): Changeable | null =>
  standing.changed.size === 0
    ? null
    : {
        attribute: (element, name) => standing.changed.get(element)?.has(name) ?? false,
        hasClass: (element) => standing.changed.get(element)?.has('class') ?? false,
        classes: (element) => splitTokens(standing.attribute(element, 'class') ?? ''),
        near: () => true,
      };

function viewOf({ standing }: Reading): StateView {
  const { markup } = standing;
  const within = (outer: ElementNode, inner: ElementNode | null | undefined) =>
    inner != null && isAncestorOrSelf(outer, inner);
  return {
    attribute: (element, name) => markup.attribute(element, name),
    hasClass: (element, name) => markup.hasClass(element, name),
    has(name, element) {
      switch (name) {
        case 'hover':
          return within(element, standing.hovered);
        case 'focus':
        case 'focus-visible':
          return standing.focused === element;
        case 'focus-within':
          return within(element, standing.focused);
        case 'target':
          return standing.target === element;
        case 'checked':
          return standing.isOn(element, 'checked');
        case 'open':
          return standing.isOn(element, 'open');
        case 'popover-open':
        case 'modal':
          return standing.toggled.get(element) ?? false;
        default:
          return false;
      }
    },
  };
}

/** A test of elements as the page stands; null for what is no selector. */
export function matcher(
  reading: Reading,
  text: string,
  scope: ElementNode | null = null,
): ((e: ElementNode) => boolean) | null {
  const selectors = selectorsFor(text);
  if (!selectors) return null;
  const { document } = reading;
  const context = { ...restContext(document.root, document), scope, changeable: changedSoFar(reading) };
  const view = viewOf(reading);
  return (element) => {
    reading.step();
    return selectors.some(
      (selector) => selector.pseudoElement === null && holds(selector.match(element, context), view),
    );
  };
}

/** Elements below one, or of the whole page, that match; null for what is no selector. */
export function findAll(reading: Reading, text: string, below: ElementNode | null): readonly ElementNode[] | null {
  const simple = /^([#.]?)([\w-]+)$/.exec(text.trim());
  if (simple?.[1] === '#' && below === null) {
    const found = reading.document.byId(simple[2]!);
    if (found && found.index <= reading.horizon) return [found];
  }
  const matches = matcher(reading, text, below);
  if (!matches) return null;
  const there = (e: ElementNode) =>
    e.index <= reading.horizon && (below === null || (e !== below && isAncestorOrSelf(below, e)));
  return candidates(reading, selectorsFor(text)!).filter((e) => there(e) && matches(e));
}

interface Index {
  readonly classes: ReadonlyMap<string, readonly ElementNode[]>;
  readonly tags: ReadonlyMap<string, readonly ElementNode[]>;
}

const indexes = new WeakMap<HtmlDocument, Index>();

function indexOf(document: HtmlDocument): Index {
  let known = indexes.get(document);
  if (!known) {
    const classes = new Map<string, ElementNode[]>();
    const tags = new Map<string, ElementNode[]>();
    const add = (map: Map<string, ElementNode[]>, key: string, element: ElementNode) => {
      const list = map.get(key);
      if (list) list.push(element);
      else map.set(key, [element]);
    };
    for (const element of document.elements) {
      for (const name of new Set(element.classes)) add(classes, name, element);
      add(tags, element.tag, element);
    }
    indexes.set(document, (known = { classes, tags }));
  }
  return known;
}

/** Elements that selectors may match, by the rarest thing each asks of them, in document order. */
function candidates(reading: Reading, selectors: readonly Selector[]): readonly ElementNode[] {
  const { document, standing } = reading;
  const out = new Set<ElementNode>();
  for (const { bucket } of selectors) {
    if (bucket.by === 'any' || bucket.by === 'id' || document.quirks) return document.elements;
    const { classes, tags } = indexOf(document);
    for (const element of (bucket.by === 'class' ? classes.get(bucket.name) : tags.get(bucket.name)) ?? [])
      out.add(element);
    if (bucket.by === 'class') for (const element of standing.changed.keys()) out.add(element);
  }
  return [...out].sort((a, b) => a.index - b.index);
}
