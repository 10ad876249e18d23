import { bottom, right, type Rect } from '../../base/index.js';
import { isPage } from '../../boxes/index.js';
import { closest, isAncestorOrSelf, selectorOf, type ElementNode } from '../../html/index.js';
import { unfolded, type Menu } from '../../menus/index.js';
import { subjectOf } from '../../naming/index.js';
import { boundsOf, type Clip } from '../../paint/index.js';
import type { Scene } from '../../scene/index.js';
import type { Cause } from '../../findings/index.js';
import { defineCheck, onElement, type Observation } from '../define.js';
import { causeOf } from '../shared/causes.js';
import { endsOn } from '../shared/panels.js';
import { pastEdge } from '../shared/edges.js';
import { keptBelow, itemsBeside } from '../shared/kept-below.js';
import { lostMenus } from '../shared/lost-menus.js';
import { shownPanels } from '../shared/shown-panels.js';
import { isResized } from '../shared/trapped.js';
import type { Subject } from '../subject.js';

/** Panels cut off by something around them or by the edge of the screen. */
export const clippedMenu = defineCheck(
  {
    id: 'clipped-menu',
    title: 'Opened panels are not cut off',
    weight: 'blocks',
    scope: 'menu',
    asks: { visitors: ['mouse'], poses: 'opened', widths: 'ends' },
    explains: {
      means: 'Items that are cut off and cannot be scrolled to are lost to everyone.',
      rule: [
        'Every item of an opened panel can be brought into view: nothing around the panel cuts it (overflow, containment, clipping), and it does not reach beyond the left or right edge of the screen.',
        'A panel that ends with the screen and cuts what lies lower is told as too tall.',
        'Where the page can be scrolled sideways to the rest, a person has to look.',
        'Panels that close nested ones by clipping them, and panels that scroll by themselves, are no fault.',
      ],
      faulty: '.bar { overflow: hidden } .panel { position: absolute; top: 100% }',
      mended: '.bar { overflow: visible }',
    },
    textWidth: true,
    worse: 'higher',
    messages: {
      cut: {
        says: 'The panel of {handle} is cut off by {cutter}: {count} of {all} items cannot be reached there.',
        mends: '{remedy}',
        criteria: [],
      },
      edge: {
        says: 'The panel of {handle} reaches {px} px beyond the {side} edge of the screen and cannot be scrolled to: {count} of {all} items are cut off.',
        mends: 'Let it open towards the other side there ({swap}), or no wider than the screen.',
        criteria: [{ number: '1.4.10', level: 'AA' }],
      },
      sideways: {
        says: 'The panel of {handle} reaches {px} px beyond the {side} edge of the screen. It has to be scrolled to sideways while it is open.',
        mends: 'Let it open towards the other side there ({swap}), or no wider than the screen.',
        criteria: [{ number: '1.4.10', level: 'AA' }],
      },
    },
  },
  (subject) => [...opened(subject), ...neverOpened(subject), ...lost(subject)],
);

/** Panels the pose shows at least in part. */
const opened = (subject: Subject): Observation[] =>
  shownPanels(subject).flatMap((panel) => {
    // What a panel that is too tall keeps below the screen is told there.
    const members = itemsBeside(panel).filter((e) => !keptBelow(subject).has(e));
    return judge(panel.root, panel.handle, panel.menu, members, subject.scene);
  });

/** Panels a move lays out and something cuts off as a whole, so that they never come into view. */
function neverOpened(subject: Subject): Observation[] {
  if (subject.parts.opened !== null) return [];
  const { menus, scene, routes } = subject;
  return menus.flatMap((menu) =>
    menu.items.flatMap((item): Observation[] => {
      const { element, submenu } = item;
      if (
        !submenu ||
        scene.reach(element) === null ||
        routes.some((o) => endsOn(o, element, 'hover', 'press', 'focus'))
      )
        return [];
      const members = menu.items.filter((one) => one.parent === item).map((one) => one.element);
      if (members.length === 0 || members.some((e) => scene.reach(e) !== null)) return [];
      for (const after of unfolded(element, members, subject.page, subject.setting)) {
        const found = judge(submenu, element, menu, members, after);
        if (found.length > 0) return found;
      }
      return [];
    }),
  );
}

/** Menus a toggle lays out and something cuts off as a whole. */
const lost = (subject: Subject): Observation[] =>
  lostMenus(subject).flatMap(({ menu, toggle, members, after }) =>
    // That something else than the screen gives them their size is a fault of its own.
    closest(menu.root, (e) => isResized(e, after)) ? [] : judge(menu.root, toggle, menu, members, after),
  );

interface Cut {
  readonly element: ElementNode;
  /** What cuts it; null for the edge of the screen. */
  readonly by: Clip | null;
  readonly beyond: number;
  readonly side: 'left' | 'right';
}

function judge(
  root: ElementNode,
  handle: ElementNode | null,
  menu: Menu,
  members: readonly ElementNode[],
  scene: Scene,
): Observation[] {
  const shown = members.filter((e) => scene.isVisible(e));
  const cuts = shown.flatMap((e) => cutOf(e, root, scene) ?? []);
  const [worst] = [...cuts].sort((a, b) => Number(b.by !== null) - Number(a.by !== null) || b.beyond - a.beyond);
  if (!worst) return [];
  const message = worst.by ? 'cut' : isLost(worst, scene) ? 'edge' : 'sideways';
  const cutter = worst.by?.box.element ?? null;
  return [
    {
      at: onElement(root),
      menus: [menu],
      state: 'normal',
      message,
      ...(message === 'sideways' ? { verdict: 'look' as const } : {}),
      data: {
        handle: handle ? subjectOf(handle, scene) : selectorOf(root),
        cutter: cutter ? selectorOf(cutter) : '',
        count: cuts.length,
        all: shown.length,
        px: Math.ceil(worst.beyond),
        side: worst.side,
        swap: worst.side === 'right' ? 'right: 0; left: auto' : 'left: 0; right: auto',
        remedy: cutter ? `Take away what cuts it: ${clipText(cutter, scene)} of ${selectorOf(cutter)}.` : '',
      },
      cause: cutter ? clipCause(cutter, scene) : causeOf(scene.style(root), worst.side === 'right' ? 'left' : 'right'),
    },
  ];
}

/** A quarter of an item cut away makes it hard to read and to press. */
const LEAST = 0.25;

function cutOf(element: ElementNode, root: ElementNode, scene: Scene): Cut | null {
  const whole = scene.rect(element);
  if (!whole || whole.width < 1 || whole.height < 1) return null;
  const reach = scene.reach(element);
  const lost = (all: Rect, part: Rect | null) =>
    !part || part.width < all.width * (1 - LEAST) || part.height < all.height * (1 - LEAST);
  const { width } = scene.medium;
  const [left, over] = [-whole.x, right(whole) - width];
  const side = left > over ? 'left' : 'right';
  const beyond = Math.max(left, over, 0);
  if (lost(whole, reach)) {
    const by = cutterOf(element, root, whole, scene);
    if (by) return { element, by, beyond, side };
  }
  const scrolls = scene.nodes(element).some(({ clips }) => clips.some((clip) => clip.scrolls));
  return beyond > whole.width * LEAST && !scrolls ? { element, by: null, beyond, side } : null;
}

/** The clip around the panel, or the panel's own, that takes an item away. */
function cutterOf(element: ElementNode, root: ElementNode, whole: Rect, scene: Scene): Clip | null {
  for (const node of scene.nodes(element))
    for (const clip of node.clips) {
      const { element: owner } = clip.box;
      // What stands inside the panel hides parts of it on purpose.
      if (!owner || isPage(clip.box) || (isAncestorOrSelf(root, owner) && owner !== root)) continue;
      const edge = boundsOf(clip.matrix, clip.rect);
      const cuts =
        whole.x < edge.x - whole.width * LEAST ||
        right(whole) > right(edge) + whole.width * LEAST ||
        whole.y < edge.y - whole.height * LEAST ||
        bottom(whole) > bottom(edge) + whole.height * LEAST;
      // A panel that ends with the screen and cuts what lies lower is too tall.
      const ends =
        owner === root && node.fixed && bottom(edge) >= scene.medium.height - 1 && bottom(whole) > bottom(edge);
      if (cuts && !clip.scrolls && !ends) return clip;
    }
  return null;
}

/** Whether no scrolling brings the rest back. */
function isLost({ element, side }: Cut, scene: Scene): boolean {
  const lost = scene.scrollsLeftwards ? 'right' : 'left';
  if (side === lost || scene.nodes(element).some(({ fixed }) => fixed)) return true;
  return screenHides(scene) || scene.scrollSize.width < scene.medium.width + pastEdge(scene.rect(element)!, scene) - 1;
}

/** Whether nobody can scroll the page sideways, whatever lies there. @spec css-overflow-3 §3.3 (propagation to the viewport) */
function screenHides(scene: Scene): boolean {
  const { root, body } = scene.document;
  const own = scene.style(root).overflowX;
  const overflow = own === 'visible' && body ? scene.style(body).overflowX : own;
  return overflow === 'hidden' || overflow === 'clip';
}

function clipKey(element: ElementNode, scene: Scene): 'overflowX' | 'overflowY' | 'contain' | 'clipPath' {
  const style = scene.style(element);
  if (style.overflowX !== 'visible') return 'overflowX';
  if (style.overflowY !== 'visible') return 'overflowY';
  return style.clipPath !== null ? 'clipPath' : 'contain';
}

const clipCause = (element: ElementNode, scene: Scene): Cause | null =>
  causeOf(scene.style(element), clipKey(element, scene));
const clipText = (element: ElementNode, scene: Scene): string => clipCause(element, scene)?.text ?? 'the clipping';
