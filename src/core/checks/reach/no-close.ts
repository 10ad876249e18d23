import { bottom, centre, right } from '../../base/index.js';
import { closest, isAncestorOrSelf, type ElementNode } from '../../html/index.js';
import { activeAt, poseAfter, type Move, type Scene } from '../../scene/index.js';
import { subjectOf } from '../../naming/index.js';
import { defineCheck, onElement, type Observation } from '../define.js';
import { addressOf } from '../shared/addresses.js';
import { atOnce, panelsOf, type Panel } from '../shared/panels.js';
import type { Subject } from '../subject.js';

/** A panel that takes so much of the screen covers the page. */
const SHARE = 0.8;

/** Panels over the whole page without a way to close them. @spec WCAG 2.2 SC 2.1.2 */
export const noClose = defineCheck(
  {
    id: 'no-close',
    title: 'A panel over the page can be closed',
    weight: 'hinders',
    scope: 'menu',
    asks: { visitors: ['mouse'], poses: 'rest', widths: 'bands' },
    leansOn: ['sheets', 'scripts'],
    explains: {
      means:
        'A menu that opens over the whole page and cannot be closed holds its visitor: all they can do is follow a link or leave.',
      rule: [
        'Where an opened panel covers four fifths of the screen or more, or the toggle that opened it, a control that can be got to closes it: the toggle itself, a button in the panel, or what lies around it.',
        'A modal dialog makes all beside it inert, however small it is.',
        'Beside the panel a press closes it too where a strip of 24 px is left: with the Escape key, or by itself as popovers do.',
      ],
      faulty: '.menu.open { position: fixed; inset: 0; z-index: 9 } over a toggle with no z-index',
      mended: '<div class="menu"><button class="close">Close</button>…</div>',
    },
    worse: null,
    messages: {
      trapped: {
        says: 'The panel that {subject} opens lies over the page, and nothing in reach closes it: the toggle lies beneath it.',
        mends: 'Put a close button into the panel, or keep the toggle above it.',
        criteria: [{ number: '2.1.2', level: 'A' }],
      },
      modal: {
        says: '{subject} opens a modal dialog, and nothing in it closes it: all of the page beside it is dead then, the toggle too, and without a keyboard nobody gets out.',
        mends: 'Put a close button into the dialog, or let a press beside it close it (closedby="any").',
        criteria: [],
      },
    },
  },
  inspect,
);

function inspect(subject: Subject): readonly Observation[] {
  return panelsOf(subject).flatMap((panel): Observation[] => {
    const opening = atOnce(panel, 'press');
    if (!opening) return [];
    const { page, setting: at } = subject;
    const open = page.scene({ ...at, pose: poseAfter(page, opening.moves, at) }, subject.scene);
    const cover = coveringPart(panel, open);
    if (!cover || closes(panel, open, cover, subject)) return [];
    return [
      {
        at: onElement(panel.handle),
        menus: [panel.menu],
        state: 'normal',
        message: cover.part === open.modal ? 'modal' : 'trapped',
        data: { subject: subjectOf(panel.handle, subject.scene) },
      },
    ];
  });
}

/** A part of a panel that lies over the page, and whether next to nothing of the page is left beside it. */
interface Cover {
  readonly part: ElementNode;
  readonly whole: boolean;
}

/**
 * The fixed or absolute part around a panel's entries that covers most of the screen or its own toggle, or the modal
 * dialog they stand in, however small; null if there is none.
 */
function coveringPart({ handle, hidden }: Panel, open: Scene): Cover | null {
  const { width, height } = open.medium;
  const toggle = open.seen(handle);
  const under = toggle && open.hit(centre(toggle).x, centre(toggle).y);
  for (let e: ElementNode | null = hidden.find((h) => open.reach(h) !== null) ?? null; e; e = e.parent) {
    if (e === open.modal) return { part: e, whole: true };
    const { position } = open.style(e);
    if (position !== 'fixed' && position !== 'absolute') continue;
    const rect = open.seen(e);
    if (rect && Math.min(rect.width, width) * Math.min(rect.height, height) >= SHARE * width * height)
      return { part: e, whole: true };
    // What lies over its own toggle has to be closed some other way.
    if (under && isAncestorOrSelf(e, under) && !isAncestorOrSelf(e, handle)) return { part: e, whole: false };
  }
  return null;
}

/** What is left of the screen beside a part, where a finger finds it, px. */
const STRIP = 24;

/** Elements that a press beside a part of the page reaches. */
function beside(cover: ElementNode, open: Scene): readonly ElementNode[] {
  const rect = open.seen(cover);
  if (!rect) return [];
  const { width, height } = open.medium;
  const { x: scrolledX, y: scrolledY } = open.setting.scroll;
  const area = { ...rect, x: rect.x - scrolledX, y: rect.y - scrolledY };
  const strips: readonly (readonly [room: number, x: number, y: number])[] = [
    [area.x, area.x / 2, height / 2],
    [width - right(area), (right(area) + width) / 2, height / 2],
    [area.y, width / 2, area.y / 2],
    [height - bottom(area), width / 2, (bottom(area) + height) / 2],
  ];
  return strips.flatMap(([room, x, y]) =>
    room < STRIP ? [] : (open.hit(x + scrolledX, y + scrolledY) ?? open.modal ?? open.document.root),
  );
}

/** Whether a part goes when one presses beside it. @spec html §6.12 (light dismiss), §4.11.4 (closedby) */
const isLight = (cover: ElementNode): boolean =>
  closest(
    cover,
    (e) =>
      /^(auto|hint|)$/i.test(e.attributes.get('popover') ?? 'none') ||
      (e.tag === 'dialog' && e.attributes.get('closedby')?.toLowerCase() === 'any'),
  ) !== null;

/** Whether some control that can be pressed then closes a panel, or a press beside it does. */
function closes(
  { handle, hidden }: Panel,
  open: Scene,
  { part: cover, whole }: Cover,
  { page, setting: at }: Subject,
): boolean {
  const shown = hidden.filter((e) => open.reach(e) !== null);
  const before: readonly Move[] = [{ by: 'press', element: handle }];
  const closedBy = (move: Move) => {
    const pose = poseAfter(page, [...before, move], at);
    const after = page.scene({ ...at, pose }, open);
    return shown.some((e) => after.reach(e) === null);
  };
  // Beside it a pointer closes it; whoever uses keys needs Escape, where focus is left on a toggle nobody sees.
  const outside = beside(cover, open);
  if (outside.length > 0 && isLight(cover)) return true;
  const escapes = () => [shown[0], handle].some((e) => e && closedBy({ by: 'key', element: e, key: 'Escape' }));
  if (outside.some((element) => closedBy({ by: 'press', element })) && (!whole || escapes())) return true;
  const inside = open.document.elements.filter(
    (e) => isAncestorOrSelf(cover, e) && activeAt(e) === e && addressOf(e).kind !== 'page',
  );
  return [handle, ...inside].some((element) => {
    const rect = open.seen(element);
    if (!rect) return false;
    const { x, y } = centre(rect);
    const hit = open.hit(x, y);
    if (!hit || !(isAncestorOrSelf(element, hit) || isAncestorOrSelf(hit, element))) return false;
    return closedBy({ by: 'press', element });
  });
}
