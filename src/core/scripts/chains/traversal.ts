import type { ElementNode } from '../../html/index.js';
import { method } from '../builtins/define.js';
import type { Realm } from '../realm.js';
import type { Reading } from '../reading.js';
import { Arr, Chain, El, isCallable, Obj, text, truth, Unknown, UNKNOWN, type Value } from '../values.js';
import { below, chainOf, elementsOf, select, tester } from './select.js';

type Step = (node: ElementNode) => readonly ElementNode[];

const up = (node: ElementNode): ElementNode[] => {
  const out: ElementNode[] = [];
  for (let e = node.parent; e; e = e.parent) out.push(e);
  return out;
};
const after = (node: ElementNode): readonly ElementNode[] => node.parent?.elements.slice(node.position + 1) ?? [];
const before = (node: ElementNode): readonly ElementNode[] =>
  [...(node.parent?.elements.slice(0, node.position) ?? [])].reverse();

const STEPS: Readonly<Record<string, Step>> = {
  children: (node) => node.elements,
  contents: (node) => node.elements,
  parent: (node) => (node.parent ? [node.parent] : []),
  parents: up,
  next: (node) => after(node).slice(0, 1),
  prev: (node) => before(node).slice(0, 1),
  nextAll: after,
  prevAll: before,
  siblings: (node) => node.parent?.elements.filter((e) => e !== node) ?? [],
};

/** From the elements of a chain to others. */
export function defineTraversal(realm: Realm): void {
  const proto = realm.protos.chain;
  const add = (names: string, host: (r: Reading, self: Chain, args: readonly Value[]) => Value) =>
    method(realm, proto, names, (r, self, args) => (self instanceof Chain ? host(r, self, args) : UNKNOWN));
  for (const [name, step] of Object.entries(STEPS))
    add(name, (r, self, [by]) => {
      const all = elementsOf(self).flatMap((el) => step(el.node).map((node) => r.wrap(node)!));
      return keep(r, chainOf(r, all, self, self.vague), by, self);
    });
  for (const [name, step] of [
    ['parentsUntil', up],
    ['nextUntil', after],
    ['prevUntil', before],
  ] as const)
    add(name, (r, self, [until]) => {
      const stop = tester(r, until);
      const all = elementsOf(self).flatMap((el) => {
        const nodes = step(el.node);
        const end = nodes.findIndex((node, i) => stop(r.wrap(node), i));
        return nodes.slice(0, end < 0 ? undefined : end).map((node) => r.wrap(node)!);
      });
      return chainOf(r, all, self, self.vague);
    });
  add('find', (r, self, [what]) => {
    const written = text(what);
    if (what instanceof Chain || what instanceof El)
      return chainOf(r, what instanceof Chain ? what.items : [what], self);
    return written === null ? chainOf(r, [], self, true) : below(r, self, written);
  });
  add('closest', (r, self, [by]) => {
    const test = tester(r, by);
    const all = elementsOf(self).flatMap((el) =>
      [el.node, ...up(el.node)]
        .filter((node) => test(r.wrap(node), 0))
        .slice(0, 1)
        .map((node) => r.wrap(node)!),
    );
    return chainOf(r, all, self, self.vague);
  });
  add('offsetParent', (r, self) =>
    chainOf(
      r,
      elementsOf(self).map((el) => r.wrap(el.node.parent)),
      self,
    ),
  );
  defineFilters(realm, add);
  defineLists(realm, add);
}

type Add = (names: string, host: (r: Reading, self: Chain, args: readonly Value[]) => Value) => void;

function keep(reading: Reading, chain: Chain, by: Value, from: Chain): Chain {
  if (by === undefined || by === null) return chain;
  return chainOf(reading, chain.items.filter(tester(reading, by)), from, chain.vague || by instanceof Unknown);
}

function defineFilters(_realm: Realm, add: Add): void {
  add('filter', (r, self, [by]) => {
    if (isCallable(by))
      return chainOf(
        r,
        self.items.filter((item, i) => truth(r.call(by, item, [i, item])) !== false),
        self,
        self.vague,
      );
    return keep(r, self, by, self);
  });
  add('not', (r, self, [by]) => {
    const test = isCallable(by)
      ? (item: Value, i: number) => truth(r.call(by, item, [i, item])) === true
      : tester(r, by);
    return chainOf(
      r,
      self.items.filter((item, i) => !test(item, i)),
      self,
      self.vague,
    );
  });
  add('has', (r, self, [by]) => {
    const test = tester(r, by);
    return chainOf(
      r,
      elementsOf(self).filter((el) => below(r, chainOf(r, [el]), '*').items.some(test)),
      self,
      self.vague,
    );
  });
  add('is', (r, self, [by]) => {
    if (self.vague || by instanceof Unknown) return UNKNOWN;
    if (isCallable(by)) return self.items.some((item, i) => truth(r.call(by, item, [i, item])) === true);
    return shownAsked(r, self, by) ?? self.items.some(tester(r, by));
  });
  add('eq', (r, self, [at]) =>
    chainOf(r, typeof at === 'number' ? [self.items.at(at)].filter((x) => x !== undefined) : [], self, self.vague),
  );
  add('first', (r, self) => chainOf(r, self.items.slice(0, 1), self, self.vague));
  add('last', (r, self) => chainOf(r, self.items.slice(-1), self, self.vague));
  add('slice', (r, self, [from, to]) =>
    chainOf(r, self.items.slice(Number(from), to === undefined ? undefined : Number(to)), self, self.vague),
  );
  add('add', (r, self, [what, context]) =>
    chainOf(r, [...self.items, ...select(r, what, context).items], self, self.vague),
  );
  add('addBack andSelf', (r, self) => chainOf(r, [...(self.before?.items ?? []), ...self.items], self));
  add('end', (r, self) => self.before ?? chainOf(r, []));
}

/** `:visible` and `:hidden` where layout cannot tell. */
function shownAsked(reading: Reading, self: Chain, by: Value): Value | null {
  const written = text(by);
  if (written === null || !/^:(visible|hidden)$/.test(written.trim())) return null;
  const shown = elementsOf(self).map((el) => truth(reading.call(reading.get(el, 'checkVisibility'), el, [])));
  const wanted = written.includes('visible');
  if (shown.includes(wanted)) return true;
  return shown.includes(null) ? UNKNOWN : false;
}

function defineLists(realm: Realm, add: Add): void {
  add('each', (r, self, [fn]) => {
    for (const [i, item] of self.items.entries()) if (r.call(fn, item, [i, item]) === false) break;
    if (self.vague) r.perhaps(() => r.call(fn, UNKNOWN, [UNKNOWN, UNKNOWN]));
    return self;
  });
  add('map', (r, self, [fn]) =>
    chainOf(
      r,
      self.items.map((item, i) => r.call(fn, item, [i, item])),
      self,
      self.vague,
    ),
  );
  add('get', (_r, self, [at]) =>
    self.vague ? UNKNOWN : typeof at === 'number' ? self.items.at(at) : new Arr(realm.protos.array, [...self.items]),
  );
  add('toArray', (_r, self) => new Arr(realm.protos.array, [...self.items]));
  add('size', (_r, self) => (self.vague ? UNKNOWN : self.items.length));
  add('index', (r, self, [of]) => {
    const [first] = self.items;
    if (of !== undefined) {
      const others = of instanceof Chain ? of : select(r, of, undefined);
      return typeof of === 'string' ? others.items.indexOf(first) : self.items.indexOf(others.items[0]);
    }
    return first instanceof El ? first.node.position : -1;
  });
  add('clone', (r, self) => {
    const copy = (item: Value) => (item instanceof Obj ? r.call(r.get(item, 'cloneNode'), item, []) : item);
    return chainOf(r, self.items.map(copy), self, self.vague);
  });
  add('detach', (_r, self) => self);
}
