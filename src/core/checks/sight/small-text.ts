import { figure } from '../../findings/index.js';
import { isIconFont, isPrivate } from '../../naming/index.js';
import type { PaintItem } from '../../paint/index.js';
import type { Scene } from '../../scene/index.js';
import { defineCheck, onElement, type Observation } from '../define.js';
import { causeOf } from '../shared/causes.js';
import type { Control } from '../shared/controls.js';
import { textsIn } from '../shared/texts.js';
import type { Subject } from '../subject.js';

const LEAST = { value: 12, unit: 'px', means: 'Text under this height is small.', least: 6, most: 40 } as const;
const ROUNDING = 0.05;

/** Text of menus that is too small to be read with ease. */
export const smallText = defineCheck(
  {
    id: 'small-text',
    title: 'Menu text is large enough to read',
    weight: 'polish',
    scope: 'menu',
    asks: { visitors: ['mouse'], poses: 'opened', widths: 'inside' },
    explains: {
      means: 'Very small letters tire everyone and keep people with low vision from reading at all.',
      rule: [
        'Text of an item or toggle is at least 12 px.',
        'Left out: text that is clipped away or meant for screen readers alone, raised and lowered signs, glyphs of icon fonts.',
      ],
      faulty: '.tabs a { font-size: 11px }',
      mended: '.tabs a { font-size: 0.8125rem }',
    },
    figures: { least: LEAST },
    worse: 'lower',
    messages: {
      small: {
        says: 'The text of {subject} is {size} px high: under {least} px. It is hard to read, above all on a phone at arm’s length.',
        mends: 'Set it in {least} px or more, in rem so that it grows with the reader’s own text size.',
        criteria: [],
      },
    },
  },
  (subject) => subject.controls.flatMap((control) => observe(control, subject)),
);

const isText = (item: PaintItem, scene: Scene): boolean =>
  !isPrivate(item.node.fragment.text) &&
  !isIconFont(scene.paintStyle(item.node.box), scene.metrics) &&
  /[\p{L}\p{N}]/u.test(item.node.fragment.text) &&
  !isRaised(item, scene);

/** Signs like ² are small by their nature. */
const isRaised = ({ node }: PaintItem, scene: Scene): boolean =>
  ['super', 'sub'].includes(String(scene.paintStyle(node.box).verticalAlign));

function observe(control: Control, subject: Subject): Observation[] {
  const { scene } = subject;
  const needed = subject.figureOf('small-text', 'least', LEAST);
  let least: { readonly item: PaintItem; readonly size: number } | null = null;
  for (const item of textsIn(control.element, scene)) {
    const size = scene.paintStyle(item.node.box).fontSize;
    if (size < 1 || size >= needed - ROUNDING || (least && size >= least.size)) continue;
    if (isText(item, scene) && scene.inkPoints(item).length > 0) least = { item, size };
  }
  if (!least) return [];
  const size = Math.round(least.size * 10) / 10;
  return [
    {
      at: onElement(control.element),
      menus: control.menus,
      state: 'normal',
      message: 'small',
      data: { subject: control.subject, size, least: needed },
      measured: figure(size, 'px'),
      needed: figure(needed, 'px'),
      cause: causeOf(scene.paintStyle(least.item.node.box), 'fontSize'),
    },
  ];
}
