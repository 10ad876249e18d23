import type { Reading } from '../reading.js';
import { Obj, text, type Value } from '../values.js';

/** An event as chains make it: what follows the first dot of its name tells listeners apart. */
export function makeEvent(reading: Reading, type: Value, props: Value): Obj {
  const event = new Obj(reading.realm.protos.event);
  const [name, ...spaces] = (text(type) ?? '').split('.');
  event.props.set('type', name ?? '');
  event.props.set('namespace', [...spaces].sort().join('.'));
  event.props.set('bubbles', true);
  if (props instanceof Obj) for (const key of props.keys()) event.props.set(key, props.props.get(key));
  return event;
}
