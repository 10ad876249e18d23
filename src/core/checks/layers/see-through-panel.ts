import { intersect, unite, type Rect } from '../../base/index.js';
import { isAncestorOrSelf, selectorOf, type ElementNode } from '../../html/index.js';
import { subjectOf } from '../../naming/index.js';
import { elementOf, type PaintItem } from '../../paint/index.js';
import type { Scene } from '../../scene/index.js';
import { defineCheck, onElement, type Observation } from '../define.js';
import { buryOf } from '../shared/buried.js';
import { causeOf } from '../shared/causes.js';
import { shownPanels, type ShownPanel } from '../shared/shown-panels.js';
import type { Subject } from '../subject.js';
import { isOf, placeOfItem } from '../shared/items.js';

/** What lies beneath shows through a ground thinner than this. */
const DENSE = 0.9;
/** Blurred content beneath half a ground is no text any more. */
const DENSE_BLURRED = 0.5;

/** Opened panels through which the content beneath shows. */
export const seeThroughPanel = defineCheck(
  {
    id: 'see-through-panel',
    title: 'Opened panels have an opaque ground',
    weight: 'hinders',
    scope: 'menu',
    asks: { visitors: ['mouse'], poses: 'opened', widths: 'ends' },
    explains: {
      means: 'Where the page reads through an opened panel, two texts lie over one another and neither can be read.',
      rule: [
        'Where an opened panel lies over text or pictures of the page, its grounds together let less than a tenth of them through.',
        'A panel over an empty part of the page, or in the flow of it, needs no ground. Behind a blurred ground a person has to look.',
      ],
      faulty: '.panel { position: absolute; background: rgb(255 255 255 / 0.5) }',
      mended: '.panel { position: absolute; background: #fff }',
    },
    worse: 'lower',
    messages: {
      through: {
        says: 'The panel of {handle} opens over {what}, which shows through: its ground covers {cover} % of what lies beneath. Neither can be read.',
        mends: 'Give {panel} an opaque background.',
        criteria: [{ number: '1.4.3', level: 'AA' }],
      },
    },
  },
  (subject) => shownPanels(subject).flatMap((panel) => observe(panel, subject)),
);

function observe(panel: ShownPanel, subject: Subject): Observation[] {
  const { scene } = subject;
  const rect = filledPart(panel, scene);
  if (!rect || buryOf(subject, panel.root)) return [];
  const first = scene.items.find((item) => isOf(item, panel.root));
  if (!first) return [];
  const through = contentBeneath(panel.root, rect, first, scene)
    .map((item) => ({ item, ground: groundOver(item, rect, panel.root, scene) }))
    .filter(({ ground }) => ground.cover < (ground.blurred ? DENSE_BLURRED : DENSE))
    .sort((a, b) => a.ground.cover - b.ground.cover);
  const [worst] = through;
  if (!worst) return [];
  const element = elementOf(worst.item)!;
  return [
    {
      at: onElement(panel.root),
      menus: [panel.menu],
      state: 'normal',
      message: 'through',
      ...(worst.ground.blurred ? { verdict: 'look' as const } : {}),
      data: {
        handle: panel.handle ? subjectOf(panel.handle, scene) : selectorOf(panel.root),
        what: selectorOf(element),
        cover: Math.round(worst.ground.cover * 100),
        panel: selectorOf(panel.root),
      },
      cause: causeOf(scene.style(panel.root), 'backgroundColor'),
    },
  ];
}

/** Where a panel has something to read or press: what shows beside that is in nobody's way. */
function filledPart({ root, controls }: ShownPanel, scene: Scene): Rect | null {
  const whole = scene.seen(root);
  const parts = controls.flatMap((e) => scene.seen(e) ?? []);
  return whole && parts.length > 0 ? intersect(whole, parts.reduce(unite)) : whole;
}

/** Less of a text beneath a panel is not noticed, px. */
const LEAST = 4;

/** Texts and pictures of the page that lie beneath a panel. */
function contentBeneath(panel: ElementNode, rect: Rect, until: PaintItem, scene: Scene): readonly PaintItem[] {
  return scene.items.slice(0, until.index).filter((item) => {
    const { fragment, box } = item.node;
    const isText = fragment.kind === 'text' && fragment.text.trim() !== '';
    const isPicture =
      box.inner === 'replaced' || scene.paintStyle(box).backgroundImage.some(({ kind }) => kind === 'url');
    if (!isText && !isPicture) return false;
    const element = elementOf(item);
    if (!element || isAncestorOrSelf(panel, element) || !scene.isVisible(element)) return false;
    // The picture behind what the panel stands in is its own ground.
    if (!isText && isAncestorOrSelf(element, panel)) return false;
    const shared = intersect(placeOfItem(item), rect);
    return shared !== null && shared.width >= LEAST && shared.height >= LEAST && scene.seen(element) !== null;
  });
}

/** How much of an item the grounds painted above it hide within a panel, as a share. */
function groundOver(
  item: PaintItem,
  rect: Rect,
  panel: ElementNode,
  scene: Scene,
): { readonly cover: number; readonly blurred: boolean } {
  const shared = intersect(placeOfItem(item), rect)!;
  const point = { x: shared.x + shared.width / 2, y: shared.y + shared.height / 2 };
  let shows = 1;
  let blurred = false;
  for (const above of scene.above(point, item)) {
    const { box, fragment } = above.node;
    if (fragment.kind !== 'box' || box.style.visibility !== 'visible') continue;
    if (isOf(item, elementOf(above) ?? panel)) continue;
    const style = scene.paintStyle(box);
    if (box.inner === 'replaced' || style.backgroundImage.length > 0) shows = 0;
    shows *= 1 - style.backgroundColor.a * (above.group?.opacity ?? 1);
    if (style.backdropFilter !== 'none' && /blur/.test(style.backdropFilter)) blurred = true;
  }
  return { cover: 1 - shows, blurred };
}
