import { itemsOf, iteratorOf } from '../evaluate/iteration.js';
import type { Realm } from '../realm.js';
import type { Reading } from '../reading.js';
import { Arr, Table, Unknown, UNKNOWN, type Value } from '../values.js';
import { constructor, getter, method } from './define.js';

type Entries = Table['entries'];

/** Maps and sets, weak ones alike. @spec ecma-262 §24 */
export function defineCollections(realm: Realm): void {
  const { protos } = realm;
  const make =
    (isSet: boolean) =>
    (reading: Reading, [from]: readonly Value[]) => {
      const made = new Table(protos.map);
      if (isSet) made.props.set('@@set', true);
      if (from instanceof Unknown) made.open = true;
      if (from !== undefined && from !== null)
        for (const item of itemsOf(reading, from) ?? [])
          put(reading, made, isSet ? item : reading.get(item, '0'), isSet ? item : reading.get(item, '1'));
      return made;
    };
  for (const name of ['Map', 'WeakMap']) constructor(realm, name, protos.map, make(false));
  for (const name of ['Set', 'WeakSet']) constructor(realm, name, protos.map, make(true));
  constructor(realm, 'WeakRef', protos.map, (_r, [value]) => {
    const made = new Table(protos.map);
    made.entries = [['ref', value]];
    return made;
  });
  const own = (self: Value): Entries | null => (self instanceof Table && !self.open ? self.entries : null);
  const add = (names: string, host: (r: Reading, self: Table, args: readonly Value[]) => Value) =>
    method(realm, protos.map, names, (r, self, args) => (self instanceof Table ? host(r, self, args) : UNKNOWN));
  add('get', (_r, self, [key]) => {
    const hit = own(self)?.find(([k]) => k === key);
    return hit ? hit[1] : key instanceof Unknown || self.open ? UNKNOWN : undefined;
  });
  add('deref', (_r, self) => self.entries[0]?.[1]);
  add('has', (_r, self, [key]) =>
    key instanceof Unknown || self.open ? UNKNOWN : self.entries.some(([k]) => k === key),
  );
  add('set', (r, self, [key, value]) => put(r, self, key, value));
  add('add', (r, self, [value]) => put(r, self, value, value));
  add('delete', (r, self, [key]) => {
    const had = self.entries.some(([k]) => k === key);
    if (had)
      replace(
        r,
        self,
        self.entries.filter(([k]) => k !== key),
      );
    return had;
  });
  add('clear', (r, self) => {
    replace(r, self, []);
    return undefined;
  });
  add('forEach', (r, self, [fn]) => {
    for (const [key, value] of self.entries) r.call(fn, undefined, [value, key, self]);
    return undefined;
  });
  const list = (items: Value[]) => new Arr(protos.array, items);
  const through = (name: string, of: (entry: Entries[number]) => Value) =>
    add(name, (_r, self) => (self.open ? UNKNOWN : iteratorOf(realm, self.entries.map(of))));
  through('keys', ([key]) => key);
  through('values', ([, value]) => value);
  through('entries', ([key, value]) => list([key, value]));
  getter(protos.map, 'size', (_r, self) => own(self)?.length ?? UNKNOWN);
}

function replace(reading: Reading, table: Table, entries: Entries): void {
  const before = table.entries;
  reading.trail.note(() => (table.entries = before));
  table.entries = entries;
}

function put(reading: Reading, table: Table, key: Value, value: Value): Value {
  if (key instanceof Unknown) return table;
  const at = table.entries.findIndex(([k]) => k === key);
  if (at < 0) replace(reading, table, [...table.entries, [key, value]]);
  else
    replace(
      reading,
      table,
      table.entries.map((entry, i) => (i === at ? ([key, value] as const) : entry)),
    );
  return table;
}
