import { closest, type ElementNode } from '../../html/index.js';
import { switchedBy } from '../../menus/index.js';
import { canTakeFocus } from '../../naming/index.js';
import type { Scene } from '../../scene/index.js';
import { defineCheck, onElement, type Observation } from '../define.js';
import { causeOf } from '../shared/causes.js';
import { focusMarks } from '../shared/marks.js';
import type { Subject } from '../subject.js';

/** Focus that changes nothing anyone could see. @spec WCAG 2.2 SC 2.4.7 */
export const noFocusMark = defineCheck(
  {
    id: 'no-focus-mark',
    title: 'Focus can be seen',
    weight: 'blocks',
    scope: 'menu',
    asks: { visitors: ['keyboard'], poses: 'opened', widths: 'ends' },
    explains: {
      means:
        'Whoever goes through the page by keyboard needs to see where they are. Without any mark of focus they press Enter at random.',
      rule: [
        'When an item or toggle takes focus, something that can be seen changes: a ring, a shadow, a colour, an underline, or a part that opens.',
        'Of a hidden checkbox or radio button its label has to show the mark.',
        'The ring browsers draw of themselves counts; outline: none takes it away.',
      ],
      faulty: 'a:focus { outline: none }',
      mended: 'a:focus-visible { outline: 3px solid #0b3d59; outline-offset: 2px }',
    },
    worse: null,
    messages: {
      unmarked: {
        says: 'Focus on {subject} changes nothing that can be seen. Whoever uses the keyboard does not know where they are.',
        mends:
          'Give it a mark for :focus-visible, for instance outline: 3px solid in a colour that stands out; take the rule away that removes the outline.',
        criteria: [{ number: '2.4.7', level: 'AA' }],
      },
    },
  },
  inspect,
);

function inspect(subject: Subject): readonly Observation[] {
  return subject.controls.flatMap((control): Observation[] => {
    const { element, scene, menus } = control;
    const box = switchedBy(element, scene.document);
    const holder = box ?? element;
    if (control.disabled || !canTakeFocus(holder, scene)) return [];
    // Where neither label nor box is in view the stop itself is the fault.
    if (box && scene.reach(box) === null && scene.reach(element) === null) return [];
    const marks = focusMarks(holder, subject);
    if (box ? isSeen(marks, subject.after({ by: 'focus', element: box })) : marks.length > 0) return [];
    const focused = subject.preview({ by: 'focus', element: holder }).styles.of(holder);
    const cause = box ? null : (causeOf(focused, 'outlineStyle') ?? causeOf(focused, 'outlineWidth'));
    return [
      {
        at: onElement(element),
        menus,
        state: 'focus',
        message: 'unmarked',
        data: { subject: control.subject },
        cause,
        ...(cause ? {} : { common: box ? 'no mark of a label' : 'no mark' }),
      },
    ];
  });
}

/** Whether any of some marks can be seen: hidden boxes often take focus for their labels. */
const isSeen = (marks: readonly ElementNode[], focused: Scene): boolean =>
  marks.some((e) => focused.reach(e) !== null && closest(e, (a) => focused.style(a).opacity === 0) === null);
