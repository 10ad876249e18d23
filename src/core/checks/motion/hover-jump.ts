import type { ComputedStyle, StyleTree } from '../../cascade/index.js';
import { figure, type Cause } from '../../findings/index.js';
import { descendants, isAncestorOrSelf, type ElementNode } from '../../html/index.js';
import type { Scene } from '../../scene/index.js';
import { defineCheck, onElement, type Observation } from '../define.js';
import { causeOf } from '../shared/causes.js';
import type { Control } from '../shared/controls.js';
import type { Subject } from '../subject.js';
import { isLeft } from '../shared/marks.js';
import { round } from '../shared/wording.js';

/** Items that grow, or push others aside, under the pointer. */
export const hoverJump = defineCheck(
  {
    id: 'hover-jump',
    title: 'Nothing jumps under the pointer',
    weight: 'polish',
    scope: 'menu',
    asks: { visitors: ['mouse'], poses: 'opened', widths: 'ends' },
    explains: {
      means:
        'When the row moves as the pointer passes, the next target is no longer where it was aimed at. It also tires the eye.',
      rule: [
        'Under the pointer and with focus an item keeps its size, and the items around it keep their places.',
        'Left out: panels that open, transforms that take no room, changes of half a pixel. Bold text in reserved room is no fault.',
      ],
      faulty: '.menu a:hover { border: 3px solid }',
      mended: '.menu a { border: 3px solid transparent } .menu a:hover { border-color: currentcolor }',
    },
    worse: 'higher',
    messages: {
      jump: {
        says: '{when} {subject} changes its size by {px} px{others}.',
        mends:
          'Reserve the room beforehand: a transparent border, hidden bold text, or a change that takes no room (outline, shadow, underline).',
        criteria: [],
      },
    },
  },
  (subject) => (subject.moves ? subject.controls.flatMap((control) => observe(control, subject)) : []),
);

/** Less is rounding, px. */
const LEAST = 0.75;

function observe(control: Control, subject: Subject): Observation[] {
  const { element } = control;
  for (const state of ['hover', 'focus'] as const) {
    if (subject.page.touchedBy(state, element) === 'nothing') continue;
    const move = { by: state, element } as const;
    const { moves, styles } = subject.preview(move);
    const scene = moves ? beforehand(element, state, styles, subject) : null;
    if (!scene) continue;
    const after = subject.after(move);
    const [a, b] = [sizeOf(element, scene), sizeOf(element, after)];
    if (!a || !b) continue;
    const px = Math.max(Math.abs(a.width - b.width), Math.abs(a.height - b.height));
    const pushed = turnsPanel(subject, scene, after) ? 0 : pushedBy(element, subject.controls, scene, after);
    if (px < LEAST && pushed < LEAST) continue;
    const changed = [element, ...descendants(element)].find((e) => styles.of(e) !== scene.style(e)) ?? element;
    return [
      {
        at: onElement(element),
        menus: control.menus,
        state,
        message: 'jump',
        data: {
          when: state === 'hover' ? 'Under the pointer' : 'With focus',
          subject: control.subject,
          px: round(px),
          others: pushed >= LEAST ? `, and items beside it move by ${round(pushed)} px` : '',
        },
        measured: figure(round(Math.max(px, pushed)), 'px'),
        needed: figure(0, 'px'),
        cause: causeFor(changed, scene, styles.of(changed)),
      },
    ];
  }
  return [];
}

/**
 * What a move onto an item is held against. What changes as the pointer leaves the handle of its panel is no doing of
 * the item: there it is the pointer just beside it. Null where there is no such thing.
 */
function beforehand(
  element: ElementNode,
  state: 'hover' | 'focus',
  { changed }: StyleTree,
  subject: Subject,
): Scene | null {
  const { pose } = subject.setting;
  const holder = state === 'hover' ? pose.hovered : pose.focused;
  if (!changed.some((e) => isLeft(e, element, holder))) return subject.scene;
  return state === 'hover' && element.parent ? subject.after({ by: 'hover', element: element.parent }) : null;
}

/** Whether a panel comes or goes with the move: what that pushes aside by opening in the flow is no jump of the item. */
const turnsPanel = ({ menus }: Subject, scene: Scene, after: Scene): boolean =>
  menus.some(({ items }) =>
    items.some(({ element }) => (scene.reach(element) === null) !== (after.reach(element) === null)),
  );

/** The size of an element's box, transforms left out. */
function sizeOf(element: ElementNode, scene: Scene): { readonly width: number; readonly height: number } | null {
  const nodes = scene.nodes(element);
  return nodes.length === 1 ? nodes[0]!.fragment : null;
}

/** How far an item in the same menu moves, px. */
function pushedBy(element: ElementNode, controls: readonly Control[], scene: Scene, after: Scene): number {
  let most = 0;
  for (const other of controls) {
    if (isAncestorOrSelf(element, other.element) || isAncestorOrSelf(other.element, element)) continue;
    const [a, b] = [scene.nodes(other.element)[0], after.nodes(other.element)[0]];
    if (a && b && a.matrix === null && b.matrix === null)
      most = Math.max(most, Math.abs(a.rect.x - b.rect.x), Math.abs(a.rect.y - b.rect.y));
  }
  return most;
}

const SIZES = [
  'borderTopWidth',
  'borderLeftWidth',
  'paddingTop',
  'paddingLeft',
  'fontWeight',
  'fontSize',
  'letterSpacing',
  'width',
  'height',
  'marginLeft',
  'marginTop',
] as const;

function causeFor(element: ElementNode, scene: Scene, style: ComputedStyle): Cause | null {
  const before = scene.style(element);
  const key = SIZES.find((name) => JSON.stringify(before[name]) !== JSON.stringify(style[name]));
  return key ? causeOf(style, key) : null;
}
