import type { Rect } from '../../base/index.js';
import type { ElementNode } from '../../html/index.js';
import type { Menu, MenuItem } from '../../menus/index.js';
import { isDisabled, labelOf, roleOf, subjectOf } from '../../naming/index.js';
import type { Scene } from '../../scene/index.js';

/** An item or toggle of menus in one scene. What is not asked for is not worked out. */
export class Control {
  #label: string | null = null;

  constructor(
    readonly element: ElementNode,
    /** Every menu it belongs to. */
    readonly menus: readonly Menu[],
    /** Null for toggles. */
    readonly item: MenuItem | null,
    readonly scene: Scene,
  ) {}

  /** Accessible name without icon words; empty if it has none. */
  get label(): string {
    return (this.#label ??= labelOf(this.element, this.scene));
  }

  /** How a sentence speaks of it. */
  get subject(): string {
    return subjectOf(this.element, this.scene);
  }

  get role(): string {
    return roleOf(this.element, this.scene);
  }

  /** Switched off, itself or with its fieldset: its looks need not pass. */
  get disabled(): boolean {
    return isDisabled(this.element, this.scene) || this.scene.attribute(this.element, 'aria-disabled') === 'true';
  }

  /** The part that shows just now, document px. */
  get seen(): Rect | null {
    return this.scene.seen(this.element);
  }

  /** The part a visitor can bring into view by scrolling what holds it. */
  get reach(): Rect | null {
    return this.scene.reach(this.element);
  }
}

/** Items and toggles of all menus, each element once. */
export function controlsOf(menus: readonly Menu[], scene: Scene): readonly Control[] {
  const found = new Map<ElementNode, { readonly menus: Menu[]; readonly item: MenuItem | null }>();
  const add = (element: ElementNode, menu: Menu, item: MenuItem | null) => {
    const known = found.get(element);
    if (!known) found.set(element, { menus: [menu], item });
    else if (!known.menus.includes(menu)) known.menus.push(menu);
  };
  for (const menu of menus) {
    for (const toggle of menu.toggles) add(toggle.element, menu, null);
    for (const item of menu.items) add(item.element, menu, item);
  }
  return [...found].map(([element, own]) => new Control(element, own.menus, own.item, scene));
}
