import { bottom, intersect, right } from '../../base/index.js';
import { isAncestorOrSelf, selectorOf, type ElementNode } from '../../html/index.js';
import { firstRoutes, lastMove } from '../../menus/index.js';
import { subjectOf } from '../../naming/index.js';
import { boundsOf, elementOf } from '../../paint/index.js';
import { scrollEnd, scrolledScene, type Scene } from '../../scene/index.js';
import { defineCheck, onElement, type Observation } from '../define.js';
import { menusAround } from '../shared/around.js';
import { buriedPanels, type Bury } from '../shared/buried.js';
import { causeOf } from '../shared/causes.js';
import { contestInWords, contestOf, contestRemedy } from '../shared/layers.js';
import { partAround, stuckAt, type StuckPart } from '../shared/stuck.js';
import type { Subject } from '../subject.js';
import { capital } from '../shared/wording.js';
import { isOf } from '../shared/items.js';

/** Panels and bars that are painted under what they should lie over. */
export const buriedMenu = defineCheck(
  {
    id: 'buried-menu',
    title: 'Opened panels and stuck bars lie above the content',
    weight: 'blocks',
    scope: 'menu',
    asks: { visitors: ['mouse'], poses: 'opened', widths: 'ends' },
    explains: {
      means: 'A panel that opens behind a banner, or a bar that content slides over, can be neither seen nor pressed.',
      rule: [
        'In every pose an opened panel lies above the content beneath it: where a quarter of it or more is pressed away, it is buried.',
        'A fixed or sticky bar with a menu lies above everything that passes it as the page scrolls.',
        'The finding says which stacking contexts meet, and the smallest change that lets the panel win.',
      ],
      faulty:
        '.header { position: relative; z-index: 1 } .panel { z-index: 999 } .hero { position: relative; z-index: 5 }',
      mended: '.header { position: relative; z-index: 10 }',
    },
    worse: null,
    messages: {
      panel: {
        says: 'The panel of {handle} opens under {cover}: {share} % of it cannot be reached. {why}.',
        mends: '{remedy}',
        criteria: [],
      },
      bar: {
        says: 'As the page scrolls, {cover} slides over {bar} and takes its presses. {why}.',
        mends: '{remedy}',
        criteria: [],
      },
    },
  },
  (subject) => [...buriedPanels(subject).flatMap((bury) => ofPanel(bury, subject)), ...bars(subject)],
);

function ofPanel({ panel, cover, share }: Bury, { scene }: Subject): Observation[] {
  const contest = contestOf(cover, panel.root, scene);
  const lost = contest?.below?.element ?? panel.root;
  return [
    {
      at: onElement(panel.root),
      menus: [panel.menu],
      state: 'normal',
      message: 'panel',
      data: {
        handle: panel.handle ? subjectOf(panel.handle, scene) : selectorOf(panel.root),
        cover: selectorOf(cover),
        share: Math.round(share * 100),
        why: contest ? capital(contestInWords(contest, panel.root)) : 'What covers it comes later in the markup',
        remedy: contest ? contestRemedy(contest, panel.root, scene) : 'Move the two apart.',
      },
      cause: causeOf(scene.style(lost), 'zIndex') ?? (contest && causeOf(scene.style(contest.above.element), 'zIndex')),
    },
  ];
}

/** Stuck bars that hold a menu, and what is painted over them as it passes. */
function bars(subject: Subject): Observation[] {
  const { scene, page, setting, menus, parts } = subject;
  const end = parts.opened === null ? scrollEnd(scene) : 0;
  if (end < 1) return [];
  const around = menusAround(menus);
  const middle = scrolledScene(page, setting, end / 2);
  return stuckAt(middle, scene)
    .filter(({ element, kind }) => around.has(element) && kind !== 'patch')
    .flatMap((part) => {
      const cover = passingOver(part, middle, subject);
      return cover && !isToldByPanels(part, cover, middle, subject)
        ? [ofBar(part, cover, around.get(part.element)!, middle)]
        : [];
    });
}

/** Whether panels of a bar open under the same thing: mending that mends the bar. */
function isToldByPanels(part: StuckPart, cover: ElementNode, at: Scene, subject: Subject): boolean {
  const above = contestOf(cover, part.element, at)?.above.element;
  return firstRoutes(subject.routes).some((opening) => {
    if (!isAncestorOrSelf(part.element, lastMove(opening.moves).element)) return false;
    const opened = subject.opened(opening);
    return buriedPanels(opened).some(
      ({ panel, cover: over }) => contestOf(over, panel.root, opened.scene)?.above.element === above,
    );
  });
}

function ofBar(part: StuckPart, cover: ElementNode, menus: Observation['menus'], scene: Scene): Observation {
  const contest = contestOf(cover, part.element, scene);
  return {
    at: onElement(part.element),
    menus,
    state: 'normal',
    message: 'bar',
    data: {
      cover: selectorOf(cover),
      bar: selectorOf(part.element),
      why: contest ? capital(contestInWords(contest, part.element)) : 'It comes later in the markup',
      remedy: contest ? contestRemedy(contest, part.element, scene) : `Give ${selectorOf(part.element)} a z-index.`,
    },
    cause: causeOf(scene.style(part.element), 'zIndex') ?? causeOf(scene.style(part.element), 'position'),
  };
}

/** How many things painted above a bar are tried. */
const MOST = 12;

/** Something painted above a bar that comes to lie over its middle at some scroll position. */
function passingOver(part: StuckPart, scene: Scene, { page, setting, scene: rest }: Subject): ElementNode | null {
  const own = scene.items.filter((item) => isOf(item, part.element));
  const last = own[own.length - 1];
  if (!last) return null;
  const { x, y, width, height } = part.rect;
  const end = scrollEnd(rest);
  let left = MOST;
  for (const item of scene.items.slice(last.index + 1)) {
    const element = elementOf(item);
    if (
      !element ||
      item.node.fixed ||
      item.node.fragment.kind !== 'box' ||
      item.node.box.style.visibility !== 'visible'
    )
      continue;
    const box = boundsOf(item.node.matrix, item.node.rect);
    const shared = intersect({ ...box, y: 0, height: 1 }, { x, y: 0, width, height: 1 });
    if (!shared || shared.width < 8 || box.height < 8 || right(box) < 0) continue;
    const to = Math.round(box.y + box.height / 2 - (y + height / 2));
    if (to < 1 || to > end || bottom(box) - to < y) continue;
    if (left-- === 0) return null;
    const at = scrolledScene(page, setting, to);
    const hit = at.hit(shared.x + shared.width / 2, y + height / 2 + to);
    if (!hit || isAncestorOrSelf(part.element, hit) || isAncestorOrSelf(hit, part.element)) continue;
    if (isAncestorOrSelf(element, hit) && !partAround(hit, stuckAt(at, rest))) return element;
  }
  return null;
}
