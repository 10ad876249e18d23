import { bottom, centre, contains } from '../../base/index.js';
import { figure } from '../../findings/index.js';
import { decoded, isAncestorOrSelf, selectorOf, type ElementNode } from '../../html/index.js';
import { elementOf, type PaintItem } from '../../paint/index.js';
import { destinationOf, landingOf, scrolledScene, scrollEnd, type Scene } from '../../scene/index.js';
import { discloses } from '../../menus/index.js';
import { defineCheck, onElement, type Observation } from '../define.js';
import { menusAround } from '../shared/around.js';
import { causeOf } from '../shared/causes.js';
import { mayStick, partAround, stuckAt, type StuckPart } from '../shared/stuck.js';
import type { Subject } from '../subject.js';
import { placeOfItem } from '../shared/items.js';

/** In-page targets that end up beneath a stuck bar. @spec WCAG 2.2 SC 2.4.11 */
export const anchorCovered = defineCheck(
  {
    id: 'anchor-covered',
    title: 'In-page links end where their target can be seen',
    weight: 'hinders',
    scope: 'page',
    asks: { visitors: ['mouse', 'short-screen'], poses: 'rest', widths: 'ends' },
    explains: {
      means:
        'Who follows a link within the page lands on text that begins under the bar, and believes it is the wrong place.',
      rule: [
        'Following each link to a part of the same page, with the scrolling browsers do then (scroll-padding and scroll-margin counted), the first line of that part is not under a fixed or sticky part; also on a screen 375 px high.',
        'Padding of the target that lies under the bar is no fault. A bar that is gone by then covers nothing.',
      ],
      faulty: '.bar { position: sticky; top: 0; height: 84px }',
      mended: 'html { scroll-padding-top: 84px }',
    },
    worse: 'higher',
    messages: {
      covered: {
        says: 'The link to #{id} ends with the first line of {target} under {bar}: {px} px of it and what stands above are hidden.',
        mends: 'Keep room for the bar: scroll-padding-top: {room}px on html, or scroll-margin-top on the target.',
        criteria: [{ number: '2.4.11', level: 'AA' }],
      },
    },
  },
  inspect,
);

/** Targets looked at before it is taken that no bar is over them. */
const MOST = 6;

function inspect(subject: Subject): readonly Observation[] {
  const { scene, page, setting, menus } = subject;
  if (!scene.document.elements.some((e) => ['fixed', 'sticky'].includes(scene.style(e).position))) return [];
  const around = menusAround(menus);
  const middle = scrolledScene(page, setting, scrollEnd(scene) / 2);
  const parts = stuckAt(middle, scene);
  if (parts.length === 0) return [];
  /** Bars that are really there once the page is scrolled to a target: seen once, that holds for all that end up under them. */
  const there = new Set<StuckPart>();
  let looks = MOST;
  return [...targetsOf(subject)].flatMap(([id, target]): Observation[] => {
    const rect = scene.rect(target)!;
    const line = partAround(target, parts) ? null : firstLine(target, scene);
    const { y } = landingOf(scene, target, rect);
    const bar = line && y > 0 ? barOver(line, y, parts, middle) : null;
    if (!line || !bar || isAncestorOrSelf(bar.element, target)) return [];
    if (!there.has(bar) && looks-- > 0 && isCovered(id, target, bar, subject)) there.add(bar);
    return there.has(bar) ? [observation(id, target, line, y, bar, around.get(bar.element) ?? [], middle)] : [];
  });
}

function observation(
  id: string,
  target: ElementNode,
  line: PaintItem,
  scroll: number,
  bar: StuckPart,
  menus: Observation['menus'],
  scene: Scene,
): Observation {
  const edge = bottom(bar.rect);
  const hidden = Math.round(edge - (placeOfItem(line).y - scroll));
  return {
    at: onElement(target),
    menus,
    state: 'normal',
    message: 'covered',
    data: { id, target: selectorOf(target), bar: selectorOf(bar.element), px: hidden, room: Math.ceil(edge) },
    measured: figure(hidden, 'px'),
    needed: figure(0, 'px'),
    cause: causeOf(scene.style(bar.element), 'position'),
    common: `under ${bar.element.path}`,
  };
}

/** The part that lies over the middle of a line once the page is scrolled that far, by where they stand. */
function barOver(line: PaintItem, scroll: number, parts: readonly StuckPart[], scene: Scene): StuckPart | null {
  const { x, y } = centre(placeOfItem(line));
  return parts.find(({ rect, element }) => contains(rect, x, y - scroll) && scene.isVisible(element)) ?? null;
}

/** The same looked at: the page scrolled there, with what its scripts and `:target` make of it. */
function isCovered(id: string, target: ElementNode, bar: StuckPart, { page, setting, scene }: Subject): boolean {
  const { setting: at } = destinationOf(page, setting, id);
  const landed = scrolledScene(page, { ...at, scroll: { x: 0, y: 0 } }, at.scroll.y);
  const line = firstLine(target, landed);
  if (!line) return false;
  const { x, y } = centre(placeOfItem(line));
  const hit = y >= landed.setting.scroll.y ? landed.hit(x, y) : null;
  return hit !== null && partAround(hit, stuckAt(landed, scene))?.element === bar.element;
}

/** Parts of the page that links which can be followed lead to, by id. */
function targetsOf({ scene }: Subject): ReadonlyMap<string, ElementNode> {
  const out = new Map<string, ElementNode>();
  for (const link of scene.document.elements) {
    const href = link.tag === 'a' ? link.attributes.get('href') : undefined;
    if (!href || !/^#./.test(href) || shows(link)) continue;
    const id = decoded(href.slice(1));
    const target = scene.byId(id);
    if (target && scene.rect(target) && scene.isVisible(target) && !isAncestorOrSelf(target, link)) out.set(id, target);
  }
  return out;
}

/** Whether a link shows a part where it stands, as markup says, instead of leading to it. */
const shows = (link: ElementNode): boolean =>
  ['button', 'tab'].includes(link.attributes.get('role') ?? '') || discloses(link);

/** The first text of a target, or the first one after an empty target. */
function firstLine(target: ElementNode, scene: Scene): PaintItem | null {
  let first: PaintItem | null = null;
  let after: PaintItem | null = null;
  for (const item of scene.items) {
    const { fragment, rect } = item.node;
    const element = elementOf(item);
    if (fragment.kind !== 'text' || fragment.text.trim() === '' || !element || !scene.isVisible(element)) continue;
    // What sticks itself is not what one came for.
    if (mayStick(element, scene) && !mayStick(target, scene)) continue;
    if (rect.width < 2 || rect.height < 2 || scene.seen(element) === null) continue;
    if (isAncestorOrSelf(target, element)) {
      if (!first || rect.y < first.node.rect.y) first = item;
    } else if (element.index > target.index && (!after || element.index < elementOf(after)!.index)) after = item;
  }
  return first ?? (scene.rect(target)!.height < 1 ? after : null);
}
