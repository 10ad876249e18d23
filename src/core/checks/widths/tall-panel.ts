import { bottom } from '../../base/index.js';
import { figure } from '../../findings/index.js';
import { resolveLength } from '../../css/index.js';
import { closest, descendants, selectorOf, type ElementNode } from '../../html/index.js';
import { subjectOf } from '../../naming/index.js';
import { boundsOf, type Clip } from '../../paint/index.js';
import type { Scene } from '../../scene/index.js';
import { defineCheck, onElement, type Observation } from '../define.js';
import { causeOf } from '../shared/causes.js';
import { isKeptBelow, itemsBeside, PART_LOST, standingBelow, type StandingPart } from '../shared/kept-below.js';
import { shownPanels, type ShownPanel } from '../shared/shown-panels.js';
import type { Subject } from '../subject.js';

/** Opened panels whose end nobody gets to. @spec WCAG 2.2 SC 1.4.10 */
export const tallPanel = defineCheck(
  {
    id: 'tall-panel',
    title: 'An opened panel can be scrolled to its end',
    weight: 'blocks',
    scope: 'menu',
    asks: { visitors: ['mouse', 'short-screen'], poses: 'opened', widths: 'ends' },
    leansOn: ['sheets', 'scripts'],
    explains: {
      means:
        'A panel that keeps to the screen, is taller than it and does not scroll hides its last links from everyone, first on low and enlarged screens.',
      rule: [
        'The last item of an opened panel can be brought into view: the panel is no taller than the screen, scrolls by itself, or scrolls with the page. Also on a screen 375 px high.',
        'The same of a menu that stands beside the page and keeps to the screen: also on a screen 375 px high, up to 960 px wide.',
        'Where a script hears of wheels or fingers on it, a person has to look.',
      ],
      faulty: '.panel { position: fixed; inset: 0 auto auto 0 }',
      mended: '.panel { position: fixed; inset: 0 auto 0 0; overflow-y: auto }',
    },
    textWidth: true,
    worse: 'higher',
    messages: {
      tall: {
        says: 'The panel of {handle} reaches {px} px below the screen ({height} px high), keeps to it and does not scroll: {count} of {all} items cannot be reached.',
        mends: 'Give {panel} max-height: 100dvh (less the bar above it) and overflow-y: auto.',
        criteria: [{ number: '1.4.10', level: 'AA' }],
      },
      standing: {
        says: 'What stands in {panel} keeps to the screen, reaches {px} px below it ({height} px high) and does not scroll: {count} of {all} items cannot be reached.',
        mends: 'Give {panel} max-height: 100dvh (less what stands above it) and overflow-y: auto.',
        criteria: [{ number: '1.4.10', level: 'AA' }],
      },
      past: {
        says: 'The panel of {handle} scrolls, but ends {px} px below the screen ({height} px high): even at its end {count} of {all} items stay out of view.',
        mends:
          'Let {panel} end where the screen does: bottom: 0 instead of a height, or a max-height less what stands above it.',
        criteria: [{ number: '1.4.10', level: 'AA' }],
      },
    },
  },
  (subject) => [
    ...shownPanels(subject).flatMap((panel) => observe(panel, subject)),
    ...standingBelow(subject).map((part) => standing(part, subject)),
  ],
);

function standing({ root, menu, members, below }: StandingPart, { scene }: Subject): Observation {
  const { height } = scene.medium;
  const low = Math.max(...below.flatMap((e) => scene.rect(e) ?? []).map(bottom));
  return {
    at: onElement(root),
    menus: [menu],
    state: 'normal',
    message: 'standing',
    data: {
      px: Math.round(low - height),
      height,
      count: below.length,
      all: members.length,
      panel: selectorOf(root),
    },
    measured: figure(Math.round(low), 'px'),
    needed: figure(height, 'px'),
    cause: causeOf(scene.style(root), 'height') ?? causeOf(scene.style(root), 'position'),
  };
}

function observe(panel: ShownPanel, subject: Subject): Observation[] {
  const { root, handle, menu } = panel;
  const { scene } = subject;
  const members = itemsBeside(panel);
  const { height } = scene.medium;
  const below = members.filter((e) => isKeptBelow(e, subject));
  const past = below.length > 0 ? [] : members.flatMap((e) => pastEnd(e, scene) ?? []);
  const count = below.length + past.length;
  const low = Math.max(0, ...past, ...below.flatMap((e) => scene.rect(e) ?? []).map(bottom));
  if (count === 0) return [];
  return [
    {
      at: onElement(root),
      menus: [menu],
      state: 'normal',
      message: past.length > 0 ? 'past' : 'tall',
      ...(isMovedByScript(root, subject) ? { verdict: 'look' as const } : {}),
      data: {
        handle: handle ? subjectOf(handle, scene) : selectorOf(root),
        px: Math.round(low - height),
        height,
        count,
        all: members.length,
        panel: selectorOf(root),
      },
      measured: figure(Math.round(low), 'px'),
      needed: figure(height, 'px'),
      cause:
        causeOf(scene.style(root), 'maxHeight') ??
        causeOf(scene.style(root), 'height') ??
        causeOf(scene.style(root), 'position'),
    },
  ];
}

/** Where an item ends once the fixed parts that it scrolls in are scrolled to their ends; null where that is on the screen. */
function pastEnd(element: ElementNode, scene: Scene): number | null {
  const rect = scene.rect(element);
  const [node] = scene.nodes(element);
  if (!rect || !node?.fixed || !scene.isVisible(element)) return null;
  const { height } = scene.medium;
  const scrollers = node.clips.filter(({ scrolls }) => scrolls);
  if (!scrollers.some(({ matrix, rect: own }) => bottom(boundsOf(matrix, own)) > height + 1)) return null;
  const last = bottom(rect) - scrollers.reduce((sum, clip) => sum + roomBelow(clip, scene), 0);
  return last - height >= rect.height * PART_LOST ? last : null;
}

/** How far the content of a scroller can be scrolled up, px. */
function roomBelow({ box: { element }, matrix, rect }: Clip, scene: Scene): number {
  if (!element) return 0;
  const own = [...descendants(element)].filter(
    (e) => scene.nodes(e)[0]?.clips.findLast(({ scrolls }) => scrolls)?.box.element === element,
  );
  const end = Math.max(0, ...own.flatMap((e) => scene.rect(e) ?? []).map(bottom));
  const padding = resolveLength(scene.style(element).paddingBottom, scene.medium.width);
  return Math.max(0, end + padding - bottom(boundsOf(matrix, rect)));
}

/** What a script does with wheels and fingers over a panel is not followed: it may scroll it. */
const isMovedByScript = (root: ElementNode, { page }: Subject): boolean =>
  closest(root, (e) => e.tag !== 'body' && e.tag !== 'html' && page.hearing.on(e, DRAGS)) !== null;
const DRAGS = /^(wheel|mousewheel|DOMMouseScroll|touchmove|pointermove)$/;
