import { method } from '../builtins/define.js';
import { addListener, dispatch, unlisten } from '../dom/events.js';
import { moveFocus } from '../moves.js';
import type { Realm } from '../realm.js';
import type { Reading } from '../reading.js';
import { Arr, Chain, El, isCallable, Native, Obj, text, Unknown, UNKNOWN, type Value } from '../values.js';
import { itemsOfLike } from '../evaluate/iteration.js';
import { makeEvent } from './make-event.js';
import { ready } from './ready.js';

const SHORT =
  'click dblclick mousedown mouseup mousemove mouseover mouseout mouseenter mouseleave keydown keyup keypress change select submit focusin focusout scroll resize load unload error contextmenu touchstart touchend';

/** Listeners added and fired in chains. */
export function defineEvents(realm: Realm): void {
  const add = (names: string, host: (r: Reading, self: Chain, args: readonly Value[]) => Value) =>
    method(realm, realm.protos.chain, names, (r, self, args) =>
      self instanceof Chain ? host(r, self, args) : UNKNOWN,
    );
  add('on', (r, self, args) => on(r, self, args, false));
  add('one', (r, self, args) => on(r, self, args, true));
  add('bind', (r, self, [types, ...rest]) => on(r, self, [types, ...rest], false));
  add('delegate', (r, self, [selector, types, handler]) => on(r, self, [types, selector, handler], false));
  add('live', (r, self, [types, handler]) => on(r, self, [types, handler], false));
  add('off unbind undelegate', (r, self, [types, selector, handler]) => {
    for (const { type, spaces } of kindsOf(text(types)))
      for (const item of self.items)
        for (const one of type === '' && item instanceof Obj ? [...(r.listeners.get(item)?.keys() ?? [])] : [type])
          unlisten(
            r,
            item,
            one,
            (listener) =>
              listener.chained &&
              spaces.every((space) => listener.spaces.includes(space)) &&
              (!isCallable(handler) || listener.handler === handler) &&
              (!isCallable(selector) || listener.handler === selector),
          );
    return self;
  });
  for (const type of SHORT.split(' '))
    add(type, (r, self, [first, second]) => {
      const handler = isCallable(second) ? second : first;
      if (first === undefined) return trigger(r, self, type, []);
      return on(r, self, [type, handler], false);
    });
  for (const type of ['focus', 'blur'])
    add(type, (r, self, [first, second]) => {
      const handler = isCallable(second) ? second : first;
      if (handler !== undefined) return on(r, self, [type, handler], false);
      const [item] = self.items;
      if (item instanceof El) moveFocus(r, type === 'focus' ? item.node : null);
      return self;
    });
  add('hover', (r, self, [enter, leave]) => {
    on(r, self, ['mouseenter', enter], false);
    return on(r, self, ['mouseleave', leave ?? enter], false);
  });
  add('ready', (r, self, [fn]) => {
    ready(r, fn);
    return self;
  });
  add('trigger', (r, self, [type, extra]) =>
    trigger(
      r,
      self,
      type,
      extra === undefined ? [] : (itemsOfLike(r, extra instanceof Arr ? extra : new Arr(null, [extra])) ?? []),
    ),
  );
  add('triggerHandler', (r, self, [type, extra]) => {
    const [first] = self.items;
    if (first instanceof Obj) {
      const event = makeEvent(r, type, undefined);
      event.props.set('bubbles', false);
      dispatch(r, first, event, extra instanceof Arr ? extra.items : []);
    }
    return undefined;
  });
}

interface Kind {
  readonly type: string;
  readonly spaces: readonly string[];
}

const kindsOf = (types: string | null): readonly Kind[] =>
  (types ?? '')
    .trim()
    .split(/\s+/)
    .map((one) => {
      const [type = '', ...spaces] = one.split('.');
      return { type, spaces };
    });

/** Names events are fired under: those a page gives special ones, and what bubbles for focus below an element. */
function heard(reading: Reading, type: string, delegated: boolean): string {
  const dollar = reading.realm.window.props.get('$') as Value;
  const special = reading.get(reading.get(reading.get(dollar, 'event'), 'special'), type);
  const named = special instanceof Obj ? text(reading.get(special, delegated ? 'delegateType' : 'bindType')) : null;
  if (named !== null && named !== 'undefined') return named;
  return delegated && type === 'focus' ? 'focusin' : delegated && type === 'blur' ? 'focusout' : type;
}

function on(reading: Reading, self: Chain, args: readonly Value[], once: boolean): Value {
  const [types, ...rest] = args;
  if (types instanceof Obj) {
    for (const type of types.keys()) on(reading, self, [type, ...rest, reading.get(types, type)], once);
    return self;
  }
  const handler = [...rest].reverse().find((arg) => isCallable(arg) || arg instanceof Unknown || arg === false);
  const below = rest.find((arg) => typeof arg === 'string');
  const data = rest.find((arg) => arg !== handler && arg !== below && arg !== null && arg !== undefined);
  if (handler === undefined) return self;
  for (const { type, spaces } of kindsOf(text(types))) {
    const selector = typeof below === 'string' ? below : null;
    const listener = {
      handler: handler === false ? prevention(reading) : handler,
      capture: false,
      once,
      below: selector,
      spaces,
      chained: true,
      data,
    };
    for (const item of self.items)
      if (item instanceof Obj) addListener(reading, item, heard(reading, type, selector !== null), listener);
    if (self.vague && isCallable(handler) && /^(click|mouse|key|touch|focus)/.test(type) && reading.unsure === 0)
      reading.note('it listens on something that cannot be told without running it');
  }
  return self;
}

/** `false` stands for a function that returns it. */
const prevention = ({ realm }: Reading): Value => new Native(realm.protos.function, 'prevent', () => false);

/** Fires an event: what listens hears of it, and a press or focus is made. */
function trigger(reading: Reading, self: Chain, type: Value, extra: readonly Value[]): Value {
  const made = type instanceof Obj ? type : null;
  const name = made ? text(made.props.get('type') as Value) : text(type);
  if (name === null) return self;
  const [kind] = kindsOf(name);
  for (const item of self.items) {
    if (!(item instanceof Obj)) continue;
    if (item instanceof El && kind!.type === 'click' && !made && extra.length === 0) reading.press(reading, item.node);
    else if (item instanceof El && kind!.type === 'focus' && !made) moveFocus(reading, item.node);
    else dispatch(reading, item, made ?? makeEvent(reading, name, undefined), extra);
  }
  return self;
}
