import { descendants } from '../../html/index.js';
import { canTakeFocus, labelOf, nameOf, roleOf, subjectOf } from '../../naming/index.js';
import { controlOf } from '../../scene/index.js';
import { defineCheck, onElement, type Observation } from '../define.js';
import type { Subject } from '../subject.js';

/** Controls without a name. @spec WCAG 2.2 SC 4.1.2, 2.4.4 */
export const namelessControl = defineCheck(
  {
    id: 'nameless-control',
    title: 'Every control has a name',
    weight: 'blocks',
    scope: 'menu',
    asks: { visitors: ['mouse'], poses: 'opened', widths: 'ends' },
    leansOn: [],
    explains: {
      means: 'A screen reader says “button” or “link” and nothing else. Whoever listens does not know what it does.',
      rule: [
        'Every link, button and toggle of a menu that can take focus has an accessible name: text, the alt of its picture, aria-label, aria-labelledby or title.',
        'Icons of a font and decorative pictures are no name; a sign such as ☰ or × that names a button is looked at.',
      ],
      faulty: '<button class="burger"><span></span><span></span><span></span></button>',
      mended: '<button class="burger" aria-label="Menu">…</button>',
    },
    worse: null,
    messages: {
      nameless: {
        says: '{subject} has no name{why}: a screen reader only says what kind of control it is.',
        mends: 'Give it text, if need be visually hidden, or aria-label; a picture in it an alt.',
        criteria: [
          { number: '4.1.2', level: 'A' },
          { number: '2.4.4', level: 'A' },
        ],
      },
      sign: {
        says: '{subject} is named by a sign alone: screen readers read it out as “identical to”, as “multiplication” or not at all. Look whether it says what the control does.',
        mends: 'Name it in words by aria-label, and hide the sign with aria-hidden="true".',
        criteria: [{ number: '4.1.2', level: 'A' }],
      },
    },
  },
  inspect,
);

/** Neither letter nor digit. */
const SIGN = /^[^\p{L}\p{N}]+$/u;

function inspect(subject: Subject): readonly Observation[] {
  return subject.controls.flatMap(({ element, scene, menus, item }): Observation[] => {
    const control = element.tag === 'label' ? (controlOf(element, scene.document) ?? element) : element;
    const name = nameOf(control, scene, { ligatures: false, cased: false });
    const named = name !== '';
    const presses = item === null || element.tag === 'button' || roleOf(element, scene) === 'button';
    if (presses && SIGN.test(name))
      return [
        {
          at: onElement(element),
          menus,
          state: 'normal',
          message: 'sign',
          verdict: 'look',
          data: { subject: subjectOf(element, scene) },
        },
      ];
    const used =
      canTakeFocus(control, scene) || subject.menus.some((m) => m.toggles.some((t) => t.element === element));
    if (named || labelOf(element, scene) !== '' || !used || holdsUnknown(element)) return [];
    const words = subjectOf(element, scene);
    return [
      {
        at: onElement(element),
        menus,
        state: 'normal',
        message: 'nameless',
        data: {
          subject: words.replace(' without a name', ''),
          why: words.startsWith('“') ? ' where its words do not show' : '',
        },
      },
    ];
  });
}

/** Whether something in it may bring a name of its own that is not told by the markup. */
const holdsUnknown = (element: Parameters<typeof descendants>[0]): boolean =>
  [...descendants(element)].some((e) => ['iframe', 'object', 'slot'].includes(e.tag));
