import { makersOf } from '../../css/index.js';
import { selectorOf, type ElementNode } from '../../html/index.js';
import type { Menu } from '../../menus/index.js';
import { scrollEnd, scrolledScene, type Scene } from '../../scene/index.js';
import { defineCheck, onElement, type Observation } from '../define.js';
import { menusAround } from '../shared/around.js';
import { causeOf } from '../shared/causes.js';
import { lostMenus } from '../shared/lost-menus.js';
import { holderOf, isResized } from '../shared/trapped.js';
import type { Subject } from '../subject.js';

/** Fixed parts that something around them holds. @spec css-position-3 §2.1 */
export const fixedTrapped = defineCheck(
  {
    id: 'fixed-trapped',
    title: 'Fixed parts keep to the screen',
    weight: 'hinders',
    scope: 'menu',
    asks: { visitors: ['mouse'], poses: 'opened', widths: 'ends' },
    explains: {
      means:
        'A fixed menu inside something transformed, filtered or contained keeps to that instead of the screen: it scrolls away, or its panel is as low as the bar it stands in.',
      rule: [
        'No fixed menu, panel or bar stands in an element whose transform, filter, backdrop-filter, perspective, containment or will-change makes it the box that fixed parts keep to, if that moves it with the page or gives it another size than the screen would.',
        'A holder that fills the screen and is itself fixed does no harm.',
      ],
      faulty: '.header { backdrop-filter: blur(8px) } .panel { position: fixed; inset: 0 }',
      mended: '.header::before { backdrop-filter: blur(8px) } .panel { position: fixed; inset: 0 }',
    },
    worse: null,
    messages: {
      moves: {
        says: '{element} is fixed but {holder} holds it ({why}): it scrolls away with the page.',
        mends: 'Move {element} out of {holder}, or take the {property} away.',
        criteria: [],
      },
      size: {
        says: '{element} is fixed but {holder} holds it ({why}): it is laid out in {width} × {height} px instead of the screen.',
        mends: 'Move {element} out of {holder}, or put the {property} on something that does not hold the panel.',
        criteria: [],
      },
    },
  },
  inspect,
);

const MAKERS = makersOf('containing');

function inspect(subject: Subject): readonly Observation[] {
  const { scene, menus, parts } = subject;
  const around = [...menusAround(menus)];
  const shown = around.flatMap(([element, own]) => {
    if (!isFixed(element, scene)) return [];
    // What an earlier pose shows is told there.
    if (parts.opened !== null && parts.before().isVisible(element)) return [];
    const message = effect(element, subject);
    return message ? trapped(element, own, scene, message) : [];
  });
  const never = lostMenus(subject).flatMap(({ after }) =>
    around.flatMap(([element, own]) =>
      isFixed(element, after) && !scene.isVisible(element) && isResized(element, after)
        ? trapped(element, own, after, 'size')
        : [],
    ),
  );
  return [...shown, ...never];
}

const isFixed = (element: ElementNode, scene: Scene): boolean =>
  scene.style(element).position === 'fixed' && scene.isVisible(element) && scene.rect(element) !== null;

function trapped(
  element: ElementNode,
  menus: readonly Menu[],
  scene: Scene,
  message: 'moves' | 'size',
): readonly Observation[] {
  const box = scene.box(element);
  const holder = box && holderOf(box);
  if (!holder?.element) return [];
  const reason = MAKERS.find(({ key, says }) => says(holder.style[key]) !== null);
  const cause = reason ? causeOf(scene.style(holder.element), reason.key) : null;
  const rect = scene.rect(holder.element);
  return [
    {
      at: onElement(element),
      menus,
      state: 'normal',
      message,
      data: {
        element: selectorOf(element),
        holder: selectorOf(holder.element),
        why: cause?.text ?? (reason ? String(reason.says(holder.style[reason.key])) : 'containment'),
        property: cause?.text.split(':')[0] ?? 'property',
        width: Math.round(rect?.width ?? 0),
        height: Math.round(rect?.height ?? 0),
      },
      cause,
    },
  ];
}

/** What being held does to a part; null where nothing holds it, or that does no harm. */
function effect(element: ElementNode, { scene, page, setting }: Subject): 'moves' | 'size' | null {
  const box = scene.box(element);
  if (!box || !holderOf(box)?.element) return null;
  const end = scrollEnd(scene);
  if (end >= 1) {
    const to = Math.min(end, 200);
    const later = scrolledScene(page, setting, to);
    const [before, after] = [scene.rect(element), later.rect(element)];
    if (before && after && Math.abs(after.y - before.y) < to / 2 && later.isVisible(element)) return 'moves';
  }
  return isResized(element, scene) ? 'size' : null;
}
