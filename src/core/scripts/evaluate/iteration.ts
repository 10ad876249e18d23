import type { Realm } from '../realm.js';
import type { Reading } from '../reading.js';
import { Arr, Chain, isCallable, Obj, Table, truth, Unknown, UNKNOWN, type Value } from '../values.js';

const MOST = 5_000;

/** What goes through items one after the other; its items are those that are left. */
export const iteratorOf = ({ protos }: Realm, items: readonly Value[]): Arr => new Arr(protos.iterator, [...items]);

/** What an iterable gives, one after the other; null where it cannot be told. @spec ecma-262 §7.4 */
export function itemsOf(reading: Reading, value: Value): readonly Value[] | null {
  if (typeof value === 'string') return [...value].slice(0, MOST);
  if (value instanceof Arr) return value.items.slice(0, MOST);
  if (value instanceof Chain) return value.vague ? null : value.items;
  if (value instanceof Table) {
    const isSet = value.props.get('@@set') === true;
    return value.entries.map(([key, item]) => (isSet ? key : new Arr(reading.realm.protos.array, [key, item])));
  }
  if (value instanceof Unknown) return null;
  if (value instanceof Obj) return stepsOf(reading, value);
  return reading.raise('TypeError', 'something is gone through that is no list');
}

/** What an iterator that a script has made itself gives; null where it cannot be told. @spec ecma-262 §7.4.4 */
function stepsOf(reading: Reading, value: Obj): readonly Value[] | null {
  const make = value.open ? UNKNOWN : reading.get(value, '@@iterator');
  const iterator = isCallable(make) ? reading.call(make, value, []) : UNKNOWN;
  if (iterator instanceof Arr) return itemsOf(reading, iterator);
  const items: Value[] = [];
  while (iterator instanceof Obj && items.length < MOST) {
    const step = reading.call(reading.get(iterator, 'next'), iterator, []);
    const done = step instanceof Obj ? truth(reading.get(step, 'done')) : null;
    if (done === null) return null;
    if (done) return items;
    items.push(reading.get(step, 'value'));
  }
  return null;
}

/** The items of anything that has a length and numbered properties; null where they cannot be told. */
export function itemsOfLike(reading: Reading, value: Value): readonly Value[] | null {
  if (value instanceof Unknown) return null;
  if (value instanceof Obj && !(value instanceof Arr) && !(value instanceof Chain) && !(value instanceof Table)) {
    const length = reading.get(value, 'length');
    if (typeof length !== 'number') return length === undefined ? [] : null;
    return Array.from({ length: Math.min(length, MOST) }, (_, i) => reading.get(value, String(i)));
  }
  return value === undefined || value === null || typeof value === 'number' || typeof value === 'boolean'
    ? []
    : itemsOf(reading, value);
}
