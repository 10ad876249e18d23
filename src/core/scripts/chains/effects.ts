import { method, plain } from '../builtins/define.js';
import { computedOf, isShown } from '../dom/geometry.js';
import { setStyle } from '../dom/maps.js';
import { isTarget, propertyName, readStyle, writeStyle, type Target } from '../dom/targets.js';
import type { Realm } from '../realm.js';
import type { Reading } from '../reading.js';
import { Chain, El, isCallable, Loose, Native, Obj, truth, type Value } from '../values.js';
import { declared } from './changes.js';

/** Showing and hiding, at once or slowly: the page is looked at when it is done. */
export function defineEffects(realm: Realm): void {
  const add = (names: string, host: (r: Reading, self: Chain, args: readonly Value[]) => Value) =>
    method(realm, realm.protos.chain, names, (r, self, args) => {
      if (!(self instanceof Chain)) return self;
      host(r, self, args);
      return self;
    });
  const each = (how: (r: Reading, target: Target) => void) => (r: Reading, self: Chain, args: readonly Value[]) => {
    for (const item of self.items) if (isTarget(item)) how(r, item);
    finish(r, self, args);
    return self;
  };
  add('show fadeIn slideDown', each(show));
  add('hide fadeOut slideUp', each(hide));
  add('toggle slideToggle fadeToggle', (r, self, args) => {
    const force = typeof args[0] === 'boolean' ? args[0] : null;
    return each((reading, target) => {
      if (force !== null) return force ? show(reading, target) : hide(reading, target);
      turn(reading, target);
    })(r, self, args);
  });
  add('fadeTo', (r, self, [, opacity]) => {
    for (const item of self.items) if (isTarget(item)) setStyle(r, item, 'opacity', declared('opacity', opacity ?? 1));
    return self;
  });
  add('animate', (r, self, [to, ...rest]) => {
    for (const item of self.items) if (isTarget(item) && to instanceof Obj) animate(r, item, to);
    finish(r, self, rest);
    return self;
  });
  add('stop finish delay clearQueue', (_r, self) => self);
  // What stands in a queue comes one after the other by itself.
  const next = new Native(realm.protos.function, 'next', () => undefined);
  add('queue', (r, self, args) => {
    const fn = args.find(isCallable);
    if (fn) for (const item of self.items) r.jobs.push(() => r.call(fn, item, [next]));
    return self;
  });
  method(realm, realm.protos.chain, 'promise', (_r, self) => {
    const made = plain(realm);
    method(realm, made, 'done then always', (r, _s, [fn]) => {
      if (isCallable(fn)) r.jobs.push(() => r.call(fn, self, [self]));
      return made;
    });
    method(realm, made, 'fail progress catch', () => made);
    return made;
  });
  add('dequeue', (_r, self) => self);
}

/** What is to be called at the end of an effect. */
function finish(reading: Reading, self: Chain, args: readonly Value[]): void {
  const options = args.find((arg): arg is Obj => arg instanceof Obj && !isCallable(arg));
  const done = args.find(isCallable) ?? (options ? reading.get(options, 'complete') : undefined);
  if (!isCallable(done)) return;
  for (const item of self.items) reading.jobs.push(() => reading.call(done, item, []));
}

const INLINE = new Set(
  'a abbr b bdi bdo button cite code em i img input label q s select small span strong sub sup svg textarea time u'.split(
    ' ',
  ),
);

function display(target: Target): string {
  const tag = target instanceof El ? target.node.tag : target.tag;
  if (tag === 'li') return 'list-item';
  if (tag === 'tr') return 'table-row';
  return INLINE.has(tag) ? 'inline' : 'block';
}

function show(reading: Reading, target: Target): void {
  if (readStyle(reading, target, 'display') === 'none') writeStyle(reading, target, 'display', '');
  if (target instanceof Loose) return;
  const shown = computedDisplay(reading, target);
  if (shown === null) reading.perhaps(() => writeStyle(reading, target, 'display', display(target)));
  if (shown === null || shown === 'none') writeStyle(reading, target, 'display', display(target));
}

/** The computed `display`; null where it cannot be told. */
const computedDisplay = (reading: Reading, target: El): string | null => computedOf(reading, target, 'display') ?? null;

function hide(reading: Reading, target: Target): void {
  writeStyle(reading, target, 'display', 'none');
}

function turn(reading: Reading, target: Target): void {
  const shown = target instanceof El ? isShown(reading, target) : true;
  if (shown === true) hide(reading, target);
  else if (shown === false) show(reading, target);
  else {
    reading.perhaps(() => hide(reading, target));
    reading.perhaps(() => show(reading, target));
  }
}

function animate(reading: Reading, target: Target, to: Obj): void {
  for (const key of to.keys()) {
    const value = reading.get(to, key);
    const property = propertyName(key);
    if (property === 'scroll-top' || property === 'scroll-left') continue;
    if (value === 'show') show(reading, target);
    else if (value === 'hide') hide(reading, target);
    else if (value === 'toggle') turn(reading, target);
    else if (truth(value) !== null) setStyle(reading, target, property, declared(property, value));
  }
}
