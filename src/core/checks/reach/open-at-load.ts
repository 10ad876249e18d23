import { centre, intersect } from '../../base/index.js';
import { descendants, type ElementNode } from '../../html/index.js';
import type { Menu } from '../../menus/index.js';
import { subjectOf } from '../../naming/index.js';
import { poseAfter, setting, type Page, type Scene } from '../../scene/index.js';
import { defineCheck, onElement, type Observation } from '../define.js';
import type { Subject } from '../subject.js';

/** Panels that stand open over the page before anyone opened them. */
export const openAtLoad = defineCheck(
  {
    id: 'open-at-load',
    title: 'What opens on demand is closed at first',
    weight: 'hinders',
    scope: 'menu',
    asks: { visitors: ['mouse'], poses: 'rest', widths: 'bands' },
    leansOn: ['sheets', 'scripts'],
    explains: {
      means:
        'A panel that was left open in the markup lies over the page when it loads: people see a menu they did not ask for, and not what they came for.',
      rule: [
        'A panel that lies over the page and that its toggle or item closes is closed at rest.',
        'So is a main menu above the content whose toggle shows on narrow screens alone.',
        'Other parts that take room of their own, such as the open section of a side menu, are left out.',
      ],
      faulty: '<details class="menu" open>',
      mended: '<details class="menu">',
    },
    worse: null,
    messages: {
      open: {
        says: 'The panel of {subject} stands open when the page loads and lies over its content; a press on {subject} closes it.',
        mends: 'Ship it closed: without open, checked or the class that opens it, and with aria-expanded="false".',
        criteria: [],
      },
      unfolded: {
        says: 'The menu of {subject} stands open when the page loads and pushes its content down; a press on {subject} closes it.',
        mends: 'Ship it closed: without open, checked or the class that opens it, and with aria-expanded="false".',
        criteria: [],
      },
    },
  },
  inspect,
);

function inspect(subject: Subject): readonly Observation[] {
  const { scene, menus, page, setting: at } = subject;
  return menus.flatMap((menu) => {
    const items = menu.items.map((i) => i.element);
    const pairs = [
      ...menu.toggles.map(({ element }) => ({ handle: element, members: items, folds: folds(menu, element, page) })),
      ...menu.items.flatMap(({ element, submenu }) => {
        const within = submenu ? new Set(descendants(submenu)) : null;
        return within ? [{ handle: element, members: items.filter((e) => within.has(e)), folds: false }] : [];
      }),
    ];
    return pairs.flatMap(({ handle, members, folds }): Observation[] => {
      const shown = members.filter((e) => scene.seen(e) !== null);
      if (scene.reach(handle) === null || shown.length === 0) return [];
      const over = liesOver(shown[0]!, scene, handle);
      if (!over && !(folds && shown.length > 1 && isAbove(shown, scene))) return [];
      const pose = poseAfter(page, [{ by: 'press', element: handle }], at);
      if (pose.left) return [];
      const after = page.scene({ ...at, pose }, scene);
      if (shown.some((e) => after.reach(e) !== null)) return [];
      return [
        {
          at: onElement(handle),
          menus: [menu],
          state: 'normal',
          message: over ? 'open' : 'unfolded',
          data: { subject: subjectOf(handle, scene) },
        },
      ];
    });
  });
}

const WIDE = 1920;

/** Whether a main menu is behind a toggle on narrow screens alone. */
const folds = ({ kind }: Menu, toggle: ElementNode, page: Page): boolean =>
  kind === 'main' && page.scene(setting(WIDE)).reach(toggle) === null;

/** Whether the content of the page begins below the items. */
function isAbove(items: readonly ElementNode[], scene: Scene): boolean {
  const content = scene.document.elements.find(({ tag }) => tag === 'h1' || tag === 'main');
  const top = content && scene.rect(content)?.y;
  return top !== undefined && items.every((item) => (scene.rect(item)?.y ?? 0) <= top);
}

/** Whether an element stands in a part taken out of the flow that lies over text of the page. */
function liesOver(element: ElementNode, scene: Scene, handle: ElementNode): boolean {
  for (let e: ElementNode | null = element; e; e = e.parent) {
    const { position } = scene.style(e);
    if (position !== 'absolute' && position !== 'fixed') continue;
    const rect = scene.seen(e);
    const panel = e;
    if (!rect || panel === handle) return false;
    const inside = new Set<ElementNode>([panel, ...descendants(panel)]);
    return scene.document.elements.some((other) => {
      if (
        inside.has(other) ||
        other.elements.length > 0 ||
        !other.children.some((c) => c.kind === 'text' && c.data.trim() !== '')
      )
        return false;
      const own = scene.seen(other);
      const shared = own && intersect(own, rect);
      if (!shared) return false;
      const { x, y } = centre(shared);
      const top = scene.hit(x, y);
      return top !== null && inside.has(top);
    });
  }
  return false;
}
