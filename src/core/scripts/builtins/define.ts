import type { Realm } from '../realm.js';
import type { Reading } from '../reading.js';
import { Accessor, Native, Obj, type Host, type Value } from '../values.js';

/** A function of the host under a name. */
export function method(realm: Realm, holder: Obj, names: string, host: Host): void {
  for (const name of names.split(' ')) holder.props.set(name, new Native(realm.protos.function, name, host));
}

export function getter(
  holder: Obj,
  names: string,
  get: (reading: Reading, self: Value) => Value,
  set?: (reading: Reading, self: Value, value: Value) => void,
): void {
  for (const name of names.split(' '))
    holder.props.set(
      name,
      new Accessor(
        (reading, self) => get(reading, self),
        (reading, self, [value]) => {
          set?.(reading, self, value);
          return undefined;
        },
      ),
    );
}

/** A constructor with its prototype, as a global name. */
export function constructor(realm: Realm, name: string, proto: Obj, make: Native['make'], called?: Host): Native {
  const made: Native = new Native(
    realm.protos.function,
    name,
    called ?? ((reading, _self, args): Value => (make ? make(reading, args, made) : undefined)),
  );
  made.make = make;
  made.props.set('prototype', proto);
  if (!proto.props.has('constructor')) proto.props.set('constructor', made);
  realm.window.props.set(name, made);
  return made;
}

/** An object with what an entry names. */
export function plain(realm: Realm, entries: Readonly<Record<string, Value>> = {}): Obj {
  const made = new Obj(realm.protos.object);
  for (const [key, value] of Object.entries(entries)) made.props.set(key, value);
  return made;
}
