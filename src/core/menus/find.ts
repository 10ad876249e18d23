import { closest, collapseSpace, textContent, type ElementNode, type HtmlDocument } from '../html/index.js';
import type { Page } from '../scene/index.js';
import { rootsByOpening } from './by-opening.js';
import { rootsByPlace } from './by-place.js';
import { declaredOn, declaredToggles, kindDeclared, withDeclared } from './declared.js';
import { controlsIn, itemsOf, PRESSED } from './items.js';
import { KIND_LABELS, inHeader, kindOf } from './kinds.js';
import { panelsOpened } from './opened-panels.js';
import { Places } from './place.js';
import { isLandmark, menuRoots } from './roots.js';
import { togglesOf, type ToggleOf } from './toggles.js';
import type { Menu, MenuKind } from './types.js';

const known = new WeakMap<Page, readonly Menu[]>();

/** The menus of a page, from its markup and from where they stand in a wide window. */
export function findMenus(page: Page): readonly Menu[] {
  let menus = known.get(page);
  if (!menus) known.set(page, (menus = search(page)));
  return menus;
}

function search(page: Page): readonly Menu[] {
  const { document, glance } = page;
  const declared = declaredOn(page);
  const places = new Places(page);
  const marked = menuRoots(document);
  const placed = [...marked, ...rootsByPlace(page, marked, places)];
  const all = [...placed, ...rootsByOpening(page, placed)].sort((a, b) => a.index - b.index);
  const roots = withDeclared(all, declared);
  if (roots.length === 0) return [];
  const drafts = roots.map((root) => {
    const name = declared.menus.get(root)?.label ?? nameOf(root, document);
    const place = places.of(root, controlsIn(root));
    return { root, name, place, kind: kindOf(root, name, place, document) };
  });
  const kinds = settled(drafts).map((kind, i) => kindDeclared(declared.menus.get(roots[i]!)) ?? kind);
  const toggles = togglesOf(new Map(roots.map((root, i) => [root, kinds[i]!])), page);
  const said = new Map([...declared.menus].map(([root, menu]) => [root, declaredToggles(root, menu, page)]));
  const sure = new Set([...said.values()].flatMap((list) => list.map(({ element }) => element)));
  const isHeard = (e: ElementNode) => page.hearing.on(e, PRESSED);
  return drafts.map(({ root, name }, i): Menu => {
    const own = toggles.filter((t) => t.root === root && !sure.has(t.toggle.element));
    const kind = kinds[i]!;
    const opening = new Set([...sure, ...toggles.map((t) => t.toggle.element)]);
    return {
      id: `menu-${i + 1}`,
      kind,
      root,
      label: name || KIND_LABELS[kind],
      landmark: closest(root, isLandmark) !== null,
      items: itemsOf(root, opening, glance, roots, isHeard, panelsOpened(root, opening, page)),
      toggles: [...(said.get(root) ?? []), ...own.map(({ toggle }: ToggleOf) => toggle)],
    };
  });
}

/** Of several menus in the bar at the top the one with most items is the main one. */
function settled(
  drafts: readonly { readonly root: ElementNode; readonly kind: MenuKind; readonly name: string }[],
): readonly MenuKind[] {
  const tops = drafts.filter(({ kind, name }) => kind === 'main' && name === '');
  const largest = Math.max(0, ...tops.map(({ root }) => controlsIn(root).length));
  return drafts.map(({ kind, root, name }) =>
    kind === 'main' && name === '' && inHeader(root) && controlsIn(root).length < largest / 2 ? 'utility' : kind,
  );
}

/** The landmark's own name; empty without one. */
function nameOf(root: ElementNode, document: HtmlDocument): string {
  const landmark = closest(root, isLandmark) ?? root;
  const label = landmark.attributes.get('aria-label')?.trim();
  if (label) return label;
  const ids = (landmark.attributes.get('aria-labelledby') ?? '').split(/\s+/).filter(Boolean);
  return ids
    .map((id) => document.byId(id))
    .filter((e) => e !== null)
    .map((e) => collapseSpace(textContent(e)))
    .join(' ');
}
