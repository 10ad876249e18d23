import type * as acorn from 'acorn';
import type { SourceText } from '../base/index.js';
import type { ElementNode } from '../html/index.js';
import type { Reading as Walker } from './reading.js';

/** What a script computes with, as far as it can be told; `UNKNOWN` is anything at all. */
export type Value = undefined | null | boolean | number | string | Obj | Unknown;

/** A value nothing is known of. */
export class Unknown {
  readonly unknown = true;
}
export const UNKNOWN = new Unknown();

export type Host = (walker: Walker, self: Value, args: readonly Value[]) => Value;

/** A property worked out when it is asked for. */
export class Accessor {
  constructor(
    readonly get: Value | Host,
    readonly set: Value | Host = undefined,
  ) {}
}

export type Slot = Value | Accessor;

/** An object of a script. Property keys are texts; well-known symbols are written `@@iterator`. */
export class Obj {
  readonly props = new Map<string, Slot>();
  /** Whether it may have properties nobody saw being set. */
  open = false;
  /** Whether `for in` passes over its properties. */
  quiet = false;
  /** Properties that are passed over by themselves. */
  hidden: ReadonlySet<string> | null = null;
  constructor(public proto: Obj | null) {}

  own(key: string): Slot | undefined {
    return this.props.get(key);
  }
  hasOwn(key: string): boolean {
    return this.props.has(key);
  }
  keys(): readonly string[] {
    return this.ownNames().filter((key) => !this.hidden?.has(key));
  }
  /** Its own properties with those that are passed over. */
  ownNames(): readonly string[] {
    return [...this.props.keys()].filter((key) => !key.startsWith('@@') && !key.startsWith('#'));
  }
  write(walker: Walker, key: string, value: Slot): void {
    walker.put(this.props, key, value);
  }
  drop(walker: Walker, key: string): void {
    walker.remove(this.props, key);
  }
}

/** A list: arrays, and the lists of elements that DOM calls give. */
export class Arr extends Obj {
  constructor(
    proto: Obj | null,
    public items: Value[],
  ) {
    super(proto);
  }
  override own(key: string): Slot | undefined {
    if (key === 'length') return this.items.length;
    const index = indexOf(key);
    return index === null ? this.props.get(key) : this.items[index];
  }
  override hasOwn(key: string): boolean {
    const index = indexOf(key);
    return key === 'length' || (index === null ? this.props.has(key) : index < this.items.length);
  }
  override keys(): readonly string[] {
    return [...this.items.keys()].map(String).concat(super.keys());
  }
  override write(walker: Walker, key: string, value: Slot): void {
    const index = key === 'length' ? null : indexOf(key);
    if (key === 'length' && typeof value === 'number') walker.relist(this, this.items.slice(0, value));
    else if (index === null) super.write(walker, key, value);
    else if (index < 10_000 && !(value instanceof Accessor)) {
      const items = [...this.items];
      while (items.length < index) items.push(undefined);
      items[index] = value;
      walker.relist(this, items);
    }
  }
}

const indexOf = (key: string): number | null => (/^(0|[1-9]\d{0,5})$/.test(key) ? Number(key) : null);

/** A function of the host: what the language and the browser bring. */
export class Native extends Obj {
  /** Makes an object where it is called with `new`; without it the call itself does. */
  make: ((walker: Walker, args: readonly Value[], target: Obj) => Value) | null = null;
  constructor(
    proto: Obj | null,
    readonly name: string,
    readonly host: Host,
  ) {
    super(proto);
  }
}

export type FunctionNode = acorn.Function | acorn.ArrowFunctionExpression;

/** A function or class of a script, with the names it can see. */
export class Fn extends Obj {
  constructor(
    proto: Obj | null,
    readonly node: FunctionNode | acorn.Class,
    readonly scope: Scope,
    /** Where `super` starts from. */
    readonly home: Obj | null,
    readonly name: string,
  ) {
    super(proto);
  }
  /** Fields of a class, set on each new object. */
  fields: readonly { readonly key: string; readonly value: acorn.Expression | null | undefined }[] = [];
  /** The constructor a class writes, or null. */
  body: acorn.FunctionExpression | null = null;
  /** Scope fields and the constructor see. */
  inner: Scope | null = null;
  source: SourceText | null = null;

  override own(key: string): Slot | undefined {
    if (this.props.has(key)) return this.props.get(key);
    if (key === 'name') return this.name;
    if (key !== 'length' || !('params' in this.node)) return undefined;
    const end = this.node.params.findIndex(({ type }) => type === 'RestElement' || type === 'AssignmentPattern');
    return end < 0 ? this.node.params.length : end;
  }
  override hasOwn(key: string): boolean {
    return this.props.has(key) || key === 'name' || key === 'length';
  }
}

/** A function with `this` and arguments fixed. */
export class Bound extends Obj {
  constructor(
    proto: Obj | null,
    readonly target: Value,
    readonly self: Value,
    readonly args: readonly Value[],
  ) {
    super(proto);
  }
}

/** Maps and sets. */
export class Table extends Obj {
  entries: (readonly [Value, Value])[] = [];
}

export class Pattern extends Obj {
  constructor(
    proto: Obj | null,
    readonly regexp: RegExp | null,
  ) {
    super(proto);
  }
}

/** A promise: settled with a value, waiting for it, or never told. */
export class Promised extends Obj {
  readonly waiting: (() => void)[] = [];
  constructor(
    proto: Obj | null,
    public settled: 'kept' | 'broken' | 'pending' | 'unknown',
    public value: Value,
  ) {
    super(proto);
  }
}

/** An element of the page, or the document or window it stands in. */
export class El extends Obj {
  constructor(
    proto: Obj | null,
    readonly node: ElementNode,
  ) {
    super(proto);
  }
}

/** An element a script makes: it is not in the markup. */
export class Loose extends Obj {
  readonly attributes = new Map<string, string | null>();
  /** The element of the page that it is a copy of. */
  origin: ElementNode | null = null;
  /** Whether scripts put a navigation landmark into it. */
  holdsMenu = false;
  constructor(
    proto: Obj | null,
    readonly tag: string,
  ) {
    super(proto);
  }
}

/** A chain of elements, as libraries for chained calls give them. */
export class Chain extends Obj {
  constructor(
    proto: Obj | null,
    readonly items: readonly Value[],
    readonly before: Chain | null,
    /** Whether it may hold elements nobody could tell. */
    readonly vague = false,
  ) {
    super(proto);
  }
  override own(key: string): Slot | undefined {
    if (key === 'length') return this.vague ? UNKNOWN : this.items.length;
    const index = indexOf(key);
    return index === null ? this.props.get(key) : this.vague ? UNKNOWN : this.items[index];
  }
  override hasOwn(key: string): boolean {
    const index = indexOf(key);
    return key === 'length' || (index === null ? this.props.has(key) : index < this.items.length);
  }
}

export interface Frame {
  self: Value;
  readonly args: readonly Value[];
  readonly callee: Fn | null;
  /** What `new` was called on; null in plain calls. */
  readonly target: Obj | null;
  /** What a generator has yielded. */
  readonly yielded?: Value[];
}

/** The names a piece of a script sees. */
export class Scope {
  /** Whether it is strict mode code. @spec ecma-262 §11.2.2 */
  strict: boolean;
  constructor(
    readonly parent: Scope | null,
    readonly frame: Frame | null = null,
    /** Those of the window are its properties. */
    readonly names: Map<string, Slot> = new Map(),
  ) {
    this.strict = parent?.strict ?? false;
  }

  holder(name: string): Scope | null {
    for (let scope: Scope | null = this as Scope; scope; scope = scope.parent) if (scope.names.has(name)) return scope;
    return null;
  }
  get running(): Frame | null {
    for (let scope: Scope | null = this as Scope; scope; scope = scope.parent) if (scope.frame) return scope.frame;
    return null;
  }
}

export const isCallable = (value: Value): value is Fn | Native | Bound =>
  value instanceof Fn || value instanceof Native || value instanceof Bound;

/** Truth of a value; null where it cannot be told. @spec ecma-262 §7.1.2 */
export function truth(value: Value): boolean | null {
  if (value instanceof Unknown) return null;
  if (value instanceof Obj) return true;
  return Boolean(value);
}

/** A date: what it is called nobody knows. */
export class Moment extends Obj {
  constructor(
    proto: Obj | null,
    /** Milliseconds. */
    readonly time: number,
  ) {
    super(proto);
    this.open = true;
  }
}

/** Text of a value; null where it cannot be told. @spec ecma-262 §7.1.17 */
export function text(value: Value): string | null {
  if (value instanceof Unknown || value instanceof Moment) return null;
  if (value instanceof Arr) {
    const parts = value.items.map((item) => (item === undefined || item === null ? '' : text(item)));
    return parts.includes(null) ? null : parts.join(',');
  }
  if (value instanceof Pattern) return value.regexp ? String(value.regexp) : null;
  if (isCallable(value)) return 'function () { }';
  if (value instanceof Obj) return value instanceof El ? '[object HTMLElement]' : '[object Object]';
  return String(value);
}

/** Number of a value; null where it cannot be told. @spec ecma-262 §7.1.4 */
export function number(value: Value): number | null {
  if (value instanceof Unknown) return null;
  if (value instanceof Moment) return value.time;
  if (value instanceof Obj) {
    const written = text(value);
    return written === null ? null : Number(written);
  }
  return Number(value);
}
