import { compileSelectors, restContext } from '../css/index.js';
import type { ElementNode } from '../html/index.js';
import { labelOf } from '../naming/index.js';
import type { DeclaredMenu, Page } from '../scene/index.js';
import type { MenuKind, Toggle } from './types.js';

/** What the configuration says of the menus of a page. */
export interface Declared {
  /** By the element they stand in. */
  readonly menus: ReadonlyMap<ElementNode, DeclaredMenu>;
  /** Elements that are no menus, whatever they look like. */
  readonly none: ReadonlySet<ElementNode>;
}

const found = (selector: string, { document }: Page): readonly ElementNode[] => {
  const compiled = compileSelectors(selector);
  const context = restContext(document.root, document);
  return document.elements.filter((e) => compiled.some((one) => one.match(e, context) === true));
};

/** Every declared menu that a page has. */
export function declaredOn(page: Page): Declared {
  const menus = new Map<ElementNode, DeclaredMenu>();
  const none = new Set<ElementNode>();
  for (const menu of page.declaredMenus)
    for (const element of found(menu.menu, page))
      if (menu.ignore) none.add(element);
      else menus.set(element, menu);
  return { menus, none };
}

/** Menus as told by the configuration among those recognised, in the order of the page. */
export function withDeclared(roots: readonly ElementNode[], { menus, none }: Declared): readonly ElementNode[] {
  if (menus.size === 0 && none.size === 0) return roots;
  return [...new Set([...roots, ...menus.keys()])].filter((e) => !none.has(e)).sort((a, b) => a.index - b.index);
}

/** Controls that are said to open a menu. */
export const declaredToggles = (root: ElementNode, menu: DeclaredMenu, page: Page): readonly Toggle[] =>
  (menu.toggles ?? [])
    .flatMap((selector) => found(selector, page))
    .map((element): Toggle => ({ element, label: labelOf(element, page.glance), panel: root, by: 'declared' }));

export const kindDeclared = (menu: DeclaredMenu | undefined): MenuKind | null => (menu?.kind as MenuKind) ?? null;
