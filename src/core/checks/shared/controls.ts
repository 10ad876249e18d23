import type { ElementNode } from '../../html/index.js';
import type { Menu, MenuItem } from '../../menus/index.js';
import type { Scene } from '../../scene/index.js';

export interface Control {
  readonly element: ElementNode;
  readonly menu: Menu;
  /** Null for toggles. */
  readonly item: MenuItem | null;
}

/** Items and toggles of all menus, each element once. */
export function controlsOf(menus: readonly Menu[]): readonly Control[] {
  const seen = new Set<ElementNode>();
  const out: Control[] = [];
  for (const menu of menus) {
    const all: Control[] = [
      ...menu.toggles.map((t) => ({ element: t.element, menu, item: null })),
      ...menu.items.map((item) => ({ element: item.element, menu, item })),
    ];
    for (const control of all) {
      if (seen.has(control.element)) continue;
      seen.add(control.element);
      out.push(control);
    }
  }
  return out;
}

export const seenControls = (menus: readonly Menu[], scene: Scene): readonly Control[] =>
  controlsOf(menus).filter((c) => scene.seen(c.element) !== null);

/** Whether a control is switched off: its colours need not pass. */
export const isDisabled = (e: ElementNode): boolean =>
  e.attributes.has('disabled') || e.attributes.get('aria-disabled') === 'true';
