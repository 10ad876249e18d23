import { bottom, right, type Rect } from '../base/index.js';
import type { Scene } from '../scene/index.js';
import type { Menu, MenuItem } from './types.js';

/** How a menu shows itself in one scene. */
export type MenuForm = 'row' | 'column' | 'toggle' | 'bottom-bar' | 'rail' | 'none';

/** Items of the menu that can be seen, with the part of them that shows. */
export function seenItems(menu: Menu, scene: Scene): readonly { readonly item: MenuItem; readonly rect: Rect }[] {
  return menu.items.flatMap((item) => {
    const rect = scene.seen(item.element);
    return rect ? [{ item, rect }] : [];
  });
}

/** Of so few items one in view is a part of them that counts. */
const FEW = 3;

export function formOf(menu: Menu, scene: Scene): MenuForm {
  const all = seenItems(menu, scene);
  const top = all.filter(({ item }) => item.level === 1);
  // An entry around all others says nothing of how they stand.
  const seen = top.length > 1 ? top : all;
  const shut = menu.toggles.some((toggle) => scene.seen(toggle.element));
  // The way home may stand before the button.
  if (shut && seen.length === 1 && menu.items.length > FEW) return 'toggle';
  if (seen.length === 0) return shut ? 'toggle' : 'none';
  const rects = seen.map((s) => s.rect);
  const place = stuckTo(menu, scene, rects);
  if (place) return place;
  return isRow(rects) ? 'row' : 'column';
}

function isRow(rects: readonly Rect[]): boolean {
  if (rects.length === 1) return true;
  const beside = rects.slice(1).filter((rect, i) => {
    const before = rects[i]!;
    const shared = Math.min(bottom(rect), bottom(before)) - Math.max(rect.y, before.y);
    return shared > Math.min(rect.height, before.height) / 2;
  });
  return beside.length * 2 >= rects.length - 1;
}

/** Wider than this, px, a column along a side has room for words. */
const RAIL = 100;

/** A bar along the lower edge or a narrow column along a side, held in place while the page scrolls. */
function stuckTo(menu: Menu, scene: Scene, rects: readonly Rect[]): 'bottom-bar' | 'rail' | null {
  const node = scene.nodes(menu.items.find((item) => scene.seen(item.element))?.element ?? menu.root)[0];
  const stuck = node?.fixed ?? false;
  if (!stuck) return null;
  const top = Math.min(...rects.map((r) => r.y)) - scene.setting.scroll.y;
  const low = Math.max(...rects.map(bottom)) - scene.setting.scroll.y;
  const left = Math.min(...rects.map((r) => r.x));
  const far = Math.max(...rects.map(right));
  const { width, height } = scene.medium;
  if (isRow(rects) && top > height / 2 && low <= height + 1) return 'bottom-bar';
  return !isRow(rects) && far - left <= RAIL && (left < 40 || far > width - 40) ? 'rail' : null;
}
