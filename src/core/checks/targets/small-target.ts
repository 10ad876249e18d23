import { centre, unite, type Rect } from '../../base/index.js';
import { figure } from '../../findings/index.js';
import type { ElementNode } from '../../html/index.js';
import { descendants } from '../../html/index.js';
import { isFocusable } from '../../naming/index.js';
import type { Scene } from '../../scene/index.js';
import { defineCheck, type Look, type Observation } from '../define.js';
import { causeOf } from '../shared/causes.js';
import { isDisabled, seenControls, type Control } from '../shared/controls.js';

const LEAST = 24;
const LEAST_AAA = 44;

/** Size of every target of a menu, with the exceptions of the criterion. @spec WCAG 2.2 SC 2.5.8, 2.5.5 */
export const smallTarget = defineCheck(
  {
    id: 'small-target',
    title: 'Targets of the menu are large enough to press',
    weight: 'hinders',
    criteria: [{ number: '2.5.8', level: 'AA' }],
    messages: {
      crowded: {
        says: '“{label}” is {width} × {height} px with the next target {gap} px away: less than {needed} × {needed} px and too close to others to make up for it. People with a tremor or large fingers press the wrong one.',
        mends: 'Give it at least {needed} px each way, for instance with {padding}, or move its neighbours away.',
      },
      small: {
        says: '“{label}” is {width} × {height} px: less than the {needed} × {needed} px of level AAA. It is hard to press on a touch screen.',
        mends: 'Give it at least {needed} px each way, for instance with {padding}.',
      },
    },
  },
  inspect,
);

interface Target {
  readonly element: ElementNode;
  readonly rect: Rect;
}

function inspect(look: Look): readonly Observation[] {
  const { scene } = look;
  const least = look.level === 'AAA' ? LEAST_AAA : LEAST;
  const all = allTargets(scene);
  return seenControls(look.menus, scene).flatMap((control) => {
    const rect =
      isDisabled(control.element) || isSpare(control.element, scene) ? null : targetRect(control.element, scene);
    if (!rect || (rect.width >= least - 0.01 && rect.height >= least - 0.01) || inSentence(control.element, scene))
      return [];
    const gap = nearestGap({ element: control.element, rect }, all);
    if (look.level !== 'AAA' && isSpaced({ element: control.element, rect }, all)) return [];
    return [observation(control, rect, least, gap, look)];
  });
}

function observation(control: Control, rect: Rect, needed: number, gap: number, look: Look): Observation {
  const label =
    control.item?.label ||
    control.menu.toggles.find((t) => t.element === control.element)?.label ||
    control.element.tag;
  const narrow = rect.width < needed ? Math.ceil((needed - rect.width) / 2) : 0;
  const low = rect.height < needed ? Math.ceil((needed - rect.height) / 2) : 0;
  const style = look.scene.style(control.element);
  const display = style.display === 'inline' ? 'display: inline-block and ' : '';
  const extra = [
    low > 0 ? `${low} px more padding above and below` : '',
    narrow > 0 ? `${narrow} px more at each side` : '',
  ]
    .filter(Boolean)
    .join(' and ');
  return {
    element: control.element,
    menu: control.menu,
    state: 'normal',
    message: look.level === 'AAA' ? 'small' : 'crowded',
    data: {
      label,
      width: round(rect.width),
      height: round(rect.height),
      needed,
      gap: round(gap),
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

const round = (value: number): number => Math.round(value * 10) / 10;

/** What reacts to a press: the element's own boxes and those inside it that can be seen. */
function targetRect(element: ElementNode, scene: Scene): Rect | null {
  let rect = scene.seen(element);
  for (const inner of descendants(element)) {
    const part = scene.style(inner).pointerEvents === 'none' ? null : scene.seen(inner);
    if (rect && part) rect = unite(rect, part);
  }
  return rect;
}

/** Hidden from sight until it has focus, or never pressable. */
const isSpare = (element: ElementNode, scene: Scene): boolean => scene.style(element).pointerEvents === 'none';

const memo = new WeakMap<Scene, readonly Target[]>();

function allTargets(scene: Scene): readonly Target[] {
  let known = memo.get(scene);
  if (!known) {
    known = scene.document.elements
      .filter((e) => isFocusable(e) || e.tag === 'label')
      .flatMap((element) => {
        const rect = targetRect(element, scene);
        return rect ? [{ element, rect }] : [];
      });
    memo.set(scene, known);
  }
  return known;
}

const isUndersized = ({ rect }: Target): boolean => rect.width < LEAST || rect.height < LEAST;

function distanceToRect(x: number, y: number, rect: Rect): number {
  const dx = Math.max(rect.x - x, 0, x - rect.x - rect.width);
  const dy = Math.max(rect.y - y, 0, y - rect.y - rect.height);
  return Math.hypot(dx, dy);
}

/** A circle of 24 px around its middle meets no other target, nor the circle of another small one. */
function isSpaced(target: Target, all: readonly Target[]): boolean {
  const { x, y } = centre(target.rect);
  return all.every((other) => {
    if (related(other.element, target.element)) return true;
    if (isUndersized(other)) {
      const c = centre(other.rect);
      if (Math.hypot(c.x - x, c.y - y) < LEAST) return false;
    }
    return distanceToRect(x, y, other.rect) >= LEAST / 2;
  });
}

function related(a: ElementNode, b: ElementNode): boolean {
  for (let e: ElementNode | null = a; e; e = e.parent) if (e === b) return true;
  for (let e: ElementNode | null = b; e; e = e.parent) if (e === a) return true;
  return a.tag === 'label' && a.attributes.get('for') === b.id;
}

function nearestGap(target: Target, all: readonly Target[]): number {
  let least = Infinity;
  for (const other of all) {
    if (related(other.element, target.element)) continue;
    const dx = Math.max(
      other.rect.x - target.rect.x - target.rect.width,
      target.rect.x - other.rect.x - other.rect.width,
      0,
    );
    const dy = Math.max(
      other.rect.y - target.rect.y - target.rect.height,
      target.rect.y - other.rect.y - other.rect.height,
      0,
    );
    least = Math.min(least, Math.hypot(dx, dy));
  }
  return Number.isFinite(least) ? least : 0;
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
