import { figure } from '../../findings/index.js';
import { isAncestorOrSelf, selectorOf, type ElementNode } from '../../html/index.js';
import { elementOf } from '../../paint/index.js';
import { passingBeneath, scrollEnd, scrolledScene, type Scene } from '../../scene/index.js';
import { defineCheck, onElement, type Observation } from '../define.js';
import { causeOf } from '../shared/causes.js';
import { hexOf } from '../shared/colours.js';
import type { Control } from '../shared/controls.js';
import { floorRatio, readInk, type Reading } from '../shared/ink.js';
import { partAround, stuckAt, type StuckPart } from '../shared/stuck.js';
import { textsIn } from '../shared/texts.js';
import type { Subject } from '../subject.js';
import { neededFor } from './text-contrast.js';

/** See-through bars over the sections that pass beneath them. @spec WCAG 2.2 SC 1.4.3 */
export const scrollContrast = defineCheck(
  {
    id: 'scroll-contrast',
    title: 'Text in see-through bars stands out from every section that passes beneath',
    weight: 'hinders',
    scope: 'menu',
    asks: { visitors: ['mouse'], poses: 'rest', widths: 'ends' },
    explains: {
      means:
        'A bar without a ground of its own is fine over the first section and cannot be read over the next one. Whoever scrolls loses the menu.',
      rule: [
        'Text in a fixed or sticky bar is held against the grounds of all sections that come to lie beneath it as the page scrolls.',
        'The look the bar has once scrolled counts: by a script, a watched element or a scroll-driven animation.',
        'What already fails at the top of the page is told as text contrast.',
      ],
      faulty: '.bar { position: fixed; color: #fff } .hero { background: #102a33 } .fares { background: #fbfaf5 }',
      mended: '.bar { position: fixed; color: #fff; background: #102a33 }',
    },
    worse: 'lower',
    messages: {
      low: {
        says: 'Scrolled {scroll} px, {section} lies beneath {subject}: {ink} on {ground}, contrast {ratio}:1 where {needed}:1 is needed. Whoever scrolls there can no longer read it.',
        mends: 'Give {bar} an opaque ground, at least once the page is scrolled.',
        criteria: [{ number: '1.4.3', level: 'AA' }],
      },
    },
  },
  inspect,
);

function inspect(subject: Subject): readonly Observation[] {
  const { page, scene, setting, controls } = subject;
  const end = scrollEnd(scene);
  if (end < 1) return [];
  const middle = scrolledScene(page, setting, end / 2);
  return stuckAt(middle, scene)
    .filter(({ kind }) => kind === 'top' || kind === 'foot' || kind === 'rail')
    .flatMap((part) => {
      const own = controls.filter(
        ({ element, disabled }) => !disabled && partAround(element, [part]) && isSeenThrough(element, part, middle),
      );
      return own.length === 0 ? [] : inspectPart(part, own, subject);
    });
}

/** Whether what lies beneath a part shows around the text of a control in it. */
function isSeenThrough(element: ElementNode, part: StuckPart, scene: Scene): boolean {
  const item = textsIn(element, scene)[0];
  const point = item && scene.inkPoints(item)[0];
  if (!point) return false;
  return !scene.beneath(point, item).some(({ node, group }) => {
    const own = node.box.element;
    if (!own || node.fragment.kind !== 'box' || !isAncestorOrSelf(part.element, own)) return false;
    return group === null && scene.paintStyle(node.box).backgroundColor.a >= 1;
  });
}

interface Worst {
  readonly reading: Reading;
  readonly at: Scene;
}

function inspectPart(part: StuckPart, controls: readonly Control[], subject: Subject): Observation[] {
  const { page, setting, scene } = subject;
  const ranges = passingBeneath(page, setting, part.element);
  if (ranges.length < 2) return [];
  const looks = ranges.map(({ from, to }) => scrolledScene(page, setting, Math.round((from + to) / 2)));
  return controls.flatMap((control): Observation[] => {
    if (worstIn(control, scene)) return [];
    let worst: Worst | null = null;
    for (const at of looks) {
      const reading = worstIn(control, at);
      if (reading && (!worst || reading.ratio < worst.reading.ratio)) worst = { reading, at };
    }
    return worst ? [observation(control, part, worst)] : [];
  });
}

/** The text of a control that fails by most, or null. */
function worstIn(control: Control, scene: Scene): Reading | null {
  let low: Reading | null = null;
  for (const item of textsIn(control.element, scene)) {
    const reading = readInk(item, scene, neededFor(item, scene, 'AA'));
    if (!reading || 'what' in reading || reading.ratio >= reading.needed) continue;
    if (!low || reading.ratio < low.ratio) low = reading;
  }
  return low;
}

/** The section whose ground lies beneath a text. */
function sectionBeneath({ item }: Reading, scene: Scene, part: ElementNode): ElementNode | null {
  const [point] = scene.inkPoints(item);
  const bar = scene.nodes(part)[0];
  const until = bar && scene.itemOf(bar);
  if (!point || !until) return null;
  const ground = scene
    .beneath(point, until)
    .findLast(({ node }) => node.fragment.kind === 'box' && scene.paintStyle(node.box).backgroundColor.a > 0);
  return ground ? elementOf(ground) : null;
}

function observation(control: Control, part: StuckPart, { reading, at }: Worst): Observation {
  const ratio = floorRatio(reading.ratio);
  const section = sectionBeneath(reading, at, part.element);
  return {
    at: onElement(control.element),
    menus: control.menus,
    state: 'normal',
    message: 'low',
    data: {
      subject: control.subject,
      scroll: Math.round(at.setting.scroll.y),
      section: section ? selectorOf(section) : 'the page',
      ink: hexOf(reading.ink),
      ground: hexOf(reading.ground),
      ratio,
      needed: reading.needed,
      bar: selectorOf(part.element),
    },
    measured: figure(ratio, ':1'),
    needed: figure(reading.needed, ':1'),
    cause: causeOf(at.style(part.element), 'backgroundColor') ?? causeOf(at.style(part.element), 'position'),
    common: `in ${part.element.path}`,
  };
}
