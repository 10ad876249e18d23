import { descendants } from '../../html/index.js';
import { method } from '../builtins/define.js';
import { takeOut } from '../dom/children.js';
import { computedOf, rectOf } from '../dom/geometry.js';
import { furnish, isMenu, isMenuMarkup, placeIn } from '../dom/loose.js';
import { setStyle } from '../dom/maps.js';
import {
  changeClasses,
  classesOf,
  isTarget,
  propertyName,
  readAttribute,
  readStyle,
  writeAttribute,
} from '../dom/targets.js';
import type { Realm } from '../realm.js';
import type { Reading } from '../reading.js';
import { Chain, El, isCallable, Loose, Obj, text, truth, UNKNOWN, type Value } from '../values.js';

type Add = (names: string, host: (r: Reading, self: Chain, args: readonly Value[]) => Value) => void;

/** Classes, attributes, properties, declarations and content of the elements of a chain. */
export function defineChanges(realm: Realm): void {
  const add: Add = (names, host) =>
    method(realm, realm.protos.chain, names, (r, self, args) =>
      self instanceof Chain ? host(r, self, args) : UNKNOWN,
    );
  defineClasses(add);
  defineAttributes(add);
  defineStyles(add);
  defineContent(add);
}

const names = (value: Value): readonly string[] | null => text(value)?.split(/\s+/).filter(Boolean) ?? null;

/** A value, or what a function makes of each element. */
const given = (reading: Reading, value: Value, item: Value, at: number, before: Value): Value =>
  isCallable(value) ? reading.call(value, item, [at, before]) : value;

function defineClasses(add: Add): void {
  const change =
    (how: (r: Reading, item: Value, value: Value, rest: readonly Value[]) => void) =>
    (r: Reading, self: Chain, [value, ...rest]: readonly Value[]) => {
      self.items.forEach((item, i) =>
        how(r, item, given(r, value, item, i, isTarget(item) ? readAttribute(r, item, 'class') : ''), rest),
      );
      return self;
    };
  add(
    'addClass',
    change((r, item, value) => {
      if (isTarget(item)) changeClasses(r, item, names(value) ?? [], []);
    }),
  );
  add(
    'removeClass',
    change((r, item, value) => {
      if (!isTarget(item)) return;
      if (value === undefined) writeAttribute(r, item, 'class', '');
      else changeClasses(r, item, [], names(value) ?? []);
    }),
  );
  add(
    'toggleClass',
    change((r, item, value, [force]) => {
      if (!isTarget(item)) return;
      for (const name of names(value) ?? []) {
        const on = force === undefined ? !classesOf(r, item).includes(name) : truth(force);
        if (on !== null) changeClasses(r, item, on ? [name] : [], on ? [] : [name]);
        else {
          r.perhaps(() => changeClasses(r, item, [name], []));
          r.perhaps(() => changeClasses(r, item, [], [name]));
        }
      }
    }),
  );
  add('hasClass', (r, self, [value]) => {
    const name = text(value);
    if (self.vague || name === null) return UNKNOWN;
    return self.items.some((item) => isTarget(item) && classesOf(r, item).includes(name));
  });
}

function defineAttributes(add: Add): void {
  add('attr', (r, self, [key, value]) => {
    if (key instanceof Obj) {
      for (const name of key.keys()) setAttribute(r, self, name, r.get(key, name));
      return self;
    }
    const name = text(key)?.toLowerCase();
    if (name === undefined) return UNKNOWN;
    if (value !== undefined) return setAttribute(r, self, name, value);
    const [first] = self.items;
    if (self.vague) return UNKNOWN;
    return isTarget(first) ? (readAttribute(r, first, name) ?? undefined) : undefined;
  });
  add('removeAttr', (r, self, [key]) => {
    for (const name of names(key) ?? [])
      for (const item of self.items) if (isTarget(item)) writeAttribute(r, item, name.toLowerCase(), null);
    return self;
  });
  add('prop', (r, self, [key, value]) => {
    const name = text(key);
    if (key instanceof Obj) {
      for (const one of key.keys()) for (const item of self.items) r.set(item, one, r.get(key, one));
      return self;
    }
    if (name === null) return UNKNOWN;
    if (value === undefined)
      return self.items.length > 0 ? r.get(self.items[0], name) : self.vague ? UNKNOWN : undefined;
    self.items.forEach((item, i) => r.set(item, name, given(r, value, item, i, UNKNOWN)));
    return self;
  });
  add('val', (r, self, [value]) => {
    if (value !== undefined) return self;
    return self.items.length > 0 ? r.get(self.items[0], 'value') : undefined;
  });
}

function setAttribute(reading: Reading, self: Chain, name: string, value: Value): Chain {
  self.items.forEach((item, i) => {
    if (!isTarget(item)) return;
    const to = given(reading, value, item, i, readAttribute(reading, item, name));
    const written = to === null ? null : text(to);
    if (to === null || written !== null) writeAttribute(reading, item, name, written);
  });
  return self;
}

const UNITLESS = /^(opacity|z-index|line-height|font-weight|flex|flex-grow|flex-shrink|order|zoom|column-count)$/;

/** A value as a declaration writes it: plain numbers are px. */
export function declared(property: string, value: Value): string | null {
  if (value === null || value === undefined) return '';
  if (typeof value === 'number')
    return UNITLESS.test(property) ? String(value) : Number.isFinite(value) ? `${value}px` : null;
  const written = text(value);
  return written !== null && written !== '' && /^-?\d+(\.\d+)?$/.test(written) && !UNITLESS.test(property)
    ? `${written}px`
    : written;
}

function defineStyles(add: Add): void {
  add('css', (r, self, [key, value]) => {
    if (key instanceof Obj) {
      for (const name of key.keys())
        for (const item of self.items)
          if (isTarget(item)) setStyle(r, item, propertyName(name), declared(propertyName(name), r.get(key, name)));
      return self;
    }
    const name = text(key);
    if (name === null) return UNKNOWN;
    const property = propertyName(name);
    if (value === undefined) {
      const [first] = self.items;
      if (first instanceof Loose) return readStyle(r, first, property) || (computedOf(r, first, property) ?? '');
      if (!(first instanceof El)) return UNKNOWN;
      return computedOf(r, first, property) ?? (readStyle(r, first, property) || UNKNOWN);
    }
    self.items.forEach((item, i) => {
      if (isTarget(item)) setStyle(r, item, property, declared(property, given(r, value, item, i, UNKNOWN)));
    });
    return self;
  });
  for (const [key, side] of [
    ['width', 'width'],
    ['height', 'height'],
    ['outerWidth', 'width'],
    ['outerHeight', 'height'],
    ['innerWidth', 'width'],
    ['innerHeight', 'height'],
  ] as const)
    add(key, (r, self, [value]) => {
      if (value !== undefined && value !== true && value !== false && !isCallable(value)) {
        for (const item of self.items) if (isTarget(item)) setStyle(r, item, side, declared(side, value));
        return self;
      }
      const [first] = self.items;
      if (first === r.realm.window || first === r.realm.documentObject)
        return r.ask(side, ({ medium }) => medium[side]);
      return first instanceof El ? (rectOf(r, first)?.[side] ?? UNKNOWN) : UNKNOWN;
    });
  add('offset position', (r, self, [value]) => {
    if (value !== undefined) return self;
    const [first] = self.items;
    return first instanceof El ? r.call(r.get(first, 'getBoundingClientRect'), first, []) : UNKNOWN;
  });
  add('scrollTop scrollLeft', (r, self, [value]) => {
    if (value !== undefined) return self;
    return self.items[0] instanceof El ? 0 : r.ask('scrollY', ({ scroll }) => scroll.y);
  });
}

function defineContent(add: Add): void {
  add('text html', (r, self, [value]) => {
    const [first] = self.items;
    if (value === undefined) return first instanceof Obj ? r.get(first, 'textContent') : UNKNOWN;
    for (const item of self.items)
      if (item instanceof El) r.set(item, 'innerHTML', isCallable(value) ? UNKNOWN : value);
    return self;
  });
  add('empty', (r, self) => {
    for (const item of self.items) if (item instanceof El) r.set(item, 'innerHTML', '');
    return self;
  });
  const put = (r: Reading, self: Chain, args: readonly Value[]): Value => {
    const adds = args.flatMap((arg) => (arg instanceof Chain ? arg.items : [arg]));
    const holdsMenu = adds.some((one) => isMenuMarkup(one) || (one instanceof Loose && isMenu(one)));
    for (const one of adds) if (one instanceof Loose && one.origin) r.copied.add(one.origin);
    for (const item of self.items) {
      if (holdsMenu) furnish(r, item);
      if (!(item instanceof El)) continue;
      for (const one of adds) {
        if (one instanceof El) r.moves(one.node);
        else if (one instanceof Loose || typeof one === 'string') r.written.add(item.node);
        if (one instanceof Loose) placeIn(r, one, item);
      }
    }
    return self;
  };
  add('append prepend after before replaceWith', put);
  add('wrap wrapAll wrapInner unwrap', (r, self, args) => {
    // What stands around links has a say in how they lie.
    for (const item of self.items)
      if (item instanceof El && [...descendants(item.node)].some(({ tag }) => tag === 'a'))
        r.note('it puts something around an element, or takes that away', item.node);
    return put(r, self, args);
  });
  add('appendTo prependTo insertAfter insertBefore replaceAll', (r, self) => {
    for (const item of self.items) {
      if (item instanceof El) r.moves(item.node);
      else if (item instanceof Loose && item.origin) r.copied.add(item.origin);
      if (item instanceof Loose && isMenu(item)) furnish(r, r.wrap(r.document.body));
      if (item instanceof Loose) placeIn(r, item, r.wrap(r.document.body));
    }
    return self;
  });
  add('remove', (r, self) => {
    for (const item of self.items) if (item instanceof El) takeOut(r, item);
    return self;
  });
}
