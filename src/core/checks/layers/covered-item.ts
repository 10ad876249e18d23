import { contains } from '../../base/index.js';
import { isAncestorOrSelf, selectorOf, type ElementNode } from '../../html/index.js';
import type { Scene } from '../../scene/index.js';
import { defineCheck, onElement, type Observation } from '../define.js';
import type { Control } from '../shared/controls.js';
import { contestInWords, contestOf, contestRemedy } from '../shared/layers.js';
import { middleOf, pressedInstead } from '../shared/presses.js';
import { mayStick, onScreen, sticksNow } from '../shared/stuck.js';
import type { Subject } from '../subject.js';
import { menusBeneath } from '../shared/beneath.js';
import { buryOf } from '../shared/buried.js';
import { capital } from '../shared/wording.js';

/** Items whose middle something else takes the press from. */
export const coveredItem = defineCheck(
  {
    id: 'covered-item',
    title: 'Nothing lies over the items of a menu',
    weight: 'blocks',
    scope: 'menu',
    asks: { visitors: ['mouse'], poses: 'opened', widths: 'inside' },
    explains: {
      means: 'What lies over an item takes the press. The link can be seen and cannot be followed by mouse or touch.',
      rule: [
        'A press on the middle of an item or toggle reaches that item, at rest and in opened panels.',
        'Its own label, children and checkbox are no obstacle, nor is another link to the same address, nor what lets the pointer through.',
        'What only passes under a stuck part while the page scrolls is no fault; a whole panel under other content is told once, as a buried menu.',
        'A menu that lies under the page until a button moves the page aside is closed then: what focus does there is told instead.',
      ],
      faulty: '.bar::after { content: ""; position: absolute; inset: 0 }',
      mended: '.bar::after { content: ""; position: absolute; inset: 0; pointer-events: none }',
    },
    textWidth: true,
    worse: null,
    messages: {
      covered: {
        says: 'A press on the middle of {subject} reaches {cover} instead. It cannot be pressed by mouse or touch.{why}',
        mends: '{remedy}',
        criteria: [],
      },
    },
  },
  (subject) => subject.controls.flatMap((control) => observe(control, subject)),
);

function observe(control: Control, subject: Subject): Observation[] {
  const { element } = control;
  const { scene } = subject;
  if (control.disabled || scene.style(element).pointerEvents === 'none') return [];
  const cover = pressedInstead(element, scene);
  if (!cover || passesUnder(element, cover, scene) || isOffScreen(element, scene)) return [];
  if (buryOf(subject, element) || control.menus.some((menu) => menusBeneath(subject).has(menu))) return [];
  const inside = isAncestorOrSelf(cover, element);
  const contest = inside ? null : contestOf(cover, element, scene);
  const name = inside ? `something drawn over it in ${selectorOf(cover)}` : selectorOf(cover);
  return [
    {
      at: onElement(element),
      menus: control.menus,
      state: 'normal',
      message: 'covered',
      data: {
        subject: control.subject,
        cover: name,
        why: contest ? ` ${capital(contestInWords(contest, element))}.` : '',
        remedy: inside
          ? `Let the pointer through what covers it (pointer-events: none), or lift the items above it.`
          : contest
            ? `Move the two apart, or: ${contestRemedy(contest, element, scene)}`
            : 'Move the two apart.',
      },
      common: `by ${contest?.above.element.path ?? cover.path}`,
    },
  ];
}

/** Something that moves with the page under a part that does not: scrolling brings it out again. */
function passesUnder(element: ElementNode, cover: ElementNode, scene: Scene): boolean {
  return sticksNow(cover, scene) && !mayStick(element, scene);
}

/** What is fixed and stands off the screen is not pressed there. */
function isOffScreen(element: ElementNode, scene: Scene): boolean {
  if (!scene.nodes(element).some(({ fixed }) => fixed)) return false;
  const middle = middleOf(element, scene);
  const { width, height } = scene.medium;
  return !middle || !contains({ x: 0, y: 0, width, height }, middle.x, middle.y) || onScreen(element, scene) === null;
}
