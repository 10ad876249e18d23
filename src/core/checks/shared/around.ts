import { descendants, type ElementNode } from '../../html/index.js';
import type { Menu } from '../../menus/index.js';

const known = new WeakMap<readonly Menu[], ReadonlyMap<ElementNode, readonly Menu[]>>();

/** Every element that a menu holds, is, or stands in, with the menus it has to do with; the page itself left out. */
export function menusAround(menus: readonly Menu[]): ReadonlyMap<ElementNode, readonly Menu[]> {
  let around = known.get(menus);
  if (!around) known.set(menus, (around = found(menus)));
  return around;
}

function found(menus: readonly Menu[]): ReadonlyMap<ElementNode, readonly Menu[]> {
  const out = new Map<ElementNode, Menu[]>();
  const add = (element: ElementNode, menu: Menu) => {
    const list = out.get(element);
    if (!list) out.set(element, [menu]);
    else if (!list.includes(menu)) list.push(menu);
  };
  for (const menu of menus) {
    const own = [
      menu.root,
      ...descendants(menu.root),
      ...[...menu.items, ...menu.toggles].map(({ element }) => element),
    ];
    for (const element of own)
      for (let e: ElementNode | null = element; e && e.tag !== 'body' && e.tag !== 'html'; e = e.parent) add(e, menu);
  }
  return out;
}
