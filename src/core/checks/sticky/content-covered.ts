import { bottom, centre, type Rect } from '../../base/index.js';
import { figure } from '../../findings/index.js';
import { selectorOf, type ElementNode } from '../../html/index.js';
import { boundsOf, elementOf, type PaintItem } from '../../paint/index.js';
import { scrollEnd, scrolledScene, type Scene } from '../../scene/index.js';
import { defineCheck, onElement, type Observation } from '../define.js';
import { menusAround } from '../shared/around.js';
import { causeOf } from '../shared/causes.js';
import { partAround, stuckAt, type StuckPart } from '../shared/stuck.js';
import type { Subject } from '../subject.js';

/** Fixed parts that lie over content no scrolling brings out. */
export const contentCovered = defineCheck(
  {
    id: 'content-covered',
    title: 'Fixed parts leave room for the content',
    weight: 'hinders',
    scope: 'page',
    asks: { visitors: ['mouse'], poses: 'rest', widths: 'ends' },
    explains: {
      means:
        'What lies under a fixed bar at the very top or the very end of the page cannot be scrolled out from under it.',
      rule: [
        'No text of the page lies under a fixed part along the top when the page is at its top, under one along the foot when it is at its end, or under a rail at the side.',
        'Pictures and grounds may run under a bar; text that the page’s padding keeps clear is no fault.',
      ],
      faulty: '.bar { position: fixed; top: 0; height: 100px } body { padding-top: 56px }',
      mended: 'body { padding-top: 100px }',
    },
    worse: 'higher',
    messages: {
      first: {
        says: '{bar} lies over the first content of the page, {what}: {px} px of it cannot be brought out from under it.',
        mends: 'Keep as much room at the top of the page as the bar is high: padding-top: {room}px on body.',
        criteria: [],
      },
      last: {
        says: '{bar} lies over the last content of the page, {what}, even when it is scrolled to its end.',
        mends: 'Keep as much room at the end of the page as the bar is high: padding-bottom: {room}px on body.',
        criteria: [],
      },
      side: {
        says: '{bar} lies over the side of the content, {what}: it cannot be brought out from under it.',
        mends: 'Keep as much room at that side as the rail is wide: {room}px.',
        criteria: [],
      },
    },
  },
  inspect,
);

function inspect(subject: Subject): readonly Observation[] {
  const { scene, page, setting, menus } = subject;
  const around = menusAround(menus);
  const end = scrolledScene(page, setting, scrollEnd(scene));
  const judge = (part: StuckPart, at: Scene, message: 'first' | 'last' | 'side'): Observation[] => {
    const line = lineUnder(part, at, scene);
    return line ? [observation(part, line, at, message, around.get(part.element) ?? [])] : [];
  };
  const fixed = (at: Scene, kind: StuckPart['kind']) =>
    stuckAt(at, scene).filter((part) => part.kind === kind && at.style(part.element).position === 'fixed');
  return [
    ...fixed(scene, 'top').flatMap((part) => judge(part, scene, 'first')),
    ...fixed(end, 'foot').flatMap((part) => judge(part, end, 'last')),
    ...fixed(scene, 'rail').flatMap((part) => judge(part, scene, 'side')),
  ];
}

/** How far down in a line something has to lie over it: what takes a third of its letters makes it unreadable. */
const DEPTHS: Readonly<Record<StuckPart['kind'], number>> = { top: 1 / 3, foot: 2 / 3, rail: 1 / 2, patch: 1 / 2 };

/** The text that lies under a part: the first one under a bar at the top or side, the last one under one at the foot. */
function lineUnder(part: StuckPart, at: Scene, rest: Scene): PaintItem | null {
  const { scroll } = at.setting;
  const parts = stuckAt(at, rest);
  const area: Rect = { ...part.rect, x: part.rect.x + scroll.x, y: part.rect.y + scroll.y };
  let found: PaintItem | null = null;
  for (const item of at.items) {
    const { fragment, node } = { fragment: item.node.fragment, node: item.node };
    if (fragment.kind !== 'text' || fragment.text.trim() === '' || node.fixed) continue;
    const element = elementOf(item);
    if (!element || !at.isVisible(element) || partAround(element, parts)) continue;
    const box = boundsOf(node.matrix, node.rect);
    const { x } = centre(box);
    const y = box.y + box.height * DEPTHS[part.kind];
    if (x < area.x || x > area.x + area.width || y < area.y || y > bottom(area) || at.inkPoints(item).length === 0)
      continue;
    if (!liesOver(part.element, x, y, at)) continue;
    const later = found !== null && node.rect.y > found.node.rect.y;
    if (!found || later === (part.kind === 'foot')) found = item;
  }
  return found;
}

function liesOver(part: ElementNode, x: number, y: number, scene: Scene): boolean {
  const hit = scene.hit(x, y);
  return (
    hit !== null && partAround(hit, [{ element: part, rect: { x, y, width: 0, height: 0 }, kind: 'top' }]) !== null
  );
}

function observation(
  part: StuckPart,
  line: PaintItem,
  at: Scene,
  message: 'first' | 'last' | 'side',
  menus: Observation['menus'],
): Observation {
  const box = boundsOf(line.node.matrix, line.node.rect);
  const { y } = at.setting.scroll;
  const hidden = message === 'first' ? bottom(part.rect) - (box.y - y) : bottom(box) - y - part.rect.y;
  const element = elementOf(line)!;
  return {
    at: onElement(part.element),
    menus,
    state: 'normal',
    message,
    data: {
      bar: selectorOf(part.element),
      what: selectorOf(element),
      px: Math.round(hidden),
      room: Math.ceil(message === 'side' ? part.rect.width : part.rect.height),
    },
    measured: figure(Math.round(message === 'side' ? part.rect.width : hidden), 'px'),
    needed: figure(0, 'px'),
    cause: causeOf(at.style(part.element), 'position'),
  };
}
