import { positionOf } from '../../base/index.js';
import { closest, isAncestorOrSelf, splitTokens, type ElementNode } from '../../html/index.js';
import type { Menu } from '../../menus/index.js';
import { subjectOf } from '../../naming/index.js';
import type { Scene } from '../../scene/index.js';
import { defineCheck, onElement, type Observation } from '../define.js';
import { endsOn, panelsOf } from '../shared/panels.js';
import type { Subject } from '../subject.js';

const LISTS = ['aria-controls', 'aria-labelledby', 'aria-describedby', 'aria-owns', 'aria-details'];
const SINGLE = ['popovertarget', 'commandfor'];

/** References to ids that are not there. @spec wai-aria-1.2 §6.2.3, WCAG 2.2 SC 4.1.2 */
export const danglingReference = defineCheck(
  {
    id: 'dangling-reference',
    title: 'References lead to what they mean',
    weight: 'hinders',
    scope: 'menu',
    asks: { visitors: ['mouse'], poses: 'rest', widths: 'bands' },
    leansOn: [],
    explains: {
      means:
        'aria-labelledby and its like tie parts of the page together by ids. Where the id does not exist, the name or the tie is simply missing, and nobody sees it.',
      rule: [
        'Every id that aria-controls, -labelledby, -describedby, -owns, -details, popovertarget, commandfor and the for of a label name in a menu exists on the page.',
        'The id in aria-controls of a toggle is that of the part it opens, or of something around or in it.',
        'An aria-controls whose panel a script makes is left out where the page says so (aria-haspopup).',
      ],
      faulty: '<nav aria-labelledby="departments"> with <h2 id="depts-title">',
      mended: '<nav aria-labelledby="depts-title">',
    },
    worse: null,
    messages: {
      missing: {
        says: '{subject}: {attribute}="{id}" names an id that is not on the page. {effect}',
        mends: 'Write the id of the element that is meant, or take the attribute away.',
        criteria: [{ number: '4.1.2', level: 'A' }],
      },
      elsewhere: {
        says: '{subject}: aria-controls="{id}" names an element, but what opens is another one ({opens}).',
        mends: 'Write the id of the part that opens.',
        criteria: [{ number: '4.1.2', level: 'A' }],
      },
    },
  },
  (subject) => [...missing(subject), ...elsewhere(subject)],
);

function missing({ scene, menus }: Subject): readonly Observation[] {
  const { document } = scene;
  return document.elements.flatMap((element): Observation[] => {
    const menu = menus.find((m) => belongs(element, m));
    if (!menu) return [];
    const named = [
      ...LISTS.flatMap((attribute) =>
        splitTokens(scene.attribute(element, attribute) ?? '').map((id) => ({ attribute, id })),
      ),
      ...[...SINGLE, ...(element.tag === 'label' ? ['for'] : [])].flatMap((attribute) => {
        const id = scene.attribute(element, attribute)?.trim();
        return id ? [{ attribute, id }] : [];
      }),
    ];
    return named.flatMap(({ attribute, id }): Observation[] => {
      if (scene.byId(id) !== null || (attribute === 'aria-controls' && mayBeMade(element, scene))) return [];
      const span = element.attributeSpan(attribute);
      return [
        {
          at: onElement(element),
          menus: [menu],
          state: 'normal',
          message: 'missing',
          data: { subject: subjectOf(element, scene), attribute, id, effect: effectOf(attribute) },
          common: `${attribute} ${id}`,
          cause: span
            ? { selector: null, text: span.source.text.slice(span.start, span.end), at: positionOf(span) }
            : null,
        },
      ];
    });
  });
}

const belongs = (element: ElementNode, menu: Menu): boolean =>
  isAncestorOrSelf(menu.root, element) ||
  menu.toggles.some((t) => t.element === element) ||
  closest(menu.root, (e) => e === element && (e.tag === 'nav' || e.attributes.get('role') === 'navigation')) !== null;

/** A closed pop-up may be made when it opens. */
const mayBeMade = (element: ElementNode, scene: Scene): boolean =>
  scene.attribute(element, 'aria-haspopup') !== undefined && scene.attribute(element, 'aria-expanded') === 'false';

const EFFECTS: Readonly<Record<string, string>> = {
  'aria-labelledby': 'The name it should give is missing.',
  'aria-describedby': 'The description it should give is missing.',
  popovertarget: 'Pressing it does nothing.',
  commandfor: 'Pressing it does nothing.',
  for: 'Pressing the label does nothing.',
};
const effectOf = (attribute: string): string => EFFECTS[attribute] ?? 'Whoever follows it gets nowhere.';

function elsewhere(subject: Subject): readonly Observation[] {
  const { scene } = subject;
  return panelsOf(subject).flatMap(({ handle, menu, openings, hidden }): Observation[] => {
    const ids = splitTokens(scene.attribute(handle, 'aria-controls') ?? '');
    const targets = ids.flatMap((id) => scene.byId(id) ?? []);
    const opening = openings.find((o) => endsOn(o, handle, 'press', 'key'));
    const shown = opening ? hidden.filter((e) => opening.shows.has(e)) : [];
    if (targets.length === 0 || shown.length === 0) return [];
    if (targets.some((t) => shown.some((e) => isAncestorOrSelf(t, e) || isAncestorOrSelf(e, t)))) return [];
    return [
      {
        at: onElement(handle),
        menus: [menu],
        state: 'normal',
        message: 'elsewhere',
        data: { subject: subjectOf(handle, scene), id: ids.join(' '), opens: subjectOf(shown[0]!, scene) },
      },
    ];
  });
}
