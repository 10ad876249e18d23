import type { ElementNode } from '../../html/index.js';
import { constructor, getter, method } from '../builtins/define.js';
import type { Realm } from '../realm.js';
import type { Listener, Reading } from '../reading.js';
import { Thrown } from '../trail.js';
import { Arr, El, isCallable, Obj, text, truth, Unknown, UNKNOWN, type Value } from '../values.js';
import { centre } from '../../base/index.js';
import { rectOf } from './geometry.js';
import { attributeHandler } from './handlers.js';
import { matcher } from './find.js';

/** Events that only reach their own element. @spec dom §2.9, uievents */
const STAYS = /^(mouseenter|mouseleave|pointerenter|pointerleave|focus|blur|load|toggle|beforetoggle|close|scroll)$/;

/** Events and what listens to them. @spec dom §2 */
export function defineEvents(realm: Realm): void {
  const { protos } = realm;
  const make = (_r: Reading, [type, init]: readonly Value[]): Obj => {
    const event = new Obj(protos.event);
    event.props.set('type', type);
    if (init instanceof Obj) for (const key of init.keys()) event.props.set(key, init.props.get(key));
    if (init instanceof Unknown) event.open = true;
    return event;
  };
  for (const name of [
    'Event',
    'CustomEvent',
    'MouseEvent',
    'KeyboardEvent',
    'PointerEvent',
    'TouchEvent',
    'FocusEvent',
    'UIEvent',
    'ToggleEvent',
  ])
    constructor(realm, name, protos.event, make);
  const flag = (names: string, ...keys: string[]) =>
    method(realm, protos.event, names, (r, self) => {
      if (self instanceof Obj) for (const key of keys) r.put(self.props, key, true);
      return undefined;
    });
  flag('preventDefault', 'defaultPrevented');
  flag('stopPropagation', '@@stopped');
  flag('stopImmediatePropagation', '@@stopped', '@@now');
  const told = (names: string, key: string) =>
    method(realm, protos.event, names, (_r, self) => self instanceof Obj && self.props.get(key) === true);
  told('isDefaultPrevented', 'defaultPrevented');
  told('isPropagationStopped', '@@stopped');
  told('isImmediatePropagationStopped', '@@now');
  method(realm, protos.event, 'initEvent initCustomEvent', (r, self, [type]) => {
    if (self instanceof Obj) r.put(self.props, 'type', type);
    return undefined;
  });
  method(
    realm,
    protos.event,
    'composedPath',
    (r, self) => new Arr(protos.array, self instanceof Obj ? [...pathOf(r, self.props.get('target') as Value)] : []),
  );
  method(realm, protos.event, 'getModifierState', () => false);
  for (const name of ['relatedTarget', 'fromElement', 'toElement', 'view']) protos.event.props.set(name, null);
  for (const name of ['buttons', 'eventPhase', 'timeStamp']) protos.event.props.set(name, 0);
  for (const name of ['bubbles', 'cancelable', 'composed', 'returnValue']) protos.event.props.set(name, true);
  getter(protos.event, 'srcElement', (r, self) => (self instanceof Obj ? r.get(self, 'target') : UNKNOWN));
  getter(protos.event, 'originalEvent', (_r, self) => self);
  // The pointer comes to the middle of what it comes to.
  const middle = (r: Reading, self: Value, axis: 'x' | 'y', page: boolean): Value => {
    const target = self instanceof Obj ? self.props.get('target') : undefined;
    const rect = target instanceof El ? rectOf(r, target) : undefined;
    return rect ? Math.round(centre(rect)[axis] - (page ? 0 : r.look.scroll[axis])) : UNKNOWN;
  };
  getter(protos.event, 'clientX x screenX', (r, self) => middle(r, self, 'x', false));
  getter(protos.event, 'clientY y screenY', (r, self) => middle(r, self, 'y', false));
  getter(protos.event, 'pageX', (r, self) => middle(r, self, 'x', true));
  getter(protos.event, 'pageY', (r, self) => middle(r, self, 'y', true));
  getter(
    protos.event,
    'offsetX offsetY layerX layerY touches changedTouches targetTouches movementX movementY deltaX deltaY',
    () => UNKNOWN,
  );
  protos.event.props.set('defaultPrevented', false);
  protos.event.props.set('isTrusted', true);
  protos.event.props.set('button', 0);
  for (const key of ['ctrlKey', 'metaKey', 'shiftKey', 'altKey']) protos.event.props.set(key, false);
  for (const holder of [protos.node, realm.window]) {
    method(realm, holder, 'addEventListener', (r, self, [type, handler, options]) =>
      listen(r, own(realm, self), type, handler, options),
    );
    method(realm, holder, 'removeEventListener', (r, self, [type, handler]) => {
      const kind = text(type);
      if (kind !== null) unlisten(r, own(realm, self), kind, (one) => one.handler === handler);
      return undefined;
    });
  }
  method(realm, realm.window, 'dispatchEvent', (r, _s, [event]) =>
    event instanceof Obj ? !dispatch(r, realm.window, event) : true,
  );
}

const own = (realm: Realm, self: Value): Value => self ?? realm.window;

const HANDLES =
  /^(click|dblclick|pointer|mouse|touch|key|focus|blur|scroll|resize|toggle|change|input|submit|load|DOMContentLoaded)/;

function listen(reading: Reading, self: Value, type: Value, handler: Value, options: Value): Value {
  const kind = text(type)?.replace(/^on(?=click)/, '');
  if (!(self instanceof Obj) || kind === undefined || handler === null || handler === undefined) return undefined;
  const read = (key: string) => (options instanceof Obj ? truth(reading.get(options, key)) === true : false);
  const capture = options === true || read('capture');
  addListener(reading, self, kind, {
    handler,
    capture,
    once: read('once'),
    below: null,
    spaces: [],
    chained: false,
    data: undefined,
  });
  if (handler instanceof Unknown && HANDLES.test(kind))
    reading.note('what it does then cannot be told without running it', self instanceof El ? self.node : null);
  return undefined;
}

export function addListener(reading: Reading, self: Obj, type: string, listener: Listener): void {
  const before = reading.listeners.get(self);
  const list = before?.get(type) ?? [];
  if (!listener.chained && list.some((one) => one.handler === listener.handler && one.capture === listener.capture))
    return;
  const after = new Map(before ?? []);
  after.set(type, [...list, listener]);
  setListeners(reading, self, after);
}

export function unlisten(reading: Reading, self: Value, type: string, goes: (listener: Listener) => boolean): void {
  if (!(self instanceof Obj)) return;
  const before = reading.listeners.get(self);
  const list = before?.get(type);
  if (!list?.some(goes)) return;
  setListeners(
    reading,
    self,
    new Map(before).set(
      type,
      list.filter((one) => !goes(one)),
    ),
  );
}

function setListeners(reading: Reading, self: Obj, after: ReadonlyMap<string, readonly Listener[]>): void {
  const before = reading.listeners.get(self);
  reading.trail.note(() => (before ? reading.listeners.set(self, before) : reading.listeners.delete(self)));
  reading.listeners.set(self, after);
}

/** Whatever an event comes by: its target first. */
function pathOf(reading: Reading, target: Value): readonly Obj[] {
  if (!(target instanceof Obj)) return [];
  const { window, documentObject } = reading.realm;
  if (target === window) return [window];
  if (target === documentObject) return [documentObject, window];
  if (!(target instanceof El)) return [target];
  const out: Obj[] = [];
  for (let node: ElementNode | null = target.node; node; node = node.parent) out.push(reading.wrap(node)!);
  return [...out, documentObject, window];
}

/** An event of a kind on something. @returns whether what browsers do of themselves was prevented */
export function fire(reading: Reading, target: Obj, type: string, init: Readonly<Record<string, Value>> = {}): boolean {
  const event = new Obj(reading.realm.protos.event);
  event.props.set('type', type);
  for (const [key, value] of Object.entries(init)) event.props.set(key, value);
  if (!event.props.has('bubbles')) event.props.set('bubbles', !STAYS.test(type));
  event.props.set('cancelable', true);
  event.props.set('timeStamp', reading.clock);
  return dispatch(reading, target, event);
}

/** Brings an event to all that listens on its way. @returns whether it was prevented @spec dom §2.9 */
export function dispatch(reading: Reading, target: Value, event: Obj, extra: readonly Value[] = []): boolean {
  if (!(target instanceof Obj)) return false;
  const type = text(event.props.get('type') as Value);
  if (type === null) return false;
  const path = pathOf(reading, target);
  const bubbles = truth(reading.get(event, 'bubbles')) === true;
  reading.put(event.props, 'target', target);
  const stopped = () => event.props.get('@@stopped') === true;
  for (const at of [...path].reverse()) {
    if (stopped()) break;
    notify(reading, at, target, event, { type, extra, capture: true, bubbles });
  }
  for (const at of path) {
    if (stopped()) break;
    notify(reading, at, target, event, { type, extra, capture: false, bubbles });
  }
  return event.props.get('defaultPrevented') === true;
}

interface Notice {
  readonly type: string;
  readonly extra: readonly Value[];
  readonly capture: boolean;
  readonly bubbles: boolean;
}

function notify(reading: Reading, at: Obj, target: Obj, event: Obj, { type, extra, capture, bubbles }: Notice): void {
  const list = reading.listeners.get(at)?.get(type) ?? [];
  const meets = bubbles || at === target;
  for (const listener of list) {
    if (event.props.get('@@now') === true) return;
    if (listener.capture !== capture) continue;
    const current =
      listener.below === null ? (meets || capture ? at : null) : belowOf(reading, listener, at, target, bubbles);
    if (!current) continue;
    if (!spacesMeet(listener, event)) continue;
    if (listener.once) unlisten(reading, at, type, (one) => one === listener);
    reading.put(event.props, 'currentTarget', current);
    reading.put(event.props, 'delegateTarget', at);
    if (listener.chained) reading.put(event.props, 'data', listener.data);
    const before = event.props.get('defaultPrevented');
    answer(reading, listener.handler, current, event, { extra, prevents: listener.chained, stops: listener.chained });
    if (type === 'touchstart' && isWholePage(reading, at)) reading.put(event.props, 'defaultPrevented', before);
  }
  if (capture || !meets || event.props.get('@@now') === true) return;
  const property = at.props.get(`on${type}`) as Value;
  const handler = property === undefined && at instanceof El ? attributeHandler(reading, at, `on${type}`) : property;
  if (handler === undefined || handler === null) return;
  reading.put(event.props, 'currentTarget', at);
  answer(reading, handler, at, event, { extra: [], prevents: true, stops: false });
}

/** Listeners of the whole page cannot keep fingers from scrolling: browsers take them for passive. @spec dom §2.8 (default passive value) */
const isWholePage = ({ realm }: Reading, at: Obj): boolean =>
  at === realm.window || at === realm.documentObject || (at instanceof El && ['html', 'body'].includes(at.node.tag));

/** Events fired with names of their own only reach listeners that have them. */
function spacesMeet(listener: Listener, event: Obj): boolean {
  const wanted = event.props.get('namespace');
  if (typeof wanted !== 'string' || wanted === '') return true;
  return wanted.split('.').every((name) => listener.spaces.includes(name));
}

/** The nearest element between where an event began and where it is listened to that a listener is for. */
function belowOf(reading: Reading, listener: Listener, at: Obj, target: Obj, bubbles: boolean): Obj | null {
  if (!(target instanceof El)) return null;
  const matches = matcher(reading, listener.below!);
  if (!matches) return null;
  if (!bubbles) return target !== at && matches(target.node) ? target : null;
  for (let node: ElementNode | null = target.node; node && reading.wrap(node) !== at; node = node.parent)
    if (matches(node)) return reading.wrap(node);
  return null;
}

function answer(
  reading: Reading,
  handler: Value,
  current: Obj,
  event: Obj,
  how: { extra: readonly Value[]; prevents: boolean; stops: boolean },
): void {
  let given: Value;
  try {
    if (isCallable(handler)) given = reading.call(handler, current, [event, ...how.extra]);
    else if (handler instanceof Obj) {
      const own = reading.get(handler, 'handleEvent');
      if (isCallable(own)) given = reading.call(own, handler, [event]);
    } else if (handler instanceof Unknown)
      reading.note('what it does then cannot be told without running it', current instanceof El ? current.node : null);
  } catch (error) {
    if (!(error instanceof Thrown)) throw error;
  }
  if (given !== false || !how.prevents) return;
  reading.put(event.props, 'defaultPrevented', true);
  if (how.stops) reading.put(event.props, '@@stopped', true);
}
