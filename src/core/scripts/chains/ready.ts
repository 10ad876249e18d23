import type { Reading } from '../reading.js';
import { isCallable, type Value } from '../values.js';

/** Calls a function once the whole page is there: at once where it is. */
export function ready(reading: Reading, fn: Value): void {
  if (!isCallable(fn)) return;
  const { realm } = reading;
  const dollar = realm.window.props.get('$') as Value;
  const run = () => void reading.call(fn, realm.documentObject, [dollar]);
  if (realm.documentObject.props.get('readyState') === 'loading') reading.whenReady.push(run);
  else reading.jobs.push(run);
}
