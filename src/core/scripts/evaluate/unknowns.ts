import type { Reading } from '../reading.js';
import { Arr, isCallable, Obj, UNKNOWN, type Value } from '../values.js';

/**
 * A call of something unknown: functions handed in may be called some time, with anything. What is handed in and
 * belongs to the script may be changed.
 */
export function callUnknown(reading: Reading, args: readonly Value[]): Value {
  for (const arg of args) {
    if (isCallable(arg)) reading.perhaps(() => reading.call(arg, UNKNOWN, [UNKNOWN, UNKNOWN]));
    else if (arg instanceof Obj && !(arg instanceof Arr) && arg.proto === reading.realm.protos.object)
      callMembers(reading, arg);
  }
  return UNKNOWN;
}

/** Callbacks in an object of options. */
function callMembers(reading: Reading, options: Obj): void {
  for (const key of options.keys().slice(0, 20)) {
    const value = options.own(key);
    if (isCallable(value as Value)) reading.perhaps(() => reading.call(value as Value, options, [UNKNOWN, UNKNOWN]));
  }
}
