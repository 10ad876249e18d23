import { grouped } from '../../base/index.js';
import { isAncestorOrSelf, splitTokens, type ElementNode } from '../../html/index.js';
import { subjectOf } from '../../naming/index.js';
import { defineCheck, onElement, type Observation } from '../define.js';
import type { Subject } from '../subject.js';

/** Ids that stand more than once. @spec html §3.2.6 (the id attribute) */
export const repeatedId = defineCheck(
  {
    id: 'repeated-id',
    title: 'An id stands once',
    weight: 'polish',
    scope: 'page',
    asks: { visitors: ['mouse'], poses: 'rest', widths: 'ends' },
    leansOn: [],
    explains: {
      means:
        'Labels, toggles and links find their target by its id. Of two elements with one id they find the first, which is often the hidden copy of the menu.',
      rule: [
        'No id that a menu has or refers to stands on two elements.',
        'Ids in pictures (svg) that nothing outside refers to are left out.',
      ],
      faulty: '<ul id="menu">…</ul> … <ul id="menu">…</ul>',
      mended: '<ul id="menu">…</ul> … <ul id="menu-narrow">…</ul>',
    },
    worse: null,
    messages: {
      repeated: {
        says: 'The id “{id}” stands {count} times on the page: what refers to it finds the first one only.',
        mends: 'Give each element an id of its own, and mend what refers to it.',
        criteria: [],
      },
    },
  },
  inspect,
);

const REFERRING = [
  'aria-controls',
  'aria-labelledby',
  'aria-describedby',
  'aria-owns',
  'for',
  'popovertarget',
  'commandfor',
];

function inspect({ scene, menus }: Subject): readonly Observation[] {
  const byId = grouped(scene.document.elements, ({ id }) => id ?? '');
  byId.delete('');
  const referred = new Set<string>();
  for (const element of scene.document.elements) {
    for (const name of REFERRING) for (const one of splitTokens(element.attributes.get(name) ?? '')) referred.add(one);
    const href = element.attributes.get('href');
    if (href?.startsWith('#')) referred.add(href.slice(1));
  }
  const inMenu = (e: ElementNode) =>
    menus.some(
      (m) =>
        isAncestorOrSelf(m.root, e) ||
        m.items.some((i) => i.element === e || i.submenu === e) ||
        m.toggles.some((t) => t.element === e),
    );
  return [...byId].flatMap(([id, all]): Observation[] => {
    const [, second] = all;
    if (!second) return [];
    if (!(referred.has(id) || all.some(inMenu)) || (all.every((e) => e.namespace === 'svg') && !referred.has(id)))
      return [];
    return [
      {
        at: onElement(second),
        menus: menus.filter((m) => all.some((e) => m.root === e)),
        state: 'normal',
        message: 'repeated',
        data: { id, count: all.length, subject: subjectOf(second, scene) },
      },
    ];
  });
}
