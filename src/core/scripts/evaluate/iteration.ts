import type { Reading } from '../reading.js';
import { Arr, Chain, Obj, Table, Unknown, type Value } from '../values.js';

const MOST = 5_000;

/** What an iterable gives, one after the other; null where it cannot be told. @spec ecma-262 §7.4 */
export function itemsOf(reading: Reading, value: Value): readonly Value[] | null {
  if (typeof value === 'string') return [...value].slice(0, MOST);
  if (value instanceof Arr) return value.items.slice(0, MOST);
  if (value instanceof Chain) return value.vague ? null : value.items;
  if (value instanceof Table) {
    const isSet = value.props.get('@@set') === true;
    return value.entries.map(([key, item]) => (isSet ? key : new Arr(reading.realm.protos.array, [key, item])));
  }
  if (value instanceof Unknown || value instanceof Obj) return null;
  return reading.raise('TypeError', 'something is gone through that is no list');
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
