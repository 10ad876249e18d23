import { figure } from '../../findings/index.js';
import { defineCheck, onElement, type Observation } from '../define.js';
import { causeOf } from '../shared/causes.js';
import { hexOf } from '../shared/colours.js';
import type { Control } from '../shared/controls.js';
import { currentBeside } from '../shared/current-looks.js';
import { floorRatio } from '../shared/ink.js';
import { labelOf } from '../../naming/index.js';
import type { Subject } from '../subject.js';
import { NOTICED } from './faint-state.js';

const NEEDED = 3;

/** A current page shown by a colour alone. @spec WCAG 2.2 SC 1.4.1 */
export const colourOnlyCurrent = defineCheck(
  {
    id: 'colour-only-current',
    title: 'The current page is not shown by colour alone',
    weight: 'hinders',
    scope: 'menu',
    asks: { visitors: ['mouse'], poses: 'opened', widths: 'ends' },
    explains: {
      means: 'People who do not tell these two colours apart do not see where they are.',
      rule: [
        'The item of the current page differs from its neighbours by more than a colour: by weight, underline, border or a mark; or the two colours differ by 3:1 or more.',
        'An entry that nothing marks and that leads to this page is looked at, where all others look alike.',
        'What differs by so little that nobody sees it is told as a faint state.',
      ],
      faulty: '.menu a { color: #1f2933 } .menu a[aria-current] { color: #0b5563 }',
      mended: '.menu a[aria-current] { color: #0b5563; font-weight: 700; border-bottom: 2px solid }',
    },
    worse: 'lower',
    messages: {
      'colour-only': {
        says: '{subject} is the current page and differs from “{other}” by {what} alone, {one} against {two}: contrast {ratio}:1 where 3:1 is needed. People who do not see colours well cannot tell where they are.',
        mends: 'Add something that is not a colour: an underline, a border, weight or a mark.',
        criteria: [{ number: '1.4.1', level: 'A' }],
      },
    },
  },
  (subject) => subject.controls.flatMap((control) => observe(control, subject)),
);

function observe(control: Control, subject: Subject): Observation[] {
  const look = currentBeside(control, subject);
  if (!look || look.other) return [];
  const { text, ground, texts, grounds } = look.colours;
  const most = Math.max(text, ground);
  if (most < NOTICED || most >= NEEDED) return [];
  const byGround = ground >= text;
  const [one, two] = byGround ? grounds : texts;
  const ratio = floorRatio(most);
  const style = subject.scene.style(control.element);
  return [
    {
      at: onElement(control.element),
      menus: control.menus,
      state: 'current',
      message: 'colour-only',
      ...(look.guessed ? { verdict: 'look' as const } : {}),
      data: {
        subject: control.subject,
        other: labelOf(look.beside, subject.scene),
        what: byGround ? 'the colour of its ground' : 'the colour of its text',
        one: hexOf(one),
        two: hexOf(two),
        ratio,
      },
      measured: figure(ratio, ':1'),
      needed: figure(NEEDED, ':1'),
      cause: causeOf(style, byGround ? 'backgroundColor' : 'color'),
    },
  ];
}
