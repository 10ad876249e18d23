import { figure } from '../../findings/index.js';
import { defineCheck, onElement, type Observation } from '../define.js';
import { hexOf } from '../shared/colours.js';
import type { Control } from '../shared/controls.js';
import { drawnParts, hasWords, shapesIn, type DrawnPart } from '../shared/drawn.js';
import { floorRatio, remedyFor } from '../shared/ink.js';
import type { Subject } from '../subject.js';

const NEEDED = 3;

/** Contrast of what is drawn instead of written: glyphs of icon fonts, shapes of SVG, bars. @spec WCAG 2.2 SC 1.4.11 */
export const controlContrast = defineCheck(
  {
    id: 'control-contrast',
    title: 'Icons of controls stand out from their ground',
    weight: 'hinders',
    scope: 'menu',
    asks: { visitors: ['mouse'], poses: 'opened', widths: 'inside' },
    explains: {
      means: 'An icon that hardly differs from its ground is not seen as something to press by people with low vision.',
      rule: [
        'Glyphs of icon fonts, shapes of inline SVG, bars, masked icons and lone dots that are all a control shows are held against what lies beneath them; 3:1 is needed of the part that stands out most.',
        'A caret beside words, drawn by borders, shapes or bars, is to be looked at where it is fainter: something else may say that the item opens a panel.',
        'Left out: disabled controls, and icons beside words that say the same. Icons that are pictures are not measured.',
      ],
      faulty: '.search i { font-family: "Pier Icons"; color: #bbb }',
      mended: '.search i { font-family: "Pier Icons"; color: #767676 }',
    },
    inks: 'icon',
    worse: 'lower',
    messages: {
      faint: {
        says: 'The icon of {subject} is {ink} on {ground}: contrast {ratio}:1 where 3:1 is needed. People with low vision may not see that there is something to press.',
        mends: '{remedy}',
        criteria: [{ number: '1.4.11', level: 'AA' }],
      },
      caret: {
        says: 'The mark beside the words of {subject}, which says that it opens something, is {ink} on {ground}: contrast {ratio}:1, under 3:1. Look whether anything else visible says so.',
        mends: '{remedy}',
        criteria: [{ number: '1.4.11', level: 'AA' }],
      },
    },
  },
  (subject) => subject.controls.filter((control) => !control.disabled).flatMap((control) => observe(control, subject)),
);

function observe(control: Control, subject: Subject): Observation[] {
  const { scene } = subject;
  if (hasWords(control.element, scene)) return caretOf(control, subject);
  // The part that stands out most is what is seen of an icon.
  const parts = [...drawnParts(control.element, scene)].sort((a, b) => b.reading.ratio - a.reading.ratio);
  const [best] = parts;
  return best && best.reading.ratio < NEEDED ? [observation(control, best, subject, 'faint')] : [];
}

/** What a control with words shows beside them to say that it opens something. */
function caretOf(control: Control, subject: Subject): Observation[] {
  const { element, item } = control;
  if (!item?.submenu && !element.attributes.has('aria-expanded')) return [];
  const [best] = [...shapesIn(element, subject.scene)].sort((a, b) => b.reading.ratio - a.reading.ratio);
  return best && best.reading.ratio < NEEDED
    ? [{ ...observation(control, best, subject, 'caret'), verdict: 'look' }]
    : [];
}

function observation(control: Control, best: DrawnPart, subject: Subject, message: 'faint' | 'caret'): Observation {
  const remedy = remedyFor(best.reading, 'icon');
  const ratio = floorRatio(best.reading.ratio);
  return {
    at: onElement(control.element),
    menus: control.menus,
    state: subject.stateOf(control),
    message,
    data: {
      subject: control.subject,
      ink: hexOf(best.reading.ink),
      ground: hexOf(best.reading.ground),
      ratio,
      remedy: remedy?.says ?? 'Put one calm colour beneath it.',
    },
    measured: figure(ratio, ':1'),
    needed: figure(NEEDED, ':1'),
    cause: best.cause,
    ...(remedy && { standing: { of: remedy.of, lie: best.reading } }),
  };
}
