import type { Reading } from '../reading.js';
import { Accessor, isCallable, Obj, Unknown, UNKNOWN, type Slot, type Value } from '../values.js';

/** The object whose properties a value has: itself, or the prototype of its kind. */
export function objectOf(reading: Reading, value: Value): Obj | null {
  if (value instanceof Obj) return value;
  const { protos } = reading.realm;
  if (typeof value === 'string') return protos.string;
  if (typeof value === 'number') return protos.number;
  return typeof value === 'boolean' ? protos.boolean : null;
}

/** The slot of a property, its own or inherited. */
export function slotOf(object: Obj, key: string): Slot | undefined {
  let guard = 0;
  for (let holder: Obj | null = object; holder && guard < 60; holder = holder.proto, guard++)
    if (holder.hasOwn(key)) return holder.own(key);
  return undefined;
}

export function hasProperty(object: Obj, key: string): boolean {
  let guard = 0;
  for (let holder: Obj | null = object; holder && guard < 60; holder = holder.proto, guard++)
    if (holder.hasOwn(key)) return true;
  return false;
}

/** A property of a value. @spec ecma-262 §13.3.2 */
export function readProperty(reading: Reading, value: Value, key: string): Value {
  if (value instanceof Unknown) return UNKNOWN;
  if (value === undefined || value === null) return reading.raise('TypeError', `nothing has no property ${key}`);
  if (typeof value === 'string') {
    if (key === 'length') return value.length;
    if (/^\d+$/.test(key)) return value[Number(key)];
  }
  const object = objectOf(reading, value)!;
  if (!hasProperty(object, key)) {
    if (key === '__proto__') return object.proto;
    return object.open ? UNKNOWN : undefined;
  }
  const slot = slotOf(object, key);
  if (!(slot instanceof Accessor)) return slot;
  return typeof slot.get === 'function' ? slot.get(reading, value, []) : reading.call(slot.get, value, []);
}

/** @spec ecma-262 §13.15.2 */
export function writeProperty(reading: Reading, value: Value, key: string, to: Value): void {
  if (value === undefined || value === null) reading.raise('TypeError', `nothing takes no property ${key}`);
  if (!(value instanceof Obj)) return;
  const slot = value.hasOwn(key) ? value.own(key) : slotOf(value, key);
  if (!(slot instanceof Accessor)) {
    if (key === '__proto__') value.proto = to instanceof Obj ? to : null;
    else value.write(reading, key, to);
    return;
  }
  if (typeof slot.set === 'function') slot.set(reading, value, [to]);
  else if (isCallable(slot.set)) reading.call(slot.set, value, [to]);
}

/** The text a computed key stands for; null where it cannot be told. */
export function keyOf(value: Value): string | null {
  if (value instanceof Unknown) return null;
  if (value instanceof Obj)
    return value.props.has('@@symbol') ? String(value.props.get('@@symbol')) : `[${identity(value)}]`;
  return String(value);
}

const ids = new WeakMap<Obj, number>();
let next = 0;
function identity(value: Obj): number {
  let id = ids.get(value);
  if (id === undefined) ids.set(value, (id = ++next));
  return id;
}
