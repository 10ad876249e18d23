import { canTakeFocus } from '../../naming/index.js';
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
    if (control.disabled || !canTakeFocus(element, scene)) return [];
    if (focusMarks(element, subject).length > 0) return [];
    const focused = subject.preview({ by: 'focus', element }).styles.of(element);
    const cause = causeOf(focused, 'outlineStyle') ?? causeOf(focused, 'outlineWidth');
    return [
      {
        at: onElement(element),
        menus,
        state: 'focus',
        message: 'unmarked',
        data: { subject: control.subject },
        cause,
        ...(cause ? {} : { common: 'no mark' }),
      },
    ];
  });
}
