import { containsFixed, type Box } from '../../boxes/index.js';
import { makersOf } from '../../css/index.js';
import { selectorOf, type ElementNode } from '../../html/index.js';
import { scrollEnd, scrolledScene, type Scene } from '../../scene/index.js';
import { defineCheck, onElement, type Observation } from '../define.js';
import { menusAround } from '../shared/around.js';
import { causeOf } from '../shared/causes.js';
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
  return [...menusAround(menus)].flatMap(([element, own]): Observation[] => {
    if (scene.style(element).position !== 'fixed' || !scene.isVisible(element) || !scene.rect(element)) return [];
    // What an earlier pose shows is told there.
    if (parts.opened !== null && parts.before().isVisible(element)) return [];
    const box = scene.box(element);
    const holder = box && holderOf(box);
    if (!holder?.element) return [];
    const message = effect(element, holder.element, subject);
    if (!message) return [];
    const reason = MAKERS.find(({ key, says }) => says(holder.style[key]) !== null);
    const cause = reason ? causeOf(scene.style(holder.element), reason.key) : null;
    const rect = scene.rect(holder.element);
    return [
      {
        at: onElement(element),
        menus: own,
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
  });
}

/** The nearest box around a fixed one that it keeps to; null for the screen. */
function holderOf(box: Box): Box | null {
  for (let b = box.parent; b?.parent; b = b.parent) if (containsFixed(b)) return b;
  return null;
}

/** What being held does to a part; null where it does no harm. */
function effect(element: ElementNode, holder: ElementNode, subject: Subject): 'moves' | 'size' | null {
  const { scene, page, setting } = subject;
  const end = scrollEnd(scene);
  if (end >= 1) {
    const to = Math.min(end, 200);
    const later = scrolledScene(page, setting, to);
    const [before, after] = [scene.rect(element), later.rect(element)];
    if (before && after && Math.abs(after.y - before.y) < to / 2 && later.isVisible(element)) return 'moves';
  }
  return isStretched(element, scene) && !fillsScreen(holder, scene) ? 'size' : null;
}

/** Whether the size of a part comes from what it keeps to. */
function isStretched(element: ElementNode, scene: Scene): boolean {
  const { top, bottom, left, right, height, width } = scene.style(element);
  const given = (value: unknown) => value !== 'auto';
  const share = (value: unknown) =>
    typeof value === 'object' && value !== null && 'percent' in value && value.percent !== 0;
  return (
    (given(top) && given(bottom) && !given(height)) ||
    share(height) ||
    (given(left) && given(right) && !given(width)) ||
    share(width)
  );
}

function fillsScreen(holder: ElementNode, scene: Scene): boolean {
  const rect = scene.rect(holder);
  const { width, height } = scene.medium;
  return rect !== null && rect.x <= 1 && rect.width >= width - 1 && rect.height >= height - 1;
}
