import { figure } from '../../findings/index.js';
import type { ElementNode } from '../../html/index.js';
import { defineCheck, onElement, type Observation } from '../define.js';
import { causeOf } from '../shared/causes.js';
import { hexOf } from '../shared/colours.js';
import type { Control } from '../shared/controls.js';
import { compareColours, differsBesides, generatedDiffers, type ColourDifference } from '../shared/differences.js';
import { floorRatio } from '../shared/ink.js';
import { isRelated, looksTaken } from '../shared/marks.js';
import { currentBeside, type CurrentLook } from '../shared/current-looks.js';
import type { Subject } from '../subject.js';

/** Less contrast between two looks is not noticed. */
export const NOTICED = 1.2;
const LEAST = {
  value: NOTICED,
  unit: ':1',
  means: 'Less contrast than this between two looks is not noticed.',
  least: 1,
  most: 21,
} as const;

/** States that hardly differ from the normal look. */
export const faintState = defineCheck(
  {
    id: 'faint-state',
    title: 'States of items can be told from the normal look',
    weight: 'polish',
    scope: 'menu',
    asks: { visitors: ['mouse'], poses: 'opened', widths: 'ends' },
    explains: {
      means: 'A colour that changes by a hair is not seen: nobody notices where the pointer is or which page is shown.',
      rule: [
        'Under the pointer, and as the current page, an item differs from its normal look by 1.2:1 or more in some colour, or by something else: an underline, weight, border, mark or movement.',
        'Items without any look for a state are not meant here.',
      ],
      faulty: '.menu a { background: #352415 } .menu a:hover { background: #3b2b1b }',
      mended: '.menu a:hover { background: #6b4d2e; text-decoration: underline }',
    },
    figures: { noticed: LEAST },
    worse: 'lower',
    messages: {
      hover: {
        says: 'Under the pointer {subject} changes {what}: a contrast of {ratio}:1 between the two, too little to be noticed, and nothing else changes.',
        mends: 'Make the change plain: an underline, or a colour that differs by far more than {noticed}:1.',
        criteria: [],
      },
      current: {
        says: 'As the current page {subject} differs from its neighbours by {what}: a contrast of {ratio}:1, too little to be noticed, and by nothing else.',
        mends: 'Mark the current page plainly: by weight, an underline or a border beside the colour.',
        criteria: [],
      },
    },
  },
  (subject) => subject.controls.flatMap((control) => [...hovered(control, subject), ...current(control, subject)]),
);

function hovered(control: Control, subject: Subject): Observation[] {
  if (!subject.moves || control.disabled || control.item?.current) return [];
  const { element } = control;
  const move = { by: 'hover', element } as const;
  const preview = subject.preview(move);
  const { base, styles, moves } = preview;
  if (moves || styles.changed.length === 0) return [];
  const changed = looksTaken(preview, element, subject.setting.pose.hovered);
  if (changed.length === 0 || !changed.every((e) => isRelated(e, element))) return [];
  const beside = (e: ElementNode) =>
    differsBesides(base.styles.of(e), styles.of(e)) || generatedDiffers(base.styles, e, styles, e);
  if (changed.some(beside)) return [];
  const noticed = subject.figureOf('faint-state', 'noticed', LEAST);
  const difference = compareColours(element, subject.scene, element, subject.after(move));
  const style = styles.of(changed.find((e) => e === element) ?? changed[0]!);
  return difference && isFaint(difference, noticed)
    ? [
        observation(control, 'hover', difference, noticed, (ground) =>
          causeOf(style, ground ? 'backgroundColor' : 'color'),
        ),
      ]
    : [];
}

function current(control: Control, subject: Subject): Observation[] {
  const look: CurrentLook | null = currentBeside(control, subject);
  const noticed = subject.figureOf('faint-state', 'noticed', LEAST);
  if (!look || look.guessed || look.other || !isFaint(look.colours, noticed)) return [];
  const style = subject.scene.style(control.element);
  return [
    observation(control, 'current', look.colours, noticed, (ground) =>
      causeOf(style, ground ? 'backgroundColor' : 'color'),
    ),
  ];
}

const DIFFERENT = 1.001;
/** Some colour differs, and none by enough. */
export const isFaint = ({ text, ground }: ColourDifference, noticed: number): boolean =>
  Math.max(text, ground) > DIFFERENT && Math.max(text, ground) < noticed;

function observation(
  control: Control,
  state: 'hover' | 'current',
  difference: ColourDifference,
  noticed: number,
  cause: (ground: boolean) => ReturnType<typeof causeOf>,
): Observation {
  const ground = difference.ground >= difference.text;
  const [from, to] = ground ? difference.grounds : difference.texts;
  const ratio = floorRatio(Math.max(difference.text, difference.ground));
  const colours = state === 'hover' ? `from ${hexOf(from)} to ${hexOf(to)}` : `${hexOf(from)} instead of ${hexOf(to)}`;
  const what = `${state === 'hover' ? 'its' : 'a'} ${ground ? 'ground' : 'text colour'}${state === 'hover' ? ' ' : ' of '}${colours}`;
  return {
    at: onElement(control.element),
    menus: control.menus,
    state,
    message: state,
    data: { subject: control.subject, what, ratio, noticed },
    measured: figure(ratio, ':1'),
    needed: figure(noticed, ':1'),
    cause: cause(ground),
  };
}
