import type { ComputedStyle } from '../../cascade/index.js';
import type { PropertyKey } from '../../css/index.js';
import { bottom, right, type Rect } from '../../base/index.js';
import { figure } from '../../findings/index.js';
import { selectorOf, type ElementNode } from '../../html/index.js';
import type { Menu } from '../../menus/index.js';
import type { Page, Scene } from '../../scene/index.js';
import { defineCheck, onElement, type Observation } from '../define.js';
import { menusAround } from '../shared/around.js';
import { causeOf } from '../shared/causes.js';
import type { Subject } from '../subject.js';

const MENDS =
  'Add @media (prefers-reduced-motion: reduce) with {property}: none for {element}, or a universal rule that makes all transitions and animations short.';

/** Menus that move although stillness was asked for. @spec WCAG 2.2 SC 2.3.3, mediaqueries-5 §12.1 */
export const motionUnguarded = defineCheck(
  {
    id: 'motion-unguarded',
    title: 'Menus keep still for those who ask for it',
    weight: 'polish',
    scope: 'menu',
    asks: { visitors: ['mouse'], poses: 'opened', widths: 'ends' },
    explains: {
      means:
        'Things that slide and grow make some people dizzy. They have told their system so, and pages can hear it.',
      rule: [
        'Where opening a panel moves something by a transition or an animation (transform, position, size, margin), it is short to nothing for those who prefer reduced motion.',
        'The same holds for what moves by 8 px or more under the pointer, and for animations in a menu that never end.',
        'Colours and opacity do not move, and carets that turn are too small to matter. A universal rule for reduced motion counts.',
        'Success criterion 2.3.3 asks for this at level AAA; it is told at every level, as polish.',
      ],
      faulty: '.panel { transition: transform 0.3s }',
      mended: '@media (prefers-reduced-motion: reduce) { .panel { transition: none } }',
    },
    worse: 'higher',
    messages: {
      moves: {
        says: 'Opening it moves {element} ({properties}) over {time} s, also for those who have asked for reduced motion.',
        mends: MENDS,
        criteria: [],
      },
      hovered: {
        says: 'Under the pointer {element} moves ({properties}) over {time} s, also for those who have asked for reduced motion.',
        mends: MENDS,
        criteria: [],
      },
      endless: {
        says: '{element} moves without end ({properties}), also for those who have asked for reduced motion.',
        mends: MENDS,
        criteria: [],
      },
    },
  },
  inspect,
);

/** Properties whose change is seen as movement, by the names transitions use. */
const MOVING: Readonly<Record<string, readonly PropertyKey[]>> = {
  transform: ['transform'],
  translate: ['translate'],
  scale: ['scale'],
  rotate: ['rotate'],
  left: ['left'],
  right: ['right'],
  top: ['top'],
  bottom: ['bottom'],
  width: ['width'],
  height: ['height'],
  'max-height': ['maxHeight'],
  'max-width': ['maxWidth'],
  margin: ['marginTop', 'marginLeft', 'marginRight', 'marginBottom'],
  'margin-left': ['marginLeft'],
  'margin-right': ['marginRight'],
  'margin-top': ['marginTop'],
  inset: ['top', 'right', 'bottom', 'left'],
};
/** No larger than an icon, px. */
const SMALL = 48;
/** Shorter ones are not seen as movement, s. */
const LEAST = 0.1;

/** Less is hardly seen to move, px. */
const FAR = 8;

function inspect(subject: Subject): readonly Observation[] {
  return subject.parts.opened === null ? [...endless(subject), ...hovered(subject)] : opened(subject);
}

/** What moves as something opens. */
function opened(subject: Subject): readonly Observation[] {
  const { scene, menus, parts, page } = subject;
  const before = parts.before();
  const still = () => page.scene({ ...subject.setting, visitor: 'reduced-motion' });
  return [...menusAround(menus)].flatMap(([element, own]): readonly Observation[] => {
    const moved = [...movesOf(before.style(element), scene.style(element)), ...animationsOf(element, before, subject)];
    if (moved.length === 0 || isSmall(element, scene) || !shows(element, before, scene)) return [];
    return observed({ message: 'moves', element, menus: own, moved }, scene, still);
  });
}

/** What moves as the pointer comes to an item. */
function hovered(subject: Subject): readonly Observation[] {
  if (!subject.moves) return [];
  const { scene, menus, page } = subject;
  const around = menusAround(menus);
  const told = new Set<ElementNode>();
  return subject.controls.flatMap((control): readonly Observation[] => {
    const move = { by: 'hover', element: control.element } as const;
    if (page.touchedBy('hover', control.element) === 'nothing') return [];
    const { styles } = subject.preview(move);
    const moving = styles.changed.flatMap((element) => {
      const own = around.get(element);
      if (!own || told.has(element) || scene.seen(element) === null || isSmall(element, scene)) return [];
      const moved = movesOf(scene.style(element), styles.of(element));
      return moved.length === 0 ? [] : [{ element, own, moved }];
    });
    if (moving.length === 0) return [];
    const after = subject.after(move);
    const still = () => page.scene({ ...after.setting, visitor: 'reduced-motion' });
    return moving
      .filter(({ element }) => distance(scene.rect(element), after.rect(element)) >= FAR)
      .flatMap(({ element, own, moved }) => {
        told.add(element);
        return observed({ message: 'hovered', element, menus: own, moved }, after, still);
      });
  });
}

/** How far the edges of something come to lie from where they were, px. */
function distance(a: Rect | null, b: Rect | null): number {
  if (!a || !b) return 0;
  return Math.max(
    Math.abs(a.x - b.x),
    Math.abs(a.y - b.y),
    Math.abs(right(a) - right(b)),
    Math.abs(bottom(a) - bottom(b)),
  );
}

/** Animations of menus that go on and on. */
function endless(subject: Subject): readonly Observation[] {
  const { scene, menus, page } = subject;
  const still = () => page.scene({ ...subject.setting, visitor: 'reduced-motion' });
  return [...menusAround(menus)].flatMap(([element, own]): readonly Observation[] => {
    const { animationName, animationIterationCount: counts } = scene.style(element);
    const runs = (name: string) => counts[animationName.indexOf(name) % counts.length] === 'infinite';
    if (animationName.every((name) => name === 'none') || scene.seen(element) === null || isSmall(element, scene))
      return [];
    const moved = animationName.filter(runs).flatMap((name) => animated(name, scene.style(element), page));
    return moved.length === 0 ? [] : observed({ message: 'endless', element, menus: own, moved }, scene, still);
  });
}

/** Something of a menu that moves. */
interface Moving {
  readonly message: 'moves' | 'hovered' | 'endless';
  readonly element: ElementNode;
  readonly menus: readonly Menu[];
  readonly moved: readonly Movement[];
}

/** @param still the same for those who asked for stillness; made only where something moves at all */
function observed(
  { message, element, menus, moved }: Moving,
  after: Scene,
  still: () => Scene,
): readonly Observation[] {
  const calm = still().style(element);
  const left = moved.filter(({ secondsIn }) => secondsIn(calm) >= LEAST);
  if (left.length === 0) return [];
  const style = after.style(element);
  const time = Math.round(Math.max(...left.map(({ secondsIn }) => secondsIn(style))) * 100) / 100;
  return [
    {
      at: onElement(element),
      menus,
      state: message === 'hovered' ? 'hover' : 'normal',
      message,
      data: {
        element: selectorOf(element),
        properties: [...new Set(left.flatMap(({ properties }) => properties))].join(', '),
        time,
        property: left[0]!.by,
      },
      measured: figure(time, 's'),
      needed: figure(0, 's'),
      cause: causeOf(style, `${left[0]!.by}Duration`),
      common: 'movement',
    },
  ];
}

/** A movement and how long it takes in a style, s. */
interface Movement {
  readonly by: 'transition' | 'animation';
  readonly properties: readonly string[];
  readonly secondsIn: (style: ComputedStyle) => number;
}

/** Carets that turn move nobody’s sense of balance. */
function isSmall(element: ElementNode, scene: Scene): boolean {
  const rect = scene.rect(element);
  return rect !== null && rect.width <= SMALL && rect.height <= SMALL;
}

const shows = (element: ElementNode, before: Scene, after: Scene): boolean =>
  after.seen(element) !== null || before.seen(element) !== null;

/** Properties that change and move by a transition. */
function movesOf(a: ComputedStyle, b: ComputedStyle): readonly Movement[] {
  if (a === b) return [];
  return Object.entries(MOVING).flatMap(([name, keys]): Movement[] => {
    if (keys.every((key) => JSON.stringify(a[key]) === JSON.stringify(b[key]))) return [];
    const secondsIn = (style: ComputedStyle) => durationOf(style, name);
    return secondsIn(b) >= LEAST ? [{ by: 'transition', properties: [name], secondsIn }] : [];
  });
}

/** Animations that start as something opens and move it. @spec css-animations-1 §3 (they start when the box comes to be) */
function animationsOf(element: ElementNode, before: Scene, { scene, page }: Subject): readonly Movement[] {
  const [a, b] = [before.style(element), scene.style(element)];
  const isNew = before.box(element) === null && scene.box(element) !== null;
  return b.animationName
    .filter((name) => isNew || !a.animationName.includes(name))
    .flatMap((name) => animated(name, b, page));
}

/** The movement an animation makes, in a list; empty where it moves nothing. */
function animated(name: string, style: ComputedStyle, page: Page): readonly Movement[] {
  const frames = page.ruleSet.keyframes.get(name);
  const properties = frames?.animates.text.split(' ').filter((property) => property in MOVING) ?? [];
  const secondsIn = ({ animationName: names, animationDuration }: ComputedStyle) =>
    names.includes(name) ? (animationDuration[names.indexOf(name) % animationDuration.length] ?? 0) : 0;
  return properties.length > 0 && secondsIn(style) >= LEAST ? [{ by: 'animation', properties, secondsIn }] : [];
}

/** How long a property takes to change, s. @spec css-transitions-1 §2.1 */
function durationOf({ transitionProperty, transitionDuration }: ComputedStyle, name: string): number {
  let seconds = 0;
  transitionProperty.forEach((one, i) => {
    if (one === 'all' || one === name || (one === 'margin' && name.startsWith('margin')))
      seconds = transitionDuration[i % transitionDuration.length] ?? 0;
  });
  return seconds;
}
