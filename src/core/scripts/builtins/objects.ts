import { itemsOf, itemsOfLike } from '../evaluate/iteration.js';
import { inheritsFrom, isInstance } from '../evaluate/operators.js';
import { keyOf, slotOf } from '../evaluate/properties.js';
import type { Realm } from '../realm.js';
import type { Reading } from '../reading.js';
import {
  Accessor,
  Arr,
  Bound,
  El,
  isCallable,
  Loose,
  Native,
  Obj,
  Pattern,
  Promised,
  Table,
  text,
  truth,
  Unknown,
  UNKNOWN,
  type Value,
} from '../values.js';
import { constructor, method, plain } from './define.js';

/** @spec ecma-262 §20.1 */
export function defineObjects(realm: Realm): void {
  const { protos } = realm;
  const object = constructor(realm, 'Object', protos.object, (_reading, [value]) => boxed(realm, value));
  method(realm, protos.object, 'hasOwnProperty', (_r, self, [key]) => owns(self, key));
  method(realm, protos.object, 'propertyIsEnumerable', (_r, self, [key]) => {
    const own = owns(self, key);
    return own === true && self instanceof Obj ? !self.quiet && !self.hidden?.has(keyOf(key)!) : own;
  });
  method(realm, protos.object, 'isPrototypeOf', (_r, self, [value]) => {
    if (value instanceof Unknown || self instanceof Unknown) return UNKNOWN;
    return value instanceof Obj && inheritsFrom(value, self);
  });
  method(realm, protos.object, 'toString toLocaleString', (r, self) => tagOf(r, self));
  method(realm, protos.object, 'valueOf', (_r, self) => self);
  method(realm, object, 'hasOwn', (_r, _s, [value, key]) => owns(value, key));
  const list = (items: Value[]) => new Arr(protos.array, items);
  const over = (value: Value, map: (key: string) => Value, reading: Reading): Value => {
    if (value instanceof Unknown || (value instanceof Obj && value.open)) return UNKNOWN;
    if (value === undefined || value === null) return reading.raise('TypeError', 'nothing has no keys');
    return list(value instanceof Obj ? value.keys().map(map) : []);
  };
  method(realm, object, 'keys', (r, _s, [value]) => over(value, (key) => key, r));
  method(realm, object, 'getOwnPropertyNames', (r, _s, [value]) =>
    value instanceof Obj && !value.open && value.hidden ? list([...value.ownNames()]) : over(value, (key) => key, r),
  );
  method(realm, object, 'values', (r, _s, [value]) => over(value, (key) => r.get(value, key), r));
  method(realm, object, 'entries', (r, _s, [value]) => over(value, (key) => list([key, r.get(value, key)]), r));
  method(realm, object, 'assign', (r, _s, [target, ...from]) => assignAll(r, target, from));
  method(realm, object, 'create', (r, _s, [proto, all]) =>
    defineAll(r, new Obj(proto instanceof Obj ? proto : null), all),
  );
  method(realm, object, 'getPrototypeOf', (_r, _s, [value]) => (value instanceof Obj ? value.proto : UNKNOWN));
  method(realm, object, 'setPrototypeOf', (_r, _s, [value, proto]) => {
    if (value instanceof Obj) value.proto = proto instanceof Obj ? proto : null;
    return value;
  });
  method(realm, object, 'freeze seal preventExtensions', (_r, _s, [value]) => value);
  method(realm, object, 'isFrozen isSealed isExtensible', () => UNKNOWN);
  method(realm, object, 'is', (_r, _s, [a, b]) =>
    a instanceof Unknown || b instanceof Unknown ? UNKNOWN : Object.is(a, b),
  );
  method(realm, object, 'defineProperty', (r, _s, [target, key, how]) => {
    const name = keyOf(key);
    if (target instanceof Obj && name !== null && how instanceof Obj) defineOne(r, target, name, how);
    return target;
  });
  method(realm, object, 'defineProperties', (r, _s, [target, all]) => defineAll(r, target, all));
  method(realm, object, 'getOwnPropertySymbols', () => list([]));
  method(realm, object, 'getOwnPropertyDescriptors', (r, _s, [value]) => {
    if (!(value instanceof Obj) || value.open) return UNKNOWN;
    return plain(realm, Object.fromEntries(value.keys().map((key) => [key, descriptorOf(r, value, key)])));
  });
  for (const [name, key] of [
    ['__defineGetter__', 'get'],
    ['__defineSetter__', 'set'],
  ] as const)
    method(realm, protos.object, name, (r, self, [property, fn]) => {
      const named = keyOf(property);
      if (self instanceof Obj && named !== null) defineOne(r, self, named, plain(realm, { [key]: fn }));
      return undefined;
    });
  method(realm, protos.object, '__lookupGetter__ __lookupSetter__', () => UNKNOWN);
  method(realm, object, 'getOwnPropertyDescriptor', (r, _s, [value, key]) => descriptorOf(r, value, key));
  method(realm, object, 'fromEntries', (r, _s, [value]) => {
    const made = plain(realm);
    for (const pair of itemsOf(r, value) ?? []) {
      const key = keyOf(r.get(pair, '0'));
      if (key !== null) made.props.set(key, r.get(pair, '1'));
    }
    return made;
  });
  const error = constructor(realm, 'Error', protos.error, (_r, [message]) => {
    const made = new Obj(protos.error);
    made.props.set('message', message ?? '');
    return made;
  });
  protos.error.props.set('name', 'Error');
  protos.error.props.set('message', '');
  for (const name of [
    'AggregateError',
    'URIError',
    'TypeError',
    'RangeError',
    'SyntaxError',
    'ReferenceError',
    'EvalError',
    'DOMException',
  ])
    realm.window.props.set(name, error);
  constructor(realm, 'Symbol', protos.symbol, (_r, [name]) => symbol(realm, `@@${text(name) ?? ''}${++symbols}`));
  const symbolMaker = realm.window.props.get('Symbol') as Native;
  for (const name of WELL_KNOWN) symbolMaker.props.set(name, symbol(realm, `@@${name}`));
  method(realm, symbolMaker, 'keyFor', () => UNKNOWN);
  method(realm, symbolMaker, 'for', (_r, _s, [name]) => symbol(realm, `@@for:${text(name) ?? ''}`));
}

const WELL_KNOWN =
  'iterator toStringTag hasInstance asyncIterator toPrimitive species isConcatSpreadable match matchAll replace search split unscopables'.split(
    ' ',
  );
let symbols = 0;
/** Whether a key is a symbol that a script has made. */
const isMadeSymbol = (key: string): boolean => /^@@.*\d$/.test(key);
function symbol(realm: Realm, name: string): Obj {
  const made = new Obj(realm.protos.symbol);
  made.props.set('@@symbol', name);
  return made;
}

function owns(value: Value, key: Value): Value {
  const name = keyOf(key);
  if (value instanceof Unknown || name === null) return UNKNOWN;
  if (!(value instanceof Obj)) return false;
  return value.hasOwn(name) || (value.open ? UNKNOWN : false);
}

/** What kinds of things call themselves. @spec ecma-262 §20.1.3.6 */
function tagOf(reading: Reading, value: Value): Value {
  const { protos, window, documentObject } = reading.realm;
  const tag = (name: string) => `[object ${name}]`;
  if (value instanceof Unknown) return UNKNOWN;
  if (value === null) return tag('Null');
  if (value === undefined) return tag('Undefined');
  if (!(value instanceof Obj)) {
    const kind = typeof value;
    return tag(`${kind[0]!.toUpperCase()}${kind.slice(1)}`);
  }
  if (value instanceof Arr) return tag(value.proto === protos.list ? 'NodeList' : 'Array');
  if (isCallable(value)) return tag('Function');
  if (value instanceof Pattern) return tag('RegExp');
  if (value instanceof Promised) return tag('Promise');
  if (value instanceof Table) return tag(value.props.has('@@set') ? 'Set' : 'Map');
  if (value instanceof El || value instanceof Loose) return tag('HTMLElement');
  if (value === window) return tag('Window');
  if (value === documentObject) return tag('HTMLDocument');
  if (value.props.has(BOXED)) return tagOf(reading, value.props.get(BOXED) as Value);
  const own = value.open ? UNKNOWN : reading.get(value, '@@toStringTag');
  if (own instanceof Unknown) return UNKNOWN;
  if (typeof own === 'string') return tag(own);
  return tag(value.proto === protos.error ? 'Error' : 'Object');
}

/** What an object holds that stands for a plain value. */
const BOXED = '@@boxed';

/** @spec ecma-262 §20.1.1.1, §7.1.18 (ToObject) */
function boxed(realm: Realm, value: Value): Value {
  if (value instanceof Obj || value instanceof Unknown) return value;
  const made = plain(realm);
  if (value !== undefined && value !== null) made.props.set(BOXED, value);
  return made;
}

/** What a property of an object is, as scripts are told it. @spec ecma-262 §6.2.6 */
function descriptorOf({ realm }: Reading, value: Value, key: Value): Value {
  const name = keyOf(key);
  if (!(value instanceof Obj) || name === null) return UNKNOWN;
  if (!value.hasOwn(name)) return value.open ? UNKNOWN : undefined;
  const slot = value.own(name);
  const how = { configurable: true, enumerable: !value.quiet && !value.hidden?.has(name) };
  if (!(slot instanceof Accessor)) return plain(realm, { value: slot, writable: true, ...how });
  const given = (fn: Accessor['get']): Value =>
    typeof fn === 'function' ? new Native(realm.protos.function, name, fn) : fn;
  return plain(realm, { get: given(slot.get), set: given(slot.set), ...how });
}

/** Copies the properties of several objects into one. @spec ecma-262 §20.1.2.1 */
export function assignAll(reading: Reading, target: Value, from: readonly Value[]): Value {
  for (const one of from) {
    if (one instanceof Unknown && target instanceof Obj) target.open = true;
    if (!(one instanceof Obj) || !(target instanceof Obj)) continue;
    if (one.open) target.open = true;
    for (const key of [...one.keys(), ...[...one.props.keys()].filter(isMadeSymbol)]) {
      if (one.hidden?.has(key)) continue;
      reading.step();
      reading.set(target, key, reading.get(one, key));
    }
  }
  return target;
}

/** Gives an object a property as a descriptor says. @spec ecma-262 §10.1.6 */
export function defineOne(reading: Reading, target: Obj, name: string, how: Obj): void {
  const get = slotOf(how, 'get') as Value;
  const set = slotOf(how, 'set') as Value;
  const shown = slotOf(how, 'enumerable') as Value;
  if (shown !== undefined || !target.hasOwn(name)) hide(reading, target, name, truth(shown) === false);
  if (get !== undefined || set !== undefined) target.write(reading, name, new Accessor(get, set));
  else if (how.hasOwn('value') || !target.hasOwn(name)) target.write(reading, name, reading.get(how, 'value'));
}

function hide(reading: Reading, target: Obj, name: string, hidden: boolean): void {
  const before = target.hidden;
  if (hidden === (before?.has(name) ?? false)) return;
  reading.trail.note(() => (target.hidden = before));
  const others = [...(before ?? [])].filter((key) => key !== name);
  target.hidden = new Set(hidden ? [...others, name] : others);
}

function defineAll(reading: Reading, target: Value, all: Value): Value {
  if (target instanceof Obj && all instanceof Obj)
    for (const name of all.keys()) {
      const how = reading.get(all, name);
      if (how instanceof Obj) defineOne(reading, target, name, how);
    }
  return target;
}

/** @spec ecma-262 §20.2 */
export function defineFunctions(realm: Realm): void {
  const { protos } = realm;
  constructor(realm, 'Function', protos.function, () => UNKNOWN);
  method(realm, protos.function, 'call', (r, self, [own, ...args]) => r.call(self, own, args));
  method(realm, protos.function, 'apply', (r, self, [own, args]) =>
    r.call(self, own, itemsOfLike(r, args) ?? [UNKNOWN]),
  );
  method(realm, protos.function, 'bind', (_r, self, [own, ...args]) => {
    if (!isCallable(self)) return UNKNOWN;
    const bound = new Bound(protos.function, self, own, args);
    return bound;
  });
  method(realm, protos.function, 'toString', (_r, self) =>
    self instanceof Native ? `function ${self.name}() { [native code] }` : 'function () { }',
  );
  method(realm, protos.function, '@@hasInstance', (r, self, [value]) => isInstance(r, value, self));
}
