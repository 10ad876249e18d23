import { itemsOf, itemsOfLike, iteratorOf, visitEach } from '../evaluate/iteration.js';
import type { Realm } from '../realm.js';
import type { Reading } from '../reading.js';
import { Arr, isCallable, number, Obj, text, truth, Unknown, UNKNOWN, type Value } from '../values.js';
import { constructor, method } from './define.js';

/** @spec ecma-262 §23.1 */
export function defineArrays(realm: Realm): void {
  const { protos } = realm;
  protos.list.proto = protos.array;
  const list = (items: readonly Value[]) => new Arr(protos.array, [...items]);
  const array = constructor(realm, 'Array', protos.array, (_r, args) =>
    args.length === 1 && typeof args[0] === 'number'
      ? list(Array.from<Value>({ length: Math.min(args[0], 1000) }))
      : list(args),
  );
  method(realm, array, 'isArray', (_r, _s, [value]) =>
    value instanceof Unknown
      ? UNKNOWN
      : value instanceof Arr && value.proto !== protos.list && value.proto !== protos.iterator,
  );
  method(realm, array, 'from', (r, _s, [value, map]) => {
    const items: Value[] = [];
    const mapped = (item: Value): Value => (isCallable(map) ? r.call(map, undefined, [item, items.length]) : item);
    if (visitEach(r, value, (item) => items.push(mapped(item)))) return list(items);
    if (isCallable(map)) r.perhaps(() => r.call(map, undefined, [UNKNOWN, UNKNOWN]));
    return UNKNOWN;
  });
  method(realm, array, 'of', (_r, _s, args) => list(args));
  defineReaders(realm, list);
  defineWriters(realm, list);
  defineWalkers(realm, list);
}

type MakeList = (items: readonly Value[]) => Arr;

/** A method of lists, given the items of whatever it is called on. */
const over =
  (host: (reading: Reading, items: readonly Value[], args: readonly Value[], self: Value) => Value) =>
  (reading: Reading, self: Value, args: readonly Value[]): Value => {
    const items = itemsOfLike(reading, self);
    if (items) return host(reading, items, args, self);
    for (const arg of args)
      if (isCallable(arg)) reading.perhaps(() => reading.call(arg, undefined, [UNKNOWN, UNKNOWN]));
    return UNKNOWN;
  };

/** Where an item stands; null where it cannot be told. */
function place(items: readonly Value[], wanted: Value, from = 0): number | null {
  if (wanted instanceof Unknown) return null;
  const at = items.indexOf(wanted, from);
  return at < 0 && items.some((item) => item instanceof Unknown) ? null : at;
}

function defineReaders({ protos }: Realm, list: MakeList): void {
  const realm = { protos } as Realm;
  const add = (names: string, host: Parameters<typeof over>[0]) => method(realm, protos.array, names, over(host));
  add('slice', (_r, items, [from, to]) =>
    list(items.slice(number(from) ?? 0, to === undefined ? undefined : (number(to) ?? undefined))),
  );
  add('concat', (r, items, args) =>
    list([...items, ...args.flatMap((arg) => (arg instanceof Arr ? (itemsOf(r, arg) ?? []) : [arg]))]),
  );
  add('join', (_r, items, [by]) => {
    const parts = items.map((item) => (item === null || item === undefined ? '' : text(item)));
    return parts.includes(null) ? UNKNOWN : parts.join(by === undefined ? ',' : (text(by) ?? ','));
  });
  add('toString', (_r, items) => items.map((item) => text(item) ?? '').join(','));
  add('indexOf', (_r, items, [wanted, from]) => place(items, wanted, number(from ?? 0) ?? 0) ?? UNKNOWN);
  add('lastIndexOf', (_r, items, [wanted]) => (place(items, wanted) === null ? UNKNOWN : items.lastIndexOf(wanted)));
  add('includes', (_r, items, [wanted]) => {
    const at = place(items, wanted);
    return at === null ? UNKNOWN : at >= 0;
  });
  add('at', (_r, items, [at]) => items.at(number(at) ?? 0));
  add('entries', (r, items) =>
    iteratorOf(
      r.realm,
      items.map((item, i) => list([i, item])),
    ),
  );
  add('keys', (r, items) => iteratorOf(r.realm, [...items.keys()]));
  add('values', (r, items) => iteratorOf(r.realm, items));
  add('flat', (r, items) => list(items.flatMap((item) => (item instanceof Arr ? (itemsOf(r, item) ?? []) : [item]))));
  add('toReversed', (_r, items) => list([...items].reverse()));
  add('toSorted', (r, items, [by]) => list(ordered(r, items, by)));
  add('with', (_r, items, [at, value]) => list(items.with(number(at) ?? 0, value)));
  add('toSpliced', (_r, items, [from, count, ...more]) => {
    const spliced = [...items];
    spliced.splice(number(from) ?? 0, number(count ?? 0) ?? 0, ...more);
    return list(spliced);
  });
}

function defineWriters({ protos }: Realm, list: MakeList): void {
  const realm = { protos } as Realm;
  const add = (names: string, host: (r: Reading, self: Arr, args: readonly Value[]) => Value) =>
    method(realm, protos.array, names, (r, self, args) =>
      self instanceof Arr ? host(r, self, args) : pushInto(r, self, args),
    );
  add('push', (r, self, args) => {
    if (self.items.length < 10_000) r.relist(self, [...self.items, ...args]);
    return self.items.length;
  });
  add('unshift', (r, self, args) => {
    r.relist(self, [...args, ...self.items]);
    return self.items.length;
  });
  add('pop', (r, self) => {
    const last = self.items[self.items.length - 1];
    r.relist(self, self.items.slice(0, -1));
    return last;
  });
  add('shift', (r, self) => {
    const [first, ...rest] = self.items;
    r.relist(self, rest);
    return first;
  });
  add('splice', (r, self, [from, count, ...more]) => {
    const items = [...self.items];
    const removed = items.splice(number(from) ?? 0, count === undefined ? Infinity : (number(count) ?? 0), ...more);
    r.relist(self, items);
    return list(removed);
  });
  add('reverse', (r, self) => {
    r.relist(self, [...self.items].reverse());
    return self;
  });
  add('sort', (r, self, [by]) => {
    r.relist(self, ordered(r, self.items, by));
    return self;
  });
  add('copyWithin', () => UNKNOWN);
  add('fill', (r, self, [value]) => {
    r.relist(
      self,
      self.items.map(() => value),
    );
    return self;
  });
}

/** Longer lists are left as they are. */
const SORTED = 300;

function ordered(reading: Reading, items: readonly Value[], by: Value): Value[] {
  if (!isCallable(by)) return [...items].sort();
  if (items.length > SORTED) return [...items];
  return [...items].sort((a, b) => number(reading.call(by, undefined, [a, b])) ?? 0);
}

/** Things like arrays that `push` and the like are lent to. */
function pushInto(reading: Reading, self: Value, args: readonly Value[]): Value {
  if (!(self instanceof Obj)) return UNKNOWN;
  const length = reading.get(self, 'length');
  let at = typeof length === 'number' ? length : 0;
  for (const arg of args) reading.set(self, String(at++), arg);
  reading.set(self, 'length', at);
  return at;
}

function defineWalkers({ protos }: Realm, list: MakeList): void {
  const realm = { protos } as Realm;
  const add = (names: string, host: Parameters<typeof over>[0]) => method(realm, protos.array, names, over(host));
  const ask = (r: Reading, fn: Value, own: Value, item: Value, i: number, self: Value) =>
    r.call(fn, own, [item, i, self]);
  add('forEach', (r, items, [fn, own], self) => {
    items.forEach((item, i) => ask(r, fn, own, item, i, self));
    return undefined;
  });
  add('map', (r, items, [fn, own], self) => list(items.map((item, i) => ask(r, fn, own, item, i, self))));
  add('flatMap', (r, items, [fn, own], self) =>
    list(
      items.flatMap((item, i) => {
        const given = ask(r, fn, own, item, i, self);
        return given instanceof Arr ? given.items : [given];
      }),
    ),
  );
  // What cannot be told to pass is kept: better one element too many than a menu that nobody sees.
  add('filter', (r, items, [fn, own], self) =>
    list(items.filter((item, i) => truth(ask(r, fn, own, item, i, self)) !== false)),
  );
  for (const name of ['find', 'findLast', 'findIndex', 'findLastIndex'] as const)
    add(name, (r, items, [fn, own], self) =>
      items[name]((item: Value, i: number) => truth(ask(r, fn, own, item, i, self)) === true),
    );
  const some = (r: Reading, items: readonly Value[], fn: Value, own: Value, self: Value, wanted: boolean): Value => {
    let told = true;
    for (const [i, item] of items.entries()) {
      const known = truth(ask(r, fn, own, item, i, self));
      if (known === wanted) return wanted;
      told &&= known !== null;
    }
    return told ? !wanted : UNKNOWN;
  };
  add('some', (r, items, [fn, own], self) => some(r, items, fn, own, self, true));
  add('every', (r, items, [fn, own], self) => some(r, items, fn, own, self, false));
  add('reduce', (r, items, args) => {
    const [fn, start] = args;
    const [first, ...rest] = args.length > 1 ? [start, ...items] : items;
    return rest.reduce<Value>((sum, item, i) => r.call(fn, undefined, [sum, item, i]), first);
  });
  add('reduceRight', (r, items, args) => {
    const [fn, start] = args;
    const given = [...items].reverse();
    const [first, ...rest] = args.length > 1 ? [start, ...given] : given;
    return rest.reduce<Value>((sum, item, i) => r.call(fn, undefined, [sum, item, rest.length - 1 - i]), first);
  });
}
