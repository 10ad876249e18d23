import type { State } from '../../findings/index.js';
import { defineCheck, onElement, type Observation } from '../define.js';
import type { Control } from '../shared/controls.js';
import { readInk, shortName, type Unknown } from '../shared/ink.js';
import { textsIn } from '../shared/texts.js';
import type { Subject } from '../subject.js';

/** Text over pictures, whose pixels are not known: a person has to look. @spec WCAG 2.2 SC 1.4.3 */
export const textOverImage = defineCheck(
  {
    id: 'text-over-image',
    title: 'Menu text over pictures is looked at by a person',
    weight: 'hinders',
    scope: 'menu',
    asks: { visitors: ['mouse'], poses: 'opened', widths: 'inside' },
    explains: {
      means:
        'On a picture some letters lie over light parts and some over dark ones. Whether all can be read hangs on the pixels, and on the picture that is there next month.',
      rule: [
        'An item or toggle whose text lies on a picture, on blurred content or on anything else whose colours style sheets do not tell is named once a picture, with the place to look at.',
        'An opaque ground between the two settles it.',
      ],
      faulty: '.hero { background: url(harbour.jpg) } .hero nav a { color: #fff }',
      mended: '.hero nav { background: #0b2e3c }',
    },
    worse: null,
    messages: {
      unknown: {
        says: '{subject} lies on something whose colours cannot be told from the style sheets ({what}). It may be hard to read.',
        mends:
          'Look at the text where the picture beneath it is lightest and darkest, or put a solid ground behind it.',
        criteria: [{ number: '1.4.3', level: 'AA' }],
      },
    },
  },
  (subject) => subject.controls.filter((control) => !control.disabled).flatMap((control) => observe(control, subject)),
);

function observe(control: Control, subject: Subject): Observation[] {
  const { scene } = subject;
  const unknown = textsIn(control.element, scene)
    .map((item) => readInk(item, scene, 1))
    .find((reading): reading is Unknown => reading !== null && 'what' in reading);
  if (!unknown) return [];
  const state: State = subject.stateOf(control);
  return [
    {
      at: onElement(control.element),
      menus: control.menus,
      state,
      message: 'unknown',
      verdict: 'look',
      data: { subject: control.subject, what: shortName(unknown.what) },
      common: unknown.what,
    },
  ];
}
