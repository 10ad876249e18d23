import { isAncestorOrSelf, selectorOf, type ElementNode } from '../../html/index.js';
import { KIND_LABELS } from '../../menus/index.js';
import { nameOf, subjectOf } from '../../naming/index.js';
import { defineCheck, onElement, type Observation } from '../define.js';
import { isExposed, navigationLandmarks } from '../shared/landmarks.js';
import type { Subject } from '../subject.js';

/** Navigation landmarks that cannot be told apart. @spec WCAG 2.2 SC 1.3.1, wai-aria-1.2 (navigation) */
export const navUnlabelled = defineCheck(
  {
    id: 'nav-unlabelled',
    title: 'Navigation landmarks have names of their own',
    weight: 'polish',
    scope: 'page',
    asks: { visitors: ['mouse'], poses: 'rest', widths: 'ends' },
    leansOn: [],
    explains: {
      means:
        'A screen reader lists the landmarks of a page. Two that are both called “navigation” have to be entered to be told apart; a menu in none is not in the list.',
      rule: [
        'Where several navigation landmarks are there at one width, each has a name, and no two have the same one.',
        'The main menu stands in a navigation landmark.',
        'A landmark that shows only once something is opened counts.',
      ],
      faulty: '<nav>…</nav> … <footer><nav>…</nav></footer>',
      mended: '<nav aria-label="Main">…</nav> … <footer><nav aria-label="Foot">…</nav></footer>',
    },
    worse: null,
    messages: {
      nameless: {
        says: '{count} navigation landmarks are on the page, and this one has no name ({where}): a screen reader’s list does not tell them apart.',
        mends: 'Give each an aria-label or aria-labelledby that says what it is for.',
        criteria: [{ number: '1.3.1', level: 'A' }],
      },
      same: {
        says: 'Two navigation landmarks are both called “{name}”.',
        mends: 'Give each a name that says what it is for.',
        criteria: [{ number: '1.3.1', level: 'A' }],
      },
      outside: {
        says: 'The main menu ({where}) stands in no navigation landmark: whoever jumps from landmark to landmark does not find it.',
        mends: 'Put it into <nav>.',
        criteria: [{ number: '1.3.1', level: 'A' }],
      },
    },
  },
  inspect,
);

function inspect(subject: Subject): readonly Observation[] {
  const { scene, menus, routes } = subject;
  const there = navigationLandmarks(scene);
  const later = scene.document.elements.filter(
    (e) =>
      (e.tag === 'nav' || e.attributes.get('role') === 'navigation') &&
      !there.includes(e) &&
      routes.some((o) => [...o.shows].some((shown) => isAncestorOrSelf(e, shown))),
  );
  const all = [...there, ...later];
  const out: Observation[] = [];
  const say = (
    element: ElementNode,
    message: string,
    data: Readonly<Record<string, string | number>>,
    verdict?: 'look',
  ) =>
    out.push({
      at: onElement(element),
      menus: menus.filter((m) => isAncestorOrSelf(element, m.root)),
      state: 'normal',
      message,
      data,
      common: message,
      ...(verdict ? { verdict } : {}),
    });
  const names = all.map((e) => nameOf(e, scene).toLowerCase());
  all.forEach((element, i) => {
    if (all.length > 1 && names[i] === '')
      say(element, 'nameless', { count: all.length, where: subjectOf(element, scene) });
    else if (names[i] !== '' && names.indexOf(names[i]!) < i && !sameLinks(element, all[names.indexOf(names[i]!)]!))
      say(element, 'same', { name: nameOf(element, scene) });
  });
  for (const menu of menus)
    if (
      menu.kind === 'main' &&
      !menu.landmark &&
      menu.items.length >= 3 &&
      !all.some((e) => isAncestorOrSelf(e, menu.root)) &&
      isExposed(menu.root, scene)
    )
      say(
        menu.root,
        'outside',
        { where: KIND_LABELS[menu.kind] === menu.label ? selectorOf(menu.root) : menu.label },
        'look',
      );
  return out;
}

/** One menu in two places may well have one name. */
function sameLinks(one: ElementNode, other: ElementNode): boolean {
  const hrefs = (root: ElementNode): string =>
    root.elements
      .map((e) => `${e.attributes.get('href') ?? ''} ${hrefs(e)}`)
      .join(' ')
      .trim();
  return hrefs(one) === hrefs(other);
}
