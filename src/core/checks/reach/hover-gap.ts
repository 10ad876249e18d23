import { centre, contains, intersect, type Rect } from '../../base/index.js';
import { isAncestorOrSelf, type ElementNode } from '../../html/index.js';
import { figure } from '../../findings/index.js';
import { subjectOf } from '../../naming/index.js';
import { poseAfter, type Scene } from '../../scene/index.js';
import { defineCheck, onElement, type Observation } from '../define.js';
import { atOnce, panelsOf, type Panel } from '../shared/panels.js';
import type { Subject } from '../subject.js';

const STEP = 2;
/** A delay a hand can make use of, s. */
const PATIENCE = 0.1;

/** Panels that close while the pointer is on its way to them. @spec WCAG 2.2 SC 1.4.13 */
export const hoverGap = defineCheck(
  {
    id: 'hover-gap',
    title: 'The pointer gets to what hovering opened',
    weight: 'hinders',
    scope: 'menu',
    asks: { visitors: ['mouse'], poses: 'rest', widths: 'ends' },
    explains: {
      means:
        'Between an item and its open panel lies a gap: the pointer crosses it, nothing is hovered, the panel closes before it is reached. People with a tremor or a magnifier meet this most.',
      rule: [
        'On the straight way from the middle of the handle to the nearest entry of its panel something that keeps the panel open lies beneath the pointer.',
        'A delay of 0.1 s or more before it closes makes up for a gap.',
      ],
      faulty: '.sub { top: calc(100% + 10px) }',
      mended: '.sub { top: 100%; padding-top: 10px }',
    },
    worse: 'higher',
    messages: {
      gap: {
        says: 'Between {subject} and its open panel {gap} px belong to neither: the pointer leaves both and the panel closes on the way.',
        mends:
          'Let the panel begin where the item ends (padding instead of an offset or margin), or close it with a delay.',
        criteria: [{ number: '1.4.13', level: 'AA' }],
      },
    },
  },
  inspect,
);

function inspect(subject: Subject): readonly Observation[] {
  return panelsOf(subject).flatMap((panel): Observation[] => {
    const opening = atOnce(panel, 'hover');
    if (!opening || !panel.item) return [];
    const gap = gapOf(panel, subject);
    if (gap === null) return [];
    return [
      {
        at: onElement(panel.handle),
        menus: [panel.menu],
        state: 'normal',
        message: 'gap',
        data: { subject: subjectOf(panel.handle, subject.scene), gap },
        measured: figure(gap, 'px'),
        needed: figure(0, 'px'),
        common: `gap ${panel.menu.id}`,
      },
    ];
  });
}

/** How long the way is on which nothing keeps a panel open, px; null where there is no such way. */
function gapOf({ handle, hidden }: Panel, subject: Subject): number | null {
  const open = subject.after({ by: 'hover', element: handle });
  const from = open.rect(handle);
  const entries = hidden.flatMap((e) => {
    const rect = onScreen(open.seen(e), open);
    return rect ? [{ e, rect }] : [];
  });
  if (!from || entries.length === 0) return null;
  const start = centre(from);
  const first = open.hit(start.x, start.y);
  // That something lies over the handle is another fault.
  if (first !== null && !isAncestorOrSelf(handle, first)) return null;
  const far = ({ rect }: { rect: Rect }) =>
    Math.hypot(nearestIn(rect, start).x - start.x, nearestIn(rect, start).y - start.y);
  const nearest = entries.reduce((a, b) => (far(b) < far(a) ? b : a));
  const end = nearestIn(nearest.rect, start);
  const length = Math.hypot(end.x - start.x, end.y - start.y);
  const boxes = boxesAround(nearest.e, handle, open);
  let lost = 0;
  const kept = new Map<ElementNode | null, boolean>();
  for (let at = 0; at <= length; at += STEP) {
    const t = length === 0 ? 0 : at / length;
    const [x, y] = [start.x + (end.x - start.x) * t, start.y + (end.y - start.y) * t];
    // That something lies over the panel is another fault.
    if (boxes.some((box) => contains(box, x, y))) continue;
    const hit = open.hit(x, y);
    let stays = kept.get(hit);
    if (stays === undefined) kept.set(hit, (stays = keepsOpen(hit, handle, nearest.e, subject)));
    if (!stays) lost += STEP;
  }
  return lost > STEP ? lost : null;
}

/** The boxes of an entry and of all that holds it, up to what holds its handle too. */
function boxesAround(entry: ElementNode, handle: ElementNode, scene: Scene): readonly Rect[] {
  const out: Rect[] = [];
  for (let e: ElementNode | null = entry; e && !isAncestorOrSelf(e, handle); e = e.parent) {
    const rect = scene.rect(e);
    if (rect) out.push(rect);
  }
  return out;
}

/** The point of something that is nearest to where the pointer comes from, a little inside of it. */
const nearestIn = ({ x, y, width, height }: Rect, from: { readonly x: number; readonly y: number }) => ({
  x: Math.min(Math.max(from.x, x + Math.min(STEP, width / 2)), x + width - Math.min(STEP, width / 2)),
  y: Math.min(Math.max(from.y, y + Math.min(STEP, height / 2)), y + height - Math.min(STEP, height / 2)),
});

/** What of something lies on the screen from side to side: a pointer goes no further. */
function onScreen(rect: Rect | null, { medium, setting: { scroll } }: Scene): Rect | null {
  return rect && intersect(rect, { x: scroll.x, y: rect.y, width: medium.width, height: rect.height });
}

/** Whether a panel stays open with the pointer on something, or closes late enough. */
function keepsOpen(under: ElementNode | null, handle: ElementNode, entry: ElementNode, subject: Subject): boolean {
  const hit = under ?? subject.page.document.root;
  if (isAncestorOrSelf(handle, hit) || isAncestorOrSelf(entry, hit)) return true;
  const { page, setting: at } = subject;
  const moves = [
    { by: 'hover', element: handle },
    { by: 'hover', element: hit },
  ] as const;
  const scene: Scene = page.scene({ ...at, pose: poseAfter(page, moves, at) }, subject.scene);
  if (scene.reach(entry) !== null) return true;
  return (
    closingDelay(entry, scene) >= PATIENCE || (page.scriptsFor(at.visitor)?.waited(moves, at) ?? 0) >= PATIENCE * 1000
  );
}

/** The longest delay in the transitions of an entry and what holds it, s. */
function closingDelay(entry: ElementNode, scene: Scene): number {
  let most = 0;
  for (let e: ElementNode | null = entry; e; e = e.parent) most = Math.max(most, ...scene.style(e).transitionDelay);
  return most;
}
