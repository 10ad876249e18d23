import { bottom, grouped, right, unite, type Rect } from '../../base/index.js';
import { closest, isAncestorOrSelf, type ElementNode } from '../../html/index.js';
import { isEdge, type Menu } from '../../menus/index.js';
import { subjectOf, tabIndexOf, tabOrder } from '../../naming/index.js';
import type { Scene } from '../../scene/index.js';
import { defineCheck, onElement, type Observation } from '../define.js';
import { causeOf } from '../shared/causes.js';
import { shownPanels } from '../shared/shown-panels.js';
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
        'Menus, the name of the site and buttons side by side at the head of the page, and panels and what opens them, are looked at the same way.',
        'Of other items only those of one list are compared; positive tabindex is a fault of its own.',
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
      apart: {
        says: 'Tab goes from {before} back to {subject}, which stands before it at the head of the page. Look whether whoever follows focus loses the thread.',
        mends: 'Bring the order of the two in the markup and on the screen together.',
        criteria: [{ number: '2.4.3', level: 'A' }],
      },
      behind: {
        says: 'What {subject} opens stands after it on the screen and before it in the order of Tab: whoever opens it and goes on by Tab passes it by.',
        mends: 'Put the part that opens behind its button in the markup, or let the script move focus into it.',
        criteria: [{ number: '2.4.3', level: 'A' }],
      },
    },
  },
  (subject) => {
    const stops = tabOrder(subject.scene).filter((e) => (tabIndexOf(e, subject.scene) ?? 0) <= 0);
    const within = subject.menus.flatMap((menu) =>
      groupsOf(menu).flatMap((group) => observe(group, menu, stops, subject)),
    );
    return [
      ...within,
      ...(subject.parts.opened === null
        ? [...apart(stops, subject), ...afterContent(stops, subject)]
        : behind(stops, subject)),
    ];
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

/** What stands further down belongs to the content, px. */
const HEAD = 240;
const HEADS: ReadonlySet<string> = new Set(['header', 'nav', 'aside']);

const outOfOrder = (element: ElementNode, before: ElementNode, menu: Menu, scene: Scene): Observation => ({
  at: onElement(element),
  menus: [menu],
  state: 'normal',
  message: 'apart',
  verdict: 'look',
  data: { subject: subjectOf(element, scene), before: subjectOf(before, scene) },
});

/** Stops at the head of the page, one of them an item, of which the later one stands before the earlier one. */
function apart(stops: readonly ElementNode[], { menus, scene }: Subject): Observation[] {
  const own = new Map(menus.flatMap((menu) => menu.items.map((item) => [item.element, { menu, item }] as const)));
  const seen = stops.flatMap((element) => {
    const rect = scene.seen(element);
    const atHead = closest(element, (e) => HEADS.has(e.tag) || isEdge(e) || own.has(e)) !== null;
    return rect && atHead && bottom(rect) <= HEAD ? [{ element, rect, of: own.get(element) }] : [];
  });
  const told = new Set<Menu>();
  return seen.slice(1).flatMap((here, i): Observation[] => {
    const before = seen[i]!;
    const one = here.of ?? before.of;
    const together = here.of && before.of && (here.of.menu === before.of.menu || here.of.item.parent !== null);
    if (!one || together || told.has(one.menu)) return [];
    if (!goesBack(before.rect, here.rect, scene.style(one.menu.root).direction === 'rtl')) return [];
    told.add(one.menu);
    return [outOfOrder(here.element, before.element, one.menu, scene)];
  });
}

/** A main menu across the head of the page that Tab comes to after links of the content below it. */
function afterContent(stops: readonly ElementNode[], { menus, scene }: Subject): Observation[] {
  return menus.flatMap((menu): Observation[] => {
    const own = menu.kind === 'main' ? stops.filter((e) => isAncestorOrSelf(menu.root, e) && scene.seen(e)) : [];
    const rect = own.length > 1 ? own.map((e) => scene.seen(e)!).reduce(unite) : null;
    if (!rect || bottom(rect) > HEAD) return [];
    const before = stops.slice(0, stops.indexOf(own[0]!)).findLast((e) => {
      const at = closest(e, ({ tag }) => tag === 'main') && scene.seen(e);
      return at && at.y >= bottom(rect) && at.x < right(rect) && right(at) > rect.x;
    });
    return before ? [outOfOrder(own[0]!, before, menu, scene)] : [];
  });
}

/** Opened panels that Tab has passed by when it comes to what opens them. */
function behind(stops: readonly ElementNode[], subject: Subject): Observation[] {
  const { scene, setting: at } = subject;
  const focused = at.pose.focused ?? null;
  return shownPanels(subject).flatMap(({ root, handle, menu, controls }): Observation[] => {
    const from = handle ? stops.indexOf(handle) : -1;
    const places = controls.map((e) => stops.indexOf(e)).filter((i) => i >= 0);
    if (!handle || from < 0 || places.length === 0 || places.some((i) => i > from)) return [];
    if (focused && isAncestorOrSelf(root, focused)) return [];
    const [own, panel] = [scene.seen(handle), scene.seen(controls[0]!)];
    if (!own || !panel || !goesBack(panel, own, scene.style(menu.root).direction === 'rtl')) return [];
    return [
      {
        at: onElement(handle),
        menus: [menu],
        state: 'normal',
        message: 'behind',
        verdict: 'look',
        data: { subject: subjectOf(handle, scene) },
      },
    ];
  });
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
