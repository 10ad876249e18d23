import { contrastRatio, compose } from '../../css/index.js';
import type { ComputedStyle } from '../../cascade/index.js';
import { figure } from '../../findings/index.js';
import { canTakeFocus } from '../../naming/index.js';
import { defineCheck, onElement, type Observation } from '../define.js';
import { causeOf } from '../shared/causes.js';
import { hexOf } from '../shared/colours.js';
import type { Control } from '../shared/controls.js';
import { focusMarks } from '../shared/marks.js';
import { groundOfRing, PLAIN_MARK, ringOf } from '../shared/rings.js';
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
        'The ring of a focused item has 3:1 against the ground around it, or something else that focus changes does.',
        'Looked at where the outline is the only mark and its colour is the page’s own; marks by pictures and parts that open are left out.',
      ],
      faulty: 'nav { background: #fff } a:focus { outline: 2px solid #cfe3ea }',
      mended: 'a:focus { outline: 2px solid #0b3d59 }',
    },
    worse: 'lower',
    messages: {
      weak: {
        says: 'The ring of {subject} with focus is {colour} on {ground}: {ratio}:1, less than 3:1. People with low vision do not see where they are.',
        mends: 'Choose a colour for the outline that reaches 3:1 against {ground}.',
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
  const ring = ringOf(after);
  if (!ring || !onlyRing(before, after)) return [];
  const ground = groundOfRing(element, after, scene);
  if (!ground) return [];
  const ratio = contrastRatio(compose(ring, ground), ground);
  if (ratio >= PLAIN_MARK) return [];
  return [
    {
      at: onElement(element),
      menus,
      state: 'focus',
      message: 'weak',
      data: {
        subject: control.subject,
        colour: hexOf(ring),
        ground: hexOf(ground),
        ratio: Math.floor(ratio * 100) / 100,
      },
      measured: figure(ratio, ':1'),
      needed: figure(PLAIN_MARK, ':1'),
      cause: causeOf(after, 'outlineColor'),
    },
  ];
}

function onlyRing(before: ComputedStyle, after: ComputedStyle): boolean {
  const same = (key: keyof ComputedStyle) => JSON.stringify(before[key]) === JSON.stringify(after[key]);
  return (
    [
      'color',
      'backgroundColor',
      'backgroundImage',
      'boxShadow',
      'textDecorationLine',
      'borderTopColor',
      'borderBottomColor',
      'borderBottomWidth',
      'fontWeight',
    ] as const
  ).every(same);
}
