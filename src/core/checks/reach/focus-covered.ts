import type { Rect } from '../../base/index.js';
import { resolveLength } from '../../css/index.js';
import { isAncestorOrSelf, selectorOf, type ElementNode } from '../../html/index.js';
import { subjectOf, tabOrder } from '../../naming/index.js';
import { scrollEnd, type Scene } from '../../scene/index.js';
import { defineCheck, onElement, type Observation } from '../define.js';
import type { Subject } from '../subject.js';

/** How far from its edge a stuck part may stand, px. */
const EDGE = 120;

/** Focused items beneath stuck parts. @spec WCAG 2.2 SC 2.4.11 */
export const focusCovered = defineCheck(
  {
    id: 'focus-covered',
    title: 'Focused items are not hidden beneath stuck parts',
    weight: 'hinders',
    scope: 'menu',
    asks: { visitors: ['keyboard'], poses: 'rest', widths: 'ends' },
    explains: {
      means:
        'A bar that stays at the edge of the screen covers what scrolls beneath it. Going through the page by Tab, the focused link can lie wholly under it.',
      rule: [
        'Going through the page by Tab, with the scrolling browsers do then, no item of a menu lies wholly beneath a fixed or sticky part.',
        'What shows at least in part is no fault; scroll-padding keeps items clear of the bar.',
      ],
      faulty: '.bar { position: fixed; bottom: 0; height: 84px }',
      mended: 'html { scroll-padding-bottom: 84px }',
    },
    worse: null,
    messages: {
      covered: {
        says: 'Going through the page by Tab, {subject} has focus and lies wholly beneath {cover}. It cannot be seen where one is.',
        mends: 'Keep room for the bar: scroll-padding as high as it is on html.',
        criteria: [{ number: '2.4.11', level: 'AA' }],
      },
    },
  },
  inspect,
);

function inspect(subject: Subject): readonly Observation[] {
  const { scene, menus, page } = subject;
  const stuck = scene.document.elements.filter(
    (e) => ['fixed', 'sticky'].includes(scene.style(e).position) && scene.seen(e) !== null,
  );
  if (stuck.length === 0) return [];
  const own = new Map(
    menus.flatMap((menu) => [...menu.items, ...menu.toggles].map(({ element }) => [element, menu] as const)),
  );
  const bands = stuck.flatMap((e) => scene.seen(e)?.height ?? []);
  const most = scrollEnd(scene);
  const out: Observation[] = [];
  let y = 0;
  for (const element of tabOrder(scene)) {
    const rect = scene.rect(element);
    if (!rect || stuck.some((e) => isAncestorOrSelf(e, element))) continue;
    y = scrolledFor(rect, y, most, scene);
    const menu = own.get(element);
    if (!menu || !nearEdge(rect, y, bands, scene)) continue;
    const at = y === 0 ? scene : page.scene({ ...subject.setting, scroll: { x: 0, y } });
    const cover = coverOf(element, at, stuck);
    if (!cover) continue;
    out.push({
      at: onElement(element),
      menus: [menu],
      state: 'focus',
      message: 'covered',
      data: { subject: subjectOf(element, scene), cover: selectorOf(cover) },
      common: `beneath ${cover.path}`,
    });
  }
  return out;
}

/** Whether a box lies so near an edge of the screen that a part stuck there may cover it. */
function nearEdge(rect: Rect, y: number, bands: readonly number[], scene: Scene): boolean {
  const { height } = scene.medium;
  const [top, low] = [rect.y - y, rect.y + rect.height - y];
  return bands.some((band) => low <= band + EDGE || top >= height - band - EDGE);
}

/** How far browsers scroll for a focused box: not at all where it shows, to its edge where it shows in part, to the middle else. */
function scrolledFor(rect: Rect, y: number, most: number, scene: Scene): number {
  const { height } = scene.medium;
  const root = scene.style(scene.document.root);
  const pad = (side: 'Top' | 'Bottom'): number => {
    const value = root[`scrollPadding${side}`];
    return value === 'auto' ? 0 : resolveLength(value, height);
  };
  const [top, low] = [y + pad('Top'), y + height - pad('Bottom')];
  if (rect.y >= top && rect.y + rect.height <= low) return y;
  const hidden = rect.y + rect.height <= top || rect.y >= low;
  const to = hidden
    ? rect.y + rect.height / 2 - (pad('Top') + (height - pad('Top') - pad('Bottom')) / 2)
    : rect.y < top
      ? rect.y - pad('Top')
      : rect.y + rect.height - height + pad('Bottom');
  return Math.min(most, Math.max(0, Math.round(to)));
}

/** The stuck part an element lies wholly beneath; null where anything of it shows. */
function coverOf(element: ElementNode, scene: Scene, stuck: readonly ElementNode[]): ElementNode | null {
  const rect = scene.seen(element);
  if (!rect) return null;
  const inset = (part: number, size: number) => (size < 4 ? size / 2 : part * (size - 2) + 1);
  let cover: ElementNode | null = null;
  for (const tx of [0, 0.5, 1])
    for (const ty of [0, 0.5, 1]) {
      const y = rect.y + inset(ty, rect.height);
      const x = rect.x + inset(tx, rect.width);
      if (y < scene.setting.scroll.y || y > scene.setting.scroll.y + scene.medium.height) continue;
      const hit = scene.hit(x, y);
      if (!hit || isAncestorOrSelf(element, hit) || isAncestorOrSelf(hit, element)) return null;
      const over = stuck.find((e) => isAncestorOrSelf(e, hit));
      if (!over) return null;
      cover = over;
    }
  return cover;
}
