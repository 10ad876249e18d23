import { centre } from '../../base/index.js';
import { figure } from '../../findings/index.js';
import { isAncestorOrSelf, selectorOf, type ElementNode } from '../../html/index.js';
import { boundsOf, elementOf, type PaintItem } from '../../paint/index.js';
import { destinationOf, scrolledScene, type Scene } from '../../scene/index.js';
import { defineCheck, onElement, type Observation } from '../define.js';
import { menusAround } from '../shared/around.js';
import { causeOf } from '../shared/causes.js';
import { partAround, stuckAt, type StuckPart } from '../shared/stuck.js';
import type { Subject } from '../subject.js';

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

function inspect(subject: Subject): readonly Observation[] {
  const { scene, page, setting, menus } = subject;
  if (!scene.document.elements.some((e) => ['fixed', 'sticky'].includes(scene.style(e).position))) return [];
  const around = menusAround(menus);
  const out: Observation[] = [];
  for (const [id, target] of targetsOf(subject)) {
    if (partAround(target, stuckAt(scene, scene))) continue;
    const { setting: at } = destinationOf(page, setting, id);
    const landed = scrolledScene(page, { ...at, scroll: { x: 0, y: 0 } }, at.scroll.y);
    if (landed.setting.scroll.y === 0) continue;
    const line = firstLine(target, landed);
    const bar = line && barOver(line, target, landed, scene);
    if (!line || !bar) continue;
    const low = bar.rect.y + bar.rect.height;
    const box = boundsOf(line.node.matrix, line.node.rect);
    const hidden = Math.round(low - (box.y - landed.setting.scroll.y));
    out.push({
      at: onElement(target),
      menus: around.get(bar.element) ?? [],
      state: 'normal',
      message: 'covered',
      data: { id, target: selectorOf(target), bar: selectorOf(bar.element), px: hidden, room: Math.ceil(low) },
      measured: figure(hidden, 'px'),
      needed: figure(0, 'px'),
      cause: causeOf(landed.style(bar.element), 'position'),
      common: `under ${bar.element.path}`,
    });
  }
  return out;
}

/** Parts of the page that links which can be followed lead to, by id. */
function targetsOf({ scene }: Subject): ReadonlyMap<string, ElementNode> {
  const out = new Map<string, ElementNode>();
  for (const link of scene.document.elements) {
    const href = link.tag === 'a' ? link.attributes.get('href') : undefined;
    if (!href || !/^#./.test(href) || link.attributes.get('role') === 'button' || link.attributes.has('aria-expanded'))
      continue;
    const id = decode(href.slice(1));
    const target = scene.document.elements.find((e) => e.id === id);
    if (target && scene.rect(target) && scene.isVisible(target) && !isAncestorOrSelf(target, link)) out.set(id, target);
  }
  return out;
}

function decode(text: string): string {
  try {
    return decodeURIComponent(text);
  } catch {
    return text;
  }
}

/** The first text of a target, or the first one after an empty target. */
function firstLine(target: ElementNode, scene: Scene): PaintItem | null {
  let first: PaintItem | null = null;
  let after: PaintItem | null = null;
  for (const item of scene.items) {
    const { fragment, rect } = item.node;
    const element = elementOf(item);
    if (fragment.kind !== 'text' || fragment.text.trim() === '' || !element || !scene.isVisible(element)) continue;
    if (rect.width < 2 || rect.height < 2 || scene.seen(element) === null) continue;
    if (isAncestorOrSelf(target, element)) {
      if (!first || rect.y < first.node.rect.y) first = item;
    } else if (element.index > target.index && (!after || element.index < elementOf(after)!.index)) after = item;
  }
  return first ?? (scene.rect(target)!.height < 1 ? after : null);
}

/** The stuck part that lies over the middle of a line; null where it shows. */
function barOver(line: PaintItem, target: ElementNode, scene: Scene, rest: Scene): StuckPart | null {
  const { x, y } = centre(boundsOf(line.node.matrix, line.node.rect));
  const { scroll } = scene.setting;
  const hit = y >= scroll.y ? scene.hit(x, y) : null;
  const parts = stuckAt(scene, rest).filter(({ element }) => !isAncestorOrSelf(element, target));
  return hit && partAround(hit, parts);
}
