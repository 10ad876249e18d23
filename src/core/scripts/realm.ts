import { defineArrays } from './builtins/arrays.js';
import { defineCollections } from './builtins/collections.js';
import { defineIterators } from './builtins/iterators.js';
import { defineFunctions, defineObjects } from './builtins/objects.js';
import { defineNumbers } from './builtins/numbers.js';
import { defineReflect } from './builtins/reflect.js';
import { definePromises } from './builtins/promises.js';
import { defineStrings } from './builtins/strings.js';
import { defineTimers } from './builtins/timers.js';
import { browserName, ELEMENT_NAMES, ELSEWHERE } from './builtins/names.js';
import { defineDocument } from './dom/document.js';
import { defineElements } from './dom/elements.js';
import { defineEvents } from './dom/events.js';
import { defineWindow } from './dom/window.js';
import { Brought } from './brought.js';
import type { Reading } from './reading.js';
import { Accessor, Native, Obj, UNKNOWN, type Slot, type Value } from './values.js';

const PROTOS = [
  'object',
  'function',
  'array',
  'iterator',
  'string',
  'number',
  'boolean',
  'regexp',
  'error',
  'map',
  'promise',
  'symbol',
  'node',
  'element',
  'loose',
  'list',
  'classes',
  'style',
  'dataset',
  'event',
  'chain',
  'media',
] as const;
export type Protos = Readonly<Record<(typeof PROTOS)[number], Obj>>;

/** What the language and the browser bring, for one reading. */
export class Realm {
  readonly protos: Protos;
  /** `window`, whose properties are the global names. */
  readonly window: Obj;
  readonly documentObject: Obj;
  /** Names that keep their meaning whatever a script does: libraries that are understood without being read. */
  readonly fixed = new Set<string>();
  /** Whether names nobody defined may come from scripts that were not there to read. */
  lenient = false;

  constructor() {
    const object = new Obj(null);
    object.quiet = true;
    const protos = Object.fromEntries(PROTOS.map((name) => [name, name === 'object' ? object : quiet(object)]));
    protos.node = new Brought(object, ELEMENT_NAMES);
    this.protos = protos as unknown as Protos;
    this.protos.element.proto = this.protos.node;
    this.protos.loose.proto = this.protos.node;
    this.window = new Window(object, this.fixed, this.protos.function);
    this.documentObject = new Obj(this.protos.node);
  }

  /** A global name. @param strict whether a name nobody defined is an error */
  globalNamed(reading: Reading, name: string, strict: boolean): Value {
    const { window } = this;
    if (window.hasOwn(name)) {
      const slot = window.own(name);
      return slot instanceof Accessor ? reading.get(window, name) : slot;
    }
    const named = reading.document.byId(name);
    if (named) return reading.wrap(named);
    if (ELSEWHERE.has(name)) return strict ? reading.raise('ReferenceError', `${name} is not defined`) : undefined;
    if (this.lenient) return UNKNOWN;
    if (!strict) return undefined;
    return reading.raise('ReferenceError', `${name} is not defined`);
  }

  setGlobal(reading: Reading, name: string, value: Value): void {
    reading.set(this.window, name, value);
  }
}

/** The window: some of its names keep their meaning. */
class Window extends Obj {
  constructor(
    proto: Obj | null,
    readonly fixed: ReadonlySet<string>,
    readonly functions: Obj,
  ) {
    super(proto);
  }
  readonly #opaque = new Map<string, Obj>();
  override write(reading: Reading, key: string, value: Slot): void {
    if (!this.fixed.has(key)) super.write(reading, key, value);
  }
  override own(key: string): Slot | undefined {
    return super.own(key) ?? this.#brought(key);
  }
  override hasOwn(key: string): boolean {
    return super.hasOwn(key) || browserName(key) !== null;
  }

  /** What browsers bring under a name, of which no more is known than that it is there. */
  #brought(key: string): Obj | undefined {
    const kind = this.props.has(key) ? null : browserName(key);
    if (kind === null) return undefined;
    let known = this.#opaque.get(key);
    if (!known) {
      known =
        kind === 'object'
          ? new Obj(null)
          : new Native(this.functions, key, (r, _s, args) => r.call(UNKNOWN, undefined, args));
      known.open = true;
      this.#opaque.set(key, known);
    }
    return known;
  }
}

function quiet(proto: Obj): Obj {
  const made = new Obj(proto);
  made.quiet = true;
  return made;
}

/** Gives a reading all that the language and the browser bring. */
export function furnish(realm: Realm, reading: Reading): void {
  for (const define of [
    defineObjects,
    defineFunctions,
    defineArrays,
    defineStrings,
    defineNumbers,
    defineCollections,
    defineIterators,
    definePromises,
    defineReflect,
    defineTimers,
    defineEvents,
    defineElements,
    defineDocument,
    defineWindow,
  ])
    define(realm, reading);
}
