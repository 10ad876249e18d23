import { itemsOf, iteratorOf } from '../evaluate/iteration.js';
import type { Realm } from '../realm.js';
import type { Reading } from '../reading.js';
import { Arr, UNKNOWN, type Obj, type Value } from '../values.js';
import { method, plain } from './define.js';

/** Iterators as lists, maps and strings give them, with the helpers of lists. @spec ecma-262 §27.1 */
export function defineIterators(realm: Realm): void {
  const { protos } = realm;
  protos.iterator.proto = protos.array;
  const step = (value: Value, done: boolean): Obj => plain(realm, { value, done });
  method(realm, protos.iterator, 'next', (r, self) => {
    if (!(self instanceof Arr)) return UNKNOWN;
    const [first, ...rest] = self.items;
    const done = self.items.length === 0;
    r.relist(self, rest);
    return step(first, done);
  });
  method(realm, protos.iterator, 'return', (r, self, [value]) => {
    if (self instanceof Arr) r.relist(self, []);
    return step(value, true);
  });
  method(realm, protos.iterator, '@@iterator', (_r, self) => self);
  method(realm, protos.iterator, 'toArray', (_r, self) =>
    self instanceof Arr ? new Arr(protos.array, [...self.items]) : UNKNOWN,
  );
  const each = (r: Reading, self: Value): Value => {
    const items = itemsOf(r, self);
    return items ? iteratorOf(realm, items) : UNKNOWN;
  };
  for (const holder of [protos.array, protos.map, protos.string, protos.chain])
    method(realm, holder, '@@iterator', each);
}
