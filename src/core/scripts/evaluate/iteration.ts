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
  if (value instanceof Obj) {
    const items: Value[] = [];
    return steps(reading, value, (item) => items.push(item)) ? items : null;
  }
  return reading.raise('TypeError', 'something is gone through that is no list');
}

/**
 * Goes through what an iterator gives that a script has made itself; false where that cannot be told. The iterator is
 * closed where the visit throws. @spec ecma-262 §7.4
 */
function steps(reading: Reading, value: Obj, visit: (item: Value) => void): boolean {
  const make = value.open ? UNKNOWN : reading.get(value, '@@iterator');
  const iterator = isCallable(make) ? reading.call(make, value, []) : UNKNOWN;
  if (!(iterator instanceof Obj)) return false;
  for (let round = 0; round < MOST; round++) {
    const step = reading.call(reading.get(iterator, 'next'), iterator, []);
    const done = step instanceof Obj ? truth(reading.get(step, 'done')) : null;
    if (done !== false) return done === true;
    const item = reading.get(step, 'value');
    try {
      visit(item);
    } catch (error) {
      const close = reading.get(iterator, 'return');
      if (isCallable(close)) reading.call(close, iterator, []);
      throw error;
    }
  }
  return false;
}

/** Visits the items of a list or iterable one after the other; false where they cannot be told. */
export function visitEach(reading: Reading, value: Value, visit: (item: Value) => void): boolean {
  const plain = value instanceof Obj && !(value instanceof Arr || value instanceof Chain || value instanceof Table);
  if (plain && isCallable(reading.get(value, '@@iterator'))) return steps(reading, value, visit);
  const items = itemsOfLike(reading, value);
  items?.forEach(visit);
  return items !== null;
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
