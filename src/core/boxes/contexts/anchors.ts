import type { Rect } from '../../base/index.js';
import { descendants, type ElementNode } from '../../html/index.js';
import type { Box } from '../box.js';
import type { Fragment, Placed } from '../fragment.js';

/** An element others may be placed by, and its border box relative to what it was looked for in, px. */
interface Anchor {
  readonly box: Box;
  readonly names: readonly string[];
  readonly rect: Rect;
}

/** Whether a name of an anchor is known to a box: scopes keep it to what lies inside of them. @spec css-anchor-position-1 §2.3 */
function isKnownTo(box: Box, anchor: Box, name: string): boolean {
  for (let scope: Box | null = anchor; scope; scope = scope.parent) {
    const kept = namesOf(scope.computed.anchorScope);
    if (!scope.anonymous && (kept.includes('all') || kept.includes(name)) && !isInside(box, scope)) return false;
  }
  return true;
}

function isInside(box: Box, scope: Box): boolean {
  for (let at: Box | null = box; at; at = at.parent) if (at === scope) return true;
  return false;
}

const namesOf = (value: string): readonly string[] => (value === 'none' ? [] : value.split(/\s*,\s*/));

/** Anchors among what is laid out around an absolute box. @spec css-anchor-position-1 §2 */
export class Anchors {
  readonly #found: Anchor[] = [];
  readonly #byElement = new Map<ElementNode, Rect>();
  #named = false;

  /** @param roots where to look: placed relative to the same point as the containing block */
  constructor(private readonly roots: () => Iterable<Placed>) {}

  /** Box of the default anchor, or of the named one, of a box; null where it has none. */
  rectFor(box: Box, name: string | null): Rect | null {
    const { element, style } = box;
    if (!element) return null;
    const asked = name ?? (style.positionAnchor.startsWith('--') ? style.positionAnchor : null);
    if (asked === null) {
      const invoker = invokerOf(element);
      return invoker && this.#rectOf(invoker);
    }
    this.#gather();
    return this.#found.findLast((one) => one.names.includes(asked) && isKnownTo(box, one.box, asked))?.rect ?? null;
  }

  #gather(): void {
    if (this.#named) return;
    this.#named = true;
    const parts = new Map<number, Anchor>();
    this.#visit((fragment, rect) => {
      const { box } = fragment;
      const names = box.anonymous || box.inner === 'text' ? [] : namesOf(box.computed.anchorName);
      if (names.length === 0) return;
      const known = parts.get(box.id);
      parts.set(box.id, { box, names, rect: known ? union(known.rect, rect) : rect });
    });
    this.#found.push(...[...parts.values()].sort((a, b) => a.box.id - b.box.id));
  }

  #rectOf(element: ElementNode): Rect | null {
    const known = this.#byElement.get(element);
    if (known) return known;
    let rect: Rect | null = null;
    this.#visit((fragment, own) => {
      if (fragment.box.element === element && !fragment.box.pseudo) rect = rect ? union(rect, own) : own;
    });
    if (rect) this.#byElement.set(element, rect);
    return rect;
  }

  #visit(see: (fragment: Fragment, rect: Rect) => void): void {
    const visit = ({ fragment, x, y }: Placed, left: number, top: number) => {
      const at = { x: left + x, y: top + y };
      see(fragment, { ...at, width: fragment.width, height: fragment.height });
      for (const child of fragment.children) visit(child, at.x, at.y);
    };
    for (const root of this.roots()) visit(root, 0, 0);
  }
}

function union(a: Rect, b: Rect): Rect {
  const x = Math.min(a.x, b.x);
  const y = Math.min(a.y, b.y);
  return {
    x,
    y,
    width: Math.max(a.x + a.width, b.x + b.width) - x,
    height: Math.max(a.y + a.height, b.y + b.height) - y,
  };
}

/** The control that opens a popover is its anchor where no other is named. @spec css-anchor-position-1 §2.2, html §6.12 */
function invokerOf(popover: ElementNode): ElementNode | null {
  const id = popover.attributes.get('popover') === undefined ? null : popover.id;
  if (!id) return null;
  let root = popover;
  while (root.parent) root = root.parent;
  for (const e of descendants(root))
    if (e.attributes.get('popovertarget') === id || e.attributes.get('commandfor') === id) return e;
  return null;
}
