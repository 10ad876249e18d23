import { closest, isAncestorOrSelf, type ElementNode } from '../../html/index.js';
import { subjectOf } from '../../naming/index.js';
import { poseAfter } from '../../scene/index.js';
import { defineCheck, onElement, type Observation } from '../define.js';
import type { Subject } from '../subject.js';

const roleWritten = (e: ElementNode): string => (e.attributes.get('role') ?? '').trim().toLowerCase();
const isMenuRole = (e: ElementNode): boolean => ['menu', 'menubar'].includes(roleWritten(e));
const isItemRole = (e: ElementNode): boolean => /^menuitem(radio|checkbox)?$/.test(roleWritten(e));
const ARROWS = ['ArrowDown', 'ArrowRight'];

/** Roles of application menus without their keys. @spec WCAG 2.2 SC 4.1.2, wai-aria-1.2 (menu, menubar) */
export const menuRoleMisuse = defineCheck(
  {
    id: 'menu-role-misuse',
    title: 'Menu roles come with their keys',
    weight: 'hinders',
    scope: 'page',
    asks: { visitors: ['keyboard'], poses: 'rest', widths: 'ends' },
    leansOn: ['scripts'],
    explains: {
      means:
        'role="menu" promises the keys of an application menu: arrows move, Escape closes. A screen reader hands the keys over to the page, and if the page does nothing with them, people are stuck.',
      rule: [
        'Where links of a site have the roles menu, menubar or menuitem, a script answers the arrow keys by moving focus, at every width at which the menu can be got to.',
        'Plain lists of links need none of these roles.',
      ],
      faulty: '<ul role="menubar"><li role="none"><a role="menuitem" href="fares.html">Fares</a></li></ul>',
      mended: '<ul><li><a href="fares.html">Fares</a></li></ul>',
    },
    worse: null,
    messages: {
      'no-keys': {
        says: '{subject} has the role {role}, and nothing answers the arrow keys there. A screen reader promises keys that do not work.',
        mends: 'Take the menu roles away: a list of links needs none. Or handle the arrow keys, Home, End and Escape.',
        criteria: [{ number: '4.1.2', level: 'A' }],
      },
    },
  },
  inspect,
);

function inspect(subject: Subject): readonly Observation[] {
  const { scene, menus } = subject;
  const outermost = scene.document.elements.filter(
    (e) => isMenuRole(e) && closest(e, (a) => a !== e && isMenuRole(a)) === null,
  );
  const lone = scene.document.elements.filter((e) => isItemRole(e) && closest(e, isMenuRole) === null);
  return [...outermost, ...lone.slice(0, 1)].flatMap((element): Observation[] => {
    const items = scene.document.elements.filter(
      (e) => isAncestorOrSelf(element, e) && (isItemRole(e) || e.tag === 'a'),
    );
    if (items.length === 0 || isElsewhere(element, items, subject) || answersArrows(items, subject)) return [];
    return [
      {
        at: onElement(element),
        menus: menus.filter((m) => isAncestorOrSelf(m.root, element) || isAncestorOrSelf(element, m.root)),
        state: 'normal',
        message: 'no-keys',
        data: { subject: subjectOf(element, scene), role: roleWritten(element) },
      },
    ];
  });
}

/** Whether it is out of reach, and so is every toggle of the menu it is: it is for other widths. */
function isElsewhere(element: ElementNode, items: readonly ElementNode[], { scene, menus, routes }: Subject): boolean {
  if (items.some((e) => scene.reach(e) !== null || routes.some(({ shows }) => shows.has(e)))) return false;
  const toggles = menus.filter(({ root }) => isAncestorOrSelf(element, root)).flatMap((menu) => menu.toggles);
  return toggles.length > 0 && toggles.every((toggle) => scene.reach(toggle.element) === null);
}

/** Whether an arrow key on the first entries moves focus or changes the page, or is listened to in a way that was not followed. */
function answersArrows(items: readonly ElementNode[], { page, setting: at }: Subject): boolean {
  const unread = page.limits.filter(({ kind }) => kind === 'unread').length > 0;
  return items.slice(0, 2).some((element) => {
    if (!page.hearing.of(element, ['keydown', 'keyup', 'keypress'])) return false;
    const near = closest(element, (e) => page.hearing.on(e, /^key(down|up|press)$/)) !== null;
    if (near && unread) return true;
    return ARROWS.some((key) => {
      const pose = poseAfter(page, [{ by: 'key', element, key }], at);
      return pose.focused !== undefined && pose.focused !== null && pose.focused !== element;
    });
  });
}
