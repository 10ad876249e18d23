import { poseAfter } from './moves.js';
import type { Page } from './page.js';
import type { Scene } from './scene.js';
import type { Setting } from './setting.js';

/**
 * A page scrolled down, as its scripts and scroll-driven animations leave it then.
 * @param y how far, px; beyond the end it stops there
 */
export function scrolledScene(page: Page, s: Setting, y: number): Scene {
  const top = page.scene({ ...s, scroll: { x: 0, y: 0 } });
  const to = Math.max(0, Math.min(y, scrollEnd(top)));
  if (to === 0) return top;
  const at: Setting = { ...s, scroll: { x: 0, y: to } };
  if (!page.heedsScroll(s)) return page.scene(at);
  return page.scene({ ...at, pose: poseAfter(page, [{ by: 'scroll', element: page.document.root }], at) });
}

/** How far a page can be scrolled down, px. */
export const scrollEnd = ({ scrollSize, medium }: Scene): number => Math.max(0, scrollSize.height - medium.height);
