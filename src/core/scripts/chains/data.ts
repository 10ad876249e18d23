import { method, plain } from '../builtins/define.js';
import { isTarget, readAttribute } from '../dom/targets.js';
import type { Realm } from '../realm.js';
import type { Reading } from '../reading.js';
import { Chain, Obj, text, UNKNOWN, type Value } from '../values.js';

/** Values kept with elements, starting from their `data-` attributes. */
export function defineData(realm: Realm): void {
  method(realm, realm.protos.chain, 'data', (r, self, [key, value]) => {
    if (!(self instanceof Chain)) return UNKNOWN;
    if (value !== undefined || key instanceof Obj) {
      for (const item of self.items) dataOf(r, item, key, value);
      return self;
    }
    return self.items.length === 0 ? (self.vague ? UNKNOWN : undefined) : dataOf(r, self.items[0], key, undefined);
  });
  method(realm, realm.protos.chain, 'removeData', (r, self, [key]) => {
    const name = text(key);
    if (self instanceof Chain && name !== null)
      for (const item of self.items) {
        const kept = item instanceof Obj ? item.props.get('@@data') : undefined;
        if (kept instanceof Obj) kept.drop(r, camel(name));
      }
    return self;
  });
}

const camel = (key: string): string => key.replace(/-([a-z])/g, (_m, c: string) => c.toUpperCase());
const dashed = (key: string): string => key.replace(/[A-Z]/g, (c) => `-${c.toLowerCase()}`);

/** Reads or sets what is kept with an element. */
export function dataOf(reading: Reading, item: Value, key: Value, value: Value): Value {
  if (!(item instanceof Obj)) return undefined;
  let kept = item.props.get('@@data');
  if (!(kept instanceof Obj)) {
    kept = plain(reading.realm);
    reading.put(item.props, '@@data', kept);
  }
  const store = kept as Obj;
  if (key instanceof Obj) {
    for (const one of key.keys()) store.write(reading, camel(one), reading.get(key, one));
    return item;
  }
  if (key === undefined) return allOf(reading, item, store);
  const name = text(key);
  if (name === null) return UNKNOWN;
  if (value !== undefined) {
    store.write(reading, camel(name), value);
    return value;
  }
  return store.hasOwn(camel(name)) ? (store.own(camel(name)) as Value) : fromMarkup(reading, item, name);
}

function allOf(reading: Reading, item: Obj, store: Obj): Obj {
  const out = plain(reading.realm);
  if (isTarget(item)) {
    const names = 'node' in item ? [...item.node.attributes.keys()] : [];
    for (const name of names)
      if (name.startsWith('data-')) out.props.set(camel(name.slice(5)), fromMarkup(reading, item, name.slice(5)));
  }
  for (const key of store.keys()) out.props.set(key, store.own(key) as Value);
  return out;
}

/** A `data-` attribute as the value it writes. */
function fromMarkup(reading: Reading, item: Obj, name: string): Value {
  const written = isTarget(item) ? readAttribute(reading, item, `data-${dashed(name)}`) : null;
  if (written === null) return undefined;
  if (written === 'true' || written === 'false') return written === 'true';
  if (written === 'null') return null;
  if (written !== '' && String(Number(written)) === written) return Number(written);
  if (/^[[{]/.test(written))
    return reading.call(reading.get(reading.get(reading.realm.window, 'JSON'), 'parse'), undefined, [written]);
  return written;
}
