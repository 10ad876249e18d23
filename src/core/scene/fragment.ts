import type { Rect } from '../base/index.js';
import { resolveLength } from '../css/index.js';
import { indicated, type ElementNode } from '../html/index.js';
import type { Page } from './page.js';
import type { Scene } from './scene.js';
import type { Setting } from './setting.js';

/** Where a page stands once a link to a part of it was followed. */
export interface Destination {
  /** The part meant; null where the page has none of that name, and for its top. */
  readonly target: ElementNode | null;
  readonly found: boolean;
  /** The page as it stands then: scrolled, with `:target` matching. */
  readonly setting: Setting;
  /** Border box of the target in the coordinates of the viewport, px; null without one. */
  readonly rect: Rect | null;
}

const isTop = (fragment: string): boolean => fragment === '' || fragment.toLowerCase() === 'top';

/** Whether a fragment, with or without its #, leads anywhere on a page. */
export function leadsSomewhere({ document }: Page, fragment: string): boolean {
  const name = fragment.replace(/^#/, '');
  return isTop(name) || indicated(document, name) !== null;
}

/**
 * Follows a link to a part of the same page: smooth scrolling ends where sudden scrolling does.
 * @param fragment with or without its #
 * @spec html §7.4.6.4, css-scroll-snap-1 §4.2, §5.1 (scroll-padding, scroll-margin), cssom-view-1 §6.1
 */
export function destinationOf(page: Page, s: Setting, fragment: string): Destination {
  const name = fragment.replace(/^#/, '');
  const target = name === '' ? null : indicated(page.document, name);
  const top: Setting = { ...s, scroll: { x: 0, y: 0 } };
  if (!target) {
    const found = isTop(name);
    return { target, found, setting: found ? top : s, rect: null };
  }
  const pose = { ...s.pose, target };
  const before = page.scene({ ...s, pose, scroll: { x: 0, y: 0 } });
  const rect = before.rect(target);
  if (!rect || before.nodes(target).every((node) => node.fixed))
    return { target, found: true, setting: { ...s, pose }, rect: rect && shown(page.scene({ ...s, pose }), target) };
  const setting: Setting = { ...s, pose, scroll: landingOf(before, target, rect) };
  return { target, found: true, setting, rect: shown(page.scene(setting), target) };
}

function shown(scene: Scene, target: ElementNode): Rect | null {
  const rect = scene.rect(target);
  const { x, y } = scene.setting.scroll;
  return rect && { ...rect, x: rect.x - x, y: rect.y - y };
}

/** How far a page is scrolled to show a target: its upper edge goes to the start of the screen; sideways the page moves only as far as it has to. */
export function landingOf(scene: Scene, target: ElementNode, rect: Rect): { x: number; y: number } {
  const { width, height } = scene.medium;
  const { scroll } = scene.setting;
  const root = scene.style(scene.document.root);
  const style = scene.style(target);
  const padding = (value: typeof root.scrollPaddingTop, basis: number) =>
    value === 'auto' ? 0 : resolveLength(value, basis);
  const size = scene.scrollSize;
  const clamp = (value: number, most: number) => Math.max(0, Math.min(value, Math.max(0, most)));
  const y = rect.y - style.scrollMarginTop.px - padding(root.scrollPaddingTop, height);
  const left = rect.x - style.scrollMarginLeft.px - padding(root.scrollPaddingLeft, width);
  const right = rect.x + rect.width + style.scrollMarginRight.px + padding(root.scrollPaddingRight, width);
  const x = left < scroll.x ? left : right > scroll.x + width ? Math.min(left, right - width) : scroll.x;
  return { x: clamp(x, size.width - width), y: clamp(y, size.height - height) };
}
