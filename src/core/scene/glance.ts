import type { TextMetrics } from '../boxes/index.js';
import type { ComputedStyle, StyleTree } from '../cascade/index.js';
import type { PseudoElement } from '../css/index.js';
import { namedNow, type ElementNode, type HtmlDocument, type MarkupView } from '../html/index.js';

/** A page's styles and attributes at a setting: what names and roles are told from. Nothing is laid out for it. */
export class Glance implements MarkupView {
  constructor(
    readonly document: HtmlDocument,
    readonly styles: StyleTree,
    readonly metrics: TextMetrics,
  ) {}

  style(element: ElementNode): ComputedStyle {
    return this.styles.of(element);
  }

  pseudo(element: ElementNode, name: PseudoElement): ComputedStyle | null {
    return this.styles.pseudo(element, name);
  }

  /** An attribute as it stands in the pose. */
  attribute(element: ElementNode, name: string): string | undefined {
    return this.styles.view.attribute(element, name);
  }

  /** The element an id names in the pose. */
  byId(id: string): ElementNode | null {
    return namedNow(this.document, this.styles.view.changes, id);
  }

  hasClass(element: ElementNode, name: string): boolean {
    return this.styles.view.hasClass(element, name);
  }
}
