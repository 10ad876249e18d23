import { bottom, intersect, right } from '../../base/index.js';
import { figure } from '../../findings/index.js';
import { descendants, selectorOf, type ElementNode } from '../../html/index.js';
import { scrollEnd, scrolledScene, type Scene } from '../../scene/index.js';
import { defineCheck, onElement, type Observation } from '../define.js';
import { menusAround } from '../shared/around.js';
import { causeOf } from '../shared/causes.js';
import { stuckAt, type StuckPart } from '../shared/stuck.js';
import type { Subject } from '../subject.js';
import { round } from '../shared/wording.js';

/** Smaller overlaps and gaps are rounding, px. */
const LEAST = 1.5;
/** A wider gap is meant to be one, px. */
const WIDEST_GAP = 48;
/** Scroll positions looked at, as shares of the way to the end. */
const LOOKS = [0.25, 0.5, 0.75, 1];

/** Stuck parts that overlap, or between which content shows. */
export const stickyStack = defineCheck(
  {
    id: 'sticky-stack',
    title: 'Stuck bars stand one below the other without overlap or gap',
    weight: 'hinders',
    scope: 'page',
    asks: { visitors: ['mouse'], poses: 'rest', widths: 'ends' },
    explains: {
      means:
        'A second bar with an offset that does not fit the first one hides under it, or leaves a slit through which the content runs.',
      rule: [
        'While the page scrolls, two bars stuck to the same edge neither overlap nor leave a gap of up to 48 px between them.',
        'A rail at the side may stand lower than the bar; its text must not lie under it. What the end of its section takes along passes beneath the bar as the section does.',
      ],
      faulty: '.header { position: sticky; top: 0; height: 84px } .tabs { position: sticky; top: 60px }',
      mended: '.tabs { top: 84px }',
    },
    worse: 'higher',
    messages: {
      overlap: {
        says: 'Scrolled {scroll} px, {upper} lies over {lower} by {px} px: the offset of the one ({offset}) does not fit the height of the other ({height} px).',
        mends: 'Make the offset {needed}px, or share the height in a custom property.',
        criteria: [],
      },
      gap: {
        says: 'Scrolled {scroll} px, a slit of {px} px is left between {upper} and {lower}, and the content runs through it: the offset of the one ({offset}) does not fit the height of the other ({height} px).',
        mends: 'Make the offset {needed}px, or share the height in a custom property.',
        criteria: [],
      },
    },
  },
  inspect,
);

function inspect(subject: Subject): readonly Observation[] {
  const { scene, page, setting } = subject;
  const end = scrollEnd(scene);
  const offset = (e: ElementNode) => ['fixed', 'sticky'].includes(scene.style(e).position);
  if (end < 1 || scene.document.elements.filter(offset).length < 2) return [];
  const out = new Map<string, Observation>();
  for (const share of LOOKS) {
    const at = scrolledScene(page, setting, Math.round(end * share));
    const parts = stuckAt(at, scene);
    for (const lower of parts)
      for (const upper of parts) {
        if (upper === lower || upper.kind !== 'top' || lower.kind === 'foot') continue;
        const seen = meet(upper, lower, at, subject);
        if (seen && !out.has(`${upper.element.index} ${lower.element.index}`))
          out.set(`${upper.element.index} ${lower.element.index}`, seen);
      }
  }
  return [...out.values()];
}

/** How two parts stuck to the upper edge meet. */
function meet(upper: StuckPart, lower: StuckPart, at: Scene, subject: Subject): Observation | null {
  const across = Math.min(right(upper.rect), right(lower.rect)) - Math.max(upper.rect.x, lower.rect.x);
  if (across < Math.min(upper.rect.width, lower.rect.width) / 2) return null;
  const tell = (message: 'overlap' | 'gap', px: number) => observation(message, px, upper, lower, at, subject);
  const shared = intersect(upper.rect, lower.rect);
  if (shared && shared.height >= LEAST) {
    if (isPushed(lower, at)) return null;
    const hidden = hiddenBy(lower.element, upper.element, at);
    return hidden && topOf(lower, at) !== null && upper.rect.y <= lower.rect.y ? tell('overlap', shared.height) : null;
  }
  const gap = lower.rect.y - bottom(upper.rect);
  const isBar = lower.kind === 'top' && lower.rect.width >= upper.rect.width * 0.8 && hasGround(lower.element, at);
  return isBar && gap >= LEAST && gap <= WIDEST_GAP && hasGround(upper.element, at) ? tell('gap', gap) : null;
}

/** The offset of a part from the upper edge, px; null where it has none. */
function topOf({ element }: StuckPart, scene: Scene): number | null {
  const { top } = scene.style(element);
  return top === 'auto' ? null : 'px' in top ? top.px : null;
}

/** Whether the end of what a sticky part stands in takes it along, past its offset. */
function isPushed(part: StuckPart, scene: Scene): boolean {
  const top = topOf(part, scene);
  const rect = scene.rect(part.element);
  const sticky = scene.style(part.element).position === 'sticky';
  return sticky && top !== null && rect !== null && rect.y - scene.setting.scroll.y < top - LEAST;
}

const hasGround = (element: ElementNode, scene: Scene): boolean =>
  [element, ...element.elements].some((e) => {
    const { backgroundColor, backgroundImage } = scene.style(e);
    return backgroundColor.a > 0.5 || backgroundImage.length > 0;
  });

/** Whether text or controls of one part lie under another. */
function hiddenBy(lower: ElementNode, upper: ElementNode, scene: Scene): boolean {
  const inside = new Set([upper, ...descendants(upper)]);
  return [lower, ...descendants(lower)].some((e) => {
    if (!e.children.some((child) => child.kind === 'text' && child.data.trim() !== '')) return false;
    const rect = scene.seen(e);
    if (!rect || rect.height < 2) return false;
    const hit = scene.hit(rect.x + rect.width / 2, rect.y + Math.min(rect.height / 2, 4));
    return hit !== null && inside.has(hit);
  });
}

function observation(
  message: 'overlap' | 'gap',
  px: number,
  upper: StuckPart,
  lower: StuckPart,
  at: Scene,
  { menus }: Subject,
): Observation {
  const around = menusAround(menus);
  const offset = topOf(lower, at);
  return {
    at: onElement(lower.element),
    menus: [...new Set([...(around.get(lower.element) ?? []), ...(around.get(upper.element) ?? [])])],
    state: 'normal',
    message,
    data: {
      scroll: Math.round(at.setting.scroll.y),
      upper: selectorOf(upper.element),
      lower: selectorOf(lower.element),
      px: round(px),
      offset: offset === null ? 'none' : `top: ${round(offset)}px`,
      height: round(upper.rect.height),
      needed: round(bottom(upper.rect)),
    },
    measured: figure(round(px), 'px'),
    needed: figure(0, 'px'),
    cause: causeOf(at.style(lower.element), 'top') ?? causeOf(at.style(upper.element), 'height'),
  };
}
