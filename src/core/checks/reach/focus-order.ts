import { bottom, grouped, right, type Rect } from '../../base/index.js';
import type { ElementNode } from '../../html/index.js';
import type { Menu } from '../../menus/index.js';
import { subjectOf, tabIndexOf, tabOrder } from '../../naming/index.js';
import { defineCheck, onElement, type Observation } from '../define.js';
import { causeOf } from '../shared/causes.js';
import type { Subject } from '../subject.js';

/** Tab order against the order one sees. @spec WCAG 2.2 SC 2.4.3 */
export const focusOrder = defineCheck(
  {
    id: 'focus-order',
    title: 'Tab goes through the menu in the order one sees',
    weight: 'hinders',
    scope: 'menu',
    asks: { visitors: ['keyboard'], poses: 'opened', widths: 'ends' },
    explains: {
      means:
        'When the keyboard jumps back and forth through a row, people lose the thread, most of all those who see little of the screen at once.',
      rule: [
        'From one item of a menu to the next, Tab goes on in the direction of reading: along a line, then to the next line or column.',
        'Items of one list are compared with each other only; positive tabindex is a fault of its own.',
      ],
      faulty: 'nav ul { display: flex; flex-direction: row-reverse }',
      mended: 'nav ul { display: flex; justify-content: flex-end }',
    },
    worse: null,
    messages: {
      backwards: {
        says: 'Tab goes from {before} back to {subject}, which stands before it. Whoever follows focus through the menu loses the thread.',
        mends:
          'Bring the order of the markup and the order on the screen together; take away order, row-reverse or the float that turns them.',
        criteria: [{ number: '2.4.3', level: 'A' }],
      },
    },
  },
  (subject) => {
    const stops = tabOrder(subject.scene).filter((e) => (tabIndexOf(e, subject.scene) ?? 0) <= 0);
    return subject.menus.flatMap((menu) => groupsOf(menu).flatMap((group) => observe(group, menu, stops, subject)));
  },
);

/** Items that stand together: of one level below one parent. */
const groupsOf = (menu: Menu): readonly (readonly ElementNode[])[] =>
  [...grouped(menu.items, ({ parent }) => parent).values()].map((items) => items.map(({ element }) => element));

function observe(
  group: readonly ElementNode[],
  menu: Menu,
  stops: readonly ElementNode[],
  subject: Subject,
): Observation[] {
  const { scene } = subject;
  const own = new Set(group);
  const seen = stops.flatMap((element) => {
    const rect = own.has(element) ? scene.seen(element) : null;
    return rect && subject.controls.some((c) => c.element === element) ? [{ element, rect }] : [];
  });
  const rtl = scene.style(menu.root).direction === 'rtl';
  for (let i = 1; i < seen.length; i++) {
    const [before, here] = [seen[i - 1]!, seen[i]!];
    if (!goesBack(before.rect, here.rect, rtl)) continue;
    const list = here.element.parent?.tag === 'li' ? here.element.parent.parent : here.element.parent;
    const style = scene.style(list ?? here.element);
    return [
      {
        at: onElement(here.element),
        menus: [menu],
        state: 'normal',
        message: 'backwards',
        data: { before: subjectOf(before.element, scene), subject: subjectOf(here.element, scene) },
        cause:
          causeOf(scene.style(here.element.parent ?? here.element), 'order') ?? causeOf(style, 'flexDirection') ?? null,
      },
    ];
  }
  return [];
}

/** Whether the second of two boxes stands before the first: earlier on its line, or above it and no column further. */
function goesBack(one: Rect, other: Rect, rtl: boolean): boolean {
  const shared = Math.min(bottom(one), bottom(other)) - Math.max(one.y, other.y);
  const line = shared > Math.min(one.height, other.height) / 2;
  if (line) return rtl ? other.x >= right(one) - 1 : right(other) <= one.x + 1;
  const above = bottom(other) <= one.y + 1;
  const nextColumn = rtl ? right(other) <= one.x + 1 : other.x >= right(one) - 1;
  return above && !nextColumn;
}
