import { method } from '../builtins/define.js';
import type { Realm } from '../realm.js';
import type { Reading } from '../reading.js';
import { Accessor, isCallable, Obj, text, truth, UNKNOWN, type Slot, type Value } from '../values.js';
import {
  changeClasses,
  classesOf,
  propertyName,
  readAttribute,
  readStyle,
  writeAttribute,
  writeStyle,
  type Target,
} from './targets.js';

/** An object that stands for a part of an element's attributes. */
abstract class Part extends Obj {
  constructor(
    proto: Obj | null,
    readonly reading: Reading,
    readonly target: Target,
  ) {
    super(proto);
  }
  protected abstract read(key: string): Value;
  protected abstract change(key: string, value: Value): void;

  override own(key: string): Slot | undefined {
    return this.read(key);
  }
  override hasOwn(key: string): boolean {
    return !this.proto!.hasOwn(key) && this.read(key) !== undefined;
  }
  override write(_reading: Reading, key: string, value: Slot): void {
    if (!(value instanceof Accessor)) this.change(key, value);
  }
}

export class ClassList extends Part {
  protected read(key: string): Value {
    const names = classesOf(this.reading, this.target);
    if (key === 'length') return names.length;
    if (key === 'value') return names.join(' ');
    return /^\d+$/.test(key) ? names[Number(key)] : undefined;
  }
  protected change(key: string, value: Value): void {
    if (key === 'value') writeAttribute(this.reading, this.target, 'class', text(value) ?? '');
  }
}

/** @spec dom §7.1 */
export function defineClassList(realm: Realm): void {
  const proto = realm.protos.classes;
  const add = (
    names: string,
    host: (r: Reading, self: ClassList, names: readonly string[], args: readonly Value[]) => Value,
  ) =>
    method(realm, proto, names, (r, self, args) => {
      if (!(self instanceof ClassList)) return UNKNOWN;
      const given = args.map(text);
      // A name that cannot be told is left out: what else is changed is seen.
      return host(
        r,
        self,
        given.filter((one): one is string => one !== null),
        args,
      );
    });
  add('add', (r, self, names) => {
    changeClasses(r, self.target, names, []);
    return undefined;
  });
  add('remove', (r, self, names) => {
    changeClasses(r, self.target, [], names);
    return undefined;
  });
  add('toggle', (r, self, [name], [, force]) => {
    if (name === undefined) return UNKNOWN;
    const on = force === undefined ? !classesOf(r, self.target).includes(name) : truth(force);
    if (on === null) {
      r.perhaps(() => changeClasses(r, self.target, [name], []));
      r.perhaps(() => changeClasses(r, self.target, [], [name]));
      return UNKNOWN;
    }
    changeClasses(r, self.target, on ? [name] : [], on ? [] : [name]);
    return on;
  });
  add('contains', (r, self, [name]) => (name === undefined ? UNKNOWN : classesOf(r, self.target).includes(name)));
  add('replace', (r, self, [from, to]) => {
    if (from === undefined || to === undefined) return UNKNOWN;
    if (!classesOf(r, self.target).includes(from)) return false;
    changeClasses(r, self.target, [to], [from]);
    return true;
  });
  add('item', (r, self, _names, [at]) => (typeof at === 'number' ? (classesOf(r, self.target)[at] ?? null) : UNKNOWN));
  add('toString', (r, self) => classesOf(r, self.target).join(' '));
  add('forEach', (r, self, _names, [fn]) => {
    if (isCallable(fn)) for (const name of classesOf(r, self.target)) r.call(fn, undefined, [name]);
    return undefined;
  });
}

export class StyleMap extends Part {
  protected read(key: string): Value {
    if (key.startsWith('@@')) return undefined;
    return key === 'cssText'
      ? (readAttribute(this.reading, this.target, 'style') ?? '')
      : readStyle(this.reading, this.target, propertyName(key));
  }
  protected change(key: string, value: Value): void {
    const given = value === null ? '' : text(value);
    if (key === 'cssText') {
      if (given !== null) writeAttribute(this.reading, this.target, 'style', given);
      return;
    }
    setStyle(this.reading, this.target, propertyName(key), given);
  }
}

/** Sets a declaration, told or not: one that cannot be told is only possible. */
export function setStyle(reading: Reading, target: Target, property: string, given: string | null): void {
  if (given !== null) writeStyle(reading, target, property, given);
  else if (property !== 'transition' && property !== 'transition-duration')
    reading.perhaps(() => writeStyle(reading, target, property, 'initial'));
}

/** @spec cssom-1 §6.6 */
export function defineStyle(realm: Realm): void {
  const proto = realm.protos.style;
  method(realm, proto, 'setProperty', (r, self, [name, value, priority]) => {
    const key = text(name);
    const given = value === null ? '' : text(value);
    if (self instanceof StyleMap && key !== null)
      setStyle(r, self.target, key, given !== null && priority === 'important' ? `${given} !important` : given);
    return undefined;
  });
  method(realm, proto, 'removeProperty', (r, self, [name]) => {
    const key = text(name);
    if (self instanceof StyleMap && key !== null) writeStyle(r, self.target, key, '');
    return undefined;
  });
  method(realm, proto, 'getPropertyValue', (r, self, [name]) => {
    const key = text(name);
    return self instanceof StyleMap && key !== null ? readStyle(r, self.target, key) : UNKNOWN;
  });
  method(realm, proto, 'getPropertyPriority', () => '');
}

const attributeFor = (key: string): string => `data-${key.replace(/[A-Z]/g, (c) => `-${c.toLowerCase()}`)}`;

/** `data-` attributes by their names in scripts. @spec html §3.2.6.6 */
export class DataMap extends Part {
  protected read(key: string): Value {
    return readAttribute(this.reading, this.target, attributeFor(key)) ?? undefined;
  }
  protected change(key: string, value: Value): void {
    const given = text(value);
    if (given !== null) writeAttribute(this.reading, this.target, attributeFor(key), given);
  }
  override drop(_reading: Reading, key: string): void {
    writeAttribute(this.reading, this.target, attributeFor(key), null);
  }
  override keys(): readonly string[] {
    const names = 'node' in this.target ? [...this.target.node.attributes.keys()] : [...this.target.attributes.keys()];
    return names
      .filter((name) => name.startsWith('data-'))
      .map((name) => name.slice(5).replace(/-([a-z])/g, (_m, c: string) => c.toUpperCase()));
  }
}
