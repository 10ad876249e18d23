import { closest, isAncestorOrSelf, type ElementNode, type HtmlDocument } from '../html/index.js';
import { passTime } from './builtins/timers.js';
import { fire } from './dom/events.js';
import { tellWatchers } from './dom/watchers.js';
import { activeAt, click, closePopovers, controlOf, type Actor } from './native.js';
import type { Reading } from './reading.js';
import type { Standing } from './standing.js';
import { El, type Value } from './values.js';

/** What a visitor does to one element. */
export interface Move {
  /** A press is that of a pointer, which hovers there; with a key it comes from the focus alone. */
  readonly by: 'hover' | 'focus' | 'press' | 'key' | 'scroll';
  readonly element: ElementNode;
  /** The key, as events name it; Enter unless said. @spec uievents-key */
  readonly key?: string;
}

/** A page without scripts: nothing hears of anything. */
export const silentActor = (document: HtmlDocument, standing: Standing): Actor => ({
  document,
  standing,
  toggle: (element, on) => void standing.toggled.set(element, on),
  fire: () => false,
});

export const readingActor = (reading: Reading): Actor => ({
  document: reading.document,
  get standing() {
    return reading.standing;
  },
  toggle: (element, on) => reading.toggle(element, on),
  fire: (element, type, init) => fire(reading, reading.wrap(element)!, type, init as Readonly<Record<string, Value>>),
});

/** Makes a move: what listens hears of it in the order of browsers, which then do their part. */
export function makeMove(actor: Actor, { by, element, key }: Move, reading: Reading | null): void {
  if (by === 'hover') hover(actor, element);
  else if (by === 'focus') focusOn(actor, element);
  else if (by === 'scroll') {
    actor.standing.scrolled = true;
    if (reading) hearScroll(reading);
  } else if (by === 'press') press(actor, element, reading?.look.touch ?? false);
  else pressKey(actor, element, key);
  if (reading) settle(reading);
}

const chain = (element: ElementNode | null | undefined): readonly ElementNode[] => {
  const out: ElementNode[] = [];
  for (let e = element ?? null; e; e = e.parent) out.push(e);
  return out;
};

/** The pointer comes to an element, or leaves the page. @spec uievents §3.2 */
export function hover(actor: Actor, element: ElementNode | null): void {
  const before = actor.standing.hovered ?? null;
  if (before === element) return;
  const [left, entered] = [chain(before), chain(element)];
  if (before) {
    actor.fire(before, 'pointerout');
    actor.fire(before, 'mouseout');
    for (const e of left)
      if (!entered.includes(e)) for (const type of ['pointerleave', 'mouseleave']) actor.fire(e, type);
  }
  actor.standing.hovered = element;
  if (!element) return;
  actor.fire(element, 'pointerover');
  actor.fire(element, 'mouseover');
  for (const e of [...entered].reverse())
    if (!left.includes(e)) for (const type of ['pointerenter', 'mouseenter']) actor.fire(e, type);
  actor.fire(element, 'pointermove');
  actor.fire(element, 'mousemove');
}

/** Focus comes to an element, or to none. @spec html §6.6.4 */
export function focusOn(actor: Actor, element: ElementNode | null): void {
  const before = actor.standing.focused ?? null;
  if (before === element) return;
  if (before) {
    actor.fire(before, 'blur');
    actor.fire(before, 'focusout');
  }
  actor.standing.focused = element;
  if (!element) return;
  actor.fire(element, 'focus');
  actor.fire(element, 'focusin');
}

/** Focus moved by a script. */
export function moveFocus(reading: Reading, element: ElementNode | null): void {
  if (reading.unsure > 0 || (element && !takesFocus(element, reading.standing))) return;
  focusOn(readingActor(reading), element);
}

const FOCUSABLE = new Set(['button', 'input', 'select', 'textarea', 'summary', 'iframe']);

const takesFocus = (element: ElementNode, standing: Standing): boolean =>
  standing.attribute(element, 'tabindex') !== undefined ||
  (FOCUSABLE.has(element.tag) && standing.attribute(element, 'disabled') === undefined) ||
  (element.tag === 'a' && standing.attribute(element, 'href') !== undefined);

/** What a finger sends of its own. */
export const TOUCHES = ['touchstart', 'touchend'];

function press(actor: Actor, element: ElementNode, touch: boolean): void {
  const { standing } = actor;
  if (touch) {
    const done = ['pointerdown', 'touchstart', 'pointerup', 'touchend'].map(
      (type) => actor.fire(element, type) && TOUCHES.includes(type),
    );
    // What a finger does is followed by what a mouse does, unless a script says that it is done.
    if (done.includes(true)) return;
  }
  hover(actor, element);
  if (!touch) actor.fire(element, 'pointerdown');
  const held = actor.fire(element, 'mousedown');
  if (!held) {
    const focused = closest(element, (e) => takesFocus(e, standing));
    if (focused || activeAt(element)?.tag !== 'label') focusOn(actor, focused ?? activeAt(element));
  }
  if (!touch) actor.fire(element, 'pointerup');
  actor.fire(element, 'mouseup');
  closePopovers(actor, (popover) => isAncestorOrSelf(popover, element) || refersTo(element, popover));
  click(actor, element);
}

/** A button that opens a popover does not first close it by being pressed outside of it. */
function refersTo(element: ElementNode, popover: ElementNode): boolean {
  const active = activeAt(element);
  return active !== null && ['popovertarget', 'commandfor'].some((name) => active.attributes.get(name) === popover.id);
}

const BY_ENTER = new Set(['a', 'button', 'summary', 'area']);
const BY_SPACE = new Set(['button', 'summary', 'input']);

function pressKey(actor: Actor, element: ElementNode, named: string | undefined): void {
  const { standing } = actor;
  const label = element.tag === 'label' && !takesFocus(element, standing) ? controlOf(element, actor.document) : null;
  const stop = label ?? (takesFocus(element, standing) ? element : (activeAt(element) ?? element));
  const { tag } = stop;
  const key = named ?? (tag === 'input' && !isButton(stop) ? ' ' : 'Enter');
  focusOn(actor, stop);
  const init = { key, code: key === ' ' ? 'Space' : key, which: CODES[key] ?? 0, keyCode: CODES[key] ?? 0 };
  const held = actor.fire(stop, 'keydown', init);
  if (!held && (key === 'Enter' || key === ' ')) actor.fire(stop, 'keypress', init);
  const presses = key === 'Enter' ? BY_ENTER.has(tag) || isButton(stop) : key === ' ' && BY_SPACE.has(tag);
  if (!held && presses && (tag !== 'a' || standing.attribute(stop, 'href') !== undefined)) click(actor, stop);
  if (!held && key === 'Escape') {
    closePopovers(actor, () => false);
    for (const [dialog, on] of [...standing.toggled]) if (on && dialog.tag === 'dialog') actor.toggle(dialog, false);
  }
  actor.fire(standing.focused ?? stop, 'keyup', init);
}

const isButton = (e: ElementNode): boolean =>
  e.tag === 'input' && /^(button|submit|reset|image)$/i.test(e.attributes.get('type') ?? '');

const CODES: Readonly<Record<string, number>> = {
  Tab: 9,
  Enter: 13,
  Escape: 27,
  ' ': 32,
  End: 35,
  Home: 36,
  ArrowLeft: 37,
  ArrowUp: 38,
  ArrowRight: 39,
  ArrowDown: 40,
};

/** The page was scrolled to where the look says: those who listen hear of it, then those who watch what comes into view. */
function hearScroll(reading: Reading): void {
  fire(reading, reading.realm.documentObject, 'scroll', { bubbles: true });
  tellWatchers(reading);
}

const ENDS = ['transitionend', 'webkitTransitionEnd', 'animationend', 'webkitAnimationEnd'];

/** Lets time pass after a move: timers, and the ends of transitions where someone waits for them. */
export function settle(reading: Reading): void {
  passTime(reading);
  for (let round = 0; round < 3; round++) {
    const waiting = [...reading.listeners].flatMap(([at, byType]) =>
      at instanceof El && reading.standing.changed.has(at.node)
        ? ENDS.filter((type) => (byType.get(type)?.length ?? 0) > 0).map((type) => ({ at, type }))
        : [],
    );
    if (waiting.length === 0) return;
    for (const { at, type } of waiting) fire(reading, at, type, { propertyName: 'transform' });
    passTime(reading);
  }
}
