import { closest, collapseSpace, textContent, type ElementNode } from '../../html/index.js';
import type { Menu, MenuItem } from '../../menus/index.js';
import { subjectOf } from '../../naming/index.js';
import type { Scene } from '../../scene/index.js';
import { defineCheck, onElement, type Observation } from '../define.js';
import { isGuessed } from '../shared/current-looks.js';
import { looksDifferent } from '../shared/marks.js';
import type { Subject } from '../subject.js';

/** The current page shown by look alone. @spec WCAG 2.2 SC 1.3.1, wai-aria-1.2 (aria-current) */
export const currentUnmarked = defineCheck(
  {
    id: 'current-unmarked',
    title: 'The current page is marked for those who do not see it',
    weight: 'polish',
    scope: 'menu',
    asks: { visitors: ['mouse'], poses: 'opened', widths: 'ends' },
    explains: {
      means: 'A bold or coloured entry tells where one is to those who see it. aria-current tells the others.',
      rule: [
        'The entry that a class marks as the current page and that looks different from its neighbours has aria-current.',
        'Where no class marks one, an entry that leads to this page and looks different from all others is looked at.',
        'Where hidden text says it, a person has to look. An entry that is no link needs none.',
      ],
      faulty: '<a class="active" href="fares.html">Fares</a>',
      mended: '<a class="active" aria-current="page" href="fares.html">Fares</a>',
    },
    worse: null,
    messages: {
      unmarked: {
        says: '{subject} is shown as the current page by its looks alone: no aria-current tells a screen reader.',
        mends: 'Give it aria-current="page".',
        criteria: [{ number: '1.3.1', level: 'A' }],
      },
    },
  },
  (subject) => subject.menus.flatMap((menu) => menu.items.flatMap((item) => observe(item, menu, subject))),
);

function observe(item: MenuItem, menu: Menu, subject: Subject): Observation[] {
  const { scene, controls } = subject;
  const { element } = item;
  const guessed = item.current === null && isGuessed(item, menu, subject);
  if ((item.current?.by !== 'class' && !guessed) || !controls.some((c) => c.element === element)) return [];
  if (element.tag !== 'a' || !element.attributes.has('href')) return [];
  if (
    closest(
      element,
      (e) =>
        (scene.attribute(e, 'aria-current') ?? 'false') !== 'false' || scene.attribute(e, 'aria-selected') === 'true',
    )
  )
    return [];
  // Of two of which one is hidden nobody sees how they differ.
  const isShown = (e: ElementNode) => scene.reach(e) !== null;
  const beside = menu.items.filter(
    (i) => i !== item && i.parent === item.parent && i.current === null && isShown(i.element) === isShown(element),
  );
  // A button looks like a button, wherever it stands: only links tell how links usually look.
  const others = guessed ? beside.filter((i) => i.element.tag === 'a') : beside;
  if (others.length < (guessed ? 2 : 1) || !others.every((i) => standsOut(element, i.element, scene))) return [];
  const isUsual = (i: MenuItem) => scene.reach(i.element) !== null && !standsOut(i.element, others[0]!.element, scene);
  if (guessed && !others.every(isUsual)) return [];
  const told = guessed || /\b(current|here)\b/i.test(collapseSpace(textContent(element)));
  return [
    {
      at: onElement(element),
      menus: [menu],
      state: 'current',
      message: 'unmarked',
      data: { subject: subjectOf(element, scene) },
      ...(told ? { verdict: 'look' as const } : {}),
    },
  ];
}

const entryOf = (e: ElementNode): ElementNode | null => (e.parent?.tag === 'li' ? e.parent : null);

/** Whether an item looks different from another one: itself, its entry, or what is generated in it. */
function standsOut(one: ElementNode, other: ElementNode, scene: Scene): boolean {
  const differs = (a: ElementNode, b: ElementNode) => looksDifferent(scene.style(a), scene.style(b));
  const [a, b] = [entryOf(one), entryOf(other)];
  return (
    differs(one, other) ||
    (a !== null && b !== null && differs(a, b)) ||
    (['before', 'after'] as const).some((name) =>
      looksDifferent(scene.styles.pseudo(one, name), scene.styles.pseudo(other, name)),
    )
  );
}
