import { figure, type Cause, type State } from '../../findings/index.js';
import { isIconFont, isPrivate } from '../../naming/index.js';
import { collapseSpace, textContent } from '../../html/index.js';
import { elementOf, type PaintItem } from '../../paint/index.js';
import type { Scene } from '../../scene/index.js';
import { defineCheck, onElement, type Observation } from '../define.js';
import type { Control } from '../shared/controls.js';
import { hexOf } from '../shared/colours.js';
import { causeOfInk, floorRatio, inkCause, readInk, remedyFor, type Reading } from '../shared/ink.js';
import type { Lie } from '../shared/standing.js';
import { statesOf } from '../shared/states.js';
import { textsIn } from '../shared/texts.js';
import type { Subject } from '../subject.js';

const AA = { number: '1.4.3', level: 'AA' } as const;
const AAA = { number: '1.4.6', level: 'AAA' } as const;
const LOW =
  '{subject} is {ink} on {ground}{when}: contrast {ratio}:1 where {needed}:1 is needed{level}. People with low vision, or on a phone in the sun, may not be able to read it.';
const HOPELESS =
  '{subject} is {ink} on {ground}{when}: contrast {ratio}:1 where {needed}:1 is needed{level}, and no single text colour passes on every part of this ground.';
const CALM = 'Calm the ground first: one colour beneath the text instead of a run of light and dark.';

/** Contrast of every control's text with what lies beneath it, in each state. @spec WCAG 2.2 SC 1.4.3, 1.4.6 */
export const textContrast = defineCheck(
  {
    id: 'text-contrast',
    title: 'Menu text stands out from its ground',
    weight: 'hinders',
    scope: 'menu',
    asks: { visitors: ['mouse'], poses: 'opened', widths: 'inside' },
    explains: {
      means:
        'Text that differs little in lightness from what lies beneath it cannot be read by people with low vision, by many older people, and by anyone on a phone in the sun.',
      rule: [
        'Every text of an item or toggle is held against all the colours it really covers, layers, opacity and gradients composed, where it stands out least.',
        'At rest, under the pointer and with focus, each with the colours, grounds and opened parts of that state; in panels that open without a script too.',
        '4.5:1 is needed, 3:1 for large text (24 px, or 18.66 px bold); at level AAA 7:1 and 4.5:1.',
        'Left out: disabled controls, text that is clipped away or meant for screen readers alone, glyphs of icon fonts.',
        'Text on pictures is a check of its own.',
      ],
      faulty: '.menu a { color: #999; background: #fff }',
      mended: '.menu a { color: #767676; background: #fff }',
    },
    inks: 'text',
    worse: 'lower',
    messages: {
      low: { says: LOW, mends: '{remedy}', criteria: [AA] },
      hopeless: { says: HOPELESS, mends: CALM, criteria: [AA] },
      'low-enhanced': { says: LOW, mends: '{remedy}', criteria: [AAA] },
      'hopeless-enhanced': { says: HOPELESS, mends: CALM, criteria: [AAA] },
    },
  },
  (subject) =>
    subject.controls
      .filter((control) => !control.disabled)
      .flatMap((control) => [...atRest(control, subject), ...inStates(control, subject)]),
  touched,
);

interface Look {
  readonly control: Control;
  readonly scene: Scene;
  readonly state: State;
  readonly level: Subject['level'];
}

const atRest = (control: Control, subject: Subject): Observation[] =>
  observe({ control, scene: subject.scene, state: subject.stateOf(control), level: subject.level });

/** Hover and focus, where they change the text or what lies beneath it; what was wrong at rest is not told again. */
function inStates(control: Control, subject: Subject): Observation[] {
  const [rest] = atRest(control, subject);
  return statesOf(control, subject).flatMap(({ state, scene }) =>
    observe({ control, scene, state, level: subject.level }).filter((o) => isNews(o, rest)),
  );
}

/** Whether a state stands out less than the control does at rest: otherwise mending that mends it too. */
const isNews = ({ measured, needed }: Observation, rest: Observation | undefined): boolean =>
  !rest?.measured || measured!.value / needed!.value < rest.measured.value / rest.needed!.value - 0.01;

const LARGE = 24;
const LARGE_BOLD = 18.66;

/** What is needed at a level of the guidelines. */
export function neededFor(item: PaintItem, scene: Scene, level: Subject['level']): number {
  const { fontSize, fontWeight } = scene.paintStyle(item.node.box);
  const large = fontSize >= LARGE || (fontSize >= LARGE_BOLD && fontWeight >= 700);
  return level === 'AAA' ? (large ? 4.5 : 7) : large ? 3 : 4.5;
}

/** Glyphs without a meaning of their own are graphics, not text. */
const isText = (item: PaintItem, scene: Scene): boolean =>
  !isPrivate(item.node.fragment.text) && !isIconFont(scene.paintStyle(item.node.box), scene.metrics);

/** The text of a control that stands out least, if it fails. */
function observe(look: Look): Observation[] {
  const { control, scene } = look;
  const texts = textsIn(control.element, scene).filter((item) => isText(item, scene));
  const failing = failureAt(texts, look, 'AA');
  if (failing) return [failing];
  const enhanced = look.level === 'AAA' ? failureAt(texts, look, 'AAA') : null;
  return enhanced ? [enhanced] : [];
}

function failureAt(texts: readonly PaintItem[], look: Look, level: 'AA' | 'AAA'): Observation | null {
  const { scene } = look;
  let low: Reading | null = null;
  for (const item of texts) {
    const reading = readInk(item, scene, neededFor(item, scene, level));
    if (!reading || 'what' in reading || reading.ratio >= reading.needed) continue;
    if (!low || reading.ratio / reading.needed < low.ratio / low.needed) low = reading;
  }
  return low && failed(low, look, level);
}

const WHEN: Readonly<Record<State, string>> = {
  normal: '',
  hover: ' under the pointer',
  focus: ' with focus',
  current: ' (current page)',
};

function failed(reading: Reading, look: Look, level: 'AA' | 'AAA'): Observation {
  const { control, scene, state } = look;
  const remedy = remedyFor(reading, 'text');
  const ratio = floorRatio(reading.ratio);
  return {
    at: onElement(control.element),
    menus: control.menus,
    state,
    message: `${remedy ? 'low' : 'hopeless'}${level === 'AAA' ? '-enhanced' : ''}`,
    data: {
      subject: wordsOf(reading, control),
      when: WHEN[state],
      ink: hexOf(reading.ink),
      ground: hexOf(reading.ground),
      ratio,
      needed: reading.needed,
      level: level === 'AAA' ? ' at level AAA' : '',
      remedy: remedy?.says ?? '',
    },
    measured: figure(ratio, ':1'),
    needed: figure(reading.needed, ':1'),
    cause: inkCause(reading, remedy, scene),
    ...(remedy && { standing: { of: remedy.of, lie: reading } }),
  };
}

/** Where else the colour of the same declaration lies: on other controls, and in their states. */
function touched(subject: Subject, { cause, standing, message }: Observation): readonly Lie[] {
  if (!cause || standing?.of !== 'text') return [];
  return liesIn(subject, message.endsWith('-enhanced') ? 'AAA' : 'AA', cause);
}

function liesIn(subject: Subject, level: 'AA' | 'AAA', { at }: Cause): readonly Lie[] {
  const same = (item: PaintItem, scene: Scene): boolean => {
    const own = causeOfInk(item, scene)?.at;
    return own?.file === at.file && own.line === at.line && own.column === at.column;
  };
  return subject.controls
    .filter((control) => !control.disabled)
    .flatMap((control) =>
      [subject.scene, ...statesOf(control, subject).map((look) => look.scene)].flatMap((scene) =>
        textsIn(control.element, scene)
          .filter((item) => isText(item, scene) && same(item, scene))
          .flatMap((item): Lie[] => {
            const reading = readInk(item, scene, neededFor(item, scene, level));
            return reading && !('what' in reading) ? [reading] : [];
          }),
      ),
    );
}

/** The words that stand out too little, and whose they are where that is called something else. */
function wordsOf({ item }: Reading, control: Control): string {
  const element = elementOf(item);
  const words = element ? collapseSpace(textContent(element)) : '';
  const same = words === '' || words.length > 60 || words.toLowerCase() === control.label.toLowerCase();
  return same || control.label === '' ? control.subject : `“${words}” in ${control.subject}`;
}
