import type { Realm } from '../realm.js';
import type { Reading } from '../reading.js';
import { isCallable, number, type Obj, type Value } from '../values.js';
import { constructor, method, plain } from './define.js';

const FRAME = 16;

/** Timers run after what set them, in the order in which they are due. @spec html §8.6 */
export function defineTimers(realm: Realm): void {
  const { window } = realm;
  let next = 1;
  const add = (reading: Reading, callback: Value, wait: number, args: readonly Value[]): number => {
    const id = next++;
    if (!isCallable(callback)) return id;
    const run = () => void reading.call(callback, window, args);
    if (reading.unsure > 0) {
      run();
      return id;
    }
    keep(reading, [...reading.timers, { id, due: reading.clock + Math.max(0, wait || 0), run }]);
    return id;
  };
  method(realm, window, 'setTimeout setInterval', (r, _s, [fn, wait, ...args]) => add(r, fn, number(wait) ?? 0, args));
  method(realm, window, 'requestAnimationFrame webkitRequestAnimationFrame', (r, _s, [fn]) =>
    add(r, fn, FRAME, [r.clock + FRAME]),
  );
  method(realm, window, 'requestIdleCallback', (r, _s, [fn]) => add(r, fn, FRAME, []));
  method(realm, window, 'clearTimeout clearInterval cancelAnimationFrame cancelIdleCallback', (r, _s, [id]) => {
    keep(
      r,
      r.timers.filter((timer) => timer.id !== id),
    );
    return undefined;
  });
  const send = (reading: Reading, to: Obj, data: Value) =>
    add(reading, reading.get(to, 'onmessage'), 0, [plain(realm, { data })]);
  constructor(realm, 'MessageChannel', plain(realm), () => {
    const [port1, port2] = [plain(realm, { onmessage: null }), plain(realm, { onmessage: null })];
    for (const [from, to] of [
      [port1, port2],
      [port2, port1],
    ] as const) {
      method(realm, from, 'postMessage', (r, _s, [data]) => void send(r, to, data));
      method(realm, from, 'start close', () => undefined);
    }
    return plain(realm, { port1, port2 });
  });
  method(realm, window, 'queueMicrotask', (r, _s, [fn]) => {
    if (isCallable(fn)) r.jobs.push(() => r.call(fn, undefined, []));
    return undefined;
  });
}

function keep(reading: Reading, timers: Reading['timers']): void {
  const before = reading.timers;
  reading.trail.note(() => (reading.timers = before));
  reading.timers = timers;
}

/** The longest wait that is followed, ms. */
const PATIENCE = 3_000;

/** Lets time pass until nothing is due any more, or what is due lies too far away. */
export function passTime(reading: Reading): void {
  const until = reading.clock + PATIENCE;
  for (let round = 0; round < 400; round++) {
    for (let job = reading.jobs.shift(); job; job = reading.jobs.shift()) job();
    const [soonest] = [...reading.timers].sort((a, b) => a.due - b.due || a.id - b.id);
    if (!soonest || soonest.due > until) break;
    keep(
      reading,
      reading.timers.filter((timer) => timer !== soonest),
    );
    reading.clock = Math.max(reading.clock, soonest.due);
    soonest.run();
  }
}
