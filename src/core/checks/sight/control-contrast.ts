import { figure } from '../../findings/index.js';
import { isIconFont, isPrivate } from '../../naming/index.js';
import type { PaintItem } from '../../paint/index.js';
import { defineCheck, onElement, type Observation } from '../define.js';
import { hexOf } from '../shared/colours.js';
import type { Control } from '../shared/controls.js';
import { floorRatio, inkCause, readInk, remedyFor, type Reading } from '../shared/ink.js';
import { textsIn } from '../shared/texts.js';
import type { Subject } from '../subject.js';

const NEEDED = 3;

/** Contrast of what is drawn instead of written: glyphs of icon fonts. @spec WCAG 2.2 SC 1.4.11 */
export const controlContrast = defineCheck(
  {
    id: 'control-contrast',
    title: 'Icons of controls stand out from their ground',
    weight: 'hinders',
    scope: 'menu',
    asks: { visitors: ['mouse'], poses: 'opened', widths: 'inside' },
    worse: 'lower',
    messages: {
      faint: {
        says: 'The icon of {subject} is {ink} on {ground}: contrast {ratio}:1 where 3:1 is needed. People with low vision may not see that there is something to press.',
        mends: '{remedy}',
        criteria: [{ number: '1.4.11', level: 'AA' }],
      },
    },
  },
  (subject) => subject.controls.filter((control) => !control.disabled).flatMap((control) => observe(control, subject)),
);

function observe(control: Control, subject: Subject): Observation[] {
  const { scene } = subject;
  const texts = textsIn(control.element, scene);
  const isIcon = (item: PaintItem) =>
    isPrivate(item.node.fragment.text) || isIconFont(scene.paintStyle(item.node.box), scene.metrics);
  // Beside words an icon repeats what they say.
  if (texts.some((item) => !isIcon(item) && scene.inkPoints(item).length > 0)) return [];
  const low = texts
    .map((item) => readInk(item, scene, NEEDED))
    .filter((reading): reading is Reading => reading !== null && !('what' in reading) && reading.ratio < NEEDED)
    .sort((a, b) => a.ratio - b.ratio)[0];
  if (!low) return [];
  const remedy = remedyFor(low, 'icon');
  const ratio = floorRatio(low.ratio);
  return [
    {
      at: onElement(control.element),
      menus: control.menus,
      state: subject.stateOf(control),
      message: 'faint',
      data: {
        subject: control.subject,
        ink: hexOf(low.ink),
        ground: hexOf(low.ground),
        ratio,
        remedy: remedy?.says ?? 'Put one calm colour beneath it.',
      },
      measured: figure(ratio, ':1'),
      needed: figure(NEEDED, ':1'),
      cause: inkCause(low, remedy, scene),
    },
  ];
}
