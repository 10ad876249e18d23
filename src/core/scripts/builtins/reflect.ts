import { constructWith } from '../evaluate/functions.js';
import { itemsOfLike } from '../evaluate/iteration.js';
import { hasProperty, keyOf, slotOf } from '../evaluate/properties.js';
import type { Realm } from '../realm.js';
import type { Reading } from '../reading.js';
import { Accessor, Arr, isCallable, Obj, Unknown, UNKNOWN, type Value } from '../values.js';
import { method, plain } from './define.js';
import { defineOne } from './objects.js';

/** @spec ecma-262 §28.1 */
export function defineReflect(realm: Realm): void {
  const reflect = plain(realm);
  realm.window.props.set('Reflect', reflect);
  const given = (r: Reading, args: Value): readonly Value[] =>
    args instanceof Obj || args instanceof Unknown
      ? (itemsOfLike(r, args) ?? [UNKNOWN])
      : r.raise('TypeError', 'something is called without a list');
  method(realm, reflect, 'apply', (r, _s, [fn, self, args]) => r.call(fn, self, given(r, args)));
  method(realm, reflect, 'construct', (r, _s, [target, args, aim]) => {
    if (aim !== undefined && !(aim instanceof Unknown) && !isCallable(aim))
      return r.raise('TypeError', 'something is made that is no class');
    return constructWith(r, target, given(r, args), aim instanceof Obj ? aim : null);
  });
  method(realm, reflect, 'get', (r, _s, [target, key, self = target]) => {
    const name = keyOf(key);
    if (!(target instanceof Obj) || name === null) return UNKNOWN;
    const slot = slotOf(target, name);
    return slot instanceof Accessor && isCallable(slot.get as Value)
      ? r.call(slot.get as Value, self, [])
      : r.get(target, name);
  });
  method(realm, reflect, 'set', (r, _s, [target, key, value]) => {
    const name = keyOf(key);
    if (name !== null) r.set(target, name, value);
    return true;
  });
  method(realm, reflect, 'has', (_r, _s, [target, key]) => {
    const name = keyOf(key);
    if (!(target instanceof Obj) || name === null) return UNKNOWN;
    return hasProperty(target, name) || (target.open ? UNKNOWN : false);
  });
  method(realm, reflect, 'ownKeys', (_r, _s, [target]) =>
    target instanceof Obj && !target.open ? new Arr(realm.protos.array, [...target.keys()]) : UNKNOWN,
  );
  method(realm, reflect, 'deleteProperty', (r, _s, [target, key]) => {
    const name = keyOf(key);
    if (target instanceof Obj && name !== null) target.drop(r, name);
    return true;
  });
  method(realm, reflect, 'defineProperty', (r, _s, [target, key, how]) => {
    const name = keyOf(key);
    if (target instanceof Obj && name !== null && how instanceof Obj) defineOne(r, target, name, how);
    return true;
  });
  const object = realm.window.props.get('Object') as Obj;
  for (const name of ['getOwnPropertyDescriptor', 'getPrototypeOf']) reflect.props.set(name, object.props.get(name));
  method(realm, reflect, 'setPrototypeOf', (_r, _s, [target, proto]) => {
    if (target instanceof Obj) target.proto = proto instanceof Obj ? proto : null;
    return true;
  });
  method(realm, reflect, 'isExtensible preventExtensions', () => true);
}
