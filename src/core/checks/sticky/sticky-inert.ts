import { bottom } from '../../base/index.js';
import { resolveLength } from '../../css/index.js';
import { selectorOf, type ElementNode } from '../../html/index.js';
import { scrollEnd, scrolledScene, type Scene } from '../../scene/index.js';
import { defineCheck, onElement, type Observation } from '../define.js';
import { menusAround } from '../shared/around.js';
import { causeOf } from '../shared/causes.js';
import type { Subject } from '../subject.js';

/** Sticky parts that never stick. @spec css-position-3 §3.4 */
export const stickyInert = defineCheck(
  {
    id: 'sticky-inert',
    title: 'What is meant to stick does',
    weight: 'polish',
    scope: 'menu',
    asks: { visitors: ['mouse'], poses: 'rest', widths: 'ends' },
    explains: {
      means: 'The menu was meant to stay in view and scrolls away: nobody finds it again on a long page.',
      rule: [
        'A sticky menu, or a sticky part it stands in, keeps its place at some scroll position. The finding names what hinders it: no inset, an ancestor that is a scroll container of its own, or a parent that is no taller.',
        'On pages that do not scroll, and inside parts that scroll by themselves, nothing can be said.',
      ],
      faulty: '.page { overflow-x: hidden } .bar { position: sticky; top: 0 }',
      mended: '.page { overflow-x: clip } .bar { position: sticky; top: 0 }',
    },
    worse: null,
    messages: {
      inset: {
        says: '{element} is sticky and has no inset (top, bottom): it never sticks and scrolls away with the page.',
        mends: 'Give it top: 0.',
        criteria: [],
      },
      ancestor: {
        says: '{element} is sticky inside {ancestor}, which is a scroll container of its own ({why}) and never scrolls: it scrolls away with the page.',
        mends: 'Take the overflow away from {ancestor}, or make it overflow: clip.',
        criteria: [],
      },
      parent: {
        says: '{element} is sticky inside {parent}, which is no taller than it is: there is nowhere to stick to and it scrolls away.',
        mends: 'Make {parent} the sticky one, or move {element} to where it has room.',
        criteria: [],
      },
    },
  },
  inspect,
);

/** Less way than this to scroll is none, px. */
const LEAST = 16;

function inspect(subject: Subject): readonly Observation[] {
  const { scene, menus } = subject;
  const end = scrollEnd(scene);
  if (end < LEAST) return [];
  const around = menusAround(menus);
  const concerned = scene.document.elements.filter((e) => around.has(e) || isNavigation(e));
  return concerned.flatMap((element): Observation[] => {
    if (scene.style(element).position !== 'sticky' || !scene.isVisible(element)) return [];
    const reason = whyInert(element, end, subject);
    if (!reason) return [];
    const { message, data, cause } = reason;
    return [
      {
        at: onElement(element),
        menus: around.get(element) ?? [],
        state: 'normal',
        message,
        data: { element: selectorOf(element), ...data },
        cause: cause ?? null,
      },
    ];
  });
}

/** Menus that scripts fill stand in such elements too. */
const isNavigation = ({ tag, attributes }: ElementNode): boolean =>
  tag === 'nav' || tag === 'header' || /^(navigation|banner)$/.test(attributes.get('role') ?? '');

type Reason = Pick<Observation, 'message' | 'data' | 'cause'>;

function whyInert(element: ElementNode, end: number, subject: Subject): Reason | null {
  const { scene } = subject;
  const style = scene.style(element);
  if (style.top === 'auto' && style.bottom === 'auto') {
    const sideways = style.left !== 'auto' || style.right !== 'auto';
    return sideways ? null : { message: 'inset', data: {}, cause: causeOf(style, 'position') };
  }
  const holder = scrollerAround(element, scene);
  if (holder) {
    if (scrollsItself(holder, scene)) return null;
    const cause = causeOf(scene.style(holder), 'overflowX') ?? causeOf(scene.style(holder), 'overflowY');
    return {
      message: 'ancestor',
      data: { ancestor: selectorOf(holder), why: cause?.text ?? `overflow: ${scene.style(holder).overflowY}` },
      cause,
    };
  }
  const parent = element.parent;
  const [own, around] = [scene.rect(element), parent && scene.rect(parent)];
  if (!own || !around || !parent || style.top === 'auto') return null;
  const from = own.y - resolveLength(style.top, scene.medium.height);
  // The page must be able to scroll past the place where it would begin to stick.
  if (end < from + LEAST || sticksSomewhere(element, from, end, subject)) return null;
  // Where columns stand one below the other nothing is meant to stick any more.
  return bottom(around) - bottom(own) < LEAST && !hasRoomElsewhere(element, subject)
    ? { message: 'parent', data: { parent: selectorOf(parent) }, cause: causeOf(style, 'position') }
    : null;
}

/** Whether it keeps its place somewhere on the way to the end of the page. */
function sticksSomewhere(element: ElementNode, from: number, end: number, { page, setting, scene }: Subject): boolean {
  const before = scene.rect(element)!;
  return [from + LEAST, (Math.max(0, from) + end) / 2].some((y) => {
    const now = scrolledScene(page, setting, Math.round(Math.max(1, Math.min(y, end)))).rect(element);
    return now !== null && Math.abs(now.y - before.y) > 1;
  });
}

/** Widths at which a page that is meant for wide and narrow screens looks different, px. */
const ELSEWHERE = [480, 900, 1280, 1600];

function hasRoomElsewhere(element: ElementNode, { page, setting }: Subject): boolean {
  return ELSEWHERE.some((width) => {
    const scene = page.scene({ ...setting, width, pose: {} });
    const [own, around] = [scene.rect(element), scene.rect(element.parent!)];
    return (
      own !== null &&
      around !== null &&
      scene.style(element).position === 'sticky' &&
      bottom(around) - bottom(own) >= LEAST
    );
  });
}

/** The scroll container a sticky box keeps to, unless it is the page. */
function scrollerAround(element: ElementNode, scene: Scene): ElementNode | null {
  for (let e = element.parent; e; e = e.parent) {
    const box = scene.box(e);
    if (!box || box.viewport || e.parent === null) continue;
    const { overflowX, overflowY } = scene.style(e);
    if ([overflowX, overflowY].some((value) => value !== 'visible' && value !== 'clip')) return e;
  }
  return null;
}

/** Whether a scroll container has, or may come to have, more than it shows. */
function scrollsItself(element: ElementNode, scene: Scene): boolean {
  const style = scene.style(element);
  if (!['auto', 'scroll'].includes(style.overflowY)) return false;
  return style.height !== 'auto' || style.maxHeight !== 'none' || ['fixed', 'sticky'].includes(style.position);
}
