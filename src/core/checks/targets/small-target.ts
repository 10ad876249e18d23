import { bottom, centre, right, type Rect } from '../../base/index.js';
import { figure } from '../../findings/index.js';
import { closest, isAncestorOrSelf, type ElementNode } from '../../html/index.js';
import type { Scene } from '../../scene/index.js';
import { defineCheck, onElement, type Observation } from '../define.js';
import { causeOf } from '../shared/causes.js';
import type { Control } from '../shared/controls.js';
import { isSameTarget, type Target, type TargetIndex } from '../shared/targets.js';
import type { Subject } from '../subject.js';
import { round } from '../shared/wording.js';

const LEAST = 24;
const LEAST_AAA = 44;

/** Size of every target of a menu, with the exceptions of the criterion. @spec WCAG 2.2 SC 2.5.8, 2.5.5 */
export const smallTarget = defineCheck(
  {
    id: 'small-target',
    title: 'Targets of the menu are large enough to press',
    weight: 'hinders',
    scope: 'menu',
    asks: { visitors: ['mouse'], poses: 'opened', widths: 'inside' },
    explains: {
      means:
        'Small targets close together are pressed by mistake: by people with a tremor, with large fingers, or on the move.',
      rule: [
        'Every target is at least 24 by 24 px, or stands so free that a circle of 24 px around its middle meets no other target and no circle of another small one.',
        'What a scroll container cuts off counts whole; a sliver of something collapsed is no target.',
        'Left out: links in a sentence, disabled controls, what cannot be pressed, and what is large enough but cut off by something around it: that is a fault of its own. A control and its label are one target.',
        'At level AAA it is 44 by 44 px without regard to spacing.',
      ],
      faulty: '.footer a { font-size: 14px; line-height: 16px }',
      mended: '.footer a { display: inline-block; padding-block: 4px }',
    },
    textWidth: true,
    worse: 'lower',
    messages: {
      crowded: {
        says: '{subject} is {width} × {height} px with the next target {gap} px away: less than {needed} × {needed} px and too close to others to make up for it. People with a tremor or large fingers press the wrong one.',
        mends: 'Give it at least {needed} px each way, for instance with {padding}, or move its neighbours away.',
        criteria: [{ number: '2.5.8', level: 'AA' }],
      },
      small: {
        says: '{subject} is {width} × {height} px: less than the {needed} × {needed} px of level AAA. It is hard to press on a touch screen.',
        mends: 'Give it at least {needed} px each way, for instance with {padding}.',
        criteria: [{ number: '2.5.5', level: 'AAA' }],
      },
    },
  },
  inspect,
);

function inspect(subject: Subject): readonly Observation[] {
  const { scene, targets, level } = subject;
  return subject.controls.flatMap((control) => {
    const target = control.disabled ? null : targets.of(control.element);
    if (!target || inSentence(control.element, scene) || isCut(target, scene)) return [];
    if (isUnder(target.rect, LEAST) && !isSpaced(target, targets, scene))
      return [observation(control, target, targets, 'crowded')];
    return level === 'AAA' && isUnder(target.rect, LEAST_AAA) ? [observation(control, target, targets, 'small')] : [];
  });
}

function observation(
  control: Control,
  { element, rect }: Target,
  targets: TargetIndex,
  message: 'crowded' | 'small',
): Observation {
  const needed = message === 'small' ? LEAST_AAA : LEAST;
  const narrow = rect.width < needed ? Math.ceil((needed - rect.width) / 2) : 0;
  const low = rect.height < needed ? Math.ceil((needed - rect.height) / 2) : 0;
  const style = control.scene.style(element);
  const display = style.display === 'inline' ? 'display: inline-block and ' : '';
  const extra = [
    low > 0 ? `${low} px more padding above and below` : '',
    narrow > 0 ? `${narrow} px more at each side` : '',
  ]
    .filter(Boolean)
    .join(' and ');
  return {
    at: onElement(element),
    menus: control.menus,
    state: 'normal',
    message,
    data: {
      subject: control.subject,
      width: round(rect.width),
      height: round(rect.height),
      needed,
      gap: round(nearestGap({ element, rect }, targets, control.scene)),
      padding: `${display}${extra}`,
    },
    measured: figure(Math.min(rect.width, rect.height), 'px'),
    needed: figure(needed, 'px'),
    cause:
      causeOf(style, rect.height < needed ? 'paddingTop' : 'paddingLeft') ??
      causeOf(style, 'height') ??
      causeOf(style, 'fontSize'),
  };
}

const ROUNDING = 0.01;
/** Large enough by itself: what is left of it is small because something cuts it off. */
function isCut({ element, rect }: Target, scene: Scene): boolean {
  const whole = scene.rect(element);
  return whole !== null && isUnder(rect, LEAST) && !isUnder(whole, LEAST);
}

const isUnder = (rect: Rect, least: number): boolean => rect.width < least - ROUNDING || rect.height < least - ROUNDING;

function distanceToRect(x: number, y: number, rect: Rect): number {
  const dx = Math.max(rect.x - x, 0, x - rect.x - rect.width);
  const dy = Math.max(rect.y - y, 0, y - rect.y - rect.height);
  return Math.hypot(dx, dy);
}

/** A circle of 24 px around its middle meets no other target, nor the circle of another small one. */
function isSpaced(target: Target, targets: TargetIndex, scene: Scene): boolean {
  const { x, y } = centre(target.rect);
  return targets.near(target.rect, LEAST).every((other) => {
    if (isSameTarget(other.element, target.element)) return true;
    const { rect } = other;
    const c = centre(rect);
    if (isUnder(rect, LEAST) && Math.hypot(c.x - x, c.y - y) < LEAST && isMet(other, [c], target, scene)) return false;
    if (distanceToRect(x, y, rect) >= LEAST / 2) return true;
    const around = ROUND.map(([dx, dy]) => ({ x: x + dx, y: y + dy })).filter((point) => holds(rect, point));
    return !isMet(other, [nearestPoint(x, y, rect), ...around], target, scene);
  });
}

interface At {
  readonly x: number;
  readonly y: number;
}

const HAIR = 0.5;
/** Points along the circle, from its middle. */
const ROUND: readonly (readonly [number, number])[] = Array.from({ length: 16 }, (_, i) => {
  const angle = (i * Math.PI) / 8;
  return [Math.cos(angle) * (LEAST / 2 - HAIR), Math.sin(angle) * (LEAST / 2 - HAIR)];
});

const holds = (rect: Rect, { x, y }: At): boolean =>
  x >= rect.x && x <= right(rect) && y >= rect.y && y <= bottom(rect);

/** The point of a rectangle that is nearest to another one, a hair inside. */
const nearestPoint = (x: number, y: number, rect: Rect): At => ({
  x: Math.min(Math.max(x, rect.x + HAIR), right(rect) - HAIR),
  y: Math.min(Math.max(y, rect.y + HAIR), bottom(rect) - HAIR),
});

/** Whether one of some points of another target lies free of the panel that a target stands in. */
function isMet(other: Target, points: readonly At[], { element }: Target, scene: Scene): boolean {
  const panel = closest(element, (e) => scene.style(e).position !== 'static' && !isAncestorOrSelf(e, other.element));
  if (!panel) return true;
  return points.some(({ x, y }) => {
    const hit = scene.hit(x, y);
    return !hit || !isAncestorOrSelf(panel, hit);
  });
}

function nearestGap(target: Target, targets: TargetIndex, scene: Scene): number {
  const { rect } = target;
  const { x, y } = centre(rect);
  let least = LEAST;
  for (const other of targets.near(rect, LEAST)) {
    if (isSameTarget(other.element, target.element)) continue;
    if (!isMet(other, [nearestPoint(x, y, other.rect)], target, scene)) continue;
    const dx = Math.max(other.rect.x - rect.x - rect.width, rect.x - other.rect.x - other.rect.width, 0);
    const dy = Math.max(other.rect.y - rect.y - rect.height, rect.y - other.rect.y - other.rect.height, 0);
    least = Math.min(least, Math.hypot(dx, dy));
  }
  return least;
}

/** A link in a sentence: its line holds other text that is no target. */
function inSentence(element: ElementNode, scene: Scene): boolean {
  if (scene.style(element).display !== 'inline') return false;
  for (let e = element.parent; e; e = e.parent) {
    if (e.children.some((child) => child.kind === 'text' && /\p{L}{2,}/u.test(child.data))) return true;
    if (scene.style(e).display !== 'inline') return false;
  }
  return false;
}
