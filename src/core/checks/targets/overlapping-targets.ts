import { intersect, type Rect } from '../../base/index.js';
import { figure } from '../../findings/index.js';
import { closest, type ElementNode } from '../../html/index.js';
import { subjectOf } from '../../naming/index.js';
import type { Scene } from '../../scene/index.js';
import { defineCheck, onElement, type Observation } from '../define.js';
import { causeOf } from '../shared/causes.js';
import type { Control } from '../shared/controls.js';
import { meansSame, piecesOf, pressedInstead } from '../shared/presses.js';
import type { Subject } from '../subject.js';
import { round } from '../shared/wording.js';

/** Targets share this much before a press goes astray, px each way. */
const LEAST = 4;

/** Targets of menus that lie over one another. @spec WCAG 2.2 SC 2.5.8 */
export const overlappingTargets = defineCheck(
  {
    id: 'overlapping-targets',
    title: 'Targets do not lie over one another',
    weight: 'hinders',
    scope: 'menu',
    asks: { visitors: ['mouse'], poses: 'opened', widths: 'inside' },
    explains: {
      means: 'Where two targets overlap, a press meant for one sets off the other.',
      rule: [
        'No item or toggle shares 4 px or more each way with another target beside it.',
        'Left out: a control and its label, links to the same address, what lies in an opened panel over the page beneath, and what passes under a stuck part while the page scrolls.',
        'Where even the middle of a target is pressed away it is told as covered.',
      ],
      faulty: '.menu a { display: inline; padding: 16px } /* two lines of links, 24 px apart */',
      mended: '.menu a { display: inline-block; padding: 16px }',
    },
    textWidth: true,
    worse: 'higher',
    messages: {
      overlap: {
        says: '{subject} and {other} lie over one another by {width} × {height} px. A press there goes to {winner}.',
        mends:
          'Move them apart: as boxes of their own (inline-block or flex) with a gap, instead of padding or margins that reach into each other.',
        criteria: [{ number: '2.5.8', level: 'AA' }],
      },
    },
  },
  inspect,
);

function inspect(subject: Subject): readonly Observation[] {
  const { scene, targets, controls } = subject;
  const told = new Set<string>();
  return controls.flatMap((control): Observation[] => {
    const { element } = control;
    const target = control.disabled ? null : targets.of(element);
    if (!target || pressedInstead(element, scene)) return [];
    for (const other of targets.near(target.rect, 0)) {
      const pair = [element.index, other.element.index].sort((a, b) => a - b).join();
      if (other.element === element || told.has(pair) || !areBeside(element, other.element, scene)) continue;
      const shared = sharedBy(element, other.element, scene);
      if (!shared) continue;
      told.add(pair);
      return [observation(control, other.element, shared, scene)];
    }
    return [];
  });
}

/** Whether two targets lie in the same layer of the page and mean different things. */
function areBeside(a: ElementNode, b: ElementNode, scene: Scene): boolean {
  if (meansSame(a, b) || meansSame(b, a) || b.tag === 'label' || b.tag === 'body' || b.tag === 'html') return false;
  const layer = (e: ElementNode) =>
    closest(e, (x) => ['fixed', 'sticky', 'absolute'].includes(scene.style(x).position));
  return layer(a) === layer(b) && pressedInstead(b, scene) === null;
}

/** Where pieces of two targets lie over one another and a press reaches one of them. */
function sharedBy(
  a: ElementNode,
  b: ElementNode,
  scene: Scene,
): { readonly rect: Rect; readonly hit: ElementNode } | null {
  for (const one of piecesOf(a, scene))
    for (const other of piecesOf(b, scene)) {
      const rect = intersect(one, other);
      if (!rect || rect.width < LEAST || rect.height < LEAST) continue;
      const hit = scene.hit(rect.x + rect.width / 2, rect.y + rect.height / 2);
      if (hit && (meansSame(hit, a) || meansSame(hit, b))) return { rect, hit };
    }
  return null;
}

function observation(
  control: Control,
  other: ElementNode,
  { rect, hit }: { readonly rect: Rect; readonly hit: ElementNode },
  scene: Scene,
): Observation {
  const style = scene.style(control.element);
  const otherSubject = subjectOf(other, scene);
  return {
    at: onElement(control.element),
    menus: control.menus,
    state: 'normal',
    message: 'overlap',
    data: {
      subject: control.subject,
      other: otherSubject,
      width: round(rect.width),
      height: round(rect.height),
      winner: meansSame(hit, control.element) ? control.subject : otherSubject,
    },
    measured: figure(round(Math.min(rect.width, rect.height)), 'px'),
    needed: figure(LEAST, 'px'),
    cause: causeOf(style, 'paddingTop') ?? causeOf(style, 'marginTop') ?? causeOf(style, 'marginLeft'),
  };
}
