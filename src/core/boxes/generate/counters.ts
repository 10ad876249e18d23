import type { ComputedStyle } from '../../cascade/index.js';
import type { ElementNode, MarkupView } from '../../html/index.js';

interface Counter {
  value: number;
  /** The parent of the element that made it: it counts there and below. */
  readonly scope: object;
}

const LIST_ITEM = 'list-item';

/** The counters in scope while boxes are generated in document order. @spec css-lists-3 §4 */
export class Counters {
  readonly #byName = new Map<string, Counter[]>();

  constructor(readonly markup: MarkupView) {}

  /** Applies what an element or pseudo-element does to counters, before its content. */
  enter(style: ComputedStyle, scope: object, element: ElementNode | null): void {
    const reset = style.counterReset;
    if (element && /^(ol|ul|menu|dir)$/.test(element.tag) && !reset.some(([name]) => name === LIST_ITEM))
      this.#create(LIST_ITEM, startOf(element, this.markup), scope);
    for (const [name, value] of reset) this.#create(name, value, scope);
    const increments = style.counterIncrement;
    if (/list-item/.test(style.display) && !increments.some(([name]) => name === LIST_ITEM))
      this.#innermost(LIST_ITEM, scope).value += 1;
    for (const [name, by] of increments) this.#innermost(name, scope).value += by;
    for (const [name, value] of style.counterSet) this.#innermost(name, scope).value = value;
    const own = element?.tag === 'li' ? Number(this.markup.attribute(element, 'value') ?? NaN) : NaN;
    if (Number.isInteger(own)) this.#innermost(LIST_ITEM, scope).value = own;
  }

  /** Ends the scope of the counters the children of an element made. */
  leave(scope: object): void {
    for (const [name, list] of this.#byName) {
      while (list[list.length - 1]?.scope === scope) list.pop();
      if (list.length === 0) this.#byName.delete(name);
    }
  }

  /** Values of all counters of a name, outermost first; one of zero where there is none. */
  values(name: string): readonly number[] {
    const list = this.#byName.get(name);
    return list && list.length > 0 ? list.map((c) => c.value) : [0];
  }

  #create(name: string, value: number, scope: object): void {
    const list = this.#byName.get(name) ?? [];
    // A counter a sibling made ends here.
    if (list[list.length - 1]?.scope === scope) list.pop();
    list.push({ value, scope });
    this.#byName.set(name, list);
  }

  #innermost(name: string, scope: object): Counter {
    const list = this.#byName.get(name);
    if (!list || list.length === 0) this.#create(name, 0, scope);
    const all = this.#byName.get(name)!;
    return all[all.length - 1]!;
  }
}

function startOf(element: ElementNode, markup: MarkupView): number {
  const start = Number.parseInt(markup.attribute(element, 'start') ?? '', 10);
  const reversed = element.tag === 'ol' && markup.attribute(element, 'reversed') !== undefined;
  if (reversed) return (Number.isNaN(start) ? element.elements.filter((e) => e.tag === 'li').length : start) + 1;
  return element.tag === 'ol' && !Number.isNaN(start) ? start - 1 : 0;
}
