import type { ElementNode } from '../../html/index.js';
import { subjectOf, tabOrder } from '../../naming/index.js';
import { poseAfter, type Scene } from '../../scene/index.js';
import { defineCheck, onElement, type Observation } from '../define.js';
import { addressOf } from '../shared/addresses.js';
import { byKeys, byPointer, holds, isHoverOnly, panelsOf } from '../shared/panels.js';
import type { Subject } from '../subject.js';
import { pressOnly } from './press-only-control.js';

/** Destinations a menu shows and the keyboard does not get to. @spec WCAG 2.2 SC 2.1.1 */
export const unreachableLink = defineCheck(
  {
    id: 'unreachable-link',
    title: 'The keyboard gets to every link of the menu',
    weight: 'blocks',
    scope: 'menu',
    asks: { visitors: ['mouse'], poses: 'rest', widths: 'bands' },
    leansOn: ['sheets', 'scripts'],
    explains: {
      means:
        'Whoever cannot use a pointer goes from link to link by Tab. A link that Tab never stops at is not there for them.',
      rule: [
        'Every link that shows, at rest or once something is opened, is a stop of the Tab key or comes into view by focus, Enter or Space.',
        'Left out: links whose destination another link of the menu leads to, entries the arrow keys of a script move to, and what a fault of its opener explains.',
      ],
      faulty: '<a href="fares.html" tabindex="-1">Fares</a>',
      mended: '<a href="fares.html">Fares</a>',
    },
    worse: null,
    messages: {
      'never-focused': {
        says: '{subject} shows and the Tab key never stops at it{why}. Whoever uses a keyboard cannot get to {href}.',
        mends: 'Take away what keeps focus off it (tabindex="-1", inert), or let a key open what it stands in.',
        criteria: [{ number: '2.1.1', level: 'A' }],
      },
    },
  },
  inspect,
);

function inspect(subject: Subject): readonly Observation[] {
  const { scene, menus, routes, page } = subject;
  const stops = new Set(tabOrder(scene));
  const panels = panelsOf(subject);
  const told = panels.filter((panel) => isHoverOnly(panel, subject) || pressOnly(panel.handle, subject) !== null);
  const posed = new Map<string, ReadonlySet<ElementNode>>();
  const stopsAfter = (opening: (typeof routes)[number]): ReadonlySet<ElementNode> => {
    let known = posed.get(opening.text);
    if (!known) {
      const pose = poseAfter(page, opening.moves, subject.setting);
      posed.set(opening.text, (known = new Set(tabOrder(page.scene({ ...subject.setting, pose })))));
    }
    return known;
  };
  const reached = (element: ElementNode): boolean =>
    stops.has(element) || routes.some((o) => byKeys(o) && o.shows.has(element) && stopsAfter(o).has(element));
  const shown = (element: ElementNode): boolean =>
    scene.reach(element) !== null || routes.some((o) => byPointer(o) && o.shows.has(element));
  const destinations = new Set(
    menus.flatMap((menu) => menu.items.filter((i) => i.href && reached(i.element)).map((i) => i.href!)),
  );
  return menus.flatMap((menu) =>
    menu.items.flatMap(({ element, href }): Observation[] => {
      if (element.tag !== 'a' || addressOf(element).kind !== 'page' || !shown(element) || reached(element)) return [];
      if (
        destinations.has(href ?? '') ||
        told.some((panel) => holds(panel, element)) ||
        movesByArrows(element, subject)
      )
        return [];
      return [
        {
          at: onElement(element),
          menus: [menu],
          state: 'normal',
          message: 'never-focused',
          data: { subject: subjectOf(element, scene), href: `“${href ?? ''}”`, why: whyOf(element, scene) },
          common: `unreachable ${menu.id} ${whyOf(element, scene)}`,
        },
      ];
    }),
  );
}

function whyOf(element: ElementNode, scene: Scene): string {
  if (/^\s*-/.test(scene.attribute(element, 'tabindex') ?? '')) return ': its tabindex is negative';
  for (let e: ElementNode | null = element; e; e = e.parent)
    if (scene.attribute(e, 'inert') !== undefined) return ': it lies in an inert part';
  return '';
}

/** Whether keys are listened to where the element stands: a script may move focus there. */
const movesByArrows = (element: ElementNode, { page }: Subject): boolean => {
  for (let e: ElementNode | null = element; e; e = e.parent)
    if (page.hearing.on(e, /^key(down|up|press)$/)) return true;
  return false;
};
