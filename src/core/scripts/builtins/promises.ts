import { itemsOf } from '../evaluate/iteration.js';
import type { Realm } from '../realm.js';
import type { Reading } from '../reading.js';
import { Thrown } from '../trail.js';
import { Arr, isCallable, Native, Promised, Unknown, UNKNOWN, type Value } from '../values.js';
import { constructor, method } from './define.js';

/** Promises: what is settled goes on at once after what runs, what is not may go on some time. @spec ecma-262 §27.2 */
export function definePromises(realm: Realm): void {
  const { protos } = realm;
  const kept = (value: Value): Promised =>
    value instanceof Promised
      ? value
      : new Promised(protos.promise, value instanceof Unknown ? 'unknown' : 'kept', value);
  const promise = constructor(realm, 'Promise', protos.promise, (reading, [run]) => {
    const out = new Promised(protos.promise, 'pending', UNKNOWN);
    const settler = (how: 'kept' | 'broken') =>
      new Native(protos.function, how, (r, _s, [value]) => {
        settle(r, out, how, value);
        return undefined;
      });
    if (isCallable(run)) reading.call(run, undefined, [settler('kept'), settler('broken')]);
    return out;
  });
  method(realm, promise, 'resolve', (_r, _s, [value]) => kept(value));
  method(realm, promise, 'reject', (_r, _s, [value]) => new Promised(protos.promise, 'broken', value));
  method(realm, promise, 'all allSettled', (r, _s, [list]) => {
    const items = itemsOf(r, list);
    const values = items?.map((item) =>
      item instanceof Promised ? (item.settled === 'kept' ? item.value : UNKNOWN) : item,
    );
    return values ? kept(new Arr(protos.array, values)) : UNKNOWN;
  });
  method(realm, promise, 'race any', () => new Promised(protos.promise, 'unknown', UNKNOWN));
  method(realm, protos.promise, 'then', (r, self, [done, failed]) => next(r, self, done, failed, kept));
  method(realm, protos.promise, 'catch', (r, self, [failed]) => next(r, self, undefined, failed, kept));
  method(realm, protos.promise, 'finally', (r, self, [done]) => {
    if (isCallable(done)) r.jobs.push(() => r.call(done, undefined, []));
    return self;
  });
}

/** Settles a promise: what waits for it goes on after what runs. */
function settle(reading: Reading, promise: Promised, how: 'kept' | 'broken', value: Value): void {
  if (promise.settled !== 'pending') return;
  if (value instanceof Promised && value.settled === 'pending') {
    value.waiting.push(() => settle(reading, promise, value.settled === 'broken' ? 'broken' : 'kept', value.value));
    return;
  }
  const given = value instanceof Promised ? value.value : value;
  promise.settled = given instanceof Unknown ? 'unknown' : how;
  promise.value = given;
  reading.jobs.push(...promise.waiting);
}

function next(reading: Reading, self: Value, done: Value, failed: Value, kept: (value: Value) => Promised): Value {
  if (!(self instanceof Promised)) return UNKNOWN;
  if (self.settled === 'pending') {
    const out = new Promised(self.proto, 'pending', UNKNOWN);
    self.waiting.push(() => settle(reading, out, 'kept', next(reading, self, done, failed, kept)));
    return out;
  }
  const callback = self.settled === 'broken' ? failed : done;
  if (self.settled === 'unknown') {
    for (const one of [done, failed])
      if (isCallable(one)) reading.perhaps(() => reading.call(one, undefined, [UNKNOWN]));
    return self;
  }
  if (!isCallable(callback)) return self;
  const out = new Promised(self.proto, 'pending', UNKNOWN);
  const { value } = self;
  reading.jobs.push(() => {
    try {
      settle(reading, out, 'kept', reading.call(callback, undefined, [value]));
    } catch (error) {
      if (!(error instanceof Thrown)) throw error;
      settle(reading, out, 'broken', error.value);
    }
  });
  return out;
}
