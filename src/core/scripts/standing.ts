import { ChangedMarkup, isSuperseded, sameChanges, type ElementNode, type MarkupChanges } from '../html/index.js';

/** How a page stands while moves are made: what differs from the markup. */
export class Standing {
  constructor(
    readonly changed = new Map<ElementNode, Map<string, string | null>>(),
    /** Checked boxes, opened details, dialogs and popovers that differ from the markup. */
    readonly toggled = new Map<ElementNode, boolean>(),
  ) {}
  /** Counts the changes. */
  version = 0;
  hovered: ElementNode | null | undefined;
  focused: ElementNode | null | undefined;
  target: ElementNode | null | undefined;
  /** Whether the page was scrolled. */
  scrolled = false;
  /** Whether a link to another page was followed. */
  left = false;

  clone(): Standing {
    const out = new Standing();
    for (const [element, own] of this.changed) out.changed.set(element, new Map(own));
    for (const [element, on] of this.toggled) out.toggled.set(element, on);
    if (this.hovered !== undefined) out.hovered = this.hovered;
    if (this.focused !== undefined) out.focused = this.focused;
    if (this.target !== undefined) out.target = this.target;
    out.scrolled = this.scrolled;
    return out;
  }

  /** The same with another hover and focus to come: attributes and states are shared and stay as they are. */
  share(): Standing {
    const out = new Standing(this.changed, this.toggled);
    if (this.hovered !== undefined) out.hovered = this.hovered;
    if (this.focused !== undefined) out.focused = this.focused;
    if (this.target !== undefined) out.target = this.target;
    out.scrolled = this.scrolled;
    return out;
  }

  /** Whether another one leaves the page with the same attributes and the same things open. */
  equals({ changed, toggled }: Standing): boolean {
    return (
      sameChanges(this.changed, changed) &&
      this.toggled.size === toggled.size &&
      [...this.toggled].every(([element, on]) => toggled.get(element) === on)
    );
  }

  get markup(): ChangedMarkup {
    return new ChangedMarkup(this.changed);
  }

  attribute(element: ElementNode, name: string): string | undefined {
    const changed = this.changed.get(element)?.get(name);
    return changed === undefined ? element.attributes.get(name) : (changed ?? undefined);
  }

  /** Sets an attribute, or takes it away with null; what equals the markup is no change. */
  set(element: ElementNode, name: string, value: string | null): void {
    this.version++;
    const shipped = element.attributes.get(name) ?? null;
    let own = this.changed.get(element);
    if (value === shipped) {
      own?.delete(name);
      if (own?.size === 0) this.changed.delete(element);
      return;
    }
    if (!own) this.changed.set(element, (own = new Map()));
    own.set(name, value);
  }

  /** Whether a checkbox is checked, or details, a dialog or popover are open. */
  isOn(element: ElementNode, attribute: string): boolean {
    const written = this.attribute(element, attribute) !== undefined;
    return this.toggled.get(element) ?? (written && !(attribute === 'checked' && isSuperseded(element)));
  }

  /** The changes, for a pose; frozen by nobody writing to them any more. */
  get changes(): MarkupChanges {
    return this.changed;
  }
}
