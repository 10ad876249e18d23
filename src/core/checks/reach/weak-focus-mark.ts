import { figure } from '../../findings/index.js';
import { canTakeFocus } from '../../naming/index.js';
import { defineCheck, onElement, type Observation } from '../define.js';
import { causeOf } from '../shared/causes.js';
import { hexOf } from '../shared/colours.js';
import type { Control } from '../shared/controls.js';
import { focusMarks } from '../shared/marks.js';
import { measuredMarks, PLAIN_MARK, strongest, type Mark } from '../shared/rings.js';
import type { Subject } from '../subject.js';

/** Marks of focus that hardly stand out. @spec WCAG 2.2 SC 1.4.11 */
export const weakFocusMark = defineCheck(
  {
    id: 'weak-focus-mark',
    title: 'The mark of focus stands out',
    weight: 'hinders',
    scope: 'menu',
    asks: { visitors: ['keyboard'], poses: 'opened', widths: 'ends' },
    explains: {
      means: 'A pale ring on a pale ground is there and still not seen by people with low vision, or in sunlight.',
      rule: [
        'The ring, shadow, ground or border that focus gives an item has 3:1 against what is around it; one of them is enough.',
        'Left out: browsers’ own rings, and items of which something else changes too, such as the text, a picture or a part that opens.',
      ],
      faulty: 'nav { background: #fff } a:focus { outline: 2px solid #cfe3ea }',
      mended: 'a:focus { outline: 2px solid #0b3d59 }',
    },
    worse: 'lower',
    messages: {
      weak: {
        says: 'The {what} of {subject} with focus is {colour} on {ground}: {ratio}:1, less than 3:1, and nothing else changes. People with low vision do not see where they are.',
        mends: 'Choose a colour for it that reaches 3:1 against {ground}, or add an outline that does.',
        criteria: [{ number: '1.4.11', level: 'AA' }],
      },
    },
  },
  (subject) => subject.controls.flatMap((control) => observe(control, subject)),
);

function observe(control: Control, subject: Subject): Observation[] {
  const { element, scene, menus } = control;
  if (control.disabled || !canTakeFocus(element, scene)) return [];
  const [only, ...others] = focusMarks(element, subject);
  if (only !== element || others.length > 0) return [];
  const before = scene.style(element);
  const after = subject.preview({ by: 'focus', element }).styles.of(element);
  const mark = strongest(measuredMarks(element, before, after, scene));
  if (!mark || mark.ratio >= PLAIN_MARK) return [];
  return [
    {
      at: onElement(element),
      menus,
      state: 'focus',
      message: 'weak',
      data: {
        what: WORDS[mark.by],
        subject: control.subject,
        colour: hexOf(mark.colour),
        ground: hexOf(mark.ground),
        ratio: Math.floor(mark.ratio * 100) / 100,
      },
      measured: figure(mark.ratio, ':1'),
      needed: figure(PLAIN_MARK, ':1'),
      cause: causeOf(after, mark.by),
    },
  ];
}

const WORDS: Readonly<Record<Mark['by'], string>> = {
  outlineColor: 'ring',
  boxShadow: 'shadow',
  backgroundColor: 'ground',
  borderTopColor: 'border',
  borderRightColor: 'border',
  borderBottomColor: 'border',
  borderLeftColor: 'border',
};
